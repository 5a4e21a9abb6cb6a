using Wrapper.Core.Covers.Cloths;
using Wrapper.Core.Jobs;

namespace Wrapper.Core.Planning;

/// <summary>Cloths of a job that items of the same job make (craft §10).</summary>
internal static class MadeCloths
{
    /// <summary>
    /// The job with every made cloth as large as its item makes it; one whose item is gone or in doubt stays as entered.
    /// </summary>
    public static JobDocument Resolved(JobDocument job, Drafting drafting) =>
        job.Cloths.All(cloth => cloth.MadeBy is null)
            ? job
            : job with
            {
                Cloths = [.. job.Cloths.Select(cloth => Sized(cloth, job, drafting) ?? cloth)],
            };

    /// <summary>What is wrong with a made cloth of which the lay takes so many; null when nothing is.</summary>
    public static Problem? Short(JobCloth cloth, JobDocument job, int needed)
    {
        var item = job.Items.FirstOrDefault(each => each.Id == cloth.MadeBy);
        Problem Wrong(string given, string reason, string example) =>
            new($"cloths.{cloth.Id}.madeBy", given, 0, reason, example) { Stage = Stage.Lay };
        if (item is null)
            return Wrong(
                cloth.MadeBy ?? "",
                "no item of this job makes it any more",
                job.Items is [var one, ..] ? one.Name : ""
            );
        if (cloth.ArticleLength is null)
            return Wrong(item.Name, "the item that makes it is in doubt, or makes no cloth", item.Name);
        return int.TryParse(item.Quantity, out var made) && made >= needed
            ? null
            : Wrong(
                item.Name,
                $"{needed} of it are needed, and {item.Quantity} made: make {needed}, or each longer",
                $"{needed}"
            );
    }

    private static JobCloth? Sized(JobCloth cloth, JobDocument job, Drafting drafting)
    {
        if (cloth.MadeBy is null)
            return null;
        var bare = cloth with { ArticleLength = null };
        if (job.Items.FirstOrDefault(item => item.Id == cloth.MadeBy) is not { } by)
            return bare;
        var draft = drafting.Draft(by, job.Unit);
        if (ClothOfStrips.Made(draft.Pattern, draft.Reading) is not { } made)
            return bare;
        return cloth with
        {
            Width = Entry.Of(made.Width, job.Unit),
            Selvedge = Entry.Of(made.Edge, job.Unit),
            ArticleLength = Entry.Of(made.Length, job.Unit),
            MeasuredWidth = null,
            MeasuredLength = null,
            ShrinksAcross = "",
            ShrinksAlong = "",
            Stock = [],
            Spread = Spread.Single,
        };
    }
}
