using Wrapper.Core.Words;

namespace Wrapper.Core.Tests;

/// <summary>The words of a workroom, and texts in them.</summary>
public sealed class VocabularyTests
{
    private static Vocabulary Of(string region) => new(Region.All.Single(each => each.Key == region).Words);

    [Theory]
    [InlineData(
        "american",
        "Sew the zip into the boxing; zips and a duvet.",
        "Sew the zipper into the boxing; zippers and a comforter."
    )]
    [InlineData(
        "american",
        "Corded at both ends, each selvedge cut off.",
        "Welted at both ends, each selvage cut off."
    )]
    [InlineData("british", "An allowance of its own", "A turning of its own")]
    [InlineData("british", "a slipcover, its seam allowance, cords", "a loose cover, its turning, piping")]
    [InlineData("british", "Boxing", "Border")]
    // What only looks like a word, or is a key, stays.
    [InlineData(
        "american",
        "zip-strip, a zipper, cotton, unzip, drawcord, zip's",
        "zip-strip, a zipper, cotton, unzip, drawcord, zipper's"
    )]
    [InlineData("own", "A zip in the boxing.", "A zip in the boxing.")]
    public void A_text_is_said_in_the_words_of_a_region(string region, string text, string said) =>
        Assert.Equal(said, Of(region).Say(text));

    [Fact]
    public void A_word_that_is_not_known_changes_nothing()
    {
        var vocabulary = new Vocabulary(
            new Dictionary<string, string>
            {
                ["zip"] = "teeth",
                ["hem"] = "edge",
                ["cot"] = "crib",
            }
        );
        Assert.Equal("a zip, the hem, cribs", vocabulary.Say("a zip, the hem, cots"));
        Assert.Equal(["cot"], vocabulary.Words.Keys);
    }

    [Fact]
    public void Every_region_calls_things_by_words_that_are_known()
    {
        foreach (var (key, word) in Region.All.SelectMany(region => region.Words))
            Assert.Contains(word, Term.All.Single(term => term.Key == key).Words);
        Assert.All(Term.All, term => Assert.True(term.Forms.All(forms => forms.Count == term.Forms[0].Count)));
    }
}
