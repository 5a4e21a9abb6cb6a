using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Merchants;

namespace Wrapper.Core.Tests;

/// <summary>What must be known of ordered cloth before it is cut, by hand.</summary>
public sealed class ClothOrderCases
{
    private static readonly Length Yard = Length.Inches(36);

    private static ClothOrder Ordered(params (int Yards, int Inches, string Batch)[] came) =>
        new(
            "o",
            "twill",
            "Twill",
            "j",
            "c",
            (4 * Yard).Ticks,
            Length.Inches(54).Ticks,
            "B 1",
            "2026-11-02",
            "2026-11-06",
            false
        )
        {
            Came =
            [
                .. came.Select(
                    (each, at) =>
                        new Delivery(
                            $"d{at}",
                            (each.Yards * Yard).Ticks,
                            Length.Inches(each.Inches).Ticks,
                            each.Batch,
                            "2026-11-05"
                        )
                ),
            ],
        };

    [Fact]
    public void As_it_was_ordered_nothing_is_told()
    {
        var order = Ordered((4, 54, "B 1"));
        Assert.True(order.IsWhole);
        Assert.Empty(order.Warnings(JobUnit.Inch));
        Assert.False(Ordered().IsWhole);
        Assert.Equal(4 * Yard, Ordered().Missing);
        // What was put aside is not here, whatever came before.
        Assert.False((order with { IsReserved = true }).IsWhole);
        // More than was asked for is not less than nothing missing.
        Assert.Equal(Length.Zero, Ordered((5, 54, "B 1")).Missing);
    }

    [Fact]
    public void Width_batch_and_lengths_are_told_each_once()
    {
        var order = Ordered((1, 54, "B 2"), (1, 50, "B 2"), (1, 50, "B 1"));
        Assert.Equal(Yard, order.Missing);
        var told = order.Warnings(JobUnit.Inch).ToList();
        Assert.Equal(3, told.Count);
        Assert.StartsWith("It is 50 in wide, and not 54 in", told[0]);
        Assert.StartsWith("It comes from batch B 2 and B 1, and not from B 1", told[1]);
        Assert.StartsWith("It came in 3 lengths: 1.00 yd, 1.00 yd, 1.00 yd.", told[2]);
        Assert.StartsWith("It is 127 cm wide, and not 137.2 cm", order.Warnings(JobUnit.Centimetre).First());
    }
}
