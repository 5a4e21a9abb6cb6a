using System.Globalization;

namespace Wrapper.Core.Declaring;

/// <summary>Shows a measure or a choice only while another choice has one of these answers.</summary>
public sealed record Condition(string Choice, IReadOnlyList<string> Answers)
{
    /// <summary>What must hold too; null where this is all.</summary>
    public Condition? Also { get; init; }

    /// <summary>While <paramref name="choice"/> has one of these <paramref name="answers"/>.</summary>
    public static Condition While<T>(OptionChoice<T> choice, params T[] answers)
        where T : struct, Enum => new(choice.Key, [.. answers.Select(OptionKeys<T>.Of)]);

    /// <summary>While <paramref name="choice"/> is <paramref name="count"/> or more.</summary>
    public static Condition AtLeast(CountChoice choice, int count) =>
        new(
            choice.Key,
            [
                .. Enumerable
                    .Range(count, choice.Max - count + 1)
                    .Select(each => each.ToString(CultureInfo.InvariantCulture)),
            ]
        );
}

/// <summary>Says when something is asked, at the end of its declaration.</summary>
internal static class Conditions
{
    /// <summary>
    /// The same choice, shown only while <paramref name="on"/> has one of these <paramref name="answers"/>.
    /// </summary>
    public static TChoice AskedWhen<TChoice, T>(this TChoice choice, OptionChoice<T> on, params T[] answers)
        where TChoice : Choice
        where T : struct, Enum => (TChoice)((Choice)choice with { ShownWhen = Condition.While(on, answers) });

    /// <summary>The same choice, shown only while <paramref name="on"/> is <paramref name="count"/> or more.</summary>
    public static TChoice AskedWhenAtLeast<TChoice>(this TChoice choice, CountChoice on, int count)
        where TChoice : Choice => (TChoice)((Choice)choice with { ShownWhen = Condition.AtLeast(on, count) });

    /// <summary>The same choice, asked only while another choice too has one of these answers.</summary>
    public static TChoice AndWhen<TChoice, T>(this TChoice choice, OptionChoice<T> on, params T[] answers)
        where TChoice : Choice
        where T : struct, Enum =>
        (TChoice)((Choice)choice with { ShownWhen = choice.ShownWhen! with { Also = Condition.While(on, answers) } });

    /// <summary>
    /// The same measure, asked only while <paramref name="on"/> has one of these <paramref name="answers"/>.
    /// </summary>
    public static Measure AskedWhen<T>(this Measure measure, OptionChoice<T> on, params T[] answers)
        where T : struct, Enum => measure with { ShownWhen = Condition.While(on, answers) };

    /// <summary>The same measure, asked only while <paramref name="on"/> is <paramref name="count"/> or more.</summary>
    public static Measure AskedWhenAtLeast(this Measure measure, CountChoice on, int count) =>
        measure with
        {
            ShownWhen = Condition.AtLeast(on, count),
        };
}
