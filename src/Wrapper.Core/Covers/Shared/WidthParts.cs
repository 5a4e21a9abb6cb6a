using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// The parts that a joined piece is cut in: each with its own edges, allowances and marks, the seams that join them, and
/// the seams and uses of the whole led over to them (craft §8.2).
/// </summary>
internal static class WidthParts
{
    /// <summary>The piece cut at these places; null where a cut would miss it.</summary>
    public static Slabs? Split(Piece piece, IReadOnlyList<Working> places)
    {
        var left = piece.Stitch.Bounds().Left;
        return Slabs.Of(piece.Stitch, [.. places.Select(place => left + place.Value)]);
    }

    /// <summary>The pattern with the piece in its parts.</summary>
    public static Pattern Joined(
        Pattern pattern,
        Piece piece,
        IReadOnlyList<Working> places,
        Slabs slabs,
        Reading reading
    )
    {
        string[] names =
            places.Count == 1 ? ["left", "right"]
            : places.Count == 2 ? ["left", "centre", "right"]
            : [.. Enumerable.Range(1, places.Count + 1).Select(n => $"width {n}")];
        string KeyOf(int slab) => $"{piece.Key}-{names[slab].Replace(' ', '-')}";
        var parts = slabs
            .Parts.Select(
                (_, slab) => Part(piece, places, slab, slabs.Runs, KeyOf(slab), $"{piece.Name}, {names[slab]}", reading)
            )
            .ToList();

        // A run of the whole piece is the runs of its parts, in the order in which it is walked.
        IEnumerable<Run> Parted(Run run, bool with)
        {
            if (run.Piece != piece.Key)
                return [run];
            var (first, last) = (run.From ?? Length.Zero, run.To ?? piece.Stitch.LengthOf(run.Edge));
            var parts = slabs
                .Runs.Where(stretch => stretch.Edge == run.Edge && first < stretch.To && stretch.From < last)
                .Select(stretch =>
                {
                    var (start, end) = (Length.Max(first, stretch.From), Length.Min(last, stretch.To));
                    return new Run(
                        KeyOf(stretch.Slab),
                        run.Instance,
                        stretch.Name,
                        start == stretch.From ? null : start - stretch.From,
                        end == stretch.To ? null : end - stretch.From
                    )
                    {
                        Drafted = end - start,
                    };
                });
            return with ? parts : parts.Reverse();
        }

        // The parts no longer tell which way a side is walked: it is listed with its outlines.
        Seam Led(Seam seam)
        {
            if (seam.OneSide.Concat(seam.OtherSide).All(run => run.Piece != piece.Key))
                return seam;
            var line = new SeamLine(pattern, seam);
            IReadOnlyList<Run> Side(SeamLine.Side side)
            {
                var runs = side.Runs.SelectMany(walked => Parted(walked.Run, walked.With));
                return [.. line.IsOnward ? runs : runs.Reverse()];
            }
            return seam with { OneSide = Side(line.OneSide), OtherSide = Side(line.OtherSide) };
        }

        var joins =
            from instance in Enumerable.Range(1, piece.Quantity)
            from at in Enumerable.Range(0, places.Count)
            let height = Height(piece, parts[at].Stitch.LengthOf("right join"), $"{piece.Key} join {at + 1}")
            select new Seam(
                $"{names[at]} to {names[at + 1]}, {piece.Name} {instance}",
                SeamKind.Join,
                [new Run(KeyOf(at), instance, "right join")],
                [new Run(KeyOf(at + 1), instance, "left join")],
                height
            );
        List<Seam> joinSeams = [.. joins];
        var isStrip = piece.JoinedFirstAt is not null;
        var before = pattern.Pieces.TakeWhile(each => each.Key != piece.Key).ToList();
        return pattern with
        {
            Pieces = [.. before, .. parts, .. pattern.Pieces.Skip(before.Count + 1)],
            // By hand strips are counted as they are cut, not in whole widths.
            Counted = isStrip
                ? pattern.Counted
                : [.. pattern.Counted, Counted(piece, parts, reading.Usable(piece.Role).Value)],
            Seams = [.. joinSeams, .. pattern.Seams.Select(Led)],
            Uses =
            [
                .. pattern.Uses.SelectMany(use => Parted(use.Run, with: true).Select(run => use with { Run = run })),
            ],
            Steps = Joined(pattern.Steps, piece, isStrip, [.. joinSeams.Select(seam => seam.Name)]),
        };
    }

    // Widths are joined first, since corners, curves and middles are cut and marked on the whole piece; lengths of a strip
    // once they are cut with the rest.
    private static IReadOnlyList<Step> Joined(
        IReadOnlyList<Step> steps,
        Piece piece,
        bool isStrip,
        IReadOnlyList<string> seams
    )
    {
        if (!isStrip)
            return
            [
                Step.Pressing(
                    $"Cut the widths of the {piece.Name} and join them, tops level; finish the seams and press them open.",
                    seams
                ) with
                {
                    Kind = StepKind.Piecing,
                    Does = Doing.Cutting | Doing.Pressing,
                },
                .. steps,
            ];
        var joined = Step.Pressing($"Join the lengths of the {piece.Name}; press the seams open.", seams) with
        {
            Kind = StepKind.Piecing,
        };
        var cut = steps.ToList().FindIndex(step => step.Kind == StepKind.Cutting);
        return [.. steps.Take(cut + 1), joined, .. steps.Skip(cut + 1)];
    }

    private static CountedWidths Counted(Piece whole, IReadOnlyList<Piece> parts, Length usable)
    {
        var across = parts.Aggregate(
            Length.Zero,
            (sum, part) => sum + part.Cut.Bounds().Right - part.Cut.Bounds().Left
        );
        var (_, bottom, _, top) = whole.Cut.Bounds();
        return new(
            [.. parts.Select(part => part.Key)],
            whole.Role,
            whole.Quantity,
            (int)((across.Ticks + usable.Ticks - 1) / usable.Ticks),
            top - bottom
        );
    }

    // Across a straight piece a join is as long as the piece; else as it is drawn.
    private static Working Height(Piece piece, Length drawn, string symbol) =>
        WidthJoins.Finished(piece, "length", 3) is var whole && (whole.Value - drawn).Abs().Ticks <= 4
            ? whole
            : Working.Of(symbol, $"{symbol} as drawn", drawn);

    private static Piece Part(
        Piece piece,
        IReadOnlyList<Working> places,
        int slab,
        IReadOnlyList<SlabRun> stretches,
        string key,
        string name,
        Reading reading
    )
    {
        var dimensions = piece.Dimensions.ToDictionary(pair => pair.Key, pair => pair.Value);
        for (var at = 0; at < places.Count; at++)
            dimensions[$"join at {at + 1}"] = places[at];
        Outline Drawn(Dimensions d, Func<Dimensions, Outline> whole)
        {
            var (outline, left) = (whole(d), piece.Shape(d).Bounds().Left);
            // Drawn to other sizes a join can fall beside the piece; drawn whole, the seam check tells that it is wrong.
            return Slabs.Of(outline, [.. places.Select((_, at) => left + d[$"join at {at + 1}"])])?.Parts[slab]
                ?? outline;
        }
        var allowances = stretches
            .Where(stretch => stretch.Slab == slab && piece.Allowances.ContainsKey(stretch.Edge))
            .ToDictionary(
                stretch => stretch.Name,
                stretch => reading.Own(key, stretch.Name, piece.Allowances[stretch.Edge])
            );
        foreach (var (edge, usual) in piece.Allowances)
            allowances.TryAdd(edge, usual);
        foreach (var join in (string[])["left join", "right join"])
            allowances[join] = reading.EdgeAllowance(EdgeAllowances.Seam, key, join);
        // A rough piece is cut as a rectangle: its sides have allowances, and those towards a join a seam's.
        if (piece.IsRough)
        {
            allowances = piece.Allowances.ToDictionary(
                side => side.Key,
                side => reading.Own(key, side.Key, side.Value)
            );
            if (slab > 0)
                allowances["left"] = reading.EdgeAllowance(EdgeAllowances.Seam, key, "left");
            if (slab < places.Count)
                allowances["right"] = reading.EdgeAllowance(EdgeAllowances.Seam, key, "right");
        }
        var width =
            slab == 0 ? places[0]
            : slab == places.Count ? WidthJoins.Finished(piece, "width", 2) - places[^1]
            : places[slab] - places[slab - 1];
        var part = new Piece(key, name, piece.Quantity, dimensions, d => Drawn(d, piece.Shape))
        {
            Allowances = allowances,
            IsRough = piece.IsRough,
            UncutShape = piece.UncutShape is { } uncut ? d => Drawn(d, uncut) : null,
            Grain = piece.Grain,
            Role = slab > 0 && IsJoinedByStrip(piece, reading) ? ClothRole.JoinStrip : piece.Role,
            TurnedOver = piece.TurnedOver,
            Faces = piece.Faces,
            Note = piece.Note,
            Notches =
            [
                .. from notch in piece.Notches
                from stretch in stretches
                where
                    stretch.Slab == slab
                    && stretch.Edge == notch.Edge
                    && stretch.From <= notch.At
                    && notch.At <= stretch.To
                select notch with
                {
                    Edge = stretch.Name,
                    At = notch.At - stretch.From,
                },
            ],
        };
        var (_, low, _, high) = part.Stitch.Bounds();
        return part.Measured(
            width,
            Height(piece, high - low, $"{key} height"),
            up: piece.Sizes[1].Name == "cut height" ? "height" : "length"
        );
    }

    // One whole width, and a strip beside it that may be of another cloth.
    private static bool IsJoinedByStrip(Piece piece, Reading reading) =>
        piece.JoinedFirstAt is null
        && reading.Offers(WidthJoins.School)
        && reading.Chosen(WidthJoins.School) is WidthSchool.Strip;
}
