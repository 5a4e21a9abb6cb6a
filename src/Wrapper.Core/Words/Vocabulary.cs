using System.Text.RegularExpressions;

namespace Wrapper.Core.Words;

/// <summary>
/// The words of one workroom: says a text of this program in them. Only whole words change, their first letter stays as
/// large as it was, and an article before them follows.
/// </summary>
public sealed class Vocabulary
{
    private readonly Dictionary<string, string> said = new(StringComparer.OrdinalIgnoreCase);
    private readonly Regex? sought;

    /// <summary>
    /// The vocabulary in which terms are called as <paramref name="words"/> says, term by word; what is no term, or no
    /// word for it, is left as it is.
    /// </summary>
    public Vocabulary(IReadOnlyDictionary<string, string> words)
    {
        Words = Term
            .All.Where(term => words.TryGetValue(term.Key, out var word) && term.Words.Skip(1).Contains(word))
            .ToDictionary(term => term.Key, term => words[term.Key]);
        foreach (var term in Term.All.Where(term => Words.ContainsKey(term.Key)))
        {
            var forms = term.Forms.First(each => each[0] == Words[term.Key]);
            foreach (var (own, other) in term.Forms[0].Zip(forms))
                said[own] = other;
        }
        if (said.Count == 0)
            return;
        var longest = said.Keys.OrderByDescending(form => form.Length).Select(Regex.Escape);
        sought = new Regex(
            $@"(?<![\w-])(?<article>an? )?(?<form>{string.Join('|', longest)})(?![\w-])",
            RegexOptions.IgnoreCase | RegexOptions.Compiled | RegexOptions.CultureInvariant
        );
    }

    /// <summary>Each term that has another word than this program's own, and that word.</summary>
    public IReadOnlyDictionary<string, string> Words { get; }

    /// <summary>The text in these words.</summary>
    public string Say(string text) => sought is null ? text : sought.Replace(text, InWords);

    private string InWords(Match match)
    {
        var (article, form) = (match.Groups["article"].Value, match.Groups["form"].Value);
        var word = said[form];
        if (article.Length > 0)
            article = (char.IsUpper(article[0]) ? "A" : "a") + ("aeiou".Contains(word[0]) ? "n " : " ");
        return article + (char.IsUpper(form[0]) ? char.ToUpperInvariant(word[0]) + word[1..] : word);
    }
}
