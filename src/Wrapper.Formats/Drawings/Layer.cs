namespace Wrapper.Formats.Drawings;

/// <summary>What a line or word of a drawing is; each is a layer of its own, named so in every format.</summary>
public enum Layer
{
    /// <summary>The raw edge: cut here.</summary>
    Cut,

    /// <summary>The stitch line: finished size.</summary>
    Stitch,

    /// <summary>Notches, clips, folds and centres.</summary>
    Marks,

    /// <summary>How a piece lies on the cloth.</summary>
    Grain,

    /// <summary>The cloth itself: its ends and selvedges, flaws.</summary>
    Cloth,

    /// <summary>Words.</summary>
    Text,
}

/// <summary>Names of layers.</summary>
public static class Layers
{
    /// <summary>The name of a layer, <c>cut</c>.</summary>
    public static string Name(this Layer layer) => layer.ToString().ToLowerInvariant();
}
