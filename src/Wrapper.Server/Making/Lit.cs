using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Making;

/// <summary>The pieces that a step is about, with the edges that are sewn in it lit and the marks that are matched numbered.</summary>
internal static class Lit
{
    // Points along an edge, enough for any curve at the size of a screen.
    private const int Points = 24,
        MostPieces = 6;

    public static (IReadOnlyList<LitPieceView> Pieces, IReadOnlyList<LitSeamView> Seams) Of(ItemPlan item, Step step)
    {
        var pattern = item.Draft.Pattern!;
        var seams = pattern.Seams.Where(seam => step.Seams.Contains(seam.Name)).ToList();
        // Cord goes on to the pieces along its seams that lie first in them: panels and caps.
        if (step.Kind == StepKind.Cording)
            seams = [.. pattern.Seams.Where(seam => seam.CordLine is not null)];
        List<LitSeamView> lit = [];
        var number = 0;
        foreach (var seam in seams)
        {
            var marks = MatchMarks.Of(pattern, seam);
            lit.Add(
                new(
                    seam.Name,
                    seam.Kind,
                    seam.CordLine is not null,
                    [
                        .. seam
                            .OneSide.Concat(seam.OtherSide)
                            .Select(run => new LitEdgeView(run.Piece, Along(pattern, run)))
                            .Distinct(),
                    ],
                    [
                        .. marks.SelectMany(mark =>
                        {
                            number++;
                            return new[] { At(pattern, mark.One, number), At(pattern, mark.Other, number) };
                        }),
                    ]
                )
            );
        }
        var named = lit.SelectMany(seam => seam.Edges).Select(edge => edge.Piece).ToHashSet();
        var shown = pattern.Pieces.Where(piece => named.Contains(piece.Key)).ToList();
        if (shown.Count == 0 && step.Kind is StepKind.Cutting or StepKind.Edges or StepKind.Hemming or StepKind.Holding)
            shown = [.. pattern.Pieces.Where(piece => !piece.Role.IsFilling())];
        return (
            [
                .. shown
                    .Take(MostPieces)
                    .Select(piece => new LitPieceView(
                        piece.Key,
                        item.Label(piece.Key),
                        piece.Name,
                        Drawing.Box(piece.Cut),
                        Drawing.Path(piece.Cut),
                        Drawing.Path(piece.Stitch)
                    )),
            ],
            lit
        );
    }

    private static LitMarkView At(Pattern pattern, EdgePoint point, int number)
    {
        var (x, y) = On(pattern, point.Piece, point.Edge, point.At);
        return new(point.Piece, number, x, y);
    }

    private static (long X, long Y) On(Pattern pattern, string piece, string edge, Length at) =>
        Drawing.Upright(pattern.Piece(piece).Stitch.Mark(edge, at, Length.Zero).On);

    private static string Along(Pattern pattern, Run run)
    {
        var from = run.From ?? Length.Zero;
        var whole = (run.To ?? pattern.Piece(run.Piece).Stitch.LengthOf(run.Edge)) - from;
        return string.Join(
            ' ',
            Enumerable
                .Range(0, Points + 1)
                .Select(n => On(pattern, run.Piece, run.Edge, from + (n * whole).Over(Points)))
                .Select(at => string.Create(CultureInfo.InvariantCulture, $"{at.X},{at.Y}"))
        );
    }
}
