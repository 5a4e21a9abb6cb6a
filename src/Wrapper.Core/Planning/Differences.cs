using Wrapper.Core.Cloth;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Words;

namespace Wrapper.Core.Planning;

/// <summary>What changed between two states of a job, in the maker's words.</summary>
public static class Differences
{
    /// <summary>One line a change, as things stand in <paramref name="after"/>; none where nothing changed that is told.</summary>
    public static IReadOnlyList<string> Of(
        JobDocument before,
        JobDocument after,
        Drafting drafting,
        Vocabulary words
    ) => [.. Told(before, after, drafting, words)];

    /// <summary>
    /// By how much more or less is bought of each cloth; a cloth that either state does not have or cannot lay is left
    /// out.
    /// </summary>
    public static IReadOnlyList<string> InCloth(Plan before, Plan after, JobUnit unit) =>
        [
            .. from now in after.Cloths
            join then in before.Cloths on now.Reading.Cloth.Id equals then.Reading.Cloth.Id
            let more = More(then.Buying, now.Buying, unit)
            where more.Length > 0
            select $"{more} of {now.Reading.Cloth.Name}",
        ];

    private static string More(Buying? then, Buying? now, JobUnit unit) =>
        now is null || then is null ? ""
        : now.Articles is { } count
            ? count == then.Articles ? ""
                : $"{count - (then.Articles ?? 0):+0;-0}"
        : now.Bought == then.Bought ? ""
        : LengthPrinter.ClothDifference(now.Bought - then.Bought, unit);

    private static IEnumerable<string> Told(JobDocument before, JobDocument after, Drafting drafting, Vocabulary words)
    {
        if (Changed("called", before.Name, after.Name) is { } name)
            yield return name;
        if (Changed("customer", before.Customer, after.Customer) is { } customer)
            yield return customer;
        if (before.Unit != after.Unit)
            yield return $"measured in {LengthPrinter.Word(after.Unit)} instead of {LengthPrinter.Word(before.Unit)}";
        var then = before.Items.ToDictionary(item => item.Id);
        foreach (var item in after.Items)
            if (!then.Remove(item.Id, out var old))
                yield return $"{item.Name} added";
            else
                foreach (var line in OfItem(old, item, after, drafting, words))
                    yield return line;
        foreach (var gone in then.Values)
            yield return $"{gone.Name} taken off";
        var cloths = before.Cloths.ToDictionary(cloth => cloth.Id);
        foreach (var cloth in after.Cloths)
            if (!cloths.Remove(cloth.Id, out var old))
                yield return $"{cloth.Name} added";
            else
                foreach (var line in OfCloth(old, cloth))
                    yield return line;
        foreach (var gone in cloths.Values)
            yield return $"{gone.Name} taken away";
        foreach (var line in FromShelves(before, after, words))
            yield return line;
        var (done, was) = (Done(after), Done(before));
        if (done != was)
            yield return $"{Math.Abs(done - was)} {(Math.Abs(done - was) == 1 ? "step" : "steps")} {(done > was ? "done" : "taken back")}";
        var (given, gave) = (Given(after), Given(before));
        if (given > gave)
            yield return $"{given - gave} handed over";
    }

    private static IEnumerable<string> FromShelves(JobDocument before, JobDocument after, Vocabulary words)
    {
        var then = before.FromShelves.ToDictionary(row => row.Id);
        foreach (var row in after.FromShelves)
        {
            var thing = words.Say(row.Thing.Split('/')[0]);
            if (!then.Remove(row.Id, out var old))
                yield return $"{thing} from the shelves: {row.Amount.Typed}";
            else if (Changed($"{thing} from the shelves", old.Amount.Typed, row.Amount.Typed) is { } line)
                yield return line;
            if (row.IsOut && old?.IsOut != true)
                yield return $"{thing} taken out of the shelf";
        }
        foreach (var gone in then.Values)
            yield return $"{words.Say(gone.Thing.Split('/')[0])}: not from the shelves";
    }

    private static IEnumerable<string> OfItem(Item old, Item item, JobDocument job, Drafting drafting, Vocabulary words)
    {
        var makeUp = drafting.Find(item.MakeUp);
        string? Line(string what, string before, string after) =>
            Changed(what, before, after) is { } line ? $"{item.Name}: {line}" : null;
        string?[] plain =
        [
            Changed("called", old.Name, item.Name),
            old.MakeUp == item.MakeUp
                ? null
                : $"{item.Name}: made as {words.Say(makeUp?.Name ?? item.MakeUp)} instead of {words.Say(drafting.Find(old.MakeUp)?.Name ?? old.MakeUp)}",
            Line("how many", old.Quantity, item.Quantity),
            Line("cut from", NameOf(old.Cloth, job), NameOf(item.Cloth, job)),
            Line("room", old.Room, item.Room),
            old.Notes == item.Notes ? null : $"{item.Name}: notes",
        ];
        foreach (var line in plain.OfType<string>())
            yield return line;
        foreach (var measure in makeUp?.Measures ?? [])
            if (
                Line(words.Say(measure.Name), Typed(old.Measures, measure.Key), Typed(item.Measures, measure.Key)) is
                { } line
            )
                yield return line;
        foreach (var choice in makeUp?.Choices ?? [])
            if (
                Line(
                    words.Say(choice.Name.ToLowerInvariant()),
                    Answer(choice, Typed(old.Choices, choice.Key), words),
                    Answer(choice, Typed(item.Choices, choice.Key), words)
                ) is
                { } line
            )
                yield return line;
        foreach (var key in old.Allowances.Keys.Union(item.Allowances.Keys).Order(StringComparer.Ordinal))
        {
            var declared = makeUp?.Allowances.FirstOrDefault(each => each.Symbol == key);
            if (
                Line(
                    words.Say(declared?.Name ?? $"allowance {key.Replace('/', ' ')}"),
                    Typed(old.Allowances, key),
                    Typed(item.Allowances, key)
                ) is
                { } line
            )
                yield return line;
        }
    }

    private static IEnumerable<string> OfCloth(JobCloth old, JobCloth cloth)
    {
        string? Line(string what, string? before, string? after) =>
            Changed(what, before ?? "", after ?? "") is { } line ? $"{cloth.Name}: {line}" : null;
        List<string> told =
        [
            .. new[]
            {
                Changed("called", old.Name, cloth.Name),
                Line("width", old.Width.Typed, cloth.Width.Typed),
                Line("repeat along", old.RepeatAlong?.Typed, cloth.RepeatAlong?.Typed),
                Line("repeat across", old.RepeatAcross?.Typed, cloth.RepeatAcross?.Typed),
                Line("price", old.Price, cloth.Price),
                Line("batch", old.Batch, cloth.Batch),
                Line("measured", old.MeasuredLength?.Typed, cloth.MeasuredLength?.Typed),
            }.OfType<string>(),
        ];
        if (old.Pins.Count != cloth.Pins.Count || !old.Pins.SequenceEqual(cloth.Pins))
            told.Add($"{cloth.Name}: pieces pinned elsewhere");
        if (old.Cut.Count != cloth.Cut.Count)
            told.Add($"{cloth.Name}: {cloth.Cut.Count} cut instead of {old.Cut.Count}");
        return told;
    }

    private static string Answer(Choice choice, string typed, Vocabulary words) =>
        choice.Options.FirstOrDefault(option => option.Key == typed) is { } option
            ? words.Say(char.ToLowerInvariant(option.Name[0]) + option.Name[1..])
            : typed;

    private static string Typed(IReadOnlyDictionary<string, Entry> entries, string key) =>
        entries.TryGetValue(key, out var entry) ? entry.Typed.Trim() : "";

    private static string NameOf(string? id, JobDocument job) =>
        id is null ? "" : job.Cloths.FirstOrDefault(cloth => cloth.Id == id)?.Name ?? "";

    private static string? Changed(string what, string before, string after) =>
        before.Trim() == after.Trim() ? null
        : before.Trim().Length == 0 ? $"{what} {Short(after)}"
        : after.Trim().Length == 0 ? $"{what} {Short(before)} taken away"
        : $"{what} {Short(before)}, now {Short(after)}";

    private static string Short(string text) => text.Length > 60 ? $"{text[..60]} \u2026" : text.Trim();

    private static int Done(JobDocument job) => job.Making.Steps.Sum(step => step.Done);

    private static int Given(JobDocument job) => job.HandOver.Covers.Count(cover => cover.Given is not null);
}
