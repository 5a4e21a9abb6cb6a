using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>Where a measure is shown on a plan: between two points of the plan.</summary>
internal sealed record PlanLine(Measure Measure, Point From, Point To);

/// <summary>A plan to sketch, with its measures.</summary>
internal sealed record PlanDrawing(Outline Outline, IReadOnlyList<PlanLine> Lines);

/// <summary>One kind of seat outline. Front lies along the bottom, left to right.</summary>
internal abstract class SeatShape
{
    public abstract SeatShapeKind Kind { get; }

    public abstract string Name { get; }

    public abstract string Suits { get; }

    /// <summary>The measure to look at when the outline as a whole is wrong.</summary>
    public virtual Measure Main => OutlineShapes.W;

    /// <summary>Whether left and right differ.</summary>
    public virtual bool HasHand => false;

    public virtual IEnumerable<Problem> Check(Reading reading) => [];

    public abstract SeatOutline Draw(Reading reading);

    /// <summary>The plan for the sketch, whatever is measured so far.</summary>
    public abstract PlanDrawing Drawing(Reading reading);

    protected static Point At(Length x, Length y) => new(x, y);

    protected static Problem Refuse(Reading reading, Measure measure, string reason, string inches, string metric) =>
        reading.Refuse(measure, reason, reading.Example(inches, metric));

    /// <summary>Dimensions by name.</summary>
    protected static Dictionary<string, Working> Named(params (string Name, Working Working)[] dimensions) =>
        dimensions.ToDictionary(d => d.Name, d => d.Working);

    /// <summary>The outline turned over, left and right edges named anew.</summary>
    public static Outline Mirror(Outline outline) =>
        new([.. outline.Mirrored().Edges.Select(edge => edge with { Name = OtherSide(edge.Name) })]);

    /// <summary>The name of the edge on the other side.</summary>
    public static string OtherSide(string edge) =>
        edge.Contains("left", StringComparison.Ordinal)
            ? edge.Replace("left", "right", StringComparison.Ordinal)
            : edge.Replace("right", "left", StringComparison.Ordinal);
}
