using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Records;

/// <summary>A statement that the workroom begins from, under a name; what is to be filled in stands in square brackets.</summary>
public sealed record Statement(string Id, string Name, string Text);

/// <summary>What the workroom states when it hands over. Wrapper records it and certifies nothing.</summary>
public sealed record WorkroomStates(string Postcode, IReadOnlyList<Statement> Statements);

/// <summary>A care mark: what it says, and its drawing in a field 40 wide and 36 high.</summary>
public sealed record CareMarkView(string Key, CareGroup Group, string Words, string Drawing, string Inside)
{
    internal static CareMarkView Of(CareMark mark) => new(mark.Key, mark.Group, mark.Words, mark.Drawing, mark.Inside);
}

/// <summary>How large a sewn-in label is at the least: as wide as told, and as high as its text asks for.</summary>
public sealed record LabelView(LengthView Width, LengthView Height, IReadOnlyList<Problem> Problems)
{
    private static readonly LengthLimits Limits = new(Length.Millimetres(20), Length.Inches(10), "2 3/4", "7");

    internal static LabelView Of(JobDocument job)
    {
        List<Problem> problems = [];
        Length Read(string field, Entry? entry, Length usual)
        {
            if (entry is null || entry.Typed.Trim().Length == 0)
                return usual;
            var (length, refusal) = Entry.Read(entry, job.Unit, Limits);
            if (refusal is not null)
                problems.Add(
                    new Problem(
                        $"handOver.{field}",
                        entry.Typed,
                        refusal.Position,
                        refusal.Reason,
                        LengthPrinter.Finished(usual, job.Unit).Text
                    )
                    {
                        Stage = Stage.HandOver,
                    }
                );
            return length ?? usual;
        }
        var width = Read(
            "labelWidth",
            job.HandOver.LabelWidth,
            job.Unit.IsInches() ? Length.Inches(2, 3, 4) : Length.Millimetres(70)
        );
        var height = Read(
            "labelHeight",
            job.HandOver.LabelHeight,
            job.Unit.IsInches() ? Length.Inches(1, 1, 2) : Length.Millimetres(40)
        );
        return new(LengthView.Finished(width, job.Unit), LengthView.Finished(height, job.Unit), problems);
    }
}

/// <summary>
/// The covers of one item as they would go out today, what is missing from what is said of them, and where such a cover
/// usually opens; <paramref name="Given"/> is null while the item is in doubt.
/// </summary>
public sealed record CoverView(
    string Item,
    int Number,
    string Name,
    GivenRecord? Given,
    IReadOnlyList<string> Missing,
    string UsuallyOpens
);

/// <summary>The handing over of a job.</summary>
public sealed record HandOverView(IReadOnlyList<CoverView> Covers, LabelView Label)
{
    internal static HandOverView Of(IReadOnlyList<ItemPlan> items, JobDocument job, Maker maker, string date) =>
        new(
            [
                .. items.Select(item =>
                {
                    var over = HandingOver.Of(item, job, maker, date);
                    return new CoverView(
                        item.Item.Id,
                        item.Number,
                        item.Item.Name,
                        over?.Given,
                        over?.Missing ?? [],
                        over?.UsuallyOpens ?? ""
                    );
                }),
            ],
            LabelView.Of(job)
        );
}
