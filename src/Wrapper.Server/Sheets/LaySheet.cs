using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Pages;
using Wrapper.Server.Plans;

namespace Wrapper.Server.Sheets;

/// <summary>How cloth is laid and cut: its drawing, what it comes to, and what is chalked in cutting order.</summary>
internal static class LaySheet
{
    private const float MostHigh = 84;

    // A longer lay is shown stretch by stretch, so that its labels can be read at the table.
    private static readonly Length Stretch = Length.Millimetres(2600);

    /// <summary>The cutting sheet: a cloth after the other, each with its list.</summary>
    public static Sheet Cutting(Plan plan, JobDocument job, Office office, CancellationToken cancel) =>
        Of("Cutting sheet", plan, job, null, hasList: true, office, cancel);

    /// <summary>The lay plan: the drawings and what they come to; of all cloths, or of one.</summary>
    public static Sheet LayPlan(Plan plan, JobDocument job, string? only, Office office, CancellationToken cancel) =>
        Of("Lay plan", plan, job, only, hasList: false, office, cancel);

    private static Sheet Of(
        string title,
        Plan plan,
        JobDocument job,
        string? only,
        bool hasList,
        Office office,
        CancellationToken cancel
    )
    {
        var laid = plan
            .Cloths.Where(cloth => cloth.Lay is not null && (only is null || cloth.Reading.Cloth.Id == only))
            .ToList();
        return office.Sheet(
            title,
            job.Name,
            [
                .. laid.SelectMany(
                    (cloth, at) =>
                        OfCloth(cloth, plan, job, hasList, office, cancel).Prepend(at == 0 ? new Gap(0) : new NewPage())
                ),
                .. laid.Count == 0 ? new Block[] { Text.Of("Nothing is cut from a cloth yet.") } : [],
            ]
        );
    }

    private static IEnumerable<Block> OfCloth(
        ClothPlan cloth,
        Plan plan,
        JobDocument job,
        bool hasList,
        Office office,
        CancellationToken cancel
    )
    {
        var name = cloth.Reading.Cloth.Name;
        var view = ClothView.Of(cloth, job, wrongSideUp: false, cancel);
        var lay = view.Lay!;
        yield return new Heading(1, $"{name}, right side up");
        foreach (var figure in Figures(cloth, plan, name, office))
            yield return figure;
        yield return new Grid([new("", 2), new("", 3)], [.. Facts(view, lay, cloth.Reading.Cloth)]) { IsRuled = false };
        foreach (var told in Warnings(view, lay, office))
            yield return Text.Of(told) with
            {
                IsMarked = true,
            };
        if (lay.CordStrips.Count > 0)
            yield return Text.Of(
                Run.Bold(office.Say($"Cord, {name}: ")),
                $"{string.Join("; ", lay.CordStrips)}. Cut last, from what the panels leave."
            );
        if (lay.Remnants.Count > 0)
            yield return Text.Of(
                $"Left over: {string.Join("; ", lay.Remnants.Take(4).Select(left => $"{left.Along.Text} along by {left.Across.Text} across"))}."
            );
        if (!hasList)
            yield break;
        var selvedge = office.Say("selvedge");
        yield return Text.Of(
            $"Cut lines, measured from the squared end and from the {selvedge} on top of the drawing, so that no mark is measured from another.{(lay.FoldedTo is { } fold ? $" Folded double, right sides together, as far as {fold.Text}: what lies above the fold is cut with what lies below it." : "")}"
        );
        var called = plan
            .Items.Where(item => item.Draft.Pattern is not null)
            .SelectMany(item => item.Draft.Pattern!.Pieces.Select(piece => (Label: item.Label(piece.Key), piece.Name)))
            .ToDictionary(pair => pair.Label, pair => pair.Name);
        yield return new Grid(
            [
                new("Cut", 0.7f),
                new($"{name}, right side up", 3),
                new("From the end", 1.5f, IsRight: true),
                new("to", 1.5f, IsRight: true),
                new($"From the {selvedge}", 1.6f, IsRight: true),
                new("to", 1.4f, IsRight: true),
            ],
            [
                .. lay.Placed.Select(
                    (piece, at) =>
                        new Row([
                            Grid.Cell($"{at + 1}"),
                            [
                                Text.Of(
                                    Run.Bold(piece.Label),
                                    $" {(piece.CutLast ? "strip, cut last" : office.Say(called.GetValueOrDefault(piece.Label, "")))}{(piece.On.Length > 0 ? $" on {piece.On}" : "")}"
                                ),
                            ],
                            Grid.Cell(piece.AlongRoll.Text),
                            Grid.Cell(piece.ToAlongRoll.Text),
                            Grid.Cell(piece.FromSelvedge.Text),
                            Grid.Cell(piece.ToSelvedge.Text),
                        ])
                ),
            ]
        );
    }

    private static IEnumerable<Block> Figures(ClothPlan cloth, Plan plan, string name, Office office)
    {
        var drawing = LayDrawing.Of(cloth, plan)!.Turned();
        for (var from = Length.Zero; from < cloth.OnTable; from += Stretch)
            yield return new Figure(
                cloth.OnTable > Stretch ? new ScaledDrawing(drawing, from, from + Stretch) : new ScaledDrawing(drawing),
                office.Say(
                    $"The lay of {name}, up the roll to the right, the first selvedge on top{(cloth.OnTable > Stretch ? $", from {from.Ticks / Stretch.Ticks + 1}" : "")}"
                ),
                MostHigh
            );
    }

    private static IEnumerable<Row> Facts(ClothView view, LayView lay, JobCloth cloth)
    {
        yield return Fact(
            view.Buying?.BeforeWashing == true ? "Needed, washed" : "Needed",
            $"{lay.Length.Text}, {lay.OnTape.Text}"
        );
        if (view.Buying is { } buying && cloth.MadeBy is null)
            yield return Fact("To buy", buying.Bought.Text);
        yield return Fact("In rows by hand", lay.ByHand.Text);
        if (view.Usable is { } usable)
            yield return Fact("Usable width", usable.Text);
        if (lay.FoldedTo is { } folded)
            yield return Fact("Folded double, as far as", folded.Text);

        static Row Fact(string what, string much) => new([Grid.Cell(what), [Text.Of(Run.Bold(much))]]);
    }

    private static IEnumerable<string> Warnings(ClothView view, LayView lay, Office office)
    {
        foreach (var told in lay.RefusedPins.Concat(view.CutOtherwise.Select(each => $"Take care: {each}.")))
            yield return told;
        if (view.Skewed is { } skewed)
            yield return office.Say(
                $"The print runs out by {skewed.Text} from selvedge to selvedge: trust the print, not the weave, and tell the customer before anything is cut."
            );
        if (lay.Beyond is { } beyond)
            yield return $"The cloth on the table is {beyond.Missing.Text} too short. Beyond its end: {string.Join(", ", beyond.Pieces)}.";
    }
}
