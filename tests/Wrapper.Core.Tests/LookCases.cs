using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Tests;

/// <summary>What a cloth is drawn with, and how large that is.</summary>
public sealed class LookCases
{
    private static readonly JobCloth Cloth = JobCloth.Usual("c", "Cloth", JobUnit.Centimetre);

    private static ClothReading Read(JobCloth cloth) => new(cloth, JobUnit.Centimetre);

    private static Entry Cm(string typed) => new(typed, JobUnit.Centimetre);

    [Fact]
    public void What_is_not_said_is_what_the_repeat_says()
    {
        Assert.Equal(ClothPrint.Plain, Read(Cloth).Look.Print);
        Assert.Equal(ClothPrint.Stripe, Read(Cloth with { RepeatAcross = Cm("8") }).Look.Print);
        var sprig = Read(Cloth with { RepeatAcross = Cm("8"), RepeatAlong = Cm("12") }).Look;
        Assert.Equal(
            (ClothPrint.Sprig, Length.Millimetres(80), Length.Millimetres(120), false),
            (sprig.Print, sprig.Across, sprig.Along, sprig.IsUsualSize)
        );
        // A check that repeats along alone is as wide as it is long.
        var check = Read(Cloth with { RepeatAlong = Cm("12"), Print = ClothPrint.Check }).Look;
        Assert.Equal(
            (ClothPrint.Check, Length.Millimetres(120), Length.Millimetres(120)),
            (check.Print, check.Across, check.Along)
        );
    }

    [Theory]
    [InlineData(ClothPrint.Stripe)]
    [InlineData(ClothPrint.Check)]
    [InlineData(ClothPrint.Herringbone)]
    [InlineData(ClothPrint.Spots)]
    [InlineData(ClothPrint.Sprig)]
    public void Without_a_repeat_it_is_of_a_usual_size_and_lies_as_plain_cloth(ClothPrint print)
    {
        var reading = Read(Cloth with { Print = print });
        Assert.True(reading.Look is { IsUsualSize: true, Across.IsPositive: true, Along.IsPositive: true });
        Assert.Null(reading.ForLay.Repeat);
    }

    // A trapezium, wider below: 200 px above, 400 below, its sides 223.6. Where its diagonals cross, 66.7 px down, lies the
    // middle of the cloth. So a ruler of 10 cm from the middle of the upper edge to there is half of its height.
    private static readonly int[] Aslant = [100, 0, 300, 0, 400, 200, 0, 200];

    [Fact]
    public void A_ruler_in_a_photo_taken_aslant_says_how_large_the_cloth_is()
    {
        var look = Read(
            Cloth with
            {
                Picture = new("p", Aslant, null, null) { Ruler = [200, 0, 200, 67], RulerLength = Cm("10") },
            }
        ).Look;
        Assert.NotNull(look.Straightened);
        var (along, across) = (Millimetres(look.Along), Millimetres(look.Across));
        Assert.InRange(along, 198, 202);
        Assert.Equal(223.6 / 300, along / across, 0.01);
    }

    [Fact]
    public void Typed_sizes_hold_before_a_ruler_and_a_repeat()
    {
        var picture = new ClothPicture("p", Aslant, Cm("32"), Cm("64"));
        var typed = Read(Cloth with { RepeatAlong = Cm("12"), Picture = picture }).Look;
        Assert.Equal((Length.Millimetres(320), Length.Millimetres(640)), (typed.Across, typed.Along));
        var repeated = Read(
            Cloth with
            {
                RepeatAlong = Cm("12"),
                RepeatAcross = Cm("9"),
                Picture = picture with { Across = null, Along = null },
            }
        ).Look;
        Assert.Equal((Length.Millimetres(90), Length.Millimetres(120)), (repeated.Across, repeated.Along));
    }

    [Theory]
    [InlineData(new[] { 0, 0, 9, 0, 0, 9, 9, 9 }, "5", "corners")] // crossed over
    [InlineData(new[] { 0, 0, 9, 0, 18, 0, 27, 0 }, "5", "corners")] // in a line
    [InlineData(new[] { 0, 0, 9, 0, 9, 9, 0, 9 }, "", "across")]
    [InlineData(new[] { 0, 0, 9, 0, 9, 9, 0, 9 }, "wide", "across")]
    public void A_picture_that_says_nothing_is_told_and_the_cloth_is_drawn_and_laid(
        int[] corners,
        string across,
        string field
    )
    {
        var reading = Read(Cloth with { Picture = new("p", corners, Cm(across), null) });
        var problem = Assert.Single(reading.Problems);
        Assert.Equal(($"cloths.c.picture.{field}", Stage.Lay), (problem.Field, problem.Stage));
        Assert.NotEmpty(problem.Example);
        Assert.Null(reading.Look.Straightened);
        Assert.True(reading.CanBeLaid);
    }

    private static double Millimetres(Length length) => length.Ticks / 3840.0;
}
