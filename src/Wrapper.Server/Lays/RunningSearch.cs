using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Server.Hosting;

namespace Wrapper.Server.Lays;

/// <summary>
/// The longer search for a shorter lay: one at a time, in the background. Whatever it finds is kept for the next plan
/// of the same pieces.
/// </summary>
internal sealed class RunningSearch(LayCache kept) : IDisposable
{
    // A maker who waits longer than this has gone for a cup of tea.
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(90);

    // Less urgent than everything that somebody waits for.
    private readonly Threads threads = new(Environment.ProcessorCount, niceness: 10);
    private readonly Lock gate = new();
    private CancellationTokenSource? stop;

    /// <summary>The search that runs, or the last one that did; null before the first.</summary>
    public Search? Current { get; private set; }

    /// <summary>
    /// Starts a search for these pieces, from what of which cord strips are cut; one that runs is stopped first and
    /// keeps what it has found.
    /// </summary>
    public Search Start(IReadOnlyList<LayPiece> pieces, LayCloth cloth, IReadOnlyList<StripDemand> strips, JobUnit unit)
    {
        lock (gate)
        {
            stop?.Cancel();
            stop = new CancellationTokenSource(Longest);
            var (search, token) = (new Search(Guid.NewGuid().ToString("N"), unit), stop.Token);
            Current = search;
            _ = Task.Factory.StartNew(
                () => Run(search, pieces, cloth, strips, token),
                CancellationToken.None,
                TaskCreationOptions.DenyChildAttach,
                threads
            );
            return search;
        }
    }

    /// <summary>Stops the search of this id if it runs.</summary>
    public void Stop(string id)
    {
        lock (gate)
            if (Current?.Id == id)
                stop?.Cancel();
    }

    private void Run(
        Search search,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand> strips,
        CancellationToken token
    )
    {
        try
        {
            LaySearch.Run(
                pieces,
                cloth,
                seed: 1,
                lay =>
                {
                    // What was found up to the moment of stopping counts, with its strips.
                    var whole = CordStrips.After(lay, pieces, cloth, strips, CancellationToken.None).Lay;
                    kept.Better(pieces, cloth, lay, strips);
                    search.Found(whole);
                },
                token,
                demands: strips
            );
        }
        catch (Exception fault) when (fault is not OutOfMemoryException)
        {
            search.Failed(fault.Message);
            Serilog.Log.Error(fault, "the search for a shorter lay failed");
        }
        finally
        {
            search.End();
        }
    }

    public void Dispose()
    {
        stop?.Cancel();
        stop?.Dispose();
        threads.Dispose();
    }
}

/// <summary>One search: what it has found so far, and whether it goes on.</summary>
internal sealed class Search(string id, JobUnit unit)
{
    private volatile ClothLay? best;
    private volatile bool ended;
    private volatile string? fault;
    private int found;

    public string Id => id;

    public JobUnit Unit => unit;

    public ClothLay? Best => best;

    public bool Runs => !ended;

    public string? Fault => fault;

    /// <summary>How many shorter lays it has found after the first.</summary>
    public int Shortened => Math.Max(0, Volatile.Read(ref found) - 1);

    /// <summary>Takes a lay with its cord strips, if it is shorter than the one before or surer.</summary>
    public void Found(ClothLay lay)
    {
        if (best is { } known && lay.Best.Length > known.Best.Length)
            return;
        if (best is null || lay.Best.Length < best.Best.Length)
            Interlocked.Increment(ref found);
        best = lay;
    }

    public void Failed(string message) => fault = message;

    public void End() => ended = true;
}
