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

    /// <summary>Something is trimmed that fits or does not: never before it was tried on.</summary>
    Trimming = 32,
}

/// <summary>One making step and the seams sewn in it.</summary>
public sealed record Step(string Text, IReadOnlyList<string> Seams)
{
    private readonly StepKind? kind;

    /// <summary>
    /// What it is known by among the steps of its cover, whatever is typed or changed elsewhere: its kind and the first
    /// seam sewn in it. Empty until the pattern is drafted.
    /// </summary>
    public string Key { get; init; } = "";

    /// <summary>What is done in it beside sewing.</summary>
    public Doing Does { get; init; }

    /// <summary>What kind of work it is; read off what is done in it where it is not said.</summary>
    public StepKind Kind
    {
        get =>
            kind
            ?? (
                Does.HasFlag(Doing.Filling) ? StepKind.Filling
                : Does.HasFlag(Doing.Trimming) ? StepKind.Trimming
                : Does.HasFlag(Doing.Fitting) ? StepKind.Fitting
                : Does.HasFlag(Doing.Cutting) ? StepKind.Cutting
                : Does.HasFlag(Doing.Stretching) ? StepKind.Holding
                : StepKind.Sewing
            );
        init => kind = value;
    }

    /// <summary>Whether its kind was said, and not read off.</summary>
    internal bool IsKindSaid => kind is not null;

    /// <summary>What can do harm in this step.</summary>
    public IReadOnlyList<Remark> Cautions { get; init; } = [];

    /// <summary>What is looked at or measured before the next step.</summary>
    public IReadOnlyList<Check> Checks { get; init; } = [];

    /// <summary>What of it may have to be shown to a learner.</summary>
    public IReadOnlyList<Technique> How { get; init; } = [];

    /// <summary>
    /// The foot that it is sewn with where its kind does not tell: empty where no machine is needed; null for the rest.
    /// </summary>
    public string? Foot { get; init; }

    /// <summary>Whether the length of elastic is found in it, by pull.</summary>
    public bool FindsElastic { get; init; }

    /// <summary>How the machine is set up for it; null where nothing is sewn by machine.</summary>
    public SetUp? SetUp { get; init; }

    /// <summary>A step of this kind that is neither cutting, fitting, pressing nor filling.</summary>
    public static Step Of(StepKind kind, string text, params IReadOnlyList<string> seams) =>
        new(text, seams) { Kind = kind };

    /// <summary>The step in which the pieces are cut.</summary>
    public static Step Cutting(string text) => new(text, []) { Does = Doing.Cutting };

    /// <summary>A step in which the cover is tried on, and these <paramref name="seams"/> sewn.</summary>
    public static Step Fitting(string text, params IReadOnlyList<string> seams) =>
        new(text, seams) { Does = Doing.Fitting };

    /// <summary>A step in which what was tried on is trimmed.</summary>
    public static Step Trimming(string text) => new(text, []) { Does = Doing.Trimming };

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

    /// <summary>What of it the customer has to know, who cleans the cover; empty for most.</summary>
    public string OnCare { get; init; } = "";

    /// <summary>Whether it stands on every print and cannot be hidden.</summary>
    public bool Always { get; init; }

    /// <summary>The kind of step that it stands at; null where it is about the whole cover.</summary>
    public Doing? StandsAt { get; init; }
}
