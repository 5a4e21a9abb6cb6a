using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Plans;

/// <summary>
/// A lay, drawn with the cloth along the screen: up the roll to the right, the first selvedge on top, hundredths of a
/// millimetre. Lengths are what is taken of new cloth;
/// remnants and part rolls lie before it. <paramref name="Over"/> is by how many per cent the lay may be longer than
/// the shortest. <paramref name="Why"/> says why it is so long and what it is to cut. <paramref name="Tile"/> is how the tile of the cloth's look lies on the drawing, as an SVG transform.
/// </summary>
public sealed record LayView(
    LengthView Length,
    LengthView OnTape,
    LengthView ByHand,
    LengthView? ByWidths,
    LengthView? SavedOnWidths,
    LengthView ShortestPossible,
    int? Over,
    BoxView Cloth,
    BoxView Usable,
    IReadOnlyList<PlacedView> Placed,
    RulerView Ruler,
    IReadOnlyList<EndView> Ends,
    bool Proven,
    IReadOnlyList<string> RefusedPins,
    IReadOnlyList<BoxView> Flaws,
    RepeatView? Repeat,
    IReadOnlyList<RemnantView> Remnants,
    LengthView? FoldedTo,
    long? FoldEnd,
    BeyondView? Beyond,
    IReadOnlyList<string> CordStrips,
    IReadOnlyList<string> Why,
    string Tile
)
{
    internal static LayView Of(ClothLay lay, ClothPlan plan, JobUnit unit, bool wrongSideUp, CancellationToken cancel)
    {
        var pieces = plan.Pieces.ToDictionary(piece => piece.Id);
        var strips = plan.Pieces.Select(piece => piece.Id).Except(plan.Panels.Select(piece => piece.Id)).ToHashSet();
        var usable = plan.Reading.Usable.Value;
        var remnants = Core.Lay.Remnants.Of(lay.Best, pieces, plan.ForLay, plan.OnTable, cancel);
        var why = LayReasons.Of(lay.Best, pieces, plan.ForLay, remnants);
        var laid = lay.Best;
        if (wrongSideUp)
        {
            laid = laid.TurnedOver(pieces, usable);
            pieces = pieces.ToDictionary(pair => pair.Key, pair => pair.Value with { Cut = pair.Value.Cut.Mirrored() });
        }
        Length Seen(Patch patch) => wrongSideUp ? usable - patch.FromSelvedge - patch.Across : patch.FromSelvedge;
        BoxView Box(Patch patch) =>
            new(
                Drawing.Hundredths(patch.FromEnd),
                Drawing.Hundredths(Seen(patch)),
                Drawing.Hundredths(patch.Along),
                Drawing.Hundredths(patch.Across)
            );
        var selvedge = plan.Reading.Selvedge;
        // Drawn as far as it is bought, articles whole.
        var shown = plan.OnTable;
        var length = Drawing.Hundredths(shown);
        var tile = ClothTile.Of(plan.Reading, plan.ForLay.Repeat);
        var tileEnd = tile.From + tile.Along;
        return new LayView(
            LengthView.Cloth(lay.Length, unit),
            LengthView.Cut(lay.Length, unit),
            LengthView.Cloth(lay.Off(lay.Hand.Length), unit),
            plan.ByWidths is { } counted ? LengthView.Cloth(counted, unit) : null,
            plan.ByWidths is { } widths && widths > lay.Length ? LengthView.Cloth(widths - lay.Length, unit) : null,
            LengthView.Cloth(lay.Off(lay.ShortestPossible), unit),
            lay.Over,
            new BoxView(0, -Drawing.Hundredths(selvedge), length, Drawing.Hundredths(usable + (2 * selvedge))),
            new BoxView(0, 0, length, Drawing.Hundredths(usable)),
            [
                .. laid
                    .Placements.OrderBy(at => strips.Contains(at.Id))
                    .ThenBy(at => at.Y)
                    .ThenBy(at => at.X)
                    .Select(at =>
                    {
                        cancel.ThrowIfCancellationRequested();
                        return PlacedView.Of(pieces[at.Id], at, unit, plan, strips.Contains(at.Id), tileEnd);
                    }),
            ],
            RulerView.Of(shown, unit),
            [.. EndView.Of(plan)],
            lay.IsProven,
            [
                .. plan.RefusedPins.Select(refused =>
                    $"{(pieces.TryGetValue(refused.Pin.Id, out var lost) ? lost.Label : "A piece")} is no longer pinned: {refused.Reason}."
                ),
            ],
            [.. plan.ForLay.Flaws.Select(Box)],
            plan.ForLay.Repeat is { } repeat
                ? RepeatView.Of(repeat, wrongSideUp, plan.Pieces.Any(piece => piece.OnMotif))
                : null,
            [
                .. remnants.Select(left => new RemnantView(
                    Box(left),
                    LengthView.Finished(left.Along, unit),
                    LengthView.Finished(left.Across, unit)
                )),
            ],
            lay.FoldedTo is { } folded ? LengthView.Cut(folded, unit) : null,
            lay.FoldedTo is { } fold ? Drawing.Hundredths(fold) : null,
            plan.Beyond is { } beyond
                ? new BeyondView(
                    LengthView.Cut(beyond.Missing, unit),
                    Labels.Counted(beyond.Pieces),
                    Drawing.Hundredths(lay.Stock + plan.Reading.RollEnd!.Value)
                )
                : null,
            [.. CordStripsOf(plan, unit)],
            [.. why.Told(unit)],
            Drawing.TileOnCloth(tileEnd, wrongSideUp ? Drawing.Hundredths(usable) : null)
        );
    }

    // "5 strips 1 7/8 x 53 in, 1 of 31 in", by width and how they are cut; squares for tubes too.
    private static IEnumerable<string> CordStripsOf(ClothPlan plan, JobUnit unit) =>
        from piece in plan.Pieces
        where piece.Id.StartsWith(Core.Lay.CordStrips.Prefix, StringComparison.Ordinal)
        group piece by string.Join('/', piece.Id.Split('/')[..^1]) into alike
        select Core.Planning.CordOnCloth.Told([.. alike], unit);
}

/// <summary>
/// A repeat along the roll and across it, 0 where there is none, where the first begins, and where in it the motif's
/// centre lies if a piece is centred on it; in hundredths of a millimetre.
/// </summary>
public sealed record RepeatView(
    long Along,
    long Across,
    bool HalfDrop,
    bool FromFarSelvedge,
    long From,
    long? MotifAlong,
    long? MotifAcross
)
{
    internal static RepeatView Of(Repeat repeat, bool wrongSideUp, bool motif) =>
        new(
            repeat.IsStripes ? 0 : Drawing.Hundredths(repeat.Along),
            Drawing.Hundredths(repeat.Across),
            repeat.HalfDrop,
            wrongSideUp,
            Drawing.Hundredths(repeat.From),
            motif && !repeat.IsStripes ? Drawing.Hundredths(repeat.Motif.Y) : null,
            motif && repeat.Across.IsPositive ? Drawing.Hundredths(repeat.Motif.X) : null
        );
}

/// <summary>What is left to be used for something else: where it lies, along and across.</summary>
public sealed record RemnantView(BoxView Box, LengthView Along, LengthView Across);

/// <summary>
/// What the cloth on the table does not hold: how much is missing, which pieces lie beyond its end, and where that is.
/// </summary>
public sealed record BeyondView(LengthView Missing, IReadOnlyList<string> Pieces, long At);

/// <summary>
/// Where a remnant, part roll or ready-made article ends and the next begins, what it is called, and where its usable
/// width ends if it is narrower than the cloth.
/// </summary>
public sealed record EndView(string Name, long From, long At, long? Narrower)
{
    internal static IEnumerable<EndView> Of(ClothPlan plan)
    {
        var from = Length.Zero;
        foreach (var (stretch, at) in plan.ForLay.StockLengths.Select((stretch, at) => (stretch, at)))
        {
            yield return new EndView(
                Called(plan, at),
                Drawing.Hundredths(from),
                Drawing.Hundredths(from + stretch.Length),
                stretch.Usable < plan.ForLay.Usable ? Drawing.Hundredths(stretch.Usable) : null
            );
            from += stretch.Length;
        }
        if (plan.ForLay.Article is not { } article)
            yield break;
        for (var n = 1; n <= (plan.Buying?.Articles ?? 1); n++)
            yield return new EndView(
                Called(plan, n - 1),
                Drawing.Hundredths((n - 1) * article),
                Drawing.Hundredths(n * article),
                null
            );
    }

    /// <summary>What the nth stretch is called; empty for the roll.</summary>
    internal static string Called(ClothPlan plan, int index) =>
        index < plan.Reading.Cloth.Stock.Count
            ? plan.Reading.Cloth.Stock[index].Name is { Length: > 0 } name
                ? name
                : $"remnant {index + 1}"
            : plan.ForLay.Article is null
                ? ""
                : $"number {index + 1}";
}

/// <summary>Labels of pieces with how many there are of each.</summary>
internal static class Labels
{
    public static IReadOnlyList<string> Counted(IEnumerable<LayPiece> pieces) =>
        [
            .. pieces
                .GroupBy(piece => piece.Label)
                .OrderBy(group => group.Key, StringComparer.Ordinal)
                .Select(group => group.Count() == 1 ? group.Key : $"{group.Key} ({group.Count()} of them)"),
        ];
}

/// <summary>
/// The ruler along the cloth: a mark at every inch or centimetre, which are so far apart, and a figure at every foot or
/// half metre.
/// </summary>
public sealed record RulerView(long Step, IReadOnlyList<TickView> Figures)
{
    internal static RulerView Of(Length length, JobUnit unit)
    {
        var (step, figured) = unit.IsInches() ? (Length.Inches(1), 12) : (Length.Millimetres(10), 50);
        return new RulerView(Drawing.Hundredths(step), [.. Figures()]);

        IEnumerable<TickView> Figures()
        {
            for (var n = 0; n * step <= length; n += figured)
                yield return new TickView(Drawing.Hundredths(n * step), $"{n} {LengthPrinter.Word(unit)}");
        }
    }
}

/// <summary>A figure of the ruler, and where it stands.</summary>
public sealed record TickView(long At, string Figure);

/// <summary>
/// One piece on the cloth: its label, its path from the corner of its box, and the marks where its box begins and ends from the squared end and
/// from the selvedge, each rounded once to the tape mark.
/// Pieces come in cutting order: from the squared end, then from the selvedge. <paramref name="On"/> is the remnant or
/// article that it is cut from, whose own squared end is measured from;
/// empty for the roll; a piece that is <paramref name="Matched"/> is moved by whole repeats. A strip that is
/// <paramref name="CutLast"/> follows from where the panels lie. <paramref name="Tile"/> is how the tile of the cloth's look
/// lies on the piece as it is drawn upright.
/// </summary>
public sealed record PlacedView(
    string Id,
    string Item,
    string Label,
    int Turns,
    string Path,
    BoxView Box,
    LengthView AlongRoll,
    LengthView ToAlongRoll,
    LengthView FromSelvedge,
    LengthView ToSelvedge,
    string On,
    bool Matched,
    JobPin Here,
    bool Pinned,
    JobCut Size,
    bool IsCut,
    bool CutLast,
    string Tile
)
{
    internal static PlacedView Of(
        LayPiece piece,
        Placement at,
        JobUnit unit,
        ClothPlan plan,
        bool cutLast,
        long tileEnd
    )
    {
        var (index, start) = plan.ForLay.StockLengthAt(at.Y);
        if (index == plan.ForLay.StockLengths.Count && plan.ForLay.Article is null)
            start = plan.Lay?.Stock ?? Length.Zero;
        var marks = piece.MarksAt(at with { Y = at.Y - start });
        var (path, box) = Drawing.OnCloth(piece.Cut, at.Turns, at.X, at.Y);
        return new PlacedView(
            piece.Id,
            piece.Item,
            piece.Label,
            at.Turns,
            path,
            box,
            Mark(marks.FromEnd),
            Mark(marks.ToEnd),
            Mark(marks.FromSelvedge),
            Mark(marks.ToSelvedge),
            EndView.Called(plan, index),
            plan.ForLay.Repeat is not null && piece.Origin is not null,
            plan.ForLay.PinAt(at),
            plan.ForLay.Pins.Any(pin => pin.Id == at.Id),
            new JobCut(piece.Id, piece.Across(0).Ticks, piece.Along(0).Ticks),
            plan.Reading.Cloth.Cut.Any(cut => cut.Piece == at.Id),
            cutLast,
            Drawing.TileOnPiece(piece, at, tileEnd)
        );

        LengthView Mark(Length length) => LengthView.Finished(length, unit);
    }
}
