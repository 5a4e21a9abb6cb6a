using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>How one kind of piece is matched: what holds, and the piece that it can follow, if there is one.</summary>
public sealed record PieceMatch(ItemPlan Item, Piece Piece, Match Match, Piece? Leader);

/// <summary>
/// Gives every piece of a cloth with a repeat the point that is matched (craft §10): its box's lower left, its middle,
/// or the point where the print of the piece that it
/// is sewn to runs on. Covers in line continue each other's print at their finished width.
/// </summary>
internal sealed class Matching
{
    private readonly Dictionary<
        (ItemPlan, string Piece),
        (PieceMatch Match, (Piece Leader, int Instance, Point Own, Point Theirs)? Leader)
    > known = [];
    private readonly Dictionary<(string Panel, int Cover), (Point Origin, bool OnMotif)> line;

    private readonly MotifPlaces places;

    private bool putElsewhere;

    private Matching(IReadOnlyList<CutPiece> cut, MotifPlaces places)
    {
        this.places = places;
        line = InLine(cut);
    }

    // The maker's choice for a piece comes first; without one its grain and its seams decide.
    private static PieceMatch Of(ItemPlan item, Piece piece, Piece? leader)
    {
        var usual =
            piece.Grain == Grain.Either ? Match.Free
            : leader?.Grain == piece.Grain ? Match.Follows
            : Match.Same;
        var match = item.Item.Matches.GetValueOrDefault(piece.Key, usual);
        return new PieceMatch(item, piece, match == Match.Follows && leader is null ? Match.Same : match, leader);
    }

    /// <summary>
    /// The pieces of one cloth with their origins, how each kind is matched, and the cloth's repeat begun where the
    /// largest of them is cut from the squared end. Where motifs are to lie is read by <paramref name="places"/>.
    /// </summary>
    public static (List<LayPiece> Pieces, IReadOnlyList<PieceMatch> Matches, Repeat? Repeat) Apply(
        IReadOnlyList<CutPiece> cut,
        LayCloth cloth,
        MotifPlaces places
    )
    {
        if (cloth.Repeat is not { } repeat)
            return ([.. cut.Select(each => each.Lay)], [], null);
        var matching = new Matching(cut, places);
        // What follows a piece that was put elsewhere follows it there.
        List<LayPiece> pieces;
        do
        {
            matching.putElsewhere = false;
            pieces = [.. cut.Select(each => matching.Fitting(each, cloth))];
        } while (matching.putElsewhere);
        var first = pieces.Where(piece => piece.Origin is not null).MaxBy(piece => piece.Cut.AreaSquareMetres());
        return (
            pieces,
            [
                .. cut.DistinctBy(each => (each.Item, each.Piece.Key))
                    .Select(each => matching.known[(each.Item, each.Piece.Key)].Match),
            ],
            first is null ? repeat : repeat with { From = Grid.Beginning(first, repeat) }
        );
    }

    // What nobody asked to run on, and cannot between these selvedges, starts at the same place as its like.
    private LayPiece Fitting(CutPiece cut, LayCloth cloth)
    {
        var matched = Matched(cut);
        var one = known[(cut.Item, cut.Piece.Key)];
        if (
            one.Match.Match != Match.Follows
            || cut.Item.Item.Matches.ContainsKey(cut.Piece.Key)
            || !PieceKind.Of(matched, cloth.WithGap()).IsUnmatched
        )
            return matched;
        known[(cut.Item, cut.Piece.Key)] = (one.Match with { Match = Match.Same }, null);
        putElsewhere = true;
        return cut.Lay.AtSamePlace();
    }

    private LayPiece Matched(CutPiece cut)
    {
        if (!known.TryGetValue((cut.Item, cut.Piece.Key), out var one))
        {
            var leader = Following.Of(cut.Item.Draft.Pattern!, cut.Piece);
            known[(cut.Item, cut.Piece.Key)] = one = (Of(cut.Item, cut.Piece, leader?.Leader), leader);
        }
        if (one.Match.Match == Match.Free)
            return cut.Lay;
        if (one.Match.Match == Match.Follows && one.Leader is var (led, instance, own, theirs))
        {
            // The piece of the same cover that this one runs on from, turned over if this one is.
            var leader = Matched(
                cut with
                {
                    Piece = led,
                    Instance = (cut.Cover * led.Quantity) + instance,
                    Lay = cut.Lay with { Cut = cut.Mirrored ? led.Cut.Mirrored() : led.Cut },
                }
            );
            if (leader.Origin is not { } origin)
            {
                // What need not match has no print to run on from.
                known[(cut.Item, cut.Piece.Key)] = (one.Match with { Match = Match.Same }, null);
                return cut.Lay.AtSamePlace();
            }
            var along = own.X - theirs.X;
            return cut.Lay with
            {
                Origin = origin.Moved(cut.Mirrored ? -along : along, own.Y - theirs.Y),
                OnMotif = leader.OnMotif,
                Grain = led.Grain,
            };
        }
        var placed = line.TryGetValue(($"{cut.Item.Item.Id}/{cut.Piece.Key}", cut.Cover), out var inLine);
        if (!placed && one.Match.Match == Match.Same)
            return cut.Lay.AtSamePlace();
        var (point, onMotif) = placed ? inLine : (places.Of(cut.Item, cut.Piece, one.Match.Match), true);
        return cut.Lay with { Origin = cut.Mirrored ? new Point(-point.X, point.Y) : point, OnMotif = onMotif };
    }

    /// <summary>The panel of a cover: its largest piece.</summary>
    public static Piece PanelOf(ItemPlan item) =>
        item.Draft.Pattern!.Pieces.MaxBy(piece => piece.Cut.AreaSquareMetres())!;

    // Panels (the largest piece of a cover) of items in line, one after another: the first one's match, each further by
    // the finished width before it.
    private Dictionary<(string Panel, int Cover), (Point Origin, bool OnMotif)> InLine(IReadOnlyList<CutPiece> cut)
    {
        Dictionary<(string, int), (Point, bool)> line = [];
        (Point Offset, bool OnMotif)? first = null;
        var before = Length.Zero;
        foreach (var item in cut.Select(each => each.Item).Distinct().OrderBy(item => item.Number))
        {
            if (!item.Item.InLine)
            {
                first = null;
                continue;
            }
            var panel = PanelOf(item);
            var (left, bottom, right, _) = panel.Stitch.Bounds();
            if (first is null)
            {
                var match = item.Item.Matches.GetValueOrDefault(panel.Key);
                var onMotif = match is Match.Centred or Match.Placed;
                (first, before) = (
                    ((onMotif ? places.Of(item, panel, match) : LowerLeft(panel.Cut)).Moved(-left, -bottom), onMotif),
                    Length.Zero
                );
            }
            for (var cover = 0; cover < item.Quantity; cover++, before += right - left)
                line[($"{item.Item.Id}/{panel.Key}", cover)] = (
                    new Point(left, bottom).Moved(first.Value.Offset.X - before, first.Value.Offset.Y),
                    first.Value.OnMotif
                );
        }
        return line;
    }

    private static Point LowerLeft(Outline outline) =>
        outline.Bounds() is var (left, bottom, _, _) ? new Point(left, bottom) : default;
}
