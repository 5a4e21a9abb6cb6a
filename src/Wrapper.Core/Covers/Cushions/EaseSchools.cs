using Wrapper.Core.Lengths;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>The finished sizes of a box cover: plan width and length, and boxing depth.</summary>
internal sealed record FinishedBox(Working Width, Working Length, Working Depth);

/// <summary>How tight a box cover sits on its inner (handbook §2).</summary>
internal static class EaseSchools
{
    private const string Group = "Ease";

    public static readonly IReadOnlyList<Choice> Choices =
    [
        Choice.Of("ease", "How tight", Group,
            new Option("snug", "Snug on thickness", "For foam: the plan is exact and the boxing a little under the foam's thickness, so that it stands taut."),
            new Option("exact", "Exact", "The cover is the size of the inner."),
            new Option("overcut", "Over-cut inner", "The cover fits the space; the foam is ordered larger and fills it out."),
            new Option("soft", "Soft inner", "For feather, fibre or scraps: the cover is smaller than the inner in plan."),
            new Option("loose", "Loose", "For covers pulled on and off: larger in plan."),
            new Option("pinfit", "Pin-fit", "Rough pieces, over in each direction, pinned and trimmed on the furniture in two passes.")),
        Amount("snugBy", "Boxing under the thickness by", "snug", Length.Inches(0, 1, 4), 6),
        Amount("softBy", "Smaller in plan by", "soft", Length.Inches(1, 1, 2), 40),
        Amount("looseBy", "Larger in plan by", "loose", Length.Inches(0, 1, 2), 15),
        Amount("pinBy", "Over in each direction by", "pinfit", Length.Inches(2, 1, 2), 65),
        Amount("overSmall", "Foam larger by, up to 24 in", "overcut", Length.Inches(0, 1, 2), 12),
        Amount("overLarge", "Foam larger by, above 24 in", "overcut", Length.Inches(1), 25),
    ];

    /// <summary>Finished sizes of the cover by the school chosen. The space or inner measures <c>W x L x T</c>.</summary>
    public static FinishedBox Finished(Reading reading)
    {
        var (w, l, t) = (reading.Measure("W"), reading.Measure("L"), reading.Measure("T"));
        Working Wide(Working sum) => sum.As("cover W", "cover width");
        Working Deep(Working sum) => sum.As("D", "boxing depth");
        Working Long(Working sum) => sum.As("cover L", "cover length");
        switch (reading.Option("ease"))
        {
            case "snug": return new(w, l, Deep(t - Ease(reading, "snugBy")));
            case "soft": return new(Wide(w - Ease(reading, "softBy")), Long(l - Ease(reading, "softBy")), Deep(t));
            case "loose": return new(Wide(w + Ease(reading, "looseBy")), Long(l + Ease(reading, "looseBy")), Deep(t));
            case "pinfit":
                var over = Ease(reading, "pinBy");
                return new(Wide(w + over), Long(l + over), Deep(t + over));
            default: return new(w, l, Deep(t));
        }
    }

    /// <summary>The foam to order: the inner as measured, or larger in plan where the school says so (handbook §4.8).</summary>
    public static IReadOnlyList<(string Name, Working Working)> Foam(Reading reading) =>
    [
        ("foam width", Side(reading, reading.Measure("W"))),
        ("foam length", Side(reading, reading.Measure("L"))),
        ("foam thickness", reading.Measure("T")),
    ];

    private static Working Side(Reading reading, Working side) => reading.Chosen("ease", "overcut")
        ? side + Ease(reading, side.Value <= Length.Inches(24) ? "overSmall" : "overLarge")
        : side;

    private static Allowance Ease(Reading reading, string choice) => new("e", AllowanceRole.Ease, reading.Choice(choice));

    private static Choice Amount(string key, string name, string school, Length inches, decimal millimetres) =>
        Choice.OfLength(key, name, Group, inches, millimetres, new LengthLimits(Length.Zero, Length.Inches(6), "1/2", "1.5"))
            with { ShownWhen = new Condition("ease", [school]) };
}
