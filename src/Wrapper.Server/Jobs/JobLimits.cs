using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Server.Jobs;

/// <summary>
/// What a job document may hold: bounds that no real job meets, so that a broken or hostile file is refused at the
/// door.
/// </summary>
internal static class JobLimits
{
    internal const int LongestName = 200,
        LongestEntry = 4000,
        LongestNotes = 4000;

    private const int MostItems = 500,
        MostCloths = 50,
        MostRemoved = 500,
        MostEntries = 300,
        MostFlaws = 60,
        MostStock = 20,
        MostFromShelves = 200,
        LongestId = 64,
        MostParts = 60,
        MostPixels = 20_000,
        MostPins = Plan.MostPieces;

    // Traced outlines and other long texts of a whole job: a few hundred seats of sixty points.
    private const int LongestTexts = 400_000;

    // Farther than any cloth reaches, remnants before it included: pins are sums of such lengths.
    private static readonly long Farthest = 2 * LengthLimits.Most.Ticks;

    public static IEnumerable<Problem> Check(JobDocument job)
    {
        if (job.Version is < 1 or > JobDocument.Current)
            yield return new Problem(
                "version",
                $"{job.Version}",
                0,
                $"this program reads job files up to version {JobDocument.Current}",
                $"{JobDocument.Current}"
            );
        if (string.IsNullOrWhiteSpace(job.Name))
            yield return new Problem("name", job.Name, 0, "a job needs a name", "Window bench");
        foreach (var (field, text) in Names(job))
            if (text.Length > LongestName)
                yield return new Problem(
                    field,
                    text[..40],
                    LongestName,
                    $"longer than {LongestName} characters",
                    "Window bench"
                );
        foreach (var problem in Counts(job))
            yield return problem;
        foreach (var id in Ids(job).Where(id => id.Length > LongestId))
            yield return new Problem("id", id[..40], LongestId, $"longer than {LongestId} characters", "bench-left");
        foreach (
            var twice in job
                .Items.Concat(job.Removed)
                .Select(item => item.Id)
                .Concat(job.Cloths.Select(cloth => cloth.Id))
                .Concat(job.FromShelves.Select(row => row.Id))
                .GroupBy(id => id)
                .Where(ids => ids.Count() > 1)
        )
            yield return new Problem(
                "id",
                twice.Key,
                0,
                "used twice; every item and cloth needs its own",
                "bench-left"
            );
        foreach (var problem in LogLimits.Check(job))
            yield return problem;
        foreach (var problem in job.Cloths.SelectMany(Check))
            yield return problem;
        foreach (var problem in job.Items.Concat(job.Removed).SelectMany(Check))
            yield return problem;
        if (job.Items.SelectMany(Entries).Sum(entry => (long)entry.Typed.Length) > LongestTexts)
            yield return new Problem(
                "items",
                "",
                0,
                $"more than {LongestTexts} characters are entered in this job: make several jobs of it, or trace with fewer points",
                ""
            );
    }

    private static IEnumerable<Problem> Counts(JobDocument job)
    {
        if (job.Items.Count > MostItems)
            yield return new Problem(
                "items",
                $"{job.Items.Count}",
                0,
                $"a job holds at most {MostItems} items",
                $"{MostItems}"
            );
        if (job.Removed.Count > MostRemoved)
            yield return new Problem(
                "removed",
                $"{job.Removed.Count}",
                0,
                $"a job keeps at most {MostRemoved} items that were taken off",
                $"{MostRemoved}"
            );
        if (job.FromShelves.Count > MostFromShelves)
            yield return new Problem(
                "fromShelves",
                $"{job.FromShelves.Count}",
                0,
                $"a job takes at most {MostFromShelves} things from the shelves",
                $"{MostFromShelves}"
            );
        if (job.Cloths.Count > MostCloths)
            yield return new Problem(
                "cloths",
                $"{job.Cloths.Count}",
                0,
                $"a job holds at most {MostCloths} cloths",
                $"{MostCloths}"
            );
    }

    private static IEnumerable<Problem> Check(JobCloth cloth)
    {
        Problem Wrong(string field, string given, string reason, string example) =>
            new($"cloths.{cloth.Id}.{field}", given, 0, reason, example) { Stage = Stage.Lay };
        if (cloth.Flaws.Count > MostFlaws)
            yield return Wrong(
                "flaws",
                $"{cloth.Flaws.Count}",
                $"a cloth has at most {MostFlaws} flaws here: cut it apart where there are more",
                $"{MostFlaws}"
            );
        foreach (var (field, count) in new[] { ("pins", cloth.Pins.Count), ("cut", cloth.Cut.Count) })
            if (count > MostPins)
                yield return Wrong(
                    field,
                    $"{count}",
                    $"at most {MostPins} pieces of one cloth can be pinned or cut: make several jobs of it",
                    $"{MostPins}"
                );
        foreach (
            var (field, count) in new[]
            {
                ("stock", cloth.Stock.Count),
                ("left", cloth.Left.Count),
                ("prices", cloth.Prices.Count),
                ("otherWidths", cloth.OtherWidths.Count),
                ("behaves", cloth.Behaves.Count),
                ("care", cloth.Care.Count),
            }
        )
            if (count > MostStock)
                yield return Wrong(field, $"{count}", $"a cloth has at most {MostStock} of these", $"{MostStock}");
        foreach (var key in cloth.Care.Where(key => CareMark.Find(key) is null))
            yield return Wrong("care", key.Length > 40 ? key[..40] : key, "no such care mark", "wash-30");
        if (cloth.Picture is { } picture && !IsOnPhoto(picture))
            yield return Wrong(
                "picture",
                "",
                $"four corners and the two ends of a ruler, or none, each two numbers of 0 to {MostPixels}",
                "0"
            );
        if (cloth.Pins.Any(pin => !OnCloth(pin.X) || !OnCloth(pin.Y)))
            yield return Wrong("pins", "", "a pin lies farther away than any cloth reaches", "");
        if (cloth.Cut.Any(cut => !OnCloth(cut.Across) || !OnCloth(cut.Along)))
            yield return Wrong("cut", "", "a piece that was cut is larger than any cloth", "");
        foreach (var (field, entry) in EntriesOf(cloth))
            if (entry?.Typed.Length > LongestEntry)
                yield return Wrong(field, entry.Typed[..40], $"longer than {LongestEntry} characters", "54");
    }

    private static bool IsOnPhoto(ClothPicture picture) =>
        picture.Corners.Count == 8
        && picture.Ruler.Count is 0 or 4
        && picture.Corners.Concat(picture.Ruler).All(at => at is >= 0 and <= MostPixels);

    private static bool OnCloth(long at) => at >= -Farthest && at <= Farthest;

    /// <summary>What is out of bounds in one item.</summary>
    private static IEnumerable<Problem> Check(Item item)
    {
        if (item.Notes.Length > LongestNotes)
            yield return new Problem(
                $"items.{item.Id}.notes",
                item.Name,
                LongestNotes,
                $"longer than {LongestNotes} characters",
                "Hinges at the back; leg pads numbered 1 to 4."
            );
        if (item.PartsOff.Count > MostParts)
            yield return new Problem(
                $"items.{item.Id}.partsOff",
                $"{item.PartsOff.Count}",
                0,
                $"at most {MostParts} parts that come off are listed: photograph the rest",
                $"{MostParts}"
            );
        var keys = item
            .Measures.Keys.Concat(item.Choices.Keys)
            .Concat(item.Allowances.Keys)
            .Concat(item.Matches.Keys)
            .Concat(item.Motifs.Keys)
            .ToList();
        if (
            keys.Count > MostEntries
            || keys.Any(key => key.Length > LongestName)
            || item.Quantity.Length > LongestName
            || Entries(item).Any(entry => entry.Typed.Length > LongestEntry)
        )
            yield return new Problem(
                $"items.{item.Id}",
                item.Name,
                0,
                $"more than {MostEntries} entries, or one that is longer than {LongestEntry} characters",
                "W: 46 1/2"
            );
    }

    private static IEnumerable<Entry> Entries(Item item) =>
        item
            .Measures.Values.Concat(item.Choices.Values)
            .Concat(item.Allowances.Values)
            .Concat(item.Motifs.Values.SelectMany(place => new[] { place.Across, place.Along }));

    private static IEnumerable<(string Field, Entry? Entry)> EntriesOf(JobCloth cloth) =>
        [
            ("width", cloth.Width),
            ("selvedge", cloth.Selvedge),
            ("step", cloth.Step),
            ("margin", cloth.Margin),
            ("articleLength", cloth.ArticleLength),
            ("gap", cloth.Gap),
            ("repeatAlong", cloth.RepeatAlong),
            ("repeatAcross", cloth.RepeatAcross),
            ("motifAcross", cloth.MotifAcross),
            ("motifAlong", cloth.MotifAlong),
            ("skew", cloth.Skew),
            ("leastCut", cloth.LeastCut),
            ("measuredWidth", cloth.MeasuredWidth),
            ("measuredLength", cloth.MeasuredLength),
            ("squaring", cloth.Squaring),
            ("picture", cloth.Picture?.Across),
            ("picture", cloth.Picture?.Along),
            ("picture", cloth.Picture?.RulerLength),
            .. cloth.OtherWidths.Select(entry => ("otherWidths", entry)),
            .. cloth
                .Flaws.SelectMany(flaw => new[] { flaw.FromEnd, flaw.FromSelvedge, flaw.Along, flaw.Across })
                .Select(entry => ("flaws", entry)),
            .. cloth
                .Stock.Concat(cloth.Left)
                .SelectMany(row => new[] { row.Length, row.Width })
                .Select(entry => ("stock", entry)),
            .. cloth.Prices.Select(row => ("prices", row.From)),
        ];

    private static IEnumerable<string> Ids(JobDocument job) =>
        job
            .Items.Concat(job.Removed)
            .SelectMany(item =>
                item.OtherCloths.Values.Concat(item.PartsOff.Select(part => part.Id))
                    .Concat([item.Id, item.MakeUp, item.Cloth ?? ""])
            )
            .Concat(
                job.Cloths.SelectMany(cloth =>
                    cloth
                        .Stock.Concat(cloth.Left)
                        .Select(row => row.Id)
                        .Concat(cloth.Prices.Select(row => row.Id))
                        .Concat(cloth.Flaws.Select(row => row.Id))
                        .Append(cloth.Id)
                        .Append(cloth.MadeBy ?? "")
                        .Append(cloth.Picture?.Photo ?? "")
                )
            )
            .Concat(job.FromShelves.SelectMany(row => new[] { row.Id, row.Stock }))
            .Concat([job.CustomerId, job.PlaceId]);

    private static IEnumerable<(string, string)> Names(JobDocument job) =>
        new[] { ("name", job.Name), ("customer", job.Customer), ("currency", job.Currency) }
            .Concat(job.Items.Concat(job.Removed).Select(item => ($"items.{item.Id}.name", item.Name)))
            .Concat(job.Items.Concat(job.Removed).Select(item => ($"items.{item.Id}.room", item.Room)))
            .Concat(
                job.Items.Concat(job.Removed)
                    .SelectMany(item => item.PartsOff.Select(part => ($"items.{item.Id}.partsOff", part.Name)))
            )
            .Concat(
                job.FromShelves.SelectMany(row =>
                    new[]
                    {
                        ($"fromShelves.{row.Id}.thing", row.Thing),
                        ($"fromShelves.{row.Id}.amount", row.Amount.Typed),
                    }
                )
            )
            .Concat(
                job.Cloths.SelectMany(cloth =>
                    new[]
                    {
                        ("name", cloth.Name),
                        ("price", cloth.Price),
                        ("pricedBy", cloth.PricedBy),
                        ("tone", cloth.Tone),
                        ("second", cloth.Second),
                        ("batch", cloth.Batch),
                        ("shrinksAcross", cloth.ShrinksAcross),
                        ("shrinksAlong", cloth.ShrinksAlong),
                    }
                        .Concat(cloth.Stock.Concat(cloth.Left).Select(row => ("stock", row.Name)))
                        .Concat(cloth.Prices.Select(row => ("prices", row.Price)))
                        .Concat(cloth.Pins.Select(pin => ("pins", pin.Piece)))
                        .Concat(cloth.Cut.Select(cut => ("cut", cut.Piece)))
                        .Select(field => ($"cloths.{cloth.Id}.{field.Item1}", field.Item2))
                )
            );
}
