using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Patterns;

/// <summary>
/// A piece that was joined of several widths, as a maker counts it by hand: so many whole widths of cloth, each
/// <paramref name="Cut"/> long, whatever
/// is left beside a side panel (craft §8.2). <paramref name="Parts"/> are the keys of the pieces that it became.
/// </summary>
public sealed record CountedWidths(IReadOnlyList<string> Parts, ClothRole Role, int Quantity, int Widths, Length Cut);

/// <summary>A drafted cover: pieces, the seams that join them, and everything that is read off them.</summary>
public sealed record Pattern
{
    /// <summary>The pieces, in cutting order.</summary>
    public required IReadOnlyList<Piece> Pieces { get; init; }

    /// <summary>The seams.</summary>
    public required IReadOnlyList<Seam> Seams { get; init; }

    /// <summary>Stretches in no seam.</summary>
    public IReadOnlyList<Use> Uses { get; init; } = [];

    /// <summary>What lies behind other pieces and does not shape the cover.</summary>
    public IReadOnlyList<Tuck> Tucks { get; init; } = [];

    /// <summary>What is sewn on beside the seams: topstitching, tapes.</summary>
    public IReadOnlyList<Applied> Applied { get; init; } = [];

    /// <summary>Finished sizes of the cover, with workings.</summary>
    public IReadOnlyList<(string Name, Working Working)> Finished { get; init; } = [];

    /// <summary>What is bought beside the cloth.</summary>
    public IReadOnlyList<Notion> Notions { get; init; } = [];

    /// <summary>Making steps in order.</summary>
    public IReadOnlyList<Step> Steps { get; init; } = [];

    /// <summary>What was joined of several widths.</summary>
    public IReadOnlyList<CountedWidths> Counted { get; init; } = [];

    /// <summary>Remarks and cautions.</summary>
    public IReadOnlyList<Remark> Remarks { get; init; } = [];

    /// <summary>What covers its cord; null where there is none.</summary>
    public CordCovering? Covering { get; init; }

    /// <summary>What kind of thread its cloths ask for; empty for the usual.</summary>
    public string ThreadNote { get; init; } = "";

    /// <summary>The cloth whose colour the thread of its seams has; empty while it has none.</summary>
    public string Colour { get; init; } = "";

    /// <summary>Half its depth, where a zip or a side seam lies; null for covers without a boxing.</summary>
    public Working? MidDepth { get; init; }

    /// <summary>From where to where its cord is gauged, and what that should be; null where nothing tells.</summary>
    public (string From, Working Size)? CordGauge { get; init; }

    /// <summary>Whether its first piece is an end that stands upright as it is used: a bolster's.</summary>
    public bool EndFirst { get; init; }

    /// <summary>Whether every second cover is the mirror image of the first: left and right.</summary>
    public bool InPairs { get; init; }

    /// <summary>The pattern with one piece replaced by <paramref name="piece"/> of the same key.</summary>
    public Pattern With(Piece piece) => this with { Pieces = [.. Pieces.Select(p => p.Key == piece.Key ? piece : p)] };

    /// <summary>What its pieces and its cord are cut from.</summary>
    public IEnumerable<ClothRole> Roles =>
        Pieces.Select(piece => piece.Role).Concat(Covering is null ? [] : [ClothRole.CordCovering]).Distinct();

    /// <summary>The piece of a key.</summary>
    public Piece Piece(string key) => Pieces.First(piece => piece.Key == key);

    /// <summary>
    /// Whether a run lies on an instance that is the mirror image of its piece.
    /// </summary>
    internal bool IsTurnedOver(Run run) => Piece(run.Piece).IsTurnedOver(run.Instance);

    /// <summary>Whether a tuck begins or ends at <paramref name="at"/> on the edge of <paramref name="run"/>.</summary>
    internal bool IsTucked(Run run, Length at) =>
        Seams
            .Where(seam => seam.Kind == SeamKind.Lap)
            .SelectMany(seam => seam.OneSide.Concat(seam.OtherSide))
            .Any(tuck => tuck.Piece == run.Piece && tuck.Edge == run.Edge && (tuck.From == at || tuck.To == at));

    /// <summary>Length of a run as drawn.</summary>
    internal Length LengthOf(Run run)
    {
        var drawn = Piece(run.Piece).Stitch.LengthOf(run.Edge);
        return (run.To ?? drawn) - (run.From ?? Length.Zero);
    }
}
