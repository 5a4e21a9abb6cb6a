using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// The tuck-in along a crevice (craft §1.6): three fifths of the depth that a hand finds, at most 3 in, or as entered.
/// </summary>
internal static class TuckIn
{
    /// <summary>The depth used where it is not left to the rule.</summary>
    public static readonly Measure Used = new Measure(
        "t",
        "tuck-in used",
        "Only to use another depth than three fifths of the crevice, at most 3 in (7.5 cm).",
        LengthLimits.UpTo(24, "3", "7.5"),
        Optional: true,
        Usual: Length.Inches(3)
    )
    {
        Learns = true,
    };

    /// <summary>The depth used at the arms, where it is not that of the back.</summary>
    public static readonly Measure AtArms = new Measure(
        "ta",
        "tuck-in used at the arms",
        "Only where the crevices at the arms take another depth than the one at the back.",
        LengthLimits.UpTo(24, "2", "5"),
        Optional: true,
        Usual: Length.Inches(2)
    )
    {
        Learns = true,
    };

    /// <summary>The depth used along the crevices at the arms.</summary>
    public static Working OfArms(Reading reading, Measure crevice) =>
        reading.Has(AtArms) ? reading[AtArms] : Of(reading, crevice);

    /// <summary>The depth used along a crevice as deep as <paramref name="crevice"/>.</summary>
    public static Working Of(Reading reading, Measure crevice) =>
        reading.Has(Used)
            ? reading[Used]
            : new Extreme(
                Larger: false,
                3 * reading[crevice] / 5,
                Working.Of("most", "the deepest tuck-in that holds", Length.Inches(3))
            ).As("t", "tuck-in");

    /// <summary>What is finished at the arms, where that differs.</summary>
    public static IEnumerable<(string Name, Working Working)> ToldAtArms(Reading reading)
    {
        if (reading.Has(AtArms))
            yield return ("tuck-in at the arms", reading[AtArms]);
    }

    public static IEnumerable<Problem> Check(Reading reading, Measure crevice)
    {
        foreach (var measure in new[] { Used, AtArms }.Where(reading.Asks))
            if (reading.Known(measure) is { } used && used > reading[crevice].Value)
                yield return reading.Refuse(
                    measure,
                    $"deeper than the crevice ({reading.Say(reading[crevice].Value)})",
                    LengthPrinter.Finished(reading[crevice].Value, reading.Unit).Text
                );
    }
}
