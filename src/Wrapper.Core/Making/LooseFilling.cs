using System.Globalization;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Making;

/// <summary>
/// Loose filling by volume and mass (craft §4.8): outline area times depth, of a knife-edge seven tenths of it.
/// </summary>
public static class LooseFilling
{
    /// <summary>
    /// The filling of one cover; <paramref name="density"/> in kilograms a cubic metre, as the filling's maker states
    /// it.
    /// </summary>
    public static Notion Of(Outline outline, Length depth, int density, bool knifeEdge)
    {
        var cubicMetres = outline.AreaSquareMetres() * depth.ToMillimetres() / 1000 * (knifeEdge ? 0.7 : 1);
        var (litres, kilograms) = (
            (cubicMetres * 1000).ToString("0.0", CultureInfo.InvariantCulture),
            (cubicMetres * density).ToString("0.00", CultureInfo.InvariantCulture)
        );
        return new Notion("filling", "loose filling", null, Note: $"at {density} kg in a cubic metre")
        {
            Amount = $"{litres} litres, {kilograms} kg",
            Litres = (decimal)(cubicMetres * 1000),
            Kilograms = (decimal)(cubicMetres * density),
        };
    }
}
