using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Shared.Outlines;

/// <summary>
/// A rectangle with front, right, back and left edges, its corners square or quarter circles. Straight edges that a
/// large
/// radius leaves nothing of are left out.
/// </summary>
internal static class RoundedRectangle
{
    public static Outline Of(Length w, Length l, Length r)
    {
        if (r == Length.Zero)
            return Outline.Rectangle(w, l, "front", "right", "back", "left");
        Point At(Length x, Length y) => new(x, y);
        var o = Length.Zero;
        List<Edge> edges =
        [
            new("front", At(r, o)),
            new("front right corner", At(w - r, o), r),
            new("right", At(w, r)),
            new("back right corner", At(w, l - r), r),
            new("back", At(w - r, l)),
            new("back left corner", At(r, l), r),
            new("left", At(o, l - r)),
            new("front left corner", At(o, r), r),
        ];
        for (var at = edges.Count - 1; at >= 0; at--)
            if (edges[at].Radius is null && edges[at].Start == edges[(at + 1) % edges.Count].Start)
                edges.RemoveAt(at);
        return new Outline(edges);
    }
}
