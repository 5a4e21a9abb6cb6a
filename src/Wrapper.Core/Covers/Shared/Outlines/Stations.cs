using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>Widths taken at stated distances from the front, or from the square end (craft §1.7).</summary>
internal static class Stations
{
    public const int Most = 3;

    /// <summary>How many there are.</summary>
    public static readonly CountChoice Count = Choice.OfCount("stations", "Widths between", "Outline", 1, 0, Most) with
    {
        OnMeasure = true,
    };

    private static readonly Measure[] Distances = [.. Enumerable.Range(1, Most).Select(Distance)];
    private static readonly Measure[] Widths = [.. Enumerable.Range(1, Most).Select(Width)];

    /// <summary>
    /// Where each station lies and how wide it is there; station n is asked while n of them or more are.
    /// </summary>
    public static IEnumerable<Measure> Measures =>
        Enumerable.Range(1, Most).SelectMany(n => new[] { From(n), WidthAt(n) });

    /// <summary>How far station <paramref name="n"/> lies from the front.</summary>
    public static Measure From(int n) => Distances[n - 1];

    /// <summary>The width at station <paramref name="n"/>.</summary>
    public static Measure WidthAt(int n) => Widths[n - 1];

    /// <summary>The stations that are measured.</summary>
    public static IEnumerable<int> Measured(Reading reading) =>
        Enumerable.Range(1, Most).Where(n => reading.Has(From(n)) && reading.Has(WidthAt(n)));

    private static Measure Distance(int n) =>
        new Measure(
            $"f{n}",
            $"station {n}, distance",
            "How far behind the front edge the width is taken.",
            LengthLimits.Item,
            Usual: Length.Inches(5 * n)
        ).AskedWhenAtLeast(Count, n);

    private static Measure Width(int n) =>
        new Measure(
            $"w{n}",
            $"station {n}, width",
            "Side to side at that distance from the front.",
            LengthLimits.Item,
            Usual: Length.Inches(22 - n)
        ).AskedWhenAtLeast(Count, n);
}
