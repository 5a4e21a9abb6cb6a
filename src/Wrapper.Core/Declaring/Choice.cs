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

/// <summary>One answer to a choice, and when to take it.</summary>
public sealed record Option(string Key, string Name, string When);

/// <summary>Shows a choice only while another choice has one of these answers.</summary>
public sealed record Condition(string Choice, IReadOnlyList<string> Answers);

/// <summary>
/// Something that can be chosen. Its default is an option's key, a count, or a length that differs by the unit the item was begun in;
/// <see cref="Min"/> and <see cref="Max"/> bound a count, <see cref="Limits"/> a length.
/// </summary>
public sealed record Choice(string Key, string Name, ChoiceKind Kind)
{
    /// <summary>The answers of an option choice.</summary>
    public IReadOnlyList<Option> Options { get; init; } = [];

    /// <summary>The option or count that a new item starts with.</summary>
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

    /// <summary>Under which heading it stands.</summary>
    public string Group { get; init; } = "";

    /// <summary>By how much it may be less without harm, where a little less can save cloth; zero where it may not.</summary>
    public Length Adjustable { get; init; }

    /// <summary>Whether it decides what is measured, and so is asked beside the measuring drawing.</summary>
    public bool OnMeasure { get; init; }

    /// <summary>The same choice, shown only while <paramref name="choice"/> has one of these answers.</summary>
    public Choice When(string choice, params string[] answers) =>
        this with
        {
            ShownWhen = new Condition(choice, answers),
        };

    /// <summary>A choice of a whole number.</summary>
    public static Choice OfCount(string key, string name, string group, int usual, int min, int max) =>
        new(key, name, ChoiceKind.Count)
        {
            Default = $"{usual}",
            Min = min,
            Max = max,
            Group = group,
        };

    /// <summary>A choice among options; the first is the default.</summary>
    public static Choice Of(string key, string name, string group, params Option[] options) =>
        new(key, name, ChoiceKind.Option)
        {
            Options = options,
            Default = options[0].Key,
            Group = group,
        };

    /// <summary>A choice of a length.</summary>
    public static Choice OfLength(
        string key,
        string name,
        string group,
        Length inches,
        decimal millimetres,
        LengthLimits? limits = null
    ) =>
        new(key, name, ChoiceKind.Length)
        {
            InchDefault = inches,
            MetricDefault = Length.Millimetres(millimetres),
            Limits = limits ?? LengthLimits.Allowance,
            Group = group,
        };
}
