namespace Wrapper.Core.Workroom.Pricing;

/// <summary>
/// Something charged beside the covers, or taken off: as it stands on papers, <paramref name="Amount"/> as typed.
/// </summary>
public sealed record ExtraLine(string Id, string Text, string Amount);

/// <summary>An offer beside the first: one choice of one item answered otherwise.</summary>
public sealed record OfferedOption(string Id, string Item, string Choice, string Answer);

/// <summary>What was said of the price of one job beside what is reckoned, all as typed.</summary>
public sealed record PriceSheet
{
    /// <summary>Whether it goes before others.</summary>
    public bool IsRush { get; init; }

    /// <summary>Delivery, a fitting visit, something taken off.</summary>
    public IReadOnlyList<ExtraLine> Extras { get; init; } = [];

    /// <summary>What is offered beside.</summary>
    public IReadOnlyList<OfferedOption> Options { get; init; } = [];

    /// <summary>What was really paid for its material, by receipt; nothing while that is not entered.</summary>
    public IReadOnlyList<ExtraLine> Bought { get; init; } = [];

    /// <summary>A deposit other than the workroom's usual one, in per cent; empty for that.</summary>
    public string Deposit { get; init; } = "";
}
