using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Cushions;

/// <summary>
/// A zip in the seam that joins two like panels all round, centred on their back edge: where it lies along the ring, and
/// the seams beside it (craft §4.7).
/// </summary>
internal sealed class RingZip
{
    private readonly SeatOutline seat;
    private readonly ZipSchool school;
    private readonly Working turn;
    private readonly Working clear;
    private readonly Length start;

    public RingZip(Reading reading, SeatOutline seat, ZipSchool school)
    {
        (this.seat, this.school) = (seat, school);
        turn = new Allowance("w", AllowanceRole.Turn, reading[ZipSchools.Turn]);
        clear = new Allowance("clear", AllowanceRole.Turn, reading[ZipSchools.Clear]);
        var back = seat.Lengths[seat.Back];
        Run = (
            school switch
            {
                ZipSchool.Inside => back - (2 * clear),
                ZipSchool.Round => seat.BackRun + (2 * turn),
                _ => back,
            }
        ).As("Z", "zip run");
        start = school switch
        {
            ZipSchool.Inside => seat.Ring.StartOf(seat.Back)!.Value + clear.Value,
            ZipSchool.Round => seat.BackStart - turn.Value,
            _ => seat.Ring.StartOf(seat.Back)!.Value,
        };
    }

    /// <summary>The zip's teeth along the stitch line.</summary>
    public Working Run { get; }

    /// <summary>Which edge has which allowance: a tape that turns corners takes the seam's.</summary>
    public AllowanceDeclaration Allowance(string edge) =>
        edge == seat.Back && school is not ZipSchool.Round ? EdgeAllowances.Zip : EdgeAllowances.Seam;

    /// <summary>What is impossible about it.</summary>
    public IEnumerable<Problem> Check(Reading reading)
    {
        if (school is ZipSchool.Inside && !Run.Value.IsPositive)
            yield return reading.Refuse(
                ZipSchools.Clear,
                $"nothing is left of the back ({reading.Say(seat.Lengths[seat.Back].Value)}) for the zip",
                "0"
            );
        var side = Length.Min(seat.LeftRun.Value, seat.RightRun.Value);
        if (school is ZipSchool.Round && turn.Value >= side)
            yield return reading.Refuse(ZipSchools.Turn, $"the zip would run past the side ({reading.Say(side)})", "0");
    }

    /// <summary>
    /// The zip, what is left of the back beside it, and every other edge, each by the name that
    /// <paramref name="named"/> gives it; all join instance 1 and 2 of <paramref name="panel"/>.
    /// </summary>
    public IEnumerable<Seam> Seams(string panel, Zip zip, Func<string, string> named)
    {
        yield return new(
            "zip",
            SeamKind.Zip,
            seat.Ring.Stretch(panel, 1, Wrapped(start), Run.Value),
            seat.Ring.Stretch(panel, 2, Wrapped(start), Run.Value),
            Run
        )
        {
            Zip = zip,
        };
        foreach (var edge in seat.Outline.Edges.Select(each => each.Name))
        foreach (var (from, to, drafted) in Left(edge))
            yield return new(
                edge != seat.Back ? named(edge)
                    : from is null ? $"{edge}, beside the zip"
                    : $"{edge}, beyond the zip",
                SeamKind.Join,
                [new Run(panel, 1, edge, from, to)],
                [new Run(panel, 2, edge, from, to)],
                drafted
            );
    }

    // What the zip leaves of an edge, at its start and at its end.
    private IEnumerable<(Length? From, Length? To, Working Drafted)> Left(string edge)
    {
        var (own, begin) = (seat.Lengths[edge], seat.Ring.StartOf(edge)!.Value);
        var size = seat.Outline.LengthOf(edge);
        // The zip as this edge sees it: it may lie a whole round further on.
        var laps = new[] { -seat.Ring.Length, Length.Zero, seat.Ring.Length };
        var taken = laps.Select(lap =>
                (
                    From: Length.Max(Length.Zero, start + lap - begin),
                    To: Length.Min(size, start + lap + Run.Value - begin)
                )
            )
            .Where(each => each.To.Ticks - each.From.Ticks > 1)
            .ToList();
        if (taken.Count == 0)
        {
            yield return (null, null, own);
            yield break;
        }
        var from = Length.Zero;
        foreach (var (zipFrom, zipTo) in taken.OrderBy(each => each.From))
        {
            if (zipFrom.Ticks - from.Ticks > 1)
                yield return Part(from, zipFrom);
            from = zipTo;
        }
        if (size.Ticks - from.Ticks > 1)
            yield return Part(from, size);

        (Length?, Length?, Working) Part(Length a, Length b)
        {
            var beside =
                school is ZipSchool.Inside
                    ? clear
                    : own - Working.Of($"taken of {edge}", "taken up by the zip", size - (b - a));
            return (a == Length.Zero ? null : a, b == size ? null : b, beside);
        }
    }

    private Length Wrapped(Length at) => at < Length.Zero ? at + seat.Ring.Length : at;
}
