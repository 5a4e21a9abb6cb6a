using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// Elastic along a hem: in a casing or sewn straight on, all round or at the corners, by ratio or by pull (craft §3,
/// §7.2).
/// </summary>
internal static class Elastic
{
    internal static readonly OptionChoice<ElasticRun> Run = Choice.Of(
        "elastic",
        "Elastic",
        Group,
        Option.Of(ElasticRun.Whole, "Along the whole edge", "Holds best; cut by the ratio."),
        Option.Of(ElasticRun.Corners, "At the corners only", "From one drop before each corner seam to one after it."),
        Option.Of(
            ElasticRun.Pull,
            "By pull",
            "Threaded with the cover on and pulled until it holds, then cut: write the length down."
        )
    );

    internal static readonly CountChoice Ratio = Choice
        .OfCount("ratio", "Elastic, per cent of the edge", Group, 75, 40, 100)
        .AskedWhen(Run, ElasticRun.Whole, ElasticRun.Corners) with
    {
        Learns = true,
    };

    internal static readonly LengthChoice Width = Choice.OfLength(
        "elasticWidth",
        "Elastic, wide",
        Group,
        Length.Inches(0, 1, 4),
        6,
        LengthLimits.UpTo(4, "1/4", "0.6")
    );

    private const string Group = "Elastic";

    // Elastic width + 1/8 in + 1/4 in turned under; here for 1/4 in elastic.
    public static readonly AllowanceDeclaration Casing = new(
        "k",
        "Casing",
        AllowanceRole.Casing,
        Length.Inches(0, 5, 8),
        Length.Millimetres(16)
    );

    /// <summary>How the elastic meets the edge.</summary>
    internal static readonly OptionChoice<ElasticEdge> Edge = Choice.Of(
        "edge",
        "Edge",
        Group,
        Option.Of(
            ElasticEdge.Casing,
            "Casing",
            "Turned over the elastic, which is threaded through a gap of 1 in (2.5 cm)."
        ),
        Option.Of(ElasticEdge.Sewn, "Sewn straight on", "Stretched on to the raw edge while it is sewn: no casing.")
    );

    /// <summary>Where the elastic runs and how long it is cut.</summary>
    public static IReadOnlyList<Choice> Choices { get; } = [Run, Ratio, Width];

    /// <summary>The same where there are no corners to hold.</summary>
    public static IEnumerable<Choice> AllRound =>
        [Run.Without(ElasticRun.Corners), Ratio.AskedWhen(Run, ElasticRun.Whole), Width];

    /// <summary>The allowance below the hem line: the casing, or nothing where elastic is sewn on.</summary>
    public static Working Allowance(Reading reading, string piece, string edge) =>
        reading.Chosen(Edge) is ElasticEdge.Sewn
            ? reading.Own(piece, edge, new Allowance("k", AllowanceRole.Casing, Length.Zero))
            : reading.EdgeAllowance(Casing, piece, edge);

    /// <summary>What becomes of the edge.</summary>
    public static EdgeUse Use(Reading reading) =>
        reading.Chosen(Edge) is ElasticEdge.Sewn ? EdgeUse.Elastic : EdgeUse.Casing;

    /// <summary>
    /// The elastic to cut for an edge of <paramref name="perimeter"/>; <paramref name="reach"/> is how far it runs on
    /// either side of each of so many corners.
    /// </summary>
    public static IEnumerable<Notion> Notions(Reading reading, Working perimeter, Working reach, int corners)
    {
        var wide = $"{reading.Say(reading[Width])} wide";
        switch (reading.Chosen(Run))
        {
            case ElasticRun.Whole:
                yield return new(
                    "elastic",
                    "elastic",
                    new Percentage(reading[Ratio], perimeter) + Working.Of("overlap", "overlap", Length.Inches(1)),
                    Note: $"{wide}; {reading.Say(Length.Inches(1))} overlaps"
                )
                {
                    SoldAs = $"elastic, {wide}",
                };
                break;
            case ElasticRun.Corners:
                yield return new(
                    "elastic",
                    "elastic at a corner",
                    new Percentage(reading[Ratio], 2 * reach),
                    corners,
                    Note: $"{wide}; {corners} lengths"
                )
                {
                    SoldAs = $"elastic, {wide}",
                };
                break;
            default:
                yield return new(
                    "elastic",
                    "elastic, to be cut on the cover",
                    perimeter,
                    Note: $"{wide}; as long as the edge: pull, mark, cut, and write down what it came to"
                )
                {
                    SoldAs = $"elastic, {wide}",
                };
                break;
        }
    }

    public static IEnumerable<Step> Steps(Reading reading)
    {
        if (reading.Chosen(Edge) is ElasticEdge.Sewn)
            yield return new("Sew the elastic straight on to the edge, stretched from both sides of the foot.", [])
            {
                Does = Doing.Stretching,
            };
        else
            yield return Step.Of(
                StepKind.Holding,
                $"Turn the casing under and sew it, a gap of {reading.Say(Length.Inches(1))} left open; thread the elastic{(reading.Chosen(Run) is ElasticRun.Corners ? ", sewn across at both ends of each corner" : "")}."
            );
        if (reading.Chosen(Run) is ElasticRun.Pull)
            yield return Step.Fitting(
                "Put the cover on, pull the elastic until it holds, sew and cut it. Note its length: the next ratio comes from it."
            ) with
            {
                FindsElastic = true,
            };
        yield return Step.Of(StepKind.Holding, "Close the gap; finish the ends.");
    }

    public static IEnumerable<Remark> Remarks(Reading reading)
    {
        var turned = Length.Inches(0, 3, 8);
        if (
            reading.Chosen(Edge) is not ElasticEdge.Sewn
            && reading[Casing].Value - turned is { IsPositive: true } room
            && reading[Width] > room
        )
            yield return new(
                $"Elastic {reading.Say(reading[Width])} wide takes a casing of {reading.Say(reading[Width] + turned)}: its width, {reading.Say(Length.Inches(0, 1, 8))} and {reading.Say(Length.Inches(0, 1, 4))} turned under. This one takes up to {reading.Say(room)}.",
                Caution: true
            );
    }
}

/// <summary>The answers to: Edge.</summary>
internal enum ElasticEdge
{
    Casing,
    Sewn,
}

/// <summary>The answers to: Elastic.</summary>
internal enum ElasticRun
{
    Whole,
    Corners,
    Pull,
}
