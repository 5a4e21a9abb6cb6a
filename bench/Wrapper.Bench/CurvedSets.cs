using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Bench;

/// <summary>
/// Slanted and curved pieces of which a lay is known by construction: the cloth itself cut along slants and arcs, or
/// pieces that fill it edge to edge. Lengths in sixteenths of an inch.
/// </summary>
internal static class CurvedSets
{
    private const int Width = 54 * 16;

    /// <summary>Width of the cloth that they are made for.</summary>
    public static readonly Length Usable = Length.Inches(54);

    /// <summary>
    /// Tapered seats, all alike: head to foot three lie abreast in 54 in, two otherwise. 12 of them take 72 in.
    /// </summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Seats(int count)
    {
        // (front + back) / 2 x 3 and half a taper make up the width: 20 + 14 + 20 in.
        var seat = Polygon((0, 0), (20 * 16, 0), (17 * 16, 18 * 16), (3 * 16, 18 * 16));
        return (All(count, _ => (seat, Grain.Along)), Sixteenths((count + 2) / 3 * 18 * 16));
    }

    /// <summary>Bias pieces, all alike, that lie edge to edge: their triangles at both selvedges are all that is lost.</summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Bias(int count)
    {
        // Seven of 6 in and a slant of 12 in make up the width.
        var strip = Polygon((0, 0), (6 * 16, 0), (18 * 16, 12 * 16), (12 * 16, 12 * 16));
        return (All(count, _ => (strip, Grain.Along)), Sixteenths((count + 6) / 7 * 12 * 16));
    }

    /// <summary>Discs of six to the width, rows nested into each other as honeycombs are.</summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Discs(int count)
    {
        var across = Length.Inches(9);
        var radius = across.Over(2);
        var disc = new Outline([
            new("a", new Point(Length.Zero, radius), radius),
            new("b", new Point(across, radius), radius),
        ]);
        // Six and five by turns; a row is half of root three below the next.
        var (rows, left) = (0, count);
        while (left > 0)
            left -= rows++ % 2 == 0 ? 6 : 5;
        var length = (double)across.Ticks * (1 + ((rows - 1) * Math.Sqrt(0.75)));
        return (All(count, _ => (disc, Grain.Either)), new Length((long)Math.Ceiling(length)));
    }

    /// <summary>Bands across the cloth, each cut into trapezoids by random slants: nothing is left over.</summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Trapezoids(int count, int seed) =>
        Bands(count, seed, bow: 0);

    /// <summary>The same, cut along arcs: what bulges on one side of a cut is hollow on the other.</summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Arcs(int count, int seed) =>
        Bands(count, seed, bow: 1);

    /// <summary>
    /// What workrooms cut: rounded pads, bow fronts, tapered seats, T cushions. No lay of them is known, only what no lay
    /// is under.
    /// </summary>
    public static IReadOnlyList<LayPiece> Pads(int count, int seed)
    {
        var random = new Random(seed);
        return All(
            count,
            n =>
            {
                var (w, h) = (random.Next(14, 25) * 16, random.Next(14, 23) * 16);
                return (
                    (n % 4) switch
                    {
                        0 => Rounded(w, h, random.Next(2, 6) * 16),
                        1 => Bowed(w, h, random.Next(1, 4) * 16),
                        2 => Polygon((0, 0), (w, 0), (w - (2 * 16), h), (2 * 16, h)),
                        _ => Polygon(
                            (3 * 16, 0),
                            (w - (3 * 16), 0),
                            (w - (3 * 16), h - (5 * 16)),
                            (w, h - (5 * 16)),
                            (w, h),
                            (0, h),
                            (0, h - (5 * 16)),
                            (3 * 16, h - (5 * 16))
                        ),
                    },
                    Grain.Along
                );
            }
        );
    }

    private static (IReadOnlyList<LayPiece>, Length) Bands(int count, int seed, int bow)
    {
        var random = new Random(seed);
        List<Outline> cuts = [];
        var length = 0;
        while (cuts.Count < count)
        {
            var many = Math.Min(count - cuts.Count, random.Next(3, 6));
            var high = random.Next(12, 24) * 16;
            length += high;
            // Cuts from selvedge to selvedge, each slanted a little, none crossing the next.
            var each = Width / many;
            (int Low, int High)[] lines =
            [
                (0, 0),
                .. Enumerable
                    .Range(1, many - 1)
                    .Select(n =>
                        (n * each + random.Next(-each / 4, each / 4), n * each + random.Next(-each / 4, each / 4))
                    ),
                (Width, Width),
            ];
            int[] bows = [0, .. Enumerable.Range(1, many - 1).Select(_ => bow * (random.Next(2) == 0 ? 1 : -1)), 0];
            for (var n = 0; n < many; n++)
                cuts.Add(Band(lines[n], lines[n + 1], high, bows[n], bows[n + 1]));
        }
        return (
            [
                .. cuts.OrderBy(_ => random.Next())
                    .Select((cut, n) => new LayPiece($"p{n}", $"i{n % 8}", $"p{n}", $"{n}", cut, Grain.Along)),
            ],
            Sixteenths(length)
        );
    }

    // Between two cuts: bows 1 bulge to the right, -1 to the left, on a radius of one and a half times the cut.
    private static Outline Band(
        (int Low, int High) left,
        (int Low, int High) right,
        int high,
        int bowLeft,
        int bowRight
    )
    {
        var origin = Math.Min(left.Low, left.High);
        Point At(int x, int y) => new(Sixteenths(x - origin), Sixteenths(y));
        Length? Radius(int bow, (int Low, int High) line) =>
            bow == 0 ? null : Sixteenths((int)(1.5 * Math.Sqrt(Math.Pow(line.High - line.Low, 2) + (high * high))));
        return new Outline([
            new("front", At(left.Low, 0)),
            new("right", At(right.Low, 0), Radius(bowRight, right), bowRight > 0),
            new("back", At(right.High, high)),
            new("left", At(left.High, high), Radius(bowLeft, left), bowLeft < 0),
        ]);
    }

    private static Outline Rounded(int w, int h, int r)
    {
        var radius = Sixteenths(r);
        Point At(int x, int y) => new(Sixteenths(x), Sixteenths(y));
        return new Outline([
            new("front", At(r, 0)),
            new("a", At(w - r, 0), radius),
            new("right", At(w, r)),
            new("b", At(w, h - r), radius),
            new("back", At(w - r, h)),
            new("c", At(r, h), radius),
            new("left", At(0, h - r)),
            new("d", At(0, r), radius),
        ]);
    }

    private static Outline Bowed(int w, int h, int deep)
    {
        var radius = Sixteenths(((w * w / 4) + (deep * deep)) / (2 * deep));
        Point At(int x, int y) => new(Sixteenths(x), Sixteenths(y));
        return new Outline([
            new("front", At(0, deep), radius),
            new("right", At(w, deep)),
            new("back", At(w, h + deep)),
            new("left", At(0, h + deep)),
        ]);
    }

    private static Outline Polygon(params (int X, int Y)[] corners) =>
        new([.. corners.Select((at, n) => new Edge($"{n}", new Point(Sixteenths(at.X), Sixteenths(at.Y))))]);

    private static List<LayPiece> All(int count, Func<int, (Outline, Grain)> make) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(n =>
                    make(n) is var (cut, grain)
                        ? new LayPiece($"p{n}", $"i{n % 8}", $"p{n}", $"{n}", cut, grain)
                        : null!
                ),
        ];

    private static Length Sixteenths(int n) => Length.Inches(0, n, 16);
}
