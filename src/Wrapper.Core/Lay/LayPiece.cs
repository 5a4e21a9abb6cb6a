using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>One piece to lay: its identity <c>item/piece/instance</c>, what it is called, its cut outline and how it may lie.</summary>
public sealed record LayPiece(string Id, string Item, string Piece, string Label, Outline Cut, Grain Grain);

/// <summary>Where a piece lies: quarter turns to the left, then its box's lower left at (<paramref name="X"/>, <paramref name="Y"/>), x from one selvedge, y up the roll.</summary>
public sealed record Placement(string Id, int Turns, Length X, Length Y);

/// <summary>A piece that the cloth cannot take, and why.</summary>
public sealed record Misfit(string Id, string Label, Length Across);

/// <summary>Pieces placed on a length of cloth.</summary>
public sealed record Placed(IReadOnlyList<Placement> Placements, Length Length);

/// <summary>A piece with the ways in which it may lie on one cloth.</summary>
internal sealed class Kind
{
    private Kind(IReadOnlyList<(int Turns, Region Region)> ways, double area) => (Ways, Area) = (ways, area);

    public IReadOnlyList<(int Turns, Region Region)> Ways { get; }

    /// <summary>Area of the cut outline in square counts.</summary>
    public double Area { get; }

    /// <summary>The ways that fit into <paramref name="usable"/> counts of width and the cloth's direction; none where it is too wide.</summary>
    public static Kind Of(LayPiece piece, long usable, bool oneWay)
    {
        // On cloth with one way up nothing is turned upside down, and only what must be railroaded lies across.
        int[] turns = (piece.Grain, oneWay) switch
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
            var region = Region.Of(piece.Cut, turn);
            if (region.Width <= usable && !ways.Any(way => way.Item2.SameAs(region))) ways.Add((turn, region));
        }
        return new Kind(ways, piece.Cut.AreaSquareMetres() * 1e6 * Length.TicksPerMillimetre * Length.TicksPerMillimetre);
    }
}
