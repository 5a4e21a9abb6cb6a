using System.Collections.Concurrent;
using System.Runtime.InteropServices;
using System.Threading.RateLimiting;

namespace Wrapper.Server.Hosting;

/// <summary>Work was given up because it would have taken too long.</summary>
internal sealed class TooLongException(TimeSpan longest)
    : Exception(
        $"this takes longer than {longest.TotalSeconds:0} s: lower the quantities, trace with fewer points, or make several jobs of it"
    );

/// <summary>So many wait already that nobody would see the end.</summary>
internal sealed class TooManyException() : Exception("too many wait already: ask again in a moment");

/// <summary>
/// The turn of one call: work ends when it is <paramref name="Cancel"/>; once it is <paramref name="Closing"/>, what
/// can be told unfinished is told.
/// </summary>
internal readonly record struct Turn(CancellationToken Cancel, CancellationToken Closing);

/// <summary>
/// Costly work on threads of its own, as many as there are cores and less urgent than those that answer; what comes
/// beyond that waits in line, and its place can be asked for.
/// Work that takes longer than <paramref name="longest"/>, or that nobody waits for any more, is given up.
/// </summary>
internal class WorkQueue(TimeSpan longest, int niceness) : IDisposable
{
    private const int MostWaiting = 300;

    private readonly Threads threads = new(Environment.ProcessorCount, niceness);

    private readonly ConcurrencyLimiter limiter = new(
        new()
        {
            PermitLimit = Environment.ProcessorCount,
            QueueLimit = MostWaiting,
            QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
        }
    );

    // The calls that wait, by the number under which they came.
    private readonly ConcurrentDictionary<long, string> waiting = new();
    private long came;

    /// <summary>Runs <paramref name="work"/> for <paramref name="request"/> when its turn comes.</summary>
    /// <exception cref="TooLongException">It took too long.</exception>
    /// <exception cref="TooManyException">Too many wait already.</exception>
    /// <exception cref="OperationCanceledException">The client went away, or the server stops.</exception>
    public async Task<T> Run<T>(HttpContext request, Func<Turn, T> work)
    {
        var stopping = request.RequestServices.GetRequiredService<IHostApplicationLifetime>().ApplicationStopping;
        using var givenUp = CancellationTokenSource.CreateLinkedTokenSource(request.RequestAborted, stopping);
        using var turn = await Enter(request.Request.Headers["X-Call"].ToString(), givenUp.Token);
        if (!turn.IsAcquired)
            throw new TooManyException();
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(givenUp.Token);
        limit.CancelAfter(longest);
        using var closing = new CancellationTokenSource(longest * 0.7);
        try
        {
            return await Task.Factory.StartNew(
                () => work(new Turn(limit.Token, closing.Token)),
                limit.Token,
                TaskCreationOptions.DenyChildAttach,
                threads
            );
        }
        catch (OperationCanceledException) when (!givenUp.IsCancellationRequested)
        {
            throw new TooLongException(longest);
        }
    }

    /// <summary>How many wait before this call, itself included; 0 while it is worked on or is not here.</summary>
    public int Place(string call) =>
        waiting.FirstOrDefault(each => each.Value == call) is { Value: not null } own
            ? waiting.Count(each => each.Key <= own.Key)
            : 0;

    private async Task<RateLimitLease> Enter(string call, CancellationToken givenUp)
    {
        var number = Interlocked.Increment(ref came);
        waiting[number] = call;
        try
        {
            return await limiter.AcquireAsync(1, givenUp);
        }
        finally
        {
            waiting.TryRemove(number, out _);
        }
    }

    public void Dispose()
    {
        threads.Dispose();
        limiter.Dispose();
        GC.SuppressFinalize(this);
    }
}

/// <summary>Where lays are made: plans, comparisons, savings.</summary>
internal sealed class LayQueue(ServerOptions options) : WorkQueue(options.Longest, niceness: 5);

/// <summary>Where items are drafted without being laid, so that drafts need not wait for lays.</summary>
internal sealed class DraftQueue(ServerOptions options) : WorkQueue(options.Longest, niceness: 2);

/// <summary>Where small pictures are drawn: the least urgent of all.</summary>
internal sealed class PictureQueue(ServerOptions options) : WorkQueue(2 * options.Longest, niceness: 10);

/// <summary>A few threads that run tasks in the order in which they come.</summary>
internal sealed class Threads : TaskScheduler, IDisposable
{
    private readonly BlockingCollection<Task> tasks = [];
    private readonly int count;

    public Threads(int count, int niceness)
    {
        this.count = count;
        for (var n = 0; n < count; n++)
            new Thread(() =>
            {
                // Of this thread alone; the runtime's own priorities have no effect on Linux.
                if (OperatingSystem.IsLinux())
                    _ = SetPriority(0, 0, niceness);
                foreach (var task in tasks.GetConsumingEnumerable())
                    TryExecuteTask(task);
            })
            {
                IsBackground = true,
                Name = "lay",
            }.Start();
    }

    public override int MaximumConcurrencyLevel => count;

    protected override void QueueTask(Task task)
    {
        if (!tasks.IsAddingCompleted)
            tasks.Add(task);
    }

    protected override bool TryExecuteTaskInline(Task task, bool taskWasPreviouslyQueued) =>
        Current == this && TryExecuteTask(task);

    protected override IEnumerable<Task> GetScheduledTasks() => tasks;

    public void Dispose() => tasks.CompleteAdding();

    [DllImport("libc", EntryPoint = "setpriority")]
    [DefaultDllImportSearchPaths(DllImportSearchPath.SafeDirectories)]
    private static extern int SetPriority(int which, int who, int niceness);
}
