using System.Globalization;
using System.Text;
using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Formats.Plotting;

namespace Wrapper.Server.Devices;

/// <summary>What a cutting plotter is at.</summary>
[JsonConverter(typeof(ByName<PlotterIs>))]
public enum PlotterIs
{
    /// <summary>It is switched off.</summary>
    [JsonStringEnumMemberName("off")]
    Off,

    /// <summary>It waits for a file.</summary>
    [JsonStringEnumMemberName("ready")]
    Ready,

    /// <summary>It cuts.</summary>
    [JsonStringEnumMemberName("cutting")]
    Cutting,

    /// <summary>It waits for the cloth to be moved on.</summary>
    [JsonStringEnumMemberName("waiting")]
    Waiting,

    /// <summary>The cloth is caught: free it.</summary>
    [JsonStringEnumMemberName("jammed")]
    Jammed,

    /// <summary>It is done with its file.</summary>
    [JsonStringEnumMemberName("done")]
    Done,
}

/// <summary>
/// What a plotter is at and what it has done: lengths in whole millimetres, <paramref name="Cut"/> as the data of an SVG
/// path in counts of 1/40 mm of the window that lies under it, y along the bed.
/// </summary>
public sealed record PlotterState(
    PlotterIs Is,
    string Name,
    int Across,
    int Along,
    int Window,
    int Windows,
    long Seconds,
    long SecondsInAll,
    long Down,
    long Lifted,
    string Cut
);

/// <summary>Why a machine does not take a file; <paramref name="ForNow"/> where it may later.</summary>
internal sealed record CutterRefuses(string Reason, bool ForNow = false);

/// <summary>A machine that cuts what a plotter file says.</summary>
internal interface ICutter
{
    /// <summary>Its bed and tool; null while it is off.</summary>
    PlotterBed? Bed { get; }

    /// <summary>Takes a file in HPGL/2; why it cannot, or null.</summary>
    CutterRefuses? Take(string name, string hpgl);
}

/// <summary>
/// The stand-in for a cutting plotter: reads the file as a machine would, refuses what leads off its bed, and does at its
/// speed what it says. Its clock stands while it waits or is jammed.
/// </summary>
internal sealed class Plotter(TimeProvider clock) : ICutter
{
    // Millimetres a second, down and lifted.
    private const double CutsAt = 250,
        MovesAt = 600;

    private readonly Lock gate = new();
    private bool isOn;
    private int hurry = 1;
    private PlotterBed bed = PlotterBed.Usual;
    private string name = "";
    private IReadOnlyList<PlotterWindow> windows = [];
    private int window;
    private bool isJammed,
        isWaiting;

    // Seconds of this window that were run before the clock was last started, null while it stands.
    private double ran;
    private long? since;

    /// <inheritdoc/>
    public PlotterBed? Bed
    {
        get
        {
            lock (gate)
                return isOn ? bed : null;
        }
    }

    /// <summary>Switches it on or off, says how large its bed is, and how many times faster than it is it runs.</summary>
    public void Set(bool on, PlotterBed of, int faster)
    {
        lock (gate)
        {
            Stand();
            (isOn, bed, hurry) = (on, of, faster);
            if (!on)
                (windows, name, isJammed, isWaiting, ran) = ([], "", false, false, 0);
            else if (windows.Count > 0 && !isJammed && !isWaiting)
                since = clock.GetTimestamp();
        }
    }

    /// <inheritdoc/>
    public CutterRefuses? Take(string called, string hpgl)
    {
        lock (gate)
        {
            if (!isOn)
                return new("The plotter is switched off: switch it on under Workshop devices.", ForNow: true);
            if (StateNow() is PlotterIs.Cutting or PlotterIs.Waiting or PlotterIs.Jammed)
                return new($"The plotter is at {name} still.", ForNow: true);
            var (read, reason) = PlotterWindow.Read(hpgl, bed);
            if (reason is not null)
                return new(reason);
            (name, windows, window, ran, isJammed, isWaiting) = (called, read, 0, 0, false, false);
            since = clock.GetTimestamp();
            return null;
        }
    }

    /// <summary>The cloth is caught at this moment; nothing happens where it does not cut.</summary>
    public void Jam()
    {
        lock (gate)
            if (StateNow() == PlotterIs.Cutting)
            {
                Stand();
                isJammed = true;
            }
    }

    /// <summary>The cloth is freed, or was moved on: it goes on where it stood.</summary>
    public void GoOn()
    {
        lock (gate)
        {
            var state = StateNow();
            if (state == PlotterIs.Waiting)
                (window, ran) = (window + 1, 0);
            if (state is not (PlotterIs.Waiting or PlotterIs.Jammed))
                return;
            (isJammed, isWaiting, since) = (false, false, clock.GetTimestamp());
        }
    }

    /// <summary>What it is at.</summary>
    public PlotterState State()
    {
        lock (gate)
        {
            var state = StateNow();
            var there = windows.Count > 0 ? windows[window] : null;
            var (cut, down, lifted) = there?.Until(Ran(), CutsAt, MovesAt) ?? ("", 0, 0);
            var before = windows.Take(window).Select(each => each.Until(double.MaxValue, CutsAt, MovesAt)).ToList();
            return new(
                state,
                name,
                (int)(bed.Across.Ticks / Length.TicksPerMillimetre),
                (int)(bed.Along.Ticks / Length.TicksPerMillimetre),
                window + 1,
                windows.Count,
                (long)Math.Round(windows.Take(window).Sum(each => each.Seconds(CutsAt, MovesAt)) + Ran()),
                (long)Math.Round(windows.Sum(each => each.Seconds(CutsAt, MovesAt))),
                (long)Math.Round(down + before.Sum(each => each.Down)),
                (long)Math.Round(lifted + before.Sum(each => each.Lifted)),
                cut
            );
        }
    }

    private PlotterIs StateNow()
    {
        if (!isOn)
            return PlotterIs.Off;
        if (windows.Count == 0)
            return PlotterIs.Ready;
        if (isJammed)
            return PlotterIs.Jammed;
        if (Ran() < windows[window].Seconds(CutsAt, MovesAt))
            return PlotterIs.Cutting;
        Stand();
        isWaiting = window + 1 < windows.Count;
        return isWaiting ? PlotterIs.Waiting : PlotterIs.Done;
    }

    private double Ran() =>
        Math.Min(
            windows.Count == 0 ? 0 : windows[window].Seconds(CutsAt, MovesAt),
            ran + (since is { } at ? clock.GetElapsedTime(at).TotalSeconds * hurry : 0)
        );

    private void Stand() => (ran, since) = (Ran(), null);
}

/// <summary>What a plotter does while the cloth lies still, as read from its file.</summary>
internal sealed class PlotterWindow
{
    private const long TicksPerCount = Core.Lengths.Length.TicksPerMillimetre / Spot.PerMillimetre;

    private readonly List<(Spot From, Spot To, bool Down)> moves = [];

    /// <summary>
    /// The windows of a file in HPGL/2; or why a machine with this bed cannot do it, and at which command.
    /// </summary>
    public static (IReadOnlyList<PlotterWindow> Windows, string? Reason) Read(string hpgl, PlotterBed bed)
    {
        List<PlotterWindow> windows = [new()];
        var (at, pen, number) = (default(Spot), 0, 0);
        if (!hpgl.StartsWith("IN;", StringComparison.Ordinal))
            return ([], "this is no HPGL/2 file: it does not begin with IN");
        foreach (var command in Commands(hpgl))
        {
            number++;
            string Refuse(string why) => $"command {number} ({command[..Math.Min(20, command.Length)]}): {why}";
            var word = command[..Math.Min(2, command.Length)];
            switch (word)
            {
                case "IN" or "CO":
                    continue;
                case "PG":
                    windows.Add(new());
                    at = default;
                    continue;
                case "SP":
                    if (!int.TryParse(command[2..], CultureInfo.InvariantCulture, out pen) || pen is < 0 or > 2)
                        return ([], Refuse("there are pens 0 to 2"));
                    continue;
                case "PU" or "PD":
                    break;
                default:
                    return ([], Refuse("this machine does not know it"));
            }
            var values = command[2..].Split(',', StringSplitOptions.RemoveEmptyEntries);
            if (values.Length % 2 != 0)
                return ([], Refuse("a place is two numbers"));
            for (var n = 0; n < values.Length; n += 2)
            {
                if (
                    !int.TryParse(values[n], CultureInfo.InvariantCulture, out var x)
                    || !int.TryParse(values[n + 1], CultureInfo.InvariantCulture, out var y)
                )
                    return ([], Refuse("a place is two whole numbers"));
                if (x < 0 || y < 0 || x * TicksPerCount > bed.Across.Ticks || y * TicksPerCount > bed.Along.Ticks)
                    return ([], Refuse("that lies off the bed"));
                var to = new Spot(x, y);
                windows[^1].moves.Add((at, to, word == "PD" && pen > 0));
                at = to;
            }
        }
        return (windows, null);
    }

    /// <summary>How long it takes.</summary>
    public double Seconds(double cutsAt, double movesAt) =>
        moves.Sum(move => Length(move) / (move.Down ? cutsAt : movesAt));

    /// <summary>What is cut after so many seconds, as the data of a path, and how far it went down and lifted.</summary>
    public (string Cut, double Down, double Lifted) Until(double seconds, double cutsAt, double movesAt)
    {
        var path = new StringBuilder();
        var (down, lifted) = (0.0, 0.0);
        var last = new Spot(-1, -1);
        foreach (var move in moves)
        {
            var length = Length(move);
            var time = length / (move.Down ? cutsAt : movesAt);
            var share = time <= 0 ? 1 : Math.Clamp(seconds / time, 0, 1);
            if (share <= 0)
                break;
            var to = new Spot(
                move.From.Across + (int)Math.Round(share * (move.To.Across - move.From.Across)),
                move.From.Along + (int)Math.Round(share * (move.To.Along - move.From.Along))
            );
            if (move.Down)
            {
                if (last != move.From)
                    path.Append(CultureInfo.InvariantCulture, $"M{move.From.Across} {move.From.Along}");
                path.Append(CultureInfo.InvariantCulture, $"L{to.Across} {to.Along}");
                (last, down) = (to, down + (share * length));
            }
            else
                lifted += share * length;
            if (share < 1)
                break;
            seconds -= time;
        }
        return (path.ToString(), down, lifted);
    }

    private static double Length((Spot From, Spot To, bool Down) move)
    {
        var (x, y) = ((double)move.To.Across - move.From.Across, (double)move.To.Along - move.From.Along);
        return Math.Sqrt((x * x) + (y * y)) / Spot.PerMillimetre;
    }

    // Commands end with a semicolon, but in the words of a comment.
    private static IEnumerable<string> Commands(string hpgl)
    {
        var (begin, isQuoted) = (0, false);
        for (var at = 0; at < hpgl.Length; at++)
            if (hpgl[at] == '"')
                isQuoted = !isQuoted;
            else if (hpgl[at] == ';' && !isQuoted)
            {
                var command = hpgl[begin..at].Trim();
                begin = at + 1;
                if (command.Length > 0)
                    yield return command;
            }
    }
}
