using System.Globalization;
using System.Text;
using Wrapper.Core.Geometry;

namespace Wrapper.Formats.Drawings;

/// <summary>
/// Writes a drawing as ASCII DXF of release 12 in millimetres: a polyline for every outline, its arcs as bulges (a quarter
/// of the angle turned through, as its tangent), lines, texts, each on the layer of its name.
/// </summary>
public static class DxfWriter
{
    // Colours by the numbers of the format: white or black, red, green, blue, grey.
    private static readonly Dictionary<Layer, int> Colours = new()
    {
        [Layer.Cut] = 7,
        [Layer.Stitch] = 3,
        [Layer.Marks] = 1,
        [Layer.Grain] = 5,
        [Layer.Cloth] = 8,
        [Layer.Text] = 7,
    };

    /// <summary>The drawing as the text of a file, in ASCII alone.</summary>
    public static string Write(Drawing drawing)
    {
        var dxf = new StringBuilder();
        var (left, bottom, right, top) = drawing.Bounds();
        Pair(dxf, 0, "SECTION");
        Pair(dxf, 2, "HEADER");
        Pair(dxf, 9, "$ACADVER");
        Pair(dxf, 1, "AC1009");
        Pair(dxf, 9, "$INSUNITS");
        Pair(dxf, 70, "4");
        Pair(dxf, 9, "$EXTMIN");
        At(dxf, new Point(left, bottom).Mm);
        Pair(dxf, 9, "$EXTMAX");
        At(dxf, new Point(right, top).Mm);
        Pair(dxf, 0, "ENDSEC");
        Tables(dxf);
        Pair(dxf, 0, "SECTION");
        Pair(dxf, 2, "ENTITIES");
        foreach (var stroke in drawing.Strokes)
            Write(dxf, stroke);
        foreach (var caption in drawing.Captions)
            Write(dxf, caption);
        Pair(dxf, 0, "ENDSEC");
        Pair(dxf, 0, "EOF");
        return dxf.ToString();
    }

    private static void Tables(StringBuilder dxf)
    {
        Pair(dxf, 0, "SECTION");
        Pair(dxf, 2, "TABLES");
        Pair(dxf, 0, "TABLE");
        Pair(dxf, 2, "LTYPE");
        Pair(dxf, 70, "2");
        Line(dxf, "CONTINUOUS", "Solid line", []);
        Line(dxf, "DASHED", "Stitch line", [4, -2]);
        Pair(dxf, 0, "ENDTAB");
        Pair(dxf, 0, "TABLE");
        Pair(dxf, 2, "LAYER");
        Pair(dxf, 70, $"{Colours.Count}");
        foreach (var (layer, colour) in Colours)
        {
            Pair(dxf, 0, "LAYER");
            Pair(dxf, 2, Name(layer));
            Pair(dxf, 70, "0");
            Pair(dxf, 62, $"{colour}");
            Pair(dxf, 6, layer == Layer.Stitch ? "DASHED" : "CONTINUOUS");
        }
        Pair(dxf, 0, "ENDTAB");
        Pair(dxf, 0, "ENDSEC");
    }

    private static void Line(StringBuilder dxf, string name, string told, double[] dashes)
    {
        Pair(dxf, 0, "LTYPE");
        Pair(dxf, 2, name);
        Pair(dxf, 70, "0");
        Pair(dxf, 3, told);
        Pair(dxf, 72, "65");
        Pair(dxf, 73, $"{dashes.Length}");
        Pair(dxf, 40, Mm(dashes.Sum(Math.Abs)));
        foreach (var dash in dashes)
            Pair(dxf, 49, Mm(dash));
    }

    private static void Write(StringBuilder dxf, Stroke stroke)
    {
        List<Curve> curves = [.. stroke.Curves()];
        if (curves is [{ Radius: null } line])
        {
            Begin(dxf, "LINE", stroke.Layer);
            At(dxf, line.A);
            Pair(dxf, 11, Mm(line.B.X));
            Pair(dxf, 21, Mm(line.B.Y));
            Pair(dxf, 31, Mm(0));
            return;
        }
        Begin(dxf, "POLYLINE", stroke.Layer);
        Pair(dxf, 66, "1");
        At(dxf, default);
        Pair(dxf, 70, stroke.IsClosed ? "1" : "0");
        foreach (var curve in curves)
            Vertex(dxf, stroke.Layer, curve.A, curve.Radius is null ? 0 : curve.Turn * Math.Tan(curve.Sweep() / 4));
        if (!stroke.IsClosed)
            Vertex(dxf, stroke.Layer, curves[^1].B, 0);
        Pair(dxf, 0, "SEQEND");
        Pair(dxf, 8, Name(stroke.Layer));
    }

    private static void Vertex(StringBuilder dxf, Layer layer, Vec at, double bulge)
    {
        Begin(dxf, "VERTEX", layer);
        At(dxf, at);
        if (bulge != 0)
            Pair(dxf, 42, bulge.ToString("0.############", CultureInfo.InvariantCulture));
    }

    private static void Write(StringBuilder dxf, Caption caption)
    {
        var at = caption.At.Mm;
        Begin(dxf, "TEXT", Layer.Text);
        At(dxf, at);
        Pair(dxf, 40, Mm(caption.Height.ToMillimetres()));
        Pair(dxf, 1, Ascii(caption.Words));
        Pair(dxf, 72, "1");
        Pair(dxf, 11, Mm(at.X));
        Pair(dxf, 21, Mm(at.Y));
        Pair(dxf, 31, Mm(0));
    }

    private static void Begin(StringBuilder dxf, string entity, Layer layer)
    {
        Pair(dxf, 0, entity);
        Pair(dxf, 8, Name(layer));
    }

    private static void At(StringBuilder dxf, Vec at)
    {
        Pair(dxf, 10, Mm(at.X));
        Pair(dxf, 20, Mm(at.Y));
        Pair(dxf, 30, Mm(0));
    }

    private static void Pair(StringBuilder dxf, int code, string value) =>
        dxf.Append(CultureInfo.InvariantCulture, $"{code}\r\n{value}\r\n");

    private static string Name(Layer layer) => layer.Name().ToUpperInvariant();

    private static string Mm(double value) => value.ToString("0.0######", CultureInfo.InvariantCulture);

    // The format knows ASCII alone; other letters by their number, as its readers take them. A line is a line.
    private static string Ascii(string words)
    {
        var text = new StringBuilder();
        foreach (var letter in words)
            if (letter is >= ' ' and <= '~')
                text.Append(letter);
            else if (!char.IsControl(letter))
                text.Append(CultureInfo.InvariantCulture, $"\\U+{(int)letter:X4}");
        return text.ToString();
    }
}
