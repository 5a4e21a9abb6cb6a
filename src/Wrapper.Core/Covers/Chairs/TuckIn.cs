using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>The tuck-in along a crevice (handbook §1.6): three fifths of the depth that a hand finds, at most 3 in, or as entered.</summary>
internal static class TuckIn
{
    /// <summary>The depth used; measures <c>C</c> and, if entered, <c>t</c>.</summary>
    public static Working Of(Reading reading) =>
        reading.Has("t")
            ? reading.Measure("t")
            : new Extreme(
                Larger: false,
                3 * reading.Measure("C") / 5,
                Working.Of("most", "the deepest tuck-in that holds", Length.Inches(3))
            ).As("t", "tuck-in");

    public static IEnumerable<Problem> Check(Reading reading)
    {
        if (reading.Known("t") is { } used && used > reading.Measure("C").Value)
            yield return reading.Refuse(
                "measures.t",
                $"deeper than the crevice ({reading.Say(reading.Measure("C").Value)})",
                LengthPrinter.Finished(reading.Measure("C").Value, reading.Unit).Text
            );
    }
}
