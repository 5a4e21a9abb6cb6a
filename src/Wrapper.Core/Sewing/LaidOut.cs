namespace Wrapper.Core.Sewing;

/// <summary>The pieces beside each other, flat, as they were cut: the simpler view of what could not be sewn.</summary>
internal static class LaidOut
{
    private const double Gap = 40;

    /// <summary>Where each point of the mesh lies, in rows about as wide as they are deep together.</summary>
    public static Func<int, Vec3> Of(Mesh mesh)
    {
        var boxes = mesh
            .Points.GroupBy(point => point.Sheet)
            .OrderBy(sheet => sheet.Key)
            .Select(sheet =>
                (
                    Left: sheet.Min(point => Across(mesh, point)),
                    Right: sheet.Max(point => Across(mesh, point)),
                    Low: sheet.Min(point => point.Flat.Y),
                    High: sheet.Max(point => point.Flat.Y)
                )
            )
            .ToList();
        var widest = Math.Max(
            boxes.Max(box => box.Right - box.Left),
            1.2 * Math.Sqrt(boxes.Sum(box => (box.Right - box.Left + Gap) * (box.High - box.Low + Gap)))
        );
        var (x, y, deep, reach) = (0.0, 0.0, 0.0, 0.0);
        List<(double X, double Y)> moves = [];
        foreach (var (left, right, low, high) in boxes)
        {
            if (x > 0 && x + right - left > widest)
                (x, y, deep) = (0, y - deep - Gap, 0);
            moves.Add((x - left, y - high));
            (x, deep) = (x + right - left + Gap, Math.Max(deep, high - low));
            reach = Math.Max(reach, x - Gap);
        }
        var middle = (reach / 2, (y - deep) / 2);
        return at =>
        {
            var point = mesh.Points[at];
            var (across, up) = moves[point.Sheet];
            return new Vec3(Across(mesh, point) + across - middle.Item1, point.Flat.Y + up - middle.Item2, 0);
        };
    }

    private static double Across(Mesh mesh, MeshPoint point) =>
        mesh.Surface.Sheets[point.Sheet].TurnedOver ? -point.Flat.X : point.Flat.X;
}
