using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>Why a piece does not go on a cloth, told at the field of that cloth that would have to change.</summary>
internal static class Misfits
{
    public static Problem TooWide(Misfit misfit, ClothReading cloth, JobUnit unit)
    {
        string Say(Length length) => $"{LengthPrinter.Cut(length, unit).Text} {LengthPrinter.Word(unit)}";
        if (misfit.Unmatched)
            return new Problem(
                $"cloths.{cloth.Cloth.Id}.repeatAcross",
                cloth.Cloth.RepeatAcross?.Typed ?? "",
                0,
                $"piece {misfit.Label} is cut {Say(misfit.Across)} across and cannot lie at its place of the repeat between the selvedges: take wider cloth, or match that piece otherwise",
                ""
            )
            {
                Stage = Stage.Lay,
            };
        if (cloth.Article is { } article && misfit.Across <= cloth.Usable.Value)
            return new Problem(
                $"cloths.{cloth.Cloth.Id}.articleLength",
                cloth.Cloth.ArticleLength!.Typed,
                0,
                $"piece {misfit.Label} does not fit along the cloth: as it lies it is cut {Say(misfit.Along)} long and one article has {Say(article.Value)}: take a longer one, or cloth off the roll",
                LengthPrinter.Cut(misfit.Along + (2 * cloth.Selvedge), unit).Text
            )
            {
                Stage = Stage.Lay,
            };
        return new Problem(
            $"cloths.{cloth.Cloth.Id}.width",
            cloth.Cloth.Width.Typed,
            0,
            $"piece {misfit.Label} does not fit across the cloth: as it lies it is cut {Say(misfit.Across)} across and there are {Say(cloth.Usable.Value)} between the selvedges: take wider cloth, let it lie the other way, or choose another make-up",
            LengthPrinter.Cut(cloth.WidthFor(misfit.Across), unit).Text
        )
        {
            Stage = Stage.Lay,
        };
    }
}
