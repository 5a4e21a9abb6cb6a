using System.Text.RegularExpressions;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Declaring;

/// <summary>Left for right in what was entered, where a make-up has both.</summary>
internal static partial class Mirror
{
    /// <summary>
    /// <paramref name="item"/> seen in a mirror: of the other hand, where the make-up asks for that; else answers and
    /// keys that say left say right and the other way round, and traced outlines are turned over.
    /// </summary>
    public static Item Of(Item item, MakeUp makeUp)
    {
        var allowances = item.Allowances.ToDictionary(pair => Swapped(pair.Key), pair => pair.Value);
        if (makeUp.Choices.FirstOrDefault(choice => choice.IsHand) is { } hand)
        {
            var unit = item.Choices.Values.FirstOrDefault()?.Unit ?? JobUnit.Inch;
            // An outline that is alike from both sides has no hand, but may have allowances of its own.
            if (!new Reading(makeUp, item, unit).Asked.Contains($"choices.{hand.Key}"))
                return item with { Allowances = allowances };
            // What comes in pairs is of both hands.
            var now = item.Choices[hand.Key];
            return Answer(hand, now) is var turned && turned == now
                ? item
                : item with
                {
                    Choices = new Dictionary<string, Entry>(item.Choices) { [hand.Key] = turned },
                    Allowances = allowances,
                };
        }
        var keys = makeUp.Choices.Select(choice => choice.Key).ToHashSet();
        return item with
        {
            Measures = item.Measures.ToDictionary(
                pair => pair.Key,
                pair =>
                    makeUp.Measures.Any(measure => measure.Key == pair.Key && measure.Kind == MeasureKind.Outline)
                        ? pair.Value with
                        {
                            Typed = OutlineReader.Mirrored(pair.Value.Typed),
                        }
                        : pair.Value
            ),
            Choices = item.Choices.ToDictionary(
                pair => Swapped(pair.Key) is var other && keys.Contains(other) ? other : pair.Key,
                pair => Answer(makeUp.Choices.FirstOrDefault(choice => choice.Key == pair.Key), pair.Value)
            ),
            Allowances = allowances,
        };
    }

    private static Entry Answer(Choice? choice, Entry entry) =>
        choice is { Kind: ChoiceKind.Option }
        && Swapped(entry.Typed) is var other
        && choice.Options.Any(option => option.Key == other)
            ? entry with
            {
                Typed = other,
            }
            : entry;

    private static string Swapped(string key) =>
        LeftOrRight()
            .Replace(
                key,
                word =>
                    word.Value switch
                    {
                        "left" => "right",
                        "Left" => "Right",
                        "right" => "left",
                        _ => "Left",
                    }
            );

    [GeneratedRegex("[lL]eft|[rR]ight")]
    private static partial Regex LeftOrRight();
}
