using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Server.Drafts;

/// <summary>How the figures of a setting out come about, a line each: from the stitch line and the allowances.</summary>
internal static class SettingOutWorking
{
    public static IReadOnlyList<string> Of(Piece piece, SettingOut set, JobUnit unit)
    {
        string Say(Length length) => LengthPrinter.Finished(length, unit).Text;
        var (left, bottom, _, _) = piece.Cut.Bounds();
        var at = set.Corners.ToDictionary(corner => corner.Name);
        string Across(string from, string to)
        {
            var (one, other) = (at[from], at[to]);
            return $"root of ({Say((other.Along - one.Along).Abs())}² + {Say((other.Across - one.Across).Abs())}²)";
        }
        return
        [
            .. set.Corners.Zip(
                piece.Line.Edges,
                (corner, edge) =>
                    $"{corner.Name} = {Corner(piece, edge, left, bottom, Say)} = {Say(corner.Along)} along, {Say(corner.Across)} across"
            ),
            .. set.Sides.Select(side =>
                side.Curve is { } curve
                    ? $"{side.From} to {side.To} = {Radius(piece, side.Name, Say)} = radius {Say(curve.Radius)}, chord {Across(side.From, side.To)} = {Say(curve.Chord)}"
                    : $"{side.From} to {side.To} = {Across(side.From, side.To)} = {Say(side.Length)}"
            ),
            .. set.Diagonals.Select(line =>
                $"{line.From} to {line.To} straight across = {Across(line.From, line.To)} = {Say(line.Length)}"
            ),
            .. piece
                .Notches.Where(notch => piece.Line.Has(notch.Edge))
                .Zip(set.Marks)
                // What stands at a corner needs no sum.
                .Where(pair => pair.Second.Along.IsPositive)
                .Select(pair => Mark(piece, pair.First, pair.Second, Say))
                .Distinct(),
            .. piece.Lines.Zip(
                set.Lines,
                (drawn, line) =>
                    $"{line.Kind} = {Inside(piece, drawn.From, Say)} to {Inside(piece, drawn.To, Say)}, from the first stitch corner, which lies {Say(piece.Stitch.Edges[0].Start.X - left)} along, {Say(piece.Stitch.Edges[0].Start.Y - bottom)} across"
            ),
        ];
    }

    // On a straight edge what the cut line's corner lies further out than that of the stitch line comes on top.
    private static string Mark(Piece piece, Notch notch, SetMark mark, Func<Length, string> say)
    {
        var at = piece.Line.Edges.Select(edge => edge.Name).ToList().IndexOf(notch.Edge);
        var fromStart = mark.From == SettingOut.Corner(at);
        var stitched = fromStart ? notch.At : piece.Stitch.LengthOf(notch.Edge) - notch.At;
        var further = mark.Along - stitched;
        var way = $"{mark.What} on {mark.Side} = {say(stitched)} along the stitch line";
        return piece.Stitch.Edges.First(edge => edge.Name == notch.Edge).Radius is not null
                ? $"{way}, then square across to the cut line = {say(mark.Along)} from {mark.From}"
            : further == Length.Zero ? $"{way} = {say(mark.Along)} from {mark.From}"
            : $"{way} {(further.IsPositive ? "+" : "-")} {say(further.Abs())} that the cut line's corner lies {(further.IsPositive ? "further out" : "further in")} = {say(mark.Along)} from {mark.From}";
    }

    private static string Inside(Piece piece, Point point, Func<Length, string> say)
    {
        var first = piece.Stitch.Edges[0].Start;
        return $"{say(point.X - first.X)}, {say(point.Y - first.Y)}";
    }

    private static string Corner(Piece piece, Edge edge, Length left, Length bottom, Func<Length, string> say)
    {
        if (!piece.Stitch.Has(edge.Name))
            return "as the raw edge is drawn";
        var stitch = piece.Stitch.Edges.First(each => each.Name == edge.Name).Start;
        var corner = $"stitch corner at {say(stitch.X - left)}, {say(stitch.Y - bottom)}";
        if (piece.IsRough)
            return $"{corner}, the line to expect";
        var before = piece.Stitch.EdgeBefore(edge.Name);
        string Out(string name) =>
            $"{say(piece.Allowances.GetValueOrDefault(name)?.Value ?? Length.Zero)} out from {name}";
        return $"{corner}, {Out(before)}, {Out(edge.Name)}";
    }

    private static string Radius(Piece piece, string name, Func<Length, string> say)
    {
        if (piece.IsRough || !piece.Stitch.Has(name))
            return "as drawn";
        var edge = piece.Stitch.Edges.First(each => each.Name == name);
        if (edge.Radius is not { } radius)
            return "as drawn";
        var allowance = piece.Allowances.GetValueOrDefault(name)?.Value ?? Length.Zero;
        var concentric = edge.Outward ? radius + allowance : radius - allowance;
        return piece.Cut.Edges.First(each => each.Name == name).Radius == concentric
            ? $"stitch radius {say(radius)} {(edge.Outward ? "+" : "-")} {say(allowance)}"
            : $"stitch radius {say(radius)}, from one neighbour's allowance to the other's";
    }
}
