using Wrapper.Core.Declaring;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>The making order of a slipcover (craft §6.2).</summary>
internal static class SlipcoverSteps
{
    public static IReadOnlyList<Step> Of(Reading reading, ChairBody body, IReadOnlyList<Seam> seams)
    {
        var wing = body.HasWings ? "outside wing" : "back corner";
        string[] Named(params string[] parts) =>
            [
                .. seams
                    .Where(seam => parts.Any(part => seam.Name.StartsWith(part, StringComparison.Ordinal)))
                    .Select(seam => seam.Name),
            ];
        bool Corded(params string[] parts) =>
            seams.Any(seam =>
                seam.CordLine is not null && parts.Any(part => seam.Name.StartsWith(part, StringComparison.Ordinal))
            );
        string CordFirst(params string[] parts) => Corded(parts) ? ", cord first" : "";
        string[] tops =
        [
            "inside arm to outside",
            "outside arm to",
            "inside back over",
            "inside back to outside",
            "inside back to back corner",
        ];
        string[] front = ["deck to front", "arm front"];
        var skirted = ChairSlipcover.HasSkirt(reading);
        var ride = Corded("zip") ? "its teeth ride the cord, " : "";
        var foot = skirted ? ", its foot stays open until the skirt is on" : ", its foot bar-tacked";
        var above = skirted
            ? $"{reading.Say(ChairBody.Rise(reading).Value)} above the lower edge of the body, so that the skirt covers it"
            : "";
        var line = Corded("skirt")
            ? $"Cord the skirt line, level all round {above}"
            : $"Chalk the skirt line, level all round {above}";
        List<Step> steps =
        [
            Step.Cutting(
                "Cut every piece as a rough rectangle, with its ease and tuck-ins; chalk its name and the line to expect on its wrong side, and mark the middles of inside back, outside back, deck and front band. Cut no hollow and no slant yet."
            ),
            Step.Of(
                StepKind.Pinning,
                "Pin inside back, deck and inside arms on the chair, wrong side out, weave level, middles on the middle. Cut the tuck-ins towards the ends of the crevices, and open the hollows round the arms a little at a time."
            ),
            Step.Of(
                StepKind.Pinning,
                "Pin the outside back, outside arms, arm fronts and front band to them along the seams as they lie on the chair; the pins count, not the chalk."
            ),
            Step.Fitting(
                "Sit in it, push in the tuck-ins and smooth every face; move pins that pull. Nothing is trimmed yet."
            ),
            Step.Trimming("Trim to three seam allowances."),
            Step.Fitting("Fit again, pin by pin: the pins become the stitch line."),
            Step.Trimming("Trim to one seam allowance."),
            new(
                "Sew deck and inside arms along the crevices, stopping at points A and B.",
                Named("deck to inside", "inside back to inside arm", "inside back round")
            ),
        ];
        if (body.HasWings)
            steps.Add(
                new(
                    "Sew the wings together, then to back and arms.",
                    Named("inside wing", "inside back to inside wing", "inside arm to inside wing")
                )
            );
        steps.AddRange([
            new($"Sew arm tops, {wing}s and the top of the back{CordFirst(tops)}.", Named(tops)),
            new($"Sew the front band, then the arm fronts{CordFirst(front)}, from the foot up.", Named(front)),
            new(
                $"Sew the back seam without the zip{CordFirst("outside back")}, then the zip: {ride}its top is closed{foot}.",
                Named("outside back", "zip")
            ),
        ]);
        if (skirted)
            steps.Add(
                new(
                    $"Hem the skirt's faces and flaps. {line}; sew the faces to it, a flap behind each corner. Close the foot of the zip.",
                    Named("skirt")
                )
            );
        steps.Add(
            Step.Fitting("Try on, right side out, push in the tuck-ins, and press on the chair.") with
            {
                Does = Doing.Fitting | Doing.Pressing,
            }
        );
        return steps;
    }
}
