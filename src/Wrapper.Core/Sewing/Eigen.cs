namespace Wrapper.Core.Sewing;

/// <summary>Eigenvalues and vectors of a symmetric matrix by Jacobi's rotations, the largest first.</summary>
internal static class Eigen
{
    private const int MostSweeps = 30;

    public static IReadOnlyList<(double Value, double[] Vector)> Of(double[,] matrix)
    {
        var n = matrix.GetLength(0);
        var (a, v) = ((double[,])matrix.Clone(), new double[n, n]);
        for (var i = 0; i < n; i++)
            v[i, i] = 1;
        for (var sweep = 0; sweep < MostSweeps && Off(a, n) > 1e-9 * Trace(a, n); sweep++)
        for (var p = 0; p < n; p++)
        for (var q = p + 1; q < n; q++)
            Rotate(a, v, n, p, q);
        return
        [
            .. Enumerable
                .Range(0, n)
                .OrderByDescending(at => a[at, at])
                .Select(at =>
                {
                    var vector = Enumerable.Range(0, n).Select(row => v[row, at]).ToArray();
                    // A vector and its opposite are the same axis: the first large part of it is taken as positive.
                    var sign = vector.First(part => Math.Abs(part) > 0.3 / Math.Sqrt(n)) < 0 ? -1 : 1;
                    return (a[at, at], vector.Select(part => sign * part).ToArray());
                }),
        ];
    }

    private static void Rotate(double[,] a, double[,] v, int n, int p, int q)
    {
        if (Math.Abs(a[p, q]) < 1e-12)
            return;
        var theta = (a[q, q] - a[p, p]) / (2 * a[p, q]);
        var t = (theta >= 0 ? 1 : -1) / (Math.Abs(theta) + Math.Sqrt((theta * theta) + 1));
        var c = 1 / Math.Sqrt((t * t) + 1);
        var s = t * c;
        for (var k = 0; k < n; k++)
            (a[k, p], a[k, q]) = ((c * a[k, p]) - (s * a[k, q]), (s * a[k, p]) + (c * a[k, q]));
        for (var k = 0; k < n; k++)
            (a[p, k], a[q, k]) = ((c * a[p, k]) - (s * a[q, k]), (s * a[p, k]) + (c * a[q, k]));
        for (var k = 0; k < n; k++)
            (v[k, p], v[k, q]) = ((c * v[k, p]) - (s * v[k, q]), (s * v[k, p]) + (c * v[k, q]));
    }

    private static double Off(double[,] a, int n)
    {
        var sum = 0.0;
        for (var i = 0; i < n; i++)
        for (var j = 0; j < i; j++)
            sum += Math.Abs(a[i, j]);
        return sum;
    }

    private static double Trace(double[,] a, int n) => Enumerable.Range(0, n).Sum(at => Math.Abs(a[at, at]));
}
