using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// One face of a slip-over: the back with its ease, half the depth more on every side but the lower one. Where a side
/// meets the top the
/// corner is stitched off to the depth (corner rule, <c>G</c> = half the depth); a traced back is simply seamed round.
/// </summary>
internal sealed class SlipOverFace
{
    private readonly Reading reading;
    private readonly Working half;
    private readonly Dictionary<string, Working> dimensions = [];
    private readonly Func<Dimensions, Outline> inner;

    public SlipOverFace(Reading reading)
    {
        this.reading = reading;
        IsTraced = reading.Chosen(ChairBackSlipOver.Back) is BackShape.Traced;
        half = (reading[ChairBackSlipOver.D] / 2).As("G", "half the depth");
        var wide = new Allowance("e", AllowanceRole.Ease, reading[ChairBackSlipOver.WidthEase]);
        var high = new Allowance("e'", AllowanceRole.Ease, reading[ChairBackSlipOver.HeightEase]);
        if (IsTraced)
        {
            var traced = reading.Traced(ChairBackSlipOver.O)!;
            Lower = traced
                .Edges.Select((edge, at) => (edge.Name, traced.Curve(at).At(0.5).Y))
                .MinBy(edge => edge.Y)
                .Name;
            var lower = Lower;
            (dimensions["half"], dimensions["ease"]) = (half, (Working)wide / 2);
            inner = d => Offset.Outward(traced, edge => edge == lower ? Length.Zero : d["ease"]);
            return;
        }
        Lower = "lower";
        var foot =
            reading.Chosen(ChairBackSlipOver.Back) is BackShape.Straight
                ? reading[ChairBackSlipOver.W]
                : reading[ChairBackSlipOver.B];
        dimensions = new()
        {
            ["top"] = reading[ChairBackSlipOver.W] + wide,
            ["foot"] = foot + wide,
            ["height"] = reading[ChairBackSlipOver.H] + high,
            ["rise"] =
                reading.Chosen(ChairBackSlipOver.Back) is BackShape.Arched
                    ? reading[ChairBackSlipOver.RiseOfTheArch]
                    : Sum.Of(),
            ["half"] = half,
        };
        inner = d => ChairBackSlipOver.Face(d["top"], d["foot"], d["height"], d["rise"]);
    }

    public bool IsTraced { get; }

    public string Lower { get; }

    public Working Width =>
        Extent(
            bounds => bounds.Right - bounds.Left,
            IsTraced ? null : new Extreme(Larger: true, dimensions["top"], dimensions["foot"]) + (2 * half)
        );

    public Working Height =>
        Extent(
            bounds => bounds.Top - bounds.Bottom,
            IsTraced ? null : dimensions["height"] + dimensions["rise"] + half
        );

    public Piece Piece(string key, string name, bool lined) =>
        new Piece(key, name, 2, dimensions, Shape)
        {
            Allowances = Shape(new Dimensions(dimensions))
                .Edges.Concat(Uncut(new Dimensions(dimensions)).Edges)
                .Select(edge => edge.Name)
                .Distinct()
                .ToDictionary(
                    edge => edge,
                    edge =>
                        reading.EdgeAllowance(
                            edge == Lower && !lined ? ChairBackSlipOver.Hem : EdgeAllowances.Seam,
                            key,
                            edge
                        )
                ),
            UncutShape = IsTraced ? null : Uncut,
            TurnedOver = true,
            Note = IsTraced
                ? "Notch inside corners and clip hollows before turning."
                : "Nothing is cut out of the top corners until the cover has been tried on.",
        }.Measured(Width, Height, "width", "height");

    public Working Foot(Outline drawn) =>
        Working.Of("lower edge", "lower edge of a face as drawn", drawn.LengthOf(Lower));

    /// <summary>The seams of a pair of faces of the same piece: sides, top with its gaps, and both corners.</summary>
    public IEnumerable<Seam> Around(Piece piece)
    {
        var of = piece.Key == "lining" ? ", lining" : "";
        Working Drawn(string edge) => Working.Of(edge, $"{edge} as drawn", piece.Stitch.LengthOf(edge));
        if (IsTraced)
        {
            foreach (var edge in piece.Stitch.Edges.Select(edge => edge.Name).Where(edge => edge != Lower))
                yield return Plain.Join($"side {edge}{of}", (piece.Key, 1, edge), (piece.Key, 2, edge), Drawn(edge));
            yield break;
        }
        foreach (var side in (string[])["right side", "left side"])
            yield return Plain.Join($"{side}{of}", (piece.Key, 1, side), (piece.Key, 2, side), Drawn(side));
        foreach (var seam in Top(piece.Key, Drawn("top"), of))
            yield return seam;
        foreach (
            var (hand, from, to) in new[]
            {
                ("right", "right side end", "top start"),
                ("left", "top end", "left side start"),
            }
        )
            yield return new(
                $"{hand} corner{of}",
                SeamKind.Join,
                [new Run(piece.Key, 2, from), new Run(piece.Key, 1, from)],
                [new Run(piece.Key, 2, to), new Run(piece.Key, 1, to)],
                2 * half
            );
    }

    // A finial stands in a gap of the top seam.
    private IEnumerable<Seam> Top(string key, Working top, string of)
    {
        Seam Part(string name, SeamKind kind, Length? from, Length? to, Working drafted) =>
            new($"{name}{of}", kind, [new Run(key, 1, "top", from, to)], [new Run(key, 2, "top", from, to)], drafted);
        var gap = Working.Of("finial", "gap for a finial", reading[ChairBackSlipOver.FinialGap]);
        switch (reading.Chosen(ChairBackSlipOver.Finials))
        {
            case FinialPlaces.Middle:
                var beside = (top - gap) / 2;
                yield return Part("top, right of the finial", SeamKind.Join, null, beside.Value, beside);
                yield return Part("top, finial gap", SeamKind.Opening, beside.Value, beside.Value + gap.Value, gap);
                yield return Part("top, left of the finial", SeamKind.Join, beside.Value + gap.Value, null, beside);
                break;
            case FinialPlaces.Ends:
                var between = top - (2 * gap);
                yield return Part("top, right finial gap", SeamKind.Opening, null, gap.Value, gap);
                yield return Part("top", SeamKind.Join, gap.Value, gap.Value + between.Value, between);
                yield return Part("top, left finial gap", SeamKind.Opening, gap.Value + between.Value, null, gap);
                break;
            default:
                yield return Part("top", SeamKind.Join, null, null, top);
                break;
        }
    }

    private Outline Uncut(Dimensions d) => Offset.Outward(inner(d), edge => edge == Lower ? Length.Zero : d["half"]);

    // The uncut face with both top corners taken out: each flap ends square to its own side.
    private Outline Shape(Dimensions d)
    {
        if (IsTraced)
            return Uncut(d);
        var (body, face) = (inner(d), Uncut(d));
        var g = d["half"].ToMillimetres();
        Point Out(string edge, double share)
        {
            var curve = body.Curve(edge);
            var at = curve.At(share) + (g * curve.Direction(share).Right());
            return new(Length.Snap(at.X), Length.Snap(at.Y));
        }
        Edge Of(string name) => face.Edges.First(edge => edge.Name == name);
        Point Corner(string name) => body.Edges.First(edge => edge.Name == name).Start;
        return new Outline([
            Of("lower"),
            Of("right side"),
            new("right side end", Out("right side", 1)),
            new("top start", Corner("top")),
            Of("top") with
            {
                Start = Out("top", 0),
            },
            new("top end", Out("top", 1)),
            new("left side start", Corner("left side")),
            Of("left side") with
            {
                Start = Out("left side", 0),
            },
        ]);
    }

    private Working Extent(Func<(Length Left, Length Bottom, Length Right, Length Top), Length> of, Working? formula)
    {
        var drawn = of(Shape(new Dimensions(dimensions)).Bounds());
        return formula is not null && (formula.Value - drawn).Abs().Ticks <= 4
            ? formula
            : Working.Of("as drawn", "extent as drawn", drawn);
    }
}
