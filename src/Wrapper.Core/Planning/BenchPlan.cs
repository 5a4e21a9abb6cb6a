using Wrapper.Core.Jobs;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// One step of one item, with what is known of it. <paramref name="Id"/> is <c>item/step</c>; <paramref name="Minutes"/>
/// what it takes the maker on one cover, <paramref name="Rated"/> what the table of rates gives.
/// </summary>
public sealed record BenchStep(string Id, ItemPlan Item, Step Step, decimal Minutes, decimal Rated, StepLog? Log)
{
    /// <summary>The covers that it is done on.</summary>
    public int Done => Math.Clamp(Log?.Done ?? 0, 0, Item.Quantity);
}

/// <summary>
/// What is done next without leaving the machine or the table: one step over the covers <paramref name="First"/> to
/// <paramref name="Last"/> of its item.
/// </summary>
public sealed record BenchTurn(string Id, BenchStep Step, int First, int Last)
{
    /// <summary>Whether it is done on all of them.</summary>
    public bool IsDone => Step.Done >= Last;

    /// <summary>How many covers it is about.</summary>
    public int Covers => Last - First + 1;
}

/// <summary>
/// The making of a whole job, turn by turn: by kinds of work over all covers, or cover by cover. Whatever the order, each
/// cover's own steps stay in theirs, and what makes a cloth comes before what is cut from it.
/// </summary>
public sealed record BenchPlan(IReadOnlyList<BenchStep> Steps, IReadOnlyList<BenchTurn> Turns, JobDocument Job)
{
    /// <summary>More covers than this of one item are made together, whichever order is chosen.</summary>
    public const int MostOneByOne = 24;

    private readonly Dictionary<string, CheckLog> checks = Job
        .Making.Checks.DistinctBy(log => log.Id)
        .ToDictionary(log => log.Id);

    /// <summary>
    /// The making of <paramref name="plan"/>, which is that of <paramref name="job"/>, at the maker's
    /// <paramref name="pace"/>.
    /// </summary>
    public static BenchPlan Of(IReadOnlyList<ItemPlan> plan, JobDocument job, Pace? pace = null)
    {
        var logs = job.Making.Steps.DistinctBy(log => log.Id).ToDictionary(log => log.Id);
        var steps = plan.Where(item => item.Draft.Pattern is not null)
            .Select(item => StepsOf(item, logs, pace ?? Pace.Usual))
            .Where(of => of.Count > 0)
            .ToList();
        var makers = job.Cloths.Select(cloth => cloth.MadeBy).OfType<string>().ToHashSet();
        var layers = steps.ToLookup(of => makers.Contains(of[0].Item.Item.Id) ? 0 : 1);
        var turns = new[] { 0, 1 }.SelectMany(layer =>
            job.Making.Order == MakingOrder.Cover ? CoverByCover(layers[layer]) : Batches(layers[layer])
        );
        return new BenchPlan([.. steps.SelectMany(of => of)], [.. turns], job);
    }

    /// <summary>The checks of a step, of each cover from <paramref name="first"/> to <paramref name="last"/>.</summary>
    public IEnumerable<CheckState> ChecksOf(BenchStep step, int first, int last) =>
        from cover in Enumerable.Range(first, last - first + 1)
        from check in step.Step.Checks
        let id = $"{step.Id}/{check.Key}/{cover}"
        select CheckState.Of(id, check, cover, Log(id), Job.Unit);

    /// <summary>How many checks do not hold while nothing is decided about them.</summary>
    public int Undecided
    {
        get
        {
            if (checks.Count == 0)
                return 0;
            var steps = Steps.ToDictionary(step => step.Id);
            return checks.Values.Count(log =>
                log.Id.Split('/') is [.. var step, var key, var cover]
                && int.TryParse(cover, out var n)
                && steps.GetValueOrDefault(string.Join('/', step)) is { } of
                && n <= of.Item.Quantity
                && of.Step.Checks.FirstOrDefault(check => check.Key == key) is { } check
                && CheckState.Of(log.Id, check, n, log, Job.Unit).Verdict is Verdict.Off or Verdict.Redo
            );
        }
    }

    /// <summary>
    /// The step of the same cover that has to be tried on and answered before this turn; null where none is.
    /// </summary>
    public BenchStep? HeldBy(BenchTurn turn) =>
        Steps
            .Where(step => step.Item.Item.Id == turn.Step.Item.Item.Id)
            .TakeWhile(step => step.Id != turn.Step.Id)
            .FirstOrDefault(step =>
                ChecksOf(step, turn.First, turn.Last).Any(state => state.Check.IsGate && !state.IsSettled)
            );

    private CheckLog? Log(string id) => checks.GetValueOrDefault(id);

    private static List<BenchStep> StepsOf(ItemPlan item, Dictionary<string, StepLog> logs, Pace pace)
    {
        var pattern = item.Draft.Pattern!;
        var minutes = pattern
            .Steps.Zip(StepMinutes.Of(pattern))
            .ToDictionary(pair => pair.First.Key, pair => pair.Second);
        return
        [
            .. Way.Of(pattern, item.Item.Way)
                .Select(step =>
                {
                    var id = $"{item.Item.Id}/{step.Key}";
                    return new BenchStep(
                        id,
                        item,
                        step,
                        minutes.GetValueOrDefault(step.Key) * pace.Of(step.Kind),
                        minutes.GetValueOrDefault(step.Key),
                        logs.GetValueOrDefault(id)
                    );
                }),
        ];
    }

    private static BenchTurn All(BenchStep step) => new(step.Id, step, 1, step.Item.Quantity);

    private static IEnumerable<BenchTurn> CoverByCover(IEnumerable<List<BenchStep>> items) =>
        items.SelectMany(steps =>
            steps[0].Item.Quantity > MostOneByOne
                ? steps.Select(All)
                : Enumerable
                    .Range(1, steps[0].Item.Quantity)
                    .SelectMany(cover => steps.Select(step => new BenchTurn($"{step.Id}/{cover}", step, cover, cover)))
        );

    // Of what the covers are ready for, the kind of work that is done first, on every cover that is ready for it.
    private static IEnumerable<BenchTurn> Batches(IEnumerable<List<BenchStep>> items)
    {
        var left = items.Select(steps => new Queue<BenchStep>(steps)).ToList();
        while (left.Any(steps => steps.Count > 0))
        {
            var kind = left.Where(steps => steps.Count > 0).Min(steps => KindOf(steps.Peek()));
            foreach (var steps in left.Where(steps => steps.Count > 0 && KindOf(steps.Peek()) == kind))
                yield return All(steps.Dequeue());
        }
    }

    // A step of the maker's own goes with what stands before it.
    private static StepKind KindOf(BenchStep step) =>
        step.Step.Kind == StepKind.Own ? StepKind.Preparing : step.Step.Kind;
}
