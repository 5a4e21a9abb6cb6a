using System.Globalization;
using System.Text;

namespace Wrapper.Formats.Plotting;

/// <summary>Plotter files: HPGL/2 in its counts of 1/40 mm, and G-code in millimetres.</summary>
public static class PlotterFiles
{
    // Half of a cross, in counts.
    private const int Arm = 5 * Spot.PerMillimetre;

    /// <summary>
    /// HPGL/2: pen 1 is the tool, pen 2 draws the crosses to lay the cloth by; a new page is the cloth moved on.
    /// </summary>
    public static string Hpgl(PlotJob job)
    {
        var file = new StringBuilder("IN;");
        foreach (var (window, n) in job.Windows.Select((window, n) => (window, n)))
        {
            if (n > 0)
                file.Append("PU;PG;");
            file.Append(CultureInfo.InvariantCulture, $"CO\"window {n + 1} of {job.Windows.Count}\";");
            if (window.Crosses.Count > 0)
                file.Append("SP2;");
            foreach (var (across, along) in window.Crosses)
            {
                Line(new(across - Arm, along), new(across + Arm, along));
                Line(new(across, along - Arm), new(across, along + Arm));
            }
            file.Append("SP1;");
            foreach (var path in window.Paths)
                Follow(path.Spots);
        }
        return file.Append("PU0,0;SP0;\n").ToString();

        void Line(Spot from, Spot to) => Follow([from, to]);

        void Follow(IReadOnlyList<Spot> spots)
        {
            file.Append(CultureInfo.InvariantCulture, $"PU{spots[0].Across},{spots[0].Along};PD");
            file.AppendJoin(
                ',',
                spots.Skip(1).Select(spot => string.Create(CultureInfo.InvariantCulture, $"{spot.Across},{spot.Along}"))
            );
            file.Append(';');
        }
    }

    /// <summary>
    /// G-code: up is Z5, down is Z0; M0 waits while the cloth is moved on. The crosses are told and not cut.
    /// </summary>
    public static string GCode(PlotJob job)
    {
        var file = new StringBuilder();
        Say("(Wrapper)");
        Say("G21");
        Say("G90");
        Say("G0 Z5");
        foreach (var (window, n) in job.Windows.Select((window, n) => (window, n)))
        {
            if (n > 0)
                Say("M0 (move the cloth on to its marks)");
            Say($"(window {n + 1} of {job.Windows.Count})");
            foreach (var cross in window.Crosses)
                Say($"(mark at X{Mm(cross.Across)} Y{Mm(cross.Along)})");
            foreach (var path in window.Paths)
            {
                Say($"G0 X{Mm(path.Spots[0].Across)} Y{Mm(path.Spots[0].Along)}");
                Say("G1 Z0 F1000");
                foreach (var spot in path.Spots.Skip(1))
                    Say($"G1 X{Mm(spot.Across)} Y{Mm(spot.Along)} F6000");
                Say("G0 Z5");
            }
        }
        Say("G0 X0 Y0");
        Say("M2");
        return file.ToString();

        void Say(string line) => file.Append(line).Append('\n');
    }

    private static string Mm(int counts) =>
        (counts / (decimal)Spot.PerMillimetre).ToString("0.###", CultureInfo.InvariantCulture);
}
