using Wrapper.Core.Geometry;

namespace Wrapper.Core.Sewing;

/// <summary>
/// A round cloth that hangs over its table: what lies on the table stays flat, the rest falls in even folds, deep enough to
/// take up what the hem is longer than the table's edge, and is then drawn to its own lengths under its weight.
/// </summary>
internal static class Draping
{
    private const int Rounds = 500;

    // Folds as wide as they are in soft cloth: one for so much of the drop along the table's edge.
    private const double Wide = 0.55;
    private const int Fewest = 6;

    // A little more than what would bring each point to its place, so that it gets there sooner.
    private const double Relaxed = 1.5;

    // Of the length of an edge a round.
    private const double Weight = 0.0016;

    /// <summary>Whether the form is one cloth that hangs over all round.</summary>
    public static bool IsCalledFor(Mesh mesh) =>
        mesh.Surface.Sheets.Count == 1 && mesh.Surface.Sheets[0].Piece.Drop is { IsPositive: true };

    /// <summary>Places every node.</summary>
    public static void Drape(Mesh mesh, Vec3[] places, double step, CancellationToken stop)
    {
        var drop = mesh.Surface.Sheets[0].Piece.Drop!.Value.ToMillimetres();
        var middle = Middle(mesh);
        var whole = mesh.Points.Max(point => (point.Rest - middle).Size);
        var table = whole - drop;
        var free = new bool[mesh.Nodes];
        var shape = new Shape(table, drop, Math.Max(Fewest, (int)Math.Round(2 * Math.PI * table / (Wide * drop))));
        foreach (var point in mesh.Points)
        {
            var at = point.Rest - middle;
            var hangs = at.Size - table;
            free[point.Node] = hangs > 0;
            places[point.Node] = hangs <= 0 ? new Vec3(at.X, at.Y, 0) : shape.At(Math.Atan2(at.Y, at.X), hangs);
        }
        var ways = Embedding.Ways(mesh);
        for (var round = 0; round < Rounds; round++)
        {
            stop.ThrowIfCancellationRequested();
            for (var node = 0; node < places.Length; node++)
            {
                if (!free[node])
                    continue;
                // What is left of the fall in the last rounds is drawn up again.
                var place = places[node] - (round < Rounds * 3 / 4 ? new Vec3(0, 0, Weight * step) : new Vec3());
                var pull = new Vec3();
                var count = 0;
                foreach (var (to, length) in ways[node])
                {
                    var way = places[to] - place;
                    pull += (1 - (length / Math.Max(1e-9, way.Size))) * way;
                    count++;
                }
                places[node] = Outside(place + (Relaxed / Math.Max(1, count) * pull), table);
            }
        }
    }

    private static Vec3 Outside(Vec3 place, double table)
    {
        var from = Math.Sqrt((place.X * place.X) + (place.Y * place.Y));
        return from >= table || from < 1e-9 ? place : new(place.X * table / from, place.Y * table / from, place.Z);
    }

    private static Vec Middle(Mesh mesh)
    {
        var (x, y) = (mesh.Points.Select(point => point.Rest.X), mesh.Points.Select(point => point.Rest.Y));
        return new((x.Min() + x.Max()) / 2, (y.Min() + y.Max()) / 2);
    }

    // So far below the table's edge the cloth runs in and out, between the table and twice as far as the folds are deep.
    private sealed class Shape
    {
        private const int Steps = 400;

        private readonly double table,
            drop;
        private readonly int folds;
        private readonly double[] deep = new double[Steps + 1],
            fallen = new double[Steps + 1];

        public Shape(double table, double drop, int folds)
        {
            (this.table, this.drop, this.folds) = (table, drop, folds);
            for (var at = 1; at <= Steps; at++)
            {
                deep[at] = Deep(drop * at / Steps);
                var (along, aside) = (drop / Steps, deep[at] - deep[at - 1]);
                fallen[at] = fallen[at - 1] + Math.Sqrt(Math.Max(0, (along * along) - (aside * aside)));
            }
        }

        public Vec3 At(double round, double hangs)
        {
            var at = Math.Min(Steps, (int)Math.Round(hangs / drop * Steps));
            var from = table + (deep[at] * (1 + Math.Cos(folds * round)));
            return new(from * Math.Cos(round), from * Math.Sin(round), -fallen[at]);
        }

        // As deep as makes the way round as long as the cloth is there; found by halving.
        private double Deep(double hangs)
        {
            var (low, high) = (0.0, hangs);
            for (var round = 0; round < 40; round++)
            {
                var middle = (low + high) / 2;
                if (Round(middle) < 2 * Math.PI * (table + hangs))
                    low = middle;
                else
                    high = middle;
            }
            return low;
        }

        private double Round(double depth)
        {
            const int Parts = 48;
            var sum = 0.0;
            for (var part = 0; part < Parts; part++)
            {
                var turn = 2 * Math.PI * (part + 0.5) / Parts;
                var (from, aside) = (table + (depth * (1 + Math.Cos(turn))), folds * depth * Math.Sin(turn));
                sum += Math.Sqrt((from * from) + (aside * aside)) * 2 * Math.PI / Parts;
            }
            return sum;
        }
    }
}
