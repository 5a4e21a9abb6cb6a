using System.Text.Json;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Store;

namespace Wrapper.Server.Jobs;

/// <summary>A stored job at one revision.</summary>
public sealed record JobView(string Id, long Revision, JobDocument Document, bool CanUndo, bool CanRedo)
{
    /// <summary>The view of <paramref name="job"/>.</summary>
    /// <exception cref="JobUnreadableException">Its document is no job.</exception>
    public static JobView Of(StoredJob job, JsonSerializerOptions json)
    {
        try
        {
            var document =
                JsonSerializer.Deserialize<JobDocument>(job.Document, json)
                ?? throw new JsonException("nothing is kept of it");
            if (NullMembers.In(document) is { } place)
                throw new JsonException($"{place} is null");
            return new(job.Id, job.Revision, document.Identified(), job.CanUndo, job.CanRedo);
        }
        catch (Exception broken) when (broken is JsonException or NotSupportedException)
        {
            throw new JobUnreadableException(job.Id, broken);
        }
    }

    /// <summary>The job of this id; null where there is none, or what is kept of it cannot be read.</summary>
    internal static JobView? Readable(JobStore store, string id, JsonSerializerOptions json)
    {
        try
        {
            return store.Find(id) is { } job ? Of(job, json) : null;
        }
        catch (JobUnreadableException)
        {
            return null;
        }
    }
}
