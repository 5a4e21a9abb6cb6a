using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>What is told of a cover to the customer who is to pay for it: no word of the workroom's own.</summary>
public static class Telling
{
    /// <summary>Its size, its cloths, and what was chosen of what can be seen.</summary>
    public static IReadOnlyList<string> Of(ItemPlan item, JobDocument job, MakeUp makeUp, Vocabulary words)
    {
        if (item.Draft is not { Pattern: { } pattern, Reading: { } reading })
            return [];
        var size = HandingOver.Size(pattern, job.Unit);
        var cloths = pattern
            .Roles.Where(role => !role.IsFilling())
            .Select(role => job.ClothOf(item.Item, role))
            .Distinct()
            .Select(id => job.Cloths.FirstOrDefault(cloth => cloth.Id == id)?.Name)
            .OfType<string>()
            .ToList();
        var chosen = makeUp
            .Choices.Where(choice => choice.ForCustomer && reading.Shows(choice))
            .Select(choice => (choice, Answer: AnswerOf(item.Item, choice)))
            // What a cover does not have nobody misses.
            .Where(each => each.Answer.Key is not ("none" or "no"))
            .Select(each => Said(each.choice, each.Answer))
            .ToList();
        return
        [
            .. size.Length > 0 ? [$"{size}, finished"] : Array.Empty<string>(),
            .. cloths.Count > 0 ? [$"in {string.Join(" and ", cloths)}"] : Array.Empty<string>(),
            .. chosen.Select(words.Say),
            .. pattern.Seams.Any(seam => seam.Zip is not null)
            && !chosen.Exists(each => each.Contains("zip", StringComparison.OrdinalIgnoreCase))
                ? [words.Say("Comes off by a zip")]
                : Array.Empty<string>(),
        ];
    }

    /// <summary>One answer in words: <c>Cord on both edges</c>, <c>Skirt: with flaps</c>, <c>Held by hook-and-loop</c>.</summary>
    public static string Said(Choice choice, Option answer)
    {
        var first = choice.Name.Split(' ')[0];
        if (answer.Name.Contains(first, StringComparison.OrdinalIgnoreCase))
            return answer.Name;
        var told = char.ToLowerInvariant(answer.Name[0]) + answer.Name[1..];
        return choice.Name.EndsWith(" by", StringComparison.Ordinal)
            ? $"{choice.Name} {told}"
            : $"{choice.Name}: {told}";
    }

    /// <summary>What an item answers to a choice among options.</summary>
    public static Option AnswerOf(Item item, Choice choice)
    {
        var key = item.Choices.TryGetValue(choice.Key, out var entry) ? entry.Typed : choice.Default;
        return choice.Options.FirstOrDefault(option => option.Key == key) ?? choice.Options[0];
    }
}
