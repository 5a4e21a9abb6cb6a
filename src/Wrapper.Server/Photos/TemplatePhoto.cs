using SkiaSharp;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Photos;

/// <summary>
/// The edge of a template in a photo: as points to be entered, in the unit of the job, and as corners on the photo to be
/// seen there; how far it reaches across and along, to be held against the tape.
/// </summary>
public sealed record TemplateEdge(string Points, string Across, string Along, IReadOnlyList<int> Corners);

/// <summary>
/// Reads the outline of a template that lies flat beside a square of known size: the square says how the photo was held,
/// the edge is followed by how the template's colour differs from the ground's.
/// </summary>
internal static class TemplatePhoto
{
    private const int Enough = 1400,
        Least = 64,
        // Parts of a dot that corners are told in.
        Finer = 256,
        MostPoints = 40;

    // Of the whole picture: less is a speck.
    private const double LeastShare = 0.002;

    /// <summary>
    /// The edge of what lies under a place of the photo; corners of the square as x and y of its upper left, upper right,
    /// lower right and lower left one. Or why there is none.
    /// </summary>
    public static (TemplateEdge? Edge, string? Reason) Read(
        UprightPhoto photo,
        IReadOnlyList<int> square,
        Length side,
        (int X, int Y) at,
        JobUnit unit
    )
    {
        var share = Math.Min(1.0, (double)Enough / Math.Max(photo.Image.Width, photo.Image.Height));
        var (wide, high) = ((int)(photo.Image.Width * share), (int)(photo.Image.Height * share));
        if (Math.Min(wide, high) < Least)
            return (null, "the picture is too small, or too long and narrow, for an edge to be followed");
        using var small = new SKBitmap(new SKImageInfo(wide, high, SKColorType.Bgra8888));
        if (
            !photo.Image.ScalePixels(
                small.PeekPixels(),
                new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            )
        )
            return (null, "the picture cannot be read");
        var perDot = (double)photo.Width / wide;
        using var fine = SKBitmap.FromImage(photo.Image);
        var perFine = (double)photo.Width / photo.Image.Width;
        // Corners as they were set say where to look; the square itself says where they are.
        if (
            Perspective.To(square) is null
            || Perspective.To([
                .. SquareEdges
                    .Found(fine, [.. square.Select(corner => corner / perFine)])
                    .Select(corner => (int)Math.Round(corner * perFine * Finer)),
            ])
                is not { } held
        )
            return (null, "the four corners go round no square: put them on its corners, one after the other");
        var (x, y) = ((int)(at.X / perDot), (int)(at.Y / perDot));
        if (x < 1 || y < 1 || x >= wide - 1 || y >= high - 1)
            return (null, "tap the middle of the template");
        var marked = Alike(small, x, y);
        if (EdgeTrace.Around(marked, wide, x, y) is not { } edge)
            return (null, "no edge is found there: tap the middle of the template");
        if (edge.Any(corner => corner.X == 0 || corner.Y == 0 || corner.X == wide || corner.Y == high))
            return (
                null,
                "the template runs out of the picture, or the ground is of its colour: lay it on another ground"
            );
        // On the table, in millimetres, y away from whoever took it.
        List<(double X, double Y)> ring =
        [
            .. edge.Select(corner => held.OnSquare(corner.X * perDot * Finer, corner.Y * perDot * Finer))
                .Select(on => (on.U * Millimetres(side), -on.V * Millimetres(side))),
        ];
        if (Math.Abs(Area(edge)) < LeastShare * wide * high)
            return (null, "what is there is too small: tap the template itself");
        var tolerance = 1.0;
        var few = EdgeTrace.Fewest(ring, tolerance);
        for (; few.Count > MostPoints; few = EdgeTrace.Fewest(ring, tolerance))
            tolerance *= 1.3;
        var (left, bottom) = (few.Min(point => point.X), few.Min(point => point.Y));
        return (
            new(
                string.Join("; ", few.Select(point => $"{Say(point.X - left, unit)}, {Say(point.Y - bottom, unit)}")),
                $"{Say(few.Max(point => point.X) - left, unit)} {LengthPrinter.Word(unit)}",
                $"{Say(few.Max(point => point.Y) - bottom, unit)} {LengthPrinter.Word(unit)}",
                [.. edge.SelectMany(corner => new[] { (int)(corner.X * perDot), (int)(corner.Y * perDot) })]
            ),
            null
        );
    }

    private static double Millimetres(Length length) => (double)length.Ticks / Length.TicksPerMillimetre;

    private static string Say(double millimetres, JobUnit unit) =>
        LengthPrinter.Finished(new Length((long)Math.Round(millimetres * Length.TicksPerMillimetre)), unit).Text;

    // Dots whose colour is nearer to that of the tapped place than to the rest: parted where both sides differ most
    // within themselves the least (N. Otsu, 1979).
    private static bool[] Alike(SKBitmap picture, int x, int y)
    {
        var dots = picture.Pixels;
        var (red, green, blue) = (0, 0, 0);
        for (var dy = -1; dy <= 1; dy++)
        for (var dx = -1; dx <= 1; dx++)
        {
            var dot = dots[((y + dy) * picture.Width) + x + dx];
            (red, green, blue) = (red + dot.Red, green + dot.Green, blue + dot.Blue);
        }
        var off = new byte[dots.Length];
        var counts = new long[256];
        for (var at = 0; at < dots.Length; at++)
        {
            var (r, g, b) = (dots[at].Red - (red / 9), dots[at].Green - (green / 9), dots[at].Blue - (blue / 9));
            off[at] = (byte)Math.Min(255, Math.Sqrt((r * r) + (g * g) + (b * b)));
            counts[off[at]]++;
        }
        var parted = Parted(counts, dots.Length);
        return [.. off.Select(each => each <= parted)];
    }

    private static int Parted(long[] counts, long all)
    {
        var sum = counts.Select((count, value) => (double)count * value).Sum();
        var (best, parted, below, sumBelow) = (-1.0, 0, 0L, 0.0);
        for (var value = 0; value < 255; value++)
        {
            (below, sumBelow) = (below + counts[value], sumBelow + ((double)counts[value] * value));
            if (below == 0 || below == all)
                continue;
            var apart = (sumBelow / below) - ((sum - sumBelow) / (all - below));
            if (below * (double)(all - below) * apart * apart is var between && between > best)
                (best, parted) = (between, value);
        }
        return parted;
    }

    private static double Area(IReadOnlyList<(int X, int Y)> ring) =>
        ring.Select(
                (corner, at) =>
                    ((double)corner.X * ring[(at + 1) % ring.Count].Y)
                    - ((double)ring[(at + 1) % ring.Count].X * corner.Y)
            )
            .Sum() / 2;
}
