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

    /// <summary>How the strips of a cover with panels lie.</summary>
    public static readonly OptionChoice<StripLie> Strips = Choice.Of(
        "stripGrain",
        "Strips lie",
        "On the cloth",
        Option.Of(
            StripLie.AsPanel,
            "As the panels lie",
            "Twill, pile and print run on from the panel; joined at the corners where the cloth is narrower."
        ),
        Option.Of(StripLie.Either, "Either way", "For plain cloth: whichever takes less."),
        Option.Of(StripLie.Along, "Upright, up the roll", "The pile or stripe runs down the boxing."),
        Option.Of(StripLie.Across, "Railroaded", "The strip's length runs up the roll.")
    );

    /// <summary>How the body of a cover without panels lies.</summary>
    public static readonly OptionChoice<Grain> Body = Choice.Of(
        "stripGrain",
        "Body lies",
        "On the cloth",
        Option.Of(Grain.Either, "Either way", "For plain cloth: whichever takes less."),
        Option.Of(Grain.Along, "Upright, up the roll", "The pile or stripe runs round the body."),
        Option.Of(Grain.Across, "Railroaded", "The body's length runs up the roll.")
    );

    /// <summary>How strips may lie, as chosen or as their panel does.</summary>
    public static Grain OfStrips(Reading reading) =>
        reading.Chosen(Strips) switch
        {
            StripLie.AsPanel => reading.Chosen(Panels),
            StripLie.Along => Grain.Along,
            StripLie.Across => Grain.Across,
            _ => Grain.Either,
        };
}

/// <summary>The answers to: Strips lie.</summary>
internal enum StripLie
{
    AsPanel,
    Either,
    Along,
    Across,
}
