namespace Wrapper.Formats.Pages;

/// <summary>
/// A part of the sheet as it is read aloud: a kind of the standard's (<c>H1</c>, <c>P</c>, <c>Table</c>), its parts in
/// their order, and where on the pages it stands.
/// </summary>
internal sealed class Node(string kind)
{
    /// <summary>What the standard calls it.</summary>
    public string Kind { get; } = kind;

    /// <summary>What a picture shows.</summary>
    public string? Shows { get; init; }

    /// <summary>What a head is the head of: <c>Column</c> or <c>Row</c>.</summary>
    public string? HeadOf { get; init; }

    /// <summary>Its parts, and its marks on pages by page and number, in reading order.</summary>
    public List<(Node? Part, int Page, int Mark)> Parts { get; } = [];

    /// <summary>A new part at its end.</summary>
    public Node Add(Node part)
    {
        Parts.Add((part, 0, 0));
        return part;
    }
}
