using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Drawings;

namespace Wrapper.Formats.Prints;

/// <summary>
/// One page of a drawing that is printed in parts: its column and row from the lower left, and the corner of the drawing
/// that its printed area begins at.
/// </summary>
public sealed record Tile(int Column, int Row, Point Corner)
{
    /// <summary>What it is called: columns have letters, rows numbers from 1.</summary>
    public string Name => $"{Letters(Column)}{Row + 1}";

    private static string Letters(int column) =>
        column < 26 ? $"{(char)('A' + column)}" : Letters((column / 26) - 1) + Letters(column % 26);
}

/// <summary>
/// How a drawing is parted into pages: printed areas overlap by a thumb's width, so that they can be stuck over one
/// another, and pages that would hold nothing are left out.
/// </summary>
public sealed class Tiling
{
    /// <summary>What a printer leaves white all round.</summary>
    public static readonly Length Margin = Length.Millimetres(10);

    /// <summary>By how much one page lies over the next.</summary>
    public static readonly Length Overlap = Length.Millimetres(10);

    private const double Tolerance = 0.5;

    /// <summary>Parts <paramref name="drawing"/>, whose box begins at (0, 0), into pages of <paramref name="paper"/>.</summary>
    public Tiling(Drawing drawing, Paper paper)
    {
        (Width, Height) = (paper.Width - (2 * Margin), paper.Height - (2 * Margin));
        var (_, _, right, top) = drawing.Bounds();
        Columns = Count(right, Width);
        Rows = Count(top, Height);
        var held = new HashSet<(int, int)>();
        foreach (var stroke in drawing.Strokes)
            Hold(stroke, held);
        Tiles =
        [
            .. from row in Enumerable.Range(0, Rows)
            from column in Enumerable.Range(0, Columns)
            where held.Contains((column, row))
            select new Tile(column, row, new(column * Across, row * Up)),
        ];
    }

    /// <summary>The printed area of a page.</summary>
    public Length Width { get; }

    /// <summary>The printed area of a page.</summary>
    public Length Height { get; }

    /// <summary>How many pages lie beside each other.</summary>
    public int Columns { get; }

    /// <summary>How many lie above each other.</summary>
    public int Rows { get; }

    /// <summary>The pages that hold something, row by row from below.</summary>
    public IReadOnlyList<Tile> Tiles { get; }

    private Length Across => Width - Overlap;
    private Length Up => Height - Overlap;

    private static int Count(Length extent, Length page) =>
        extent <= page ? 1 : (int)(((extent - Overlap).Ticks + (page - Overlap).Ticks - 1) / (page - Overlap).Ticks);

    // Every part of a line, straightened to within half a millimetre, is held by the pages that its box touches.
    private void Hold(Stroke stroke, HashSet<(int, int)> held)
    {
        foreach (var curve in stroke.Curves())
        {
            var steps = (int)
                Math.Clamp(Math.Ceiling(curve.Length().ToMillimetres() / (curve.Radius is null ? 20 : 5)), 1, 100_000);
            var before = curve.A;
            for (var n = 1; n <= steps; n++)
            {
                var at = curve.At((double)n / steps);
                foreach (var column in Touched(before.X, at.X, Width, Across, Columns))
                foreach (var row in Touched(before.Y, at.Y, Height, Up, Rows))
                    held.Add((column, row));
                before = at;
            }
        }
    }

    private static IEnumerable<int> Touched(double a, double b, Length page, Length step, int count)
    {
        var (from, to) = (Math.Min(a, b) - Tolerance, Math.Max(a, b) + Tolerance);
        for (var n = 0; n < count; n++)
            if (n * step.ToMillimetres() <= to && (n * step.ToMillimetres()) + page.ToMillimetres() >= from)
                yield return n;
    }
}
