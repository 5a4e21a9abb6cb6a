using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Formats.Letters;
using Wrapper.Formats.Pages;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Sheets;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>
/// Something to go with a letter: a <paramref name="Paper"/> that was given out, or a <paramref name="Sheet"/> of a
/// <paramref name="Job"/>, of one <paramref name="Item"/> alone where it is given.
/// </summary>
public sealed record Enclose(string? Paper, string? Job, string? Sheet, string? Item);

/// <summary>A letter to be written: to which addresses, about what, what it says, what goes with it.</summary>
public sealed record WriteLetter(string To, string Subject, string Text, IReadOnlyList<Enclose> With);

/// <summary>
/// What became of letters about a batch: how many lie in the tray, and the customers who have no address for mail.
/// </summary>
public sealed record LettersWritten(int Written, IReadOnlyList<string> WithoutAddress);

/// <summary>The mail room: letters with what goes with them, into its tray.</summary>
internal static class MailEndpoints
{
    private const string Eml = "message/rfc822",
        Pdf = "application/pdf";
    private const int LongestLine = 400,
        LongestText = 8000,
        MostEnclosed = 10;

    public static void Map(RouteGroupBuilder api)
    {
        var room = api.MapGroup("/devices/mail");
        room.MapGet("/", (LetterStore store) => store.List())
            .WithName("listLetters")
            .WithSummary("Letters in the tray of the mail room, the latest first. Nothing is sent from here.");

        room.MapPost(
                "/",
                async Task<Results<Ok<IReadOnlyList<KeptLetter>>, ProblemHttpResult>> (
                    WriteLetter write,
                    JobStore jobs,
                    PaperStore papers,
                    JobSheets sheets,
                    MailRoom mail,
                    LetterStore store,
                    IOptions<JsonOptions> json,
                    LayQueue queue,
                    HttpContext context
                ) =>
                {
                    if (Check(write).ToList() is { Count: > 0 } problems)
                        return Problems.Fields(problems);
                    var enclosed = await queue.Run(
                        context,
                        turn => write.With.Select(each => SheetOf(each, turn.Cancel)).ToList()
                    );
                    if (enclosed.Contains(null))
                        return Problems.NotFound("there is no such paper, job or sheet to go with the letter");
                    mail.Take([
                        new(
                            sheets.OfficeOn(null).Workroom,
                            write.To.Trim(),
                            write.Subject.Trim(),
                            write.Text,
                            [.. enclosed.Select(sheet => Enclosed(sheet!))]
                        ),
                    ]);
                    return TypedResults.Ok(store.List());

                    Sheet? SheetOf(Enclose each, CancellationToken cancel) =>
                        each.Paper is { } paper ? SheetEndpoints.SheetOfPaper(paper, papers, sheets)
                        : each is { Job: { } job, Sheet: { } key }
                        && JobSheets.Keys.ContainsKey(key)
                        && jobs.Find(job) is { } stored
                            ? sheets.Of(
                                key,
                                JobView.Of(stored, json.Value.SerializerOptions).Document,
                                new(each.Item),
                                cancel
                            )
                        : null;
                }
            )
            .ProducesProblem(404)
            .ProducesProblem(422)
            .WithName("writeLetter")
            .WithSummary("Writes a letter with papers or sheets of a job into the tray.");

        room.MapGet(
                "/{id}.eml",
                Results<FileContentHttpResult, ProblemHttpResult> (string id, LetterStore store) =>
                    store.Mail(id) is { } mail && store.List().First(each => each.Id == id) is var letter
                        ? Downloads.File(mail, Eml, "eml", letter.Subject, letter.To)
                        : NoLetter()
            )
            .Produces<byte[]>(200, Eml)
            .ProducesProblem(404)
            .WithName("letterFile")
            .WithSummary("A letter as a mail program opens it, to be read over and sent.");

        room.MapDelete(
                "/{id}",
                Results<Ok<IReadOnlyList<KeptLetter>>, ProblemHttpResult> (string id, LetterStore store) =>
                    store.Remove(id) ? TypedResults.Ok(store.List()) : NoLetter()
            )
            .ProducesProblem(404)
            .WithName("removeLetter")
            .WithSummary("Takes a letter out of the tray.");

        api.MapPost(
                "/recall/mail",
                Results<Ok<LettersWritten>, ProblemHttpResult> (
                    LettersAbout about,
                    Recalls recalls,
                    JobSheets sheets,
                    MailRoom mail
                ) =>
                {
                    if (about.Text.Length > LongestText)
                        return Problems.Fields([TooLong("text", about.Text, LongestText, "We will call you.")]);
                    if (recalls.Of(about.Batch, out var problem) is not { } found)
                        return Problems.Fields([problem!]);
                    var office = sheets.OfficeOn(null);
                    var reached = found
                        .Customers.Where(customer => Letter.AreAddresses(string.Join(", ", customer.Mails)))
                        .ToList();
                    mail.Take([
                        .. reached.Select(customer => new Letter(
                            office.Workroom,
                            string.Join(", ", customer.Mails),
                            $"About batch {found.Batch}",
                            about.Text,
                            [Enclosed(RecallLetters.Of(found with { Customers = [customer] }, about.Text, office))]
                        )),
                    ]);
                    return TypedResults.Ok(
                        new LettersWritten(
                            reached.Count,
                            [.. found.Customers.Except(reached).Select(customer => customer.Name)]
                        )
                    );
                }
            )
            .ProducesProblem(422)
            .WithName("mailRecall")
            .WithSummary("Writes a letter about a batch to each customer who has an address for mail.");
    }

    private static IEnumerable<Problem> Check(WriteLetter write)
    {
        if (write.To.Length > LongestLine || !Letter.AreAddresses(write.To))
            yield return new(
                "to",
                write.To.Length > 40 ? write.To[..40] : write.To,
                0,
                "an address for mail is needed; several stand apart by commas",
                "ada@example.org"
            );
        if (write.Subject.Length > LongestLine || write.Subject.Any(char.IsControl))
            yield return new(
                "subject",
                write.Subject.Length > 40 ? write.Subject[..40] : write.Subject,
                0,
                $"one line of up to {LongestLine} characters is needed",
                "Quotation Q-0007"
            );
        if (write.Text.Length > LongestText)
            yield return TooLong("text", write.Text, LongestText, "With kind regards");
        if (write.With.Count > MostEnclosed)
            yield return new("with", $"{write.With.Count}", 0, $"at most {MostEnclosed} files go with a letter", "1");
    }

    private static Problem TooLong(string field, string text, int most, string example) =>
        new(field, text[..40], most, $"longer than {most} characters", example);

    private static Enclosure Enclosed(Sheet sheet) =>
        new(Downloads.Name("pdf", sheet.Title), Pdf, new SheetFile(sheet).Pdf());

    private static ProblemHttpResult NoLetter() => Problems.NotFound("there is no such letter in the tray");
}
