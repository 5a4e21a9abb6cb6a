using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// The sheet that folds into a box: finished top <c>Width x Length</c>, and the fold-down <c>G</c> to mid-depth on
/// every side
/// (craft §4.2). With square = drop the cut square is one seam larger than the corner rule's, so the top loses two.
/// </summary>
internal sealed class FoldedSheet
{
    private readonly Reading reading;

    public FoldedSheet(Reading reading)
    {
        this.reading = reading;
        Box = EaseSchools.Finished(reading);
        Seam = reading[EdgeAllowances.Seam];
        var half = Box.Depth / 2;
        var whole = reading.Chosen(BoxedSheet.Corners) is CornerSchool.SquareDrop;
        Width = whole ? (Box.Width - (2 * Seam)).As("top W", "finished top width") : Box.Width;
        Length = whole ? (Box.Length - (2 * Seam)).As("top L", "finished top length") : Box.Length;
        Drop = (whole ? half + Seam : half).As("G", "fold-down to mid-depth");
        Radius = reading.OrZero(OutlineShapes.CornerRadius);
        Turn = new Allowance("w", AllowanceRole.Turn, reading[ZipSchools.Turn]);
        Clear = new Allowance("clear", AllowanceRole.Turn, reading[ZipSchools.Clear]);
        School = reading.Chosen(ZipSchools.School);
        // Where the corner line leaves the straight: an arc of radius r that has turned 45° lies this far along either
        // side.
        ArcReach = Radius.TimesRoot2() - Radius;
        ArcInset = Radius - (Radius.TimesRoot2() / 2);
        ZipRun = (
            School switch
            {
                ZipSchool.Inside => Width - (2 * Clear),
                ZipSchool.Round => Width + (2 * Turn),
                _ => Width,
            }
        ).As("Z", "zip run");
        var end = Radius.Value.IsPositive ? (Drop - ArcReach) + (Radius.TimesPi() / 4) : Drop;
        CornerSeam = 2 * end;
    }

    /// <summary>The box as the ease school has it.</summary>
    public FinishedBox Box { get; }

    /// <summary>The box as it finishes, after what the corner school takes or gives.</summary>
    public FinishedBox Finished =>
        new(Width, Length, reading.Chosen(BoxedSheet.Corners) is CornerSchool.SquareDrop ? 2 * Drop : Box.Depth);

    public Working Width { get; }

    public Working Length { get; }

    public Working Drop { get; }

    public Working Seam { get; }

    public Working Radius { get; }

    public Working ArcReach { get; }

    public Working ArcInset { get; }

    public Working Turn { get; }

    public Working Clear { get; }

    public Working ZipRun { get; }

    public Working CornerSeam { get; }

    private ZipSchool School { get; }

    private Zip ToBuy =>
        School switch
        {
            ZipSchool.Full => Zip.Chain(Box.Width + Box.Depth + (2 * Seam), "full cut width, oversewn at the corners"),
            ZipSchool.Inside => Zip.OfTeeth(ZipRun, "kept inside the corners"),
            ZipSchool.Closed => Zip.ClosedEnd(ZipRun, "made up, or the next stock length"),
            _ => Zip.Chain(ZipRun + (2 * Seam), "turns both back corners"),
        };

    /// <summary>Zip, sides and four corners; lower half first, then upper.</summary>
    public IEnumerable<Seam> Seams()
    {
        yield return new(
            "zip",
            SeamKind.Zip,
            ZipChain("lower", leftEnd: "left"),
            ZipChain("upper", leftEnd: "left"),
            ZipRun
        )
        {
            Zip = ToBuy,
        };
        if (School is ZipSchool.Inside)
            foreach (var side in new[] { "left", "right" })
                yield return new(
                    $"back, {side} of the zip",
                    SeamKind.Join,
                    [BesideZip("lower", side)],
                    [BesideZip("upper", side)],
                    Clear
                );
        foreach (var side in new[] { "right", "left" })
        {
            yield return new(
                $"{side} side",
                SeamKind.Join,
                [SideRun("lower", side)],
                [SideRun("upper", side)],
                School is ZipSchool.Round ? Length - Turn : Length
            );
            // From the lower apex to the upper one: on the right the ends run with the outline, on the left the back does.
            IReadOnlyList<Run> back = [.. Apexes($"back {side} lower", $"back {side} upper")],
                ends = [.. Apexes($"{side} end lower", $"{side} end upper")],
                fold = [.. Apexes($"{side} front lower", $"{side} front upper")],
                front = [.. Front($"front {side}", upward: side == "right")];
            yield return new(
                $"back {side} corner",
                SeamKind.Join,
                side == "right" ? ends : back,
                side == "right" ? back : ends,
                CornerSeam
            );
            yield return new(
                $"front {side} corner",
                SeamKind.Join,
                side == "right" ? front : fold,
                side == "right" ? fold : front,
                CornerSeam
            );
        }
    }

    // Two edges from apex to apex, with the arcs that a rounded inner puts at those.
    private IEnumerable<Run> Apexes(string lower, string upper) =>
        Radius.Value.IsPositive
            ? [On($"{lower} arc"), On(lower), On(upper), On($"{upper} arc")]
            : [On(lower), On(upper)];

    // The edge across the fold, with its arcs; on the left the outline comes down it.
    private IEnumerable<Run> Front(string edge, bool upward)
    {
        IEnumerable<Run> drawn = Radius.Value.IsPositive
            ? [On($"{edge} arc"), On(edge), On($"{edge} second arc")]
            : [On(edge)];
        return upward ? drawn : drawn.Reverse();
    }

    private static Run On(string edge, Length? from = null, Length? to = null) => new("cover", 1, edge, from, to);

    // The zip edges are drawn anticlockwise: lower from left to right, upper from right to left.
    private IReadOnlyList<Run> ZipChain(string half, string leftEnd)
    {
        var zip = On($"zip {half}");
        if (School is ZipSchool.Inside)
            return [On($"zip {half}", Clear.Value, Width.Value - Clear.Value)];
        if (School is not ZipSchool.Round)
            return [zip];
        return [Turned(half, leftEnd), zip, Turned(half, leftEnd == "left" ? "right" : "left")];
    }

    // A side edge starts at the back on the lower right and the upper left, and ends there on the other two.
    private static bool StartsAtBack(string half, string side) => (half == "lower") == (side == "right");

    private Run Turned(string half, string side) =>
        StartsAtBack(half, side)
            ? On($"{side} side {half}", null, Turn.Value)
            : On($"{side} side {half}", Length.Value - Turn.Value, null);

    private Run SideRun(string half, string side)
    {
        if (School is not ZipSchool.Round)
            return On($"{side} side {half}");
        return StartsAtBack(half, side)
            ? On($"{side} side {half}", Turn.Value, null)
            : On($"{side} side {half}", null, Length.Value - Turn.Value);
    }

    private Run BesideZip(string half, string side) =>
        (half == "lower") == (side == "left")
            ? On($"zip {half}", null, Clear.Value)
            : On($"zip {half}", Width.Value - Clear.Value, null);
}
