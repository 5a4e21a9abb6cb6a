using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>Cautions that stand where somebody can come to harm (craft §12).</summary>
internal static class Cautions
{
    /// <summary>Shears and rotary cutters, wherever cloth is cut (craft §12).</summary>
    public static readonly Remark Blades = new(
        "Shears and rotary cutters: cut away from the hand that holds the cloth, and close the blade each time it is put down.",
        Caution: true
    );

    /// <summary>Old fillings and heavy furniture, where a cover comes off and goes on.</summary>
    public static readonly Remark OldFurniture = new(
        "Old fillings shed dust and mould, some with flame retardants: ventilate and wear a mask. Lift and turn furniture with a second person. Upholstery must meet the local fire rules: ask a qualified upholsterer where in doubt.",
        Caution: true
    );

    /// <summary>Wherever pressing follows close (craft §12).</summary>
    public static readonly Remark HotIron = new(
        "Irons, steam and hot boards burn: keep hands clear of the steam, and let the board cool before its cover is changed.",
        Caution: true
    );
}
