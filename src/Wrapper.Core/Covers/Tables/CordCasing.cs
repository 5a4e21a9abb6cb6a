using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A casing that a round cord is drawn through (craft §3): half-way round the cord, 1/8 in to run, 1/4 in turned under.
/// </summary>
internal static class CordCasing
{
    public static readonly LengthChoice Thick = Choice.OfLength(
        "cordThick",
        "Drawcord in the casing, thick",
        "Elastic",
        Length.Inches(0, 5, 32),
        4,
        new LengthLimits(Length.Millimetres(1), Length.Inches(2), "5/32", "0.4")
    );

    public static readonly LengthChoice Width = Choice.OfLength(
        "cordCasing",
        "Casing for the drawcord",
        "Elastic",
        Length.Zero,
        0,
        LengthLimits.UpTo(6, "5/8", "1.6", zero: true)
    ) with
    {
        Note = "0: half-way round the drawcord, 1/8 in (3 mm) to run and 1/4 in (6 mm) turned under.",
    };

    /// <summary>What is turned over the cord at one edge.</summary>
    public static Working Allowance(Reading reading, string piece, string edge) =>
        reading.Own(piece, edge, new Allowance("k", AllowanceRole.Casing, Of(reading).Value));

    /// <summary>The casing, with its working.</summary>
    public static Working Of(Reading reading) =>
        (
            reading[Width].IsPositive
                ? Working.Of("casing", "casing, as chosen", reading[Width])
                : (Working.Of("cord", "cord", reading[Thick]).TimesPi() / 2)
                    + Working.Of("run", "room to run", Length.Inches(0, 1, 8))
                    + Working.Of("turned", "turned under", Length.Inches(0, 1, 4))
        ).As("k", "casing for the drawcord");
}
