using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Pages;
using Wrapper.Server.Records;

namespace Wrapper.Server.Sheets;

/// <summary>What goes out with covers: the label sewn in, the card for the customer, the sheet that is signed.</summary>
internal static class HandOverSheets
{
    // A card of A6.
    private const float CardWide = 105,
        CardHigh = 148;

    /// <summary>Labels at their true size: to be cut out of a sheet, or each on a label of its own.</summary>
    public static Sheet Labels(
        IReadOnlyList<GivenRecord> all,
        LabelView label,
        bool eachAlone,
        string job,
        Office office
    )
    {
        var (wide, high) = (Millimetres(label.Width), Millimetres(label.Height));
        var labels = all.SelectMany(given => Enumerable.Repeat(Label(given), given.Quantity)).ToList();
        if (!eachAlone)
            return office.Sheet("Labels", job, [.. labels.Select(each => new Framed(each, wide, high))]);
        // All as high as the longest, so that they come off one roll.
        var needed = labels.Select(each => SheetFile.Height(each, SheetSize.Label(wide, high))).Append(high).Max();
        return new(
            $"Labels, {job}",
            "",
            "",
            SheetSize.Label(wide, needed),
            [.. labels.SelectMany((each, at) => at == 0 ? each : each.Prepend(new NewPage()))]
        );
    }

    /// <summary>A card for each cover, to be cut out: how it is cleaned, opened and put on again.</summary>
    public static Sheet Cards(IReadOnlyList<GivenRecord> all, string job, Office office) =>
        office.Sheet(
            "Care card",
            job,
            [.. all.Select(given => new Framed([.. Card(given, office)], CardWide, CardHigh, Inside: 7))]
        );

    /// <summary>What the customer signs: every cover with what was said of it, and what came back.</summary>
    public static Sheet ToSign(IReadOnlyList<GivenRecord> all, string job, Office office) =>
        office.Sheet(
            "Hand-over sheet",
            job,
            all.Count == 0 ? [Text.Of("Nothing can be handed over yet.")] : [.. Signed(all, office)]
        );

    private static List<Block> Label(GivenRecord given) =>
        [
            Small(Run.Bold(given.Name), $" {given.Size}"),
            Small($"{given.Maker} {given.Postcode} · {given.Date}"),
            Small(Cloths(given)),
            .. given.Care.Count > 0 ? new Block[] { Marks(given, 5.5f, hasWords: false) } : [],
            .. given
                .Stated.Where(line => line.Name is not ("Notes" or "Opens at"))
                .Select(line => Small($"{line.Name}: {line.Text}")),
            .. given.Cautions.Select(caution => Small(Run.Bold(caution))),
        ];

    private static Text Small(params Run[] runs) => new(runs) { Size = TextSize.Label };

    private static IEnumerable<Block> Card(GivenRecord given, Office office)
    {
        yield return new Heading(1, $"Caring for your {given.Name}");
        yield return Text.Of(Cloths(given));
        yield return given.Care.Count > 0
            ? Marks(given, 10, hasWords: true)
            : Text.Of("The maker of the cloth gave no care code: ask before it is cleaned.");
        foreach (var line in given.Stated.Where(line => line.Name is "Cleaning" or "Opens at" or "Notes" or "Cover"))
            yield return Text.Of(Run.Bold($"{line.Name} "), line.Text);
        foreach (var caution in given.Cautions)
            yield return Text.Of(Run.Bold(office.Say(caution))) with
            {
                IsMarked = true,
            };
        yield return Text.Of($"{given.Maker} {given.Postcode} · {given.Date}");
    }

    private static IEnumerable<Block> Signed(IReadOnlyList<GivenRecord> all, Office office)
    {
        var first = all[0];
        yield return new Heading(1, "Handed over");
        yield return Text.Of(
            string.Join(
                " · ",
                new[] { string.Join(", ", Said(first.Customer, first.Place)), first.Date }.Where(text =>
                    text.Length > 0
                )
            )
        );
        yield return Text.Of($"From {first.Maker} {first.Postcode}");
        foreach (var (given, at) in all.Select((given, at) => (given, at)))
        {
            yield return new Heading(2, Office.Titled(at + 1, given.Name, $"{given.Quantity}"));
            yield return Text.Of(
                $"{office.Say(given.Kind)}{(given.Size.Length > 0 ? $", {given.Size}" : "")}. {Cloths(given)}."
            );
            if (given.Care.Count > 0)
                yield return Text.Of(string.Join(". ", MarksOf(given).Select(mark => mark.Words)));
            foreach (var line in given.Stated)
                yield return Text.Of(Run.Bold($"{line.Name} "), line.Text);
            foreach (var caution in given.Cautions)
                yield return Text.Of(Run.Bold(office.Say(caution))) with
                {
                    IsMarked = true,
                };
            if (given.Parts.Count > 0)
                yield return Text.Of($"Back with it: {string.Join("; ", given.Parts)}");
        }
        yield return Text.Of(
            "What is written about flammability and fillings is stated by the maker. Follow the local rules; a qualified upholsterer can advise."
        );
        yield return new Beside([(2, [new WriteIn("Received, as described")]), (1, [new WriteIn("Date")])]);
    }

    private static IEnumerable<string> Said(params string[] texts) => texts.Where(text => text.Length > 0);

    private static string Cloths(GivenRecord given) =>
        string.Join(
            "; ",
            given.Cloths.Select(cloth => cloth.Batch.Length > 0 ? $"{cloth.Name}, batch {cloth.Batch}" : cloth.Name)
        );

    private static IEnumerable<CareMark> MarksOf(GivenRecord given) =>
        CareMark.All.Where(mark => given.Care.Contains(mark.Key));

    private static Signs Marks(GivenRecord given, float high, bool hasWords) =>
        new(
            [
                .. MarksOf(given)
                    .Select(mark =>
                        (
                            (Picture)
                                new SignPicture(
                                    mark.Drawing,
                                    mark.Inside,
                                    mark.Group is CareGroup.Washing or CareGroup.Ironing ? 24 : 19,
                                    40,
                                    37
                                ),
                            mark.Words
                        )
                    ),
            ],
            high,
            hasWords
        );

    private static float Millimetres(Drawings.LengthView length) => length.Ticks / (float)Length.TicksPerMillimetre;
}
