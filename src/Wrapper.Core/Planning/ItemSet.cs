using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>Something that the items of a set have in common and that is measured once.</summary>
public sealed record SetMeasure(string Key, string Name, string HoldTape, Length Usual, bool Optional = false);

/// <summary>How many there are of something in a set.</summary>
public sealed record SetCount(string Key, string Name, int Usual, int Min, int Max);

/// <summary>One item of a set: its name within the set, make-up, how many, its sizes and what is chosen for it.</summary>
internal sealed record SetPart(
    string Name,
    string MakeUp,
    int Quantity,
    IReadOnlyList<(string Key, Length Size)> Sizes,
    params IReadOnlyList<(string Key, string Answer)> Answers
);

/// <summary>
/// Items that belong together and are begun in one step with shared measurements: a sofa, a table with its chairs, a
/// bed. Once begun each is an item like any other.
/// </summary>
public sealed class ItemSet
{
    private readonly Func<SetReading, IEnumerable<SetPart>> parts;

    internal ItemSet(
        string key,
        string name,
        string suits,
        IReadOnlyList<SetCount> counts,
        IReadOnlyList<SetMeasure> measures,
        Func<SetReading, IEnumerable<SetPart>> parts
    ) => (Key, Name, Suits, Counts, Measures, this.parts) = (key, name, suits, counts, measures, parts);

    /// <summary>Its key in requests.</summary>
    public string Key { get; }

    /// <summary>Its name.</summary>
    public string Name { get; }

    /// <summary>What it is made of, in one line.</summary>
    public string Suits { get; }

    /// <summary>What is counted.</summary>
    public IReadOnlyList<SetCount> Counts { get; }

    /// <summary>What is measured, in walking order.</summary>
    public IReadOnlyList<SetMeasure> Measures { get; }

    /// <summary>The make-up of its first item at usual sizes.</summary>
    public string FirstMakeUp =>
        parts(
                new SetReading(
                    this,
                    JobUnit.Inch,
                    Counts
                        .Select(count => (count.Key, Entry: new Entry($"{count.Usual}", JobUnit.Inch)))
                        .Concat(Measures.Select(measure => (measure.Key, Entry: Entry.Of(measure.Usual, JobUnit.Inch))))
                        .ToDictionary(pair => pair.Key, pair => pair.Entry)
                )
            )
            .First()
            .MakeUp;

    /// <summary>
    /// The items of the set from what was entered by key, or what cannot be read. Their ids begin with
    /// <paramref name="id"/>, their names with <paramref name="name"/>.
    /// </summary>
    public (IReadOnlyList<Item> Items, IReadOnlyList<Problem> Problems) Begin(
        string id,
        string name,
        JobUnit unit,
        IReadOnlyDictionary<string, Entry> entries,
        Drafting drafting
    )
    {
        var reading = new SetReading(this, unit, entries);
        if (reading.Problems.Count > 0)
            return ([], reading.Problems);
        return (
            [
                .. parts(reading)
                    .Select(
                        (part, at) =>
                        {
                            var makeUp = drafting.Find(part.MakeUp)!;
                            var item = makeUp.NewItem($"{id}-{at + 1}", $"{name}: {part.Name}", unit);
                            var choices = new Dictionary<string, Entry>(item.Choices);
                            foreach (var (key, answer) in part.Answers)
                                choices[key] = new Entry(answer, unit);
                            return item with
                            {
                                Quantity = part.Quantity.ToString(CultureInfo.InvariantCulture),
                                Choices = choices,
                                Measures = part.Sizes.ToDictionary(size => size.Key, size => Entry.Of(size.Size, unit)),
                            };
                        }
                    ),
            ],
            []
        );
    }
}

/// <summary>The entries of a set, read.</summary>
internal sealed class SetReading
{
    private readonly Dictionary<string, Length> lengths = [];
    private readonly Dictionary<string, int> counts = [];

    public SetReading(ItemSet set, JobUnit unit, IReadOnlyDictionary<string, Entry> entries)
    {
        foreach (var count in set.Counts)
        {
            var typed = entries.GetValueOrDefault(count.Key)?.Typed.Trim() ?? "";
            if (
                int.TryParse(typed, NumberStyles.None, CultureInfo.InvariantCulture, out var given)
                && given >= count.Min
                && given <= count.Max
            )
                counts[count.Key] = given;
            else
                Problems.Add(
                    new(
                        count.Key,
                        typed,
                        0,
                        $"a whole number from {count.Min} to {count.Max} is needed",
                        $"{count.Usual}"
                    )
                );
        }
        foreach (var measure in set.Measures)
        {
            var entry = entries.GetValueOrDefault(measure.Key);
            if (measure.Optional && string.IsNullOrWhiteSpace(entry?.Typed))
                continue;
            var (length, refusal) = Entry.Read(entry, unit, LengthLimits.Item);
            if (length is { } read)
                lengths[measure.Key] = read;
            else
                Problems.Add(
                    new(
                        measure.Key,
                        refusal!.Given,
                        refusal.Position,
                        refusal.Reason,
                        LengthPrinter.Finished(measure.Usual, unit).Text
                    )
                );
        }
    }

    public List<Problem> Problems { get; } = [];

    public Length this[SetMeasure measure] => lengths[measure.Key];

    public int this[SetCount count] => counts[count.Key];

    public bool Has(SetMeasure measure) => lengths.ContainsKey(measure.Key);
}
