using System.Xml;

namespace Wrapper.Server.Drawings;

/// <summary>Finds the outline in an SVG drawing. Nothing in the drawing is run, fetched or resolved.</summary>
internal static class SvgOutline
{
    private const int LongestDrawing = 500_000;

    /// <summary>The data of the first path, or why there is none.</summary>
    public static (string? Path, string? Reason) Read(string svg)
    {
        if (svg.Length > LongestDrawing)
            return (null, $"larger than {LongestDrawing / 1000} kB: save the outline alone");
        try
        {
            using var reader = XmlReader.Create(
                new StringReader(svg),
                new XmlReaderSettings
                {
                    DtdProcessing = DtdProcessing.Ignore,
                    XmlResolver = null,
                    MaxCharactersFromEntities = 0,
                }
            );
            while (reader.Read())
                if (
                    reader.NodeType == XmlNodeType.Element
                    && reader.LocalName == "path"
                    && reader.GetAttribute("d") is { Length: > 0 } path
                )
                    return (path, null);
            return (null, "there is no path in this drawing: convert the outline to a path first");
        }
        catch (XmlException error)
        {
            return (null, $"this is no SVG drawing (line {error.LineNumber})");
        }
    }
}
