using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// What the fitted covers of a rectangular table share (craft §9.1, §9.2): top, drop, and a double hem.
/// </summary>
public abstract class TableCover : MakeUp
{
    internal static readonly AllowanceDeclaration FirstFold = EdgeAllowances.Hem(
        "h1",
        "Hem, first fold",
        Length.Inches(0, 1, 2),
        Length.Millimetres(10),
        Length.Inches(0, 1, 4)
    );

    internal static readonly AllowanceDeclaration SecondFold = EdgeAllowances.Hem(
        "h2",
        "Hem, second fold",
        Length.Inches(1),
        Length.Millimetres(25),
        Length.Inches(0, 1, 2)
    );

    internal static readonly Measure W = new Measure(
        "W",
        "width",
        "Of the top, along its longer side, edge to edge.",
        LengthLimits.Item,
        Usual: Length.Inches(60)
    );

    internal static readonly Measure L = new Measure(
        "L",
        "depth",
        "Of the top, front to back.",
        LengthLimits.Item,
        Usual: Length.Inches(30)
    );

    internal static readonly Measure H = new Measure(
        "H",
        "drop",
        "From the top's edge down to where the hem shall be.",
        LengthLimits.Item,
        Usual: Length.Inches(29)
    )
    {
        Adjustable = Length.Inches(1),
    };

    internal static readonly Measure F = new Measure(
        "F",
        "to the floor",
        "From the top's edge to the floor, at the corner where it is least.",
        LengthLimits.Item,
        Optional: true,
        Usual: Length.Inches(30)
    )
    {
        FitsInside = true,
    };

    /// <inheritdoc/>
    public override string Family => "Table";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [W, L, H, F];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [TableSeam, FirstFold, SecondFold];

    /// <summary>Table covers have narrower seams than seats (craft §3).</summary>
    internal static AllowanceDeclaration TableSeam { get; } =
        EdgeAllowances.Seam with
        {
            InchDefault = Length.Inches(0, 3, 8),
            MetricDefault = Length.Millimetres(10),
        };

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var box = PrismSketch.Box(reading, W, L, H);
        var drop = box.Dimensions.First(line => line.Measure == H);
        var aside = Length.Max(reading.Drawn(W), Length.Inches(10)).Over(20);
        return box with
        {
            Dimensions =
            [
                .. box.Dimensions,
                new(F, drop.From.Moved(-aside, Length.Zero), drop.To.Moved(-aside, Length.Zero)),
            ],
        };
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (drop, s) = (reading[H].Value, reading[EdgeAllowances.Seam].Value);
        if (reading.Known(F) is { } floor && drop > floor)
            yield return reading.Refuse(
                H,
                $"the cover would lie on the floor, which is {reading.Say(floor)} below the top: somebody would trip",
                reading.Example("28", "71")
            );
        if (Hem(reading).Value >= drop)
            yield return reading.Refuse(
                SecondFold,
                $"both folds of the hem take the whole drop ({reading.Say(drop)})",
                reading.Example("1", "2.5")
            );
        foreach (var side in new[] { W, L })
            if (reading[side].Value <= 4 * s)
                yield return reading.Refuse(
                    side,
                    $"no more than four seam allowances ({reading.Say(4 * s)})",
                    reading.Example("60", "150")
                );
    }

    /// <summary>Both folds of the hem.</summary>
    private protected static Working Hem(Reading reading) => reading[FirstFold] + reading[SecondFold];

    /// <summary>What every table cover is told.</summary>
    private protected static IEnumerable<Remark> Usually(Reading reading)
    {
        if (reading.Known(F) is { } floor && floor - reading[H].Value < Length.Inches(0, 1, 2))
            yield return new Remark(
                $"The hem hangs less than {reading.Say(Length.Inches(0, 1, 2))} above the floor: measure again at every corner, floors are seldom level.",
                Caution: true
            );
    }
}
