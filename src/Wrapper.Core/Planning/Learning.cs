using System.Globalization;
using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;

namespace Wrapper.Core.Planning;

/// <summary>
/// What one fitting found: that <paramref name="Subject"/>, a field of a make-up or of a cloth, should have been
/// <paramref name="Found"/>.
/// </summary>
public sealed record Fit(string MakeUp, string Cloth, string Subject, Entry Found);

/// <summary>Something that fittings can say of an item: a field, its name, and what it is now; empty where it is unset.</summary>
public sealed record FitSubject(string Field, string Name, Entry Now);

/// <summary>
/// A proposal from <paramref name="From"/> fittings: that a field of an item be <paramref name="Proposed"/>.
/// <paramref name="Cloth"/> is empty where fittings on every cloth were counted.
/// </summary>
public sealed record Proposal(string Field, string Name, Entry Now, Entry Proposed, int From, string Cloth);

/// <summary>
/// What the fit log teaches (craft §11): from three entries on the median of what was found, for a make-up on its cloth,
/// or on every cloth where its own has too few. A single wild entry changes nothing.
/// </summary>
public static class Learning
{
    /// <summary>So many entries are needed.</summary>
    public const int Least = 3;

    /// <summary>Only the latest entries count, so that a maker who changes is followed.</summary>
    public const int Latest = 15;

    /// <summary>What of <paramref name="item"/> fittings can be about, as things stand.</summary>
    public static IReadOnlyList<FitSubject> Subjects(ItemPlan item, MakeUp makeUp, JobDocument job)
    {
        if (item.Draft.Reading is not { } reading)
            return [];
        var empty = new Entry("", job.Unit);
        var cloth = job.Cloths.FirstOrDefault(cloth => cloth.Id == job.ClothOf(item.Item, ClothRole.Face));
        return
        [
            .. makeUp
                // What elastic found by pull comes to is worth knowing, although no ratio is asked then.
                .Choices.Where(choice => choice.Learns && (reading.Shows(choice) || choice.Key == Elastic.Ratio.Key))
                .Select(choice => new FitSubject(
                    $"choices.{choice.Key}",
                    choice.Name,
                    item.Item.Choices.GetValueOrDefault(choice.Key, empty)
                )),
            .. makeUp
                .Measures.Where(measure => measure.Learns && reading.Asks(measure))
                .Select(measure => new FitSubject(
                    $"measures.{measure.Key}",
                    measure.Name,
                    item.Item.Measures.GetValueOrDefault(measure.Key, empty)
                )),
            .. cloth is null
                ? Array.Empty<FitSubject>()
                :
                [
                    new(
                        "cloth.shrinksAlong",
                        $"shrinkage of {cloth.Name} along, per cent",
                        new(cloth.ShrinksAlong, job.Unit)
                    ),
                    new(
                        "cloth.shrinksAcross",
                        $"shrinkage of {cloth.Name} across, per cent",
                        new(cloth.ShrinksAcross, job.Unit)
                    ),
                ],
        ];
    }

    /// <summary>
    /// What <paramref name="fits"/>, the latest first, propose for an item: none where too few were logged, or where the
    /// item has it already.
    /// </summary>
    public static IReadOnlyList<Proposal> Of(ItemPlan item, MakeUp makeUp, JobDocument job, IReadOnlyList<Fit> fits)
    {
        var cloth = job.Cloths.FirstOrDefault(each => each.Id == job.ClothOf(item.Item, ClothRole.Face))?.Name ?? "";
        List<Proposal> proposals = [];
        foreach (var subject in Subjects(item, makeUp, job))
        {
            var ofCloth = subject.Field.StartsWith("cloth.", StringComparison.Ordinal);
            var isCount = IsCount(subject, makeUp);
            var all = fits.Where(fit =>
                    fit.Subject == subject.Field
                    && (ofCloth || fit.MakeUp == makeUp.Key)
                    && Read(fit.Found, isCount, job.Unit) is not null
                )
                .ToList();
            var own = all.Where(fit => fit.Cloth == cloth).ToList();
            var counted = own.Count >= Least || ofCloth ? own : all;
            if (Median([.. counted.Take(Latest).Select(fit => fit.Found)], isCount, job.Unit) is not { } found)
                continue;
            if (!Same(subject.Now, found, isCount, job.Unit))
                proposals.Add(
                    new(
                        subject.Field,
                        subject.Name,
                        subject.Now,
                        found,
                        Math.Min(counted.Count, Latest),
                        counted == own ? cloth : ""
                    )
                );
        }
        return proposals;
    }

    /// <summary>
    /// The median of <paramref name="found"/> as it is entered: a length to the mark of the tape, a count or percentage to
    /// half a per cent. Null where fewer than <see cref="Least"/> can be read.
    /// </summary>
    public static Entry? Median(IReadOnlyList<Entry> found, bool isCount, JobUnit unit)
    {
        var read = found.Select(entry => Read(entry, isCount, unit)).OfType<decimal>().Order().ToList();
        if (read.Count < Least)
            return null;
        var median = Pace.Median(read);
        if (isCount)
            return new Entry((decimal.Round(median * 2) / 2).ToString("0.#", CultureInfo.InvariantCulture), unit);
        var mark = LengthPrinter.Mark(unit).Ticks;
        return Entry.Of(new Length((long)decimal.Round(median / mark) * mark), unit);
    }

    private static bool IsCount(FitSubject subject, MakeUp makeUp) =>
        subject.Field.StartsWith("cloth.", StringComparison.Ordinal)
        || makeUp.Choices.Any(choice => $"choices.{choice.Key}" == subject.Field && choice.Kind != ChoiceKind.Length);

    private static bool Same(Entry now, Entry found, bool isCount, JobUnit unit) =>
        Read(now, isCount, unit) is { } one
        && Read(found, isCount, unit) is { } other
        && Math.Abs(one - other) <= (isCount ? 0.5m : LengthPrinter.Mark(unit).Ticks);

    private static decimal? Read(Entry entry, bool isCount, JobUnit unit) =>
        isCount
            ? decimal.TryParse(
                entry.Typed.Trim().TrimEnd('%').TrimEnd().Replace(',', '.'),
                NumberStyles.AllowDecimalPoint,
                CultureInfo.InvariantCulture,
                out var count
            )
                ? count
                : null
            : Entry.Read(entry, unit, LengthLimits.Cloth).Length?.Ticks;
}
