using Wrapper.Core.Covers.Drawn;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Making;

/// <summary>
/// The making of a job: every turn in order, and the one that stands on the bench with all that is needed for it; null
/// where nothing can be made. <paramref name="Now"/> is the server's clock, by which timers run.
/// </summary>
public sealed record BenchView(string Now, MakingOrder Order, IReadOnlyList<TurnView> Turns, AtBenchView? At)
{
    /// <summary>The making in <paramref name="bench"/>, with the turn <paramref name="at"/> or the next one.</summary>
    internal static BenchView Of(BenchPlan bench, string? at, DateTimeOffset now)
    {
        var turn =
            bench.Turns.FirstOrDefault(turn => turn.Id == at)
            ?? bench.Turns.FirstOrDefault(turn => turn.Step.Log is { Began.Length: > 0 })
            ?? bench.Turns.FirstOrDefault(turn => !turn.IsDone)
            ?? (bench.Turns.Count > 0 ? bench.Turns[^1] : null);
        return new(
            now.ToString("O"),
            bench.Job.Making.Order,
            [.. bench.Turns.Select(TurnView.Of)],
            turn is null ? null : AtBenchView.Of(bench, turn)
        );
    }
}

/// <summary>One turn: a step over the covers <paramref name="First"/> to <paramref name="Last"/> of an item.</summary>
public sealed record TurnView(
    string Id,
    string Step,
    string Item,
    int Number,
    string Name,
    StepKind Kind,
    string Work,
    string Text,
    int First,
    int Last,
    int Quantity,
    bool Done,
    bool Running
)
{
    internal static TurnView Of(BenchTurn turn) =>
        new(
            turn.Id,
            turn.Step.Id,
            turn.Step.Item.Item.Id,
            turn.Step.Item.Number,
            turn.Step.Item.Item.Name,
            turn.Step.Step.Kind,
            turn.Step.Step.Kind.Name(),
            turn.Step.Step.Text,
            turn.First,
            turn.Last,
            turn.Step.Item.Quantity,
            turn.IsDone,
            turn.Step.Log is { Began.Length: > 0 }
        );
}

/// <summary>
/// What stands on the bench. <paramref name="HeldBy"/> says what has to be tried on and answered first, empty where
/// nothing has to; <paramref name="RatedSeconds"/> is what the table of rates
/// gives for one cover; <paramref name="SetUp"/> is null where no machine is needed, <paramref name="Changed"/> what of it is
/// otherwise than in the turn before; <paramref name="WayBroken"/> why the maker's own order is not taken up, empty where it
/// is.
/// </summary>
public sealed record AtBenchView(
    string Turn,
    string Step,
    string HeldBy,
    string HeldByTurn,
    string Reckoned,
    long ReckonedSeconds,
    long RatedSeconds,
    long Seconds,
    string Began,
    string Took,
    IReadOnlyList<Problem> Problems,
    string Note,
    string WayNote,
    string WayBroken,
    SetUp? SetUp,
    IReadOnlyList<string> Changed,
    IReadOnlyList<string> Cautions,
    IReadOnlyList<ShownView> How,
    IReadOnlyList<CheckView> Checks,
    Layers? Lies,
    IReadOnlyList<LitPieceView> Pieces,
    IReadOnlyList<LitSeamView> Seams,
    IReadOnlyList<string> Stacks
)
{
    internal static AtBenchView Of(BenchPlan bench, BenchTurn turn)
    {
        var (step, item) = (turn.Step.Step, turn.Step.Item);
        var held = bench.HeldBy(turn);
        var log = turn.Step.Log;
        var took = log is { Took.Length: > 0 } ? TimeTaken.Read(log.Took) : (null, null);
        var before = bench
            .Turns.TakeWhile(each => each != turn)
            .LastOrDefault(each => each.Step.Step.SetUp is not null);
        var seconds = (long)decimal.Round(turn.Step.Minutes * turn.Covers * 60, MidpointRounding.AwayFromZero);
        var (pieces, seams) = Lit.Of(item, step);
        return new(
            turn.Id,
            turn.Step.Id,
            held?.Step.Text ?? "",
            held is null ? "" : bench.Turns.First(each => each.Step.Id == held.Id && each.Last >= turn.First).Id,
            Minutes.Text((seconds + 30) / 60),
            seconds,
            (long)decimal.Round(turn.Step.Rated * 60, MidpointRounding.AwayFromZero),
            took.Seconds ?? log?.Seconds ?? 0,
            log?.Began ?? "",
            log?.Took ?? "",
            [
                .. took.Reason is { } reason
                    ? [new Problem($"steps.{turn.Step.Id}.took", log!.Took, 0, reason, "1 h 10") { Stage = Stage.Make }]
                    : Array.Empty<Problem>(),
                .. bench.Job.Cloths.SelectMany(cloth => LeftOver.Measured(cloth, bench.Job.Unit).Problems),
            ],
            log?.Note ?? "",
            item.Item.Way.FirstOrDefault(row => row.Id == step.Key)?.Note ?? "",
            Way.Refused(item.Draft.Pattern!, item.Item.Way) ?? "",
            step.SetUp,
            step.SetUp is null ? [] : Otherwise(before?.Step.Step.SetUp, step.SetUp),
            [.. step.Cautions.Select(caution => caution.Text)],
            [.. step.How.Select(ShownView.Of)],
            [.. bench.ChecksOf(turn.Step, turn.First, turn.Last).Select(state => CheckView.Of(state, bench.Job.Unit))],
            step.Kind.Lies(),
            pieces,
            seams,
            step.Kind == StepKind.Cutting && !step.Does.HasFlag(Doing.Trimming) ? turn.Stacks() : []
        );
    }

    private static List<string> Otherwise(SetUp? before, SetUp now)
    {
        List<string> changed = [];
        if (before?.Foot != now.Foot)
            changed.Add("foot");
        if (before?.Stitch != now.Stitch)
            changed.Add("stitch");
        if (before?.Thread != now.Thread)
            changed.Add("thread");
        if (before?.Needle != now.Needle)
            changed.Add("needle");
        return changed;
    }
}

/// <summary>How something is done, with its drawing in a field 120 wide and 60 high.</summary>
public sealed record ShownView(
    Technique Technique,
    string Name,
    IReadOnlyList<string> Words,
    string Solid,
    string Dashed,
    string Heavy
)
{
    internal static ShownView Of(Technique technique)
    {
        var shown = Techniques.Of(technique);
        return new(technique, shown.Name, shown.Words, shown.Solid, shown.Dashed, shown.Heavy);
    }
}

/// <summary>
/// One check of one cover: what has to hold, what is to be read and how far it may be off, where; how it stands. Where a
/// reading teaches something, its <paramref name="Share"/> in per cent, and the field that it is logged for.
/// </summary>
public sealed record CheckView(
    string Id,
    int Cover,
    string Text,
    string Otherwise,
    LengthView? Target,
    string Tolerance,
    bool Reads,
    IReadOnlyList<string> Places,
    bool IsGate,
    decimal? Share,
    string ShareField,
    IReadOnlyList<Entry> Readings,
    Verdict Verdict,
    bool Settled,
    string Told,
    string Note,
    IReadOnlyList<Problem> Problems
)
{
    internal static CheckView Of(CheckState state, JobUnit unit) =>
        new(
            state.Id,
            state.Cover,
            state.Check.Text,
            state.Check.Otherwise,
            state.Check.Target is { } target ? LengthView.Finished(target.Value, unit) : null,
            state.Check.Target is null ? "" : LengthView.Finished(state.Check.Tolerance, unit).Text,
            state.Check.IsRead,
            state.Check.Places,
            state.Check.IsGate,
            state.Share,
            state.Check.ShareField,
            state.Readings,
            state.Verdict,
            state.IsSettled,
            state.Told,
            state.Note,
            state.Problems
        );
}

/// <summary>A piece of the step, its label and its drawing.</summary>
public sealed record LitPieceView(string Key, string Label, string Name, BoxView Box, string Cut, string Stitch);

/// <summary>
/// A seam of the step: its edges along the pieces, drawn as points, and the marks that are matched, by number.
/// </summary>
public sealed record LitSeamView(
    string Name,
    SeamKind Kind,
    bool Corded,
    IReadOnlyList<LitEdgeView> Edges,
    IReadOnlyList<LitMarkView> Marks
);

/// <summary>A lit stretch of the outline of a piece.</summary>
public sealed record LitEdgeView(string Piece, string Points);

/// <summary>A mark on a piece; marks of one number come together.</summary>
public sealed record LitMarkView(string Piece, int Number, long X, long Y);
