using System.Text;
using System.Text.RegularExpressions;

namespace Wrapper.Formats.Tests;

/// <summary>A page of a PDF as grey pixels, as another program draws it.</summary>
internal sealed class Pixels
{
    private readonly byte[] bytes;
    private readonly int start;

    private Pixels(byte[] bytes)
    {
        this.bytes = bytes;
        var head = Regex.Match(Encoding.Latin1.GetString(bytes, 0, 40), @"^P5\s+(\d+)\s+(\d+)\s+255\s");
        (Width, Height, start) = (int.Parse(head.Groups[1].Value), int.Parse(head.Groups[2].Value), head.Length);
    }

    public int Width { get; }

    public int Height { get; }

    /// <summary>A page, from 1, at so many dots a millimetre.</summary>
    public static Pixels OfPage(string pdf, int page, int perMillimetre) =>
        new(
            Tools.Run(
                "pdftoppm",
                "-gray",
                "-r",
                $"{perMillimetre * 25.4}",
                "-f",
                $"{page}",
                "-l",
                $"{page}",
                "-singlefile",
                pdf
            )
        );

    public bool IsDark(int x, int y) =>
        x >= 0 && y >= 0 && x < Width && y < Height && bytes[start + (y * Width) + x] < 150;

    /// <summary>Whether something dark lies within so many pixels.</summary>
    public bool IsDarkNear(double x, double y, int near)
    {
        for (var dx = -near; dx <= near; dx++)
        for (var dy = -near; dy <= near; dy++)
            if (IsDark((int)Math.Round(x) + dx, (int)Math.Round(y) + dy))
                return true;
        return false;
    }
}
