using Wrapper.Core.Lengths;

namespace Wrapper.Server.Drawings;

/// <summary>
/// A length: its count of 1/3840 mm, the tape reading in the job's unit, and the residue beside the mark ("a thread
/// under").
/// </summary>
public sealed record LengthView(long Ticks, string Text, string Residue)
{
    /// <summary>A finished length: to the nearest mark.</summary>
    public static LengthView Finished(Length length, JobUnit unit) =>
        Of(length, LengthPrinter.Finished(length, unit), unit);

    /// <summary>A cut length: up to the next mark.</summary>
    public static LengthView Cut(Length length, JobUnit unit) => Of(length, LengthPrinter.Cut(length, unit), unit);

    /// <summary>A length of cloth: yards or metres.</summary>
    public static LengthView Cloth(Length length, JobUnit unit) =>
        new(length.Ticks, LengthPrinter.ClothLength(length, unit), "");

    /// <summary>Cloth as it is bought: in the shop's own fractions, or metres.</summary>
    public static LengthView Bought(Length length, JobUnit unit) =>
        new(length.Ticks, LengthPrinter.ShopLength(length, unit), "");

    /// <summary>
    /// Cloth that stays over: yards or metres, rounded down, so that nobody counts on more than there is.
    /// </summary>
    public static LengthView Surplus(Length length, JobUnit unit) =>
        new(length.Ticks, LengthPrinter.ClothLength(length, unit, down: true), "");

    private static LengthView Of(Length length, TapeReading reading, JobUnit unit) =>
        new(length.Ticks, $"{reading.Text} {LengthPrinter.Word(unit)}", reading.Residue);
}

/// <summary>
/// A named length with its working, one named intermediate a line. <c>kind</c> is <c>cut</c> or <c>finished</c>.
/// </summary>
public sealed record SizeView(
    string Name,
    string Kind,
    LengthView Length,
    IReadOnlyList<string> Working,
    SpanView? Span
);

/// <summary>Where a size lies on the drawing, in whole hundredths of a millimetre, y down.</summary>
public sealed record SpanView(long X1, long Y1, long X2, long Y2);
