using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Workroom.Pricing;

/// <summary>What a price is for.</summary>
[JsonConverter(typeof(ByName<PricedBy>))]
public enum PricedBy
{
    /// <summary>One: a zip, a reel, a block.</summary>
    [JsonStringEnumMemberName("each")]
    Each,

    /// <summary>A yard.</summary>
    [JsonStringEnumMemberName("yd")]
    Yard,

    /// <summary>A metre.</summary>
    [JsonStringEnumMemberName("m")]
    Metre,

    /// <summary>A litre.</summary>
    [JsonStringEnumMemberName("litre")]
    Litre,

    /// <summary>A cubic foot.</summary>
    [JsonStringEnumMemberName("cu ft")]
    CubicFoot,

    /// <summary>A kilogram.</summary>
    [JsonStringEnumMemberName("kg")]
    Kilogram,

    /// <summary>A pound.</summary>
    [JsonStringEnumMemberName("lb")]
    Pound,
}

/// <summary>
/// The price of something bought beside cloth, by its name on the shopping list; <paramref name="Price"/> as typed.
/// </summary>
public sealed record PriceRow(string Id, string Thing, string Price, PricedBy By);

/// <summary>A tax as typed.</summary>
public sealed record TaxRow(string Id, string Name, string Percent);

/// <summary>
/// What the workroom reckons its prices by, all as typed, and what stands on its papers. Cloth has its prices in the
/// job, by the merchant's ticket.
/// </summary>
public sealed record PriceBook
{
    /// <summary>The ISO 4217 code of the currency that it keeps its books in.</summary>
    public string Currency { get; init; } = Money.Currency.Usual.Code;

    /// <summary>What an hour of making costs.</summary>
    public string LabourRate { get; init; } = "";

    /// <summary>Prices of what is bought beside cloth.</summary>
    public IReadOnlyList<PriceRow> Rows { get; init; } = [];

    /// <summary>
    /// Added to what is bought beside cloth, in per cent, for what is spoilt; cloth is bought as it is laid, its waste
    /// is in it.
    /// </summary>
    public string Waste { get; init; } = "";

    /// <summary>Needles, chalk, pins, pressing cloth: in per cent of cloth and everything beside it.</summary>
    public string Sundries { get; init; } = "";

    /// <summary>What stays with the workroom, in per cent of the price before tax.</summary>
    public string Margin { get; init; } = "";

    /// <summary>Added to the price of a job that goes before others, in per cent.</summary>
    public string Rush { get; init; } = "";

    /// <summary>Its taxes.</summary>
    public IReadOnlyList<TaxRow> Taxes { get; init; } = [];

    /// <summary>Whether prices on its papers include them.</summary>
    public bool TaxIncluded { get; init; }

    /// <summary>The deposit asked for with an order, in per cent of it.</summary>
    public string Deposit { get; init; } = "50";

    /// <summary>For how many days a quotation holds.</summary>
    public string ValidDays { get; init; } = "30";

    /// <summary>Within how many days an invoice is to be paid.</summary>
    public string PayDays { get; init; } = "14";

    /// <summary>Its address as it stands on papers.</summary>
    public string Address { get; init; } = "";

    /// <summary>Its number for tax; empty where it has none.</summary>
    public string TaxNumber { get; init; } = "";

    /// <summary>How to pay it.</summary>
    public string PayTo { get; init; } = "";

    /// <summary>Its terms.</summary>
    public string Terms { get; init; } = "";
}
