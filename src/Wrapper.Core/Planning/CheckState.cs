using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// One check of one cover as it stands; <paramref name="Told"/> says by how much which reading is off, empty where none
/// is.
/// </summary>
public sealed record CheckState(
    string Id,
    Check Check,
    int Cover,
    IReadOnlyList<Entry> Readings,
    Verdict Verdict,
    string Told,
    string Note,
    IReadOnlyList<Problem> Problems
)
{
    /// <summary>What was read as a share of what it is a share of, in per cent to a half; null where it is none.</summary>
    public decimal? Share { get; init; }

    /// <summary>Whether nothing about it is left to decide before the next step.</summary>
    public bool IsSettled => Verdict is Verdict.Holds or Verdict.Accepted || (Verdict == Verdict.Open && !Check.IsGate);

    /// <summary>
    /// How <paramref name="check"/> stands by what was logged under <paramref name="id"/>, figures in
    /// <paramref name="unit"/>.
    /// </summary>
    public static CheckState Of(string id, Check check, int cover, CheckLog? log, JobUnit unit)
    {
        var empty = new Entry("", unit);
        List<Entry> readings = [.. check.Places.Select((_, at) => log?.Readings.ElementAtOrDefault(at) ?? empty)];
        List<Problem> problems = [];
        List<string> off = [];
        var read = 0;
        decimal? share = null;
        if (check.IsRead)
            foreach (var (entry, at) in readings.Select((entry, at) => (entry, at)))
            {
                if (entry.Typed.Trim().Length == 0)
                    continue;
                var (length, refusal) = Entry.Read(entry, unit, LengthLimits.Item);
                if (length is not { } value)
                {
                    problems.Add(
                        new Problem(
                            $"checks.{id}.{at}",
                            entry.Typed,
                            refusal!.Position,
                            refusal.Reason,
                            check.Target is { } example ? LengthPrinter.Finished(example.Value, unit).Text : "19 1/4"
                        )
                    );
                    continue;
                }
                read++;
                if (check.ShareOf is { } whole)
                {
                    share = decimal.Round(value.Ticks * 200m / whole.Ticks) / 2;
                    if (value >= whole)
                        off.Add(Off(check.Places[at], value - whole, unit));
                }
                if (check.Target is { } target && (value - target.Value).Abs() > check.Tolerance)
                    off.Add(Off(check.Places[at], value - target.Value, unit));
            }
        var found =
            off.Count > 0 ? Verdict.Off
            : check.IsRead ? (read == check.Places.Count ? Verdict.Holds : Verdict.Open)
            : Verdict.Open;
        var verdict = log?.Answer switch
        {
            null or Verdict.Open => found,
            // A figure that is off is not talked away.
            Verdict.Holds when found == Verdict.Off => found,
            { } answer => answer,
        };
        return new(id, check, cover, readings, verdict, string.Join("; ", off), log?.Note ?? "", problems)
        {
            Share = share,
        };
    }

    private static string Off(string place, Length by, JobUnit unit) =>
        $"{(place.Length > 0 ? $"{place}: " : "")}{LengthPrinter.Finished(by.Abs(), unit).Text} {LengthPrinter.Word(unit)} too {(by.IsPositive ? "much" : "little")}";
}
