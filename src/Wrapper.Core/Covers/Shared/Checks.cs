using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>What is looked at and measured while a cover is made, each at its step (craft §11).</summary>
internal static class Checks
{
    /// <summary>Corners of a boxing that was sewn to its second panel stand over each other.</summary>
    public static readonly Check InLine = new(
        "in-line",
        "Opposite corners stand in line, top over bottom.",
        "The cover is twisted and its edges will never lie straight. Unpick the second panel and sew it corner on notch."
    );

    /// <summary>The weave lies level where cloth is put on furniture.</summary>
    public static readonly Check Weave = new(
        "weave",
        "The weave runs level, and straight down, on every face.",
        "A face that hangs off the weave sags with use. Lift the pins and smooth it from the middle out."
    );

    private static readonly string[] Round = ["front", "right", "back", "left"];

    private static readonly Length Eighth = Length.Inches(0, 1, 8),
        Quarter = Length.Inches(0, 1, 4);

    /// <summary>The pattern with each check at its step.</summary>
    public static Pattern Apply(Pattern pattern, Reading reading, Length tolerance)
    {
        var steps = pattern.Steps.ToList();
        var cut = steps.FindIndex(step => step.Does.HasFlag(Doing.Cutting));
        var corded = steps.FindLastIndex(step => Seams(pattern, step).Any(seam => seam.CordLine is not null));
        var whole = steps.FindLastIndex(step => step.Kind == StepKind.Turning);
        return pattern with
        {
            Steps =
            [
                .. steps.Select(
                    (step, at) =>
                        step with
                        {
                            Checks =
                            [
                                .. step.Checks,
                                .. at == cut ? Cut(pattern, reading) : [],
                                .. at == corded && pattern.CordGauge is { } gauge
                                    ? [Level(gauge)]
                                    : Array.Empty<Check>(),
                                .. Of(pattern, step),
                                .. at == whole ? Sizes(pattern, tolerance) : [],
                            ],
                        }
                ),
            ],
        };
    }

    private static IEnumerable<Check> Of(Pattern pattern, Step step)
    {
        if (step.Kind == StepKind.Preparing)
            yield return new(
                "shrinkage",
                "What washing took was measured, and is what the lay reckons with.",
                "Enter it as the cloth's shrinkage and lay the pieces anew before anything is cut."
            );
        if (step.Kind == StepKind.Cording)
            yield return new(
                "cord",
                "The cord lies close and level, its first stitching hidden; the core's ends meet.",
                "A slack cord rolls, and its stitching shows once the panel is on. Sew along it again, closer."
            );
        if (step.Kind == StepKind.Zips && pattern.MidDepth is { } half)
            yield return new(
                "zip",
                "The zip lies at mid-depth: from the middle of its teeth to the stitch line.",
                "Off the middle, the two panels stand at different heights and the back leans. Sew the side that is off again."
            )
            {
                Target = half,
                Tolerance = Eighth,
                Places = ["left end", "middle", "right end"],
            };
        if (step.Kind == StepKind.Pinning && pattern.Pieces.Any(piece => piece.IsRough))
            yield return Weave;
        foreach (var check in Corners(pattern, step))
            yield return check;
        if (step.Kind == StepKind.Hemming && Told(pattern, "finished drop") is { } drop)
            yield return new(
                "hem",
                "The hem hangs level: from the edge of the top down to the hem.",
                "Shorter on one side, the cloth looks crooked from across the room. Unpick that side and let it down."
            )
            {
                Target = drop,
                Tolerance = Quarter,
                Places = Round,
            };
        else if (step.Kind == StepKind.Hemming)
            yield return new(
                "hem",
                "The hem is of one width all along, and lies flat.",
                "A hem that ripples was stretched under the foot. Unpick that stretch, press it and sew it again."
            );
        if (step.FindsElastic && Told(pattern, "hem perimeter") is { } edge)
            yield return new(
                "elastic",
                "The length of elastic that was found by pull, before its overlap.",
                "Longer than the edge it draws nothing in. Pull it until it holds, and measure again."
            )
            {
                ShareOf = edge.Value,
                ShareField = $"choices.{Elastic.Ratio.Key}",
            };
        if (step.Does.HasFlag(Doing.Fitting))
            yield return new(
                "tried-on",
                "Tried on: it fits, and the weave runs straight to its corners.",
                "Let it out or take it in now: what is trimmed cannot be let out. Log where, how much and why, and try it on again."
            )
            {
                IsGate = true,
            };
    }

    private static IEnumerable<Check> Cut(Pattern pattern, Reading reading)
    {
        var oneWay = pattern.Roles.Where(role => !role.IsFilling()).Any(reading.IsOneWay);
        yield return new(
            "grain",
            $"Every piece lies with its grain as drawn{(oneWay ? ", pile and print one way up" : "")}; no selvedge is in a piece.",
            "A piece off the grain twists once it is filled, one the other way up shades otherwise, and a selvedge draws up in the wash. Cut it anew."
        );
        var turned = pattern
            .Pieces.Where(piece => piece.TurnedOver && !piece.Role.IsFilling() && !IsAlike(piece.Cut))
            .Select(piece => piece.Name)
            .ToList();
        if (turned.Count > 0)
            yield return new(
                "mirrored",
                $"Left and right are mirrored: every second {Listed(turned)} was turned over.",
                "Two that are alike cannot face each other: one would be sewn wrong side out. Cut one anew, turned over."
            );
    }

    private static string Listed(List<string> names) =>
        names.Count == 1 ? names[0] : $"{string.Join(", ", names.Take(names.Count - 1))} and {names[^1]}";

    // Whether a piece is its own mirror image, side to side, so that one that was not turned over is right all the same.
    private static bool IsAlike(Outline outline)
    {
        var (left, _, right, _) = outline.Bounds();
        var corners = outline.Edges.Select(edge => (edge.Start.X, edge.Start.Y)).ToList();
        bool Meets((Length X, Length Y) corner) =>
            corners.Any(other =>
                (other.X - (left + right - corner.X)).Abs() <= Eighth && (other.Y - corner.Y).Abs() <= Eighth
            );
        return outline.Edges.All(edge => edge.Radius is null) && corners.All(Meets);
    }

    private static Check Level((string From, Working Size) gauge) =>
        new(
            "cord-level",
            $"The cord runs level all round: {gauge.From}.",
            "A cord that climbs is seen from across the room. Mark where it is off, unpick that stretch and sew it to a chalk line."
        )
        {
            Target = gauge.Size,
            Tolerance = Eighth,
            Places = Round,
        };

    // Where corners of top and bottom are sewn, the whole corner is measured; else each seam as it is drafted.
    private static IEnumerable<Check> Corners(Pattern pattern, Step step)
    {
        var darts = Seams(pattern, step).Where(seam => seam.Kind == SeamKind.Dart).ToList();
        foreach (var alike in darts.GroupBy(dart => dart.Drafted.Value))
        {
            var whole = pattern.MidDepth is { } half ? 2 * half : null;
            yield return new(
                darts.All(dart => dart.Drafted.Value == darts[0].Drafted.Value)
                    ? "corners"
                    : $"corners-{alike.Key.Ticks}",
                whole is null
                    ? "Each corner seam, along the stitches."
                    : "Across each boxed corner, from the top's corner to the bottom's.",
                "More, and the corner hangs loose below the inner; less, and it pulls the top off its edge. Sew it again: nothing is trimmed yet."
            )
            {
                Target = whole ?? alike.First().Drafted,
                Tolerance = Eighth,
                Places = Places(alike.Select(dart => dart.Name)),
            };
            if (whole is not null)
                yield break;
        }
    }

    // One reading a corner, top and bottom together.
    private static IReadOnlyList<string> Places(IEnumerable<string> darts) =>
        [.. darts.Select(name => name.Split(',')[0]).Distinct()];

    private static IEnumerable<Check> Sizes(Pattern pattern, Length tolerance)
    {
        foreach (var name in new[] { "finished width", "finished length" })
            // What is round across is not measured flat.
            if (Told(pattern, name) is { } size && !(pattern.EndFirst && name == "finished width"))
                yield return new(
                    name.Replace("finished ", "", StringComparison.Ordinal),
                    $"The {name}, from seam to seam, laid flat.",
                    "Larger, and the cover stands in folds; smaller, and the inner is squeezed or does not go in. Find the seam that is off and sew it again, or log a change of fit."
                )
                {
                    Target = size,
                    Tolerance = tolerance,
                };
    }

    private static Working? Told(Pattern pattern, string name) =>
        pattern.Finished.Where(size => size.Name == name).Select(size => size.Working).FirstOrDefault();

    private static IEnumerable<Seam> Seams(Pattern pattern, Step step) =>
        pattern.Seams.Where(seam => step.Seams.Contains(seam.Name));
}
