using System.Globalization;
using Microsoft.AspNetCore.Mvc;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Formats.Pages;
using Wrapper.Server.Records;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Sheets;

/// <summary>
/// What of a sheet is asked for: one <paramref name="Item"/> or <paramref name="Cloth"/> alone, null for all, and the
/// paper: <c>a4</c>, <c>letter</c>, of labels <c>label</c> too; null for what is usual in the workroom's region.
/// </summary>
internal sealed record SheetOf(
    [FromQuery(Name = "item")] string? Item = null,
    [FromQuery(Name = "cloth")] string? Cloth = null,
    [FromQuery(Name = "paper")] string? Paper = null
);

/// <summary>The sheets of a job, by their keys.</summary>
internal sealed class JobSheets(
    Drafting drafting,
    LayCache kept,
    WorkroomStore workroom,
    Wording wording,
    TimeProvider clock
)
{
    /// <summary>Every sheet, and whether cloth must be laid for it.</summary>
    public static readonly IReadOnlyDictionary<string, bool> Keys = new Dictionary<string, bool>
    {
        ["measuring-sheet"] = false,
        ["pieces"] = false,
        ["cutting-sheet"] = true,
        ["lay-plan"] = true,
        ["making-sheet"] = false,
        ["shopping-list"] = true,
        ["label"] = false,
        ["care-card"] = false,
        ["hand-over-sheet"] = false,
    };

    private const string LabelPaper = "label";

    private static readonly IReadOnlyDictionary<string, string> American = Region
        .All.First(region => region.Key == "american")
        .Words;

    /// <summary>What is wrong with what is asked for.</summary>
    public static IEnumerable<Problem> Check(SheetOf of)
    {
        if (of.Paper is not (null or "a4" or "letter" or LabelPaper))
            yield return new(
                "paper",
                of.Paper.Length > 40 ? of.Paper[..40] : of.Paper,
                0,
                "a4 or letter is needed",
                "a4"
            );
    }

    /// <summary>The house as it prints on this paper.</summary>
    public Office OfficeOn(string? paper) =>
        new(
            workroom.Read()?.Name ?? "",
            wording.Vocabulary,
            paper switch
            {
                "letter" => SheetSize.Letter,
                "a4" => SheetSize.A4,
                // Where cloth is welted and zippered, paper is Letter.
                _ => wording
                    .Vocabulary.Words.OrderBy(pair => pair.Key)
                    .SequenceEqual(American.OrderBy(pair => pair.Key))
                    ? SheetSize.Letter
                    : SheetSize.A4,
            }
        );

    /// <summary>The sheet of this key.</summary>
    public Sheet Of(string key, JobDocument job, SheetOf of, CancellationToken cancel)
    {
        var office = OfficeOn(of.Paper);
        var plan = Plan.Of(job, drafting, Keys[key], kept, cancel);
        var sheet = key switch
        {
            "measuring-sheet" => MeasuringSheet.Of(job, drafting, office),
            "pieces" => PiecesSheet.Of(plan.Items, job, of.Item, office),
            "cutting-sheet" => LaySheet.Cutting(plan, job, office, cancel),
            "lay-plan" => LaySheet.LayPlan(plan, job, of.Cloth, office, cancel),
            "making-sheet" => MakingSheet.Of(plan.Items, job, office),
            "shopping-list" => ShoppingSheet.Of(plan, job, office),
            _ => HandOver(key, plan, job, of, office),
        };
        // What goes out with the covers says it of each; on the others it stands first, whatever else is on them.
        return key is "label" or "care-card" or "hand-over-sheet"
            ? sheet
            : sheet with
            {
                Head = string.Join(" · ", new[] { job.Name, job.Customer }.Where(text => text.Trim().Length > 0)),
                Blocks = [.. Cautions(plan, office), .. sheet.Blocks],
            };
    }

    private static IEnumerable<Text> Cautions(Plan plan, Office office) =>
        plan
            .Items.SelectMany(item => item.Draft.Pattern?.Remarks ?? [])
            .Where(remark => remark.Always)
            .Select(remark => remark.Text)
            .Distinct()
            .Select(text => Text.Of(Run.Bold(office.Say(text))) with { IsMarked = true });

    private Sheet HandOver(string key, Plan plan, JobDocument job, SheetOf of, Office office)
    {
        var over = HandOverView.Of(
            plan.Items,
            job,
            new(office.Workroom, States.Read(workroom).Postcode),
            clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)
        );
        // What went out stays as it was said then.
        List<GivenRecord> all =
        [
            .. over
                .Covers.Where(cover => of.Item is null || cover.Item == of.Item)
                .Select(cover =>
                    job.HandOver.Covers.FirstOrDefault(said => said.Id == cover.Item)?.Given ?? cover.Given
                )
                .OfType<GivenRecord>(),
        ];
        return key switch
        {
            "label" => HandOverSheets.Labels(all, over.Label, of.Paper == LabelPaper, job.Name, office),
            "care-card" => HandOverSheets.Cards(all, job.Name, office),
            _ => HandOverSheets.ToSign(all, job.Name, office),
        };
    }
}
