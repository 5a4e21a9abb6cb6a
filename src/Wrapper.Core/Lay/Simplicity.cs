using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// How simple a lay is to cut; of lays within an eighth of an inch of one another the one that ranks lowest is taken.
/// </summary>
internal static class Simplicity
{
    /// <summary>So much longer a lay may be for being simpler to cut.</summary>
    public static readonly Length Worth = Length.Inches(0, 1, 8);

    /// <summary>
    /// How many distinct lines there are to chalk, across the cloth and along it, each counted once; then how often, in
    /// cutting order, a piece belongs to
    /// another item than the one before it.
    /// </summary>
    public static (int Lines, int Changes) Of(Placed lay, IReadOnlyDictionary<string, LayPiece> pieces)
    {
        var (across, along) = (new HashSet<long>(), new HashSet<long>());
        var (changes, before) = (0, "");
        foreach (var at in lay.Placements.OrderBy(at => at.Y).ThenBy(at => at.X))
        {
            var marks = pieces[at.Id].MarksAt(at);
            across.UnionWith([marks.FromEnd.Ticks, marks.ToEnd.Ticks]);
            along.UnionWith([marks.FromSelvedge.Ticks, marks.ToSelvedge.Ticks]);
            if (pieces[at.Id].Item != before)
                (changes, before) = (changes + 1, pieces[at.Id].Item);
        }
        return (across.Count + along.Count, changes);
    }
}
