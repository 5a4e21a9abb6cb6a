using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// What the seams of a pattern make of its pieces: every rim broken wherever either side of a seam has a stop, and the
/// parts that are sewn to each other. What only lies under the cover, is caught in a seam without being sewn along it, or
/// is folded to a string, is left out.
/// </summary>
internal sealed class Surface
{
    // Stops nearer to each other than this are one.
    private const double Near = 1.6;

    private static readonly SeamKind[] Glued =
    [
        SeamKind.Join,
        SeamKind.Zip,
        SeamKind.Dart,
        SeamKind.Gather,
        SeamKind.Ease,
        SeamKind.Pleat,
    ];

    private readonly IReadOnlyList<SheetRim> rims;
    private readonly Dictionary<int, int> partners = [];

    private Surface(
        IReadOnlyList<SheetRim> rims,
        IReadOnlyList<Sheet> sheets,
        IReadOnlyList<RimPart> parts,
        IReadOnlyList<Sewn> sewn
    )
    {
        (this.rims, Sheets, Parts, Seams) = (rims, sheets, parts, sewn);
        foreach (var (one, other, _) in sewn)
            (partners[one], partners[other]) = (other, one);
        (Corners, CornerCount) = Join();
        Covers = Together();
    }

    public IReadOnlyList<Sheet> Sheets { get; }

    public IReadOnlyList<RimPart> Parts { get; }

    public IReadOnlyList<Sewn> Seams { get; }

    /// <summary>Seams with a stretch that has no part to be sewn to on one of its sides; none in a sound pattern.</summary>
    public IReadOnlyList<string> Unmatched { get; private init; } = [];

    /// <summary>For each part, the corner of the sewn cover at which it begins.</summary>
    public IReadOnlyList<int> Corners { get; }

    public int CornerCount { get; }

    /// <summary>For each sheet, the number of the connected cover that it belongs to.</summary>
    public IReadOnlyList<int> Covers { get; }

    /// <summary>
    /// The Euler number of each connected cover: corners less lines and sheets. 2 where it is closed, 1 with one
    /// opening, less than 2 less its openings where the seams twist it.
    /// </summary>
    public IReadOnlyList<int> EulerNumbers()
    {
        var sewnParts = Seams.ToDictionary(sewn => sewn.Other, sewn => sewn.One);
        return
        [
            .. Enumerable
                .Range(0, Covers.Max() + 1)
                .Select(cover =>
                {
                    var parts = Enumerable.Range(0, Parts.Count).Where(at => Covers[Parts[at].Sheet] == cover).ToList();
                    return parts.Select(at => Corners[at]).Distinct().Count()
                        - parts.Count(at => !sewnParts.ContainsKey(at))
                        + Covers.Count(of => of == cover);
                }),
        ];
    }

    /// <summary>How many openings each connected cover has: rings of parts that are sewn to nothing.</summary>
    public IReadOnlyList<int> Openings()
    {
        var sewn = Seams.SelectMany(each => new[] { each.One, each.Other }).ToHashSet();
        var open = Enumerable.Range(0, Parts.Count).Where(at => !sewn.Contains(at)).ToList();
        var counts = new int[Covers.Max() + 1];
        var links = new Union(CornerCount);
        foreach (var at in open)
            links.Join(Corners[at], Corners[Next(at)]);
        foreach (var ring in open.GroupBy(at => links.Of(Corners[at])))
            counts[Covers[Parts[ring.First()].Sheet]]++;
        return counts;
    }

    /// <summary>All of its cloth along the stitch lines, in square millimetres.</summary>
    public double Area => Sheets.Sum(sheet => sheet.Piece.Stitch.AreaSquareMetres()) * 1_000_000;

    /// <summary>The part that begins where this one ends.</summary>
    public int Next(int part)
    {
        var sheet = Sheets[Parts[part].Sheet];
        return sheet.FirstPart + ((part - sheet.FirstPart + 1) % sheet.Stops.Count);
    }

    /// <summary>The part that this one is sewn to; null where it is open.</summary>
    public int? SewnTo(int part) => partners.TryGetValue(part, out var partner) ? partner : null;

    /// <summary>Whether the part's sheet is turned over.</summary>
    public bool IsTurned(int part) => Sheets[Parts[part].Sheet].TurnedOver;

    /// <summary>The curve that a part lies on; null where it is the straight line that is left beside a tuck.</summary>
    public Curve? CurveOf(RimPart part) => rims[part.Sheet].CurveOf(part.Start, part.End);

    /// <summary>The point at a share of a part, on the flat piece.</summary>
    public Vec PointOn(int at, double share)
    {
        var part = Parts[at];
        var stops = Sheets[part.Sheet].Stops;
        return CurveOf(part) is null
            ? stops[part.From].At + (share * (stops[part.To].At - stops[part.From].At))
            : rims[part.Sheet].Point(part.Start + (share * (part.End - part.Start)));
    }

    /// <summary>
    /// The same with a stop wherever a fold meets a rim. Two rounds carry a fold over a zip.
    /// </summary>
    public static Surface Folded(Pattern pattern)
    {
        var surface = Of(pattern);
        List<(int Sheet, double Along)> stops = [];
        for (var round = 0; round < 2; round++)
        {
            stops.AddRange(Folds.Stops(surface));
            surface = Of(pattern, stops);
        }
        return surface;
    }

    /// <summary>
    /// The surface that the seams of <paramref name="pattern"/> make, with more stops at these distances along rims.
    /// </summary>
    public static Surface Of(Pattern pattern, IReadOnlyList<(int Sheet, double Along)>? more = null)
    {
        var caught = pattern
            .Uses.Where(use => use.Kind is EdgeUse.Caught or EdgeUse.Fold)
            .Select(use => (use.Run.Piece, use.Run.Instance))
            .ToHashSet();
        var inSeams = pattern
            .Seams.Where(seam => Glued.Contains(seam.Kind))
            .SelectMany(seam => seam.OneSide.Concat(seam.OtherSide))
            .Select(run => (run.Piece, run.Instance))
            .ToHashSet();
        List<SheetRim> rims =
        [
            .. from piece in pattern.Pieces
            from instance in Enumerable.Range(1, piece.Quantity)
            let key = (piece.Key, instance)
            where inSeams.Contains(key) || (!caught.Contains(key) && !piece.Role.IsFilling())
            select new SheetRim(pattern, piece, instance),
        ];
        var byKey = rims.Select((rim, at) => (rim, at)).ToDictionary(pair => (pair.rim.Piece.Key, pair.rim.Instance));
        List<(Seam Seam, List<(int Rim, double At)> One, List<(int Rim, double At)> Other)> walked = [];
        foreach (var seam in pattern.Seams.Where(seam => Glued.Contains(seam.Kind)))
        {
            var line = new SeamLine(pattern, seam);
            var (one, other) = (new SeamWalk(line.OneSide, byKey), new SeamWalk(line.OtherSide, byKey));
            var added = (more ?? []).SelectMany(stop => one.At(stop).Concat(other.At(stop)));
            var shares = Merge(
                [.. one.Shares],
                [.. other.Shares],
                [.. added],
                Near / Math.Max(1, Math.Min(one.Total, other.Total))
            );
            walked.Add(
                (
                    seam,
                    one.Points([.. shares.Select(share => share.One)]),
                    other.Points([.. shares.Select(share => share.Other)])
                )
            );
        }
        foreach (var (rim, at) in walked.SelectMany(seam => seam.One.Concat(seam.Other)).Concat(more ?? []))
            rims[rim].Add(at);
        List<Sheet> sheets = [];
        List<RimPart> parts = [];
        foreach (var rim in rims)
        {
            var stops = rim.Stops();
            sheets.Add(
                new Sheet(rim.Piece, rim.Instance, rim.TurnedOver)
                {
                    Stops = [.. stops.Select(stop => (rim.Point(stop), stop))],
                    FirstPart = parts.Count,
                    Left = LeftOf(pattern, rim),
                }
            );
            for (var at = 0; at < stops.Count; at++)
            {
                var (from, to) = (stops[at], stops[(at + 1) % stops.Count]);
                parts.Add(
                    new RimPart(
                        sheets.Count - 1,
                        at,
                        (at + 1) % stops.Count,
                        rim.EdgeAt(from),
                        from,
                        to > from ? to : to + rim.Round,
                        null
                    )
                );
            }
        }
        List<Sewn> sewn = [];
        List<string> unmatched = [];
        foreach (var (seam, one, other) in walked)
            for (var at = 0; at + 1 < one.Count; at += 2)
            {
                var (left, right) = (Part(one[at], one[at + 1]), Part(other[at], other[at + 1]));
                if (left is not { } a || right is not { } b)
                {
                    unmatched.Add(seam.Name);
                    continue;
                }
                parts[a] = parts[a] with { Seam = seam };
                parts[b] = parts[b] with { Seam = seam };
                sewn.Add(new Sewn(a, b, seam));
            }
        return new Surface(rims, sheets, parts, sewn) { Unmatched = unmatched };

        int? Part((int Rim, double At) from, (int Rim, double At) to)
        {
            var (rim, sheet) = (rims[from.Rim], sheets[from.Rim]);
            var (a, b) = (rim.StopAt(from.At), rim.StopAt(to.At));
            var count = sheet.Stops.Count;
            // Walked either way it is the same part.
            return (a + 1) % count == b ? sheet.FirstPart + a
                : (b + 1) % count == a ? sheet.FirstPart + b
                : null;
        }
    }

    private static (double, double) LeftOf(Pattern pattern, SheetRim rim)
    {
        foreach (var seam in pattern.Seams.Where(seam => seam.Swallowed.IsPositive && Glued.Contains(seam.Kind)))
            if (
                seam.OneSide.FirstOrDefault(run => run.Piece == rim.Piece.Key && run.Instance == rim.Instance) is
                { } run
            )
            {
                var whole = seam.OneSide.Sum(each => pattern.LengthOf(each).ToMillimetres());
                var left = 1 - (seam.Swallowed.ToMillimetres() / whole);
                var (from, to) = rim.Ends(run);
                var way = rim.Point(to) - rim.Point(from);
                return Math.Abs(way.X) >= Math.Abs(way.Y) ? (left, 1) : (1, left);
            }
        return (1, 1);
    }

    // Where each side has a corner. Those that are near one another are one, each side keeping its own; what is added gives
    // way to them.
    private static List<(double One, double Other)> Merge(
        List<double> one,
        List<double> other,
        List<double> added,
        double near
    )
    {
        List<(double One, double Other)> kept = [(0, 0), (1, 1)];
        bool IsFree(double share) =>
            kept.All(each => Math.Abs(share - each.One) > near && Math.Abs(share - each.Other) > near);
        var pairs =
            from a in one.Where(IsFree)
            from b in other.Where(IsFree)
            where Math.Abs(a - b) <= near
            orderby Math.Abs(a - b)
            select (a, b);
        foreach (var (a, b) in pairs.ToList())
            if (kept.All(each => each.One != a && each.Other != b))
                kept.Add((a, b));
        kept.AddRange(
            one.Where(a => kept.All(each => each.One != a) && a > near && a < 1 - near).Select(a => (a, a)).ToList()
        );
        kept.AddRange(
            other.Where(b => kept.All(each => each.Other != b) && b > near && b < 1 - near).Select(b => (b, b)).ToList()
        );
        foreach (var share in added.Order())
            if (IsFree(share))
                kept.Add((share, share));
        return [.. kept.Order()];
    }

    private (IReadOnlyList<int> Corners, int Count) Join()
    {
        var union = new Union(Parts.Count);
        foreach (var (one, other, _) in Seams)
        {
            // Walked against each other, right sides out; a sheet that is turned over is walked the other way.
            var same = Sheets[Parts[one].Sheet].TurnedOver != Sheets[Parts[other].Sheet].TurnedOver;
            union.Join(one, same ? other : Next(other));
            union.Join(Next(one), same ? Next(other) : other);
        }
        return union.Numbered();
    }

    private IReadOnlyList<int> Together()
    {
        var union = new Union(Sheets.Count);
        foreach (var (one, other, _) in Seams)
            union.Join(Parts[one].Sheet, Parts[other].Sheet);
        return union.Numbered().Of;
    }
}
