using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A mattress or futon cover with a gusset all round: the tailored box of craft §4.1, loose, its panels joined where
/// the cloth is narrower (§7.1).
/// </summary>
public sealed class MattressGusset : BoxCushionStrip
{
    /// <inheritdoc/>
    public override string Key => "mattress-gusset";

    /// <inheritdoc/>
    public override string Name => "Mattress cover with a gusset";

    /// <inheritdoc/>
    public override string Family => Bedding.Family;

    /// <inheritdoc/>
    public override int Rank => 11;

    /// <inheritdoc/>
    public override string Suits =>
        "The tailored school: a gusset all round, rounded corners, and a zip that turns two of them.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [.. Mattress.Loosely(BoxedChoices), Bedding.UsedFor, WidthJoins.School];

    private protected override bool JoinsPanels => true;
}

/// <summary>A mattress or futon cover of two panels, corners stitched off: craft §4.3, loose (§7.1).</summary>
public sealed class MattressStitchedOff : BoxCushionTwoPanels
{
    /// <inheritdoc/>
    public override string Key => "mattress-stitched-off";

    /// <inheritdoc/>
    public override string Name => "Mattress cover, corners stitched off";

    /// <inheritdoc/>
    public override string Family => Bedding.Family;

    /// <inheritdoc/>
    public override int Rank => 12;

    /// <inheritdoc/>
    public override string Suits =>
        "The quick school for futons and soft mattresses: two panels, a seam at mid-depth, corners stitched across.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [.. Mattress.Loosely(PanelChoices), Bedding.UsedFor, WidthJoins.School];

    private protected override bool JoinsPanels => true;
}

/// <summary>What covers of mattresses change in the choices of a cushion.</summary>
internal static class Mattress
{
    /// <summary>
    /// They are pulled on and off: the loose school is usual, without cord, the boxing in three lengths,
    /// corners stitched off.
    /// </summary>
    public static IEnumerable<Choice> Loosely(IEnumerable<Choice> choices) =>
        choices.Select(choice =>
            choice == EaseSchools.School ? EaseSchools.School.StartingWith(EaseSchool.Loose)
            : choice == Cord.Corded ? Cord.Corded.StartingWith(Cording.None)
            : choice == EaseSchools.Inner ? EaseSchools.Inner.StartingWith(InnerSource.Kept)
            : choice == BoxedSheet.Corners ? BoxedSheet.Corners.StartingWith(CornerSchool.StitchOff)
            : choice == BoxCushionStrip.Lengths ? BoxCushionStrip.Lengths with { Default = "3" }
            : choice
        );
}
