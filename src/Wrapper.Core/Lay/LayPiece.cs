using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>One piece to lay: its identity <c>item/piece/instance</c>, what it is called, its cut outline, how it may lie and which of its item's cloths it is cut from.</summary>
public sealed record LayPiece(string Id, string Item, string Piece, string Label, Outline Cut, Grain Grain, ClothRole Role = ClothRole.Face)
{
    /// <summary>How far it reaches across the cloth after so many quarter turns.</summary>
    public Length Across(int turns)
    {
        var (left, bottom, right, top) = Cut.Bounds();
        return turns % 2 == 0 ? right - left : top - bottom;
    }

    /// <summary>How far it reaches along the roll after so many quarter turns.</summary>
    public Length Along(int turns) => Across(turns + 1);

    /// <summary>What is chalked on the cloth for it at <paramref name="at"/>.</summary>
    public Marks MarksAt(Placement at) => new(at.Y, at.Y + Along(at.Turns), at.X, at.X + Across(at.Turns));
}

/// <summary>Where a piece lies: quarter turns to the left, then its box's lower left at (<paramref name="X"/>, <paramref name="Y"/>), x from one selvedge, y up the roll.</summary>
public sealed record Placement(string Id, int Turns, Length X, Length Y);

/// <summary>Where the box of a laid piece begins and ends, from the squared end and from the selvedge that is measured from.</summary>
public sealed record Marks(Length FromEnd, Length ToEnd, Length FromSelvedge, Length ToSelvedge);

/// <summary>A piece that the cloth cannot take: how far it reaches across and along as it would have to lie.</summary>
public sealed record Misfit(string Id, string Label, Length Across, Length Along);

/// <summary>A place that nothing may be cut from, from the squared end and from the first selvedge.</summary>
public sealed record Flaw(Length FromEnd, Length FromSelvedge, Length Along, Length Across);

/// <summary>
/// A printed or woven repeat: <paramref name="Along"/> the roll, <paramref name="Across"/> it (zero where there is none). Matched pieces start at the same place of
/// it: their origins differ by whole repeats, with half-drop by half of one along for each one across (handbook §10).
/// </summary>
public sealed record Repeat(Length Along, Length Across, bool HalfDrop);

/// <summary>What a lay knows of its cloth: usable width, whether it has one way up, and the usable length of one article where it is not off the roll.</summary>
public sealed record LayCloth(Length Usable, bool OneWay, Length? Article = null)
{
    /// <summary>Left free between the raw edges of two pieces.</summary>
    public Length Gap { get; init; }

    /// <summary>Its repeat; null for cloth without one.</summary>
    public Repeat? Repeat { get; init; }

    /// <summary>Its flaws.</summary>
    public IReadOnlyList<Flaw> Flaws { get; init; } = [];

    /// <summary>Pieces that stay where they are; the rest is laid round them.</summary>
    public IReadOnlyList<Placement> Pins { get; init; } = [];

    /// <summary>Whether nothing but its width and direction bears on a lay.</summary>
    internal bool IsPlain => Article is null && Repeat is null && Flaws.Count == 0 && Pins.Count == 0;

    /// <summary>The cloth with the gap added to its width and to each article: pieces are laid with the gap at their right and upper edges.</summary>
    internal LayCloth WithGap() => this with { Usable = Usable + Gap, Article = Article + Gap, Pins = [.. Pins.Select(pin => pin with { Y = pin.Y + (Article is { } one ? (pin.Y.Ticks / one.Ticks) * Gap : Length.Zero) })] };
}

/// <summary>Pieces placed on a length of cloth.</summary>
public sealed record Placed(IReadOnlyList<Placement> Placements, Length Length)
{
    /// <summary>
    /// The same lay seen from the other side of the cloth: every piece its mirror image, measured from what was the far selvedge. Outlines are to be <see cref="Outline.Mirrored"/> too.
    /// </summary>
    public Placed TurnedOver(IReadOnlyDictionary<string, LayPiece> pieces, Length usable) => this with
    {
        // Turned and then mirrored is mirrored and then turned the other way.
        Placements = [.. Placements.Select(at => at with { Turns = (4 - at.Turns) % 4, X = usable - at.X - pieces[at.Id].Across(at.Turns) })],
    };
}

/// <summary>A piece with the ways in which it may lie on one cloth.</summary>
internal sealed class Kind
{
    private Kind(IReadOnlyList<(int Turns, Region Region)> ways, double area, bool matched) => (Ways, Area, IsMatched) = (ways, area, matched);

    /// <summary>Whether it starts at the same place of a repeat as all others: what may be turned, and what covers cord, does not.</summary>
    public bool IsMatched { get; }

    /// <summary>Whether it is a plain rectangle, whichever way it lies.</summary>
    public bool IsRectangle => Ways.All(way => way.Region.Cells.Length == 1);

    public IReadOnlyList<(int Turns, Region Region)> Ways { get; }

    /// <summary>Area of the cut outline in square counts.</summary>
    public double Area { get; }

    /// <summary>The ways that fit into the cloth's width, direction and article, the gap included; none where it is too large.</summary>
    public static Kind Of(LayPiece piece, LayCloth cloth)
    {
        // On cloth with one way up nothing is turned upside down, and only what must be railroaded lies across.
        int[] turns = (piece.Grain, cloth.OneWay) switch
        {
            (Grain.Along, true) or (Grain.Either, true) => [0],
            (Grain.Across, true) => [1],
            (Grain.Along, false) => [0, 2],
            (Grain.Across, false) => [1, 3],
            _ => [0, 1, 2, 3],
        };
        var ways = new List<(int, Region)>();
        foreach (var turn in turns)
        {
            var region = Region.Of(piece.Cut, turn, cloth.Gap.Ticks);
            if (region.Width <= cloth.Usable.Ticks && region.Height <= (cloth.Article?.Ticks ?? long.MaxValue) && !ways.Any(way => way.Item2.SameAs(region))) ways.Add((turn, region));
        }
        return new Kind(ways, piece.Cut.AreaSquareMetres() * 1e6 * Length.TicksPerMillimetre * Length.TicksPerMillimetre, piece.Grain != Grain.Either && piece.Role != ClothRole.CordCovering);
    }
}
