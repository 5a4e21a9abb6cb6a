using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// The boxing in one or more lengths. Along its lower edge it runs from the first end to the second; a lapped end has a
/// tuck
/// of <c>o</c> out and back that the seam check sees as a seam of its own.
/// </summary>
internal sealed class BoxingStrip
{
    private const int MostLengths = 12;

    private readonly BoxedPlan plan;
    private readonly Grain grain;
    private readonly Length lap;
    private readonly bool lapFirst,
        lapLast;
    private readonly IReadOnlyList<Working> places; // along the boxing run: 0, every join, its end
    private readonly IReadOnlyList<Length> cuts;

    public BoxingStrip(Reading reading, BoxedPlan plan, Grain grain)
    {
        (this.plan, this.grain) = (plan, grain);
        lap = reading[BoxCushionStrip.Lap];
        var ends =
            reading.Chosen(BoxCushionStrip.Assembly) is AssemblySchool.Sandwich
                ? LapPlaces.Both
                : reading.Chosen(BoxCushionStrip.LapEnds);
        (lapFirst, lapLast) = (
            ends is LapPlaces.One or LapPlaces.Both && lap.IsPositive,
            ends is LapPlaces.Both && lap.IsPositive
        );
        places = Places(reading);
        cuts = [.. places.Select(place => place.Value)];
        Pieces = [.. Enumerable.Range(0, cuts.Count - 1).Select(at => PieceAt(reading, at))];
    }

    public IReadOnlyList<Piece> Pieces { get; }

    public Run FirstEnd => new(KeyOf(0), 1, "left end");

    public Run LastEnd => new(KeyOf(cuts.Count - 2), 1, "right end");

    public IEnumerable<Seam> Joins =>
        Enumerable
            .Range(1, cuts.Count - 2)
            .Select(at => new Seam(
                $"boxing join {at}",
                SeamKind.Join,
                [new Run(KeyOf(at - 1), 1, "right end")],
                [new Run(KeyOf(at), 1, "left end")],
                plan.Depth
            ));

    /// <summary>Each lapped end is tucked along both long edges.</summary>
    public IEnumerable<Seam> Laps
    {
        get
        {
            var o = new Allowance("o", AllowanceRole.Lap, lap);
            foreach (var edge in new[] { "upper", "lower" })
            {
                if (lapFirst)
                    yield return Tuck($"lap at the first end, {edge} edge", 0, edge, fromRight: edge == "upper", o);
                if (lapLast)
                    yield return Tuck(
                        $"lap at the second end, {edge} edge",
                        cuts.Count - 2,
                        edge,
                        fromRight: edge == "lower",
                        o
                    );
            }
        }
    }

    /// <summary>The lengths in order along one panel, without the tucks: side 1 the upper edge, 2 the lower.</summary>
    public IReadOnlyList<Run> LongEdge(int side)
    {
        var runs = new List<Run>();
        for (var at = 0; at < cuts.Count - 1; at++)
        {
            // The upper edge is drawn from right to left, so its tucks change places.
            var (before, after) = side == 2 ? (TuckedBefore(at), TuckedAfter(at)) : (TuckedAfter(at), TuckedBefore(at));
            var whole = before + cuts[at + 1] - cuts[at];
            runs.Add(
                new Run(
                    KeyOf(at),
                    1,
                    side == 2 ? "lower" : "upper",
                    before.IsPositive ? before : null,
                    after.IsPositive ? whole : null
                )
            );
        }
        return runs;
    }

    private string KeyOf(int at) => cuts.Count == 2 ? "boxing" : $"boxing-{at + 1}";

    private Length TuckedBefore(int at) => at == 0 && lapFirst ? 2 * lap : Length.Zero;

    private Length TuckedAfter(int at) => at == cuts.Count - 2 && lapLast ? 2 * lap : Length.Zero;

    private Seam Tuck(string name, int at, string edge, bool fromRight, Working o)
    {
        var key = KeyOf(at);
        if (!fromRight)
            return new Seam(
                name,
                SeamKind.Lap,
                [new Run(key, 1, edge, null, lap)],
                [new Run(key, 1, edge, lap, 2 * lap)],
                o
            );
        var end = TuckedBefore(at) + (cuts[at + 1] - cuts[at]) + TuckedAfter(at);
        return new Seam(
            name,
            SeamKind.Lap,
            [new Run(key, 1, edge, end - (2 * lap), end - lap)],
            [new Run(key, 1, edge, end - lap)],
            o
        );
    }

    private Piece PieceAt(Reading reading, int at)
    {
        var key = KeyOf(at);
        Working Edge(string edge) => reading.EdgeAllowance(EdgeAllowances.Seam, key, edge);
        Working o = new Allowance("o", AllowanceRole.Lap, lap);
        var tucks = (TuckedBefore(at).IsPositive ? 2 : 0) + (TuckedAfter(at).IsPositive ? 2 : 0);
        var run =
            cuts.Count == 2
                ? plan.BoxingRun
                : (at == 0 ? places[1] : places[at + 1] - places[at]).As(
                    $"X{at + 1}",
                    $"part {at + 1} of the boxing run"
                );
        var length = tucks == 0 ? run : run + (tucks * o);
        var (end, depth) = (length.Value, plan.Depth.Value);
        return new Piece(
            key,
            cuts.Count == 2 ? "boxing" : $"boxing, length {at + 1}",
            1,
            new Dictionary<string, Working> { ["length"] = length, ["depth"] = plan.Depth },
            d => Outline.Rectangle(d["length"], d["depth"], "lower", "right end", "upper", "left end")
        )
        {
            Allowances = new[] { "lower", "right end", "upper", "left end" }.ToDictionary(edge => edge, Edge),
            Grain = grain,
            Role = ClothRole.Boxing,
            Lines = [.. Folds(at, end).Select(x => new InnerLine("fold", new(x, Length.Zero), new(x, depth)))],
            Note = plan.Ring.HasJoint(plan.BoxingStart + cuts[at], cuts[at + 1] - cuts[at])
                ? CutsOf(reading, plan)
                : "",
        }.Measured(length, plan.Depth, "length", "depth");
    }

    // What the marks are for.
    private static string CutsOf(Reading reading, BoxedPlan plan)
    {
        var arcs = plan
            .Seat.Outline.Edges.Where(edge => edge is { Radius: not null, Outward: true })
            .Select(edge => edge.Radius!.Value)
            .ToList();
        return arcs.Count == 0
            ? "Clip each corner mark to just short of the stitch line."
            : $"Notch both edges where a curve begins and ends; along it clip every {reading.Say(Clips.Spacing(arcs.Min()))}, to just short of the stitch line.";
    }

    private IEnumerable<Length> Folds(int at, Length end)
    {
        if (TuckedBefore(at).IsPositive)
            yield return lap;
        if (TuckedAfter(at).IsPositive)
            yield return end - lap;
    }

    // Where the boxing is joined. The front run is never joined in its middle: joins before it and after it are counted
    // apart,
    // each side is shared out evenly, and of all ways to split the count the most even one wins.
    private Working[] Places(Reading reading)
    {
        var asked = reading[BoxCushionStrip.Lengths];
        var corners = reading.Chosen(BoxCushionStrip.Joins) is JoinPlaces.Corners;
        var places = Places(asked, corners);
        if (reading.LongestStrip(grain, ClothRole.Boxing) is not { } longest)
            return places;
        // As many lengths as the cloth makes necessary: at the front corners first, then evenly.
        var room = longest - (2 * reading[EdgeAllowances.Seam].Value);
        for (var n = asked; TooLong(places, room) && n < MostLengths; )
            places = Places(++n, corners && n <= 3);
        return TooLong(places, room) ? Places(asked, corners) : places;
    }

    private bool TooLong(Working[] places, Length room)
    {
        var last = places.Length - 2;
        for (var at = 0; at <= last; at++)
        {
            var tucks = (at == 0 && lapFirst ? 2 * lap : Length.Zero) + (at == last && lapLast ? 2 * lap : Length.Zero);
            if (places[at + 1].Value - places[at].Value + tucks > room)
                return true;
        }
        return false;
    }

    private Working[] Places(int n, bool corners)
    {
        var run = plan.BoxingRun;
        var nothing = Sum.Of();
        // The stretch along the front; rounded corners count with the sides.
        var frontStart = plan.FrontStart;
        var frontEnd = frontStart + plan.Seat.FrontRun;
        if (n == 1)
            return [nothing, run];
        if (corners)
            return n == 2 ? [nothing, frontEnd, run] : [nothing, frontStart, frontEnd, run];
        // The lengths beside the front are its neighbours' share, or end just at its corners, whichever comes out more
        // even.
        return (
            from before in Enumerable.Range(0, n)
            let after = n - 1 - before
            from start in before == 0
                ? [nothing]
                : new[] { frontStart, new Extreme(Larger: false, frontStart, (before * run) / n) }
            from end in after == 0
                ? [run]
                : new[] { frontEnd, new Extreme(Larger: true, frontEnd, run - ((after * run) / n)) }
            select Split(before, start, after, end)
        ).MinBy(Unevenness)!;

        Working[] Split(int before, Working start, int after, Working end) =>
            [
                nothing,
                .. Enumerable.Range(1, before).Select(i => before == 1 ? start : (i * start) / before),
                .. Enumerable.Range(0, after).Select(i => i == 0 ? end : end + ((i * (run - end)) / after)),
                run,
            ];
    }

    // The longest length counts first, then the shortest.
    private static (long, long) Unevenness(Working[] places)
    {
        var lengths = places.Zip(places.Skip(1), (from, to) => (to.Value - from.Value).Ticks).ToList();
        return (lengths.Max(), -lengths.Min());
    }
}
