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
    /// <summary>The depth used; measures <c>C</c> and, if entered, <c>t</c>.</summary>
    public static Working Of(Reading reading) =>
        reading.Has(ChairSlipcover.TuckInUsed)
            ? reading[ChairSlipcover.TuckInUsed]
            : new Extreme(
                Larger: false,
                3 * reading[ChairSlipcover.C] / 5,
                Working.Of("most", "the deepest tuck-in that holds", Length.Inches(3))
            ).As("t", "tuck-in");

    public static IEnumerable<Problem> Check(Reading reading)
    {
        if (reading.Known(ChairSlipcover.TuckInUsed) is { } used && used > reading[ChairSlipcover.C].Value)
            yield return reading.Refuse(
                ChairSlipcover.TuckInUsed,
                $"deeper than the crevice ({reading.Say(reading[ChairSlipcover.C].Value)})",
                LengthPrinter.Finished(reading[ChairSlipcover.C].Value, reading.Unit).Text
            );
    }
}
