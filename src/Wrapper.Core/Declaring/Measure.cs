using System.Text.Json.Serialization;
using Wrapper.Core.Jobs;
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
/// A measurement that a make-up asks for: its letter on the drawing, what to hold the tape against, and its sane range.
/// The object is the handle by which a
/// <see cref="Reading"/> is asked for it.
/// </summary>
public sealed record Measure(
    string Key,
    string Name,
    string HoldTape,
    LengthLimits Limits,
    bool Optional = false,
    Length Usual = default
)
{
    /// <summary>What is entered.</summary>
    public MeasureKind Kind { get; init; }

    /// <summary>The usual outline of one that is traced.</summary>
    public string UsualOutline { get; init; } = "0, 0; 22, 0; 22, 20; 0, 20";

    /// <summary>
    /// What would usually be entered: a size that goes with the usual sizes of the other measures. Sketches are drawn
    /// by it until something is measured, and
    /// examples and trials start from it.
    /// </summary>
    public Entry UsualEntry() =>
        Kind == MeasureKind.Outline ? new Entry(UsualOutline, JobUnit.Inch) : Entry.Of(Usual, JobUnit.Inch);

    /// <summary>
    /// Whether it must fit inside something: of two readings the smaller counts then, else the larger (craft §1.1).
    /// </summary>
    public bool FitsInside { get; init; }

    /// <summary>Whether fittings can find that it should have been otherwise.</summary>
    public bool Learns { get; init; }

    /// <summary>When it is asked; always if null.</summary>
    public Condition? ShownWhen { get; init; }

    /// <summary>By how much the cover may be made smaller here where that saves cloth; zero where it may not.</summary>
    public Length Adjustable { get; init; }
}
