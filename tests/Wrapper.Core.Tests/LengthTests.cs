using CsCheck;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

public class LengthTests
{
    // Counts reckoned by hand: 1 in = 97536, 1 mm = 3840.
    [Theory]
    [InlineData("19 1/4", JobUnit.Inch, 1877568)]
    [InlineData("19-1/4", JobUnit.Inch, 1877568)]
    [InlineData("19¼", JobUnit.Inch, 1877568)]
    [InlineData("19.25", JobUnit.Inch, 1877568)]
    [InlineData("19,25", JobUnit.Inch, 1877568)]
    [InlineData("19 1/4\"", JobUnit.Centimetre, 1877568)]
    [InlineData("1' 7 1/4\"", JobUnit.Inch, 1877568)]
    [InlineData("1 ft 7 1/4 in", JobUnit.Centimetre, 1877568)]
    [InlineData("48.9cm", JobUnit.Inch, 1877760)]
    [InlineData("489mm", JobUnit.Inch, 1877760)]
    [InlineData("0.489 m", JobUnit.Inch, 1877760)]
    [InlineData("48.9", JobUnit.Centimetre, 1877760)]
    [InlineData("1,5 cm", JobUnit.Inch, 57600)]
    [InlineData("1/64", JobUnit.Inch, 1524)]
    [InlineData("½", JobUnit.Inch, 48768)]
    [InlineData("  2 yd ", JobUnit.Centimetre, 7022592)]
    [InlineData("1/3 in", JobUnit.Centimetre, 32512)]
    [InlineData("50 ft", JobUnit.Inch, 58521600)]
    [InlineData("21.99", JobUnit.Inch, 2144817)] // 2144816.64, to the nearest count
    public void Reads_what_people_write(string text, JobUnit unit, long ticks)
    {
        var (length, refusal) = LengthReader.Read(text, unit, LengthLimits.Item);
        Assert.Null(refusal);
        Assert.Equal(ticks, length!.Value.Ticks);
    }

    [Theory]
    [InlineData("abc", 0, "no number")]
    [InlineData("", 0, "nothing is entered")]
    [InlineData("-3", 0, "negative")]
    [InlineData("0", 0, "not zero")]
    [InlineData("19 1/0", 3, "0 below the line")]
    [InlineData("900 ft", 0, "over 50 ft")]
    [InlineData("1/128", 0, "finer than 1/64")]
    [InlineData("1/7", 0, "no 7 parts")]
    [InlineData("12.34 mm", 0, "finer than 0.1 mm")]
    [InlineData("1,500", 0, "could mean 1500 or 1.500")]
    [InlineData("19 5/4", 3, "one or more")]
    [InlineData("19.5 1/4", 5, "decimal and a fraction")]
    [InlineData("19 1/4 furlongs", 7, "no unit known")]
    [InlineData("19 20", 3, "no number")]
    [InlineData("12 in 3 ft", 6, "two lengths")]
    [InlineData("99999999999999999999999999999999999999999", 40, "too long")]
    [InlineData("9999999999999999999999999999", 0, "far too large")]
    public void Refuses_the_rest_with_place_and_reason(string text, int position, string reason)
    {
        var (length, refusal) = LengthReader.Read(text, JobUnit.Inch, LengthLimits.Item);
        Assert.Null(length);
        Assert.Equal(text, refusal!.Given);
        Assert.Equal(position, refusal.Position);
        Assert.Contains(reason, refusal.Reason, StringComparison.Ordinal);
        Assert.NotNull(LengthReader.Read(refusal.Example, JobUnit.Inch, LengthLimits.Item).Length);
    }

    [Fact]
    public void Every_style_prints_text_that_reads_back_to_the_same_length() =>
        // Sixty-fourths for the inch styles, tenths of a millimetre for the metric ones.
        Gen.Int[1, 38_400]
            .Sample(n =>
            {
                foreach (var style in new[] { LengthStyle.InchFraction, LengthStyle.FeetAndInches })
                    ReadsBack(new Length(n * 1524L), style);
                foreach (var style in new[] { LengthStyle.Centimetres, LengthStyle.Millimetres, LengthStyle.Metres })
                    ReadsBack(Length.Millimetres(n / 10m), style);
                ReadsBack(Length.Inches(0, n, 4), LengthStyle.InchDecimal);
                ReadsBack(Length.Inches(n * 9L), LengthStyle.Yards);
            });

    private static void ReadsBack(Length length, LengthStyle style) =>
        Assert.Equal(length, LengthReader.Read(LengthPrinter.Print(length, style), JobUnit.Inch, Widest).Length);

    private static readonly LengthLimits Widest = new(new Length(1), Length.Inches(1_000_000));

    // Finished goes to the nearest mark; cut goes up unless 1/32 in (0.5 mm) or less is over.
    [Theory]
    [InlineData("7 3/64", JobUnit.Inch, "7 1/16", "1/64 under|a thread under", "7 1/16")]
    [InlineData("7 1/64", JobUnit.Inch, "7", "a thread over", "7")]
    [InlineData("7 1/32", JobUnit.Inch, "7 1/16", "1/32 under", "7")]
    [InlineData("7 3/64", JobUnit.InchEighths, "7", "3/64 over", "7 1/8")]
    [InlineData("7 1/16", JobUnit.InchEighths, "7 1/8", "1/16 under", "7 1/8")]
    [InlineData("12.04 cm", JobUnit.Centimetre, "12", "0.4 mm over", "12")]
    [InlineData("12.06 cm", JobUnit.Centimetre, "12.1", "0.4 mm under", "12.1")]
    [InlineData("12.05 cm", JobUnit.Centimetre, "12.1", "0.5 mm under", "12")]
    [InlineData("3 1/8", JobUnit.Inch, "3 1/8", "", "3 1/8")]
    public void Prints_to_the_mark_and_tells_the_residue(
        string text,
        JobUnit unit,
        string finished,
        string residues,
        string cut
    )
    {
        var length = LengthReader.Read(text, unit, LengthLimits.Item).Length!.Value;
        Assert.Equal(finished, LengthPrinter.Finished(length, unit).Text);
        Assert.Contains(LengthPrinter.Finished(length, unit).Residue, residues.Split('|'));
        Assert.Equal(cut, LengthPrinter.Cut(length, unit).Text);
    }

    [Fact]
    public void Yards_become_metres_by_multiplying() =>
        // 7.30 yd x 0.9144 = 6.67512 m; cloth figures go up to the hundredth.
        Assert.Equal("6.68 m", LengthPrinter.ClothLength(Length.Inches(1).Scaled(262.8m), JobUnit.Centimetre));

    // Shops cut in eighths of a yard and say so; what is no eighth stays a decimal, and metres are metres.
    [Theory]
    [InlineData(211.5, JobUnit.Inch, "5 7/8 yd")]
    [InlineData(18, JobUnit.Inch, "1/2 yd")]
    [InlineData(72, JobUnit.InchEighths, "2 yd")]
    [InlineData(50, JobUnit.Inch, "1.39 yd")]
    [InlineData(90, JobUnit.Centimetre, "2.29 m")]
    public void Cloth_is_bought_in_the_shops_fractions(double inches, JobUnit unit, string text) =>
        Assert.Equal(text, LengthPrinter.ShopLength(Length.Inches(1).Scaled((decimal)inches), unit));

    [Fact]
    public void Rounding_goes_half_away_from_zero_once()
    {
        Assert.Equal(new Length(2), new Length(3).Over(2));
        Assert.Equal(new Length(-2), new Length(-3).Over(2));
        Assert.Equal(Length.Inches(2), Length.Inches(1, 7, 8).UpTo(Length.Inches(0, 1, 4)));
        Assert.Equal(new Length(306418), Length.Inches(1).Scaled(3.14159265358979323846m)); // 97536 π = 306418.38
    }

    [Fact]
    public void What_is_more_than_can_be_counted_is_refused_and_never_wraps_round()
    {
        Assert.Equal(Length.Zero, Length.Snap(double.NaN));
        Assert.Equal(new Length(long.MaxValue), Length.Snap(1e16));
        Assert.Throws<OverflowException>(() => Length.Millimetres(1e16m));
        Assert.Throws<OverflowException>(() => Length.Inches(long.MaxValue / 50_000));
        Assert.Throws<OverflowException>(() => 2 * new Length(long.MaxValue / 2 + 1));
        Assert.Throws<OverflowException>(() => new Length(long.MaxValue) + new Length(1));
        Assert.Throws<DivideByZeroException>(() => Length.Inches(1).Over(0));
        Assert.Throws<ArgumentException>(() => Length.Inches(0, 1, 7));
    }
}
