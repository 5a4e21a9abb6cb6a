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
    private readonly Outline outline;

    public Ring(Outline outline)
    {
        this.outline = outline;
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

    /// <summary>The runs of one instance from <paramref name="from"/> over <paramref name="length"/>; ends of edges are left open, so that they follow the drawing.</summary>
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

    /// <summary>
    /// Marks for what is sewn round a stretch, as distances from its beginning: where edges meet, clipped at corners; and clips along
    /// every arc that bulges outward, as close as the curve asks for (handbook §4.5).
    /// </summary>
    public IEnumerable<(Length At, bool Clip)> Marks(Length from, Length length)
    {
        var marks = new List<(Length At, bool Clip)>();
        foreach (var lap in (Length[])[Lengths.Length.Zero, Length])
            for (var at = 0; at < edges.Count; at++)
            {
                var (edge, start, size) = edges[at];
                var (before, curve) = (outline.Curve((at + edges.Count - 1) % edges.Count), outline.Curve(at));
                marks.Add((start + lap - from, Clip: !Offset.IsSmooth(before, curve)));
                if (curve.Radius is null || !curve.Outward)
                    continue;
                marks.AddRange(
                    Clips.Along(size, outline.Edges[at].Radius!.Value).Select(clip => (start + lap - from + clip, true))
                );
            }
        return marks.Where(mark => mark.At.IsPositive && mark.At < length).OrderBy(mark => mark.At);
    }

    /// <summary>The edge under a distance, and how far along it.</summary>
    public (string Edge, Length At) Under(Length distance)
    {
        var at = new Length(distance.Ticks % Length.Ticks);
        var (edge, start, _) = edges.Last(e => e.Start <= at);
        return (edge, at - start);
    }
}
