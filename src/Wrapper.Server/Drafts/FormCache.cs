using System.Collections.Concurrent;
using System.Text.Json;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drafts;

/// <summary>
/// Forms that were sewn before, by all that shapes them: an item's name, cloths and number do not. Only the last few are
/// kept.
/// </summary>
internal sealed class FormCache
{
    private const int Most = 60;

    private readonly ConcurrentDictionary<string, SewnForm?> forms = new();

    /// <summary>The form of <paramref name="item"/>, sewn now if it was not before.</summary>
    public SewnForm? Of(Item item, JobDocument job, Drafting drafting, CancellationToken cancel)
    {
        var key = KeyOf(item, job);
        if (forms.TryGetValue(key, out var known))
            return known;
        var form = ItemForm.Sew(item, job, drafting, cancel);
        if (forms.Count >= Most)
            forms.Clear();
        return forms[key] = form;
    }

    /// <summary>All that shapes the form of an item.</summary>
    public static string KeyOf(Item item, JobDocument job) =>
        JsonSerializer.Serialize(
            new
            {
                item.MakeUp,
                job.Unit,
                Strips = ItemForm.StripsOf(item, job),
                Measures = item.Measures.OrderBy(entry => entry.Key, StringComparer.Ordinal),
                Allowances = item.Allowances.OrderBy(entry => entry.Key, StringComparer.Ordinal),
                Choices = item.Choices.OrderBy(entry => entry.Key, StringComparer.Ordinal),
            }
        );
}
