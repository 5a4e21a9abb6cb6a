namespace Wrapper.Core.Lay;

/// <summary>Several lays at once on the cores there are.</summary>
internal static class SideBySide
{
    /// <summary>
    /// What each of the <paramref name="ways"/> finds, in their order whichever is done first; the next one begins as
    /// soon as a core is free, since some end early.
    /// Ends in an <see cref="OperationCanceledException"/> when told to <paramref name="stop"/>.
    /// </summary>
    public static IEnumerable<Placed> Laid(IReadOnlyList<Func<Placed?>> ways, CancellationToken stop)
    {
        var laid = new Placed?[ways.Count];
        // Runs on the caller's own scheduler, so that laying never occupies the threads that answer other requests.
        Parallel.For(
            0,
            ways.Count,
            new ParallelOptions
            {
                CancellationToken = stop,
                TaskScheduler = TaskScheduler.Current,
                MaxDegreeOfParallelism = Math.Max(2, Environment.ProcessorCount),
            },
            n => laid[n] = ways[n]()
        );
        return laid.OfType<Placed>();
    }
}
