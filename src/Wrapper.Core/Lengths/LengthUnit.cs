using System.Text.Json.Serialization;

namespace Wrapper.Core.Lengths;

/// <summary>The unit that a job is measured in: what a bare number means and how sizes print.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<JobUnit>))]
public enum JobUnit
{
    /// <summary>Inches with fractions down to the tape's mark; cloth in yards.</summary>
    [JsonStringEnumMemberName("in")] Inch,

    /// <summary>Centimetres, to the millimetre; cloth in metres.</summary>
    [JsonStringEnumMemberName("cm")] Centimetre,
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
