using CsCheck;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Tests;

/// <summary>
/// Lays that are known because the pieces were cut from them, without a hair of waste: bands from selvedge to selvedge,
/// each parted by slants or along arcs.
/// </summary>
public sealed class BandLayCases
{
    private const int Width = 54 * 16;

    private static readonly LayCloth Cloth = new(Length.Inches(54), OneWay: false);

    private static Length Sixteenths(int n) => Length.Inches(0, n, 16);

    private sealed record Band(int High, (int Low, int High, int Bow)[] Cuts);

    // One band: cuts near even shares of the width, each slanted a little, or bowed to a side, or both.
    private static readonly Gen<Band> AnyBand =
        from high in Gen.Int[10 * 16, 26 * 16]
        from cuts in Gen.Select(Gen.Int[-40, 40], Gen.Int[-40, 40], Gen.Int[-1, 1]).Array[1, 4]
        select new Band(
            high,
            [
                .. cuts.Select(
                    (cut, n) =>
                    {
                        var even = (n + 1) * Width / (cuts.Length + 1);
                        return (even + cut.Item1, even + cut.Item2, cut.Item3);
                    }
                ),
            ]
        );

    private static IEnumerable<Outline> Pieces(Band band)
    {
        (int Low, int High, int Bow)[] lines = [(0, 0, 0), .. band.Cuts, (Width, Width, 0)];
        for (var n = 0; n + 1 < lines.Length; n++)
        {
            var (left, right) = (lines[n], lines[n + 1]);
            var from = Math.Min(left.Low, left.High);
            Point At(int x, int y) => new(Sixteenths(x - from), Sixteenths(y));
            Length? Radius((int Low, int High, int Bow) cut) =>
                cut.Bow == 0 ? null : Sixteenths(2 * (band.High + Math.Abs(cut.High - cut.Low)));
            yield return new Outline([
                new("front", At(left.Low, 0)),
                new("right", At(right.Low, 0), Radius(right), right.Bow >= 0),
                new("back", At(right.High, band.High)),
                new("left", At(left.High, band.High), Radius(left), left.Bow <= 0),
            ]);
        }
    }

    // No two bands of nearly one height, or pieces of one may stand in for those of another.
    private static readonly Gen<Band[]> Bands = AnyBand
        .Array[1, 6]
        .Where(bands =>
            bands.Select(band => band.High).Order().ToArray() is var highs
            && highs.Zip(highs.Skip(1)).All(pair => pair.Second - pair.First > 4)
        );

    [Fact]
    public void Bands_are_found_again_at_once() =>
        Bands.Sample(
            bands =>
            {
                var cuts = bands.SelectMany(Pieces).ToList();
                // Shuffled by the order of their areas, so that nothing of where they were cut is left.
                var pieces = cuts.OrderBy(cut => cut.AreaSquareMetres())
                    .Select((cut, n) => new LayPiece($"p{n}", $"i{n % 3}", $"p{n}", $"{n}", cut, Grain.Along))
                    .ToList();
                var lay = LayTable.Of(pieces, Cloth);
                SlantedLayCases.Holds(pieces, lay.Best, Cloth);
                var known = Sixteenths(bands.Sum(band => band.High));
                Assert.True(lay.ShortestPossible <= known, $"{lay.ShortestPossible} is over {known}");
                Assert.Equal(known, lay.Best.Length);
                // They lie so close that each may be pinned where it is.
                var refused = Pinning.Sort(lay.Best.Placements, pieces, Cloth).Refused;
                Assert.True(
                    refused.Count == 0,
                    string.Join("; ", refused.Select(each => $"{each.Pin}: {each.Reason}"))
                        + string.Join("; ", lay.Best.Placements)
                );
            },
            iter: 60,
            print: bands => string.Join("; ", bands.Select(band => $"{band.High}: {string.Join(' ', band.Cuts)}"))
        );

    // Two remnants of 30 in: 12 and 9 and 9 on each. The tallest first, 12 and 12 leave 6 of the one, 9 and 9 and 9 leave
    // 3 of the other, and the last 9 has to be bought.
    [Fact]
    public void Which_piece_goes_on_which_remnant_is_searched()
    {
        var cloth = Cloth with
        {
            StockLengths = [new(Length.Inches(30), Length.Inches(54)), new(Length.Inches(30), Length.Inches(54))],
        };
        LayPiece Piece(int n, int high) =>
            new($"p{n}", "i", $"p{n}", $"{n}", Outline.Rectangle(Length.Inches(54), Length.Inches(high)), Grain.Along);
        List<LayPiece> pieces = [.. new[] { 12, 12, 9, 9, 9, 9 }.Select((high, n) => Piece(n, high))];
        var found = LaySearch.Run(pieces, cloth, seed: 1, _ => { }, default, rounds: 3);
        Assert.Equal(Length.Zero, found.Length);
        Assert.Equal(6, found.Best.Placements.Count);
        Assert.All(
            found.Best.Placements.GroupBy(at => at.Y < Length.Inches(30)),
            on =>
                Assert.Equal(
                    30,
                    on.Sum(at => pieces.Single(piece => piece.Id == at.Id).Cut.Bounds().Top.Ticks) / Length.TicksPerInch
                )
        );
    }
}
