using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Cloth;

/// <summary>
/// A job's cloth read: usable width <c>U</c> = width less both selvedges (craft §10), the shop's step and the safety
/// margin.
/// Field keys are <c>cloths.ID.width</c> and so on.
/// </summary>
public sealed partial class ClothReading
{
    private static readonly LengthLimits Width = new(Length.Inches(4), Length.Inches(240), "54", "137");
    private static readonly LengthLimits Step = new(
        Length.Millimetres(1),
        Length.Millimetres(10_000),
        "1/8 yd",
        "0.1 m"
    );

    private static readonly LengthLimits RepeatLimits = new(Length.Zero, Length.Inches(120), "12 1/2", "32");
    private static readonly LengthLimits FlawLimits = new(Length.Zero, Length.Millimetres(200_000), "20", "50");

    private readonly decimal across,
        along;
    private readonly int decimals;
    private readonly Stage stage = Stage.Lay;
    private readonly decimal? price;
    private readonly IReadOnlyList<(Length From, decimal? Price)> prices;

    /// <summary>
    /// Reads <paramref name="cloth"/>, prices with so many <paramref name="decimals"/> at the most; what cannot be read
    /// stands in <see cref="Problems"/>.
    /// </summary>
    public ClothReading(JobCloth cloth, JobUnit unit, int decimals = 2)
    {
        Cloth = cloth;
        this.decimals = decimals;
        var width = Read("width", cloth.Width, Width);
        var selvedge = Read("selvedge", cloth.Selvedge, LengthLimits.Allowance);
        var (across, along) = (
            Percent("shrinksAcross", cloth.ShrinksAcross),
            Percent("shrinksAlong", cloth.ShrinksAlong)
        );
        (Selvedge, this.across, this.along) = (selvedge, across, along);
        // On the table the cloth lies as it is, washed or not.
        var measured = Optional("measuredWidth", cloth.MeasuredWidth, Width);
        Usable =
            (
                measured.IsPositive
                    ? Working.Of("measured width", "width on the table", measured)
                    : Working.Of("cloth width", "width of the cloth", width)
            ) - (2 * Working.Of("selvedge", "one selvedge", selvedge));
        if (across > 0 && !measured.IsPositive)
            Usable = new Percentage(100 - across, Usable).As("washed width", "usable width once washed");
        if (cloth.ArticleLength is { } whole)
        {
            Article =
                Working.Of("article length", "length of one", Read("articleLength", whole, LengthLimits.Item))
                - (2 * Working.Of("edge", "cut off along an edge", selvedge));
            if (along > 0)
                Article = new Percentage(100 - along, Article).As("washed length", "usable length once washed");
        }
        ForLay = new LayCloth(Usable.Value, cloth.LiesOneWay, Article?.Value)
        {
            Gap = Optional("gap", cloth.Gap, LengthLimits.Allowance),
            // What is laid has been washed: repeats and flaws have shrunk with the cloth (craft §10).
            Repeat = ReadRepeat(),
            Spread = cloth.Spread,
            StockLengths = [.. cloth.Stock.Select((remnant, at) => ReadRemnant(remnant, $"stock.{at}"))],
        };
        // Flaws are those of what is bought: behind the remnants.
        ForLay = ForLay with
        {
            Flaws =
            [
                .. cloth
                    .Flaws.Select((flaw, at) => ReadFlaw(flaw, $"flaws.{at}"))
                    .Select(flaw => flaw with { FromEnd = flaw.FromEnd + ForLay.Stock }),
            ],
        };
        if (Problems.Count == 0 && !(Usable.Value.IsPositive && Article?.Value is null or { IsPositive: true }))
            Problems.Add(
                Wrong(
                    "selvedge",
                    cloth.Selvedge.Typed,
                    cloth.ArticleLength is null
                        ? "both selvedges together take the whole width"
                        : "what is cut off along the edges takes the whole article",
                    unit.IsInches() ? "1/2" : "1.2"
                )
            );
        Skew = Optional("skew", cloth.Skew, LengthLimits.Allowance);
        var (length, squaring) = (
            Optional("measuredLength", cloth.MeasuredLength, LengthLimits.Cloth),
            Optional("squaring", cloth.Squaring, RepeatLimits)
        );
        if (length.IsPositive && squaring >= length)
            Problems.Add(
                Wrong("squaring", cloth.Squaring!.Typed, "squaring took the whole length", unit.IsInches() ? "1" : "3")
            );
        else if (length.IsPositive)
            RollEnd = length - squaring;
        Problems.AddRange(Unfit());
        CanBeLaid = Problems.Count == 0;
        stage = Stage.Buy;
        BuyingStep = Read("step", cloth.Step, Step);
        Margin = Read("margin", cloth.Margin, LengthLimits.Cloth);
        LeastCut = Optional("leastCut", cloth.LeastCut, LengthLimits.Cloth);
        price = ReadPrice("price", cloth.Price);
        prices =
        [
            .. cloth
                .Prices.Select(
                    (each, at) =>
                        (
                            Read($"prices.{at}.from", each.From, LengthLimits.Cloth),
                            ReadPrice($"prices.{at}.price", each.Price)
                        )
                )
                .OrderBy(each => each.Item1),
        ];
        Look = ClothLook.Of(cloth, ForLay.Repeat, unit, Problems);
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

    /// <summary>What it is drawn with.</summary>
    public ClothLook Look { get; }

    /// <summary>What a lay must know of it.</summary>
    public LayCloth ForLay { get; }

    /// <summary>One selvedge.</summary>
    public Length Selvedge { get; }

    /// <summary>Whether washing takes something of its length.</summary>
    public bool Shrinks => along > 0;

    /// <summary>The length to cut before washing for so much of washed cloth: divided by 1 - p (craft §10).</summary>
    public Length BeforeWashing(Length washed) => along == 0 ? washed : washed.Scaled(100 / (100 - along));

    /// <summary>What washing leaves of so much cloth.</summary>
    public Length AfterWashing(Length bought) => Washed(bought, along);

    /// <summary>The width, selvedges included, of cloth of this kind that would hold a piece so wide.</summary>
    public Length WidthFor(Length piece) => piece.Scaled(100 / (100 - across)) + (2 * Selvedge);

    /// <summary>
    /// Whether its usable width is known; a wrong price or step does not keep pieces from being laid.
    /// </summary>
    public bool CanBeLaid { get; }

    /// <summary>How far the print is off square from selvedge to selvedge.</summary>
    public Length Skew { get; }

    /// <summary>Whether that is over 1/2 in, and so to be told (craft §10).</summary>
    public bool IsSkewed => Skew > Length.Inches(0, 1, 2);

    /// <summary>How much of it lies on the table, squared; null where that was not measured.</summary>
    public Length? RollEnd { get; }

    /// <summary>
    /// The price of one yard or metre (of one, for articles) when so much is bought; null while none is entered.
    /// </summary>
    public decimal? PriceFor(Length bought) =>
        prices.LastOrDefault(each => each.From <= bought && each.Price is not null).Price ?? price;

    /// <summary>Lengths from which on another price holds, ascending.</summary>
    public IEnumerable<Length> PriceSteps => prices.Select(each => each.From);

    /// <summary>The least that the shop cuts; zero for one step.</summary>
    public Length LeastCut { get; }

    /// <summary>What the shop cuts in.</summary>
    public Length BuyingStep { get; }

    /// <summary>Added to the need before rounding up; zero by default.</summary>
    public Length Margin { get; }

    // More than a quarter lost in washing is a slip of the pen, or no cloth to make covers of.
    private decimal Percent(string field, string typed)
    {
        var given = typed.Trim().TrimEnd('%').Trim();
        if (given.Length == 0)
            return 0;
        if (
            OneOrTwoDigits().IsMatch(given)
            && decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture) is <= 25 and var percent
        )
            return percent;
        Problems.Add(
            Wrong(field, typed, "shrinkage is a number of per cent from 0 to 25: wash a sample and measure it", "5")
        );
        return 0;
    }

    private decimal? ReadPrice(string field, string typed)
    {
        var given = typed.Trim();
        if (given.Length == 0)
            return null;
        if (WholeAndPart().Match(given) is { Success: true } match && match.Groups["part"].Length <= decimals)
            return decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture);
        Problems.Add(Wrong(field, typed, "a price is needed, up to 999999.99, or nothing", "24.50"));
        return null;
    }

    [GeneratedRegex(@"^[0-9]{1,2}([.,][0-9]{1,2})?$")]
    private static partial Regex OneOrTwoDigits();

    [GeneratedRegex(@"^[0-9]{1,6}([.,](?<part>[0-9]{1,3}))?$")]
    private static partial Regex WholeAndPart();

    // What is laid has been washed: repeats and flaws have shrunk with the cloth (craft §10).
    private Repeat? ReadRepeat()
    {
        var (up, wide) = (
            Optional("repeatAlong", Cloth.RepeatAlong, RepeatLimits),
            Washed(Optional("repeatAcross", Cloth.RepeatAcross, RepeatLimits), across)
        );
        if (!up.IsPositive && !wide.IsPositive)
            return null;
        var repeat = up.IsPositive ? new Repeat(Washed(up, along), wide, Cloth.HalfDrop) : Repeat.Stripes(wide);
        Length Motif(string name, Entry? entry, decimal shrinks, Length middle) =>
            string.IsNullOrWhiteSpace(entry?.Typed) ? middle : Washed(Optional(name, entry, RepeatLimits), shrinks);
        return repeat with
        {
            Motif = new(
                Motif("motifAcross", Cloth.MotifAcross, across, repeat.Motif.X),
                Motif("motifAlong", Cloth.MotifAlong, along, repeat.Motif.Y)
            ),
        };
    }

    private StockLength ReadRemnant(JobRemnant remnant, string name)
    {
        var wide = Optional($"{name}.width", remnant.Width, Width);
        return new StockLength(
            Read($"{name}.length", remnant.Length, LengthLimits.Cloth),
            wide.IsPositive ? Length.Min(Usable.Value, wide) : Usable.Value
        );
    }

    // What does not go together.
    private IEnumerable<Problem> Unfit()
    {
        if (Cloth.Stock.Count > 0 && Cloth.ArticleLength is not null)
            yield return Wrong(
                "articleLength",
                Cloth.ArticleLength.Typed,
                "remnants lie before cloth off the roll: enter a ready-made article that is there as a remnant, or what is bought as off the roll",
                ""
            );
        if (Cloth.HalfDrop && ForLay.Repeat is { Across.IsPositive: false })
            yield return Wrong(
                "repeatAcross",
                Cloth.RepeatAcross?.Typed ?? "",
                "half-drop needs the repeat across too: where the print stands half a repeat higher, often half the width",
                "27"
            );
        if (Cloth.Spread == Spread.Single)
            yield break;
        if (Cloth.Stock.Count > 0)
            yield return Wrong(
                "spread",
                "remnants",
                "remnants are laid single: fold or tear the new cloth as a cloth of its own",
                "single"
            );
        if (Cloth.Spread == Spread.Folded && ForLay.Repeat is not null)
            yield return Wrong(
                "spread",
                "a repeat",
                "the under layer of folded cloth cannot be matched to a repeat: lay it single",
                "single"
            );
        if (Cloth.Spread == Spread.Folded && Cloth.ArticleLength is not null)
            yield return Wrong("spread", "ready-made", "ready-made articles are laid single", "single");
    }

    private Patch ReadFlaw(JobFlaw flaw, string name) =>
        new(
            Washed(Read($"{name}.fromEnd", flaw.FromEnd, FlawLimits), along),
            Washed(Read($"{name}.fromSelvedge", flaw.FromSelvedge, FlawLimits), across),
            Washed(Read($"{name}.along", flaw.Along, FlawLimits), along),
            Washed(Read($"{name}.across", flaw.Across, FlawLimits), across)
        );

    private static Length Washed(Length length, decimal shrinks) =>
        shrinks == 0 ? length : length.Scaled((100 - shrinks) / 100);

    // Nothing entered is nothing asked.
    private Length Optional(string name, Entry? entry, LengthLimits limits) =>
        entry is null || string.IsNullOrWhiteSpace(entry.Typed) ? Length.Zero : Read(name, entry, limits);

    private Problem Wrong(string name, string given, string reason, string example, int position = 0) =>
        new(Field(name), given, position, reason, example) { Stage = stage };

    private string Field(string name) => $"cloths.{Cloth.Id}.{name}";

    private Length Read(string name, Entry entry, LengthLimits limits)
    {
        var (length, refusal) = Entry.Read(entry, entry.Unit, limits);
        if (refusal is not null)
            Problems.Add(Wrong(name, refusal.Given, refusal.Reason, refusal.Example, refusal.Position));
        else
            Lengths[Field(name)] = length!.Value;
        return length ?? Length.Zero;
    }
}
