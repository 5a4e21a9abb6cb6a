using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Declaring;

/// <summary>What kind of answer a choice takes.</summary>
[JsonConverter(typeof(ByName<ChoiceKind>))]
public enum ChoiceKind
{
    /// <summary>One of the declared options.</summary>
    [JsonStringEnumMemberName("option")]
    Option,

    /// <summary>A length.</summary>
    [JsonStringEnumMemberName("length")]
    Length,

    /// <summary>A whole number.</summary>
    [JsonStringEnumMemberName("count")]
    Count,
}

/// <summary>
/// Something that can be chosen; the object is the handle by which a <see cref="Reading"/> is asked what was. Its
/// default is an option's key, a count, or a length
/// that differs by the unit the item was begun in.
/// </summary>
public abstract record Choice(string Key, string Name, string Group, ChoiceKind Kind)
{
    /// <summary>The answers of an option choice; none for the rest.</summary>
    public IReadOnlyList<Option> Options { get; init; } = [];

    /// <summary>The option or count that a new item starts with; empty for a length.</summary>
    public string Default { get; init; } = "";

    /// <summary>The length that an item begun in inches starts with.</summary>
    public Length InchDefault { get; init; }

    /// <summary>The length that an item begun in metric starts with.</summary>
    public Length MetricDefault { get; init; }

    /// <summary>The limits of a length.</summary>
    public LengthLimits Limits { get; init; } = LengthLimits.Allowance;

    /// <summary>The least count.</summary>
    public int Min { get; init; } = 1;

    /// <summary>The greatest count.</summary>
    public int Max { get; init; } = 12;

    /// <summary>What it does to the cover, in one line.</summary>
    public string Note { get; init; } = "";

    /// <summary>When it is shown; always if null.</summary>
    public Condition? ShownWhen { get; init; }

    /// <summary>
    /// By how much it may be less without harm, where a little less can save cloth; zero where it may not.
    /// </summary>
    public Length Adjustable { get; init; }

    /// <summary>Whether fittings can find that it should have been otherwise, so that the workroom learns its own.</summary>
    public bool Learns { get; init; }

    /// <summary>Whether another of its answers is worth trying where cloth is to be saved.</summary>
    public bool MaySave { get; init; }

    /// <summary>Whether it decides what is measured, and so is asked beside the measuring drawing.</summary>
    public bool OnMeasure { get; init; }

    /// <summary>Whether its answer is told to the customer, on quotations and what follows them.</summary>
    public bool ForCustomer { get; init; }

    /// <summary>
    /// Whether it says which hand the whole cover is: then its mirror image is the same with the other hand.
    /// </summary>
    public bool IsHand { get; init; }

    /// <summary>A choice of a whole number from <paramref name="min"/> to <paramref name="max"/>.</summary>
    public static CountChoice OfCount(string key, string name, string group, int usual, int min, int max) =>
        new(key, name, group)
        {
            Default = $"{usual}",
            Min = min,
            Max = max,
        };

    /// <summary>A choice among options; the first is the default.</summary>
    public static OptionChoice<T> Of<T>(string key, string name, string group, params Option<T>[] options)
        where T : struct, Enum => new(key, name, group) { Options = options, Default = options[0].Key };

    /// <summary>A choice of a length.</summary>
    public static LengthChoice OfLength(
        string key,
        string name,
        string group,
        Length inches,
        decimal millimetres,
        LengthLimits? limits = null
    ) =>
        new(key, name, group)
        {
            InchDefault = inches,
            MetricDefault = Length.Millimetres(millimetres),
            Limits = limits ?? LengthLimits.Allowance,
        };
}

/// <summary>A choice of a length.</summary>
public sealed record LengthChoice(string Key, string Name, string Group) : Choice(Key, Name, Group, ChoiceKind.Length);

/// <summary>A choice of a whole number.</summary>
public sealed record CountChoice(string Key, string Name, string Group) : Choice(Key, Name, Group, ChoiceKind.Count);

/// <summary>A choice among the members of <typeparamref name="T"/>, or some of them.</summary>
public sealed record OptionChoice<T>(string Key, string Name, string Group)
    : Choice(Key, Name, Group, ChoiceKind.Option)
    where T : struct, Enum
{
    /// <summary>The same choice, its answer told to the customer.</summary>
    public OptionChoice<T> ToldToCustomer() => this with { ForCustomer = true };

    /// <summary>The same choice, another answer its default.</summary>
    public OptionChoice<T> StartingWith(T answer) => this with { Default = OptionKeys<T>.Of(answer) };

    /// <summary>The same choice without these answers.</summary>
    public OptionChoice<T> Without(params T[] answers)
    {
        List<Option> left = [.. Options.Where(option => !answers.Contains(((Option<T>)option).Value))];
        return this with { Options = left, Default = left[0].Key };
    }
}
