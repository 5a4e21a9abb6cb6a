using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Jobs;
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

    /// <summary>Reads <paramref name="cloth"/>; what cannot be read stands in <see cref="Problems"/>.</summary>
    public ClothReading(JobCloth cloth, JobUnit unit)
    {
        Cloth = cloth;
        var width = Read("width", cloth.Width, Width);
        var selvedge = Read("selvedge", cloth.Selvedge, LengthLimits.Allowance);
        Usable = Working.Of("cloth width", "width of the cloth", width) - (2 * Working.Of("selvedge", "one selvedge", selvedge));
        if (Problems.Count == 0 && !Usable.Value.IsPositive)
            Problems.Add(new Problem(Field("selvedge"), cloth.Selvedge.Typed, 0, "both selvedges together take the whole width", unit.IsInches() ? "1/2" : "1.2"));
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

    /// <summary>Whether its usable width is known; a wrong price or step does not keep pieces from being laid.</summary>
    public bool CanBeLaid { get; }

    /// <summary>The price of one yard or metre; null while none is entered.</summary>
    public decimal? Price { get; }

    /// <summary>What the shop cuts in.</summary>
    public Length BuyingStep { get; }

    /// <summary>Added to the need before rounding up; zero by default.</summary>
    public Length Margin { get; }

    private decimal? ReadPrice()
    {
        var given = Cloth.Price.Trim();
        if (given.Length == 0) return null;
        if (WholeAndCents().IsMatch(given)) return decimal.Parse(given.Replace(',', '.'), CultureInfo.InvariantCulture);
        Problems.Add(new Problem(Field("price"), Cloth.Price, 0, "a price is needed, up to 999999.99, or nothing", "24.50"));
        return null;
    }

    [GeneratedRegex(@"^\d{1,6}([.,]\d{1,2})?$")]
    private static partial Regex WholeAndCents();

    private string Field(string name) => $"cloths.{Cloth.Id}.{name}";

    private Length Read(string name, Entry entry, LengthLimits limits)
    {
        var (length, refusal) = LengthReader.Read(entry.Typed, entry.Unit, limits);
        if (refusal is not null) Problems.Add(new Problem(Field(name), refusal.Given, refusal.Position, refusal.Reason, refusal.Example));
        else Lengths[Field(name)] = length!.Value;
        return length ?? Length.Zero;
    }
}
