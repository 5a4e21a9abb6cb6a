using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// One change that shortens the lay of a cloth: so many pieces called <paramref name="Label"/> (none where the cloth is
/// changed), by <paramref name="By"/> where a size is; <paramref name="Length"/> is what the lay takes then,
/// <paramref name="Saves"/> less than now.
/// </summary>
public sealed record Shortening(LayChange Change, string Label, int Pieces, Length By, Length Length, Length Saves)
{
    /// <summary>What would be otherwise, in words; sizes in <paramref name="unit"/>.</summary>
    public string Told(JobUnit unit)
    {
        var by = $"{LengthPrinter.Finished(By, unit).Text} {LengthPrinter.Word(unit)}";
        return Change switch
        {
            LayChange.Unpinned => "With nothing pinned but what is cut",
            LayChange.NotFolded => "Laid single in place of folded",
            LayChange.NotTorn => "Cut along the pieces in place of torn",
            LayChange.NoGap => $"Without the gap of {by} between pieces",
            LayChange.NoWayUp => "Were the cloth the same either way up",
            LayChange.WiderCloth => $"On cloth {by} wider",
            LayChange.EitherWay => $"If {Called} may lie either way of the grain",
            LayChange.Unmatched => $"If {Called} need not match",
            LayChange.Narrower => $"If {Called} were {by} narrower",
            _ => $"If {Called} were {by} shorter",
        };
    }

    private string Called => Pieces == 1 ? Label : $"{Label} ({Pieces} pieces)";
}

/// <summary>Changes found, what saves most first, among so many that were looked at of <paramref name="All"/>.</summary>
public sealed record FoundShortenings(IReadOnlyList<Shortening> Shortenings, int Looked, int All);

/// <summary>
/// Finds which one change would shorten a lay most: each thing that binds the cloth or its pieces is let go by itself,
/// each of its larger rectangles made a little less, and everything laid anew, cord strips too.
/// </summary>
public static class Shortenings
{
    private const int MostGroups = 8,
        MostTold = 6;

    private static readonly Length Least = Length.Inches(0, 1, 8);

    // A cloth with its pieces as they would be, and the change as far as it is known before anything is laid.
    private sealed record Trial(IReadOnlyList<LayPiece> Pieces, LayCloth Cloth, Shortening Told);

    /// <summary>
    /// What would shorten the lay of <paramref name="plan"/> by more than 1/8 in. Once <paramref name="closing"/> no
    /// further change is tried; what is <paramref name="kept"/> makes the next time quicker.
    /// </summary>
    public static FoundShortenings Of(
        ClothPlan plan,
        JobUnit unit,
        LayCache? kept = null,
        CancellationToken cancel = default,
        CancellationToken closing = default
    )
    {
        if (plan.Lay is not { Length.IsPositive: true } now)
            return new([], 0, 0);
        var trials = Trials(plan, unit).ToList();
        List<Shortening> found = [];
        var looked = 0;
        foreach (var (pieces, cloth, told) in trials.TakeWhile(_ => !closing.IsCancellationRequested))
        {
            cancel.ThrowIfCancellationRequested();
            var panels =
                kept?.Of(pieces, cloth, cancel, plan.Strips) ?? LayTable.Of(pieces, cloth, plan.Strips, cancel);
            var lay = CordStrips.After(panels, pieces, cloth, plan.Strips, cancel).Lay;
            if (lay.Misfits.Count <= now.Misfits.Count && now.Length - lay.Length > Least)
                found.Add(told with { Length = lay.Length, Saves = now.Length - lay.Length });
            looked++;
        }
        // What fewer pieces save just as well is told of those.
        return new(
            [
                .. found
                    .Where(each =>
                        !found.Any(other =>
                            other.Change == each.Change
                            && other.Pieces < each.Pieces
                            && other.Saves + Least >= each.Saves
                        )
                    )
                    .OrderByDescending(each => each.Saves)
                    .Take(MostTold),
            ],
            looked,
            trials.Count
        );
    }

    private static IEnumerable<Trial> Trials(ClothPlan plan, JobUnit unit)
    {
        var (pieces, cloth) = (plan.Panels, plan.ForLay);
        var cut = plan.Reading.Cloth.Cut.Select(each => each.Piece).ToHashSet();
        if (cloth.Pins.Any(pin => !cut.Contains(pin.Id)))
            yield return OfCloth(
                LayChange.Unpinned,
                cloth with
                {
                    Pins = [.. cloth.Pins.Where(pin => cut.Contains(pin.Id))],
                }
            );
        if (cloth.Spread != Spread.Single)
            yield return OfCloth(
                cloth.Spread == Spread.Folded ? LayChange.NotFolded : LayChange.NotTorn,
                cloth with
                {
                    Spread = Spread.Single,
                }
            );
        if (cloth.Gap.IsPositive)
            yield return OfCloth(LayChange.NoGap, cloth with { Gap = Length.Zero }, cloth.Gap);
        if (cloth.OneWay)
            yield return OfCloth(LayChange.NoWayUp, cloth with { OneWay = false });
        var wider = unit.IsInches() ? Length.Inches(2) : Length.Millimetres(50);
        if (cloth.Article is null)
            yield return OfCloth(LayChange.WiderCloth, cloth with { Usable = cloth.Usable + wider }, wider);

        // What is pinned lies where it is wanted, and tubes of cord follow from their cord.
        var free = pieces
            .Where(piece =>
                !piece.Id.StartsWith(CordStrips.Prefix, StringComparison.Ordinal)
                && cloth.Pins.All(pin => pin.Id != piece.Id)
            )
            .ToList();
        foreach (var some in Groups(free.Where(piece => piece.Origin is not null)))
            yield return OfPieces(LayChange.Unmatched, some, piece => piece with { Origin = null });
        if (!cloth.OneWay)
            foreach (var some in Groups(free.Where(piece => piece.Grain != Grain.Either && piece.Origin is null)))
                yield return OfPieces(LayChange.EitherWay, some, piece => piece with { Grain = Grain.Either });
        var less = unit.IsInches() ? Length.Inches(0, 1, 2) : Length.Millimetres(10);
        foreach (
            var some in Groups(
                free.Where(piece => IsRectangle(piece) && Length.Min(piece.Across(0), piece.Along(0)) > 2 * less),
                whole: false
            )
        )
        {
            yield return OfPieces(LayChange.Narrower, some, piece => Less(piece, less, Length.Zero), less);
            yield return OfPieces(LayChange.Shorter, some, piece => Less(piece, Length.Zero, less), less);
        }

        Trial OfCloth(LayChange change, LayCloth changed, Length by = default) =>
            new(pieces, changed, new(change, "", 0, by, Length.Zero, Length.Zero));

        Trial OfPieces(LayChange change, List<LayPiece> some, Func<LayPiece, LayPiece> changed, Length by = default)
        {
            var ids = some.Select(piece => piece.Id).ToHashSet();
            return new(
                [.. pieces.Select(piece => ids.Contains(piece.Id) ? changed(piece) : piece)],
                cloth,
                new(change, Named(some), some.Count, by, Length.Zero, Length.Zero)
            );
        }
    }

    // Pieces of one size belong together, since what faces one another is of one size; the largest groups are looked at,
    // and all of them at once.
    private static IEnumerable<List<LayPiece>> Groups(IEnumerable<LayPiece> pieces, bool whole = true)
    {
        var groups = pieces
            .GroupBy(piece => (piece.Across(0), piece.Along(0)))
            .Select(group => group.ToList())
            .OrderByDescending(group => group.Count * (double)group[0].Across(0).Ticks * group[0].Along(0).Ticks)
            .ToList();
        return whole && groups.Count > 1
            ? groups.Take(MostGroups).Append([.. groups.SelectMany(group => group)])
            : groups.Take(MostGroups);
    }

    private static string Named(List<LayPiece> pieces)
    {
        var labels = pieces.Select(piece => piece.Label).Distinct().ToList();
        return labels.Count <= 3
            ? string.Join(", ", labels)
            : $"{string.Join(", ", labels.Take(2))} and {labels.Count - 2} more";
    }

    private static bool IsRectangle(LayPiece piece) => Region.Of(piece.Cut, turns: 0).IsRectangle;

    private static LayPiece Less(LayPiece piece, Length across, Length along)
    {
        var (left, bottom, _, _) = piece.Cut.Bounds();
        return piece with
        {
            Cut = Outline.Rectangle(piece.Across(0) - across, piece.Along(0) - along),
            Origin = piece.Origin is { } at ? new(at.X - left, at.Y - bottom) : null,
        };
    }
}
