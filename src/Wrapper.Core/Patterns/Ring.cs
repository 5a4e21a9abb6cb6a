using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A panel's stitch line as a ring to be walked, from the start of its first edge. Distances are along the stitch line;
/// a stretch may go round past the start.
/// </summary>
internal sealed class Ring
{
    private readonly List<(string Edge, Length Start, Length Length)> edges = [];

    public Ring(Outline outline)
    {
        foreach (var edge in outline.Edges)
        {
            var length = outline.LengthOf(edge.Name);
            edges.Add((edge.Name, Length, length));
            Length += length;
        }
    }

    /// <summary>The whole way round.</summary>
    public Length Length { get; private set; }

    /// <summary>The distance at which an edge starts; where a large radius left no such edge, null.</summary>
    public Length? StartOf(string edge) =>
        edges.Where(e => e.Edge == edge).Select(e => (Length?)e.Start).FirstOrDefault();

    /// <summary>
    /// The runs of one instance from <paramref name="from"/> over <paramref name="length"/>; ends of edges are left
    /// open, so that they follow the drawing.
    /// </summary>
    public IReadOnlyList<Run> Stretch(string piece, int instance, Length from, Length length)
    {
        var runs = new List<Run>();
        foreach (var lap in (Length[])[Lengths.Length.Zero, Length])
        foreach (var (edge, start, size) in edges)
        {
            var begin = Lengths.Length.Max(from, start + lap) - start - lap;
            var end = Lengths.Length.Min(from + length, start + lap + size) - start - lap;
            if (end.Ticks - begin.Ticks > 1)
                runs.Add(
                    new Run(
                        piece,
                        instance,
                        edge,
                        begin.Ticks <= 1 ? null : begin,
                        size.Ticks - end.Ticks <= 1 ? null : end
                    )
                    {
                        Drafted = end - begin,
                    }
                );
        }
        return runs;
    }

    /// <summary>Whether edges meet within a stretch.</summary>
    public bool HasJoint(Length from, Length length) =>
        edges
            .SelectMany(edge => new[] { edge.Start - from, edge.Start + Length - from })
            .Any(at => at.IsPositive && at < length);
}
