using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Drawn;

/// <summary>
/// How something is done, for a learner: what it is called, in which order, and a drawing in a field 120 wide and 60
/// high, y down, with edges, stitches and what is moved (needle, slider, thread) apart.
/// </summary>
public sealed record Shown(string Name, IReadOnlyList<string> Words, string Solid, string Dashed, string Heavy);

/// <summary>What learners are shown of the making (craft §4, §10).</summary>
public static class Techniques
{
    private static readonly Dictionary<Technique, Shown> All = new()
    {
        [Technique.DrawAThread] = new(
            "Draw a thread",
            [
                "Snip the selvedge and pick one thread of the weft with a pin.",
                "Draw it out gently while the cloth gathers along it; smooth the cloth flat again.",
                "Cut along the gap that it left: that is the straight of the grain. A print is trusted before the weave.",
            ],
            "M8 10H112V54H8Z M8 20H112 M8 30H112 M8 44H112 M20 10V54 M32 10V54 M44 10V54 M56 10V54 M68 10V54 M80 10V54 M92 10V54 M104 10V54",
            "M8 37H80",
            "M80 37C96 37 100 28 116 20"
        ),
        [Technique.Pivot] = new(
            "Turn a corner with the needle down",
            [
                "Sew up to the mark and stop with the needle down in the cloth.",
                "Lift the foot; open the clip of the strip at the needle so that it lies along the next edge.",
                "Turn the work, lower the foot, look for the next corner and go on.",
            ],
            "M10 52V10H110 M60 22L52 10",
            "M20 52V20H110",
            "M20 8V34 M14 34H26 M34 40A18 18 0 0 0 34 24 M34 24L30 30 M34 24L40 28"
        ),
        [Technique.ClipACurve] = new(
            "Clip a curve",
            [
                "Cut from the raw edge straight towards the stitch line, and stop a thread before it.",
                "Clip the edge that has to open: the hollow one, or the straight strip that goes round.",
                "The tighter the curve, the closer the clips.",
            ],
            "M6 52A78 78 0 0 1 114 52 M24 37L30 42 M40 28L44 34 M60 24V31 M80 28L76 34 M96 37L90 42",
            "M14 58A72 72 0 0 1 106 58",
            ""
        ),
        [Technique.JoinCord] = new(
            "Join the two ends of a cord",
            [
                "Leave a hand's width unsewn; unpick the covering of both ends and butt the core, end to end.",
                "Turn one end of the covering under on the slant and lay it over the other.",
                "Wrap the cord with it and sew across the join.",
            ],
            "M6 22H56 M6 38H56 M64 22H114 M64 38H114 M6 52H114 M56 22L46 38 M56 22L56 38",
            "M6 44H114",
            "M6 30H60 M60 30H114 M60 24V36"
        ),
        [Technique.ThreadASlider] = new(
            "Thread a slider on to zip chain",
            [
                "Cut the chain's end level. Trim a little of the tape, not of the teeth.",
                "Push both tapes into the slider's two mouths, equally far, its nose away from the end.",
                "Pull it on evenly until the teeth close behind it, and bar-tack the end at once.",
            ],
            "M6 22H70 M6 38H70 M70 22L110 10 M70 38L110 50 M96 8L100 16 M96 52L100 44",
            "M6 30H64",
            "M58 20H76L84 26V34L76 40H58Z M58 30H44"
        ),
        [Technique.LadderStitch] = new(
            "Close an opening with ladder stitch",
            [
                "Fold both edges in along the stitch line and hold them together.",
                "Take a short stitch inside one fold, cross straight over, take one inside the other: rungs of a ladder.",
                "Draw the thread up every few rungs; they vanish. Knot it inside.",
            ],
            "M6 20H114 M6 40H114",
            "M6 14H114 M6 46H114",
            "M10 20V40 M10 40H22 M22 40V20 M22 20H34 M34 20V40 M34 40H46 M46 40V20 M46 20H58 M58 20V40 M58 40H70 M70 40V20"
        ),
    };

    /// <summary>How <paramref name="technique"/> is done.</summary>
    public static Shown Of(Technique technique) => All[technique];
}
