using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// Where zip and boxing run along the panel's stitch line (handbook §4.1): the zip run <c>Z</c> is centred on the back and
/// turns each back corner by <c>w</c>, counted from the middle of the corner; the boxing takes the rest of <c>P</c>.
/// </summary>
internal sealed class BoxedPlan
{
    public BoxedPlan(Reading reading)
    {
        Box = EaseSchools.Finished(reading);
        Radius = reading.MeasureOrZero("r");
        Outline = RoundedRectangle.Of(Box.Width.Value, Box.Length.Value, Radius.Value);
        Ring = new Ring(Outline);
        Turn = new Allowance("w", AllowanceRole.Turn, reading.Choice("zipTurn"));

        var rounded = Radius.Value.IsPositive;
        // A quarter circle is π r ÷ 2 long where the square corner was 2 r.
        var quarter = (Radius.TimesPi() / 2).As("q", "quarter of the corner circle");
        Perimeter = (rounded
            ? (2 * (Box.Width - (2 * Radius))) + (2 * (Box.Length - (2 * Radius))) + (4 * quarter)
            : 2 * (Box.Width + Box.Length)).As("P", "perimeter along the stitch line");
        Working Run(Working side) => rounded ? (side - (2 * Radius)) + quarter : side;
        SideRun = Run(Box.Length);
        ZipRun = (Run(Box.Width) + (2 * Turn)).As("Z", "zip run");
        BoxingRun = (Perimeter - ZipRun).As("X", "boxing run");

        var middleOfBack = MiddleOfBack();
        ZipStart = middleOfBack - ZipRun.Value.Over(2);
        BoxingStart = ZipStart + ZipRun.Value;
    }

    public FinishedBox Box { get; }

    public Working Radius { get; }

    public Outline Outline { get; }

    public Ring Ring { get; }

    /// <summary>How far the zip turns each back corner, from its middle.</summary>
    public Working Turn { get; }

    public Working Perimeter { get; }

    /// <summary>A side from the middle of one corner to the middle of the next.</summary>
    public Working SideRun { get; }

    public Working ZipRun { get; }

    public Working BoxingRun { get; }

    /// <summary>Where the zip run starts, along the ring from the start of the front edge.</summary>
    public Length ZipStart { get; }

    public Length BoxingStart { get; }

    // From the start of the ring to the middle of the back: half of it, since both sides mirror each other, counted from the
    // middle of the front. The ring starts at the front edge, or where a full radius left none, half a corner later.
    private Length MiddleOfBack()
    {
        var front = Box.Width.Value - (2 * Radius.Value);
        var half = Ring.Length.Over(2);
        return Ring.StartOf("front") is not null ? half + front.Over(2) : half;
    }
}
