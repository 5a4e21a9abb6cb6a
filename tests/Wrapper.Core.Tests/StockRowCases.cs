using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Stock;

namespace Wrapper.Core.Tests;

/// <summary>What lies on the shelves, as typed; and what is to be bought anew.</summary>
public class StockRowCases
{
    private static StockReading Read(StockRow row) => new(row, JobUnit.Inch);

    private static StockRow Roll(string length, string mark = "", string name = "Twill") =>
        new(StockKind.PartRoll, name) { Length = new(length, JobUnit.Inch), Mark = mark };

    [Fact]
    public void Lengths_and_counts_are_read_as_typed()
    {
        Assert.Equal(Length.Inches(81), Read(Roll("2 1/4 yd")).Length);
        Assert.Equal(12, Read(new StockRow(StockKind.Zip, "zip") { Count = " 12 " }).Count);
        var remnant = Read(
            new StockRow(StockKind.Remnant, "Plum")
            {
                Length = new("40", JobUnit.Centimetre),
                Width = new("22", JobUnit.Inch),
            }
        );
        Assert.Equal((Length.Millimetres(400), Length.Inches(22)), (remnant.Length, remnant.Width));
        Assert.Empty(remnant.Problems);
    }

    [Theory]
    [InlineData("-2 yd", "length", "less than nothing")]
    [InlineData("", "length", "how long")]
    [InlineData("long", "length", "")]
    public void What_cannot_be_a_length_is_told(string typed, string field, string reason)
    {
        var problem = Assert.Single(Read(Roll(typed)).Problems);
        Assert.Equal(field, problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("-3", "less than nothing")]
    [InlineData("", "how many")]
    [InlineData("2.5", "whole number")]
    [InlineData("999999", "whole number")]
    public void What_cannot_be_a_count_is_told(string typed, string reason)
    {
        var problem = Assert.Single(Read(new StockRow(StockKind.Zip, "zip") { Count = typed }).Problems);
        Assert.Equal("count", problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
    }

    // Two rolls of 1 1/4 yd make 2 1/2 yd: under 3, over 2. Of zips 4 and 3 are under 8.
    [Fact]
    public void All_of_one_name_counts_against_the_highest_mark()
    {
        StockReading Zips(string count, string mark) =>
            Read(new StockRow(StockKind.Zip, "Zip, 20 in") { Count = count, Mark = mark });
        var low = StockReading.Low(
            [
                Read(Roll("1 1/4 yd", "3 yd")),
                Read(Roll("1 1/4 yd", "1 yd", "twill ")),
                Read(Roll("1 1/4 yd", "1 1/4 yd", "Velvet")),
                Zips("4", "8"),
                Zips("3", ""),
                Read(Roll("1 yd", "", "Plum")),
            ],
            JobUnit.Inch
        );
        Assert.Equal([("Twill", "2 1/2 yd", "3 yd"), ("Zip, 20 in", "7", "8")], low);
    }

    // Of 12 zips jobs have 4 and 5: 3 are free, under the mark of 4. Of 5 yd of cord 2 1/4 and 90 in: 1/4 yd, 9 in.
    [Fact]
    public void What_jobs_have_reserved_is_not_free_and_counts_as_gone_against_the_mark()
    {
        Entry Typed(string typed) => new(typed, JobUnit.Inch);
        var zips = new StockReading(
            new StockRow(StockKind.Zip, "zip") { Count = "12", Mark = "4" },
            JobUnit.Inch,
            [Typed("4"), Typed(" 5 ")]
        );
        Assert.Equal((12, 3), (zips.Count, zips.FreeCount));
        var cord = new StockReading(
            new StockRow(StockKind.Cord, "cord") { Length = Typed("5 yd") },
            JobUnit.Inch,
            [Typed("2 1/4 yd"), Typed("90")]
        );
        Assert.Equal((Length.Inches(180), Length.Inches(9)), (cord.Length, cord.FreeLength));
        Assert.Equal([("zip", "3", "4")], StockReading.Low([zips, cord], JobUnit.Inch));
        Assert.Empty(zips.Problems);
        // Two people counted on the same: told, and nothing is free.
        var over = new StockReading(
            new StockRow(StockKind.Zip, "zip") { Count = "6" },
            JobUnit.Inch,
            [Typed("4"), Typed("4")]
        );
        Assert.Equal(0, over.FreeCount);
        Assert.Contains("reserved 8, and 6 is there", Assert.Single(over.Problems).Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("5 yd", "1 3/4 yd", "117 in left")]
    [InlineData("5 yd", "180", "0 in left")]
    [InlineData("5 yd", "181", "more than there is")]
    [InlineData("5 yd", "some", "")]
    public void A_length_is_taken_out_of_a_shelf(string there, string taken, string expected)
    {
        var (row, problem) = Read(Roll(there)).Without(new(taken, JobUnit.Inch), JobUnit.Inch);
        if (row is null)
            Assert.Contains(expected, problem!.Reason, StringComparison.Ordinal);
        else
            Assert.Equal(expected, $"{Read(row).Length!.Value.Ticks / Length.Inches(1).Ticks} in left");
    }

    [Theory]
    [InlineData("6", "4", "2")]
    [InlineData("6", "6", "0")]
    [InlineData("6", "7", "more than there is")]
    [InlineData("6", "-1", "whole number")]
    [InlineData("many", "1", "counted first")]
    public void A_number_is_taken_out_of_a_shelf(string there, string taken, string expected)
    {
        var (row, problem) = Read(new StockRow(StockKind.Zip, "zip") { Count = there })
            .Without(new(taken, JobUnit.Inch), JobUnit.Inch);
        Assert.Contains(expected, row?.Count ?? problem!.Reason, StringComparison.Ordinal);
    }
}
