using CsCheck;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>Pieces that do not fit one another show as strain on the cover, told by place.</summary>
public class StrainCases
{
    private static Pattern Wide(Item item) =>
        Items
            .Drafting.Draft(
                item,
                JobUnit.Inch,
                _ => new ClothRoom(Working.Of("U", "usable width", Length.Inches(4000))) { IsKnown = false }
            )
            .Pattern!;

    private static Pattern Usual(string makeUp) =>
        Wide(Items.Drafting.Find(makeUp)!.UsualItem("i1", "cover", JobUnit.Inch));

    private static Pattern With(Pattern pattern, string piece, string dimension, Length more)
    {
        var own = pattern.Piece(piece);
        var key = own.Dimensions.Keys.First(each => each.StartsWith(dimension, StringComparison.OrdinalIgnoreCase));
        return pattern.With(own.Redrawn(key, own.Dimensions[key].Value + more));
    }

    // Half an inch more or less on one piece, which its neighbours do not have: two edges of a panel are longer by as much,
    // so the seam round it by twice as much, or by once where the zip strip takes the other.
    [Theory]
    [InlineData(
        "box-cushion-strip",
        "panel",
        "W",
        2,
        "The panel is 1/2 in longer than the zip strip, along the back, at the top."
    )]
    [InlineData(
        "box-cushion-strip",
        "panel",
        "W",
        -2,
        "The zip strip is 1/2 in longer than the panel, along the back, at the top."
    )]
    [InlineData(
        "box-cushion-strip",
        "zip-strip",
        "length",
        2,
        "The zip strip is 1/2 in longer than the panel, along the back, at the top."
    )]
    [InlineData(
        "box-cushion-strip",
        "boxing",
        "depth",
        2,
        "The boxing is 1/2 in longer than the zip strip, at the back left corner."
    )]
    [InlineData(
        "table-five-pieces",
        "top",
        "W",
        4,
        "The top is 1 in longer than the side, along the front, at the top."
    )]
    public void It_is_told_where_they_do_not_meet(
        string makeUp,
        string piece,
        string dimension,
        int quarters,
        string told
    )
    {
        var pattern = Usual(makeUp);
        Assert.Empty(SeamStrain.Of(pattern, SewnForm.Of(pattern)!));
        var wrong = With(pattern, piece, dimension, Length.Inches(0, quarters, 4));
        var (right, strained) = (SewnForm.Of(pattern)!, SewnForm.Of(wrong)!);
        Assert.Contains(told, SeamStrain.Of(wrong, strained).Select(strain => strain.Said(JobUnit.Inch)));
        Assert.True(
            strained.Quality.SeamDifference > right.Quality.SeamDifference + 1
                && strained.Quality.MostStrain > right.Quality.MostStrain,
            $"{right.Quality} and {strained.Quality}"
        );
    }

    // Any dimension of any piece of any cover: where the seam check finds two sides that differ then, the cover strains
    // more than before, and the seam is named.
    [Fact]
    public void Any_piece_that_is_half_an_inch_off_strains() =>
        (
            from item in Variants.Makeable
            from piece in Gen.Int[0, 99]
            from dimension in Gen.Int[0, 99]
            from more in Gen.Bool
            select (item, piece, dimension, more)
        ).Sample(
            given =>
            {
                var pattern = Wide(given.item);
                var own = pattern.Pieces[given.piece % pattern.Pieces.Count];
                if (own.Dimensions.Count == 0 || SewnForm.Of(pattern) is not { Vouched: true } right)
                    return;
                var key = own
                    .Dimensions.Keys.Order(StringComparer.Ordinal)
                    .ElementAt(given.dimension % own.Dimensions.Count);
                var half = Length.Inches(0, 1, 2);
                var value = own.Dimensions[key].Value + (given.more ? half : -half);
                if (!value.IsPositive)
                    return;
                var wrong = pattern.With(own.Redrawn(key, value));
                var off = SeamCheck
                    .Of(wrong, JobUnit.Inch)
                    .Seams.Where(seam => (seam.OneSide - seam.OtherSide).Abs() > Length.Inches(0, 1, 4))
                    .Select(seam => seam.Seam)
                    .Where(right.SeamPlaces.ContainsKey)
                    .ToList();
                if (off.Count == 0)
                    return;
                var strained = SewnForm.Of(wrong)!;
                // A corner rounded further than its piece is wide is no outline any more: nobody vouches for that form.
                if (float.IsNaN(strained.Quality.Strain))
                {
                    Assert.False(strained.Vouched);
                    return;
                }
                // Spread over a long seam it shows as stretch, here or everywhere, on a short one as a difference.
                Assert.True(
                    strained.Quality.SeamDifference > right.Quality.SeamDifference + 0.5
                        || strained.Quality.Strain > right.Quality.Strain + 0.001
                        || strained.Quality.MostStrain > right.Quality.MostStrain + 0.004,
                    $"{own.Name}, {key}: {right.Quality} and {strained.Quality}"
                );
                Assert.Subset(
                    SeamStrain.Of(wrong, strained).Select(strain => strain.Seam).ToHashSet(),
                    off.ToHashSet()
                );
            },
            iter: 16
        );
}
