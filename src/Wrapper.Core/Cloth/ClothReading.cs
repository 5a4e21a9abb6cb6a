using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>
/// A job's cloth read: usable width <c>U</c> = width less both selvedges (handbook §10), the shop's step and the safety margin.
/// Field keys are <c>cloths.ID.width</c> and so on.
/// </summary>
public sealed partial class ClothReading
{
    private static readonly LengthLimits Width = new(Length.Inches(4), Length.Inches(240), "54", "137");
    private static readonly LengthLimits Step = new(Length.Millimetres(1), Length.Millimetres(10_000), "1/8 yd", "0.1 m");

    private static readonly LengthLimits RepeatLimits = new(Length.Zero, Length.Inches(120), "12 1/2", "32");
    private static readonly LengthLimits FlawLimits = new(Length.Zero, Length.Millimetres(200_000), "20", "50");

    private readonly decimal across, along;

    /// <summary>Reads <paramref name="cloth"/>; what cannot be read stands in <see cref="Problems"/>.</summary>
    public ClothReading(JobCloth cloth, JobUnit unit)
    {
        Cloth = cloth;
        var width = Read("width", cloth.Width, Width);
        var selvedge = Read("selvedge", cloth.Selvedge, LengthLimits.Allowance);
        var (across, along) = (Percent("shrinksAcross", cloth.ShrinksAcross), Percent("shrinksAlong", cloth.ShrinksAlong));
        (Selvedge, this.across, this.along) = (selvedge, across, along);
        Usable = Working.Of("cloth width", "width of the cloth", width) - (2 * Working.Of("selvedge", "one selvedge", selvedge));
        if (across > 0) Usable = new Percentage(100 - across, Usable).As("washed width", "usable width once washed");
        if (cloth.ArticleLength is { } whole)
        {
            Article = Working.Of("article length", "length of one", Read("articleLength", whole, LengthLimits.Item)) - (2 * Working.Of("edge", "cut off along an edge", selvedge));
            if (along > 0) Article = new Percentage(100 - along, Article).As("washed length", "usable length once washed");
        }
        ForLay = new LayCloth(Usable.Value, cloth.OneWay, Article?.Value)
        {
            Gap = Optional("gap", cloth.Gap, LengthLimits.Allowance),
            // What is laid has been washed: repeats and flaws have shrunk with the cloth (handbook §10).
            Repeat = Optional("repeatAlong", cloth.RepeatAlong, RepeatLimits) is { IsPositive: true } repeat
                ? new Repeat(Washed(repeat, along), Washed(Optional("repeatAcross", cloth.RepeatAcross, RepeatLimits), across), cloth.HalfDrop)
                : null,
            Flaws = [.. cloth.Flaws.Select((flaw, at) => ReadFlaw(flaw, $"flaws.{at}"))],
        };
        if (Problems.Count == 0 && !(Usable.Value.IsPositive && Article?.Value is null or { IsPositive: true }))
            Problems.Add(new Problem(Field("selvedge"), cloth.Selvedge.Typed, 0, cloth.ArticleLength is null ? "both selvedges together take the whole width" : "what is cut off along the edges takes the whole article", unit.IsInches() ? "1/2" : "1.2"));
        CanBeLaid = Problems.Count == 0;
        BuyingStep = Read("step", cloth.Step, Step);
        Margin = Read("margin", cloth.Margin, LengthLimits.Cloth);
        Price = ReadPrice();
    }

    /// <summary>The cloth as entered.</summary>
    public JobCloth Cloth { get; }

    /// <summary>What could not be read.</summary>
    public List<Problem> Problems { get; } = [];

    /// <summary>Every length that was read, by field key.</summary>
    public Dictionary<string, Length> Lengths { get; } = [];

    /// <summary>Usable width.</summary>
    public Working Usable { get; }

    /// <summary>Usable length of one ready-made article; null for cloth off the roll.</summary>
    public Working? Article { get; }

    /// <summary>What a lay must know of it.</summary>
    public LayCloth ForLay { get; }

    /// <summary>One selvedge.</summary>
    public Length Selvedge { get; }

    /// <summary>Whether washing takes something of its length.</summary>
    public bool Shrinks => along > 0;

    /// <summary>The length to cut before washing for so much of washed cloth: divided by 1 - p (handbook §10).</summary>
    public Length BeforeWashing(Length washed) => along == 0 ? washed : washed.Scaled(100 / (100 - along));

    /// <summary>The width, selvedges included, of cloth of this kind that would hold a piece so wide.</summary>
    public Length WidthFor(Length piece) => piece.Scaled(100 / (100 - across)) + (2 * Selvedge);

    /// <summary>Whether its usable width is known; a wrong price or step does not keep pieces from being laid.</summary>
    public bool CanBeLaid { get; }

    /// <summary>The price of one yard or metre; null while none is entered.</summary>
    public decimal? Price { get; }

    /// <summary>What the shop cuts in.</summary>
    public Length BuyingStep { get; }

    /// <summary>Added to the need before rounding up; zero by default.</summary>
    public Length Margin { get; }

    // More than a quarter lost in washing is a slip of the pen, or no cloth to make covers of.
    private decimal Percent(string field, string typed)
    {
        var given = typed.Trim().TrimEnd('%').Trim();
        if (given.Length == 0) return 0;
        if (OneOrTwoDigits().IsMatch(given) && decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture) is <= 25 and var percent) return percent;
        Problems.Add(new Problem(Field(field), typed, 0, "shrinkage is a number of per cent from 0 to 25: wash a sample and measure it", "5"));
        return 0;
    }

    private decimal? ReadPrice()
    {
        var given = Cloth.Price.Trim();
        if (given.Length == 0) return null;
        if (WholeAndCents().IsMatch(given)) return decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture);
        Problems.Add(new Problem(Field("price"), Cloth.Price, 0, "a price is needed, up to 999999.99, or nothing", "24.50"));
        return null;
    }

    [GeneratedRegex(@"^\d{1,2}([.,]\d{1,2})?$")]
    private static partial Regex OneOrTwoDigits();

    [GeneratedRegex(@"^\d{1,6}([.,]\d{1,2})?$")]
    private static partial Regex WholeAndCents();

    private Flaw ReadFlaw(JobFlaw flaw, string name) => new(
        Washed(Read($"{name}.fromEnd", flaw.FromEnd, FlawLimits), along), Washed(Read($"{name}.fromSelvedge", flaw.FromSelvedge, FlawLimits), across),
        Washed(Read($"{name}.along", flaw.Along, FlawLimits), along), Washed(Read($"{name}.across", flaw.Across, FlawLimits), across));

    private static Length Washed(Length length, decimal shrinks) => shrinks == 0 ? length : length.Scaled((100 - shrinks) / 100);

    // Nothing entered is nothing asked.
    private Length Optional(string name, Entry? entry, LengthLimits limits) => entry is null || string.IsNullOrWhiteSpace(entry.Typed) ? Length.Zero : Read(name, entry, limits);

    private string Field(string name) => $"cloths.{Cloth.Id}.{name}";

    private Length Read(string name, Entry entry, LengthLimits limits)
    {
        var (length, refusal) = LengthReader.Read(entry.Typed, entry.Unit, limits);
        if (refusal is not null) Problems.Add(new Problem(Field(name), refusal.Given, refusal.Position, refusal.Reason, refusal.Example));
        else Lengths[Field(name)] = length!.Value;
        return length ?? Length.Zero;
    }
}
