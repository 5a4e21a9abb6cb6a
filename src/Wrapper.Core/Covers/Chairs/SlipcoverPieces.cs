using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// The pieces of a slipcover, each cut as the rectangle that holds it. Every side has its seam allowance, or its hem,
/// and half of the pin-fit ease; along a crevice the tuck-in comes on top.
/// </summary>
internal sealed class SlipcoverPieces(Reading reading, ChairBody body)
{
    private const string Crevice =
        "Tuck-in along the crevice: where the crevice ends, cut the allowance towards it and snip it so that the cloth turns flat.";

    private readonly Working tuck = TuckIn.Of(reading, ChairSlipcover.C);
    private readonly Working tuckAtArms = TuckIn.OfArms(reading, ChairSlipcover.C);
    private readonly Working ease = new Allowance("e", AllowanceRole.Ease, reading[ChairSlipcover.PinEase]) / 2;
    private readonly Grain grain = reading.Chosen(GrainChoices.Panels);

    /// <summary>Every piece, with the points where three or more of them meet.</summary>
    public IEnumerable<Piece> All() =>
        Cut()
            .Select(piece =>
                piece with
                {
                    Meeting = [.. new SlipcoverPoints(body).On(piece)],
                    Facing = piece.Key switch
                    {
                        "inside-back" or "outside-back" or "front-band" => Facing.Front,
                        "arm-front" => piece.Faces ? Facing.FrontOnEnd : Facing.Front,
                        "inside-arm" or "outside-arm" or "inside-wing" or "corner" => Facing.Side,
                        "deck" => Facing.Top,
                        _ => Facing.Anywhere,
                    },
                }
            );

    private IEnumerable<Piece> Cut()
    {
        yield return Shaped(
            "inside-back",
            "inside back",
            1,
            body.InsideBack,
            [
                ("width", body.Width),
                ("lean", body.Lean),
                ("arm", body.Arm),
                ("top", body.ArmTop),
                ("roll", body.Roll),
                ("side", body.Above + body.Thick),
            ],
            body.Across,
            body.Arm + body.Above + body.Thick,
            ["lower"],
            $"{Crevice} The hollows round the arms are opened on the chair."
        );
        yield return Shaped(
            "outside-back",
            "outside back",
            1,
            ChairBody.OutsideBack,
            [("foot", body.Foot), ("across", body.Across), ("low", body.ArmFrontHeight), ("above", body.Above)],
            new Extreme(Larger: true, body.Foot, body.Across),
            body.ArmFrontHeight + body.Above,
            [],
            ""
        ) with
        {
            Faces = true,
        };
        yield return PlainPiece("inside-arm", "inside arm", 2, body.Seat, body.Inner + body.Over, ["lower"], Crevice);
        yield return PlainPiece("outside-arm", "outside arm", 2, body.Seat + body.Thick, body.Outer, [], "") with
        {
            Faces = true,
        };
        if (reading.Chosen(ChairSlipcover.ArmFront) is ArmFrontSchool.Panel)
            yield return Shaped(
                "arm-front",
                "arm front",
                2,
                body.ArmFront,
                [
                    ("base", body.ArmBase),
                    ("top", body.ArmTop),
                    ("roll", body.Roll),
                    ("lean", body.Lean),
                    ("front", body.Front),
                    ("arm", body.Arm),
                ],
                body.Plumb,
                body.ArmFrontHeight + body.Roll,
                [],
                "On the straight grain, never along the slant."
            );
        else
            yield return Strip();
        if (body.HasWings)
            yield return PlainPiece("inside-wing", "inside wing", 2, body.Wing, body.Above, [], "");
        yield return PlainPiece(
            "corner",
            body.HasWings ? "outside wing and back corner" : "back corner",
            2,
            body.Wing + body.Thick,
            body.Above,
            [],
            ""
        ) with
        {
            Faces = true,
        };
        yield return PlainPiece(
            "deck",
            "deck",
            1,
            body.Width,
            body.Seat,
            ["right", "upper", "left"],
            $"{Crevice} Its corners are mitred."
        );
        yield return PlainPiece("front-band", "front band", 1, body.Width, body.Front, [], "");
        foreach (var skirt in Skirt())
            yield return skirt;
    }

    private Working Side(string piece, string side, bool tucked)
    {
        var hemmed = !ChairSlipcover.HasSkirt(reading) && IsFoot(piece, side);
        var eased = reading.EdgeAllowance(hemmed ? ChairSlipcover.Hem : EdgeAllowances.Seam, piece, side) + ease;
        if (!tucked)
            return eased;
        // Along the back's crevice, or along those at the arms.
        var atArms = piece == "inside-arm" || side is "left" or "right";
        return eased + (atArms ? tuckAtArms : tuck);
    }

    // The foot of a facing strip is its left end.
    private bool IsFoot(string piece, string side) =>
        piece == "arm-front"
            ? side == (reading.Chosen(ChairSlipcover.ArmFront) is ArmFrontSchool.Strip ? "left" : "lower")
            : side == "lower" && piece is "front-band" or "outside-back" or "outside-arm";

    private Piece PlainPiece(
        string key,
        string name,
        int quantity,
        Working width,
        Working height,
        string[] tucked,
        string note
    ) =>
        Plain.Rectangle(key, name, quantity, width, height, side => Side(key, side, tucked.Contains(side))) with
        {
            Grain = grain,
            IsRough = true,
            MayBeJoined = true,
            TurnedOver = quantity == 2,
            Note = note,
        };

    private Piece Shaped(
        string key,
        string name,
        int quantity,
        Func<Dimensions, Outline> shape,
        (string Name, Working Working)[] dimensions,
        Working width,
        Working height,
        string[] tucked,
        string note
    )
    {
        var piece = new Piece(key, name, quantity, dimensions.ToDictionary(d => d.Name, d => d.Working), shape)
        {
            Grain = grain,
            IsRough = true,
            MayBeJoined = true,
            Allowances = Plain.Sides.ToDictionary(side => side, side => Side(key, side, tucked.Contains(side))),
            TurnedOver = quantity == 2,
            Note = note,
        };
        // Where slants or rolls reach further than the sum says, the drawing counts.
        var (left, bottom, right, top) = piece.Stitch.Bounds();
        Working Extent(Working formula, Length drawn) =>
            (formula.Value - drawn).Abs().Ticks <= 4 ? formula : Working.Of("as drawn", "extent as drawn", drawn);
        return piece.Measured(Extent(width, right - left), Extent(height, top - bottom));
    }

    // Along the outside curve, its longest path, and an inch over on either side (craft §1.5, §6.2).
    private Piece Strip()
    {
        var length = body.Outer + body.Over;
        Working Over(string side) =>
            side is "lower" or "upper"
                ? new Allowance("over", AllowanceRole.Ease, Length.Inches(1))
                : Side("arm-front", side, tucked: false);
        return Plain.Rectangle("arm-front", "arm front strip", 2, length, body.ArmBase, Over, "length", "width") with
        {
            Grain = grain,
            IsRough = true,
            MayBeJoined = true,
            TurnedOver = true,
            Faces = true,
            Note = "Eased or pleated to the arm's shape on the chair; its upper end is turned in.",
        };
    }

    private IEnumerable<Piece> Skirt()
    {
        if (!ChairSlipcover.HasSkirt(reading))
            yield break;
        var drop = Working.Of("drop", "skirt, finished", reading[ChairSlipcover.SkirtDrop]);
        var flap = Working.Of("flap", "flap, each way", reading[ChairSlipcover.FlapWidth]);
        foreach (
            var (key, name, quantity, width) in new[]
            {
                ("skirt-front", "skirt, front and back", 2, body.Foot),
                ("skirt-side", "skirt, sides", 2, body.Seat + body.Thick),
                ("skirt-flap", "skirt flap", 4, 2 * flap),
            }
        )
            // The skirt is cut to size: it is not pinned on the chair.
            yield return Plain.Rectangle(
                key,
                name,
                quantity,
                width,
                drop,
                edge => reading.EdgeAllowance(edge == "upper" ? EdgeAllowances.Seam : ChairSlipcover.Hem, key, edge),
                "width",
                "height"
            ) with
            {
                Grain = grain,
                MayBeJoined = true,
                Role = ClothRole.Contrast,
            };
    }
}
