using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Declaring;

/// <summary>What is entered for a measure.</summary>
[JsonConverter(typeof(ByName<MeasureKind>))]
public enum MeasureKind
{
    /// <summary>A length off the tape.</summary>
    [JsonStringEnumMemberName("length")]
    Length,

    /// <summary>A traced outline: points and arcs, or an SVG path (see <see cref="Geometry.OutlineReader"/>).</summary>
    [JsonStringEnumMemberName("outline")]
    Outline,
}

/// <summary>
/// A measurement that a make-up asks for: its letter on the drawing, what to hold the tape against, and its sane range. The object is the handle by which a
/// <see cref="Reading"/> is asked for it.
/// </summary>
public sealed record Measure(string Key, string Name, string HoldTape, LengthLimits Limits, bool Optional = false)
{
    /// <summary>What is entered.</summary>
    public MeasureKind Kind { get; init; }

    /// <summary>Whether it must fit inside something: of two readings the smaller counts then, else the larger (handbook §1.1).</summary>
    public bool FitsInside { get; init; }

    /// <summary>When it is asked; always if null.</summary>
    public Condition? ShownWhen { get; init; }

    /// <summary>By how much the cover may be made smaller here where that saves cloth; zero where it may not.</summary>
    public Length Adjustable { get; init; }
}
