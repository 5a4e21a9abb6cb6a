using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>Lays that are kept: the better one stays, a broken one is laid anew, and memory has an end.</summary>
public class LayCacheTests
{
    private static readonly LayCloth Cloth = new(Length.Inches(40), false);

    private static List<LayPiece> Pieces(int count, int size = 10) =>
        [
            .. Enumerable
                .Range(1, count)
                .Select(n => new LayPiece(
                    $"i/p/{n}",
                    "i",
                    "p",
                    "1a",
                    Outline.Rectangle(Length.Inches(size), Length.Inches(size)),
                    Grain.Along
                )),
        ];

    private sealed class Shelf : ILayShelf
    {
        public Dictionary<string, ClothLay> Lays { get; } = [];

        public ClothLay? Find(string key) => Lays.GetValueOrDefault(key);

        public void Keep(string key, ClothLay lay) => Lays[key] = lay;
    }

    // Four squares side by side: 10 in. A lay said to be longer does not take its place, a shorter one does, wherever
    // the longer one comes from.
    [Fact]
    public void A_better_lay_is_not_overwritten()
    {
        var (cache, pieces) = (new LayCache(), Pieces(4));
        var laid = cache.Of(pieces, Cloth, default);
        Assert.Equal(Length.Inches(10), laid.Length);
        var shorter = laid with { Best = laid.Best with { Length = Length.Inches(9) } };
        cache.Better(pieces, Cloth, shorter);
        cache.Better(pieces, Cloth, laid with { Best = laid.Best with { Length = Length.Inches(12) } });
        Assert.Equal(Length.Inches(9), cache.Of(pieces, Cloth, default).Length);
    }

    [Fact]
    public void A_kept_lay_of_other_pieces_is_laid_anew()
    {
        var (shelf, pieces) = (new Shelf(), Pieces(4));
        var laid = LayTable.Of(pieces, Cloth);
        shelf.Lays[LayCache.Key(pieces, Cloth)] = laid with
        {
            Best = new Placed([.. laid.Best.Placements.Take(3)], Length.Inches(1)),
        };
        Assert.Equal(Length.Inches(10), new LayCache(shelf).Of(pieces, Cloth, default).Length);
        shelf.Lays[LayCache.Key(pieces, Cloth)] = laid with { Best = laid.Best with { Length = Length.Inches(9) } };
        Assert.Equal(Length.Inches(9), new LayCache(shelf).Of(pieces, Cloth, default).Length);
    }

    // Each lay of two pieces counts some 1.8 kB: of fifty in ten kilobytes only the last asked for are there, and those
    // asked for again stay.
    [Fact]
    public void What_was_not_asked_for_longest_makes_room()
    {
        var cache = new LayCache(most: 10_000);
        var first = cache.Of(Pieces(2, 3), Cloth, default);
        for (var size = 4; size < 34; size++)
        {
            cache.Of(Pieces(2, size), Cloth, default);
            Assert.Same(first, cache.Of(Pieces(2, 3), Cloth, default));
        }
        var last = cache.Of(Pieces(2, 33), Cloth, default);
        Assert.Same(last, cache.Of(Pieces(2, 33), Cloth, default));
        for (var size = 4; size < 34; size++)
            cache.Of(Pieces(2, size), Cloth, default);
        Assert.NotSame(first, cache.Of(Pieces(2, 3), Cloth, default));
    }

    // Whatever a lay depends on is in its key, each at its own place.
    [Fact]
    public void Every_demand_has_a_key_of_its_own()
    {
        var pieces = Pieces(2);
        var one = Length.Inches(1);
        List<LayCloth> cloths =
        [
            Cloth,
            Cloth with
            {
                Usable = Length.Inches(41),
            },
            Cloth with
            {
                OneWay = true,
            },
            Cloth with
            {
                Article = one,
            },
            Cloth with
            {
                Gap = one,
            },
            Cloth with
            {
                Spread = Spread.Torn,
            },
            Cloth with
            {
                StockLengths = [new StockLength(one, one)],
            },
            Cloth with
            {
                Flaws = [new Patch(one, one, one, one)],
            },
            Cloth with
            {
                Pins = [new Placement("i/p/1", 0, one, one)],
            },
            Cloth with
            {
                Repeat = new Repeat(one, one, false),
            },
            Cloth with
            {
                Repeat = new Repeat(one, one, true),
            },
            Cloth with
            {
                Repeat = new Repeat(one, one, false) { From = one },
            },
            Cloth with
            {
                Repeat = new Repeat(one, one, false) { Motif = new Point(one, one) },
            },
        ];
        var keys = cloths
            .Select(cloth => LayCache.Key(pieces, cloth))
            .Append(LayCache.Key([.. pieces.Select(piece => piece with { Label = "1b" })], Cloth))
            .Append(LayCache.Key([.. pieces.Select(piece => piece with { Grain = Grain.Either })], Cloth))
            .Append(LayCache.Key([.. pieces.Select(piece => piece.AtSamePlace())], Cloth));
        Assert.Equal(cloths.Count + 3, keys.Distinct().Count());
    }
}
