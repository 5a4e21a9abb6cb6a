using System.Globalization;

namespace Wrapper.Core.Lengths.Workings;

/// <summary>
/// Writes a working as a person would write the sum: one named intermediate a line, first in symbols, then in figures,
/// then the result (<c>panel width = W + 2 × s = 46 1/2 + 2 × 1/2 = 47 1/2</c>).
/// </summary>
public static class WorkingText
{
    // How tightly an operation binds; a term that binds less tightly than its place needs brackets.
    private const int Loose = 0,
        Additive = 1,
        Multiplicative = 2,
        Tight = 3;

    /// <summary>
    /// The lines of <paramref name="working"/>, the last one for <paramref name="title"/>; figures in
    /// <paramref name="unit"/>, without a unit word.
    /// </summary>
    public static IReadOnlyList<string> Lines(Working working, string title, JobUnit unit)
    {
        var lines = new List<string>();
        var told = new HashSet<string>();
        // A sum that has a name of its own is told once, under the title.
        var sum = working is Named named ? named.Inner : working;
        Tell(sum, lines, told, unit);
        lines.Add(Line(title, sum, unit));
        return lines;
    }

    private static void Tell(Working node, List<string> lines, HashSet<string> told, JobUnit unit)
    {
        foreach (var term in node.Terms)
            Tell(term, lines, told, unit);
        if (node is Named named && told.Add(named.Symbol))
            lines.Add(Line(named.Symbol, named.Inner, unit));
    }

    private static string Line(string title, Working working, JobUnit unit)
    {
        var symbols = Write(working, Loose, _ => null, unit);
        var figures = Write(working, Loose, node => Figure(node, unit), unit);
        var result = LengthPrinter.Exact(working.Value, unit);
        string[] parts =
            symbols == title ? [title, result]
            : figures == result ? [title, symbols, result]
            : [title, symbols, figures, result];
        return string.Join(" = ", parts);
    }

    private static string? Figure(Working node, JobUnit unit) =>
        node is Measured or Allowance or Named ? LengthPrinter.Exact(node.Value, unit) : null;

    private static string Write(Working node, int place, Func<Working, string?> figure, JobUnit unit)
    {
        if (figure(node) is { } text)
            return text;
        string Term(Working term, int at) => Write(term, at, figure, unit);
        var (written, binding) = node switch
        {
            Measured m => (m.Symbol, Tight),
            Allowance a => (a.Symbol, Tight),
            Named n => (n.Symbol, Tight),
            Sum s => (string.Join(" + ", s.Terms.Select(t => Term(t, Additive))), Additive),
            Difference d => ($"{Term(d.From, Additive)} − {Term(d.Less, Multiplicative)}", Additive),
            Times t => ($"{t.Count} × {Term(t.Inner, Tight)}", Multiplicative),
            Quotient q => ($"{Term(q.Inner, Tight)} ÷ {q.Divisor}", Multiplicative),
            Scaled s => ($"{(s.Factor == Irrational.Pi ? "pi" : "root 2")} × {Term(s.Inner, Tight)}", Multiplicative),
            Percentage p => (
                $"{p.Percent.ToString("0.###", CultureInfo.InvariantCulture)} % × {Term(p.Inner, Tight)}",
                Multiplicative
            ),
            Extreme e => (
                $"the {(e.Larger ? "larger" : "smaller")} of ({Term(e.First, Loose)}; {Term(e.Second, Loose)})",
                Tight
            ),
            Geometric g => (
                $"the {(g.Kind == Bend.Slant ? "slant across" : "arc over")} ({Term(g.First, Loose)}; {Term(g.Second, Loose)})",
                Tight
            ),
            RoundedUp r => ($"{Term(r.Inner, Additive)}, up to the next {LengthPrinter.Exact(r.Step, unit)}", Loose),
            _ => throw new ArgumentOutOfRangeException(nameof(node), node.GetType().Name),
        };
        return binding < place ? $"({written})" : written;
    }
}
