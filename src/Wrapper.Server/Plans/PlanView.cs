using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Server.Drafts;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Plans;

/// <summary>
/// A whole job planned: items in order, cloths with lays and purchases, totals, what is wrong beyond single fields, and
/// how far each stage has come.
/// </summary>
public sealed record PlanView(
    IReadOnlyList<ItemView> Items,
    IReadOnlyList<ClothView> Cloths,
    TotalsView? Totals,
    IReadOnlyList<Problem> Problems,
    IReadOnlyList<StageProgress> Stages
)
{
    /// <summary>
    /// The view of <paramref name="plan"/>, of its items only those of the ids <paramref name="of"/> where they are
    /// given; differences are told against <paramref name="before"/>, the cloth bought before, in counts.
    /// </summary>
    public static PlanView Of(
        Plan plan,
        JobDocument job,
        Drafting drafting,
        IReadOnlySet<string>? of,
        long? before,
        Pace pace,
        bool wrongSideUp = false,
        CancellationToken cancel = default
    ) =>
        new(
            [
                .. plan
                    .Items.Where(item => of?.Contains(item.Item.Id) != false)
                    .Select(item =>
                    {
                        cancel.ThrowIfCancellationRequested();
                        return new ItemView(item.Item.Id, item.Number, DraftView.Of(item, drafting, job));
                    }),
            ],
            [.. plan.Cloths.Select(cloth => ClothView.Of(cloth, job, wrongSideUp, cancel))],
            TotalsView.Of(plan, job, before, pace),
            plan.Problems,
            Progress.Of(plan, job)
        );
}

/// <summary>One item of a plan.</summary>
public sealed record ItemView(string Id, int Number, DraftView Draft);

/// <summary>
/// One cloth of a plan; <paramref name="Skewed"/> is how far its print is off square, where that is more than may be
/// passed over.
/// </summary>
public sealed record ClothView(
    string Id,
    IReadOnlyDictionary<string, LengthView> Fields,
    IReadOnlyList<Problem> Problems,
    LengthView? Usable,
    IReadOnlyList<string> UsableWorking,
    LengthView? Skewed,
    int Pieces,
    bool Used,
    IReadOnlyList<string> CutOtherwise,
    IReadOnlyList<MatchView> Matches,
    LookView Look,
    LayView? Lay,
    BuyingView? Buying
)
{
    internal static ClothView Of(ClothPlan plan, JobDocument job, bool wrongSideUp, CancellationToken cancel)
    {
        var readable = plan.Reading.CanBeLaid;
        return new ClothView(
            plan.Reading.Cloth.Id,
            plan.Reading.Lengths.ToDictionary(pair => pair.Key, pair => LengthView.Finished(pair.Value, job.Unit)),
            plan.Problems,
            readable ? LengthView.Finished(plan.Reading.Usable.Value, job.Unit) : null,
            readable ? WorkingText.Lines(plan.Reading.Usable, "usable width", job.Unit) : [],
            plan.Reading.IsSkewed ? LengthView.Finished(plan.Reading.Skew, job.Unit) : null,
            plan.Pieces.Count,
            job.Items.Any(item => job.ClothsOf(item).Contains(plan.Reading.Cloth.Id)),
            plan.CutOtherwise,
            [.. plan.Matches.Select(match => MatchView.Of(match))],
            LookView.Of(
                plan.Reading.Look,
                ClothTile.Of(plan.Reading, plan.ForLay.Repeat),
                plan.Reading.Cloth.Behaves.Contains(ClothTrait.Pile)
            ),
            plan.Lay is { } lay ? LayView.Of(lay, plan, job.Unit, wrongSideUp, cancel) : null,
            plan.Buying is { } buying ? BuyingView.Of(buying, plan.Reading, job) : null
        );
    }
}

/// <summary>
/// The look of a cloth: where the picture of one repeat of it is to be had, how far that reaches across and along, and
/// where up the roll the first one begins, in hundredths of a millimetre; whether that is the usual size of such a cloth
/// because its own is not known, the colour of what it shows, and whether it has a pile, which shines.
/// </summary>
public sealed record LookView(
    string Tile,
    ClothPrint Print,
    bool UsualSize,
    string Second,
    long Across,
    long Along,
    long From,
    bool Pile
)
{
    internal static LookView Of(ClothLook look, ClothTile tile, bool pile) =>
        new(tile.Url, look.Print, look.IsUsualSize, tile.Second, tile.Across, tile.Along, tile.From, pile);
}

/// <summary>
/// How one kind of piece is matched; <paramref name="Follows"/> is the piece whose print it can run on from, if there
/// is one.
/// </summary>
public sealed record MatchView(
    string Item,
    string ItemName,
    string Piece,
    string Label,
    string Name,
    Match Match,
    bool Chosen,
    string? Follows
)
{
    internal static MatchView Of(PieceMatch match) =>
        new(
            match.Item.Item.Id,
            match.Item.Item.Name,
            match.Piece.Key,
            match.Item.Label(match.Piece.Key),
            match.Piece.Name,
            match.Match,
            match.Item.Item.Matches.ContainsKey(match.Piece.Key),
            match.Leader?.Name
        );
}
