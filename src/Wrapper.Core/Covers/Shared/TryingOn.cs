using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// Steps in which a cover is tried on, and only then trimmed or hemmed: what is trimmed cannot be let out (craft §11).
/// </summary>
internal static class TryingOn
{
    /// <summary>Corners trimmed, once they fit.</summary>
    public const string Trim = "Trim the corners to one seam allowance.";

    /// <summary>Corners that were stitched off.</summary>
    public static IReadOnlyList<Step> Corners { get; } =
    [Step.Fitting("Turn it right side out and try it on. Nothing is trimmed yet."), Step.Trimming(Trim)];

    /// <summary>A hem that is sewn where the cover hangs level.</summary>
    public static IReadOnlyList<Step> Hem { get; } =
    [
        Step.Fitting("Try it on the table; mark the hem level all round."),
        Step.Of(StepKind.Hemming, "Turn the hem twice and sew it."),
    ];
}
