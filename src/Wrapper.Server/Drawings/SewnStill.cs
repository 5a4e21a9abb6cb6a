using System.Globalization;
using System.Text;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>A still picture of a sewn form as SVG: its faces from the far ones to the near, shaded by how they lie.</summary>
internal static class SewnStill
{
    private const float Wide = 900,
        High = 600;

    /// <summary>The picture; <paramref name="tone"/> gives the colour of each piece, <c>#rrggbb</c>.</summary>
    public static string Of(SewnForm form, string title, Func<FormSheet, string> tone)
    {
        var scene = SewnScene.Of(form);
        var scale = 0.92f * Math.Min(Wide / scene.Width, High / scene.Height);
        string At(int point) =>
            string.Create(
                CultureInfo.InvariantCulture,
                $"{(Wide / 2) + (scale * scene.Points[point].X):0.#},{(High / 2) - (scale * scene.Points[point].Y):0.#}"
            );
        var tones = form.Sheets.ToDictionary(sheet => sheet, tone);
        var svg = new StringBuilder();
        svg.Append(
            CultureInfo.InvariantCulture,
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {Wide} {High}\" stroke-linejoin=\"round\" stroke-linecap=\"round\"><title>{System.Security.SecurityElement.Escape(title)}</title>"
        );
        foreach (var part in scene.Parts)
            if (part is DrawnFace face)
            {
                var fill = Shaded(tones[face.Sheet], face.Light);
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<path fill=\"{fill}\" stroke=\"{fill}\" d=\"M{At(face.A)} {At(face.B)} {At(face.C)}z\"/>"
                );
            }
            else if (part is DrawnLine line && LineLook.Of(line.Kind, tones.Values.First()) is var (ink, wide))
                svg.Append(
                    CultureInfo.InvariantCulture,
                    $"<path stroke=\"{ink}\" stroke-width=\"{wide}\" d=\"M{At(line.From)} {At(line.To)}\"/>"
                );
        return svg.Append("</svg>").ToString();
    }

    private static string Shaded(string tone, float light)
    {
        int Part(int at) =>
            (int)
                Math.Min(
                    255,
                    int.Parse(tone.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) * light
                );
        return string.Create(CultureInfo.InvariantCulture, $"#{Part(1):x2}{Part(3):x2}{Part(5):x2}");
    }
}

/// <summary>How lines of a form are drawn on a picture 900 wide: colour and width.</summary>
internal static class LineLook
{
    /// <summary>Cord takes the colour of its cloth.</summary>
    public static (string Ink, float Wide) Of(FormLineKind kind, string cord) =>
        kind switch
        {
            FormLineKind.Zip => ("#c9a227", 4),
            FormLineKind.Corded => (cord, 5),
            FormLineKind.Elastic => ("#e8e2d0", 4),
            FormLineKind.Edge => ("#efe9dc", 1.5f),
            _ => ("#2b2620", 1.2f),
        };
}
