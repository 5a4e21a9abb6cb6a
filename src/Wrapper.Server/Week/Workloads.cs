using System.Collections.Concurrent;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Jobs;
using Wrapper.Server.Making;
using Wrapper.Store;

namespace Wrapper.Server.Week;

/// <summary>What of a job is still to be done, the tone of its first cloth, and how many items could not be reckoned.</summary>
internal sealed record Load(IReadOnlyList<LoadedWork> Works, string Tone, int InDoubt);

/// <summary>
/// What jobs still are in hours: drafted once a revision, since that costs more than the whole plan.
/// </summary>
internal sealed class Workloads(JobStore jobs, Drafting drafting, Learnt learnt, IOptions<JsonOptions> json)
{
    private const int MostKept = 2000;
    private static readonly Load Nothing = new([], "#5d7284", 0);

    private readonly ConcurrentDictionary<string, (long Revision, Pace Pace, Load Load)> known = new();

    /// <summary>The work of a job at this revision; none where it cannot be read.</summary>
    public Load Of(string id, long revision, CancellationToken cancel)
    {
        var pace = learnt.Pace;
        if (known.TryGetValue(id, out var kept) && kept.Revision == revision && kept.Pace == pace)
            return kept.Load;
        if (JobView.Readable(jobs, id, json.Value.SerializerOptions) is not { } view)
            return Nothing;
        var plan = Plan.Of(view.Document, drafting, lay: false, cancel: cancel);
        var load = new Load(
            Workload.Of(BenchPlan.Of(plan.Items, view.Document, pace)),
            view.Document.Cloths is [var first, ..] ? first.Tone : Nothing.Tone,
            plan.Items.Count(item => item.Draft.Pattern is null)
        );
        if (known.Count >= MostKept)
            known.Clear();
        known[id] = (view.Revision, pace, load);
        return load;
    }
}
