using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Covers.Shared;

/// <summary>The allowances that most make-ups use, by the kind of edge, with their usual sizes (craft §3).</summary>
internal static class EdgeAllowances
{
    public static readonly AllowanceDeclaration Seam = new(
        "s",
        "Seam allowance",
        AllowanceRole.Seam,
        Length.Inches(0, 1, 2),
        Length.Millimetres(15)
    );

    public static readonly AllowanceDeclaration Zip = new(
        "z",
        "Zip allowance",
        AllowanceRole.Zip,
        Length.Inches(0, 3, 4),
        Length.Millimetres(20)
    );

    /// <summary>
    /// A hem, or one fold of it; <paramref name="adjustable"/> is by how much it may be less where that saves cloth.
    /// Cloth and purpose say how deep a hem is, so each make-up names its usual sizes.
    /// </summary>
    public static AllowanceDeclaration Hem(
        string symbol,
        string name,
        Length inches,
        Length metric,
        Length adjustable = default
    ) => new(symbol, name, AllowanceRole.Hem, inches, metric) { Adjustable = adjustable };
}
