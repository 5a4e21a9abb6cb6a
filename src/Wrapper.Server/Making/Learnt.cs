using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Store;

namespace Wrapper.Server.Making;

/// <summary>What the workroom has learnt from its own jobs.</summary>
internal sealed class Learnt(LearningStore store, IOptions<JsonOptions> json)
{
    private volatile Pace? pace;

    /// <summary>How long the maker takes, kind by kind.</summary>
    public Pace Pace => pace ??= Timed();

    /// <summary>Has what was learnt read anew, since a job was saved.</summary>
    public void Forget() => pace = null;

    /// <summary>
    /// What fittings found on covers of a make-up, the latest first: of the job <paramref name="id"/> as
    /// <paramref name="job"/> has them, saved or not. What cannot be read is passed over.
    /// </summary>
    public IReadOnlyList<Fit> Fits(string makeUp, string id, JobDocument job) =>
        [
            .. job
                .Making.Fits.Where(fit => fit.Found is not null && (fit.MakeUp == makeUp || IsOfCloth(fit.Subject)))
                .Reverse()
                .Select(fit => new Fit(fit.MakeUp, fit.Cloth, fit.Subject, fit.Found!)),
            .. store
                .Fits(makeUp)
                .Where(kept => kept.Job != id)
                .Select(kept => (kept, Found: EntryOf(kept.Found)))
                .Where(pair => pair.Found is not null)
                .Select(pair => new Fit(pair.kept.MakeUp, pair.kept.Cloth, pair.kept.Subject, pair.Found!)),
        ];

    /// <summary>The item with what the workroom's own new items of its make-up begin with.</summary>
    public Item Begun(Item item)
    {
        foreach (var (field, kept) in store.OwnValues(item.MakeUp))
            if (EntryOf(kept) is { } entry && field.Split('.', 2) is [var map, var key])
                item = map switch
                {
                    "choices" when item.Choices.ContainsKey(key) => item with
                    {
                        Choices = new Dictionary<string, Entry>(item.Choices) { [key] = entry },
                    },
                    "measures" => item with
                    {
                        Measures = new Dictionary<string, Entry>(item.Measures) { [key] = entry },
                    },
                    _ => item,
                };
        return item;
    }

    private static bool IsOfCloth(string subject) => subject.StartsWith("cloth.", StringComparison.Ordinal);

    private Entry? EntryOf(string kept)
    {
        try
        {
            return JsonSerializer.Deserialize<Entry>(kept, json.Value.SerializerOptions);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    private Pace Timed() =>
        Pace.From(
            store
                .Times()
                .Select(kept => (kept, Kind: KindOf(kept.Kind)))
                .Where(pair => pair.Kind is not null)
                .Select(pair =>
                    (
                        pair.Kind!.Value,
                        pair.kept.Reckoned,
                        (pair.kept.Took.Trim().Length > 0 ? TimeTaken.Read(pair.kept.Took).Seconds : pair.kept.Seconds)
                            ?? 0
                    )
                )
        );

    private static StepKind? KindOf(string name) =>
        Enum.TryParse<StepKind>(name, ignoreCase: true, out var kind) && Enum.IsDefined(kind) ? kind : null;
}
