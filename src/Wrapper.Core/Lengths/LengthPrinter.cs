using System.Globalization;

namespace Wrapper.Core.Lengths;

/// <summary>
/// A length as it is read off the tape: the mark, and what is left beside it ("a thread under"; empty when none).
/// </summary>
public readonly record struct TapeReading(string Text, string Residue);

/// <summary>Writes lengths for people: to the tape's mark with the residue told, or exactly (craft §1.11).</summary>
public static class LengthPrinter
{
    /// <summary>The finest mark of the tape: 1/16 in, 1/8 in or 1 mm.</summary>
    public static Length Mark(JobUnit unit) =>
        unit switch
        {
            JobUnit.Inch => Length.Inches(0, 1, 16),
            JobUnit.InchEighths => Length.Inches(0, 1, 8),
            _ => Length.Millimetres(1),
        };

    /// <summary>A finished length to the nearest tape mark, half away from zero.</summary>
    public static TapeReading Finished(Length length, JobUnit unit)
    {
        var mark = Mark(unit);
        return AtMark(length, new Length(Length.DivideRounded(length.Ticks, mark.Ticks) * mark.Ticks), unit);
    }

    /// <summary>A cut length: up to the next tape mark unless what is over is 1/32 in (0.5 mm) or less.</summary>
    public static TapeReading Cut(Length length, JobUnit unit)
    {
        var mark = Mark(unit);
        var slack = unit.IsInches() ? Length.Inches(0, 1, 32) : Length.Millimetres(0.5m);
        var below = new Length(length.Ticks / mark.Ticks * mark.Ticks);
        return AtMark(length, length - below <= slack ? below : below + mark, unit);
    }

    /// <summary>
    /// The whole value: fractions to 1/64 where they hold, else four decimals in inches; cm to four decimals. No unit
    /// word.
    /// </summary>
    public static string Exact(Length length, JobUnit unit)
    {
        if (unit == JobUnit.Centimetre)
            return Decimal(length, 10 * Length.TicksPerMillimetre, "0.####");
        return length.Ticks % (Length.TicksPerInch / 64) == 0
            ? Fraction(length, 64)
            : Decimal(length, Length.TicksPerInch, "0.####");
    }

    /// <summary>
    /// The value in one style with its unit word; fractions to the nearest 1/64, decimals to four places.
    /// </summary>
    public static string Print(Length length, LengthStyle style) =>
        style switch
        {
            LengthStyle.InchFraction => Fraction(length, 64) + " in",
            LengthStyle.InchDecimal => Decimal(length, Length.TicksPerInch, "0.####") + " in",
            LengthStyle.FeetAndInches => FeetAndInches(length),
            LengthStyle.Centimetres => Decimal(length, 10 * Length.TicksPerMillimetre, "0.###") + " cm",
            LengthStyle.Millimetres => Decimal(length, Length.TicksPerMillimetre, "0.##") + " mm",
            LengthStyle.Metres => Decimal(length, 1000 * Length.TicksPerMillimetre, "0.####") + " m",
            LengthStyle.Yards => Decimal(length, 36 * Length.TicksPerInch, "0.####") + " yd",
            _ => throw new ArgumentOutOfRangeException(nameof(style)),
        };

    /// <summary>
    /// A cloth length: yards or metres to two decimals, rounded up so that a printed need is never short; what is left
    /// over goes <paramref name="down"/>.
    /// </summary>
    public static string ClothLength(Length length, JobUnit unit, bool down = false)
    {
        var per = unit.IsInches() ? 36 * Length.TicksPerInch : 1000 * Length.TicksPerMillimetre;
        var exact = 100m * length.Ticks / per;
        var hundredths = down ? Math.Floor(exact) : Math.Ceiling(exact);
        return (hundredths / 100).ToString("0.00", CultureInfo.InvariantCulture) + (unit.IsInches() ? " yd" : " m");
    }

    /// <summary>
    /// Cloth as a shop sells it: a whole number of eighths of a yard in the shop's own fractions (<c>5 7/8 yd</c>),
    /// anything else as <see cref="ClothLength"/>.
    /// </summary>
    public static string ShopLength(Length length, JobUnit unit) =>
        unit.IsInches() && length.Ticks % (36 * Length.TicksPerInch / 8) == 0
            ? $"{Fraction(new Length(length.Ticks / 36), 8)} yd"
            : ClothLength(length, unit);

    /// <summary>
    /// A change of cloth length with its sign: <c>+3/8 yd</c>, <c>-0.10 m</c>; to the nearest 1/8 yd or cm.
    /// </summary>
    public static string ClothDifference(Length difference, JobUnit unit)
    {
        var sign = difference.Ticks < 0 ? "-" : "+";
        if (unit == JobUnit.Centimetre)
            return sign + ClothLength(difference.Abs(), unit);
        var eighths = Length.DivideRounded(difference.Abs().Ticks * 8, 36 * Length.TicksPerInch);
        return $"{sign}{Fraction(new Length(eighths * Length.TicksPerInch / 8), 8)} yd";
    }

    /// <summary>The unit word of a job: <c>in</c> or <c>cm</c>.</summary>
    public static string Word(JobUnit unit) => unit.IsInches() ? "in" : "cm";

    private static TapeReading AtMark(Length length, Length mark, JobUnit unit)
    {
        var text = unit.IsInches() ? Fraction(mark, 16) : Decimal(mark, 10 * Length.TicksPerMillimetre, "0.#");
        return new TapeReading(text, Residue(length - mark, unit));
    }

    private static string Residue(Length over, JobUnit unit)
    {
        if (over == Length.Zero)
            return "";
        var side = over.IsPositive ? "over" : "under";
        var size = over.Abs();
        if (unit == JobUnit.Centimetre)
            return size < Length.Millimetres(0.1m)
                ? $"a thread {side}"
                : Decimal(size, Length.TicksPerMillimetre, "0.0") + $" mm {side}";
        return size <= Length.Inches(0, 1, 64) ? $"a thread {side}" : $"{Fraction(size, 64)} {side}";
    }

    private static string Fraction(Length length, long denominator)
    {
        var parts = Length.DivideRounded(Math.Abs(length.Ticks) * denominator, Length.TicksPerInch);
        var sign = length.Ticks < 0 && parts > 0 ? "-" : "";
        var (whole, numerator) = Math.DivRem(parts, denominator);
        if (numerator == 0)
            return $"{sign}{whole}";
        while (numerator % 2 == 0)
        {
            numerator /= 2;
            denominator /= 2;
        }
        return whole == 0 ? $"{sign}{numerator}/{denominator}" : $"{sign}{whole} {numerator}/{denominator}";
    }

    private static string FeetAndInches(Length length)
    {
        var inches = Length.DivideRounded(Math.Abs(length.Ticks) * 64, Length.TicksPerInch);
        var (feet, rest) = Math.DivRem(inches, 12 * 64);
        return $"{(length.Ticks < 0 ? "-" : "")}{feet}' {Fraction(new Length(rest * Length.TicksPerInch / 64), 64)}\"";
    }

    private static string Decimal(Length length, long perUnit, string format) =>
        (length.Ticks / (decimal)perUnit).ToString(format, CultureInfo.InvariantCulture);
}
