using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Planning;

/// <summary>The cover of an item sewn on screen, and the part of the cloth that each of its faces shows.</summary>
public static class ItemForm
{
    private const float MostTucked = 0.7f;

    // Wider than any cover: sheets are sewn unjoined, their joins are lines.
    private static readonly Length Wide = Length.Millimetres(100_000);

    /// <summary>
    /// The form of one cover of <paramref name="item"/>, <paramref name="small"/> for a small picture; null where it
    /// cannot be drafted, or has nothing to be sewn.
    /// </summary>
    public static SewnForm? Sew(
        Item item,
        JobDocument job,
        Drafting drafting,
        CancellationToken stop,
        bool small = false
    )
    {
        Patterns.Pattern? Draft(Item of) => drafting.Draft(of, job.Unit, role => Room(item, role, job)).Pattern;
        var shown = AsShown(item, drafting);
        return Draft(shown) is { } pattern && SewnForm.Of(pattern, small, stop) is { } form
            ? Tucking.Lay(form, shown == item ? pattern : Draft(item) ?? pattern)
            : null;
    }

    /// <summary>What is shown otherwise than it is made, in words.</summary>
    public static IEnumerable<string> Notes(Item item, Drafting drafting) =>
        ShownOtherwise(item, drafting).Select(shown => shown.Note).OfType<string>();

    private static IEnumerable<ShownAs> ShownOtherwise(Item item, Drafting drafting) =>
        (drafting.Find(item.MakeUp)?.Shown ?? []).Where(shown =>
            item.Choices.TryGetValue(shown.Choice, out var chosen)
            && chosen.Typed == shown.Answer
            && (
                shown.Without is null
                || (item.Measures.TryGetValue(shown.Without, out var entry) && !string.IsNullOrWhiteSpace(entry.Typed))
            )
        );

    private static Item AsShown(Item item, Drafting drafting)
    {
        if (!ShownOtherwise(item, drafting).Any())
            return item;
        var choices = new Dictionary<string, Entry>(item.Choices);
        var measures = new Dictionary<string, Entry>(item.Measures);
        foreach (var shown in ShownOtherwise(item, drafting))
        {
            choices[shown.Choice] = choices[shown.Choice] with { Typed = shown.As };
            if (shown.Without is { } without)
                measures.Remove(without);
        }
        return item with { Choices = choices, Measures = measures };
    }

    /// <summary>What the form depends on beside the item: how long the strips may be that go round it.</summary>
    public static string StripsOf(Item item, JobDocument job) =>
        string.Join(
            ' ',
            from role in Enum.GetValues<ClothRole>()
            from grain in Enum.GetValues<Patterns.Grain>()
            select ItemPlan.Room(item, role, job).LongestStrip(grain)?.Ticks ?? 0
        );

    private static ClothRoom Room(Item item, ClothRole role, JobDocument job) =>
        new(Working.Of("U", "usable width", Wide)) { Strips = ItemPlan.Room(item, role, job) };

    /// <summary>Where the pieces of the first cover of <paramref name="item"/> lie; empty for what is not laid.</summary>
    public static IReadOnlyList<PrintedPart> Print(ItemPlan item, SewnForm form, Plan plan)
    {
        if (item.Draft.Pattern is not { } pattern)
            return [];
        var placed = plan
            .Cloths.Where(cloth => cloth.Lay is not null)
            .SelectMany(cloth => cloth.Lay!.Best.Placements.Select(at => (cloth.Reading.Cloth.Id, At: at)))
            .ToLookup(pair => pair.At.Id);
        return
        [
            .. from sheet in form.Sheets
            from piece in pattern.Pieces
            where piece.Key == sheet.Piece || IsPart(piece.Key, sheet.Piece)
            where sheet.Instance <= piece.Quantity
            from at in placed[$"{item.Item.Id}/{piece.Key}/{sheet.Instance}"].Take(1)
            let bounds = piece.Stitch.Bounds()
            let joined = piece.Key != sheet.Piece
            where joined || IsDrawnAs(sheet, piece.Stitch)
            select PrintedPart.Of(piece.Cut, piece.IsTurnedOver(sheet.Instance), at.At) with
            {
                FormPiece = sheet.Piece,
                Instance = sheet.Instance,
                Piece = piece.Key,
                Cloth = at.Id,
                From = joined ? bounds.Left : null,
                To = joined ? bounds.Right : null,
            },
            .. form.Sheets.SelectMany(Widths),
        ];

        // Widths of one kind that are joined in a row, a skirt round a table: one sheet on the form, each width a part.
        IEnumerable<PrintedPart> Widths(FormSheet sheet)
        {
            if (
                sheet.Instance > 1
                || form.Sheets.Any(other => other.Piece == sheet.Piece && other.Instance > 1)
                || pattern.Pieces.FirstOrDefault(piece => piece.Key == sheet.Piece) is not { Quantity: > 1 } piece
            )
                yield break;
            var (left, _, right, _) = piece.Stitch.Bounds();
            for (var instance = 1; instance <= piece.Quantity; instance++)
                foreach (var at in placed[$"{item.Item.Id}/{piece.Key}/{instance}"].Take(1))
                {
                    var before = (instance - 1) * (right - left);
                    var on = PrintedPart.Of(piece.Cut, piece.IsTurnedOver(instance), at.At);
                    yield return on with
                    {
                        FormPiece = sheet.Piece,
                        Instance = sheet.Instance,
                        Piece = piece.Key,
                        Cloth = at.Id,
                        From = left + before,
                        To = right + before,
                        X = on.X - (on.XX * before),
                        Y = on.Y - (on.YX * before),
                    };
                }
        }

        bool IsPart(string key, string whole) =>
            key.StartsWith($"{whole}-", StringComparison.Ordinal)
            && form.Sheets.All(sheet => sheet.Piece != key)
            && pattern.Pieces.All(piece => piece.Key != whole);
    }

    // What is shown otherwise than it is made has no place on the cloth.
    private static bool IsDrawnAs(FormSheet sheet, Outline stitch)
    {
        var (left, bottom, right, top) = stitch.Bounds();
        var (from, low, to, high) = sheet.Reach;
        // Tucks take some of its length away.
        return Within(from, left, 1)
            && Within(low, bottom, 1)
            && Within(to, right, -1)
            && Within(high, top, -1)
            && (to - from) * (high - low)
                > MostTucked * (float)((right - left).ToMillimetres() * (top - bottom).ToMillimetres());

        static bool Within(float mm, Length drawn, int inward) => inward * (mm - (float)drawn.ToMillimetres()) > -1;
    }
}
