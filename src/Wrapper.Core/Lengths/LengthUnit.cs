using System.Text.Json.Serialization;

namespace Wrapper.Core.Lengths;

/// <summary>The tape in hand: what a bare number means, and the mark that sizes print to (craft §1.11).</summary>
[JsonConverter(typeof(ByName<JobUnit>))]
public enum JobUnit
{
    /// <summary>Inches, marked in sixteenths; cloth in yards.</summary>
    [JsonStringEnumMemberName("in")]
    Inch,

    /// <summary>Inches, marked in eighths; cloth in yards.</summary>
    [JsonStringEnumMemberName("in8")]
    InchEighths,

    /// <summary>Centimetres, to the millimetre; cloth in metres.</summary>
    [JsonStringEnumMemberName("cm")]
    Centimetre,
}

/// <summary>What the tapes have in common.</summary>
public static class JobUnits
{
    /// <summary>Whether a bare number means inches.</summary>
    public static bool IsInches(this JobUnit unit) => unit is JobUnit.Inch or JobUnit.InchEighths;
}

/// <summary>How one length is written out.</summary>
public enum LengthStyle
{
    /// <summary><c>19 1/4 in</c></summary>
    InchFraction,

    /// <summary><c>19.25 in</c></summary>
    InchDecimal,

    /// <summary><c>1' 7 1/4"</c></summary>
    FeetAndInches,

    /// <summary><c>48.9 cm</c></summary>
    Centimetres,

    /// <summary><c>489 mm</c></summary>
    Millimetres,

    /// <summary><c>0.489 m</c></summary>
    Metres,

    /// <summary><c>7.3 yd</c></summary>
    Yards,
}
