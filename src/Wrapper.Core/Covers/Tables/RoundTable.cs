using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>What covers of a round table share (craft §9.5).</summary>
public abstract class RoundTable : MakeUp
{
    internal static readonly AllowanceDeclaration Hem = EdgeAllowances.Hem(
        "h",
        "Hem",
        Length.Inches(0, 1, 2),
        Length.Millimetres(12),
        Length.Inches(0, 1, 4)
    );

    internal static readonly CountChoice Fullness = Choice.OfCount(
        "fullness",
        "Fullness of the skirt, per cent",
        "Skirt",
        150,
        100,
        300
    ) with
    {
        Note = "150 gathers one and a half times round into once.",
    };

    internal static readonly Measure Diameter = new Measure(
        "d",
        "diameter",
        "Across the top, through the middle, both ways.",
        LengthLimits.Item,
        Usual: Length.Inches(36)
    );

    internal static readonly Measure H = new Measure(
        "H",
        "drop",
        "From the top's edge down to where the hem shall be.",
        LengthLimits.Item,
        Usual: Length.Inches(12)
    )
    {
        Adjustable = Length.Inches(1),
    };

    /// <inheritdoc/>
    public override string Family => "Round table";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [Diameter, H];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [TableCover.TableSeam, Hem];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var d = reading.Drawn(Diameter);
        var plan = new PlanDrawing(
            RoundShape.Circle(d),
            [new(Diameter, new(Length.Zero, d.Over(2)), new(d, d.Over(2)))]
        );
        return PrismSketch.Of(plan, H, reading.Drawn(H));
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        if (reading[Hem].Value >= reading[H].Value)
            yield return reading.Refuse(
                Hem,
                $"the hem takes the whole drop ({reading.Say(reading[H].Value)})",
                reading.Example("1/2", "1.2")
            );
        if (reading[Diameter].Value <= 4 * reading[EdgeAllowances.Seam].Value)
            yield return reading.Refuse(Diameter, "no more than four seam allowances", reading.Example("36", "90"));
    }

    /// <summary>The four quarters of a disc of <paramref name="diameter"/> as a piece.</summary>
    internal static Piece Disc(
        string key,
        string name,
        int quantity,
        Working diameter,
        Func<string, Working> allowance
    ) =>
        new Piece(
            key,
            name,
            quantity,
            new Dictionary<string, Working> { ["diameter"] = diameter },
            d => RoundShape.Circle(d["diameter"])
        )
        {
            Allowances = Quarters.ToDictionary(edge => edge, allowance),
            Note = "Cut from a quarter fold, the tape held at the folded middle.",
        }.Measured(diameter, diameter, "diameter", "diameter the other way");

    private protected static readonly string[] Quarters = ["front", "right", "back", "left"];
}

/// <summary>One circle that drapes, joined of a centre and equal sides where the cloth is narrower.</summary>
public sealed class RoundTableDraped : RoundTable
{
    /// <inheritdoc/>
    public override string Key => "round-table-draped";

    /// <inheritdoc/>
    public override string Name => "One circle, draped";

    /// <inheritdoc/>
    public override int Rank => 30;

    /// <inheritdoc/>
    public override string Suits =>
        "Soft folds all round and only a hem to sew; wider than the cloth, its joins hang in the drop, off the centre.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [WidthJoins.School];

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var diameter = (reading[Diameter] + (2 * reading[H])).As("D", "diameter to the hem");
        var disc = Disc("circle", "circle", 1, diameter, edge => reading.EdgeAllowance(Hem, "circle", edge)) with
        {
            MayBeJoined = true,
            Grain = Grain.Either,
            Drop = reading[H].Value,
        };
        var quarter = (diameter.TimesPi() / 4).As("q", "quarter of the hem");
        return new Pattern
        {
            Pieces = [disc],
            Seams = [],
            Uses =
            [
                .. Quarters.Select(edge => new Use(
                    EdgeUse.Hem,
                    new Run("circle", 1, edge) { Drafted = quarter.Value }
                )),
            ],
            Finished = [("finished diameter", diameter), ("hem", 4 * quarter)],
            Steps =
            [
                Step.Cutting("Cut the circle from a quarter fold; mark the middle."),
                Step.Of(StepKind.Hemming, "Ease the hem under and sew it; on curves a narrow hem lies flattest."),
            ],
        };
    }
}

/// <summary>A round top with a skirt gathered to it.</summary>
public sealed class RoundTableSkirted : RoundTable
{
    /// <inheritdoc/>
    public override string Key => "round-table-skirted";

    /// <inheritdoc/>
    public override string Name => "Top and gathered skirt";

    /// <inheritdoc/>
    public override int Rank => 31;

    /// <inheritdoc/>
    public override string Suits => "A flat top and a full skirt to the floor, from any width of cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Fullness, WidthJoins.School];

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        foreach (var problem in base.Check(reading))
            yield return problem;
        var whole = (reading.Usable() - (2 * reading[EdgeAllowances.Seam])).Value;
        if (Widths(new Percentage(reading[Fullness], reading[Diameter].TimesPi()).Value, whole) > WidthJoins.MostWidths)
            yield return reading.Refuse(
                Diameter,
                $"the skirt would be joined of more than {WidthJoins.MostWidths} widths of this cloth: take wider cloth",
                "48"
            );
    }

    private static long Widths(Length full, Length whole) =>
        Math.Max(1, (full.Ticks + whole.Ticks - 1) / Math.Max(1, whole.Ticks));

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var d = reading[Diameter];
        var quarter = (d.TimesPi() / 4).As("q", "quarter of the top");
        var round = 4 * quarter;
        var full = new Percentage(reading[Fullness], round).As("skirt", "skirt, ungathered");
        // As many equal widths as the cloth asks for, never one that would have to be joined to itself.
        var whole = (reading.Usable() - (2 * reading[EdgeAllowances.Seam])).Value;
        var widths = (int)Widths(full.Value, whole);
        var top = Disc("top", "top", 1, d, edge => reading.EdgeAllowance(EdgeAllowances.Seam, "top", edge)) with
        {
            MayBeJoined = true,
            Grain = Grain.Either,
        };
        var skirt = Plain.Rectangle(
            "skirt",
            "skirt width",
            widths,
            full / widths,
            reading[H],
            edge => reading.EdgeAllowance(edge == "lower" ? Hem : EdgeAllowances.Seam, "skirt", edge),
            "width",
            "height"
        );
        var instances = Enumerable.Range(1, widths).ToList();
        List<Seam> seams =
        [
            .. instances.Select(n =>
                Plain.Join($"skirt join {n}", ("skirt", n, "right"), ("skirt", (n % widths) + 1, "left"), reading[H])
            ),
            new(
                "top to skirt",
                SeamKind.Gather,
                [.. instances.Select(n => new Run("skirt", n, "upper"))],
                [.. Quarters.Select(edge => new Run("top", 1, edge))],
                round
            )
            {
                // What the widths lose as drawn, so that rounding of their division is not taken for a fault.
                Swallowed = (widths * (full / widths).Value) - round.Value,
            },
        ];
        return new Pattern
        {
            Pieces = [top, skirt],
            Seams = seams,
            Uses =
            [
                .. Plain
                    .Unsewn(EdgeUse.Hem, "skirt", widths, "lower")
                    .Select(use => use with { Run = use.Run with { Drafted = (full / widths).Value } }),
            ],
            Finished = [("finished diameter", d), ("round the top", round), ("skirt, ungathered", full)],
            Steps =
            [
                Step.Cutting("Cut the top from a quarter fold, and the skirt widths; mark top and skirt in quarters."),
                new(
                    "Join the skirt widths into a ring; finish the seams.",
                    [.. instances.Select(n => $"skirt join {n}")]
                ),
                new("Gather the skirt's upper edge to the top, quarter on quarter, and sew it.", ["top to skirt"]),
                .. TryingOn.Hem,
            ],
        };
    }
}
