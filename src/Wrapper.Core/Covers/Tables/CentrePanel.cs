using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>A centre panel, faced and turned, that is top-stitched on to a finished cover (craft §9.6).</summary>
public sealed class CentrePanel : MakeUp
{
    internal static readonly OptionChoice<PanelShape> Shape = Choice.Of(
        "shape",
        "Panel",
        "Panel",
        Option.Of(PanelShape.Round, "Round", "A disc."),
        Option.Of(PanelShape.Square, "Square", "Four equal sides.")
    ) with
    {
        OnMeasure = true,
    };

    internal static readonly Measure Diameter = new Measure(
        "d",
        "diameter",
        "Finished, across the middle.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    ).AskedWhen(Shape, PanelShape.Round);

    internal static readonly Measure W = new Measure(
        "W",
        "side",
        "Finished, edge to edge.",
        LengthLimits.Item,
        Usual: Length.Inches(20)
    ).AskedWhen(Shape, PanelShape.Square);

    /// <inheritdoc/>
    public override string Key => "centre-panel";

    /// <inheritdoc/>
    public override string Name => "Faced and applied";

    /// <inheritdoc/>
    public override string Family => "Centre panel for a table cover";

    /// <inheritdoc/>
    public override string Suits =>
        "A disc or a square in another cloth, laid on the finished cover: its edge is turned by a facing, so it needs no hem.";

    /// <inheritdoc/>
    public override IReadOnlyList<Measure> Measures { get; } = [Diameter, W];

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Shape];

    /// <inheritdoc/>
    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [TableCover.TableSeam];

    /// <inheritdoc/>
    public override Sketch Sketch(Reading reading)
    {
        var (w, o) = (reading.Drawn(Size(reading)), Length.Zero);
        return IsRound(reading)
            ? PrismSketch.Of(
                new PlanDrawing(RoundShape.Circle(w), [new(Diameter, new(o, w.Over(2)), new(w, w.Over(2)))]),
                null,
                o
            )
            : PrismSketch.Of(new PlanDrawing(Outline.Rectangle(w, w), [new(W, new(o, o), new(w, o))]), null, o);
    }

    /// <inheritdoc/>
    public override IEnumerable<Problem> Check(Reading reading)
    {
        var (size, s) = (Size(reading), reading[EdgeAllowances.Seam].Value);
        if (reading[size].Value <= 8 * s)
            yield return reading.Refuse(
                size,
                $"no more than eight seam allowances ({reading.Say(8 * s)}): it cannot be turned through its slit",
                reading.Example("20", "50")
            );
    }

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var size = reading[Size(reading)];
        var slit = (size / 8).As("slit", "slit to turn it through");
        Piece Layer(string key, string name) =>
            IsRound(reading)
                ? RoundTable.Disc(key, name, 1, size, edge => reading.EdgeAllowance(EdgeAllowances.Seam, key, edge))
                : Plain.Rectangle(
                    key,
                    name,
                    1,
                    size,
                    size,
                    edge => reading.EdgeAllowance(EdgeAllowances.Seam, key, edge)
                );
        var (panel, facing) = (Layer("panel", "panel"), Layer("facing", "facing"));
        var (middle, half) = (size.Value.Over(2), slit.Value.Over(2));
        var (from, to) = (new Point(middle - half, middle), new Point(middle + half, middle));
        facing = facing with
        {
            Faces = true,
            Role = ClothRole.SecondFace,
            Grain = Grain.Either,
            Lines = [new InnerLine("mark", from, to)],
            Sizes = [.. facing.Sizes, new Size("slit", SizeKind.Finished, slit, from, to)],
            Note = "Cut by the panel as its template; the slit is cut after both are sewn together.",
        };
        var edge = IsRound(reading) ? size.TimesPi() / 4 : size;
        List<Seam> seams =
        [
            .. panel.Stitch.Edges.Select(each =>
                Plain.Join($"{each.Name} edge", ("panel", 1, each.Name), ("facing", 1, each.Name), edge)
            ),
        ];
        return new Pattern
        {
            Pieces = [panel, facing],
            Seams = seams,
            Finished =
            [
                (IsRound(reading) ? "finished diameter" : "finished side", size),
                ("slit", slit),
                ("round the edge", Sum.Of(seams.Select(seam => seam.Drafted))),
            ],
            Applied =
            [
                new("all round, on to the cover", AppliedKind.Topstitching, Sum.Of(seams.Select(seam => seam.Drafted))),
            ],
            Steps =
            [
                Step.Cutting("Cut the panel; cut the facing by it."),
                new(
                    "Sew panel and facing together all round, right sides facing; grade the allowance, clip, slit the facing in its middle.",
                    [.. seams.Select(seam => seam.Name)]
                ),
                Step.Pressing("Turn through the slit and press.") with
                {
                    Kind = StepKind.Turning,
                },
                Step.Of(
                    StepKind.Pinning,
                    "Lay the panel on the finished cover in its place, measured from every edge; pin each quarter, then between."
                ),
                Step.Of(StepKind.Fastening, "Top-stitch all round, close to the edge."),
            ],
        };
    }

    private static Measure Size(Reading reading) => IsRound(reading) ? Diameter : W;

    private static bool IsRound(Reading reading) => reading.Chosen(Shape) is PanelShape.Round;
}

/// <summary>The answers to: Panel.</summary>
internal enum PanelShape
{
    Round,
    Square,
}
