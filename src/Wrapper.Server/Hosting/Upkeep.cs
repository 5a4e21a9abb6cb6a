using Wrapper.Store;

namespace Wrapper.Server.Hosting;

/// <summary>
/// What is done to the store by itself, beside everything else: a copy each day, what jobs are found by, jobs that were
/// deleted long ago, old revisions thinned, and once a day
/// the whole file read for damage. What somebody
/// should know of it stands in <see cref="Notes"/>.
/// </summary>
internal sealed class Upkeep(Database database, JobList jobs, Backups backups, TimeProvider clock) : BackgroundService
{
    private static readonly TimeSpan AfterStart = TimeSpan.FromSeconds(15),
        Between = TimeSpan.FromHours(1);

    private readonly Lock gate = new();
    private readonly Dictionary<string, string> notes = [];

    /// <summary>What should be known, a sentence each.</summary>
    public IReadOnlyList<string> Notes
    {
        get
        {
            lock (gate)
                return [.. notes.Values];
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (database.DroppedCommits is > 0 and var dropped)
            Note(
                "log",
                $"When the workroom's data was opened, the last {dropped} changes in its log could not be read and are missing. See whether the jobs worked on last are complete; a backup may have more."
            );
        DateTimeOffset? checkedAt = null;
        // An ended wait is the end of the work.
        await Task.Delay(AfterStart, clock, stoppingToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
        while (!stoppingToken.IsCancellationRequested)
        {
            var now = clock.GetUtcNow();
            await Task.Run(
                () =>
                {
                    Do("backup", "The daily backup was not made", () => backups.MakeDaily(now));
                    Do(
                        "finding",
                        "Some jobs are found by their names alone",
                        () => Finding.Rebuild(database, stoppingToken)
                    );
                    Do("clearing", "Jobs that were deleted long ago are still there", () => jobs.Clear());
                    Do("thinning", "Old revisions were not thinned", () => Thinning.Run(database, now, stoppingToken));
                    if (checkedAt is { } last && now - last < TimeSpan.FromDays(1))
                        return;
                    checkedAt = now;
                    Do(
                        "reading",
                        "The workroom's data was not looked through",
                        () =>
                        {
                            if (database.Damage() is { } damage)
                                Note(
                                    "damage",
                                    $"The workroom's data is damaged ({damage}). Stop here, and bring back the newest backup with ./wrapper restore FILE."
                                );
                        }
                    );
                },
                CancellationToken.None
            );
            await Task.Delay(Between, clock, stoppingToken).ConfigureAwait(ConfigureAwaitOptions.SuppressThrowing);
        }
    }

    private void Do(string about, string told, Action work)
    {
        try
        {
            work();
            lock (gate)
                notes.Remove(about);
        }
        catch (Exception fault)
            when (fault
                    is Microsoft.Data.Sqlite.SqliteException
                        or IOException
                        or UnauthorizedAccessException
                        or JobUnreadableException
                        or InvalidDataException
            )
        {
            Note(
                about,
                $"{told}: {(fault is Microsoft.Data.Sqlite.SqliteException store ? StoreFault.Told(store, database.Path) : fault.Message)}"
            );
        }
    }

    private void Note(string about, string told)
    {
        lock (gate)
            notes[about] = told;
        Serilog.Log.Warning("{Note}", told);
    }
}
