using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>
/// A fitted table cover of a top and four sides, its corners sewn to the floor or left open over a pleat (craft §9.1).
/// </summary>
public sealed class TableFivePieces : TableCover
{
    internal static readonly OptionChoice<TableCornerSchool> Corners = Choice.Of(
        "corners",
        "Corners",
        "Corners",
        Option.Of(TableCornerSchool.Sewn, "Sewn to the floor", "Box-like and neat."),
        Option.Of(
            TableCornerSchool.Pleat,
            "Open over a pleat",
            "A separate piece behind each corner: knees and chairs get in."
        )
    );

    internal static readonly LengthChoice Insert = Choice
        .OfLength(
            "insert",
            "Pleat insert, finished across",
            "Corners",
            Length.Inches(12),
            300,
            LengthLimits.UpTo(48, "12", "30")
        )
        .AskedWhen(Corners, TableCornerSchool.Pleat);

    /// <inheritdoc/>
    public override string Key => "table-five-pieces";

    /// <inheritdoc/>
    public override IReadOnlyList<ShownAs> Shown { get; } = [new("corners", "pleat", "sewn")];

    /// <inheritdoc/>
    public override string Name => "Top and four sides";

    /// <inheritdoc/>
    public override int Rank => 20;

    /// <inheritdoc/>
    public override string Suits =>
        "The tailored school: a seam along every edge, corners sewn down or opening over a pleat. Fits narrower cloth.";

    /// <inheritdoc/>
    public override IReadOnlyList<Choice> Choices { get; } = [Corners, Insert, GrainChoices.Panels, WidthJoins.School];

    /// <inheritdoc/>
    public override Pattern Draft(Reading reading)
    {
        var (w, l, drop) = (reading[TableCover.W], reading[TableCover.L], reading[TableCover.H]);
        var open = reading.Chosen(Corners) is TableCornerSchool.Pleat;
        var grain = reading.Chosen(GrainChoices.Panels);
        Working Edge(string piece, string edge) =>
            edge == "lower"
                ? reading.Own(piece, edge, Hem(reading))
                : reading.EdgeAllowance(EdgeAllowances.Seam, piece, edge);
        Piece Panel(string key, string name, int quantity, Working width, Working high) =>
            Plain.Rectangle(key, name, quantity, width, high, edge => Edge(key, edge), "width", "height") with
            {
                MayBeJoined = true,
                Grain = grain,
            };
        List<Piece> pieces =
        [
            Plain.Rectangle("top", "top", 1, w, l, edge => reading.EdgeAllowance(EdgeAllowances.Seam, "top", edge)) with
            {
                MayBeJoined = true,
                Grain = grain,
            },
            Panel("front", "side, front and back", 2, w, drop) with
            {
                Note = "Stop the upper seam one seam allowance short of each corner.",
            },
            Panel("side", "side, left and right", 2, l, drop) with
            {
                Note = "Stop the upper seam one seam allowance short of each corner.",
            },
        ];
        (string Piece, int At)[] round = [("front", 1), ("side", 1), ("front", 2), ("side", 2)];
        List<Seam> seams =
        [
            .. Plain.Sides.Zip(
                round,
                (edge, under) =>
                    Plain.Join(
                        $"top to {edge switch { "lower" => "front", "upper" => "back", _ => edge }}",
                        ("top", 1, edge),
                        (under.Piece, under.At, "upper"),
                        edge is "lower" or "upper" ? w : l
                    )
            ),
        ];
        List<Use> uses =
        [
            .. Plain.Unsewn(EdgeUse.Hem, "front", 2, "lower").Select(use => Of(use, w)),
            .. Plain.Unsewn(EdgeUse.Hem, "side", 2, "lower").Select(use => Of(use, l)),
        ];
        if (open)
        {
            var insert = Working.Of("insert", "pleat insert", reading[Insert]);
            pieces.Add(
                Panel("insert", "pleat insert", 4, insert, drop) with
                {
                    MayBeJoined = false,
                    Note = "Its middle lies at the corner; its upper edge is caught behind the top seam.",
                }
            );
            uses.AddRange(
                Plain
                    .Unsewn(EdgeUse.Hem, "insert", 4, "lower")
                    .Concat(Plain.Unsewn(EdgeUse.Caught, "insert", 4, "upper"))
                    .Select(use => Of(use, insert))
            );
        }
        List<Tuck> tucks = [];
        for (var at = 0; at < 4; at++)
        {
            var ((piece, instance), (next, nextAt)) = (round[at], round[(at + 1) % 4]);
            if (!open)
                seams.Add(Plain.Join($"corner {at + 1}", (piece, instance, "right"), (next, nextAt, "left"), drop));
            else
            {
                tucks.Add(
                    Tuck.BehindCorner(
                        "insert",
                        at + 1,
                        (piece, instance, (piece == "front" ? w : l).Value),
                        (next, nextAt),
                        reading[Insert],
                        drop.Value,
                        folded: true
                    )
                );
                seams.Add(
                    Plain.Join(
                        $"corner {at + 1}, to the insert",
                        (piece, instance, "right"),
                        ("insert", at + 1, "left"),
                        drop
                    )
                );
                seams.Add(
                    Plain.Join(
                        $"corner {at + 1}, from the insert",
                        ("insert", at + 1, "right"),
                        (next, nextAt, "left"),
                        drop
                    )
                );
            }
        }
        return new Pattern
        {
            Pieces = pieces,
            Seams = seams,
            Uses = uses,
            Tucks = tucks,
            Finished = [("finished width", w), ("finished length", l), ("finished drop", drop), ("hem", 2 * (w + l))],
            Steps =
            [
                Step.Cutting("Cut the top and the four sides; mark the middles."),
                new(
                    open
                        ? "Sew an insert between each two sides; finish the seams."
                        : "Sew the four sides into a ring; finish the seams.",
                    [
                        .. seams
                            .Select(seam => seam.Name)
                            .Where(name => name.StartsWith("corner", StringComparison.Ordinal)),
                    ]
                ),
                new(
                    "Sew the ring to the top, one side at a time, stopping one seam allowance short of each corner.",
                    [.. seams.Select(seam => seam.Name).Where(name => name.StartsWith("top", StringComparison.Ordinal))]
                ),
                .. TryingOn.Hem,
            ],
            Remarks = [.. Usually(reading)],
        };

        static Use Of(Use use, Working drafted) => use with { Run = use.Run with { Drafted = drafted.Value } };
    }
}

/// <summary>The answers to: Corners.</summary>
internal enum TableCornerSchool
{
    Sewn,
    Pleat,
}
