using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// Pieces wider than the cloth, joined of several widths (craft §8.2): a whole width in the centre and equal sides,
/// never a seam down the
/// middle; two equal panels on request; or one strip at the right, where the cloth is a little narrow. Works on any
/// pattern: pieces that
/// may be joined are cut at upright lines, and seams and uses follow.
/// </summary>
internal static class WidthJoins
{
    /// <summary>How a piece wider than the cloth is joined.</summary>
    internal static readonly OptionChoice<WidthSchool> School = Choice.Of(
        "widths",
        "Wider than the cloth",
        "Widths",
        Option.Of(
            WidthSchool.Centre,
            "Centre and equal sides",
            "One whole width in the middle, never a seam down the middle."
        ),
        Option.Of(WidthSchool.Two, "Two panels", "One seam down the middle: fewer seams, but seen."),
        Option.Of(
            WidthSchool.Strip,
            "A strip at one side",
            "For cloth that is a little narrow: one join, away from the middle."
        ),
        Option.Of(WidthSchool.None, "Never joined", "Take cloth that is wide enough.")
    );

    /// <summary>
    /// More widths than this are joined by nobody: then the cloth is too narrow, and the piece is told as too wide for
    /// it.
    /// </summary>
    public const int MostWidths = 40;

    /// <summary>
    /// The pattern with every piece that may be joined, and is wider than the cloth, in several widths.
    /// </summary>
    public static Pattern Apply(Pattern pattern, Reading reading)
    {
        foreach (var piece in pattern.Pieces.Where(piece => piece.MayBeJoined).ToList())
            if (Places(piece, reading) is { Count: > 0 } places && WidthParts.Split(piece, places) is { } slabs)
                pattern = LittleLess(WidthParts.Joined(pattern, piece, places, slabs, reading), piece, reading);
        return pattern;
    }

    // A sheet a little wider than the cloth would do with one width, were it so much less (craft §8.2).
    private static Pattern LittleLess(Pattern pattern, Piece piece, Reading reading)
    {
        var (left, _, right, _) = piece.Cut.Bounds();
        var over = right - left - reading.Usable(piece.Role).Value;
        if (piece.JoinedFirstAt is not null || over > Narrowest)
            return pattern;
        var remark = new Remark(
            $"The {piece.Name} is {reading.Say(over)} wider than the cloth: {reading.Say(over)} less, in its size or its allowances, and one width will do."
        );
        return pattern with { Remarks = [.. pattern.Remarks, remark] };
    }

    /// <summary>
    /// The centre panel of a piece of this finished width with a seam on both sides, where it is wider than the cloth;
    /// else null.
    /// </summary>
    public static Working? Centre(Reading reading, Working width) =>
        reading.Chosen(School) is WidthSchool.Centre && Places(width, reading, ClothRole.Face) is { Count: > 0 } places
            ? places[places.Count / 2] - places[(places.Count / 2) - 1]
            : null;

    /// <summary>Where such a piece is joined, from its left end.</summary>
    public static IEnumerable<Length> Across(Reading reading, Working width) =>
        Places(width, reading, ClothRole.Face).Select(place => place.Value);

    // No panel is finished narrower (craft §8).
    private static readonly Length Narrowest = Length.Inches(4);

    // In counts: a micrometre.
    private static readonly Length Rounding = new(4);

    // Where it is cut, from its left end along the stitch line; nowhere while the cloth is wide enough.
    private static List<Working> Places(Piece piece, Reading reading)
    {
        var usable = reading.Usable(piece.Role).Value;
        var (left, bottom, right, top) = piece.Cut.Bounds();
        var fits =
            piece.Grain == Grain.Across
            || right - left <= usable
            || (piece.Grain == Grain.Either && top - bottom <= usable && !reading.IsOneWay(piece.Role));
        if (piece.JoinedFirstAt is not null)
            fits = reading.LongestStrip(piece.Grain, piece.Role) is not { } longest || right - left <= longest;
        if (fits)
            return [];
        if (AtCorners(piece, reading) is { } corners)
            return corners;
        var (stitchLeft, _, stitchRight, _) = piece.Stitch.Bounds();
        var over = Length.Max(stitchLeft - left, right - stitchRight) - reading[EdgeAllowances.Seam].Value;
        // A width that takes the whole cloth must not come out a count too wide where its arcs are rounded.
        if (piece.Cut.Edges.Any(edge => edge.Radius is not null))
            over = Length.Max(over, Length.Zero) + Rounding;
        var width = Finished(piece, "width", 2);
        var places = Parted(width, reading, piece.Role, over, piece.JoinedFirstAt is not null);
        var room = usable - (2 * reading[EdgeAllowances.Seam].Value);
        for (var at = 0; at < places.Count; at++)
        {
            var (first, last) = (at == 0, at == places.Count - 1);
            bool Fits(Working place) =>
                (place - (first ? Sum.Of() : places[at - 1])).Value <= (first ? room - over : room)
                && ((last ? width : places[at + 1]) - place).Value <= (last ? room - over : room);
            places[at] = ClearOfArcs(piece, places[at], at + 1).FirstOrDefault(Fits) ?? places[at];
        }
        return places;
    }

    // A strip is joined at its corners, where all of its parts go on the cloth then.
    private static List<Working>? AtCorners(Piece piece, Reading reading)
    {
        if (
            piece.JoinedFirstAt is not { Count: > 0 } first
            || reading.LongestStrip(piece.Grain, piece.Role) is not { } longest
        )
            return null;
        var ends = first.Append(Finished(piece, "width", 2)).ToList();
        var room = longest - (2 * reading[EdgeAllowances.Seam].Value);
        var before = Length.Zero;
        foreach (var end in ends)
        {
            if (end.Value - before > room || end.Value <= before)
                return null;
            before = end.Value;
        }
        return [.. first];
    }

    // A bit of arc between a join and the point where it meets the next one would lie within the allowance of the join:
    // such a join moves to one side of that point, to the
    // nearer one first.
    private static IEnumerable<Working> ClearOfArcs(Piece piece, Working place, int join)
    {
        Working Clear(Length by) => Working.Of($"clear {join}", "to be clear of where two curves meet", by);
        var left = piece.Stitch.Bounds().Left;
        var clear = piece.Allowances.Values.Max(allowance => allowance.Value) + Length.Inches(0, 1, 4);
        return piece
            .Stitch.Edges.Where(edge => edge.Radius is not null && piece.Stitch.IsSmoothAt(edge.Name))
            .Select(edge => edge.Start.X - left)
            .Where(at => at != place.Value && (at - place.Value).Abs() < clear)
            .Take(1)
            .SelectMany(at => new[] { at - clear, at + clear })
            .OrderBy(at => (at - place.Value).Abs())
            .Select(at => at > place.Value ? place + Clear(at - place.Value) : place - Clear(place.Value - at));
    }

    private static List<Working> Places(Working width, Reading reading, ClothRole role) =>
        (width + (2 * reading[EdgeAllowances.Seam])).Value <= reading.Usable(role).Value
            ? []
            : Parted(width, reading, role);

    // The outer edges may have allowances larger than a seam's, by over: so much less of a width is left there.
    private static List<Working> Parted(
        Working width,
        Reading reading,
        ClothRole role,
        Length over = default,
        bool isStrip = false
    )
    {
        var (usable, s) = (reading.Usable(role), reading[EdgeAllowances.Seam]);
        var whole = (usable - (2 * s)).As("c", "a whole width, finished");
        var outer = over.IsPositive
            ? whole
                - Working.Of("over", over > Rounding ? "outer allowance over a seam's" : "for rounding the curve", over)
            : whole;
        if (!outer.Value.IsPositive || width.Value.Ticks / outer.Value.Ticks >= MostWidths)
            return [];
        Working Share(Working rest, int parts, int n) => parts == 1 ? rest : (n * rest) / parts;
        switch (isStrip || !reading.Offers(School) ? WidthSchool.Centre : reading.Chosen(School))
        {
            case WidthSchool.None:
                return [];
            case WidthSchool.Two:
                var halves = 2 * Parts(width / 2, outer);
                return [.. Enumerable.Range(1, halves - 1).Select(n => Share(width, halves, n))];
            case WidthSchool.Strip:
                var strip = width - outer;
                if (strip.Value.IsPositive && strip.Value < Narrowest)
                    return [width - Working.Of("b", "the narrowest panel", Narrowest)];
                return strip.Value.IsPositive
                    ?
                    [
                        .. Enumerable
                            .Range(0, Parts(strip, outer))
                            .Select(n => n == 0 ? outer : outer + Share(strip, Parts(strip, outer), n)),
                    ]
                    : [];
            default:
                // A centre a whole width wide would leave no sides to speak of: then the width is halved.
                var side = ((width - whole) / 2).As("b", "a side, finished");
                if (!side.Value.IsPositive)
                    return [Share(width, 2, 1)];
                // Beside a whole width they would be slivers: three equal panels instead.
                if (side.Value < Narrowest)
                    return [Share(width, 3, 1), Share(width, 3, 2)];
                var parts = Parts(side, outer);
                return
                [
                    .. Enumerable.Range(1, parts).Select(n => Share(side, parts, n)),
                    .. Enumerable
                        .Range(0, parts)
                        .Select(n => n == 0 ? side + whole : side + whole + Share(side, parts, n)),
                ];
        }
    }

    private static int Parts(Working finished, Working whole) =>
        (int)((finished.Value.Ticks + whole.Value.Ticks - 1) / whole.Value.Ticks);

    internal static Working Finished(Piece piece, string name, int at) =>
        (piece.Sizes.FirstOrDefault(size => size.Name == $"finished {name}") ?? piece.Sizes[at]).Working;
}

/// <summary>The answers to: Wider than the cloth.</summary>
internal enum WidthSchool
{
    Centre,
    Two,
    Strip,
    None,
}
