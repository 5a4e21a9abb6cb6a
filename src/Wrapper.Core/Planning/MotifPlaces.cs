using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// Reads where motifs are to lie on pieces; field keys are <c>motifs.ITEM.PIECE.across</c> and <c>along</c>.
/// </summary>
internal sealed class MotifPlaces(JobUnit unit, Dictionary<string, Length> read, List<Problem> problems)
{
    // As far as a repeat reaches beyond the largest piece.
    private static readonly LengthLimits Limits = new(Length.Zero, LengthLimits.Item.Max, "9 1/2", "24");

    /// <summary>The key of a field.</summary>
    public static string Field(string item, string piece, string way) => $"motifs.{item}.{piece}.{way}";

    /// <summary>
    /// The point of <paramref name="piece"/> as drawn that the middle of a motif lies on: its own middle, unless a
    /// place of its own was entered and <paramref name="match"/> asks for it.
    /// </summary>
    public Point Of(ItemPlan item, Piece piece, Match match)
    {
        var (left, bottom, right, top) = piece.Stitch.Bounds();
        var middle = new Point((left + right).Over(2), (bottom + top).Over(2));
        if (match != Match.Placed || !item.Item.Motifs.TryGetValue(piece.Key, out var place))
            return middle;
        return new(
            Read(Field(item.Item.Id, piece.Key, "across"), place.Across, middle.X - left) + left,
            Read(Field(item.Item.Id, piece.Key, "along"), place.Along, middle.Y - bottom) + bottom
        );
    }

    // What is left empty is the middle; what cannot be read is told, and the middle holds meanwhile.
    private Length Read(string field, Entry entry, Length middle)
    {
        if (string.IsNullOrWhiteSpace(entry.Typed))
            return read[field] = middle;
        var (length, refusal) = Entry.Read(entry, unit, Limits);
        if (length is { } known)
            return read[field] = known;
        if (problems.All(problem => problem.Field != field))
            problems.Add(
                new Problem(field, refusal!.Given, refusal.Position, refusal.Reason, refusal.Example)
                {
                    Stage = Stage.Lay,
                }
            );
        return middle;
    }
}
