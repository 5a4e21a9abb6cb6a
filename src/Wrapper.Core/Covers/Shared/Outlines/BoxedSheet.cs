using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// A flat sheet that turns down all round a top of straight sides: on every side a flap as deep as that side's fall,
/// its ends square to
/// the side, joined at the corners (the corner rule, craft §3). Edges: <c>front</c> is a flap's outer edge, <c>front
/// start</c> and
/// <c>front end</c> its two ends.
/// </summary>
internal sealed class BoxedSheet
{
    /// <summary>The corner schools (craft §3).</summary>
    internal static readonly OptionChoice<CornerSchool> Corners = Choice.Of(
        "corners",
        "Corners",
        "Corners",
        Option.Of(
            CornerSchool.Cut,
            "Cut first",
            "The waste is cut out by the corner rule: the top finishes as measured."
        ),
        Option.Of(
            CornerSchool.StitchOff,
            "Stitch off, then trim",
            "Nothing is cut first: stitch across each corner, turn, try on, then trim. For a first cover, and for rounded inners."
        ),
        Option.Of(
            CornerSchool.SquareDrop,
            "Square = drop",
            "The whole drop is cut out, raw edge included: the top finishes two seam allowances smaller each way. For soft inners."
        )
    );

    private readonly SeatOutline top;
    private readonly Working fall;
    private readonly Func<string, Working> seam;
    private readonly bool uncut;
    private readonly Working radius;

    /// <summary>
    /// A sheet over <paramref name="seat"/> that turns down by <paramref name="fall"/>. <paramref name="seam"/> gives
    /// the allowance of each flap end; with <paramref name="stitchOff"/> nothing is cut out before the corners are sewn,
    /// and over a rounded inner of <paramref name="radius"/> each corner's line starts above the mark and curves.
    /// </summary>
    public BoxedSheet(
        SeatOutline seat,
        Working fall,
        Func<string, Working> seam,
        bool stitchOff = false,
        Working? radius = null
    )
    {
        (top, this.fall, this.seam, uncut) = (seat, fall.As("G", "fold-down"), seam, stitchOff);
        this.radius = radius ?? Sum.Of();
        Sides = [.. seat.Outline.Edges.Select(edge => edge.Name)];
    }

    /// <summary>
    /// The same by the corner school that is chosen; square = drop moves a seam allowance from the top to the sides.
    /// </summary>
    public static BoxedSheet BySchool(
        Reading reading,
        SeatOutline seat,
        Working fall,
        string piece,
        Working? radius = null
    )
    {
        var s = reading[EdgeAllowances.Seam];
        var whole = reading.Chosen(Corners) is CornerSchool.SquareDrop;
        return new(
            whole ? seat.Grown(s, inward: true) : seat,
            whole ? fall + s : fall,
            end => reading.EdgeAllowance(EdgeAllowances.Seam, piece, end),
            reading.Chosen(Corners) is CornerSchool.StitchOff,
            radius
        );
    }

    /// <summary>The sides of the top, anticlockwise from the front.</summary>
    public IReadOnlyList<string> Sides { get; }

    public SeatOutline Top => top;

    public Working Fall => fall;

    /// <summary>
    /// How far above the mark a corner's line leaves the side: an arc of that radius has turned 45° after so much.
    /// </summary>
    public Working ArcReach => radius.TimesRoot2() - radius;

    private bool IsSoftened => radius.Value.IsPositive;

    private IEnumerable<Run> CornerRuns(string key, int instance, string end) =>
        IsSoftened
            ? [new Run(key, instance, end), new Run(key, instance, $"{end} arc")]
            : [new Run(key, instance, end)];

    /// <summary>Why a sheet cannot be turned down over such a top; null when it can.</summary>
    public static string? Refusal(SeatOutline seat) =>
        seat switch
        {
            { IsStraight: false } => "a boxed corner needs straight sides: this outline has a curve",
            { IsConvex: false } => "a sheet cannot be turned down into an inside corner",
            _ when seat.FlatCorner() is { } flat =>
                $"the corner between {flat.From} and {flat.To} is too flat to be boxed: there is no room for the allowances of its seam",
            _ => null,
        };

    /// <summary>
    /// The sheet as a piece; <paramref name="outer"/> gives the allowance of a flap's outer edge, flap ends are seams.
    /// </summary>
    public Piece Piece(string key, string name, int quantity, Func<string, Working> outer)
    {
        var allowances = new Dictionary<string, Working>();
        foreach (var side in Sides)
        {
            allowances[side] = outer(side);
            foreach (var end in (string[])["start", "end"])
                allowances[$"{side} {end}"] = seam($"{side} {end}");
        }
        var dimensions = top.Dimensions.ToDictionary(pair => pair.Key, pair => pair.Value);
        dimensions["fall"] = fall;
        dimensions["soften"] = radius;
        var inner = top.Shape;
        var piece = new Piece(key, name, quantity, dimensions, d => Flapped(inner(d), d["fall"], d["soften"]))
        {
            Allowances = allowances,
            UncutShape = uncut ? d => Offset.Outward(inner(d), _ => d["fall"]) : null,
            Note = uncut ? "Nothing is cut out of the corners until the cover has been tried on." : "",
        };
        return piece.Measured(
            top.Width + (2 * fall),
            top.Depth + (2 * fall),
            more:
            [
                .. uncut || !IsSquare ? [] : CutOuts(allowances),
                .. top.Diagonals(piece.Stitch, side => $"{side} start"),
            ]
        );
    }

    /// <summary>The corner seams of one instance, both sides on the sheet itself.</summary>
    public IEnumerable<Seam> CornerSeams(string key, int instance, string label) =>
        Sides.Select(
            (side, at) =>
            {
                var next = Sides[(at + 1) % Sides.Count];
                return new Seam(
                    $"{side} to {next} corner{label}",
                    SeamKind.Dart,
                    [.. CornerRuns(key, instance, $"{side} end")],
                    [.. CornerRuns(key, instance, $"{next} start")],
                    IsSoftened ? (fall - ArcReach) + (radius.TimesPi() / 4) : fall
                );
            }
        );

    /// <summary>
    /// What the chosen school does to the finished size, and how corners are stitched off: two layers with a seam are
    /// opened flat; a <paramref name="single"/> sheet is folded on the diagonal and marked at <c>G + a</c> from its raw
    /// edges (craft §3).
    /// </summary>
    public IEnumerable<Remark> Remarks(Reading reading, Piece? single = null)
    {
        var s = reading[EdgeAllowances.Seam].Value;
        if (reading.Chosen(Corners) is CornerSchool.SquareDrop)
            yield return new Remark(
                $"Top finishes {reading.Say(2 * s)} smaller each way, the sides {reading.Say(s)} deeper: snug. Right for a soft inner, wrong for a rigid top."
            );
        if (reading.Chosen(Corners) is not CornerSchool.StitchOff)
            yield break;
        var curved = IsSoftened
            ? $" The inner is rounded: the line starts {reading.Say(ArcReach.Value)} above the mark and curves at both ends."
            : "";
        yield return new Remark(
            single is null
                ? $"Open each corner flat, seam on seam, and stitch straight across where it measures {reading.Say(2 * fall.Value)}, half on each side.{curved} Try the cover on, right side out, before trimming."
                : $"Fold each corner on the diagonal and stitch square to the raw edges, {FromRawEdges(single)} from each.{curved} Try the cover on, right side out, before trimming."
        );

        string FromRawEdges(Piece sheet) =>
            string.Join(
                " or ",
                Sides.Select(side => reading.Say(fall.Value + sheet.Allowances[side].Value)).Distinct()
            );
    }

    private bool IsSquare =>
        Sides.Count == 4
        && top.Outline.Edges.Zip(top.Outline.Edges.Skip(1))
            .All(pair => pair.First.Start.X == pair.Second.Start.X || pair.First.Start.Y == pair.Second.Start.Y);

    // Each flap stands on its side; its ends are square to it.
    private static Outline Flapped(Outline inner, Length fall, Length radius)
    {
        var edges = new List<Edge>();
        for (var at = 0; at < inner.Edges.Count; at++)
        {
            var (curve, name) = (inner.Curve(at), inner.Edges[at].Name);
            var outward = fall.ToMillimetres() * curve.Direction(0).Right();
            if (!radius.IsPositive)
                edges.Add(new Edge($"{name} start", inner.Edges[at].Start));
            edges.Add(new Edge(name, Snap(curve.A + outward)));
            edges.Add(new Edge($"{name} end", Snap(curve.B + outward)));
            if (radius.IsPositive)
            {
                var after = (at + 1) % inner.Edges.Count;
                edges.AddRange(
                    Softened(name, inner.Edges[after].Name, curve, inner.Curve(after), radius.ToMillimetres())
                );
            }
        }
        return new Outline(edges);
    }

    // A rounded inner: at a square corner the line leaves the end of one flap above the mark and comes to the next in two
    // arcs that meet at 45° on the corner's diagonal, tangent to both.
    private static IEnumerable<Edge> Softened(string side, string next, Curve before, Curve after, double r)
    {
        var (corner, into, outOf) = (before.B, -1 * before.Direction(1).Right(), after.Direction(0).Right());
        var (reach, inset) = ((Math.Sqrt(2) - 1) * r, r - (r / Math.Sqrt(2)));
        yield return new Edge($"{side} end arc", Snap(corner - (reach * into)), Length.Snap(r));
        yield return new Edge($"{next} start arc", Snap(corner + (inset * (into - outOf))), Length.Snap(r));
        yield return new Edge($"{next} start", Snap(corner + (reach * outOf)));
    }

    private static Point Snap(Vec v) => new(Length.Snap(v.X), Length.Snap(v.Y));

    // The corner rule, c = G − s + a: s of the edges that are joined, a of the edge it is measured in from.
    private IEnumerable<Size> CutOuts(Dictionary<string, Working> allowances)
    {
        var (first, last) = (Sides[0], Sides[^1]);
        var (front, left) = (allowances[first], allowances[last]);
        var (inFront, inLeft) = (
            (fall - allowances[$"{last} end"]) + front,
            (fall - allowances[$"{first} start"]) + left
        );
        var corner = new Point(-fall.Value - left.Value, -fall.Value - front.Value);
        yield return new(
            "corner cut-out, in from the front",
            SizeKind.Cut,
            inFront,
            corner.Moved(inLeft.Value, Length.Zero),
            corner.Moved(inLeft.Value, inFront.Value)
        );
        yield return new(
            "corner cut-out, in from the side",
            SizeKind.Cut,
            inLeft,
            corner.Moved(Length.Zero, inFront.Value),
            corner.Moved(inLeft.Value, inFront.Value)
        );
    }
}

/// <summary>The answers to: Corners.</summary>
internal enum CornerSchool
{
    Cut,
    StitchOff,
    SquareDrop,
}
