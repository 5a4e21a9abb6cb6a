using System.Globalization;
using System.Text.RegularExpressions;
using CsCheck;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Tests;

public class WorkingTests
{
    private static readonly Working W = Working.Of("W", "width", Length.Inches(46, 1, 2));
    private static readonly Working S = new Allowance("s", AllowanceRole.Seam, Length.Inches(0, 1, 2));

    [Fact]
    public void Is_written_as_a_person_would_write_the_sum()
    {
        var depth = (
            Working.Of("T", "thickness", Length.Inches(4))
            - new Allowance("e", AllowanceRole.Ease, Length.Inches(0, 1, 4))
        ).As("D", "boxing depth");
        Assert.Equal(
            ["D = T − e = 4 − 1/4 = 3 3/4", "cut depth = D + 2 × s = 3 3/4 + 2 × 1/2 = 4 3/4"],
            WorkingText.Lines(depth + S + S, "cut depth", JobUnit.Inch)
        );
        Assert.Equal(
            "half = (W + s) ÷ 2 = (46 1/2 + 1/2) ÷ 2 = 23 1/2",
            Assert.Single(WorkingText.Lines((W + S) / 2, "half", JobUnit.Inch))
        );
        Assert.Equal("W = 46 1/2", Assert.Single(WorkingText.Lines(W, "W", JobUnit.Inch)));
    }

    [Fact]
    public void Is_reckoned_again_with_a_node_replaced()
    {
        var sum = ((2 * W) + S).As("P", "perimeter") / 3;
        var again = sum.With("W", Length.Inches(10)).With("s", Length.Inches(1));
        Assert.Equal(Length.Inches(7), again.Value);
        Assert.Equal("cut = P ÷ 3 = 21 ÷ 3 = 7", WorkingText.Lines(again, "cut", JobUnit.Inch)[^1]);
        Assert.Equal(Length.Inches(5), sum.With("P", Length.Inches(15)).Value);
    }

    [Fact]
    public void Every_printed_working_evaluates_to_its_value() =>
        Variants.Makeable.Sample(
            item =>
            {
                var pattern = Items.Pattern(item);
                foreach (var unit in new[] { JobUnit.Inch, JobUnit.Centimetre })
                {
                    foreach (var size in pattern.Pieces.SelectMany(piece => piece.Sizes))
                        Evaluates(size.Working, size.Name, unit);
                    foreach (var (name, working) in pattern.Finished)
                        Evaluates(working, name, unit);
                    foreach (var notion in pattern.Notions.Where(n => n.Length is not null))
                        Evaluates(notion.Length!, notion.Name, unit);
                    foreach (var seam in pattern.Seams)
                        Evaluates(seam.Drafted, seam.Name, unit);
                }
            },
            iter: 60
        );

    // Figures print to four decimals at least, so a sum of them is within a few thousandths of an inch or a few
    // hundredths of a cm.
    private static void Evaluates(Working working, string title, JobUnit unit)
    {
        var known = new Dictionary<string, double>();
        Collect(working, known, unit);
        var lines = WorkingText.Lines(working, title, unit);
        foreach (var line in lines)
        {
            var parts = line.Split(" = ");
            var value = Evaluator.Figures(parts[^1]);
            foreach (var sum in parts.Skip(2).SkipLast(1))
                Assert.Equal(value, Evaluator.Figures(sum), 0.03);
            if (parts.Length > 2)
                Assert.Equal(value, Evaluator.Symbols(parts[1], known), 0.03);
        }
        Assert.Equal(InUnit(working.Value, unit), Evaluator.Figures(lines[^1].Split(" = ")[^1]), 0.0002);
    }

    private static void Collect(Working node, Dictionary<string, double> known, JobUnit unit)
    {
        var symbol = node switch
        {
            Measured m => m.Symbol,
            Allowance a => a.Symbol,
            Named n => n.Symbol,
            _ => null,
        };
        if (symbol is not null)
        {
            // One symbol must stand for one length within a working, or the text would mislead.
            if (known.TryGetValue(symbol, out var value))
                Assert.Equal(value, InUnit(node.Value, unit), 1e-9);
            known[symbol] = InUnit(node.Value, unit);
        }
        foreach (var term in node.Terms)
            Collect(term, known, unit);
    }

    private static double InUnit(Length length, JobUnit unit) =>
        length.Ticks / (unit == JobUnit.Inch ? 97536.0 : 38400.0);
}

/// <summary>Reads a printed sum with the grammar of arithmetic; knows nothing of the program that printed it.</summary>
internal sealed partial class Evaluator
{
    private readonly List<string> tokens;
    private readonly Dictionary<string, double> known;
    private int at;

    private Evaluator(string text, Dictionary<string, double> known)
    {
        this.known = known;
        tokens = [];
        while (text.Length > 0)
        {
            var symbol = known.Keys.Where(k => text.StartsWith(k, StringComparison.Ordinal)).MaxBy(k => k.Length);
            var word = Token().Match(text).Value;
            var token = symbol is not null && symbol.Length >= word.Length ? symbol : word;
            Assert.False(token.Length == 0, $"cannot read \"{text}\"");
            tokens.Add(token);
            text = text[token.Length..].TrimStart();
        }
    }

    public static double Figures(string text) => Symbols(text, []);

    public static double Symbols(string text, Dictionary<string, double> known)
    {
        var evaluator = new Evaluator(text, known);
        var value = evaluator.Whole();
        Assert.Equal(evaluator.tokens.Count, evaluator.at);
        return value;
    }

    private string Next => at < tokens.Count ? tokens[at] : "";

    private double Whole()
    {
        var value = Additive();
        if (Next != ", up to the next")
            return value;
        at++;
        var step = Additive();
        return Math.Ceiling((value / step) - 1e-4) * step;
    }

    private double Additive()
    {
        var value = Multiplicative();
        while (Next is "+" or "−")
            value = tokens[at++] == "+" ? value + Multiplicative() : value - Multiplicative();
        return value;
    }

    private double Multiplicative()
    {
        var value = Tight();
        while (Next is "×" or "÷" or "%")
        {
            switch (tokens[at++])
            {
                case "×":
                    value *= Tight();
                    break;
                case "÷":
                    value /= Tight();
                    break;
                default:
                    value /= 100;
                    break;
            }
        }
        return value;
    }

    private double Tight()
    {
        var token = tokens[at++];
        if (known.TryGetValue(token, out var value))
            return value;
        switch (token)
        {
            case "pi":
                return Math.PI;
            case "root 2":
                return Math.Sqrt(2);
            case "the larger of" or "the smaller of" or "the slant across" or "the arc over":
                Assert.Equal("(", tokens[at++]);
                var first = Whole();
                Assert.Equal(";", tokens[at++]);
                var second = Whole();
                Assert.Equal(")", tokens[at++]);
                return token switch
                {
                    "the larger of" => Math.Max(first, second),
                    "the smaller of" => Math.Min(first, second),
                    "the slant across" => Math.Sqrt((first * first) + (second * second)),
                    _ => Arc(first, second),
                };
            case "(":
                var inner = Whole();
                Assert.Equal(")", tokens[at++]);
                return inner;
            default:
                return Number(token);
        }
    }

    // Half the chord and the rise give the radius; the angle at the centre by its cosine.
    private static double Arc(double chord, double rise)
    {
        var radius = ((chord * chord / 4) + (rise * rise)) / (2 * rise);
        return 2 * radius * Math.Acos((radius - rise) / radius);
    }

    private static double Number(string token) =>
        token
            .Split(' ')
            .Sum(part =>
            {
                var fraction = part.Split('/').Select(p => double.Parse(p, CultureInfo.InvariantCulture)).ToArray();
                return fraction.Length == 2 ? fraction[0] / fraction[1] : fraction[0];
            });

    [GeneratedRegex(
        @"^(\d+ \d+/\d+|\d+/\d+|\d+(\.\d+)?|pi|root 2|the larger of|the smaller of|the slant across|the arc over|, up to the next|[-+−×÷%();])"
    )]
    private static partial Regex Token();
}
