namespace Wrapper.Core.Sewing;

/// <summary>Where on a cover each seam runs, in words: "along the front, at the top".</summary>
internal static class SeamPlaces
{
    // Of the way from the middle to the outside: farther out than this is at that side.
    private const double Outside = 0.6;

    /// <summary>By the name of the seam; <paramref name="places"/> are those of the cover as it stands.</summary>
    public static IReadOnlyDictionary<string, string> Of(IReadOnlyList<FormLine> lines, IReadOnlyList<float> places)
    {
        var (low, high) = (new double[3], new double[3]);
        for (var axis = 0; axis < 3; axis++)
        {
            var along = Enumerable.Range(0, places.Count / 3).Select(at => (double)places[(3 * at) + axis]).ToList();
            (low[axis], high[axis]) = (along.Min(), along.Max());
        }
        return lines
            .Where(line => line.Seam.Length > 0)
            .GroupBy(line => line.Seam)
            .ToDictionary(seam => seam.Key, seam => Said(Middle(seam, places, low, high)));
    }

    // The middle of a seam, each stretch by its length; from -1 to 1 across, back and up.
    private static double[] Middle(IEnumerable<FormLine> seam, IReadOnlyList<float> places, double[] low, double[] high)
    {
        var (sum, total) = (new double[3], 1e-9);
        foreach (var (from, to) in seam.SelectMany(line => line.Points.Zip(line.Points.Skip(1))))
        {
            double Part(int at, int axis) => places[(3 * at) + axis];
            var length = Math.Sqrt(Enumerable.Range(0, 3).Sum(axis => Math.Pow(Part(to, axis) - Part(from, axis), 2)));
            for (var axis = 0; axis < 3; axis++)
                sum[axis] += length * (Part(from, axis) + Part(to, axis)) / 2;
            total += length;
        }
        return
        [
            .. Enumerable
                .Range(0, 3)
                .Select(axis =>
                    ((2 * sum[axis] / total) - low[axis] - high[axis]) / Math.Max(1, high[axis] - low[axis])
                ),
        ];
    }

    private static string Said(double[] middle)
    {
        static string Side(double at, string below, string above) =>
            at < -Outside ? below
            : at > Outside ? above
            : "";
        var (across, depth, height) = (
            Side(middle[0], "left", "right"),
            Side(middle[1], "front", "back"),
            Side(middle[2], "foot", "top")
        );
        var side =
            across.Length > 0 && depth.Length > 0 ? $"at the {depth} {across} corner"
            : across.Length + depth.Length > 0 ? $"along the {depth}{across}"
            : "";
        return (side, height) switch
        {
            ("", "") => "all round",
            ("", _) => $"all round the {height}",
            (_, "") => side,
            _ => $"{side}, at the {height}",
        };
    }
}
