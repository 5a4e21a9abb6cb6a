using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;

namespace Wrapper.Server.Demo;

/// <summary>Demo jobs as they stand on the bench: partly made, and partly handed over.</summary>
internal static class DemoBench
{
    private static readonly Drafting Drafting = Drafting.Standard();

    /// <summary>The first <paramref name="turns"/> turns are done, a little slower than reckoned, and all checks hold.</summary>
    public static JobDocument Begun(JobDocument job, int turns)
    {
        var bench = BenchPlan.Of(Plan.Of(job, Drafting, lay: false).Items, job);
        var done = bench.Turns.Take(turns).ToList();
        return job with
        {
            Making = new()
            {
                Steps =
                [
                    .. done.Select(turn => new StepLog(turn.Step.Id, turn.Last)
                    {
                        Seconds = (long)(turn.Step.Minutes * turn.Covers * 66),
                        Kind = $"{turn.Step.Step.Kind}".ToLowerInvariant(),
                        Reckoned = (long)(turn.Step.Rated * turn.Covers * 60),
                    }),
                ],
                Checks =
                [
                    .. done.SelectMany(turn => bench.ChecksOf(turn.Step, turn.First, turn.Last))
                        .Where(state => !state.Check.IsRead)
                        .Select(state => new CheckLog(state.Id, Verdict.Holds)),
                ],
            },
        };
    }

    /// <summary>One item of the job went out on <paramref name="date"/>, everything stated.</summary>
    public static JobDocument Gone(JobDocument job, string item, string date, CoverRecord said)
    {
        job = job with { HandOver = job.HandOver with { Covers = [.. job.HandOver.Covers, said with { Id = item }] } };
        var plan = Plan.Of(job, Drafting, lay: false).Items.Single(each => each.Item.Id == item);
        var given = HandingOver.Of(plan, job, new("Heron Loft", "FB2 7QX"), date)!.Given;
        return job with
        {
            HandOver = job.HandOver with
            {
                Covers = [.. job.HandOver.Covers.Select(each => each.Id == item ? each with { Given = given } : each)],
            },
        };
    }

    /// <summary>The cloth with what its ticket says.</summary>
    public static JobDocument Ticketed(JobDocument job, string cloth, string batch, params string[] care) =>
        job with
        {
            Cloths = [.. job.Cloths.Select(each => each.Id == cloth ? each with { Batch = batch, Care = care } : each)],
        };
}
