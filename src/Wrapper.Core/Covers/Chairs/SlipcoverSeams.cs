using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// The seams of a slipcover. Instance 1 of a pair is on the right as one faces the chair, 2 on the left; what is seen
/// from the side or from behind is drawn as if one looked through from the front. Of an inside arm the left
/// edge meets the back
/// and the right edge the arm front; of a corner or wing the left edge lies to the rear.
/// </summary>
internal sealed class SlipcoverSeams(Reading reading, ChairBody body)
{
    public IEnumerable<Seam> All()
    {
        yield return Plain.Join("deck to inside back", ("deck", 1, "upper"), ("inside-back", 1, "crevice"), body.Width);
        yield return Plain.Join("deck to front band", ("deck", 1, "lower"), ("front-band", 1, "upper"), body.Width) with
        {
            CordLine = "front edge of the seat",
        };
        yield return Plain.Join(
            "inside back to outside back, top",
            ("inside-back", 1, "top"),
            ("outside-back", 1, "top"),
            body.Across
        ) with
        {
            CordLine = "back",
        };
        foreach (var (side, at) in new[] { ("right", 1), ("left", 2) })
        foreach (var seam in (Seam[])[.. Arm(side, at), .. Back(side, at)])
            yield return seam;
        if (!ChairSlipcover.HasSkirt(reading))
            yield break;
        yield return new(
            "skirt, front",
            SeamKind.Join,
            [new Run("skirt-front", 1, "upper")],
            [.. FootOf(1), new Run("front-band", 1, "lower"), .. FootOf(2)],
            body.Foot
        )
        {
            CordLine = "skirt line",
        };
        yield return Plain.Join("skirt, back", ("skirt-front", 2, "upper"), ("outside-back", 1, "foot"), body.Foot) with
        {
            CordLine = "skirt line",
        };
        foreach (var (side, at) in new[] { ("right", 1), ("left", 2) })
            yield return Plain.Join(
                $"skirt, {side} side",
                ("skirt-side", at, "upper"),
                ("outside-arm", at, "lower"),
                body.Seat + body.Thick
            ) with
            {
                CordLine = "skirt line",
            };
    }

    private bool IsPanel => reading.Chosen(ChairSlipcover.ArmFront) is ArmFrontSchool.Panel;

    private IEnumerable<Run> FootOf(int at) => [new Run("arm-front", at, IsPanel ? "base" : "left")];

    private IEnumerable<Seam> Arm(string side, int at)
    {
        yield return Plain.Join(
            $"deck to inside arm, {side}",
            ("deck", 1, side),
            ("inside-arm", at, "lower"),
            body.Seat
        );
        // The inside arm's back edge is drawn downward: first what goes over the arm, then the inside.
        yield return new(
            $"inside back to inside arm, {side}",
            SeamKind.Join,
            [new Run("inside-back", 1, $"{side} arm")],
            [new Run("inside-arm", at, "left", body.Over.Value)],
            body.Inner
        );
        yield return new(
            $"inside back round the arm, {side}",
            SeamKind.Join,
            [new Run("inside-back", 1, $"{side} step")],
            [new Run("inside-arm", at, "left", null, body.Over.Value)],
            body.Over
        );
        // The upper edges are drawn from the front to the back; a wing stands on the last part of them.
        var free = body.HasWings ? body.Seat - body.Wing : body.Seat;
        yield return new(
            $"inside arm to outside arm, {side}",
            SeamKind.Join,
            [new Run("inside-arm", at, "upper", null, body.HasWings ? free.Value : null)],
            [new Run("outside-arm", at, "upper", null, free.Value)],
            free
        )
        {
            CordLine = $"arm, {side}",
        };
        if (body.HasWings)
            yield return new(
                $"inside arm to inside wing, {side}",
                SeamKind.Join,
                [new Run("inside-arm", at, "upper", free.Value)],
                [new Run("inside-wing", at, "lower")],
                body.Wing
            );
        yield return new(
            $"outside arm to {(body.HasWings ? "outside wing" : "back corner")}, {side}",
            SeamKind.Join,
            [new Run("outside-arm", at, "upper", free.Value)],
            [new Run("corner", at, "lower")],
            body.Wing + body.Thick
        );
        foreach (var seam in IsPanel ? Panel(side, at) : Strip(side, at))
            yield return seam;
    }

    private IEnumerable<Seam> Panel(string side, int at)
    {
        // The inside arm's front edge is drawn upward: the inside, then over the arm.
        yield return new(
            $"arm front to inside arm, {side}",
            SeamKind.Join,
            [new Run("arm-front", at, "inner"), new Run("arm-front", at, "top")],
            [new Run("inside-arm", at, "right")],
            body.Inner + body.Over
        )
        {
            CordLine = $"arm, {side}",
        };
        yield return Plain.Join(
            $"arm front to outside arm, {side}",
            ("arm-front", at, "outer"),
            ("outside-arm", at, "right"),
            body.Outer
        ) with
        {
            CordLine = $"arm, {side}",
        };
        yield return Plain.Join(
            $"arm front to front band, {side}",
            ("arm-front", at, "band"),
            ("front-band", 1, side),
            body.Front
        );
    }

    // The strip's outer edge follows the outside and goes over the arm; its inner edge is eased to the way up from the
    // foot.
    private IEnumerable<Seam> Strip(string side, int at)
    {
        // Listed with the strip's outlines: on the right its outer edge runs up from the foot, on the left down to it.
        IReadOnlyList<Run> FromFoot(Run low, Run high) => side == "right" ? [low, high] : [high, low];
        yield return new(
            $"arm front to outside arm, {side}",
            SeamKind.Join,
            [new Run("arm-front", at, "upper")],
            FromFoot(new Run("outside-arm", at, "right"), new Run("inside-arm", at, "right", body.Inner.Value)),
            body.Outer + body.Over
        )
        {
            CordLine = $"arm, {side}",
        };
        var inside = body.Front + body.Inner;
        yield return new(
            $"arm front to inside arm, {side}",
            SeamKind.Ease,
            [new Run("arm-front", at, "lower")],
            [
                .. FromFoot(new Run("front-band", 1, side), new Run("inside-arm", at, "right", null, body.Inner.Value))
                    .Reverse(),
            ],
            inside
        )
        {
            CordLine = $"arm, {side}",
            Swallowed = (body.Outer + body.Over).Value - inside.Value,
        };
    }

    private IEnumerable<Seam> Back(string side, int at)
    {
        // The inside back's right side is drawn upward and its left side downward; its last stretch wraps over the top
        // rail.
        var (above, thick) = (body.Above.Value, body.Thick.Value);
        var wraps =
            side == "right"
                ? new Run("inside-back", 1, "right side", above)
                : new Run("inside-back", 1, "left side", null, thick);
        var upright =
            side == "right"
                ? new Run("inside-back", 1, "right side", null, above)
                : new Run("inside-back", 1, "left side", thick);
        var outer = body.HasWings ? "outside wing" : "back corner";
        if (body.HasWings)
        {
            yield return new(
                $"inside back to inside wing, {side}",
                SeamKind.Join,
                [upright],
                [new Run("inside-wing", at, "left")],
                body.Above
            );
            yield return Plain.Join(
                $"inside wing to outside wing, {side}",
                ("inside-wing", at, "right"),
                ("corner", at, "right"),
                body.Above
            ) with
            {
                CordLine = "back",
            };
            yield return new(
                $"inside wing to outside wing, top, {side}",
                SeamKind.Join,
                [new Run("inside-wing", at, "upper")],
                [new Run("corner", at, "upper", null, body.Wing.Value)],
                body.Wing
            )
            {
                CordLine = "back",
            };
        }
        else
            yield return new(
                $"inside back to back corner, {side}",
                SeamKind.Join,
                [upright],
                [new Run("corner", at, "right")],
                body.Above
            )
            {
                CordLine = "back",
            };
        yield return new(
            $"inside back over the rail to {outer}, {side}",
            SeamKind.Join,
            [wraps],
            [new Run("corner", at, "upper", body.HasWings ? body.Wing.Value : null)],
            body.Thick
        );
        // Both back seams are corded, zip or not (craft §6.2).
        foreach (
            var seam in (side == "left") == (reading.Chosen(ChairSlipcover.ZipSide) is BackSide.Left)
                ? Zipped(side, at, outer)
                : Sewn(side, at, outer)
        )
            yield return seam with
            {
                CordLine = $"back seam, {side}",
            };
    }

    private IEnumerable<Seam> Sewn(string side, int at, string outer)
    {
        yield return Plain.Join(
            $"outside back to outside arm, {side}",
            ("outside-back", 1, $"{side} lower"),
            ("outside-arm", at, "left"),
            body.Outer
        );
        yield return Plain.Join(
            $"outside back to {outer}, {side}",
            ("outside-back", 1, $"{side} upper"),
            ("corner", at, "left"),
            body.Above
        );
    }

    // From the foot up, past the arm; the rest of the seam stays closed. Of the outside back the right side is drawn
    // upward, the left
    // one downward; the corner's rear edge is drawn downward on both sides.
    private IEnumerable<Seam> Zipped(string side, int at, string outer)
    {
        var closed = Working.Of("closed", "seam closed above the zip", reading[ChairSlipcover.ZipClosed]);
        var open = body.Above - closed;
        var upper = $"{side} upper";
        var (top, low) =
            side == "right"
                ? (new Run("outside-back", 1, upper, open.Value), new Run("outside-back", 1, upper, null, open.Value))
                : (
                    new Run("outside-back", 1, upper, null, closed.Value),
                    new Run("outside-back", 1, upper, closed.Value)
                );
        yield return new(
            "zip",
            SeamKind.Zip,
            [new Run("outside-back", 1, $"{side} lower"), low],
            [new Run("outside-arm", at, "left"), new Run("corner", at, "left", closed.Value)],
            body.Outer + open
        )
        {
            Zip = Zip.OfTeeth(
                body.Outer + open,
                "one slider; its teeth ride the cord, its foot stays open until the skirt is on"
            ),
        };
        if (closed.Value.IsPositive)
            yield return new(
                $"outside back to {outer}, {side}, above the zip",
                SeamKind.Join,
                [top],
                [new Run("corner", at, "left", null, closed.Value)],
                closed
            );
    }

    /// <summary>Edges in no seam: hems, flaps caught behind the skirt, and the upper end of a strip.</summary>
    public static IEnumerable<Use> Hems(Reading reading, IReadOnlyList<Piece> pieces)
    {
        var strip = reading.Chosen(ChairSlipcover.ArmFront) is ArmFrontSchool.Strip;
        IEnumerable<Use> uses = strip ? Plain.Unsewn(EdgeUse.Caught, "arm-front", 2, "right") : [];
        if (!ChairSlipcover.HasSkirt(reading))
            uses =
            [
                .. uses,
                .. Plain.Unsewn(EdgeUse.Hem, "front-band", 1, "lower"),
                .. Plain.Unsewn(EdgeUse.Hem, "outside-back", 1, "foot"),
                .. Plain.Unsewn(EdgeUse.Hem, "outside-arm", 2, "lower"),
                .. Plain.Unsewn(EdgeUse.Hem, "arm-front", 2, strip ? "left" : "base"),
            ];
        foreach (var skirt in pieces.Where(piece => piece.Key.StartsWith("skirt", StringComparison.Ordinal)))
            uses =
            [
                .. uses,
                .. Plain.Unsewn(EdgeUse.Hem, skirt.Key, skirt.Quantity, "lower", "right", "left"),
                .. skirt.Key == "skirt-flap" ? Plain.Unsewn(EdgeUse.Caught, skirt.Key, skirt.Quantity, "upper") : [],
            ];
        // None of these has another side: each keeps the length that it is drawn with.
        return uses.Select(use =>
            use with
            {
                Run = use.Run with
                {
                    Drafted = pieces.First(piece => piece.Key == use.Run.Piece).Stitch.LengthOf(use.Run.Edge),
                },
            }
        );
    }
}
