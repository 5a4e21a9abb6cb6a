using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>
/// What a cloth is drawn with, true to scale: what it shows, and how far one repeat of that reaches across and along.
/// <paramref name="IsUsualSize"/> where no repeat is known and it is drawn as large as such cloths usually are.
/// </summary>
public sealed record ClothLook(ClothPrint Print, Length Across, Length Along, bool IsUsualSize)
{
    /// <summary>How a photo of it stands to its straight cloth; null where it is drawn.</summary>
    public Perspective? Straightened { get; private init; }

    /// <summary>Which photo that is; empty where it is drawn.</summary>
    public string Photo { get; private init; } = "";

    private static readonly LengthLimits Reach = new(Length.Millimetres(10), Length.Millimetres(5000), "12 1/2", "32");

    /// <summary>
    /// The look of a cloth whose repeat is read already; what its picture says and cannot be goes into
    /// <paramref name="problems"/>, and it is drawn instead.
    /// </summary>
    public static ClothLook Of(JobCloth cloth, Repeat? repeat, JobUnit unit, ICollection<Problem> problems)
    {
        var print = (cloth.Print, repeat) switch
        {
            (ClothPrint.Motif, null) => ClothPrint.Plain,
            (ClothPrint.Motif, { IsStripes: true }) => ClothPrint.Stripe,
            (ClothPrint.Motif, _) => ClothPrint.Sprig,
            var (said, _) => said,
        };
        var drawn = repeat is null ? Usual(print) : Repeated(print, repeat);
        return cloth.Picture is { } picture ? Pictured(cloth, picture, repeat, unit, drawn, problems) : drawn;
    }

    private static ClothLook Repeated(ClothPrint print, Repeat repeat)
    {
        var along = repeat.IsStripes ? Length.Zero : repeat.Along;
        var across = repeat.Across.IsPositive ? repeat.Across : along;
        return new(print, across, along.IsPositive ? along : across, false);
    }

    // Small enough that nobody matches it, large enough to be seen.
    private static ClothLook Usual(ClothPrint print)
    {
        var (across, along) = print switch
        {
            ClothPrint.Stripe or ClothPrint.Check => (2, 2),
            ClothPrint.Herringbone => (1, 1),
            ClothPrint.Spots => (3, 3),
            ClothPrint.Sprig => (5, 6),
            _ => (2, 2),
        };
        return new(print, Length.Inches(across), Length.Inches(along), print != ClothPrint.Plain);
    }

    private static ClothLook Pictured(
        JobCloth cloth,
        ClothPicture picture,
        Repeat? repeat,
        JobUnit unit,
        ClothLook drawn,
        ICollection<Problem> problems
    )
    {
        if (Perspective.To(picture.Corners) is not { } straight)
            return Refused("corners", "", "the four corners go round no piece of cloth: put each at its own place");
        if (Read("across", picture.Across) is not { } across || Read("along", picture.Along) is not { } along)
            return drawn;
        if (!across.IsPositive && !along.IsPositive && Read("rulerLength", picture.RulerLength) is var ruler)
        {
            if (ruler is not { } known)
                return drawn;
            if (known.IsPositive && picture.Ruler is [var x1, var y1, var x2, var y2])
                across = straight.WidthsBetween(x1, y1, x2, y2) is > 0.01 and var widths
                    ? Length.Snap(known.ToMillimetres() / widths)
                    : Length.Zero;
        }
        if (across.IsPositive && !along.IsPositive)
            along = Length.Snap(across.ToMillimetres() * straight.HeightToWidth);
        else if (along.IsPositive && !across.IsPositive)
            across = Length.Snap(along.ToMillimetres() / straight.HeightToWidth);
        else if (!across.IsPositive && repeat is not null)
            (across, along) = (drawn.Across, drawn.Along);
        if (!across.IsPositive || across > Reach.Max || along > Reach.Max)
            return Refused(
                "across",
                picture.Across?.Typed ?? "",
                "how large is the cloth between the four corners? Type how far it reaches, or put the marks on a ruler in the picture"
            );
        return drawn with
        {
            Across = across,
            Along = along,
            IsUsualSize = false,
            Straightened = straight,
            Photo = picture.Photo,
        };

        // Zero for nothing entered, null for what cannot be read.
        Length? Read(string field, Entry? entry)
        {
            if (string.IsNullOrWhiteSpace(entry?.Typed))
                return Length.Zero;
            var (length, refusal) = Entry.Read(entry, unit, Reach);
            if (refusal is not null)
                problems.Add(Wrong(field, refusal.Given, refusal.Reason, refusal.Example, refusal.Position));
            return length;
        }

        ClothLook Refused(string field, string given, string reason)
        {
            problems.Add(Wrong(field, given, reason, unit.IsInches() ? "12 1/2" : "32", 0));
            return drawn;
        }

        Problem Wrong(string field, string given, string reason, string example, int position) =>
            new($"cloths.{cloth.Id}.picture.{field}", given, position, reason, example) { Stage = Stage.Lay };
    }
}
