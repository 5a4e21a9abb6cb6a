using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Lay;

/// <summary>
/// Strips of one width that cover cord: <paramref name="Length"/> of them when joined, each join taking an allowance
/// <paramref name="Join"/> of both; straight, or at 45°.
/// </summary>
public sealed record StripDemand(Length Width, Length Length, Length Join, bool OnBias)
{
    /// <summary>Whether a strip has been cut already, so that the next one is joined to it.</summary>
    public bool Begun { get; init; }

    /// <summary>
    /// What a join takes of the length: the allowance of both ends on the straight, √2 of that at 45° (craft §4.1).
    /// </summary>
    internal Length JoinTakes => OnBias ? CordStrips.Root2(2 * Join) : 2 * Join;

    /// <summary>How far a strip reaches along its end: its width, or √2 of it where it is cut at 45°.</summary>
    internal Length Reach => OnBias ? CordStrips.Root2(Width) : Width;
}

/// <summary>
/// Covering strips, cut last: from what the panels leave, the largest free rectangle first, and what that does not hold
/// from cloth behind the lay (craft §4.1). Any strip of 12 in or more counts.
/// </summary>
public static class CordStrips
{
    /// <summary>What the ids of strips begin with.</summary>
    public const string Prefix = "cord/";

    /// <summary>The shortest strip that is worth a join.</summary>
    public static readonly Length Shortest = Length.Inches(12);

    private const int MostRectangles = 60;
    private static readonly Length WorthOfAJoin = Length.Inches(3);

    /// <summary>
    /// The lay with strips after it, and the strips; <paramref name="pieces"/> are those of the lay. Strips are no part
    /// of what a search shortens: they follow from where the panels lie.
    /// </summary>
    public static (IReadOnlyList<LayPiece> Cut, ClothLay Lay) After(
        ClothLay lay,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand> demands,
        CancellationToken cancel = default
    )
    {
        if (demands.Count == 0)
            return ([], lay);
        var best = new Table(lay.Best, pieces, cloth, cancel);
        var hand = new Table(lay.Hand, pieces, cloth, cancel);
        List<Misfit> tooWide = [];
        // Bias strips want larger rectangles than straight ones.
        foreach (var demand in demands.OrderByDescending(demand => (demand.OnBias, demand.Width.Ticks)))
        {
            if (!best.Cut(demand, fromWhatIsLeft: true))
                tooWide.Add(new Misfit(Prefix, "cord", demand.Reach, Shortest));
            hand.Cut(demand, fromWhatIsLeft: false);
        }
        // Rows by hand are a lay like any other where there is nothing to lie round.
        if (hand.Placed.Length < best.Placed.Length && cloth.Flaws.Count == 0 && cloth.Pins.Count == 0)
            best = hand;
        return (
            best.Strips,
            lay with
            {
                Best = best.Placed,
                Hand = hand.Placed,
                ShortestPossible = Length.Max(
                    lay.ShortestPossible,
                    ByArea(lay.Best.Placements.Select(at => best.Of(at.Id)), cloth, demands)
                ),
                Misfits = [.. lay.Misfits, .. tooWide],
            }
        );
    }

    /// <summary>The id of the nth strip of its kind; it tells how it was cut.</summary>
    internal static string Id(bool onBias, Length width, int n) =>
        FormattableString.Invariant($"{Prefix}{(onBias ? "bias" : "straight")}/{width.Ticks}/{n}");

    /// <summary>A strip that lies in a box so large; at 45° the longer side tells which way it runs on.</summary>
    internal static LayPiece Piece(string id, bool onBias, Length across, Length along, Length reach) =>
        new(
            id,
            "",
            "cord",
            "cord",
            !onBias ? Outline.Rectangle(across, along)
                : along > across
                    ? new Outline([
                        new("lower", new(Length.Zero, Length.Zero)),
                        new("end", new(across, along - reach)),
                        new("upper", new(across, along)),
                        new("begin", new(Length.Zero, reach)),
                    ])
                : new Outline([
                    new("begin", new(Length.Zero, Length.Zero)),
                    new("lower", new(reach, Length.Zero)),
                    new("end", new(across, along)),
                    new("upper", new(across - reach, along)),
                ]),
            Grain.Either,
            ClothRole.CordCovering
        );

    internal static Length Root2(Length length) => Length.Snap(length.ToMillimetres() * Math.Sqrt(2));

    // No lay can take less than its area spread over the width.
    private static Length ByArea(IEnumerable<LayPiece> pieces, LayCloth cloth, IReadOnlyList<StripDemand> demands) =>
        cloth.StockLengths.Count > 0 || cloth.Article is not null
            ? Length.Zero
            : Length.Snap(
                Math.Floor(
                    (
                        pieces.Sum(piece => piece.Cut.AreaSquareMetres() * 1e6)
                        + demands.Sum(demand => demand.Length.ToMillimetres() * demand.Width.ToMillimetres())
                    ) / cloth.Usable.ToMillimetres()
                )
            );

    // One lay while strips are added to it.
    private sealed class Table(Placed lay, IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken cancel)
    {
        private readonly List<Placement> placements = [.. lay.Placements];
        private readonly Dictionary<string, LayPiece> known = pieces.ToDictionary(piece => piece.Id);
        private readonly HashSet<string> ids = [.. pieces.Select(piece => piece.Id)];
        private Length reached = lay.Length;

        public List<LayPiece> Strips { get; } = [];

        public Placed Placed => new(placements, reached);

        public LayPiece Of(string id) => known[id];

        // False where the cloth is too narrow for such strips.
        public bool Cut(StripDemand demand, bool fromWhatIsLeft)
        {
            var (wanted, begun) = (demand.Length, demand.Begun);
            if (fromWhatIsLeft)
                foreach (var free in Free(demand))
                {
                    if (!wanted.IsPositive)
                        return true;
                    Fill(free, demand, ref wanted, ref begun);
                }
            while (wanted.IsPositive)
            {
                var before = wanted;
                foreach (var free in Behind(demand, wanted, begun))
                    if (wanted.IsPositive)
                        Fill(free, demand, ref wanted, ref begun);
                if (wanted == before)
                    return false;
            }
            return true;
        }

        // Whatever is free as far as the lay reaches, the rest of the last article and all of the remnants with it.
        private IEnumerable<Patch> Free(StripDemand demand)
        {
            var end = Length.Max(reached, cloth.Stock);
            if (cloth.Article is { } article && end > cloth.Stock)
                end = cloth.Stock + (end - cloth.Stock).UpTo(article);
            return Remnants.Free(
                Placed,
                known,
                cloth,
                end,
                (across, along) =>
                    demand.OnBias
                        ? Across(demand, new Length(across), new Length(along)).Length >= Shortest
                        : Math.Min(across, along) >= demand.Width.Ticks && Math.Max(across, along) >= Shortest.Ticks,
                MostRectangles,
                cancel
            );
        }

        // The next article, or as much of the roll as the strips take, beyond flaws: rows of whole widths, or the
        // shortest block of bias strips in columns.
        private List<Patch> Behind(StripDemand demand, Length wanted, bool begun)
        {
            var start = Length.Max(reached, cloth.Stock);
            if (cloth.Article is { } article)
                return
                [
                    new Patch(cloth.Stock + (start - cloth.Stock).UpTo(article), Length.Zero, article, cloth.Usable),
                ];
            start = Clear(start, demand.Width);
            if (cloth.Usable < Shortest)
                return [new Patch(start, Length.Zero, Length.Max(Shortest, wanted) + cloth.Gap, cloth.Usable)];
            var pitch = Pitch(demand);
            if (!demand.OnBias)
            {
                // As many rows as there are before the next flaw; the rest goes beyond it.
                var rows = cloth
                    .Flaws.Where(flaw => flaw.FromEnd > start)
                    .Select(flaw => flaw.FromEnd - start)
                    .Append(Count(cloth.Usable) * pitch)
                    .Min();
                return [new Patch(start, Length.Zero, rows, cloth.Usable)];
            }
            var (columns, deep) = Enumerable
                .Range(1, (int)Math.Max(1, Root2(cloth.Usable).Ticks / Shortest.Ticks))
                .Select(columns => (Columns: columns, Wide: cloth.Usable.Over(columns) - (2 * cloth.Gap)))
                .Where(block => block.Columns == 1 || Root2(block.Wide) >= Shortest)
                .Select(block =>
                    (
                        block.Columns,
                        Deep: block.Wide + ((Count(Root2(block.Wide)) + block.Columns - 1) / block.Columns * pitch)
                    )
                )
                .MinBy(block => block.Deep.Ticks);
            var wide = cloth.Usable.Over(columns);
            start = Clear(start, deep);
            return
            [
                .. Enumerable
                    .Range(0, columns)
                    .Select(n => new Patch(start, n * wide, deep, n == columns - 1 ? cloth.Usable - (n * wide) : wide)),
            ];

            // From there on no flaw lies for so far along the roll.
            Length Clear(Length from, Length far)
            {
                foreach (var flaw in cloth.Flaws.OrderBy(flaw => flaw.FromEnd.Ticks))
                    if (flaw.FromEnd < from + far + cloth.Gap && flaw.FromEnd + flaw.Along > from)
                        from = flaw.FromEnd + flaw.Along;
                return from;
            }

            int Count(Length each) =>
                Math.Max(
                    1,
                    (int)
                        Math.Ceiling(
                            (wanted - (begun ? Length.Zero : demand.JoinTakes)).Ticks
                                / (double)Math.Max(1, (each - demand.JoinTakes).Ticks)
                        )
                );
        }

        // How long a strip is in a box, the box's short side across it, and whether it runs on along the roll.
        private (Length Length, bool Along) Across(StripDemand demand, Length across, Length along)
        {
            if (!demand.OnBias)
                return Total(across, along) >= Total(along, across) ? (along, true) : (across, false);
            var up = Length.Min(across, along - demand.Reach);
            var aside = Length.Min(along, across - demand.Reach);
            return up >= aside ? (Root2(Length.Max(Length.Zero, up)), true) : (Root2(aside), false);

            // What strips side by side come to, joins taken off; each join is work too, worth a few inches of strip.
            Length Total(Length side, Length length) =>
                length < Shortest
                    ? Length.Zero
                    : (side + cloth.Gap).Ticks
                        / (demand.Width + cloth.Gap).Ticks
                        * (length - demand.JoinTakes - WorthOfAJoin);
        }

        private void Fill(Patch free, StripDemand demand, ref Length wanted, ref bool begun)
        {
            // Clear of what lies around it.
            var (left, bottom) = (Inset(free.FromSelvedge), Inset(free.FromEnd));
            var right =
                free.FromSelvedge + free.Across >= cloth.Usable
                    ? cloth.Usable
                    : free.FromSelvedge + free.Across - cloth.Gap;
            var top = free.FromEnd + free.Along - (free.FromEnd < reached ? cloth.Gap : Length.Zero);
            var (length, along) = Across(demand, right - left, top - bottom);
            if (length < Shortest)
                return;
            var pitch = Pitch(demand);
            // At 45° a strip reaches as far to the side as it does up.
            var side = demand.OnBias ? Side(length) : Length.Zero;
            var room = (along ^ demand.OnBias ? right - left : top - bottom) - side;
            var (x, y) = (left, bottom);
            for (var at = Length.Zero; wanted.IsPositive && at + demand.Reach <= room; at += pitch)
            {
                cancel.ThrowIfCancellationRequested();
                var joins = begun ? demand.JoinTakes : Length.Zero;
                var cut = Length.Min(length, Length.Max(Shortest, wanted + joins));
                wanted -= cut - joins;
                begun = true;
                var (across, up) = Box(demand, cut, along);
                var place = along ^ demand.OnBias ? (X: x + at, Y: y) : (X: x, Y: y + at);
                Place(Piece(NextId(demand), demand.OnBias, across, up, demand.Reach), place.X, place.Y);
            }
            // A second column of bias strips beside the first one.
            if (
                demand.OnBias
                && wanted.IsPositive
                && (along ? right - left - side : top - bottom - side) is { IsPositive: true } rest
            )
                Fill(
                    along
                        ? new Patch(free.FromEnd, left + side + cloth.Gap, free.Along, rest - cloth.Gap)
                        : new Patch(bottom + side + cloth.Gap, free.FromSelvedge, rest - cloth.Gap, free.Across),
                    demand,
                    ref wanted,
                    ref begun
                );
        }

        // From strip to strip; at 45° the gap between them is wider along the cloth.
        private Length Pitch(StripDemand demand) => demand.Reach + (demand.OnBias ? Root2(cloth.Gap) : cloth.Gap);

        private Length Inset(Length from) => from.IsPositive ? from + cloth.Gap : from;

        private static Length Side(Length strip) => Length.Snap(strip.ToMillimetres() / Math.Sqrt(2));

        private static (Length Across, Length Along) Box(StripDemand demand, Length length, bool along)
        {
            var (across, up) = demand.OnBias ? (Side(length), Side(length) + demand.Reach) : (demand.Width, length);
            return along ? (across, up) : (up, across);
        }

        private string NextId(StripDemand demand)
        {
            // Behind those of this lay; what was cut earlier keeps its number.
            var n = Strips.Count + 1;
            while (!ids.Add(Id(demand.OnBias, demand.Width, n)))
                n++;
            return Id(demand.OnBias, demand.Width, n);
        }

        private void Place(LayPiece strip, Length x, Length y)
        {
            Strips.Add(strip);
            known.Add(strip.Id, strip);
            placements.Add(new Placement(strip.Id, 0, x, y));
            reached = Length.Max(reached, y + strip.Along(0));
        }
    }
}
