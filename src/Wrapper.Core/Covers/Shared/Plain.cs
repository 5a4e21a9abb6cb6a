using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>Plain pieces and seams, and edges in no seam.</summary>
internal static class Plain
{
    /// <summary>The edges of a plain piece, anticlockwise from the lower one.</summary>
    public static readonly string[] Sides = ["lower", "right", "upper", "left"];

    /// <summary>
    /// A rectangle with lower, right, upper and left edges, each with the allowance that <paramref name="allowance"/>
    /// gives it.
    /// </summary>
    public static Piece Rectangle(
        string key,
        string name,
        int quantity,
        Working width,
        Working height,
        Func<string, Working> allowance,
        string across = "width",
        string up = "length"
    ) =>
        (
            Drawn(key, name, quantity, width, height) with
            {
                Allowances = Sides.ToDictionary(edge => edge, allowance),
            }
        ).Measured(width, height, across, up);

    /// <summary>A rectangular filling of this role, cut to size.</summary>
    public static Piece Sheet(
        ClothRole role,
        string key,
        string name,
        Working width,
        Working height,
        int quantity = 1,
        string note = ""
    ) =>
        Drawn(key, name, quantity, width, height).Measured(width, height) with
        {
            Role = role,
            Grain = Grain.Either,
            Note = note,
        };

    private static Piece Drawn(string key, string name, int quantity, Working width, Working height) =>
        new(
            key,
            name,
            quantity,
            new Dictionary<string, Working> { ["width"] = width, ["height"] = height },
            d => Outline.Rectangle(d["width"], d["height"], Sides[0], Sides[1], Sides[2], Sides[3])
        );

    /// <summary>A seam of two whole edges.</summary>
    public static Seam Join(
        string name,
        (string Piece, int Instance, string Edge) left,
        (string Piece, int Instance, string Edge) right,
        Working drafted,
        SeamKind kind = SeamKind.Join
    ) =>
        new(
            name,
            kind,
            [new Run(left.Piece, left.Instance, left.Edge)],
            [new Run(right.Piece, right.Instance, right.Edge)],
            drafted
        );

    /// <summary>Edges in no seam.</summary>
    public static IEnumerable<Use> Unsewn(
        EdgeUse kind,
        string piece,
        int instances,
        params IEnumerable<string> edges
    ) =>
        from instance in Enumerable.Range(1, instances)
        from edge in edges
        select new Use(kind, new Run(piece, instance, edge));
}
