using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Making;
using Wrapper.Core.Planning;
using Wrapper.Core.Words;
using Wrapper.Core.Workroom.Money;
using Wrapper.Core.Workroom.Pricing;

namespace Wrapper.Core.Tests;

/// <summary>What a job costs and what is asked for it, worked by hand from what is bought and how long it takes.</summary>
public class EstimateCases
{
    private static readonly Vocabulary Plain = new(new Dictionary<string, string>());

    private static readonly PriceBook Book = new()
    {
        LabourRate = "60",
        Rows =
        [
            new("a", "cord", "0.65", PricedBy.Yard),
            new("b", "Zip chain", "2.20", PricedBy.Yard),
            new("c", "foam", "0.42", PricedBy.Litre),
            new("d", "thread", "0", PricedBy.Each),
        ],
        Waste = "5",
        Sundries = "3",
    };

    // The cushions of the shopping list's test: cord 19 3/4 yd, chain 3 3/4 yd, two blocks of foam and one.
    private static JobDocument Job() =>
        JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items =
            [
                Items.Example("box-cushion-strip") with
                {
                    Id = "i0",
                    Name = "Bench",
                    Quantity = "2",
                },
                Items.Of("box-cushion-strip", JobUnit.Inch, ("W", "20"), ("L", "20"), ("T", "3")) with
                {
                    Id = "i1",
                    Name = "Stool",
                },
            ],
            Cloths = [JobCloth.Usual("c", "Slate twill", JobUnit.Inch) with { Price = "38.50" }],
        };

    private static Estimate Reckon(PriceBook book, PriceSheet? sheet = null, JobDocument? job = null)
    {
        job ??= Job();
        return Estimate.Of(
            Plan.Of(job, Items.Drafting, lay: true),
            job,
            new BookReading(book),
            sheet ?? new(),
            Pace.Usual
        );
    }

    [Fact]
    public void Costs_are_what_is_bought_at_its_price()
    {
        var estimate = Reckon(Book);
        decimal Value(string name) => Assert.Single(estimate.Costs, cost => cost.Name == name).Value;
        Assert.True(estimate.IsWhole);
        Assert.Equal(12.84m, Value("cord")); // 19.75 x 0.65 = 12.8375
        Assert.Equal(8.25m, Value("zip chain")); // 3.75 x 2.20
        // 2 x 46.5 x 19.25 x 4 + 20 x 20 x 3 = 8361 cubic inches = 137.0122 litres, at 0.42 = 57.5451.
        Assert.Equal(57.55m, Value("foam"));
        Assert.Equal(3.93m, Value("waste")); // 5 % of 78.64 = 3.932
        var bought = Plan.Of(Job(), Items.Drafting, lay: true).Cloths[0].Buying!.Bought;
        var cloth = decimal.Round(bought.Ticks * 38.50m / Length.Inches(36).Ticks, 2, MidpointRounding.AwayFromZero);
        Assert.Equal(cloth, Value("Slate twill"));
        Assert.Equal(
            decimal.Round((cloth + 78.64m + 3.93m) * 0.03m, 2, MidpointRounding.AwayFromZero),
            Value("sundries")
        );
        // At sixty an hour a minute is one.
        var minutes = Plan.Of(Job(), Items.Drafting, lay: false)
            .Items.Sum(item => Minutes.Of(item.Draft.Pattern!, Pace.Usual) * item.Quantity);
        Assert.Equal(minutes, estimate.Costs.Where(cost => cost.Kind == CostKind.Labour).Sum(cost => cost.Value));
    }

    // A margin of 20 % of the price is a quarter on the cost; a tenth for the rush; and a fifth of tax.
    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void The_price_follows_from_the_cost_and_its_lines_add_up_to_it(bool included)
    {
        var estimate = Reckon(
            Book with
            {
                Margin = "20",
                Rush = "10",
                Taxes = [new("v", "VAT", "20")],
                TaxIncluded = included,
            },
            new() { IsRush = true, Extras = [new("e", "Delivery", "45"), new("f", "Thank you", "-20.50")] }
        );
        static decimal Round(decimal amount) => decimal.Round(amount, 2, MidpointRounding.AwayFromZero);
        var price = Round(Round(estimate.Cost * 1.25m) * 1.1m);
        var shown = included ? Round(price * 1.2m) : price;
        Assert.Equal(shown + 24.50m, estimate.Lines.Sum(line => line.Amount));
        Assert.Equal(["Bench", "Stool", "Delivery", "Thank you"], estimate.Lines.Select(line => line.Text));
        Assert.Equal(included ? shown + 24.50m : Round((shown + 24.50m) * 1.2m), estimate.Totals.Total);
        Assert.Equal(estimate.Cost + estimate.Steps.Sum(step => step.Value), shown);
        // Two large cushions take more of everything than one small one.
        Assert.True(estimate.Lines[0].Amount > estimate.Lines[1].Amount);
    }

    [Fact]
    public void What_has_no_price_is_asked_for_and_nothing_is_left_out_in_silence()
    {
        var job = Job();
        job = job with
        {
            Cloths = [job.Cloths[0] with { Price = "" }],
            Items =
            [
                .. job.Items,
                job.Items[1] with
                {
                    Id = "i2",
                    Name = "Odd",
                    Measures = new Dictionary<string, Entry>(),
                },
            ],
            Currency = "$",
        };
        var estimate = Reckon(new PriceBook(), job: job);
        Assert.Equal(["cord", "foam", "thread", "zip chain"], estimate.Unpriced.Select(each => each.Thing).Order());
        Assert.Contains(PricedBy.CubicFoot, estimate.Unpriced.First(each => each.Thing == "foam").By);
        Assert.Equal(
            ["items.i2", "currency", "cloths.c.price", "labourRate"],
            estimate.Problems.Select(problem => problem.Field)
        );
        Assert.False(estimate.IsWhole);
    }

    [Fact]
    public void What_cannot_be_read_in_the_book_is_told_field_by_field()
    {
        var reading = new BookReading(
            new PriceBook
            {
                Currency = "XYZ",
                LabourRate = "much",
                Rows =
                [
                    new("a", "cord", "x", PricedBy.Each),
                    new("b", "", "1", PricedBy.Each),
                    new("c", "zip", "1", PricedBy.Each),
                    new("d", "ZIP ", "2", PricedBy.Each),
                ],
                Margin = "95",
                Taxes = [new("t", "", "")],
                ValidDays = "soon",
            }
        );
        Assert.Equal(
            [
                "currency",
                "labourRate",
                "rows.a.price",
                "rows.b.thing",
                "rows.d.thing",
                "margin",
                "taxes.t.name",
                "taxes.t.percent",
                "validDays",
            ],
            reading.Problems.Select(problem => problem.Field)
        );
        Assert.Equal(1, reading.PriceOf(" Zip")!.Amount);
    }

    // The same job drafted without cord by hand costs what the option says.
    [Fact]
    public void An_option_is_the_job_reckoned_anew_with_one_answer_changed()
    {
        var sheet = new PriceSheet { Options = [new("o", "i0", "cord", "none"), new("p", "gone", "cord", "none")] };
        var offer = Offer.Of(Job(), Items.Drafting, new(Book), sheet, Pace.Usual, Plain);
        var job = Job();
        var bare = job.Items[0] with
        {
            Choices = new Dictionary<string, Entry>(job.Items[0].Choices) { ["cord"] = new("none", JobUnit.Inch) },
        };
        var otherwise = Reckon(Book, job: job with { Items = [bare, job.Items[1]] });
        var option = Assert.Single(offer.Options);
        Assert.Equal(Sum.Of(otherwise.Totals.Total, Currency.Usual), option.Sum.Total);
        Assert.Equal("Bench: No cord", option.Text);
        Assert.Equal(
            $"{Currency.Usual.Text(offer.First.Totals.Total - otherwise.Totals.Total)} less",
            option.Difference
        );
        Assert.Equal("options.p", Assert.Single(offer.Problems).Field);
        Assert.Contains("Cord on both edges", offer.Lines[0].Told);
        Assert.Contains("46 1/2 x 19 1/4 x 3 3/4 in, finished", offer.Lines[0].Told);
        Assert.DoesNotContain(option.Lines[0].Told, told => told.Contains("ord", StringComparison.Ordinal));
    }

    // 1000 at 50 %: a deposit of 500; the option of 800 that was ordered: 400. Paid 400, 400 are due in fourteen days.
    [Fact]
    public void Papers_take_over_word_for_word_what_stands_on_the_one_before()
    {
        var gbp = Currency.Usual;
        PaperSum Of(decimal total) => PaperSum.Of(Totals.Of([total], new([new("VAT", 25)], Included: true), gbp), gbp);
        var day = new DateOnly(2026, 3, 2);
        var quotation = new PaperHead("Heron Loft", new("Mill Lane", "3 Mill Lane"), "Sofa").Paper(
            PaperKind.Quotation,
            day,
            new(Book with { Taxes = [new("v", "VAT", "25")], TaxIncluded = true }),
            "",
            [new("i0", "Sofa", ["with cord"], 1, Sum.Of(1000, gbp))],
            Of(1000)
        ) with
        {
            Number = 7,
            Deposit = Sum.Of(500, gbp),
            Options = [new("o", "No cord", [new("i0", "Sofa", [], 1, Sum.Of(800, gbp))], Of(800), "£200.00 less")],
        };
        Assert.Equal("Q-0007", quotation.Called);
        var order = FollowUp.Order(quotation, "o", day) with { Number = 3 };
        Assert.Equal(
            ("Q-0007", "No cord", "£400.00", "£800.00"),
            (order.BasedOn, order.Chosen, order.Deposit!.Text, order.Sum.Total.Text)
        );
        Assert.Throws<ArgumentException>(() => FollowUp.Order(quotation, "x", day));
        var receipt = FollowUp.Receipt(order, 400, 400, "card", day) with { Number = 1 };
        Assert.Equal(
            ("Deposit on O-0003", "£400.00", "R-0001"),
            (receipt.Lines[0].Text, receipt.Due!.Text, receipt.Called)
        );
        var invoice = FollowUp.Invoice(
            order,
            [new("R-0001", receipt.Date, receipt.Sum.Total)],
            day.AddDays(20),
            14
        ) with
        {
            Number = 2,
        };
        Assert.Equal(
            ("£400.00", "2026-04-05", "£160.00"),
            (invoice.Due!.Text, invoice.Until, invoice.Sum.Taxes[0].Amount.Text)
        );
        // A hundred of the eight hundred: a fifth of it is tax.
        var credit = FollowUp.CreditNote(invoice, 100, 300, "cut too short", day);
        Assert.Equal(
            ("£80.00", "£20.00", "£100.00", "£300.00"),
            (credit.Sum.Net.Text, credit.Sum.Taxes[0].Amount.Text, credit.Sum.Total.Text, credit.Due!.Text)
        );
        Assert.Equal("C-0004", (credit with { Number = 4 }).Called);
    }
}
