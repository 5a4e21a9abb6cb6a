using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// One seam as measured on the drawn stitch lines. <paramref name="Fault"/> is null when all is well.
/// </summary>
public sealed record SeamFinding(
    string Seam,
    SeamKind Kind,
    Length OneSide,
    Length OtherSide,
    Length Drafted,
    string? Fault
);

/// <summary>The seam check of a whole pattern.</summary>
public sealed record SeamReport(
    IReadOnlyList<SeamFinding> Seams,
    IReadOnlyList<string> Coverage,
    IReadOnlyList<string> Extents
)
{
    /// <summary>
    /// Whether every seam matches, every stitch line is used exactly once, and every piece is as large as listed.
    /// </summary>
    public bool Holds => Coverage.Count == 0 && Extents.Count == 0 && Seams.All(seam => seam.Fault is null);
}

/// <summary>
/// Measures both sides of every seam on the drawn stitch lines (never from the formula that made them), compares them
/// with
/// each other and with the drafted length, and sees that every stretch of every instance's stitch line is used exactly
/// once.
/// </summary>
public static class SeamCheck
{
    /// <summary>The difference that two sides may have undeclared: 1/16 in.</summary>
    public static readonly Length Tolerance = Length.Inches(0, 1, 16);

    /// <summary>Checks <paramref name="pattern"/>; differences are told in <paramref name="unit"/>.</summary>
    public static SeamReport Of(Pattern pattern, JobUnit unit) =>
        new(
            [.. pattern.Seams.Select(seam => Measure(pattern, seam, unit))],
            [.. Coverage(pattern, unit)],
            [.. Extents(pattern, unit)]
        );

    // Open and hemmed edges have no other side to be measured against. The first two cut sizes of a piece are its width
    // and its length: the raw edge as drawn must have them.
    private static IEnumerable<string> Extents(Pattern pattern, JobUnit unit)
    {
        foreach (
            var use in pattern.Uses.Where(use =>
                use.Run.Drafted is { } own && (pattern.LengthOf(use.Run) - own).Abs() > Tolerance
            )
        )
            yield return $"{pattern.Piece(use.Run.Piece).Name} {use.Run.Instance}, {use.Run.Edge} edge: drawn {Say(pattern.LengthOf(use.Run), unit)}, drafted {Say(use.Run.Drafted!.Value, unit)}";
        foreach (var piece in pattern.Pieces)
        {
            var (left, bottom, right, top) = piece.Cut.Bounds();
            foreach (
                var (size, drawn) in piece
                    .Sizes.Where(size => size.Kind == SizeKind.Cut)
                    .Zip([right - left, top - bottom])
            )
                if ((size.Working.Value - drawn).Abs() > Tolerance)
                    yield return $"{piece.Name}, {size.Name}: drawn {Say(drawn, unit)}, listed {Say(size.Working.Value, unit)}";
            foreach (var (edge, drafted) in piece.Corners.Where(corner => piece.Stitch.Has(corner.Edge)))
                if (
                    piece.Stitch.FromFirst(edge) is var drawn
                    && Length.Max((drawn.X - drafted.X).Abs(), (drawn.Y - drafted.Y).Abs()) is var off
                    && off > Tolerance
                )
                    yield return $"{piece.Name}, the corner where {edge} starts: drawn {Say(off, unit)} beside where it was drafted";
        }
    }

    private static SeamFinding Measure(Pattern pattern, Seam seam, JobUnit unit)
    {
        var left = Total(pattern, seam.OneSide) - seam.Swallowed;
        var right = Total(pattern, seam.OtherSide);
        var drafted = seam.Drafted.Value;
        string? fault = null;
        if ((left - right).Abs() > Tolerance)
            fault =
                $"the sides differ by {Say((left - right).Abs(), unit)}: {Say(left, unit)} against {Say(right, unit)}";
        else if ((left - drafted).Abs() > Tolerance)
            fault = $"drawn {Say(left, unit)}, drafted {Say(drafted, unit)}";
        // Two sides can be equally long in sum while single edges differ; then corner marks would not meet.
        else if (
            seam
                .OneSide.Concat(seam.OtherSide)
                .FirstOrDefault(run => run.Drafted is { } own && (pattern.LengthOf(run) - own).Abs() > Tolerance) is
            { } off
        )
            fault =
                $"{pattern.Piece(off.Piece).Name} {off.Instance}, {off.Edge} edge: drawn {Say(pattern.LengthOf(off), unit)}, drafted {Say(off.Drafted!.Value, unit)}";
        return new SeamFinding(seam.Name, seam.Kind, left, right, drafted, fault);
    }

    private static Length Total(Pattern pattern, IEnumerable<Run> runs) =>
        runs.Aggregate(Length.Zero, (sum, run) => sum + pattern.LengthOf(run));

    private static IEnumerable<string> Coverage(Pattern pattern, JobUnit unit)
    {
        var used = pattern
            .Seams.SelectMany(seam => seam.OneSide.Concat(seam.OtherSide).Select(run => (seam.Name, Run: run)))
            .Concat(pattern.Uses.Select(use => (Name: use.Kind.ToString(), use.Run)))
            .ToLookup(pair => (pair.Run.Piece, pair.Run.Instance, pair.Run.Edge));

        foreach (var piece in pattern.Pieces)
        foreach (var instance in Enumerable.Range(1, piece.Quantity))
        foreach (var edge in piece.Stitch.Edges)
        foreach (var fault in Stretches(used[(piece.Key, instance, edge.Name)], piece.Stitch.LengthOf(edge.Name), unit))
            yield return $"{piece.Name} {instance}, {edge.Name} edge: {fault}";
    }

    private static IEnumerable<string> Stretches(IEnumerable<(string Name, Run Run)> runs, Length drawn, JobUnit unit)
    {
        var reached = Length.Zero;
        var last = "nothing";
        foreach (var (name, run) in runs.OrderBy(pair => pair.Run.From ?? Length.Zero))
        {
            var from = run.From ?? Length.Zero;
            if (from - reached > Tolerance)
                yield return $"{Say(from - reached, unit)} is in no seam, before {name}";
            if (reached - from > Tolerance)
                yield return $"{Say(reached - from, unit)} is used twice, by {last} and {name}";
            reached = run.To ?? drawn;
            last = name;
        }
        if (drawn - reached > Tolerance)
            yield return $"{Say(drawn - reached, unit)} is in no seam, after {last}";
        if (reached - drawn > Tolerance)
            yield return $"{last} runs {Say(reached - drawn, unit)} past its end";
    }

    private static string Say(Length length, JobUnit unit) =>
        $"{LengthPrinter.Finished(length, unit).Text} {LengthPrinter.Word(unit)}";
}
