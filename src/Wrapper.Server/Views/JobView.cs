using System.Text.Json;
using Wrapper.Core.Jobs;
using Wrapper.Store;

namespace Wrapper.Server.Views;

/// <summary>A stored job at one revision.</summary>
public sealed record JobView(string Id, long Revision, JobDocument Document, bool CanUndo, bool CanRedo)
{
    /// <summary>The view of <paramref name="job"/>.</summary>
    public static JobView Of(StoredJob job, JsonSerializerOptions json) =>
        new(job.Id, job.Revision, JsonSerializer.Deserialize<JobDocument>(job.Document, json)!, job.CanUndo, job.CanRedo);
}
