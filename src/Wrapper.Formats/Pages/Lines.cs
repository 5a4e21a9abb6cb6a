using SkiaSharp;
using Wrapper.Formats.Prints;

namespace Wrapper.Formats.Pages;

/// <summary>Breaks words into lines.</summary>
internal static class Lines
{
    // Of the size of the letters.
    private const float Leading = 1.32f,
        Ascent = 0.95f;

    /// <summary>The lines of a paragraph so wide, a strip each.</summary>
    public static List<Strip> Of(IReadOnlyList<Run> runs, float size, float wide, bool isRight, Node? of)
    {
        using var regular = Faces.Of(Faces.Regular, size);
        using var bold = Faces.Of(Faces.Bold, size);
        List<Strip> lines = [];
        List<(string Words, bool IsBold)> line = [];
        var filled = 0f;
        foreach (var (words, isBold) in runs.SelectMany(Parted))
        {
            var font = isBold ? bold : regular;
            if (words == "\n")
            {
                End();
                continue;
            }
            foreach (var piece in Fitting(words, font, wide))
            {
                if (filled > 0 && filled + font.MeasureText(piece.TrimEnd()) > wide)
                    End();
                line.Add((piece, isBold));
                filled += font.MeasureText(piece);
            }
        }
        if (line.Count > 0 || lines.Count == 0)
            End();
        return lines;

        void End()
        {
            // Words of one weight are one stretch, and end in their space: so they are read apart from the next line.
            List<(string Words, bool IsBold)> joined = [];
            foreach (var each in line)
                if (joined.Count > 0 && joined[^1].IsBold == each.IsBold)
                    joined[^1] = (joined[^1].Words + each.Words, each.IsBold);
                else
                    joined.Add(each);
            if (joined.Count > 0 && !joined[^1].Words.EndsWith(' '))
                joined[^1] = (joined[^1].Words + " ", joined[^1].IsBold);
            var ink = joined.Sum(each => (each.IsBold ? bold : regular).MeasureText(each.Words));
            if (joined.Count > 0)
                ink -= (joined[^1].IsBold ? bold : regular).MeasureText(" ");
            var x = isRight ? Math.Max(0, wide - ink) : 0;
            List<Mark> marks = [];
            foreach (var (words, isBold) in joined)
            {
                marks.Add(new Words(x, size * Ascent, of, words, isBold ? Faces.Bold : Faces.Regular, size));
                x += (isBold ? bold : regular).MeasureText(words);
            }
            lines.Add(new(size * Leading, marks));
            line.Clear();
            filled = 0;
        }
    }

    // Words with the space behind them, and line breaks as they are.
    private static IEnumerable<(string Words, bool IsBold)> Parted(Run run)
    {
        var text = run.Words.Replace("\r", "", StringComparison.Ordinal).Replace('\t', ' ');
        var from = 0;
        for (var at = 0; at < text.Length; at++)
        {
            if (text[at] != ' ' && text[at] != '\n')
                continue;
            if (text[at] == '\n')
            {
                if (at > from)
                    yield return (text[from..at], run.IsBold);
                yield return ("\n", run.IsBold);
            }
            else
            {
                yield return (text[from..(at + 1)], run.IsBold);
            }
            from = at + 1;
        }
        if (from < text.Length)
            yield return (text[from..], run.IsBold);
    }

    // A word that is wider than the line is broken where it must be, never within one character.
    private static IEnumerable<string> Fitting(string word, SKFont font, float wide)
    {
        while (word.Length > 1 && font.MeasureText(word.TrimEnd()) > wide)
        {
            var take = word.Length - 1;
            while (take > 1 && font.MeasureText(word[..take]) > wide)
                take--;
            if (char.IsHighSurrogate(word[take - 1]))
                take = take > 1 ? take - 1 : 2;
            yield return word[..take];
            word = word[take..];
        }
        if (word.Length > 0)
            yield return word;
    }
}
