namespace Wrapper.Core.Patterns;

/// <summary>What is done in a step beside sewing: where cautions stand, and what a cloth asks for.</summary>
[Flags]
public enum Doing
{
    /// <summary>Sewing alone.</summary>
    Sewing = 0,

    /// <summary>Cloth is cut.</summary>
    Cutting = 1,

    /// <summary>Something is pressed.</summary>
    Pressing = 2,

    /// <summary>Elastic is stretched under the needle.</summary>
    Stretching = 4,

    /// <summary>The cover is tried on.</summary>
    Fitting = 8,

    /// <summary>The inner goes in.</summary>
    Filling = 16,
}

/// <summary>One making step and the seams sewn in it.</summary>
public sealed record Step(string Text, IReadOnlyList<string> Seams)
{
    /// <summary>What is done in it beside sewing.</summary>
    public Doing Does { get; init; }

    /// <summary>What can do harm in this step.</summary>
    public IReadOnlyList<Remark> Cautions { get; init; } = [];

    /// <summary>The step in which the pieces are cut.</summary>
    public static Step Cutting(string text) => new(text, []) { Does = Doing.Cutting };

    /// <summary>A step in which the cover is tried on, and these <paramref name="seams"/> sewn.</summary>
    public static Step Fitting(string text, params IReadOnlyList<string> seams) =>
        new(text, seams) { Does = Doing.Fitting };

    /// <summary>A step in which something is pressed, and these <paramref name="seams"/> sewn.</summary>
    public static Step Pressing(string text, params IReadOnlyList<string> seams) =>
        new(text, seams) { Does = Doing.Pressing };

    /// <summary>A step in which the inner goes in, and these <paramref name="seams"/> are closed.</summary>
    public static Step Filling(string text, params IReadOnlyList<string> seams) =>
        new(text, seams) { Does = Doing.Filling };
}

/// <summary>
/// Something the maker should know; <paramref name="Caution"/> where somebody or the cloth can come to harm.
/// </summary>
public sealed record Remark(string Text, bool Caution = false)
{
    /// <summary>Whether it is about the measurements, and so is shown beside them too.</summary>
    public bool OnMeasure { get; init; }

    /// <summary>Whether it stands on every print and cannot be hidden.</summary>
    public bool Always { get; init; }

    /// <summary>The kind of step that it stands at; null where it is about the whole cover.</summary>
    public Doing? StandsAt { get; init; }
}
