using Wrapper.Core.Cloth;
using Wrapper.Core.Covers;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Jobs;

/// <summary>One item's draft within a plan, with the letters of its pieces (<c>a</c>, <c>b</c>, …) by piece key.</summary>
public sealed record ItemPlan(Item Item, int Number, Draft Draft, IReadOnlyDictionary<string, string> Letters)
{
    /// <summary>How many are made; none while the item is in doubt.</summary>
    public int Quantity => Draft.Pattern is null ? 0 : Draft.Reading!.Quantity;

    /// <summary>The label of a piece: item number and letter, <c>2c</c>.</summary>
    public string Label(string piece) => $"{Number}{Letters[piece]}";
}

/// <summary>One cloth's lay and purchase within a plan; both null while the cloth or its width is in doubt, or nothing is cut from it.</summary>
public sealed record ClothPlan(
    ClothReading Reading,
    IReadOnlyList<LayPiece> Pieces,
    ClothLay? Lay,
    Buying? Buying,
    IReadOnlyList<Problem> Problems
)
{
    /// <summary>What a maker gets who counts whole widths for every joined piece, and rows for the rest; null where nothing is joined.</summary>
    public Length? ByWidths { get; init; }

    /// <summary>Pins that could not be kept, with the reason.</summary>
    public IReadOnlyList<(Placement Pin, string Reason)> RefusedPins { get; init; } = [];

    /// <summary>What has been cut and is drafted otherwise now, or no longer at all.</summary>
    public IReadOnlyList<string> CutOtherwise { get; init; } = [];

    /// <summary>How its pieces are matched, by item and piece; none on cloth without a repeat.</summary>
    public IReadOnlyList<PieceMatch> Matches { get; init; } = [];

    /// <summary>How far the lay reaches beyond the cloth on the table, and what lies there; null where it holds everything or was not measured.</summary>
    public (Length Missing, IReadOnlyList<LayPiece> Pieces)? Beyond { get; init; }

    /// <summary>How much cloth lies on the table once it is bought and washed, remnants before it included; never less than the lay reaches.</summary>
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
}

/// <summary>A whole job planned: every item drafted, every cloth laid and bought. Items in doubt are left out of the lays.</summary>
public sealed record Plan(
    IReadOnlyList<ItemPlan> Items,
    IReadOnlyList<ClothPlan> Cloths,
    IReadOnlyList<Problem> Problems
);

/// <summary>Plans jobs.</summary>
public static class Planning
{
    /// <summary>The most pieces that a job may have; more is a slip of the pen, or several jobs.</summary>
    public const int MostPieces = 5000;

    /// <summary>Drafts every item of <paramref name="job"/>, and lays and buys each cloth if <paramref name="lay"/>, unless it is <paramref name="superseded"/> meanwhile; lays that are <paramref name="kept"/> are not laid again.</summary>
    public static Plan Of(
        JobDocument job,
        Drafting drafting,
        bool lay,
        LayCache? kept = null,
        CancellationToken superseded = default
    )
    {
        var items = Items(job, drafting, superseded);
        var cloths = job.Cloths.Select(cloth => Cloth(cloth, items, job, lay, kept, superseded)).ToList();
        return new Plan(items, cloths, [.. items.SelectMany(item => Lost(item, job))]);
    }

    /// <summary>Every item of <paramref name="job"/> drafted, in order.</summary>
    internal static List<ItemPlan> Items(JobDocument job, Drafting drafting, CancellationToken superseded) =>
        [
            .. job.Items.Select(
                (item, at) =>
                {
                    superseded.ThrowIfCancellationRequested();
                    return Item(item, at + 1, drafting, job);
                }
            ),
        ];

    /// <summary>The cloth that the cover of one item takes, laid alone, all its cloths together; null when it or a cloth of it is in doubt, or a piece too wide.</summary>
    public static Length? Alone(ItemPlan item, JobDocument job, CancellationToken superseded = default)
    {
        if (item.Draft.Pattern is null || job.Cloths.Count == 0 || Lost(item, job).Any())
            return null;
        var sum = Length.Zero;
        foreach (
            var cut in PiecesOf(item)
                .Where(piece => !piece.Lay.Role.IsFilling())
                .GroupBy(piece => ClothOf(item.Item, piece.Lay.Role, job))
        )
        {
            // New cloth, whatever remnants there are.
            var cloth = new ClothReading(job.Cloths.First(cloth => cloth.Id == cut.Key) with { Stock = [] }, job.Unit);
            var (pieces, _, repeat) = Matching.Apply([.. cut], cloth.ForLay);
            if (
                !cloth.CanBeLaid
                || LayTable.Of(pieces, cloth.ForLay with { Repeat = repeat }, superseded)
                    is not { Misfits.Count: 0 } lay
            )
                return null;
            sum += lay.Length;
        }
        return sum;
    }

    /// <summary>
    /// The id of the cloth that pieces of <paramref name="role"/> are cut from: the role's own, else the item's, else the first of the job. Null for
    /// fillings without one, which are bought by their size, and where the job has no cloth.
    /// </summary>
    public static string? ClothOf(Item item, ClothRole role, JobDocument job) =>
        item.OtherCloths.GetValueOrDefault(role) is { } own ? own
        : role.IsFilling() ? null
        : role == ClothRole.Lining ? ClothOf(item, ClothRole.SecondFace, job)
        : item.Cloth ?? (job.Cloths.Count > 0 ? job.Cloths[0].Id : null);

    // A cloth that is lost or cannot be read has a problem of its own; pieces are drafted to usual cloth meanwhile.
    private static Working Usable(Item item, ClothRole role, JobDocument job)
    {
        var cloth =
            job.Cloths.Count == 0 ? null : job.Cloths.FirstOrDefault(cloth => cloth.Id == ClothOf(item, role, job));
        return cloth is not null && new ClothReading(cloth, job.Unit) is { CanBeLaid: true } reading
            ? reading.Usable
            : new ClothReading(JobCloth.Usual("", "", JobUnit.Inch), JobUnit.Inch).Usable;
    }

    private static IEnumerable<Problem> Lost(ItemPlan item, JobDocument job) =>
        from id in item.Item.OtherCloths.Values.Prepend(item.Item.Cloth).Distinct()
        where id is not null && job.Cloths.All(cloth => cloth.Id != id)
        select new Problem(
            $"items.{item.Item.Id}.cloth",
            id,
            0,
            "this job has no such cloth",
            job.Cloths.Count > 0 ? job.Cloths[0].Id : ""
        );

    /// <summary>Drafts one item as number <paramref name="number"/> of <paramref name="job"/>, to the cloths that it is cut from.</summary>
    public static ItemPlan Item(Item item, int number, Drafting drafting, JobDocument job)
    {
        var draft = drafting.Draft(item, job.Unit, role => Usable(item, role, job));
        var letters = (draft.Pattern?.Pieces ?? [])
            .Select((piece, at) => (piece.Key, Letter: Letter(at)))
            .ToDictionary(pair => pair.Key, pair => pair.Letter);
        return new ItemPlan(item, number, draft, letters);
    }

    internal static ClothPlan Cloth(
        JobCloth cloth,
        List<ItemPlan> items,
        JobDocument job,
        bool lay,
        LayCache? kept,
        CancellationToken superseded
    )
    {
        var reading = new ClothReading(cloth, job.Unit);
        var cut = (
            from item in items
            from piece in PiecesOf(item)
            where ClothOf(item.Item, piece.Lay.Role, job) == cloth.Id
            select piece
        )
            .Take(MostPieces + 1)
            .ToList();
        var all = items.Sum(item =>
            (long)item.Quantity * (item.Draft.Pattern?.Pieces.Sum(piece => (long)piece.Quantity) ?? 0)
        );
        var (pieces, matches, repeat) = Matching.Apply(
            all > MostPieces ? [] : cut,
            reading.CanBeLaid ? reading.ForLay : reading.ForLay with { Repeat = null }
        );
        var onTable = reading.ForLay with { Repeat = repeat ?? reading.ForLay.Repeat };
        if (all > MostPieces)
            reading.Problems.Add(
                new Problem(
                    $"cloths.{cloth.Id}.pieces",
                    $"{all}",
                    0,
                    $"more than {MostPieces} pieces are cut in this job: lower the quantities, or make several jobs of it",
                    $"{MostPieces}"
                )
                {
                    Stage = Stage.Lay,
                }
            );
        if (!reading.CanBeLaid || pieces.Count == 0 || all > MostPieces)
            return new ClothPlan(reading, pieces, null, null, reading.Problems)
            {
                ForLay = onTable,
                CutOtherwise = CutOtherwise(cloth, pieces, job.Unit),
            };
        // What is cut is where it is, whether the print matches there or not.
        var cutAlready = cloth.Cut.Select(each => each.Piece).ToHashSet();
        var (pins, refused) = Pinning.Sort(
            cloth.Pins.Select(pin => pin.On(onTable)),
            [.. pieces.Select(piece => cutAlready.Contains(piece.Id) ? piece with { Origin = null } : piece)],
            onTable,
            superseded
        );
        var pinned = onTable with { Pins = pins };
        if (!lay)
            return new ClothPlan(reading, pieces, null, null, reading.Problems)
            {
                ForLay = pinned,
                RefusedPins = refused,
                CutOtherwise = CutOtherwise(cloth, pieces, job.Unit),
            };
        var laid = kept is null ? LayTable.Of(pieces, pinned, superseded) : kept.Of(pieces, pinned, superseded);
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
            .. laid.Misfits.DistinctBy(misfit => misfit.Label).Select(misfit => TooWide(misfit, reading, job.Unit)),
        ];
        return new ClothPlan(
            reading,
            pieces,
            laid,
            problems.Count == 0 ? Buying.Of(laid.Length, reading) : null,
            problems
        )
        {
            Matches = matches,
            Beyond = Beyond(laid, pieces, reading),
            ByWidths = ByWidths(pieces, items, job, reading),
            RefusedPins = refused,
            ForLay = pinned,
            CutOtherwise = CutOtherwise(cloth, pieces, job.Unit),
        };
    }

    private static (Length, IReadOnlyList<LayPiece>)? Beyond(ClothLay lay, List<LayPiece> pieces, ClothReading cloth)
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
    private static List<string> CutOtherwise(JobCloth cloth, List<LayPiece> pieces, JobUnit unit)
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

    // Handbook §8.2: whole widths are counted for each joined piece, as if nothing else could lie beside its sides.
    private static Length? ByWidths(List<LayPiece> pieces, List<ItemPlan> items, JobDocument job, ClothReading cloth)
    {
        var joined = (
            from item in items
            from counted in item.Draft.Pattern?.Counted ?? []
            where ClothOf(item.Item, counted.Role, job) == cloth.Cloth.Id
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

    private static Problem TooWide(Misfit misfit, ClothReading cloth, JobUnit unit)
    {
        string Say(Length length) => $"{LengthPrinter.Cut(length, unit).Text} {LengthPrinter.Word(unit)}";
        if (misfit.Unmatched)
            return new Problem(
                $"cloths.{cloth.Cloth.Id}.repeatAcross",
                cloth.Cloth.RepeatAcross?.Typed ?? "",
                0,
                $"piece {misfit.Label} is cut {Say(misfit.Across)} across and cannot lie at its place of the repeat between the selvedges: take wider cloth, or match that piece otherwise",
                ""
            )
            {
                Stage = Stage.Lay,
            };
        if (cloth.Article is { } article && misfit.Across <= cloth.Usable.Value)
            return new Problem(
                $"cloths.{cloth.Cloth.Id}.articleLength",
                cloth.Cloth.ArticleLength!.Typed,
                0,
                $"piece {misfit.Label} is cut {Say(misfit.Along)} long and one article has {Say(article.Value)}: take a longer one, or cloth off the roll",
                LengthPrinter.Cut(misfit.Along + (2 * cloth.Selvedge), unit).Text
            )
            {
                Stage = Stage.Lay,
            };
        return new Problem(
            $"cloths.{cloth.Cloth.Id}.width",
            cloth.Cloth.Width.Typed,
            0,
            $"piece {misfit.Label} is cut {Say(misfit.Across)} across and the cloth has {Say(cloth.Usable.Value)} between its selvedges: take wider cloth, or another make-up, grain or number of lengths",
            LengthPrinter.Cut(cloth.WidthFor(misfit.Across), unit).Text
        )
        {
            Stage = Stage.Lay,
        };
    }

    // Of pieces that are turned over every second one is the mirror image; in pairs, every second cover is too.
    private static IEnumerable<CutPiece> PiecesOf(ItemPlan item) =>
        from piece in item.Draft.Pattern?.Pieces ?? []
        let mirrored = piece.Cut.Mirrored()
        from instance in Enumerable.Range(1, piece.Quantity * item.Quantity)
        let turned = (piece.TurnedOver && instance % 2 == 0)
            != (item.Draft.Pattern!.InPairs && (instance - 1) / piece.Quantity % 2 == 1)
        select new CutPiece(
            new LayPiece(
                $"{item.Item.Id}/{piece.Key}/{instance}",
                item.Item.Id,
                piece.Key,
                item.Label(piece.Key),
                turned ? mirrored : piece.Cut,
                piece.Grain,
                piece.Role
            ),
            item,
            piece,
            instance,
            turned
        );

    private static string Letter(int at) =>
        at < 26 ? $"{(char)('a' + at)}" : $"{Letter((at / 26) - 1)}{(char)('a' + (at % 26))}";
}
