using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// Draws the folded sheet. The fold lies across the middle; below it the half that becomes the underside, above it the
/// top.
/// Each back corner is a notch <c>G x G</c>, each front corner a notch <c>G</c> in from the side and <c>2G</c> long
/// across the fold.
/// </summary>
internal static class FoldedPiece
{
    public static Piece Of(Reading reading, FoldedSheet sheet)
    {
        var dimensions = new Dictionary<string, Working>
        {
            ["width"] = sheet.Width,
            ["length"] = sheet.Length,
            ["drop"] = sheet.Drop,
            ["radius"] = sheet.Radius,
        };
        var uncut = reading.Chosen(BoxedSheet.Corners) is CornerSchool.StitchOff;
        var allowances = Stitch(new Dimensions(dimensions))
            .Edges.ToDictionary(edge => edge.Name, edge => Allowance(reading, edge.Name));
        if (uncut)
            foreach (var side in new[] { "right", "left" })
                allowances[side] = Wider(allowances[$"{side} side lower"], allowances[$"{side} side upper"]);
        var (w, l, g) = (sheet.Width.Value, sheet.Length.Value, sheet.Drop.Value);
        var fold = (2 * g) + l;
        return new Piece("cover", "cover", 1, dimensions, Stitch)
        {
            UncutShape = uncut ? Uncut : null,
            Allowances = allowances,
            Lines = [new InnerLine("fold", new(g, fold), new(g + w, fold))],
            Notches = [new("zip lower", w.Over(2)), new("zip upper", w.Over(2))],
            Sizes = [.. Overall(reading, sheet, allowances), .. uncut ? [] : CutOuts(sheet, allowances)],
            Note = uncut ? "Nothing is cut out of the corners until the cover has been tried on." : "",
        };
    }

    private static Working Allowance(Reading reading, string edge)
    {
        var zip =
            edge.StartsWith("zip", StringComparison.Ordinal)
            && reading.Chosen(ZipSchools.School) is not ZipSchool.Round;
        return reading.EdgeAllowance(zip ? EdgeAllowances.Zip : EdgeAllowances.Seam, "cover", edge);
    }

    private static Working Wider(Working a, Working b) => a.Value >= b.Value ? a : b;

    private static IEnumerable<Size> Overall(Reading reading, FoldedSheet sheet, Dictionary<string, Working> allowances)
    {
        var right = Wider(allowances["right side lower"], allowances["right side upper"]);
        var left = Wider(allowances["left side lower"], allowances["left side upper"]);
        var (lower, upper) = (allowances["zip lower"], allowances["zip upper"]);
        var (w, h) = (sheet.Width.Value + (2 * sheet.Drop.Value), (2 * sheet.Length.Value) + (4 * sheet.Drop.Value));
        // The corner school moves cloth between top and drop; the sheet stays W + D by 2L + 2D.
        yield return new(
            "cut width",
            SizeKind.Cut,
            sheet.Box.Width + sheet.Box.Depth + left + right,
            new(-left.Value, -lower.Value),
            new(w + right.Value, -lower.Value)
        );
        yield return new(
            "cut length",
            SizeKind.Cut,
            (2 * sheet.Box.Length) + (2 * sheet.Box.Depth) + lower + upper,
            new(-left.Value, -lower.Value),
            new(-left.Value, h + upper.Value)
        );
        yield return new(
            "finished width of the top",
            SizeKind.Finished,
            sheet.Width,
            new(sheet.Drop.Value, sheet.Drop.Value + sheet.Length.Value.Over(2)),
            new(sheet.Drop.Value + sheet.Width.Value, sheet.Drop.Value + sheet.Length.Value.Over(2))
        );
        yield return new(
            "finished length of the top",
            SizeKind.Finished,
            sheet.Length,
            new(w.Over(2), h - sheet.Drop.Value - sheet.Length.Value),
            new(w.Over(2), h - sheet.Drop.Value)
        );
    }

    // The corner rule, c = G − s + a: s of the edge that is joined, a of the edge that it is measured in from (craft
    // §3).
    private static IEnumerable<Size> CutOuts(FoldedSheet sheet, Dictionary<string, Working> allowances)
    {
        Working Rule(string joined, string from) => (sheet.Drop - allowances[joined]) + allowances[from];
        var (w, l, g) = (sheet.Width.Value, sheet.Length.Value, sheet.Drop.Value);
        var (side, zip) = (allowances["right side lower"].Value, allowances["zip lower"].Value);
        var (endJoin, backJoin) = (allowances["right end lower"].Value, allowances["back right lower"].Value);
        var raw = w + (2 * g) + side;
        yield return new(
            "corner cut-out, in from the side",
            SizeKind.Cut,
            Rule("back right lower", "right side lower"),
            new(w + g + backJoin, g - endJoin),
            new(raw, g - endJoin)
        );
        yield return new(
            "corner cut-out, in from the zip edge",
            SizeKind.Cut,
            Rule("right end lower", "zip lower"),
            new(w + g + backJoin, -zip),
            new(w + g + backJoin, g - endJoin)
        );
        var fold = (2 * g) + l;
        var (below, above) = (
            sheet.Drop - allowances["right front lower"],
            sheet.Drop - allowances["right front upper"]
        );
        var join = allowances["front right"].Value;
        yield return new(
            "fold notch, in from the side",
            SizeKind.Cut,
            Rule("front right", "right side lower"),
            new(w + g + join, fold - below.Value),
            new(raw, fold - below.Value)
        );
        yield return new(
            "fold notch, to each side of the fold",
            SizeKind.Cut,
            below,
            new(w + g + join, fold - below.Value),
            new(w + g + join, fold)
        );
        yield return new(
            "fold notch, across the fold",
            SizeKind.Cut,
            Sum.Of(below, above),
            new(w + g + join, fold - below.Value),
            new(w + g + join, fold + above.Value)
        );
    }

    private static Outline Uncut(Dimensions d)
    {
        var (width, height) = (d["width"] + (2 * d["drop"]), (2 * d["length"]) + (4 * d["drop"]));
        return Outline.Rectangle(width, height, "zip lower", "right", "zip upper", "left");
    }

    private static Outline Stitch(Dimensions d)
    {
        var (w, l, g, r) = (d["width"], d["length"], d["drop"], d["radius"]);
        var full = (2 * l) + (4 * g);
        // The right side from the lower zip edge to the upper; the left side is the same, turned half round.
        List<(string Name, Point Start)> right =
        [
            ("back right lower", new(g + w, Length.Zero)),
            ("right end lower", new(g + w, g)),
            ("right side lower", new(w + (2 * g), g)),
            ("right front lower", new(w + (2 * g), g + l)),
            ("front right", new(g + w, g + l)),
            ("right front upper", new(g + w, (3 * g) + l)),
            ("right side upper", new(w + (2 * g), (3 * g) + l)),
            ("right end upper", new(w + (2 * g), (3 * g) + (2 * l))),
            ("back right upper", new(g + w, (3 * g) + (2 * l))),
        ];
        string[] leftNames =
        [
            "back left upper",
            "left end upper",
            "left side upper",
            "left front upper",
            "front left",
            "left front lower",
            "left side lower",
            "left end lower",
            "back left lower",
        ];
        Point Turned(Point p) => new(w + (2 * g) - p.X, full - p.Y);
        List<(string Name, Point Start)> corners =
        [
            ("zip lower", new(g, Length.Zero)),
            .. right,
            ("zip upper", new(g + w, full)),
            .. right.Zip(leftNames, (edge, name) => (name, Turned(edge.Start))),
        ];
        return new Outline([
            .. r.IsPositive ? Softened(corners, r) : corners.Select(corner => new Edge(corner.Name, corner.Start)),
        ]);
    }

    // A rounded inner: at each inner corner of a notch the corner line starts a little above the mark and curves into
    // both
    // sides: two arcs of radius r that meet at 45° on the corner's diagonal, tangent to the sides.
    private static IEnumerable<Edge> Softened(List<(string Name, Point Start)> corners, Length r)
    {
        var reach = r.Scaled(1.41421356237309504880m) - r;
        var inset = r - r.Scaled(0.70710678118654752440m);
        for (var at = 0; at < corners.Count; at++)
        {
            var (name, start) = corners[at];
            var (before, after) = (
                corners[(at + corners.Count - 1) % corners.Count].Start,
                corners[(at + 1) % corners.Count].Start
            );
            if (!TurnsInward(before, start, after))
            {
                yield return new Edge(name, start);
                continue;
            }
            var (into, outOf) = (Sign(before, start), Sign(start, after));
            // Into the top is straight on from the edge before, and back from the edge after.
            var apex = start.Moved((into.X - outOf.X) * inset, (into.Y - outOf.Y) * inset);
            var previous = corners[(at + corners.Count - 1) % corners.Count].Name;
            yield return new Edge(ArcName(previous, closing: true), start.Moved(-into.X * reach, -into.Y * reach), r);
            yield return new Edge(ArcName(name, closing: false), apex, r);
            yield return new Edge(name, start.Moved(outOf.X * reach, outOf.Y * reach));
        }
    }

    // The face's edge across the fold has an arc at both ends; every other edge of a notch has one.
    private static string ArcName(string edge, bool closing) =>
        closing && edge.StartsWith("front", StringComparison.Ordinal) ? $"{edge} second arc" : $"{edge} arc";

    private static bool TurnsInward(Point before, Point at, Point after) =>
        (at.Mm - before.Mm).Cross(after.Mm - at.Mm) < 0;

    private static (int X, int Y) Sign(Point from, Point to) =>
        (Math.Sign((to.X - from.X).Ticks), Math.Sign((to.Y - from.Y).Ticks));
}
