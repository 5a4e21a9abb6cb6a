namespace Wrapper.Core.Workroom.Week;

/// <summary>Plans back from the promised day.</summary>
public static class Backward
{
    /// <summary>
    /// The last day on which a job can be begun so that it is done on day <paramref name="due"/>, with nothing else in
    /// the way: its works from the last to the first, each as late as its quickest worker can do it. Null where it is too
    /// late already.
    /// </summary>
    public static int? BeginBy(PlannedJob job, int due, IReadOnlyList<Worker> workers)
    {
        // So much of the day is left, counted back from its end.
        var (day, back) = (due, 0);
        foreach (var work in job.Works.Reverse())
        {
            (int Day, int Back)? best = null;
            foreach (var worker in workers.Where(worker => worker.Skills.Contains(work.Skill)))
            {
                var left = worker.Takes(work.Minutes);
                for (var at = Math.Min(day, worker.Minutes.Count - 1); at >= 0; at--)
                {
                    var skip = at == day ? back : 0;
                    var free = Math.Max(0, worker.Minutes[at] - skip);
                    if (free < left)
                    {
                        left -= free;
                        continue;
                    }
                    var end = (at, skip + left);
                    if (best is not { } before || at > before.Day || (at == before.Day && end.Item2 < before.Back))
                        best = end;
                    break;
                }
            }
            if (best is not { } there)
                return null;
            (day, back) = there;
        }
        return day;
    }
}
