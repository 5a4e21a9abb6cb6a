using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A fitted table cover from one sheet with boxed corners and a double hem below the drop (craft §9.2).
/// </summary>
public sealed class TableOnePiece : TableCover
{
    /// <inheritdoc/>
    public override string Key => "table-one-piece";

    /// <inheritdoc/>
    public override string Name => "One piece, corners boxed";

    /// <inheritdoc/>
    public override int Rank => 21;

    /// <inheritdoc/>
    public override string Suits =>
        "One sheet, four corner seams: quick, and the pattern runs over the edge unbroken. Takes wide cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } =
    [BoxedSheet.Corners, GrainChoices.Panels, WidthJoins.School];

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var sheet = BoxedSheet.BySchool(
            reading,
            RectangleShape.Of(reading[TableCover.W], reading[TableCover.L], Sum.Of()),
            reading[TableCover.H],
            "sheet"
        );
        var piece = sheet.Piece("sheet", "sheet", 1, side => reading.Own("sheet", side, Hem(reading))) with
        {
            Grain = reading.Chosen(GrainChoices.Panels),
            MayBeJoined = true,
        };
        List<Seam> seams = [.. sheet.CornerSeams("sheet", 1, "")];
        return new Pattern
        {
            Pieces = [piece],
            Seams = seams,
            Uses =
            [
                .. sheet.Sides.Select(side => new Use(
                    EdgeUse.Hem,
                    new Run("sheet", 1, side) { Drafted = sheet.Top.Lengths[side].Value }
                )),
            ],
            Finished =
            [
                ("finished width", sheet.Top.Width),
                ("finished length", sheet.Top.Depth),
                ("finished drop", sheet.Fall),
                ("hem", sheet.Top.Perimeter),
            ],
            Steps =
            [
                Step.Cutting(
                    piece.UncutShape is null
                        ? "Cut the sheet and its corners."
                        : "Cut the sheet as it is; mark the corner lines."
                ),
                new(
                    "Sew the corners, right sides together, down to the hem line; finish them.",
                    [.. seams.Select(seam => seam.Name)]
                ),
                .. TryingOn.Hem,
            ],
            Remarks = [.. sheet.Remarks(reading, piece), .. Usually(reading)],
        };
    }
}
