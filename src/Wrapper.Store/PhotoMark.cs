using System.Text.Json.Serialization;

namespace Wrapper.Store;

/// <summary>What is drawn on a photo.</summary>
[JsonConverter(typeof(JsonStringEnumConverter<MarkKind>))]
public enum MarkKind
{
    /// <summary>A line.</summary>
    Line,

    /// <summary>An arrow, its point at its end.</summary>
    Arrow,

    /// <summary>A number in a disc, at its beginning.</summary>
    Number,
}

/// <summary>
/// A mark drawn on a photo, from one point to another, in ten-thousandths of its width and of its height.
/// </summary>
public sealed record PhotoMark(MarkKind Kind, int X1, int Y1, int X2, int Y2, int Number);
