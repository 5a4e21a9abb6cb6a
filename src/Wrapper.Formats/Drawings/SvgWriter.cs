using System.Globalization;
using System.Xml;

namespace Wrapper.Formats.Drawings;

/// <summary>Writes a drawing as SVG 1.1, one user unit a millimetre, each layer a group of its name.</summary>
public static class SvgWriter
{
    private const string Namespace = "http://www.w3.org/2000/svg";
    private const double Margin = 5;

    private static readonly Dictionary<Layer, (string Stroke, string Width, string Dashes)> Looks = new()
    {
        [Layer.Cut] = ("#000000", "0.5", ""),
        [Layer.Stitch] = ("#000000", "0.3", "4 2"),
        [Layer.Marks] = ("#b00020", "0.4", ""),
        [Layer.Grain] = ("#1a5fb4", "0.3", ""),
        [Layer.Cloth] = ("#777777", "0.3", ""),
    };

    /// <summary>The drawing as the text of a file.</summary>
    public static string Write(Drawing drawing)
    {
        var (left, bottom, right, top) = drawing.Bounds();
        var (x, y) = (left.ToMillimetres() - Margin, -top.ToMillimetres() - Margin);
        var (width, height) = (
            (right - left).ToMillimetres() + (2 * Margin),
            (top - bottom).ToMillimetres() + (2 * Margin)
        );
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var svg = XmlWriter.Create(text, new XmlWriterSettings { OmitXmlDeclaration = true, Indent = true }))
        {
            svg.WriteStartElement("svg", Namespace);
            svg.WriteAttributeString("width", $"{Mm(width)}mm");
            svg.WriteAttributeString("height", $"{Mm(height)}mm");
            svg.WriteAttributeString("viewBox", $"{Mm(x)} {Mm(y)} {Mm(width)} {Mm(height)}");
            svg.WriteElementString("title", Namespace, Clean(drawing.Name));
            foreach (var (layer, look) in Looks)
            {
                var strokes = drawing.Strokes.Where(stroke => stroke.Layer == layer).ToList();
                if (strokes.Count == 0)
                    continue;
                Group(svg, layer, look);
                foreach (var stroke in strokes)
                {
                    svg.WriteStartElement("path", Namespace);
                    svg.WriteAttributeString("d", Path(stroke));
                    svg.WriteEndElement();
                }
                svg.WriteEndElement();
            }
            Captions(svg, drawing);
            svg.WriteEndElement();
        }
        return text.ToString();
    }

    private static void Group(XmlWriter svg, Layer layer, (string Stroke, string Width, string Dashes) look)
    {
        svg.WriteStartElement("g", Namespace);
        svg.WriteAttributeString("id", layer.Name());
        svg.WriteAttributeString("fill", "none");
        svg.WriteAttributeString("stroke", look.Stroke);
        svg.WriteAttributeString("stroke-width", look.Width);
        if (look.Dashes.Length > 0)
            svg.WriteAttributeString("stroke-dasharray", look.Dashes);
    }

    private static void Captions(XmlWriter svg, Drawing drawing)
    {
        if (drawing.Captions.Count == 0)
            return;
        svg.WriteStartElement("g", Namespace);
        svg.WriteAttributeString("id", Layer.Text.Name());
        svg.WriteAttributeString("font-family", "sans-serif");
        svg.WriteAttributeString("text-anchor", "middle");
        foreach (var caption in drawing.Captions)
        {
            svg.WriteStartElement("text", Namespace);
            svg.WriteAttributeString("x", Mm(caption.At.X.ToMillimetres()));
            svg.WriteAttributeString("y", Mm(-caption.At.Y.ToMillimetres()));
            svg.WriteAttributeString("font-size", Mm(caption.Height.ToMillimetres() * 1.4));
            svg.WriteString(Clean(caption.Words));
            svg.WriteEndElement();
        }
        svg.WriteEndElement();
    }

    // The page runs downward, so what turns left on cloth turns right on it.
    private static string Path(Stroke stroke)
    {
        var path = new System.Text.StringBuilder();
        path.Append(
            CultureInfo.InvariantCulture,
            $"M{Mm(stroke.From.X.ToMillimetres())} {Mm(-stroke.From.Y.ToMillimetres())}"
        );
        foreach (var leg in stroke.Legs)
        {
            var to = $"{Mm(leg.To.X.ToMillimetres())} {Mm(-leg.To.Y.ToMillimetres())}";
            if (leg.Radius is { } radius)
            {
                var r = Mm(radius.ToMillimetres());
                path.Append(
                    CultureInfo.InvariantCulture,
                    $" A{r} {r} 0 {(leg.Large ? 1 : 0)} {(leg.TurnsLeft ? 0 : 1)} {to}"
                );
            }
            else
                path.Append(CultureInfo.InvariantCulture, $" L{to}");
        }
        return stroke.IsClosed ? path.Append(" Z").ToString() : path.ToString();
    }

    // A thousandth of a millimetre is less than anybody can cut, and more than adds up to anything.
    private static string Mm(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);

    private static string Clean(string words) =>
        new([.. words.Where(letter => XmlConvert.IsXmlChar(letter) || char.IsSurrogate(letter))]);
}
