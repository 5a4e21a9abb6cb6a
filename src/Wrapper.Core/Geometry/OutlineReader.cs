using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// Reads a traced outline (craft §1.7, §2). Two ways to write one: points <c>x, y</c> apart by <c>;</c> or line ends, x
/// to the right and
/// y away from the front, each with <c>arc r</c> or <c>hollow r</c> behind it where the stretch that leads to it is an
/// arc; or an SVG
/// path of M, L, H, V, A and Z, y down, in the unit of the job. The outline comes back anticlockwise, its box at (0,
/// 0), edges e1, e2, …
/// </summary>
public static partial class OutlineReader
{
    private const int MostPoints = 60,
        LongestText = 4000;
    private const string PointExample = "0, 0; 18, 0; 18, 14; 9, 18 arc 12; 0, 14 arc 12";

    private sealed record Corner(Point At, Length? Radius, bool Left, bool Large);

    /// <summary>The outline, or why there is none. Exactly one of the two is set.</summary>
    public static (Outline? Outline, Refusal? Refusal) Read(string text, JobUnit unit)
    {
        (Outline?, Refusal?) Refuse(int at, string reason) =>
            (null, new Refusal(text.Length > 60 ? text[..60] : text, at, reason, PointExample));
        if (string.IsNullOrWhiteSpace(text))
            return Refuse(0, "no outline is entered");
        if (text.Length > LongestText)
            return Refuse(LongestText, $"longer than {LongestText} characters");
        var corners = new List<Corner>();
        var path = text.TrimStart()[0] is 'M' or 'm';
        var (place, fault) = path ? Path(text, unit, corners) : Points(text, unit, corners);
        if (fault is not null)
            return Refuse(place, fault);
        if (corners.Count > 1 && corners[^1].At == corners[0].At)
        {
            corners[0] = corners[^1]; // closed on its first point: the last stretch leads there
            corners.RemoveAt(corners.Count - 1);
        }
        if (corners.Count > MostPoints)
            return Refuse(0, $"more than {MostPoints} points");
        if (corners.Count < 2 || (corners.Count == 2 && corners.All(corner => corner.Radius is null)))
            return Refuse(0, "three points are needed, or two and an arc");
        for (var at = 0; at < corners.Count; at++)
        {
            var (from, to) = (corners[(at + corners.Count - 1) % corners.Count], corners[at]);
            var chord = (to.At.Mm - from.At.Mm).Size;
            if (chord < 1)
                return Refuse(0, $"points {Number(at - 1, corners.Count)} and {at + 1} fall on one another");
            if (to.Radius is { } r && 2 * r.ToMillimetres() < chord - 0.01)
                return Refuse(
                    0,
                    $"the arc to point {at + 1} is too tight: its radius must be at least half of the straight way"
                );
        }
        var outline = Ring(corners, path);
        return OutlineCheck.Fault(outline) is { } crossing ? Refuse(0, $"the outline {crossing}") : (outline, null);
    }

    /// <summary>
    /// The text of the outline turned over left for right; as it was where it cannot be read as points or a path.
    /// </summary>
    public static string Mirrored(string text)
    {
        if (string.IsNullOrWhiteSpace(text))
            return text;
        if (text.TrimStart()[0] is not ('M' or 'm'))
            return Part()
                .Replace(
                    text,
                    part => PointX().Replace(part.Value, x => x.Groups["space"].Value + Negative(x.Groups["x"].Value))
                );
        var (command, nth) = (' ', 0);
        return PathToken()
            .Replace(
                text,
                token =>
                {
                    if (char.IsLetter(token.Value[0]))
                    {
                        (command, nth) = (char.ToUpperInvariant(token.Value[0]), 0);
                        return token.Value;
                    }
                    var at = nth++;
                    return command switch
                    {
                        'M' or 'L' when at % 2 == 0 => Negative(token.Value),
                        'H' => Negative(token.Value),
                        'A' when at % 7 == 5 => Negative(token.Value),
                        // Seen from behind an arc turns the other way.
                        'A' when at % 7 == 4 => token.Value == "0" ? "1" : "0",
                        _ => token.Value,
                    };
                }
            );
    }

    private static string Negative(string number) =>
        number.StartsWith('-') ? number[1..]
        : number.StartsWith('+') ? $"-{number[1..]}"
        : number.Trim('0', '.', ',').Length == 0 ? number
        : $"-{number}";

    private static int Number(int at, int count) => ((at + count) % count) + 1;

    private static (int, string?) Points(string text, JobUnit unit, List<Corner> corners)
    {
        foreach (Match part in Part().Matches(text))
        {
            var match = PointAndArc().Match(part.Value);
            if (!match.Success)
                return (part.Index, $"\"{part.Value.Trim()}\" is no point: x, y, then arc or hollow with its radius");
            var read = new List<Length>();
            foreach (var name in (string[])["x", "y", "r"])
            {
                if (!match.Groups[name].Success)
                    continue;
                // A point may lie left of or nearer than the first one; a radius may not be less than nothing.
                var typed = match.Groups[name].Value.Trim();
                var negative = name != "r" && typed.StartsWith('-');
                var (length, refusal) = LengthReader.Read(
                    negative ? typed[1..] : typed,
                    unit,
                    new LengthLimits(name == "r" ? new Length(1) : Length.Zero, LengthLimits.Item.Max)
                );
                if (length is not { } value)
                    return (part.Index + match.Groups[name].Index, $"\"{typed}\": {refusal!.Reason}");
                read.Add(negative ? -value : value);
            }
            var word = match.Groups["word"].Value;
            corners.Add(
                new(new(read[0], read[1]), word.Length > 0 ? read[2] : null, Left: word != "hollow", Large: false)
            );
        }
        return (0, null);
    }

    private static (int, string?) Path(string text, JobUnit unit, List<Corner> corners)
    {
        var scale = unit.IsInches() ? Length.Inches(1).ToMillimetres() : 10;
        var tokens = PathToken().Matches(text).ToList();
        var read = 0;
        foreach (var token in tokens)
        {
            if (text[read..token.Index].Any(c => !char.IsWhiteSpace(c) && c != ','))
                return (read, $"\"{text[read..token.Index].Trim()}\" does not belong in a path");
            read = token.Index + token.Length;
        }
        if (text[read..].Trim().Length > 0)
            return (read, $"\"{text[read..].Trim()}\" does not belong in a path");

        var (at, command) = (0, ' ');
        var pen = default(Vec);
        var closed = false;
        while (at < tokens.Count)
        {
            if (closed)
                return (tokens[at].Index, "one closed outline is taken, not several");
            if (char.IsLetter(tokens[at].Value[0]))
                command = tokens[at++].Value[0];
            var needed = char.ToUpperInvariant(command) switch
            {
                'M' or 'L' => 2,
                'H' or 'V' => 1,
                'A' => 7,
                'Z' => 0,
                _ => -1,
            };
            if (needed < 0)
                return (
                    tokens[at - 1].Index,
                    $"\"{command}\" is a curve that is no arc of a circle: draw it as arcs (A)"
                );
            if (at + needed > tokens.Count || tokens.Skip(at).Take(needed).Any(token => char.IsLetter(token.Value[0])))
                return (tokens[Math.Min(at, tokens.Count - 1)].Index, $"\"{command}\" needs {needed} numbers");
            var n = tokens
                .Skip(at)
                .Take(needed)
                .Select(token => double.Parse(token.Value, CultureInfo.InvariantCulture))
                .ToArray();
            if (n.Any(number => Math.Abs(number) > 100_000))
                return (tokens[at].Index, "far too large");
            at += needed;
            closed = needed == 0;
            if (closed)
                continue;
            var from = char.IsLower(command) ? pen : default;
            pen = char.ToUpperInvariant(command) switch
            {
                'H' => new(from.X + n[0], pen.Y),
                'V' => new(pen.X, from.Y + n[0]),
                _ => new(from.X + n[^2], from.Y + n[^1]),
            };
            // y runs down in a path; sweep 1 turns clockwise there, which is to the right once y runs up.
            var arc = char.ToUpperInvariant(command) == 'A';
            if (arc && Math.Abs(n[0] - n[1]) > 1e-6)
                return (tokens[at - 7].Index, "an arc with two radii is no arc of a circle");
            corners.Add(
                new(
                    new(Length.Snap(pen.X * scale), Length.Snap(-pen.Y * scale)),
                    arc ? Length.Snap(n[0] * scale) : null,
                    Left: arc && n[4] == 0,
                    Large: arc && n[3] != 0
                )
            );
            if (command is 'M')
                command = 'L';
            if (command is 'm')
                command = 'l';
        }
        return (0, null);
    }

    // Points: an arc bulges outward and a hollow inward, whichever way round it was traced. A path says to which side
    // it turns.
    private static Outline Ring(List<Corner> corners, bool path)
    {
        var drawn = Drawn(corners);
        var turned = path
            ? drawn.AreaSquareMetres() < 0
            : corners.Select((corner, at) => corner.At.Mm.Cross(corners[(at + 1) % corners.Count].At.Mm)).Sum() < 0;
        if (turned)
            drawn = Drawn(Backwards(corners, path));
        var (left, bottom, _, _) = drawn.Bounds();
        return new Outline([.. drawn.Edges.Select(edge => edge with { Start = edge.Start.Moved(-left, -bottom) })]);
    }

    // The stretch from a corner is written with the corner that it leads to.
    private static Outline Drawn(List<Corner> corners) =>
        new([
            .. corners.Select(
                (corner, at) =>
                {
                    var lead = corners[(at + 1) % corners.Count];
                    return new Edge($"e{at + 1}", corner.At, lead.Radius, lead.Left, lead.Large);
                }
            ),
        ]);

    // Walked backwards the stretch that led to a corner leads away from it, and turns to the other side.
    private static List<Corner> Backwards(List<Corner> corners, bool turns)
    {
        var count = corners.Count;
        return
        [
            .. Enumerable
                .Range(0, count)
                .Select(n => count - 1 - n)
                .Select(at =>
                {
                    var lead = corners[(at + 1) % count];
                    return lead with { At = corners[at].At, Left = turns ? !lead.Left : lead.Left };
                }),
        ];
    }

    [GeneratedRegex(@"[^;\n]*[^;\s][^;\n]*")]
    private static partial Regex Part();

    [GeneratedRegex(@"^\s*(?<x>[^,]+),(?<y>[^,]+?)(?:\s+(?<word>arc|hollow)\s+(?<r>[^,]+))?\s*$")]
    private static partial Regex PointAndArc();

    [GeneratedRegex(@"^(?<space>\s*)(?<x>[^,]*)(?=,)")]
    private static partial Regex PointX();

    [GeneratedRegex(@"[A-Za-z]|[-+]?(?:[0-9]+\.?[0-9]*|\.[0-9]+)(?:[eE][-+]?[0-9]+)?")]
    private static partial Regex PathToken();
}
