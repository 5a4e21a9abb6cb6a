using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// Where zip and boxing run along the panel's stitch line (craft §4.1): the zip run <c>Z</c> is centred on the back and
/// turns each back corner by <c>w</c>, counted from the middle of a round corner; the boxing takes the rest of
/// <c>P</c>.
/// </summary>
internal sealed class BoxedPlan
{
    public BoxedPlan(Reading reading)
    {
        Seat = EaseSchools.Outline(reading);
        Depth = EaseSchools.Depth(reading);
        Ring = Seat.Ring;
        Turn = new Allowance("w", AllowanceRole.Turn, reading[BoxCushionStrip.ZipTurn]);
        Perimeter = Seat.Perimeter;
        ZipRun = (Seat.BackRun + (2 * Turn)).As("Z", "zip run");
        BoxingRun = (Perimeter - ZipRun).As("X", "boxing run");
        FrontStart = Seat.LeftRun - Turn;

        var start = Seat.BackStart - Turn.Value;
        ZipStart = start < Length.Zero ? start + Ring.Length : start;
        BoxingStart = ZipStart + ZipRun.Value;
    }

    public SeatOutline Seat { get; }

    public Working Depth { get; }

    public Ring Ring { get; }

    /// <summary>How far the zip turns each back corner.</summary>
    public Working Turn { get; }

    public Working Perimeter { get; }

    /// <summary>The shorter way from the back to the front.</summary>
    public Working SideRun => Seat.LeftRun.Value <= Seat.RightRun.Value ? Seat.LeftRun : Seat.RightRun;

    public Working ZipRun { get; }

    public Working BoxingRun { get; }

    /// <summary>Where the front begins, along the boxing.</summary>
    public Working FrontStart { get; }

    /// <summary>Where the zip run starts, along the ring from the start of its first edge.</summary>
    public Length ZipStart { get; }

    public Length BoxingStart { get; }
}
