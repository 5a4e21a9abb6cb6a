using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>What is sewn on along a line that is no seam of its own.</summary>
public enum AppliedKind
{
    /// <summary>One row of stitching on the right side.</summary>
    Topstitching,

    /// <summary>Hook-and-loop or tape, sewn down along both its edges.</summary>
    Tape,

    /// <summary>Raw edges zigzagged so that they do not ravel.</summary>
    Zigzag,

    /// <summary>The same, serged with three threads.</summary>
    Serging,
}

/// <summary>Something sewn on along the finished cover: how long the line is.</summary>
public sealed record Applied(string Name, AppliedKind Kind, Working Length)
{
    /// <summary>What to know when it is bought or sewn; empty for most.</summary>
    public string Note { get; init; } = "";

    /// <summary>The cloth whose colour its thread has; empty for that of the seams.</summary>
    public string Colour { get; init; } = "";
}
