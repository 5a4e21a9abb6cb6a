using CsCheck;
using Wrapper.Core.Workroom.Money;

namespace Wrapper.Core.Tests;

/// <summary>Money to the smallest unit, worked by hand in currencies of none, two and three decimals.</summary>
public class MoneyCases
{
    private static Currency Of(string code) => Currency.Of(code)!;

    private static TaxRule Taxed(bool included, params (string Name, decimal Percent)[] taxes) =>
        new([.. taxes.Select(tax => new Tax(tax.Name, tax.Percent))], included);

    [Theory]
    [InlineData("GBP", "1234.5", "£1,234.50")]
    [InlineData("GBP", "-3", "-£3.00")]
    [InlineData("GBP", "0.005", "£0.01")]
    [InlineData("JPY", "1234.5", "¥1,235")]
    [InlineData("KWD", "4.2505", "KWD 4.251")]
    public void Amounts_are_printed_in_the_decimals_of_their_currency(string code, string amount, string printed) =>
        Assert.Equal(printed, Of(code).Text(decimal.Parse(amount, System.Globalization.CultureInfo.InvariantCulture)));

    [Theory]
    [InlineData("GBP", "12.50", "12.50")]
    [InlineData("GBP", "12,5", "12.5")]
    [InlineData("GBP", "£ 1,234.50", "1234.50")]
    [InlineData("EUR", "1.234,50 €", "1234.50")]
    [InlineData("EUR", "1 234,50", "1234.50")]
    [InlineData("CHF", "1'234.50", "1234.50")]
    [InlineData("USD", "1,234", "1234")]
    [InlineData("USD", "1,234,567", "1234567")]
    [InlineData("USD", ".75", "0.75")]
    [InlineData("JPY", "1,234", "1234")]
    [InlineData("KWD", "1.234", "1.234")]
    [InlineData("KWD", "1,234.500", "1234.5")]
    [InlineData("GBP", "-20", "-20")]
    public void Amounts_are_read_as_people_write_them(string code, string typed, string amount)
    {
        var (value, problem) = Amount.Read("amount", typed, Of(code), least: -Amount.Most);
        Assert.Null(problem);
        Assert.Equal(decimal.Parse(amount, System.Globalization.CultureInfo.InvariantCulture), value);
    }

    [Theory]
    [InlineData("GBP", "", "an amount is needed")]
    [InlineData("GBP", "twelve", "no amount")]
    [InlineData("GBP", "12.505", "could be 12505 or 12.505")]
    [InlineData("GBP", "0.505", "more than 2 decimals")]
    [InlineData("JPY", "12.5", "no decimals")]
    [InlineData("KWD", "1,234", "could be 1234 or 1.234")]
    [InlineData("GBP", "1,23,4", "no amount")]
    [InlineData("GBP", "12.", "no amount")]
    [InlineData("GBP", "1.2.3", "no amount")]
    [InlineData("GBP", "-1", "less than nothing")]
    [InlineData("GBP", "999999999999", "more than")]
    public void What_is_no_amount_is_told_with_an_example(string code, string typed, string reason)
    {
        var (value, problem) = Amount.Read("amount", typed, Of(code));
        Assert.Null(value);
        Assert.Contains(reason, problem!.Reason, StringComparison.Ordinal);
        Assert.NotEmpty(problem.Example);
    }

    // 270.14 + 322.76 + 123.65 = 716.55, a fifth of it 143.31. The other way round 859.86 x 20 / 120 = 143.31.
    [Fact]
    public void Tax_on_top_and_tax_included_are_each_others_inverse_here()
    {
        var on = Totals.Of([270.14m, 322.76m, 123.65m], Taxed(false, ("VAT", 20)), Of("GBP"));
        Assert.Equal((716.55m, 143.31m, 859.86m), (on.Net, on.Taxes[0].Amount, on.Total));
        var within = Totals.Of([859.86m], Taxed(true, ("VAT", 20)), Of("GBP"));
        Assert.Equal((716.55m, 143.31m, 859.86m), (within.Net, within.Taxes[0].Amount, within.Total));
    }

    // 10 % of 12345 is 1234.5: up to 1235. 5 % of 12.345 is 0.61725: 0.617.
    [Theory]
    [InlineData("JPY", 12345, 10, 1235, 13580)]
    [InlineData("KWD", 12.345, 5, 0.617, 12.962)]
    [InlineData("GBP", 0.1, 5, 0.01, 0.11)]
    public void Tax_is_rounded_once_halves_up(string code, double net, double rate, double tax, double total)
    {
        var totals = Totals.Of([(decimal)net], Taxed(false, ("tax", (decimal)rate)), Of(code));
        Assert.Equal(((decimal)tax, (decimal)total), (totals.Taxes[0].Amount, totals.Total));
    }

    // 5 % of 100.05 is 5.0025, 9.975 % is 9.9799875. Included in 115.03: x 5 / 114.975 = 5.0024, x 9.975 / 114.975 = 9.9798.
    [Fact]
    public void Two_taxes_are_each_reckoned_on_the_same_sum()
    {
        var both = new[] { ("GST", 5m), ("QST", 9.975m) };
        var on = Totals.Of([100.05m], Taxed(false, both), Of("CAD"));
        Assert.Equal((5.00m, 9.98m, 115.03m), (on.Taxes[0].Amount, on.Taxes[1].Amount, on.Total));
        var within = Totals.Of([115.03m], Taxed(true, both), Of("CAD"));
        Assert.Equal((100.05m, 5.00m, 9.98m), (within.Net, within.Taxes[0].Amount, within.Taxes[1].Amount));
    }

    // Ten pounds among three: a third each, the odd penny to the first.
    [Fact]
    public void An_amount_is_parted_to_the_penny()
    {
        Assert.Equal([3.34m, 3.33m, 3.33m], Sharing.Of(10, [1, 1, 1], Of("GBP")));
        Assert.Equal([-1.67m, -3.33m], Sharing.Of(-5, [1, 2], Of("GBP")));
        Assert.Equal([4m, 3m], Sharing.Of(7, [0, 0], Of("JPY")));
    }

    [Fact]
    public void Parts_add_up_and_none_is_a_whole_unit_off() =>
        Gen.Select(Gen.Int[-1_000_000, 1_000_000], Gen.Int[0, 1000].Array[1, 12], Gen.OneOfConst("JPY", "GBP", "KWD"))
            .Sample(
                (units, weights, code) =>
                {
                    var currency = Of(code);
                    var amount = currency.OfUnits(units);
                    var parts = Sharing.Of(amount, [.. weights.Select(each => (decimal)each)], currency);
                    Assert.Equal(amount, parts.Sum());
                    var (one, all) = (currency.OfUnits(1), weights.Sum());
                    Assert.All(
                        parts.Zip(weights),
                        each =>
                            Assert.True(
                                all == 0 || Math.Abs(each.First - (amount * each.Second / all)) < one,
                                $"{each.First} of {amount} by {each.Second}/{all}"
                            )
                    );
                }
            );

    [Fact]
    public void Totals_are_exactly_the_sum_of_what_stands_on_the_paper() =>
        Gen.Select(
                Gen.Int[-50_000, 900_000].Array[1, 20],
                Gen.Int[0, 30_000].Select(rate => rate / 1000m).Array[0, 4],
                Gen.Bool,
                Gen.OneOfConst("JPY", "GBP", "KWD")
            )
            .Sample(
                (units, rates, included, code) =>
                {
                    var currency = Of(code);
                    var lines = units.Select(each => currency.OfUnits(each)).ToList();
                    var totals = Totals.Of(lines, Taxed(included, [.. rates.Select(rate => ("tax", rate))]), currency);
                    Assert.Equal(totals.Total, totals.Net + totals.Taxes.Sum(tax => tax.Amount));
                    Assert.Equal(lines.Sum(), included ? totals.Total : totals.Net);
                    Assert.All(totals.Taxes, tax => Assert.Equal(currency.Round(tax.Amount), tax.Amount));
                }
            );

    // Of 859.86 with 143.31 tax, 100 is taken back: 143.31 x 100 / 859.86 = 16.667, and 83.33 without it.
    [Fact]
    public void A_credit_note_takes_back_tax_in_its_share()
    {
        var invoiced = Totals.Of([716.55m], Taxed(false, ("VAT", 20)), Of("GBP"));
        var back = invoiced.Share(100, Of("GBP"));
        Assert.Equal((83.33m, 16.67m, 100m), (back.Net, back.Taxes[0].Amount, back.Total));
    }

    private static Dealing Paper(string id, PaperKind kind, string? on, decimal total, bool off = false) =>
        new(id, kind, 1, on, total, off);

    // Ordered 860, 430 paid: 430 to pay. Invoiced 860 and 60 taken back: 370. Paid: settled. 60 more taken back: 60 to give back.
    [Fact]
    public void A_job_is_followed_from_its_order_to_its_last_payment()
    {
        List<Dealing> papers = [Paper("q", PaperKind.Quotation, null, 860)];
        Dealings Now() => new([.. papers], Of("GBP"));
        string? Refused(PaperKind kind, string on, decimal amount = 0) => Now().Refusal(kind, on, amount);

        Assert.Equal("q", Now().Offered!.Id);
        Assert.Contains("follows from an order", Refused(PaperKind.Invoice, "q"), StringComparison.Ordinal);
        Assert.Contains("for an order or an invoice", Refused(PaperKind.Receipt, "q", 10), StringComparison.Ordinal);
        papers.Add(Paper("o", PaperKind.Order, "q", 860));
        Assert.Contains("ordered already", Refused(PaperKind.Order, "q"), StringComparison.Ordinal);
        Assert.Null(Now().Offered);
        papers.Add(Paper("r", PaperKind.Receipt, "o", 430));
        Assert.Equal(430, Now().ToPay);
        Assert.Contains("£430.00 is left", Refused(PaperKind.Receipt, "o", 430.01m), StringComparison.Ordinal);
        Assert.Contains("no more can be paid back", Refused(PaperKind.Receipt, "o", -431), StringComparison.Ordinal);
        papers.Add(Paper("i", PaperKind.Invoice, "o", 860));
        Assert.Contains("invoiced already", Refused(PaperKind.Invoice, "o"), StringComparison.Ordinal);
        papers.Add(Paper("c", PaperKind.CreditNote, "i", 60));
        Assert.Equal((370, 370), (Now().Account.Balance, Now().ToPay));
        Assert.Contains("£800.00 of", Refused(PaperKind.CreditNote, "i", 800.01m), StringComparison.Ordinal);
        papers.Add(Paper("r2", PaperKind.Receipt, "i", 370));
        Assert.Equal(0, Now().Account.Balance);
        Assert.Contains("nothing is left", Refused(PaperKind.Receipt, "i", 1), StringComparison.Ordinal);
        papers.Add(Paper("c2", PaperKind.CreditNote, "i", 60));
        Assert.Equal(-60, Now().Account.Balance);
        Assert.Null(Refused(PaperKind.Receipt, "i", -60));
        // Wholly taken back, it may be invoiced anew.
        papers.Add(Paper("c3", PaperKind.CreditNote, "i", 740));
        Assert.Null(Now().Invoice);
        Assert.Null(Refused(PaperKind.Invoice, "o"));
    }

    [Fact]
    public void What_was_declined_or_cancelled_leads_to_nothing()
    {
        var declined = new Dealings([Paper("q", PaperKind.Quotation, null, 10, off: true)], Of("GBP"));
        Assert.Null(declined.Offered);
        Assert.Contains("declined", declined.Refusal(PaperKind.Order, "q", 0), StringComparison.Ordinal);
        var cancelled = new Dealings(
            [Paper("q", PaperKind.Quotation, null, 10), Paper("o", PaperKind.Order, "q", 10, off: true)],
            Of("GBP")
        );
        Assert.Null(cancelled.Order);
        Assert.NotNull(cancelled.Refusal(PaperKind.Invoice, "o", 0));
        Assert.Null(cancelled.Refusal(PaperKind.Order, "q", 0));
    }
}
