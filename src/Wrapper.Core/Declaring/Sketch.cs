using Wrapper.Core.Geometry;

namespace Wrapper.Core.Declaring;

/// <summary>A line of a measuring sketch: <c>edge</c>, <c>hidden</c> or <c>face</c> (closed and filled).</summary>
public sealed record Stroke(string Kind, IReadOnlyList<Point> Points);

/// <summary>Where a measure is shown on the sketch: between two points, its figure beside the middle.</summary>
public sealed record DimensionLine(Measure Measure, Point From, Point To);

/// <summary>
/// A measuring sketch to scale: x to the right, y up. Drawn from what is entered, or from usual sizes where nothing is
/// yet.
/// </summary>
public sealed record Sketch(IReadOnlyList<Stroke> Strokes, IReadOnlyList<DimensionLine> Dimensions);
