using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Declaring;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>The making order of the two assembly schools (craft §4.1, §11).</summary>
internal static class BoxedSteps
{
    public static IReadOnlyList<Step> Of(Reading reading, IReadOnlyList<Seam> seams, Cording cording)
    {
        string[] Named(Func<Seam, bool> which) => [.. seams.Where(which).Select(seam => seam.Name)];
        var laps = Named(seam => seam.Kind == SeamKind.Lap);
        var joins = Named(seam => seam.Name.StartsWith("boxing join", StringComparison.Ordinal));
        List<Step> steps = [Step.Cutting("Cut all pieces; mark corners and zip ends on both edges of the strips.")];
        var ring = reading.Chosen(BoxCushionStrip.Assembly) is AssemblySchool.Ring;
        if (ring && cording is not Cording.None)
            steps.Add(
                Step.Of(
                    StepKind.Cording,
                    $"Sew the covered cord round {(cording is Cording.Top ? "the top panel" : "both panels")}; butt the core and wrap the join."
                )
            );
        if (joins.Length > 0)
            steps.Add(
                Step.Pressing("Join the boxing lengths; press the joins open.", joins) with
                {
                    Kind = StepKind.Piecing,
                }
            );
        steps.Add(
            new(
                "Sew the zip between the two halves of the zip strip, both sides from the same end, its slider left in the middle; baste its ends shut within the allowance, where the seams to the boxing cross them.",
                ["zip"]
            )
        );
        steps.AddRange(ring ? Ring(laps) : Sandwich(laps, cording));
        steps.Add(
            Step.Of(
                StepKind.Turning,
                "Finish the seams, turn right side out through the zip, and push the corners square."
            )
        );
        steps.Add(FillingSteps.ThroughZip);
        return steps;
    }

    private static IEnumerable<Step> Ring(string[] laps)
    {
        yield return new(
            $"Join zip strip and boxing into a ring{(laps.Length > 0 ? "; tuck the lap over the slider" : "")}.",
            ["boxing to zip strip, first end", "boxing to zip strip, second end", .. laps]
        );
        yield return new(
            "Sew the ring to the top panel from a front corner, pivoting with the needle down.",
            ["boxing to top panel", "zip strip to top panel"]
        );
        yield return Step.Cutting("Notch the other edge opposite each corner. Open the zip.");
        yield return new(
            "Sew the ring to the bottom panel, sighting the next corner before reaching it.",
            ["boxing to bottom panel", "zip strip to bottom panel"]
        )
        {
            Checks = [Checks.InLine],
        };
    }

    private static IEnumerable<Step> Sandwich(string[] laps, Cording cording)
    {
        var (cord, both) = (cording is Cording.None ? "" : ", cord", cording is Cording.Both ? ", cord" : "");
        var alone = cording is not Cording.None ? "; carry the cord alone across the back" : "";
        yield return new(
            $"Sew top panel{cord} and boxing in one pass, from a front corner, both ways{alone}.",
            ["boxing to top panel"]
        );
        yield return new(
            $"Pin the zip strip to the length that is left; sew its ends to the boxing{(laps.Length > 0 ? ", which laps them" : "")}, then the strip to that panel.",
            ["boxing to zip strip, first end", "boxing to zip strip, second end", .. laps, "zip strip to top panel"]
        );
        yield return Step.Cutting("Cut a V-notch in the free edge opposite each corner. Open the zip.");
        yield return new(
            $"Sew the bottom panel{both} in one pass, each notch half an inch before its corner.",
            ["boxing to bottom panel", "zip strip to bottom panel"]
        )
        {
            Checks = [Checks.InLine],
        };
    }
}
