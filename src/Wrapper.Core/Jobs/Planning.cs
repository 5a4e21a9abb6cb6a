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
public sealed record ClothPlan(ClothReading Reading, IReadOnlyList<LayPiece> Pieces, ClothLay? Lay, Buying? Buying, IReadOnlyList<Problem> Problems);

/// <summary>A whole job planned: every item drafted, every cloth laid and bought. Items in doubt are left out of the lays.</summary>
public sealed record Plan(IReadOnlyList<ItemPlan> Items, IReadOnlyList<ClothPlan> Cloths, IReadOnlyList<Problem> Problems);

/// <summary>Plans jobs.</summary>
public static class Planning
{
    /// <summary>The most pieces that are laid on one cloth; more is a slip of the pen, or several jobs.</summary>
    public const int MostPieces = 5000;

    /// <summary>Drafts every item of <paramref name="job"/>, and lays and buys each cloth if <paramref name="lay"/>, unless it is <paramref name="superseded"/> meanwhile.</summary>
    public static Plan Of(JobDocument job, Drafting drafting, bool lay, CancellationToken superseded = default)
    {
        var items = job.Items.Select((item, at) => Item(item, at + 1, drafting, job.Unit)).ToList();
        var cloths = job.Cloths.Select(cloth => Cloth(cloth, items, job, lay, superseded)).ToList();
        var lost = items.Where(item => item.Item.Cloth is { } id && job.Cloths.All(cloth => cloth.Id != id))
            .Select(item => new Problem($"items.{item.Item.Id}.cloth", item.Item.Cloth!, 0, "this job has no such cloth", job.Cloths.Count > 0 ? job.Cloths[0].Id : ""));
        return new Plan(items, cloths, [.. lost]);
    }

    /// <summary>Lays one item alone on <paramref name="cloth"/>, for comparing make-ups; null when either is in doubt or too wide.</summary>
    public static ClothLay? Alone(ItemPlan item, ClothReading cloth, CancellationToken superseded = default)
    {
        if (item.Draft.Pattern is null || !cloth.CanBeLaid) return null;
        var lay = LayTable.Of([.. PiecesOf(item)], cloth.Usable.Value, cloth.Cloth.OneWay, superseded);
        return lay.Misfits.Count == 0 ? lay : null;
    }

    /// <summary>Drafts one item as number <paramref name="number"/> of its job.</summary>
    public static ItemPlan Item(Item item, int number, Drafting drafting, JobUnit unit)
    {
        var draft = drafting.Draft(item, unit);
        var letters = (draft.Pattern?.Pieces ?? []).Select((piece, at) => (piece.Key, Letter: Letter(at))).ToDictionary(pair => pair.Key, pair => pair.Letter);
        return new ItemPlan(item, number, draft, letters);
    }

    private static ClothPlan Cloth(JobCloth cloth, List<ItemPlan> items, JobDocument job, bool lay, CancellationToken superseded)
    {
        var reading = new ClothReading(cloth, job.Unit);
        // An item without a cloth of its own is cut from the first.
        var pieces = items.Where(item => (item.Item.Cloth ?? job.Cloths[0].Id) == cloth.Id).SelectMany(PiecesOf).Take(MostPieces + 1).ToList();
        if (pieces.Count > MostPieces)
            reading.Problems.Add(new Problem($"cloths.{cloth.Id}.pieces", $"over {MostPieces}", 0, $"more than {MostPieces} pieces are cut from this cloth: lower the quantities, or make several jobs of it", $"{MostPieces}"));
        if (!lay || !reading.CanBeLaid || pieces.Count is 0 or > MostPieces) return new ClothPlan(reading, pieces, null, null, reading.Problems);
        var laid = LayTable.Of(pieces, reading.Usable.Value, cloth.OneWay, superseded);
        List<Problem> problems = [.. reading.Problems, .. laid.Misfits.DistinctBy(misfit => misfit.Label).Select(misfit => TooWide(misfit, reading, job.Unit))];
        return new ClothPlan(reading, pieces, laid, problems.Count == 0 ? Buying.Of(laid.Best.Length, reading) : null, problems);
    }

    private static Problem TooWide(Misfit misfit, ClothReading cloth, JobUnit unit)
    {
        string Say(Length length) => $"{LengthPrinter.Cut(length, unit).Text} {LengthPrinter.Word(unit)}";
        var selvedges = cloth.Lengths[$"cloths.{cloth.Cloth.Id}.width"] - cloth.Usable.Value;
        return new Problem($"cloths.{cloth.Cloth.Id}.width", cloth.Cloth.Width.Typed, 0,
            $"piece {misfit.Label} is cut {Say(misfit.Across)} across and the cloth has {Say(cloth.Usable.Value)} between its selvedges: take wider cloth, or another make-up, grain or number of lengths",
            LengthPrinter.Cut(misfit.Across + selvedges, unit).Text);
    }

    // Of pieces that are turned over every second one is the mirror image; in pairs, every second cover is too.
    private static IEnumerable<LayPiece> PiecesOf(ItemPlan item) =>
        from piece in item.Draft.Pattern?.Pieces ?? []
        let mirrored = piece.Cut.Mirrored()
        from instance in Enumerable.Range(1, piece.Quantity * item.Quantity)
        let turned = piece.TurnedOver && instance % 2 == 0
        let other = item.Draft.Pattern!.InPairs && (instance - 1) / piece.Quantity % 2 == 1
        select new LayPiece($"{item.Item.Id}/{piece.Key}/{instance}", item.Item.Id, piece.Key, item.Label(piece.Key), turned != other ? mirrored : piece.Cut, piece.Grain);

    private static string Letter(int at) => at < 26 ? $"{(char)('a' + at)}" : $"{Letter((at / 26) - 1)}{(char)('a' + (at % 26))}";
}
