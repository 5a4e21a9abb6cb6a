using CsCheck;
using Wrapper.Core.Cloth;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// What the program writes into a field reads back to the same count, in every unit: savings, widths and remnants hold
/// when they are taken.
/// </summary>
public class ExactEntryTests
{
    private static readonly Gen<JobUnit> Unit = Gen.OneOfConst(JobUnit.Inch, JobUnit.InchEighths, JobUnit.Centimetre);
    private static readonly LengthLimits Any = new(Length.Zero, LengthLimits.Most);

    [Fact]
    public void Every_length_reads_back_as_it_was_written() =>
        Gen.Select(Gen.Long[0, LengthLimits.Most.Ticks], Unit)
            .Sample(
                (ticks, unit) =>
                    Assert.Equal(
                        new Length(ticks),
                        Entry.Read(Entry.Of(new Length(ticks), unit), JobUnit.Inch, Any).Length
                    )
            );

    // A third of 10 cm is 12800 counts short of any 0.1 mm: alone its text would be refused.
    [Fact]
    public void What_is_typed_over_holds_and_limits_hold_for_both()
    {
        var third = Entry.Of(Length.Millimetres(100).Over(3), JobUnit.Centimetre);
        Assert.NotNull(LengthReader.Read(third.Typed, third.Unit, Any).Refusal);
        Assert.Equal(128000, Entry.Read(third, JobUnit.Inch, Any).Length!.Value.Ticks);
        Assert.Equal(Length.Millimetres(40), Entry.Read(third with { Typed = "4" }, JobUnit.Inch, Any).Length);
        Assert.Equal(
            Length.Inches(4),
            Entry.Read(new Entry("4", JobUnit.Inch) { Ticks = 5 }, JobUnit.Inch, Any).Length
        );
        Assert.Contains(
            "over",
            Entry.Read(Entry.Of(Length.Inches(601), JobUnit.Inch), JobUnit.Inch, LengthLimits.Item).Refusal!.Reason,
            StringComparison.Ordinal
        );
    }

    // The duvet of the savings tests by the metric tape: 137 wide on 140 less two selvedges of 1.5 is joined; a little
    // narrower it is not.
    [Theory]
    [InlineData(JobUnit.Inch, "54", "84", "54", "1/2")]
    [InlineData(JobUnit.Centimetre, "137", "213", "140", "1.5")]
    public void Savings_hold_in_both_units(JobUnit unit, string w, string l, string width, string selvedge)
    {
        var cloth = JobCloth.Usual("c1", "cloth", unit) with
        {
            Width = new(width, unit),
            Selvedge = new(selvedge, unit),
        };
        var item = Items.Read("duvet-cover", unit, $"W={w} | L={l}") with { Cloth = null };
        var job = JobDocument.Empty("job", unit) with { Items = [item], Cloths = [cloth] };
        var savings = Savings.Of(job, Items.Drafting).Savings;
        var narrower = savings.First(saving => saving.Field == "measures.W");
        var before = Plan.Of(job, Items.Drafting, lay: true).Cloths[0].Buying!.Bought;
        var taken = job with
        {
            Items =
            [
                item with
                {
                    Measures = new Dictionary<string, Entry>(item.Measures) { ["W"] = Entry.Of(narrower.To, unit) },
                },
            ],
        };
        Assert.Equal(before - narrower.BuysLess, Plan.Of(taken, Items.Drafting, lay: true).Cloths[0].Buying!.Bought);
        Assert.True(narrower.BuysLess.IsPositive);
    }

    // Inch widths and eases in a job that is read in centimetres: none has a text of 0.1 mm.
    [Theory]
    [InlineData(JobUnit.Inch)]
    [InlineData(JobUnit.Centimetre)]
    public void Every_width_is_compared_whatever_unit_the_cloth_was_entered_in(JobUnit unit)
    {
        var cloth = JobCloth.Usual("c1", "cloth", unit) with
        {
            Width = new("57 9/64", JobUnit.Inch),
            OtherWidths = [new("66 1/64", JobUnit.Inch)],
        };
        var job = JobDocument.Empty("job", unit) with
        {
            Items = [Items.Read("box-cushion-folded", JobUnit.Inch, "W=12 | L=11 | T=3") with { Cloth = null }],
            Cloths = [cloth],
        };
        var rows = Widths.Of(job, "c1", Items.Drafting);
        Assert.Contains(rows, row => row.Width == Length.Inches(57, 9, 64) && row.Current);
        Assert.Contains(rows, row => row.Width == Length.Inches(66, 1, 64));
        Assert.All(rows, row => Assert.NotNull(row.Needed));
    }

    [Theory]
    [InlineData(JobUnit.Inch)]
    [InlineData(JobUnit.Centimetre)]
    public void A_remnant_that_is_offered_is_taken_as_long_and_wide_as_it_is(JobUnit unit)
    {
        var (along, across) = (Length.Inches(41, 3, 64) + new Length(7), Length.Inches(30, 1, 64) + new Length(11));
        var cloth = JobCloth.Usual("c1", "cloth", unit) with
        {
            Stock = [new JobRemnant("left", Entry.Of(along, unit), Entry.Of(across, unit))],
        };
        var reading = new ClothReading(cloth, unit);
        Assert.Empty(reading.Problems);
        Assert.Equal((along, across), (reading.ForLay.StockLengths[0].Length, reading.ForLay.StockLengths[0].Usable));
    }
}
