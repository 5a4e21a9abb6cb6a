using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Money;

/// <summary>
/// The price book at one revision, what in it cannot be read, and the currencies that it can be kept in. What cannot be
/// read is kept as typed and counts as not told.
/// </summary>
public sealed record PriceBookView(
    long Revision,
    PriceBook Book,
    IReadOnlyList<Problem> Problems,
    IReadOnlyList<Currency> Currencies
);

/// <summary>The price book as it is to be, made from revision <paramref name="From"/>.</summary>
public sealed record KeepPriceBook(long From, PriceBook Book);

/// <summary>What the workroom reckons its prices by.</summary>
internal static class PriceBookEndpoints
{
    private const int LongestText = 4000,
        LongestName = 200;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/price-book", Read)
            .WithName("getPriceBook")
            .WithSummary("What the workroom reckons its prices by, and what stands on its papers.");

        api.MapPut(
                "/price-book",
                Results<Ok<PriceBookView>, ProblemHttpResult> (KeepPriceBook keep, SheetStore store) =>
                {
                    if (TooLong(keep.Book) is { } problem)
                        return Problems.Fields([problem]);
                    return store.Keep(WorkroomSheet.PriceBook, keep.From, KeptJson.Write(keep.Book))
                        ? TypedResults.Ok(Read(store))
                        : Problems.Meanwhile(
                            "Prices were changed elsewhere in the meantime: look at them and say it again."
                        );
                }
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("keepPriceBook")
            .WithSummary("Keeps the price book. What cannot be read in it is kept as typed, and told.");
    }

    /// <summary>The price book as it is kept; an empty one before there is any.</summary>
    public static PriceBook BookOf(SheetStore store) =>
        KeptJson.Read<PriceBook>(store.Read(WorkroomSheet.PriceBook)?.Content) ?? new PriceBook();

    private static PriceBookView Read(SheetStore store)
    {
        var book = BookOf(store);
        return new(
            store.Read(WorkroomSheet.PriceBook)?.Revision ?? 0,
            book,
            new BookReading(book).Problems,
            Currency.All
        );
    }

    internal static Problem? TooLong(PriceBook book)
    {
        if (book.Rows.Count > BookReading.MostRows)
            return new("rows", $"{book.Rows.Count}", 0, $"at most {BookReading.MostRows} prices", "");
        if (book.Taxes.Count > 2 * BookReading.MostTaxes)
            return new("taxes", $"{book.Taxes.Count}", 0, $"at most {BookReading.MostTaxes} taxes", "");
        var word = book
            .Rows.SelectMany(row => new[] { row.Id, row.Thing, row.Price })
            .Concat(book.Taxes.SelectMany(tax => new[] { tax.Id, tax.Name, tax.Percent }))
            .Concat([
                book.Currency,
                book.LabourRate,
                book.Waste,
                book.Sundries,
                book.Margin,
                book.Rush,
                book.Deposit,
                book.ValidDays,
                book.PayDays,
                book.TaxNumber,
            ])
            .FirstOrDefault(text => text.Length > LongestName);
        if (word is not null)
            return new("book", word[..40], LongestName, $"longer than {LongestName} characters", "24.50");
        return
            new[] { book.Address, book.PayTo, book.Terms }.FirstOrDefault(text => text.Length > LongestText) is { } text
            ? new("terms", text[..40], LongestText, $"longer than {LongestText} characters", "")
            : null;
    }
}
