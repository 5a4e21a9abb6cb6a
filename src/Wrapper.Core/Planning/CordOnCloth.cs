using System.Globalization;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// The cord covering that one cloth has to give, for all covers together (craft §4.1): <paramref name="Panels"/> are
/// squares for tubes and strips that have been cut already, which are laid like any other piece;
/// <paramref name="Demands"/> are cut last, from what is left; <paramref name="CutLoose"/> was cut where nothing says
/// at which place.
/// </summary>
public sealed record CordOnCloth(
    IReadOnlyList<LayPiece> Panels,
    IReadOnlyList<StripDemand> Demands,
    IReadOnlyList<LayPiece> CutLoose
)
{
    private static readonly Length HalfInch = Length.Inches(0, 1, 2);

    internal static CordOnCloth Of(IEnumerable<ItemPlan> items, JobDocument job, JobCloth cloth, LayCloth forLay)
    {
        var asked = (
            from item in items
            where item.Draft.Pattern?.Covering is not null && job.ClothOf(item.Item, ClothRole.CordCovering) == cloth.Id
            let covering = item.Draft.Pattern!.Covering!
            group (Length: item.Quantity * covering.Length.Value, covering.Join) by (
                covering.Cut,
                Width: covering.StripWidth.Value
            ) into like
            select (
                like.Key.Cut,
                like.Key.Width,
                Length: like.Aggregate(Length.Zero, (sum, each) => sum + each.Length),
                Join: like.Max(each => each.Join)
            )
        ).ToList();
        var cut = cloth.Cut.Select(Strip).OfType<CutStrip>().ToList();
        var pinned = cloth.Pins.Select(pin => pin.Piece).ToHashSet();
        return new CordOnCloth(
            [
                .. asked
                    .Where(each => each.Cut == StripCut.Tube)
                    .SelectMany(each => Squares(each.Length, each.Width, forLay)),
                .. cut.Where(strip => pinned.Contains(strip.Piece.Id)).Select(strip => strip.Piece),
            ],
            [
                .. asked
                    .Where(each => each.Cut != StripCut.Tube)
                    .Select(each =>
                        Left(new StripDemand(each.Width, each.Length, each.Join, each.Cut == StripCut.ShortBias), cut)
                    ),
            ],
            [.. cut.Where(strip => !pinned.Contains(strip.Piece.Id)).Select(strip => strip.Piece)]
        );
    }

    /// <summary>
    /// The side of the square that <paramref name="length"/> of strip so wide comes from, sewn to a tube and cut in a
    /// spiral: <c>√(1.06 x length x width)</c>, up to the next half inch (craft §4.1).
    /// </summary>
    public static Length Side(Length length, Length width) =>
        Length.Snap(Math.Sqrt(1.06 * length.ToMillimetres() * width.ToMillimetres())).UpTo(HalfInch);

    /// <summary>
    /// What the cord of one cover takes by itself of new cloth so wide, however its strips are cut: what they are, and
    /// how much of the length. Less, or nothing, where panels leave enough.
    /// </summary>
    public static (IReadOnlyList<LayPiece> Cut, Length Length) Alone(CordCovering covering, StripCut cut, Length usable)
    {
        var cloth = new LayCloth(usable, OneWay: false);
        if (cut == StripCut.Tube)
        {
            List<LayPiece> squares = [.. Squares(covering.Length.Value, covering.StripWidth.Value, cloth)];
            return (squares, squares.Aggregate(Length.Zero, (sum, square) => sum + square.Along(0)));
        }
        var (strips, lay) = CordStrips.After(
            ClothLay.Nothing(cloth),
            [],
            cloth,
            [
                new StripDemand(
                    covering.StripWidth.Value,
                    covering.Length.Value,
                    covering.Join,
                    cut == StripCut.ShortBias
                ),
            ]
        );
        return (strips, lay.Length);
    }

    /// <summary>
    /// What a cutting list says of strips (or squares) of one width and cut: <c>5 strips 1 7/8 x 53 in, 1 of 31 in</c>.
    /// </summary>
    public static string Told(IReadOnlyList<LayPiece> alike, JobUnit unit)
    {
        string Say(Length length) => LengthPrinter.Cut(length, unit).Text;
        var word = LengthPrinter.Word(unit);
        if (alike[0].Id.Split('/') is not [_, var kind and not "tube", var ticks, _])
            return string.Join(
                ", ",
                alike
                    .GroupBy(piece => Say(piece.Across(0)))
                    .Select(same =>
                        $"{same.Count()} square{(same.Count() == 1 ? "" : "s")} of {same.Key} {word}, sewn to a tube and cut in a spiral"
                    )
            );
        var (onBias, width) = (kind == "bias", new Length(long.Parse(ticks, CultureInfo.InvariantCulture)));
        var lengths = alike
            .Select(piece =>
                onBias
                    ? CordStrips.Root2(Length.Min(piece.Across(0), piece.Along(0)))
                    : Length.Max(piece.Across(0), piece.Along(0))
            )
            .OrderDescending()
            .GroupBy(Say)
            .Select(
                (same, at) =>
                    at == 0
                        ? $"{same.Count()} {(onBias ? "bias " : "")}strip{(same.Count() == 1 ? "" : "s")} {Say(width)} x {same.Key} {word}"
                        : $"{same.Count()} of {same.Key} {word}"
            );
        return string.Join(", ", lengths);
    }

    // One square, or so many like ones that each goes on the cloth.
    private static IEnumerable<LayPiece> Squares(Length length, Length width, LayCloth cloth)
    {
        var room = cloth.Article is { } article ? Length.Min(article, cloth.Usable) : cloth.Usable;
        var count = 1;
        while (Side(length.Over(count), width) > room && count < Plan.MostPieces)
            count++;
        var side = Side(length.Over(count), width);
        return Enumerable
            .Range(1, count)
            .Select(n => new LayPiece(
                FormattableString.Invariant($"{CordStrips.Prefix}tube/{width.Ticks}/{n}"),
                "",
                "cord",
                "cord",
                Outline.Rectangle(side, side),
                Grain.Either,
                ClothRole.CordCovering
            ));
    }

    // What strips that are cut already leave to be cut.
    private static StripDemand Left(StripDemand demand, List<CutStrip> cut)
    {
        var mine = cut.Where(strip => strip.OnBias == demand.OnBias && strip.Width == demand.Width).ToList();
        return mine.Aggregate(
            demand with
            {
                Begun = mine.Count > 0,
            },
            (left, strip) =>
                left with
                {
                    Length = Length.Max(
                        Length.Zero,
                        left.Length - strip.Length + (strip == mine[0] ? Length.Zero : left.JoinTakes)
                    ),
                }
        );
    }

    // A strip that was cut, read off its id and the box that was cut: what else stands there is no strip.
    private static CutStrip? Strip(JobCut cut)
    {
        if (
            cut.Piece.Split('/') is not ["cord", "straight" or "bias", var text, _]
            || !long.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var ticks)
            || ticks is <= 0 or > 100 * Length.TicksPerInch
        )
            return null;
        var (onBias, width) = (cut.Piece.Contains("/bias/", StringComparison.Ordinal), new Length(ticks));
        var (across, along) = (new Length(cut.Across), new Length(cut.Along));
        var reach = new StripDemand(width, Length.Zero, Length.Zero, onBias).Reach;
        if (Length.Max(across, along) <= reach || Length.Min(across, along) <= Length.Zero)
            return null;
        return new CutStrip(
            CordStrips.Piece(cut.Piece, onBias, across, along, reach),
            onBias,
            width,
            onBias ? CordStrips.Root2(Length.Min(across, along)) : Length.Max(across, along)
        );
    }

    private sealed record CutStrip(LayPiece Piece, bool OnBias, Length Width, Length Length);
}
