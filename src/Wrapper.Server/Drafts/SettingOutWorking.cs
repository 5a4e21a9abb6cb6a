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
        ];
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
