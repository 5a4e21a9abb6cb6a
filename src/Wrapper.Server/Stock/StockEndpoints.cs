using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Stock;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Stock;

/// <summary>A job that counts on something, on so much of it as typed; empty for all of it.</summary>
public sealed record ReservedBy(string Job, string Name, string Amount);

/// <summary>
/// Something on a shelf: as typed, whether it is told by its length, how much it is and how much no job has reserved in
/// words, empty where that is not known, who counts on it, whether there is a photo, and what cannot be read.
/// </summary>
public sealed record StockView(
    string Id,
    long Revision,
    StockRow Row,
    bool ByLength,
    string Amount,
    string Free,
    IReadOnlyList<ReservedBy> Reserved,
    bool HasPhoto,
    IReadOnlyList<Problem> Problems
);

/// <summary>Something of which there is less than its mark.</summary>
public sealed record LowView(string Name, string There, string Mark);

/// <summary>The shelves, and what is to be bought anew.</summary>
public sealed record ShelvesView(IReadOnlyList<StockView> Rows, IReadOnlyList<LowView> Low);

/// <summary>A row as it is to be, made from revision <paramref name="From"/>, 0 for a new one.</summary>
public sealed record KeepStock(long From, StockRow Row);

/// <summary>What is taken out of a row, made from revision <paramref name="From"/>.</summary>
public sealed record TakeOut(long From, Entry Amount);

/// <summary>What lies on the shelves.</summary>
internal static class StockEndpoints
{
    private const int LongestId = 64,
        LongestName = 200,
        LongestNote = 2000;

    public static void Map(RouteGroupBuilder api)
    {
        var stock = api.MapGroup("/stock");
        stock
            .MapGet(
                "/",
                Results<Ok<ShelvesView>, ProblemHttpResult> (
                    StockStore store,
                    WorkroomStore workroom,
                    string? q,
                    string? cloth
                ) =>
                {
                    if (q?.Length > LongestName || cloth?.Length > LongestName)
                        return Problems.Fields([
                            new Problem("q", "", LongestName, $"longer than {LongestName} characters", "twill"),
                        ]);
                    var unit = UnitOf(workroom);
                    var rows = cloth is { Length: > 0 } ? store.Named(cloth) : store.List(q ?? "");
                    return TypedResults.Ok(
                        new ShelvesView(
                            [.. rows.Select(kept => View(kept, unit))],
                            [
                                .. StockReading
                                    .Low(store.List().Select(kept => Read(kept, unit)), unit)
                                    .Select(low => new LowView(low.Name, low.There, low.Mark)),
                            ]
                        )
                    );
                }
            )
            .ProducesProblem(422)
            .WithName("listStock")
            .WithSummary(
                "What lies on the shelves, with every word of `q` in name, batch, place or note, or of one `cloth`; and what is below its mark."
            );

        stock
            .MapPut(
                "/{id}",
                Results<Ok<StockView>, ProblemHttpResult> (
                    string id,
                    KeepStock keep,
                    StockStore store,
                    WorkroomStore workroom
                ) =>
                {
                    var row = keep.Row;
                    if (TooLong(id, row).ToList() is { Count: > 0 } problems)
                        return Problems.Fields(problems);
                    var unit = UnitOf(workroom);
                    // Less than nothing is never kept: a count that went wrong is told while the tape is in hand.
                    var negative = new StockReading(row, unit)
                        .Problems.Where(problem => problem.Given.TrimStart().StartsWith('-'))
                        .ToList();
                    if (negative.Count > 0)
                        return Problems.Fields(negative);
                    return Keep(store, id, keep.From, row, unit);
                }
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepStock")
            .WithSummary("Puts something on a shelf or changes it. What cannot be read is kept as typed, and told.");

        stock
            .MapPost(
                "/{id}/out",
                Results<Ok<StockView>, ProblemHttpResult> (
                    string id,
                    TakeOut take,
                    StockStore store,
                    WorkroomStore workroom
                ) =>
                {
                    if (store.Find(id) is not { } there)
                        return Problems.NotFound("this is not on the shelves");
                    var unit = UnitOf(workroom);
                    var (row, problem) = Read(there, unit).Without(take.Amount, unit);
                    return problem is not null ? Problems.Fields([problem]) : Keep(store, id, take.From, row!, unit);
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("takeOut")
            .WithSummary("Takes so much out of something on a shelf: that much less is there.");

        stock
            .MapDelete(
                "/{id}",
                Results<NoContent, ProblemHttpResult> (string id, StockStore store) =>
                    store.Remove(id) switch
                    {
                        Taking.Done => TypedResults.NoContent(),
                        Taking.Reserved => Problems.Meanwhile(
                            $"{string.Join(", ", store.Find(id)!.Reserved.Select(each => each.Name))} counts on it: take it out of that job first, on Lay or Buy."
                        ),
                        _ => Problems.NotFound("this is not on the shelves"),
                    }
            )
            .ProducesProblem(404)
            .ProducesProblem(409)
            .WithName("removeStock")
            .WithSummary("Takes something off the shelves that no job on the bench counts on.");
    }

    /// <summary>What is out of bounds in a row.</summary>
    internal static IEnumerable<Problem> TooLong(string id, StockRow row)
    {
        string[] words = [id, row.Name, row.Batch, row.Place, row.Count, row.Mark, row.CountedOn, row.From];
        if (
            id.Length > LongestId
            || words.Any(word => word.Length > LongestName)
            || row.Note.Length > LongestNote
            || row.Length?.Typed.Length > LongestId
            || row.Width?.Typed.Length > LongestId
        )
            yield return new Problem(
                "name",
                row.Name[..Math.Min(40, row.Name.Length)],
                0,
                $"longer than {LongestName} characters",
                "Slate wool twill"
            );
    }

    /// <summary>Keeps a row made from a revision; null where another was kept since.</summary>
    internal static KeptStock? Keep(StockStore store, string id, long from, StockRow row) =>
        store.Keep(
            id,
            from,
            row.Name.Trim(),
            row.Batch.Trim(),
            KeptJson.Write(row),
            string.Join('\n', row.Name, row.Batch, row.Place, row.Note)
        );

    private static Results<Ok<StockView>, ProblemHttpResult> Keep(
        StockStore store,
        string id,
        long from,
        StockRow row,
        JobUnit unit
    ) =>
        Keep(store, id, from, row) is { } kept
            ? TypedResults.Ok(View(kept, unit))
            : Problems.Meanwhile(
                $"This was changed elsewhere in the meantime, or there are {StockStore.Most} rows: look at it and say it again."
            );

    internal static StockRow RowOf(KeptStock kept) =>
        KeptJson.Read<StockRow>(kept.Content) ?? new StockRow(StockKind.Other, "?");

    internal static StockView View(KeptStock kept, JobUnit unit)
    {
        var reading = Read(kept, unit);
        var row = reading.Row;
        var amount = reading.Length is { } length
            ? row.Kind == StockKind.Remnant || reading.Width is not null
                ? $"{LengthPrinter.Finished(length, unit).Text}{(reading.Width is { } width ? $" x {LengthPrinter.Finished(width, unit).Text}" : "")} {LengthPrinter.Word(unit)}"
                : LengthPrinter.ShopLength(length, unit)
            : reading.Count is { } count
                ? $"{count}"
                : "";
        return new(
            kept.Id,
            kept.Revision,
            row,
            row.HasLength,
            amount,
            reading.FreeLength is { } free ? LengthPrinter.ShopLength(free, unit) : $"{reading.FreeCount}",
            [.. kept.Reserved.Select(each => new ReservedBy(each.Job, each.Name, AmountOf(each)?.Typed ?? ""))],
            kept.HasPhoto,
            reading.Problems
        );
    }

    private static StockReading Read(KeptStock kept, JobUnit unit) =>
        new(RowOf(kept), unit, kept.Reserved.Select(AmountOf).OfType<Entry>());

    private static Entry? AmountOf(Reservation reservation) =>
        reservation.Amount.Length > 0 ? KeptJson.Read<Entry>(reservation.Amount) : null;

    internal static JobUnit UnitOf(WorkroomStore workroom) =>
        Enum.TryParse<JobUnit>(workroom.Read()?.Unit, out var unit) ? unit : JobUnit.Inch;
}
