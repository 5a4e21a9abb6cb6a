using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drafts;

/// <summary>A job, and the item of it that is to be shown sewn.</summary>
public sealed record SewnRequest(JobDocument Job, string Item);

/// <summary>
/// One piece of a sewn cover, and the pieces that it is cut in where it is joined of several. <paramref name="Places"/> are three counts for each point (across, back, up),
/// <paramref name="Flat"/> two (on the piece as drawn), hundredths of a millimetre; <paramref name="Triangles"/> three
/// points each, of this piece, anticlockwise seen from the right side of the cloth.
/// </summary>
public sealed record SewnSheetView(
    string Piece,
    int Instance,
    IReadOnlyList<string> Pieces,
    string Name,
    string Label,
    IReadOnlyList<int> Places,
    IReadOnlyList<int> Flat,
    IReadOnlyList<int> Triangles
);

/// <summary>
/// A seam, or an open edge, as places in hundredths of a millimetre, three for each point; what it is called.
/// </summary>
public sealed record SewnLineView(FormLineKind Kind, string Seam, IReadOnlyList<int> Places);

/// <summary>
/// Where a piece, or a part of one that is joined of several, lies on its cloth: a point (x, y) of the piece as drawn, in
/// hundredths of a millimetre, lies xx x + xy y + x across it and yx x + yy y + y up the roll. Between
/// <paramref name="From"/> and <paramref name="To"/> along the piece; null for all of it. <paramref name="Cut"/> is the
/// piece that is cut there, <paramref name="SlidesWith"/> the one that its print slides with; null without a repeat.
/// </summary>
public sealed record SewnPrintView(
    string Piece,
    int Instance,
    string Label,
    string Cut,
    string? SlidesWith,
    string Cloth,
    long? From,
    long? To,
    int Xx,
    int Xy,
    int Yx,
    int Yy,
    long X,
    long Y
);

/// <summary>A seam sewn in a step, and the pieces that it joins, by their places in the list of sheets.</summary>
public sealed record SewnJoinView(string Seam, IReadOnlyList<int> Sheets);

/// <summary>A step of making in which something is sewn.</summary>
public sealed record SewnStepView(string Text, IReadOnlyList<SewnJoinView> Joins);

/// <summary>A button, a loop or the like: what it is, and its place, three hundredths of a millimetre.</summary>
public sealed record SewnMarkView(string What, IReadOnlyList<int> Place);

/// <summary>
/// A cover sewn from its own seams. <paramref name="Vouched"/> is whether the cloth lies as its pieces are cut: less than
/// 5 per cent of stretch over 95 parts of 100; <paramref name="Check"/> tells it in words,
/// <paramref name="Steps"/> in which order it is sewn, <paramref name="Filled"/> whether an inner goes in,
/// <paramref name="CordCloth"/> what its cord is covered with,
/// <paramref name="Strains"/> which sides of seams do not meet and where, and <paramref name="Description"/> what is to be
/// seen.
/// </summary>
public sealed record SewnView(
    IReadOnlyList<SewnSheetView> Sheets,
    IReadOnlyList<SewnLineView> Lines,
    IReadOnlyList<SewnPrintView> Print,
    IReadOnlyList<SewnMarkView> Marks,
    IReadOnlyList<SewnStepView> Steps,
    bool Filled,
    string? CordCloth,
    bool Vouched,
    string Check,
    IReadOnlyList<string> Strains,
    string Description
)
{
    internal static SewnView Of(
        ItemPlan item,
        SewnForm form,
        IReadOnlyList<PrintedPart> print,
        IReadOnlyDictionary<string, string> together,
        IEnumerable<string> notes,
        JobDocument job
    )
    {
        var pattern = item.Draft.Pattern!;
        string[] Cut(string whole) =>
            pattern.Pieces.Any(piece => piece.Key == whole)
                ? [whole]
                :
                [
                    .. pattern
                        .Pieces.Select(piece => piece.Key)
                        .Where(key => key.StartsWith($"{whole}-", StringComparison.Ordinal)),
                ];
        string NameOf(string whole) => pattern.Piece(Cut(whole)[0]).Name.Split(',')[0];
        return new SewnView(
            [
                .. form.Sheets.Select(sheet => new SewnSheetView(
                    sheet.Piece,
                    sheet.Instance,
                    Cut(sheet.Piece),
                    NameOf(sheet.Piece),
                    string.Join(", ", Cut(sheet.Piece).Select(item.Label)),
                    Counts(form.Places.Skip(3 * sheet.FirstPoint).Take(3 * sheet.PointCount)),
                    Counts(form.Flat.Skip(2 * sheet.FirstPoint).Take(2 * sheet.PointCount)),
                    [.. sheet.Triangles.Select(at => at - sheet.FirstPoint)]
                )),
            ],
            [
                .. form.Lines.Select(line => new SewnLineView(
                    line.Kind,
                    line.Seam,
                    Counts(line.Points.SelectMany(at => form.Places.Skip(3 * at).Take(3)))
                )),
            ],
            [
                .. print.Select(part => new SewnPrintView(
                    part.FormPiece,
                    part.Instance,
                    item.Label(part.Piece),
                    part.Piece,
                    together.GetValueOrDefault(part.Piece),
                    part.Cloth,
                    part.From is { } from ? Drawings.Drawing.Hundredths(from) : null,
                    part.To is { } to ? Drawings.Drawing.Hundredths(to) : null,
                    part.XX,
                    part.XY,
                    part.YX,
                    part.YY,
                    Drawings.Drawing.Hundredths(part.X),
                    Drawings.Drawing.Hundredths(part.Y)
                )),
            ],
            [.. form.Marks.Select(mark => new SewnMarkView(mark.What, Counts([mark.Across, mark.Back, mark.Up])))],
            [.. StepsOf(pattern, form, Cut)],
            pattern.Steps.Any(step => step.Does.HasFlag(Doing.Filling)),
            job.ClothOf(item.Item, ClothRole.CordCovering),
            form.Vouched,
            form.Vouched
                ? $"Sewn as cut: the cloth gives {Share(form.Quality.Strain)} at most."
                : $"It could not be sewn on screen as it is cut: the cloth would have to give {Share(form.Quality.Strain)}, most of all {Strained(form, sheet => $"{NameOf(sheet.Piece)} {sheet.Instance}")}. So its flat pieces are shown.",
            [.. SeamStrain.Of(pattern, form).Select(strain => strain.Said(job.Unit))],
            string.Join(' ', notes.Prepend(Describe(item, form, job.Unit)))
        );
    }

    // A seam within one piece joins it to itself. What is only caught behind a piece comes with that.
    private static IEnumerable<SewnStepView> StepsOf(Pattern pattern, SewnForm form, Func<string, string[]> cut)
    {
        var sheets = form
            .Sheets.SelectMany((sheet, at) => cut(sheet.Piece).Select(piece => (Key: (piece, sheet.Instance), at)))
            .ToLookup(pair => pair.Key, pair => pair.at);
        var inSeams = pattern
            .Seams.SelectMany(seam => seam.OneSide.Concat(seam.OtherSide))
            .Select(run => (run.Piece, run.Instance))
            .ToHashSet();
        var caught = pattern
            .Tucks.Where(tuck => !inSeams.Contains((tuck.Piece, tuck.Instance)))
            .SelectMany(tuck =>
                tuck.Layers.Select(layer => (Front: (layer.Front, layer.Instance), Own: (tuck.Piece, tuck.Instance)))
            )
            .ToLookup(pair => pair.Front, pair => pair.Own);
        return from step in pattern.Steps
            let joins = (
                from name in step.Seams
                join seam in pattern.Seams on name equals seam.Name
                let joined = seam
                    .OneSide.Concat(seam.OtherSide)
                    .Select(run => (run.Piece, run.Instance))
                    .SelectMany(piece => caught[piece].Prepend(piece))
                    .SelectMany(piece => sheets[piece])
                    .Distinct()
                    .ToList()
                where joined.Count > 0
                select new SewnJoinView(name, joined)
            ).ToList()
            where joins.Count > 0
            select new SewnStepView(step.Text, joins);
    }

    // The pieces that give most, the worst first.
    private static string Strained(SewnForm form, Func<FormSheet, string> named) =>
        string.Join(
            " and ",
            form.Sheets.OrderByDescending(sheet => sheet.Strain).Take(2).Select(sheet => $"the {named(sheet)}")
        );

    private static string Share(float share) =>
        (100 * share).ToString("0.0", System.Globalization.CultureInfo.InvariantCulture) + " %";

    private static string Describe(ItemPlan item, SewnForm form, JobUnit unit)
    {
        var pattern = item.Draft.Pattern!;
        var sizes = pattern
            .Finished.Where(size => size.Name.StartsWith("finished", StringComparison.Ordinal))
            .Select(size =>
                $"{size.Name["finished ".Length..]} {LengthPrinter.Finished(size.Working.Value, unit).Text} {LengthPrinter.Word(unit)}"
            );
        var zip = pattern.Seams.Any(seam => seam.Zip is not null) ? ", closed by a zip" : "";
        var cords = pattern.Seams.Select(seam => seam.CordLine).OfType<string>().Distinct().ToList();
        var corded = cords.Count == 0 ? "" : $"; cord: {string.Join("; ", cords)}";
        return string.Join(
                "; ",
                sizes.Append(
                    $"{form.Sheets.Select(sheet => (sheet.Piece, sheet.Instance)).Distinct().Count()} pieces{zip}{corded}"
                )
            ) + ".";
    }

    private static int[] Counts(IEnumerable<float> millimetres) =>
        [.. millimetres.Select(each => (int)MathF.Round(100 * each))];
}
