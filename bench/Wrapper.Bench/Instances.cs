using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Bench;

/// <summary>
/// Sets of rectangles cut from a full cloth by random straight cuts, so that the shortest lay is known: all of it, with
/// nothing left over.
/// </summary>
internal static class Instances
{
    public static readonly Length Usable = Length.Inches(53);

    /// <summary>
    /// So many pieces, each cut from end to end of what it was cut from (guillotine cuts), at whole eighths of an inch;
    /// never turned.
    /// </summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Guillotine(int count, int seed, double waste = 0)
    {
        var random = new Random(seed);
        const int eighths = 53 * 8;
        var length = Math.Max(8 * 20, count * 170 * 64 / eighths);
        List<(int W, int H)> pieces = [(eighths, length)];
        while (pieces.Count < count)
        {
            // The larger a piece, the likelier it is cut.
            var pick = random.NextInt64(pieces.Sum(p => (long)p.W * p.H));
            var at = 0;
            while ((pick -= (long)pieces[at].W * pieces[at].H) >= 0)
                at++;
            var (w, h) = pieces[at];
            var across = random.NextDouble() < (double)w / (w + h);
            var side = across ? w : h;
            if (side < 24)
                continue;
            var cut = random.Next((int)(side * 0.2), (int)(side * 0.8) + 1);
            pieces[at] = across ? (cut, h) : (w, cut);
            pieces.Add(across ? (w - cut, h) : (w, h - cut));
        }
        // What is left out is waste that nobody can avoid, near enough: the shortest lay is then not known but bounded.
        if (waste > 0)
            pieces = [.. pieces.OrderBy(_ => random.Next()).Skip((int)(count * waste))];
        return (
            [
                .. pieces
                    .OrderBy(_ => random.Next())
                    .Select(
                        (p, n) =>
                            new LayPiece(
                                $"p{n}",
                                $"i{n % 8}",
                                $"p{n}",
                                $"{n}",
                                Outline.Rectangle(Eighths(p.W), Eighths(p.H)),
                                Grain.Along
                            )
                    ),
            ],
            Eighths(length)
        );
    }

    /// <summary>
    /// A full cloth cut into pinwheels, the largest piece again and again into four round a fifth: no cut goes from end
    /// to end, and the shortest lay is all of it.
    /// </summary>
    public static (IReadOnlyList<LayPiece> Pieces, Length Shortest) Pinwheels(int count, int seed)
    {
        var random = new Random(seed);
        const int eighths = 53 * 8;
        var length = count * 170 * 64 / eighths;
        List<(int W, int H)> pieces = [(eighths, length)];
        (int, int) Two(int side) =>
            random.Next((int)(side * 0.2), (int)(side * 0.45)) is var first
                ? (first, random.Next((int)(side * 0.55), (int)(side * 0.8)))
                : default;
        while (pieces.Count + 4 <= count)
        {
            var (w, h) = pieces.MaxBy(p => (long)p.W * p.H);
            pieces.Remove((w, h));
            var ((x1, x2), (y1, y2)) = (Two(w), Two(h));
            pieces.AddRange([(x2, y1), (w - x2, y2), (w - x1, h - y2), (x1, h - y1), (x2 - x1, y2 - y1)]);
        }
        return (
            [
                .. pieces
                    .OrderBy(_ => random.Next())
                    .Select(
                        (p, n) =>
                            new LayPiece(
                                $"p{n}",
                                $"i{n % 8}",
                                $"p{n}",
                                $"{n}",
                                Outline.Rectangle(Eighths(p.W), Eighths(p.H)),
                                Grain.Along
                            )
                    ),
            ],
            Eighths(length)
        );
    }

    /// <summary>So many box cushions, each of a size of its own: two panels, two strips of each length.</summary>
    public static IReadOnlyList<LayPiece> Cushions(int count, int seed)
    {
        var random = new Random(seed);
        return
        [
            .. Enumerable
                .Range(0, count)
                .SelectMany(n =>
                {
                    var (w, d, t) = (
                        random.Next(14 * 8, 50 * 8),
                        random.Next(14 * 8, 28 * 8),
                        random.Next(3 * 8, 7 * 8)
                    );
                    return new[] { (w, d), (w, d), (w, t), (w, t), (d, t), (d, t) }.Select(
                        (size, at) =>
                            new LayPiece(
                                $"i{n}/p/{at}",
                                $"i{n}",
                                $"p{at / 2}",
                                $"{n}",
                                Outline.Rectangle(Eighths(size.Item1), Eighths(size.Item2)),
                                Grain.Along
                            )
                    );
                }),
        ];
    }

    /// <summary>Rectangles of any size up to half the cloth; some of them circles.</summary>
    public static IReadOnlyList<LayPiece> Any(int count, int seed, bool round = false)
    {
        var random = new Random(seed);
        Outline Cut(int n)
        {
            var (w, h) = (random.Next(24, 26 * 8), random.Next(24, 30 * 8));
            return round && n % 3 == 0 ? Circle(Eighths(w)) : Outline.Rectangle(Eighths(w), Eighths(h));
        }
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(n => new LayPiece($"p{n}", $"i{n % 8}", $"p{n}", $"{n}", Cut(n), Grain.Along)),
        ];
    }

    private static Outline Circle(Length d)
    {
        var r = d.Over(2);
        return new Outline([new("a", new(Length.Zero, r), r), new("b", new(d, r), r)]);
    }

    private static Length Eighths(int n) => Length.Inches(0, n, 8);
}
