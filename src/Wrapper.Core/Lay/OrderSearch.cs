namespace Wrapper.Core.Lay;

/// <summary>
/// Looks for the order of boxes whose skyline lay is shortest. It aims at a length a little below the best one and
/// exchanges two boxes of the
/// order at a time, to lessen the area that finds no room there; a worse order is taken now and then, ever more seldom
/// (simulated annealing).
/// Once everything finds room the aim goes down; if it cannot be reached it goes half-way back. The same seed and
/// effort give the same lay.
/// </summary>
internal sealed class OrderSearch
{
    private readonly IReadOnlyList<Box> boxes;
    private readonly Skyline skyline;
    private readonly Random random;

    public OrderSearch(IReadOnlyList<Box> boxes, long usable, int seed)
    {
        this.boxes = boxes;
        skyline = new Skyline(boxes, usable);
        random = new Random(seed);
        Func<Box, long>[] keys =
        [
            box => box.Area,
            box => box.Ways[0].Height,
            box => box.Ways[0].Width,
            box => box.Ways[0].Width + box.Ways[0].Height,
            box => Math.Max(box.Ways[0].Width, box.Ways[0].Height),
        ];
        Best = [];
        Length = long.MaxValue;
        foreach (var key in keys)
        {
            int[] order = [.. Enumerable.Range(0, boxes.Count).OrderByDescending(box => key(boxes[box]))];
            skyline.Lay(order);
            if (skyline.Reached < Length)
                (Best, Length, Limit) = (order, skyline.Reached, long.MaxValue);
        }
    }

    /// <summary>The best order so far.</summary>
    public int[] Best { get; private set; }

    /// <summary>Its length.</summary>
    public long Length { get; private set; }

    private long Limit { get; set; }

    /// <summary>Where everything lies in the best lay so far.</summary>
    public List<Spot> Spots()
    {
        var spots = new List<Spot>();
        skyline.Lay(Best, Limit, spots: spots);
        return spots;
    }

    /// <summary>
    /// Tries <paramref name="rounds"/> aims, each with <paramref name="steps"/> exchanges; ends early at
    /// <paramref name="bound"/>, below which nothing can be.
    /// </summary>
    public void Run(int rounds, int steps, long bound, CancellationToken stop)
    {
        if (boxes.Count < 2)
            return;
        var aim = bound;
        for (var round = 0; round < rounds && Length > bound; round++)
        {
            if (Reach(aim, steps, stop))
                aim = Math.Max(bound, Length - ((Length - bound) / 2) - 1);
            else
                aim = Math.Min(Length - 1, aim + ((Length - aim) / 2));
        }
    }

    private bool Reach(long aim, int steps, CancellationToken stop)
    {
        int[] order = [.. Best];
        var current = skyline.Lay(order, aim);
        var warm = boxes.Average(box => (double)box.Area) * 0.5;
        for (var step = 0; step < steps; step++)
        {
            if (current == 0)
            {
                (Best, Length, Limit) = (order, skyline.Reached, aim);
                return true;
            }
            if ((step & 63) == 0)
                stop.ThrowIfCancellationRequested();
            var temperature = warm * Math.Pow(0.02, (double)step / steps);
            var (a, b) = (random.Next(order.Length), random.Next(order.Length - 1));
            if (b >= a)
                b++;
            (order[a], order[b]) = (order[b], order[a]);
            // Simulated annealing: a worse order is taken with a chance that falls with what it loses. That chance is drawn
            // beforehand as the longest lay that would be taken, so an order that comes out longer need not be laid
            // to its end.
            var most = current + (long)(-temperature * Math.Log(1 - random.NextDouble()));
            var area = skyline.Lay(order, aim, most);
            if (area > most)
                (order[a], order[b]) = (order[b], order[a]);
            else
                current = area;
        }
        return false;
    }
}
