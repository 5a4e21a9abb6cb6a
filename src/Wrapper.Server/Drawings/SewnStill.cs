using System.Globalization;
using System.Text;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>A still picture of a sewn form as SVG: its faces from the far ones to the near, shaded by how they lie.</summary>
internal static class SewnStill
{
    private const double Round = 0.6,
        Over = 0.55,
        Wide = 900,
        High = 600;

    /// <summary>The picture; <paramref name="tone"/> gives the colour of each piece, <c>#rrggbb</c>.</summary>
    public static string Of(SewnForm form, string title, Func<FormSheet, string> tone)
    {
        var (sr, cr) = Math.SinCos(Round);
        var (so, co) = Math.SinCos(Over);
        (double X, double Y, double Near) Seen(int at)
        {
            double x = form.Places[3 * at],
                y = -form.Places[(3 * at) + 1],
                z = form.Places[(3 * at) + 2];
            var away = (x * sr) + (y * cr);
            return ((x * cr) - (y * sr), (z * co) - (away * so), (z * so) + (away * co));
        }
        var all = Enumerable.Range(0, form.Places.Count / 3).Select(Seen).ToList();
        var scale = Math.Min(
            0.46 * Wide / Math.Max(1, all.Max(at => Math.Abs(at.X))),
            0.46 * High / Math.Max(1, all.Max(at => Math.Abs(at.Y)))
        );
        var faces =
            from sheet in form.Sheets
            let colour = tone(sheet)
            from at in Enumerable.Range(0, sheet.Triangles.Count / 3)
            let a = all[sheet.Triangles[3 * at]]
            let b = all[sheet.Triangles[(3 * at) + 1]]
            let c = all[sheet.Triangles[(3 * at) + 2]]
            orderby a.Near + b.Near + c.Near
            select (a, b, c, Fill: Shaded(colour, Light(a, b, c)));
        string At((double X, double Y, double Near) point) =>
            string.Create(
                CultureInfo.InvariantCulture,
                $"{(Wide / 2) + (scale * point.X):0.#},{(High / 2) - (scale * point.Y):0.#}"
            );
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {Wide} {High}\" stroke-linejoin=\"round\"><title>{System.Security.SecurityElement.Escape(title)}</title>"
        );
        foreach (var (a, b, c, fill) in faces)
            svg.Append(
                CultureInfo.InvariantCulture,
                $"<path fill=\"{fill}\" stroke=\"{fill}\" d=\"M{At(a)} {At(b)} {At(c)}z\"/>"
            );
        return svg.Append("</svg>").ToString();
    }

    private static double Light(
        (double X, double Y, double Z) a,
        (double X, double Y, double Z) b,
        (double X, double Y, double Z) c
    )
    {
        var (ux, uy, uz) = (b.X - a.X, b.Y - a.Y, b.Z - a.Z);
        var (vx, vy, vz) = (c.X - a.X, c.Y - a.Y, c.Z - a.Z);
        var (x, y, z) = ((uy * vz) - (uz * vy), (uz * vx) - (ux * vz), (ux * vy) - (uy * vx));
        var size = Math.Sqrt((x * x) + (y * y) + (z * z));
        return size < 1e-9 ? 0.5 : Math.Abs((0.35 * x) + (0.75 * y) + (0.55 * z)) / size;
    }

    private static string Shaded(string tone, double light)
    {
        int Part(int at) =>
            (int)
                Math.Min(
                    255,
                    int.Parse(tone.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture)
                        * (0.55 + (0.45 * light))
                );
        return string.Create(CultureInfo.InvariantCulture, $"#{Part(1):x2}{Part(3):x2}{Part(5):x2}");
    }
}
