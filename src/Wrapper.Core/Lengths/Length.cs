namespace Wrapper.Core.Lengths;

/// <summary>
/// An exact length: an integer count of 1/3840 mm (craft §1.11). One count holds 1/64 in (1524), 0.1 mm (384) and their
/// halves, thirds, quarters and sixths without remainder. Range: what a <see cref="long"/> holds, far over any cloth.
/// </summary>
public readonly record struct Length(long Ticks) : IComparable<Length>
{
    /// <summary>Counts in one millimetre.</summary>
    public const long TicksPerMillimetre = 3840;

    /// <summary>Counts in one inch of 25.4 mm.</summary>
    public const long TicksPerInch = 97536;

    /// <summary>No length at all.</summary>
    public static readonly Length Zero = new(0);

    /// <summary>
    /// A length of <paramref name="whole"/> + <paramref name="numerator"/>/<paramref name="denominator"/> inches.
    /// </summary>
    /// <exception cref="ArgumentException">The fraction is no whole number of counts.</exception>
    /// <exception cref="OverflowException">It is more than a <see cref="long"/> of counts holds.</exception>
    public static Length Inches(long whole, long numerator = 0, long denominator = 1)
    {
        var counts = checked(TicksPerInch * numerator);
        if (counts % denominator != 0)
            throw new ArgumentException($"{numerator}/{denominator} in is no whole number of counts");
        return new Length(checked((TicksPerInch * whole) + (counts / denominator)));
    }

    /// <summary>A length of <paramref name="millimetres"/>, to the nearest count, half away from zero.</summary>
    /// <exception cref="OverflowException">It is more than a <see cref="long"/> of counts holds.</exception>
    public static Length Millimetres(decimal millimetres) =>
        new((long)decimal.Round(millimetres * TicksPerMillimetre, MidpointRounding.AwayFromZero));

    /// <summary>
    /// The length nearest to a geometric result in double millimetres: the one place where doubles come back to counts.
    /// </summary>
    /// <remarks>
    /// Never throws: edges that cannot meet give no number, which becomes zero, and whoever drew them checks the
    /// outline. What is too large becomes the largest length there is.
    /// </remarks>
    public static Length Snap(double millimetres) =>
        new((long)Math.Round(millimetres * TicksPerMillimetre, MidpointRounding.AwayFromZero));

    /// <summary>Double millimetres, for use inside geometry functions only.</summary>
    internal double ToMillimetres() => Ticks / (double)TicksPerMillimetre;

    /// <summary>Whether the length is over zero.</summary>
    public bool IsPositive => Ticks > 0;

    /// <summary>The length without its sign.</summary>
    /// <exception cref="OverflowException">The length is the least that there is.</exception>
    public Length Abs() => new(Math.Abs(Ticks));

    /// <summary>The length divided by <paramref name="divisor"/>, to the nearest count, half away from zero.</summary>
    /// <exception cref="DivideByZeroException"><paramref name="divisor"/> is zero.</exception>
    public Length Over(long divisor) => new(DivideRounded(Ticks, divisor));

    /// <summary>
    /// The length times an irrational or decimal <paramref name="factor"/>, rounded once, half away from zero.
    /// </summary>
    /// <exception cref="OverflowException">The result is more than a <see cref="long"/> of counts holds.</exception>
    public Length Scaled(decimal factor) => new((long)decimal.Round(Ticks * factor, MidpointRounding.AwayFromZero));

    /// <summary>
    /// The next whole multiple of <paramref name="step"/> at or above this length. The step must be over zero.
    /// </summary>
    /// <exception cref="ArgumentOutOfRangeException"><paramref name="step"/> is not over zero.</exception>
    /// <exception cref="OverflowException">The result is more than a <see cref="long"/> of counts holds.</exception>
    public Length UpTo(Length step)
    {
        if (!step.IsPositive)
            throw new ArgumentOutOfRangeException(nameof(step), "a step to round up to must be over zero");
        var steps = Ticks / step.Ticks;
        if (Ticks % step.Ticks > 0)
            steps++;
        return new Length(steps * step.Ticks);
    }

    /// <summary>The larger of two lengths.</summary>
    public static Length Max(Length a, Length b) => a.Ticks >= b.Ticks ? a : b;

    /// <summary>The smaller of two lengths.</summary>
    public static Length Min(Length a, Length b) => a.Ticks <= b.Ticks ? a : b;

    /// <inheritdoc/>
    public int CompareTo(Length other) => Ticks.CompareTo(other.Ticks);

    /// <summary>Sum.</summary>
    /// <exception cref="OverflowException">The sum is more than a <see cref="long"/> of counts holds.</exception>
    public static Length operator +(Length a, Length b) => new(checked(a.Ticks + b.Ticks));

    /// <summary>Difference.</summary>
    /// <exception cref="OverflowException">
    /// The difference is more than a <see cref="long"/> of counts holds.
    /// </exception>
    public static Length operator -(Length a, Length b) => new(checked(a.Ticks - b.Ticks));

    /// <summary>Negation.</summary>
    /// <exception cref="OverflowException">The length is the least that there is.</exception>
    public static Length operator -(Length a) => new(checked(-a.Ticks));

    /// <summary>A whole number of times.</summary>
    /// <exception cref="OverflowException">
    /// The product is more than a <see cref="long"/> of counts holds.
    /// </exception>
    public static Length operator *(long times, Length a) => new(checked(times * a.Ticks));

    /// <summary>Shorter than.</summary>
    public static bool operator <(Length a, Length b) => a.Ticks < b.Ticks;

    /// <summary>Longer than.</summary>
    public static bool operator >(Length a, Length b) => a.Ticks > b.Ticks;

    /// <summary>Not longer than.</summary>
    public static bool operator <=(Length a, Length b) => a.Ticks <= b.Ticks;

    /// <summary>Not shorter than.</summary>
    public static bool operator >=(Length a, Length b) => a.Ticks >= b.Ticks;

    /// <summary>The count, for logs and test messages; people get <see cref="LengthPrinter"/>.</summary>
    public override string ToString() => $"{Ticks} counts ({Ticks / (decimal)TicksPerInch:0.####} in)";

    internal static long DivideRounded(long value, long divisor)
    {
        var quotient = Math.DivRem(value, divisor, out var rest);
        return 2 * Math.Abs(rest) >= Math.Abs(divisor) ? quotient + (Math.Sign(value) * Math.Sign(divisor)) : quotient;
    }
}
