using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// One piece to lay: its identity <c>item/piece/instance</c>, what it is called, its cut outline, how it may lie and
/// which of its item's cloths it is cut from.
/// </summary>
public sealed record LayPiece(
    string Id,
    string Item,
    string Piece,
    string Label,
    Outline Cut,
    Grain Grain,
    ClothRole Role = ClothRole.Face
)
{
    /// <summary>
    /// The point of its cut outline that lies on a point of the cloth's repeat; null where it need not match.
    /// </summary>
    public Point? Origin { get; init; }

    /// <summary>Whether its cut outline is the mirror image of the piece as it is drawn.</summary>
    public bool IsTurnedOver { get; init; }

    /// <summary>Whether that point lies on the motif's centre instead of the repeat's beginning.</summary>
    public bool OnMotif { get; init; }

    /// <summary>
    /// The piece matched by the lower left of its box: like pieces are cut from the same place of the repeat.
    /// </summary>
    public LayPiece AtSamePlace() =>
        Cut.Bounds() is var (left, bottom, _, _) ? this with { Origin = new Point(left, bottom) } : this;

    /// <summary>How far it reaches across the cloth after so many quarter turns.</summary>
    public Length Across(int turns)
    {
        var (left, bottom, right, top) = Cut.Bounds();
        return turns % 2 == 0 ? right - left : top - bottom;
    }

    /// <summary>How far it reaches along the roll after so many quarter turns.</summary>
    public Length Along(int turns) => Across(turns + 1);

    /// <summary>What is chalked on the cloth for it at <paramref name="at"/>.</summary>
    public ChalkMarks MarksAt(Placement at) => new(at.Y, at.Y + Along(at.Turns), at.X, at.X + Across(at.Turns));
}

/// <summary>
/// Where a piece lies: quarter turns to the left, then its box's lower left at (<paramref name="X"/>,
/// <paramref name="Y"/>), x from one selvedge, y up the roll.
/// </summary>
public sealed record Placement(string Id, int Turns, Length X, Length Y);

/// <summary>
/// Where the box of a laid piece begins and ends, from the squared end and from the selvedge that is measured from.
/// </summary>
public sealed record ChalkMarks(Length FromEnd, Length ToEnd, Length FromSelvedge, Length ToSelvedge);

/// <summary>
/// A piece that the cloth cannot take: how far it reaches across and along as it would have to lie;
/// <paramref name="Unmatched"/> where it would go on the cloth but for the repeat across.
/// </summary>
public sealed record Misfit(string Id, string Label, Length Across, Length Along, bool Unmatched = false);

/// <summary>Pieces placed on a length of cloth.</summary>
public sealed record Placed(IReadOnlyList<Placement> Placements, Length Length)
{
    /// <summary>
    /// The same lay seen from the other side of the cloth: every piece its mirror image, measured from what was the far
    /// selvedge. Outlines are to be <see cref="Outline.Mirrored"/> too.
    /// </summary>
    public Placed TurnedOver(IReadOnlyDictionary<string, LayPiece> pieces, Length usable) =>
        this with
        {
            // To turn and then mirror is the same as to mirror and then turn the other way.
            Placements =
            [
                .. Placements.Select(at =>
                    at with
                    {
                        Turns = (4 - at.Turns) % 4,
                        X = usable - at.X - pieces[at.Id].Across(at.Turns),
                    }
                ),
            ],
        };
}
