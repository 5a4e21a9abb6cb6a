using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>A zip to buy: what is asked for in the shop, and how long, its teeth or the whole chain.</summary>
public sealed record Zip(string Name, Working Length, string Note)
{
    /// <summary>Whether it is cut from continuous chain, its slider bought apart; else it is made up.</summary>
    public bool IsChain { get; private init; }

    /// <summary>A length cut from continuous chain, tape ends included; the slider is bought apart.</summary>
    public static Zip Chain(Working length, string note = "continuous chain, one slider") =>
        new("zip chain", length, note) { IsChain = true };

    /// <summary>A made-up zip, by the length of its teeth.</summary>
    public static Zip OfTeeth(Working teeth, string note) => new("zip, teeth", teeth, note);

    /// <summary>An invisible zip, by the length of its teeth.</summary>
    public static Zip Invisible(Working teeth, string note) => new("invisible zip, teeth", teeth, note);

    /// <summary>A closed-end zip, by the length of its teeth.</summary>
    public static Zip ClosedEnd(Working teeth, string note) => new("closed-end zip, teeth", teeth, note);
}
