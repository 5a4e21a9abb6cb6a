namespace Wrapper.Core.Sewing;

/// <summary>How far the cloth of a form is from its flat pieces.</summary>
internal static class Strains
{
    public static FormQuality Of(Mesh mesh, Vec3[] places)
    {
        var all = Sorted(mesh, places, mesh.Facets);
        return new FormQuality(
            (float)Seams(mesh, places),
            (float)Most(all),
            all.Count == 0 ? 0 : (float)all[^1].Strain
        );
    }

    /// <summary>The stretch that 95 parts of 100 of one sheet stay under.</summary>
    public static float Of(Mesh mesh, Vec3[] places, int sheet) =>
        (float)Most(Sorted(mesh, places, mesh.Facets.Where(facet => facet.Sheet == sheet)));

    private static List<(double Strain, double Area)> Sorted(Mesh mesh, Vec3[] places, IEnumerable<Facet> facets)
    {
        List<(double Strain, double Area)> all =
        [
            .. facets.SelectMany(facet => facet.Triangles).Select(triangle => Stretch(mesh, places, triangle)),
        ];
        all.Sort();
        return all;
    }

    private static double Most(List<(double Strain, double Area)> sorted)
    {
        var (total, sum) = (sorted.Sum(each => each.Area), 0.0);
        foreach (var (strain, area) in sorted)
        {
            sum += area;
            if (sum >= 0.95 * total)
                return strain;
        }
        return 0;
    }

    /// <summary>The greater of the two main stretches of a triangle, as a share of one, and its flat area.</summary>
    public static (double Strain, double Area) Stretch(Mesh mesh, Vec3[] places, int[] triangle)
    {
        var (a, b, c) = (mesh.Points[triangle[0]], mesh.Points[triangle[1]], mesh.Points[triangle[2]]);
        var (u, v) = (b.Rest - a.Rest, c.Rest - a.Rest);
        var twice = u.Cross(v);
        if (Math.Abs(twice) < 1e-9)
            return (0, 0);
        var (p, q) = (places[b.Node] - places[a.Node], places[c.Node] - places[a.Node]);
        var x = 1 / twice * ((v.Y * p) - (u.Y * q));
        var y = 1 / twice * ((u.X * q) - (v.X * p));
        double e = x.Dot(x),
            f = x.Dot(y),
            g = y.Dot(y);
        var (half, root) = ((e + g) / 2, Math.Sqrt(Math.Max(0, ((e - g) * (e - g) / 4) + (f * f))));
        var (most, least) = (Math.Sqrt(half + root), Math.Sqrt(Math.Max(0, half - root)));
        return (Math.Max(Math.Abs(most - 1), Math.Abs(least - 1)), Math.Abs(twice) / 2);
    }

    // The length of each sewn part in space against its length on either flat piece.
    private static double Seams(Mesh mesh, Vec3[] places)
    {
        var worst = 0.0;
        for (var n = 0; n < mesh.Rims.Sheets.Count; n++)
        {
            var (rims, sheet) = (mesh.Rims.Sheets[n], mesh.Surface.Sheets[n]);
            var (space, flat) = (0.0, 0.0);
            for (var at = 0; at < rims.Count; at++)
            {
                var next = rims[(at + 1) % rims.Count];
                space += (places[next.Node] - places[rims[at].Node]).Size;
                flat += (sheet.DrawnIn(next.Flat) - sheet.DrawnIn(rims[at].Flat)).Size;
                if (!next.IsStop)
                    continue;
                if (mesh.Surface.SewnTo(rims[at].Part) is not null)
                    worst = Math.Max(worst, Math.Abs(space - flat));
                (space, flat) = (0, 0);
            }
        }
        return worst;
    }
}
