using System.Globalization;
using Wrapper.Core.Cloth;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;

namespace Wrapper.Server.Drawings;

/// <summary>
/// The look of a cloth, one repeat large: its two colours and what it shows, or a photo of it and the eight numbers of
/// its corners there.
/// Sizes are hundredths of a millimetre; <see cref="From"/> is where up the roll the first one begins.
/// </summary>
internal sealed record ClothTile(
    string Tone,
    string Second,
    ClothPrint Print,
    long Across,
    long Along,
    bool HalfDrop,
    long MotifAcross,
    long MotifAlong,
    long From,
    string Photo = "",
    string Corners = ""
)
{
    // Cloth that an item does not have yet.
    private const string NoTone = "#b9b2a6";

    private const string Pale = "#fffaf0";

    // Two inches of a plain weave.
    private const long Patch = 5080;

    /// <summary>Cloth of which nothing is known.</summary>
    public static readonly ClothTile Plain = new(NoTone, Pale, ClothPrint.Plain, Patch, Patch, false, 0, 0, 0);

    /// <summary>The tile of a cloth as it is read; its repeat as the lay begins it, null for none.</summary>
    public static ClothTile Of(ClothReading reading, Repeat? repeat)
    {
        var (cloth, look) = (reading.Cloth, reading.Look);
        var (across, along) = (Drawing.Hundredths(look.Across), Drawing.Hundredths(look.Along));
        var halfDrop = repeat is { HalfDrop: true, Across.IsPositive: true };
        var tile = new ClothTile(
            IsTone(cloth.Tone) ? cloth.Tone : NoTone,
            IsTone(cloth.Second) ? cloth.Second : Pale,
            look.Print,
            across,
            along,
            halfDrop,
            across / 2,
            along / 2,
            repeat is null ? 0 : Drawing.Hundredths(repeat.From)
        );
        if (repeat is not null)
            tile = tile with
            {
                Across = across * (halfDrop ? 2 : 1),
                MotifAcross = Drawing.Hundredths(repeat.Motif.X) % across,
                MotifAlong = repeat.IsStripes ? 0 : Drawing.Hundredths(repeat.Motif.Y) % along,
            };
        return look.Straightened is null
            ? tile
            : tile with
            {
                Photo = look.Photo,
                Corners = string.Join('-', cloth.Picture!.Corners),
            };
    }

    /// <summary>Whether a tone is <c>#rrggbb</c>.</summary>
    public static bool IsTone(string tone) =>
        tone is ['#', ..] && tone.Length == 7 && tone.Skip(1).All(char.IsAsciiHexDigit);

    /// <summary>How its photo stands to the straight cloth; null without one.</summary>
    public Perspective? Straightened =>
        Photo.Length == 0
            ? null
            : Perspective.To([
                .. Corners
                    .Split('-')
                    .Select(at =>
                        int.TryParse(at, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? n : -1
                    ),
            ]);

    /// <summary>Where its picture is to be had.</summary>
    public string Url =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"/api/cloth-tile?tone={Tone[1..]}&second={Second[1..]}&print={Print.ToString().ToLowerInvariant()}&across={Across}&along={Along}&halfDrop={(HalfDrop ? 1 : 0)}&motifAcross={MotifAcross}&motifAlong={MotifAlong}"
        ) + (Photo.Length == 0 ? "" : $"&photo={Uri.EscapeDataString(Photo)}&corners={Corners}");
}
