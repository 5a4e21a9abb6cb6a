using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Planning;

/// <summary>
/// One cloth's lay and purchase within a plan; both null while the cloth or its width is in doubt, or nothing is cut
/// from it.
/// </summary>
public sealed record ClothPlan(
    ClothReading Reading,
    IReadOnlyList<LayPiece> Pieces,
    ClothLay? Lay,
    Buying? Buying,
    IReadOnlyList<Problem> Problems
)
{
    /// <summary>
    /// The pieces that a lay is looked for; the rest of <see cref="Pieces"/> are cord strips, cut last from what these
    /// leave.
    /// </summary>
    public IReadOnlyList<LayPiece> Panels { get; init; } = Pieces;

    /// <summary>The cord strips that are asked of it.</summary>
    public IReadOnlyList<StripDemand> Strips { get; init; } = [];

    /// <summary>
    /// What a maker gets who counts whole widths for every joined piece, and rows for the rest; null where nothing is
    /// joined.
    /// </summary>
    public Length? ByWidths { get; init; }

    /// <summary>Pins that could not be kept, with the reason.</summary>
    public IReadOnlyList<(Placement Pin, string Reason)> RefusedPins { get; init; } = [];

    /// <summary>What has been cut and is drafted otherwise now, or no longer at all.</summary>
    public IReadOnlyList<string> CutOtherwise { get; init; } = [];

    /// <summary>How its pieces are matched, by item and piece; none on cloth without a repeat.</summary>
    public IReadOnlyList<PieceMatch> Matches { get; init; } = [];

    /// <summary>
    /// How far the lay reaches beyond the cloth on the table, and what lies there; null where it holds everything or
    /// was not measured.
    /// </summary>
    public (Length Missing, IReadOnlyList<LayPiece> Pieces)? Beyond { get; init; }

    /// <summary>
    /// How much cloth lies on the table once it is bought and washed, remnants before it included; never less than the
    /// lay reaches.
    /// </summary>
    public Length OnTable =>
        Lay is not { } lay
            ? Length.Zero
            : Length.Max(
                lay.Best.Length,
                lay.Stock
                    + (
                        Buying is not { } buying ? Length.Zero
                        : buying.Articles is null ? Reading.AfterWashing(buying.Bought)
                        : buying.Bought
                    )
            );

    /// <summary>The cloth as it is laid: with the pins that can be kept.</summary>
    public required LayCloth ForLay { get; init; }

    /// <summary>
    /// What of <paramref name="items"/> is cut from <paramref name="cloth"/>, laid and bought; drafts alone unless
    /// <paramref name="lay"/>.
    /// </summary>
    internal static ClothPlan Of(
        JobCloth cloth,
        List<ItemPlan> items,
        JobDocument job,
        bool lay,
        LayCache? kept,
        CancellationToken cancel
    )
    {
        var decimals = Currency.Signed(job.Currency).Decimals;
        var reading = new ClothReading(cloth, job.Unit, decimals);
        var cut = (
            from item in items
            from piece in CutPiece.Of(item)
            where job.ClothOf(item.Item, piece.Lay.Role) == cloth.Id
            select piece
        )
            .Take(Plan.MostPieces + 1)
            .ToList();
        var count = items.Sum(item =>
            (long)item.Quantity * (item.Draft.Pattern?.Pieces.Sum(piece => (long)piece.Quantity) ?? 0)
        );
        var (pieces, matches, repeat) = Matching.Apply(
            count > Plan.MostPieces ? [] : cut,
            reading.CanBeLaid ? reading.ForLay : reading.ForLay with { Repeat = null },
            new MotifPlaces(job.Unit, reading.Lengths, reading.Problems)
        );
        var onTable = reading.ForLay with { Repeat = repeat ?? reading.ForLay.Repeat };
        var cord = CordOnCloth.Of(count > Plan.MostPieces || !reading.CanBeLaid ? [] : items, job, cloth, onTable);
        pieces.AddRange(cord.Panels);
        if (count > Plan.MostPieces)
            reading.Problems.Add(
                new Problem(
                    $"cloths.{cloth.Id}.pieces",
                    $"{count}",
                    0,
                    $"more than {Plan.MostPieces} pieces are cut in this job: lower the quantities, or make several jobs of it",
                    $"{Plan.MostPieces}"
                )
                {
                    Stage = Stage.Lay,
                }
            );
        if (!reading.CanBeLaid || (pieces.Count == 0 && cord.Demands.Count == 0) || count > Plan.MostPieces)
            return new ClothPlan(reading, pieces, null, null, reading.Problems)
            {
                ForLay = onTable,
                CutOtherwise = FindCutOtherwise(cloth, [.. pieces, .. cord.CutLoose], job.Unit),
            };
        // What is cut is where it is, whether the print matches there or not.
        var cutAlready = cloth.Cut.Select(each => each.Piece).ToHashSet();
        var (pins, refused) = Pinning.Sort(
            cloth.Pins.Select(pin => onTable.PlaceOf(pin)),
            [.. pieces.Select(piece => cutAlready.Contains(piece.Id) ? piece with { Origin = null } : piece)],
            onTable,
            cancel
        );
        var pinned = onTable with { Pins = pins };
        if (!lay)
            return new ClothPlan(reading, pieces, null, null, reading.Problems)
            {
                Strips = cord.Demands,
                ForLay = pinned,
                RefusedPins = refused,
                CutOtherwise = FindCutOtherwise(cloth, [.. pieces, .. cord.CutLoose], job.Unit),
            };
        var panels =
            pieces.Count == 0 ? ClothLay.Nothing(pinned)
            : kept is null ? LayTable.Of(pieces, pinned, cord.Demands, cancel)
            : kept.Of(pieces, pinned, cancel, cord.Demands);
        var (strips, laid) = CordStrips.After(panels, pieces, pinned, cord.Demands, cancel);
        if (laid.Best.Length > 2 * LengthLimits.Most)
        {
            reading.Problems.Add(
                new Problem(
                    $"cloths.{cloth.Id}.pieces",
                    $"{pieces.Count}",
                    0,
                    "more than 1000 m of this cloth would be needed: lower the quantities, or make several jobs of it",
                    ""
                )
                {
                    Stage = Stage.Lay,
                }
            );
            return new ClothPlan(reading, pieces, null, null, reading.Problems) { ForLay = pinned };
        }
        List<Problem> problems =
        [
            .. reading.Problems,
            .. laid
                .Misfits.DistinctBy(misfit => misfit.Label)
                .Select(misfit => Misfits.TooWide(misfit, reading, job.Unit)),
        ];
        var buying = problems.Count == 0 ? Buying.Of(laid.Length, reading, decimals) : null;
        // What is made here is not bought; there must be enough of it.
        if (cloth.MadeBy is not null && buying is not null)
        {
            problems.AddRange(new[] { MadeCloths.Short(cloth, job, buying.Articles ?? 1) }.OfType<Problem>());
            buying = null;
        }
        List<LayPiece> all = [.. pieces, .. strips];
        return new ClothPlan(reading, all, laid, buying, problems)
        {
            Panels = pieces,
            Strips = cord.Demands,
            Matches = matches,
            Beyond = FindBeyond(laid, all, reading),
            ByWidths = CountWidths(pieces, items, job, reading) + (laid.Hand.Length - panels.Hand.Length),
            RefusedPins = refused,
            ForLay = pinned,
            CutOtherwise = FindCutOtherwise(cloth, [.. pieces, .. cord.CutLoose], job.Unit),
        };
    }

    private static (Length, IReadOnlyList<LayPiece>)? FindBeyond(
        ClothLay lay,
        List<LayPiece> pieces,
        ClothReading cloth
    )
    {
        if (cloth.RollEnd is not { } end || lay.Length <= end)
            return null;
        var at = lay.Best.Placements.ToDictionary(placement => placement.Id);
        return (
            lay.Length - end,
            [
                .. pieces.Where(piece =>
                    at.TryGetValue(piece.Id, out var placement) && piece.MarksAt(placement).ToEnd > lay.Stock + end
                ),
            ]
        );
    }

    // Cloth that is cut does not grow again: a change of more than a thread is told, not made.
    private static List<string> FindCutOtherwise(JobCloth cloth, List<LayPiece> pieces, JobUnit unit)
    {
        if (cloth.Cut.Count == 0)
            return [];
        var now = pieces.ToDictionary(piece => piece.Id);
        string Size(Length across, Length along) =>
            $"{LengthPrinter.Cut(across, unit).Text} x {LengthPrinter.Cut(along, unit).Text} {LengthPrinter.Word(unit)}";
        List<string> told = [];
        foreach (var cut in cloth.Cut)
        {
            var (across, along) = (new Length(cut.Across), new Length(cut.Along));
            if (!now.TryGetValue(cut.Piece, out var piece))
                told.Add($"a piece of {Size(across, along)} was cut that is no longer in the job");
            else if (
                Length.Max((piece.Across(0) - across).Abs(), (piece.Along(0) - along).Abs()) > Length.Inches(0, 1, 32)
            )
                told.Add(
                    $"{piece.Label} was cut {Size(across, along)} and is drafted {Size(piece.Across(0), piece.Along(0))} now"
                );
        }
        return told;
    }

    // Craft §8.2: whole widths are counted for each joined piece, as if nothing else could lie beside its sides.
    private static Length? CountWidths(List<LayPiece> pieces, List<ItemPlan> items, JobDocument job, ClothReading cloth)
    {
        var joined = (
            from item in items
            from counted in item.Draft.Pattern?.Counted ?? []
            where job.ClothOf(item.Item, counted.Role) == cloth.Cloth.Id
            select (Item: item, Counted: counted)
        ).ToList();
        if (joined.Count == 0)
            return null;
        var parts = joined.SelectMany(each => each.Counted.Parts.Select(part => (each.Item.Item.Id, part))).ToHashSet();
        return joined.Aggregate(
            LayTable.ByHand([.. pieces.Where(piece => !parts.Contains((piece.Item, piece.Piece)))], cloth.ForLay),
            (sum, each) => sum + (each.Item.Quantity * each.Counted.Quantity * each.Counted.Widths * each.Counted.Cut)
        );
    }
}
