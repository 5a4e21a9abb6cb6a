using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>Where the zip of a cover without a zip strip ends (craft §4.7).</summary>
internal static class ZipSchools
{
    public static readonly OptionChoice<ZipSchool> School = Choice.Of(
        "zip",
        "Zip",
        "Zip",
        Option.Of(
            ZipSchool.Full,
            "Chain to the full cut width",
            "Oversewn at the corners and cut off: one length of chain, nothing to measure."
        ),
        Option.Of(
            ZipSchool.Inside,
            "Kept inside the corners",
            "The teeth stop short of both corners; the ends are sewn shut. The neatest corners."
        ),
        Option.Of(ZipSchool.Closed, "Closed-end", "A made-up zip as long as the back."),
        Option.Of(ZipSchool.Round, "Round the corners", "The teeth go on along both sides: the easiest to fill.")
    );

    public static readonly LengthChoice Turn = Choice
        .OfLength(
            "zipTurn",
            "Zip turns each back corner by",
            "Zip",
            Length.Inches(2, 1, 2),
            65,
            new LengthLimits(Length.Zero, Length.Inches(60), "2 1/2", "6.5")
        )
        .AskedWhen(School, ZipSchool.Round) with
    {
        Note = "One tape crosses both edges, so the zip edge takes the seam allowance.",
    };

    public static readonly LengthChoice Clear = Choice
        .OfLength(
            "zipClear",
            "Teeth clear of each corner by",
            "Zip",
            Length.Inches(0, 1, 2),
            12,
            new LengthLimits(Length.Zero, Length.Inches(12), "1/2", "1.2")
        )
        .AskedWhen(School, ZipSchool.Inside);
}

/// <summary>How such a zip is sewn in (craft §4.7).</summary>
internal static class ZipSteps
{
    /// <summary>Both halves of the back seam first, the zip between; open then, as <paramref name="left"/> says.</summary>
    public static string Inside(string left) =>
        $"Sew the back seam from both sides up to where the zip ends, then the zip between, both sides from the same end; bar-tack each end. {left}";

    /// <summary>Across the back and on along both sides; open then, as <paramref name="left"/> says.</summary>
    public static string Round(string left) =>
        $"Sew the zip across the back and round both corners, both sides from the same end; bar-tack each end. {left}";
}

/// <summary>The answers to: Zip.</summary>
internal enum ZipSchool
{
    Full,
    Inside,
    Closed,
    Round,
}
