using Wrapper.Core.Declaring;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>How pieces lie on the cloth.</summary>
internal static class GrainChoices
{
    /// <summary>How the large pieces lie.</summary>
    public static readonly OptionChoice<Grain> Panels = Choice.Of(
        "panelGrain",
        "Panels lie",
        "On the cloth",
        Option.Of(
            Grain.Along,
            "Upright, up the roll",
            "The back edge towards the far end: pile and print run from back to front."
        ),
        Option.Of(Grain.Across, "Railroaded", "A quarter turned, for cushions longer than the cloth is wide."),
        Option.Of(Grain.Either, "Either way", "For plain cloth: whichever takes less.")
    );

    /// <summary>How strips lie.</summary>
    public static readonly OptionChoice<Grain> Strips = Choice.Of(
        "stripGrain",
        "Strips lie",
        "On the cloth",
        Option.Of(Grain.Either, "Either way", "For plain cloth: whichever takes less."),
        Option.Of(Grain.Along, "Upright, up the roll", "The pile or stripe runs down the boxing."),
        Option.Of(Grain.Across, "Railroaded", "The strip's length runs up the roll.")
    );
}
