using Wrapper.Core.Lengths;

namespace Wrapper.Formats.Plotting;

/// <summary>What the machine holds.</summary>
public enum Tool
{
    /// <summary>A knife: cuts the raw edges, and nothing else.</summary>
    Knife,

    /// <summary>A pen or chalk: draws every line.</summary>
    Pen,
}

/// <summary>
/// The machine: the reach of its bed across the cloth and along it, what it holds, and by how much a knife goes past a
/// corner, so that corners come free.
/// </summary>
public sealed record PlotterBed(Length Across, Length Along, Tool Tool, Length OverCut)
{
    /// <summary>The least and the most that a bed measures, either way.</summary>
    public static readonly Length Least = Length.Millimetres(200),
        Most = Length.Millimetres(10_000);

    /// <summary>A usual one: 1.8 m by 2.5 m, a knife that goes a millimetre past corners.</summary>
    public static PlotterBed Usual { get; } =
        new(Length.Millimetres(1800), Length.Millimetres(2500), Tool.Knife, Length.Millimetres(1));
}

/// <summary>A place on the bed in whole counts of 1/40 mm, across and along: what plotters count in.</summary>
public readonly record struct Spot(int Across, int Along)
{
    /// <summary>Counts a millimetre.</summary>
    public const int PerMillimetre = 40;

    /// <summary>How far it is to another, in millimetres.</summary>
    internal double To(Spot other)
    {
        var (x, y) = ((double)other.Across - Across, (double)other.Along - Along);
        return Math.Sqrt((x * x) + (y * y)) / PerMillimetre;
    }
}

/// <summary>A line that the tool follows without being lifted.</summary>
public sealed record ToolPath(IReadOnlyList<Spot> Spots);

/// <summary>
/// What is done while the cloth lies still: paths in their order, and the crosses that lie under the tool again once the
/// cloth was moved on; <paramref name="From"/> is where on the lay the bed begins.
/// </summary>
public sealed record BedWindow(Length From, IReadOnlyList<ToolPath> Paths, IReadOnlyList<Spot> Crosses);

/// <summary>
/// A whole lay on a machine, window by window; how far the tool goes down and lifted is in millimetres.
/// </summary>
public sealed record PlotJob(PlotterBed Bed, IReadOnlyList<BedWindow> Windows)
{
    /// <summary>How far the tool goes lifted, from the corner of the bed on, window by window.</summary>
    public double Lifted =>
        Windows.Sum(window =>
        {
            var (at, sum) = (default(Spot), 0.0);
            foreach (var path in window.Paths)
            {
                sum += at.To(path.Spots[0]);
                at = path.Spots[^1];
            }
            return sum;
        });

    /// <summary>How far the tool goes down.</summary>
    public double Down =>
        Windows.Sum(window =>
            window.Paths.Sum(path => path.Spots.Zip(path.Spots.Skip(1), (from, to) => from.To(to)).Sum())
        );
}
