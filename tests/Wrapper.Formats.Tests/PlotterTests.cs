using System.Globalization;
using System.Text.RegularExpressions;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Core.Tests;
using Wrapper.Formats.Drawings;
using Wrapper.Formats.Plotting;

namespace Wrapper.Formats.Tests;

/// <summary>What a plotter is told, read back from its file: every outline, nothing else, and nothing off its bed.</summary>
public class PlotterTests
{
    private sealed record Move(double FromX, double FromY, double ToX, double ToY, int Window);

    private static double Mm(Length length) => length.Ticks / 3840.0;

    private static readonly Drawing Lay = Laid();

    private static Drawing Laid()
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items =
            [
                Items.Example("box-cushion-strip", ("corners", "rounded")) with
                {
                    Id = "a",
                    Quantity = "3",
                },
                Items.Example("box-cushion-folded") with
                {
                    Id = "b",
                },
            ],
            Cloths = [DrawingTests.Cloth()],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        return LayDrawing.Of(plan.Cloths[0], plan)!;
    }

    private static PlotterBed Bed(int along, Tool tool = Tool.Knife, int over = 1) =>
        new(Length.Millimetres(1800), Length.Millimetres(along), tool, Length.Millimetres(over));

    // Pen 1 alone, in millimetres of the lay: where each window begins is added.
    private static List<Move> Read(string hpgl, PlotJob job)
    {
        List<Move> moves = [];
        var (pen, window, x, y) = (0, -1, 0.0, 0.0);
        foreach (var command in Regex.Matches(hpgl, "CO\"[^\"]*\";|[A-Z]{2}[^;]*;").Select(match => match.Value))
        {
            var values = command[2..^1]
                .Split(',', StringSplitOptions.RemoveEmptyEntries)
                .Select(value =>
                    double.TryParse(value, CultureInfo.InvariantCulture, out var read) ? read / 40 : double.NaN
                )
                .ToList();
            switch (command[..2])
            {
                case "CO":
                    window++;
                    break;
                case "SP":
                    pen = (int)(values[0] * 40);
                    break;
                case "PU" when values.Count == 2:
                    (x, y) = (values[0], values[1]);
                    break;
                case "PD":
                    for (var n = 0; n + 1 < values.Count; n += 2)
                    {
                        var from = Mm(job.Windows[window].From);
                        if (pen == 1)
                            moves.Add(new(x, y + from, values[n], values[n + 1] + from, window));
                        Assert.InRange(values[n], 0, Mm(job.Bed.Across));
                        Assert.InRange(values[n + 1], 0, Mm(job.Bed.Along));
                        (x, y) = (values[n], values[n + 1]);
                    }
                    break;
            }
        }
        return moves;
    }

    private static double Distance(double x, double y, Move move)
    {
        var (dx, dy) = (move.ToX - move.FromX, move.ToY - move.FromY);
        var square = (dx * dx) + (dy * dy);
        var share = square == 0 ? 0 : Math.Clamp((((x - move.FromX) * dx) + ((y - move.FromY) * dy)) / square, 0, 1);
        return Math.Sqrt(Math.Pow(x - move.FromX - (share * dx), 2) + Math.Pow(y - move.FromY - (share * dy), 2));
    }

    private static IEnumerable<(double X, double Y)> Outlines() =>
        Lay.Strokes.Where(stroke => stroke.Layer == Layer.Cut).SelectMany(stroke => TiledPdfTests.Along(stroke, 7));

    [Theory]
    [InlineData(6000)]
    [InlineData(700)]
    [InlineData(311)]
    public void Every_outline_is_cut_and_nothing_else_however_short_the_bed(int along)
    {
        var job = ToolPaths.Of(Lay, Bed(along));
        Assert.Equal(along < 6000, job.Windows.Count > 1);
        var moves = Read(PlotterFiles.Hpgl(job), job);
        var left = Mm(Lay.Bounds().Left);
        // By bands, so that each place looks at what is near alone.
        var near = moves
            .SelectMany(move =>
                Enumerable
                    .Range(
                        (int)Math.Floor(Math.Min(move.FromY, move.ToY) / 50) - 1,
                        3 + (int)(Math.Abs(move.ToY - move.FromY) / 50)
                    )
                    .Select(band => (band, move))
            )
            .ToLookup(each => each.band, each => each.move);
        foreach (var (x, y) in Outlines())
            Assert.True(
                near[(int)Math.Floor(y / 50)].Any(move => Distance(x - left, y, move) < 0.06),
                $"nothing is cut at {x:0.0}, {y:0.0}"
            );
        // As much as all outlines are long, the overlaps at corners and at the ends of windows apart.
        var long_ = Lay
            .Strokes.Where(stroke => stroke.Layer == Layer.Cut)
            .Sum(stroke => TiledPdfTests.Along(stroke, 1).Count());
        var corners = Lay.Strokes.Where(stroke => stroke.Layer == Layer.Cut).Sum(stroke => stroke.Legs.Count + 2);
        Assert.InRange(job.Down, long_ * 0.98, (long_ * 1.01) + corners + (job.Windows.Count * 400));
    }

    // A corner that turns outward is cut past by a millimetre, beyond the piece; one that turns inward is not.
    [Fact]
    public void A_knife_goes_past_outward_corners_only()
    {
        Point At(int x, int y) => new(Length.Millimetres(x), Length.Millimetres(y));
        var l = new Outline([
            new("a", At(0, 0)),
            new("b", At(60, 0)),
            new("c", At(60, 30)),
            new("d", At(30, 30)),
            new("e", At(30, 60)),
            new("f", At(0, 60)),
        ]);
        var drawing = new Drawing(
            "L",
            [Stroke.Of(Layer.Cut, l, at => at.Moved(Length.Millimetres(100), Length.Zero), false)],
            []
        );
        var job = ToolPaths.Of(drawing with { Strokes = [.. drawing.Strokes, Frame()] }, Bed(1000));
        var moves = Read(PlotterFiles.Hpgl(job), job).Where(move => move.FromX is > 90 and < 170).ToList();
        bool IsCut(double x, double y) => moves.Any(move => Distance(x, y, move) < 0.05);
        Assert.True(IsCut(161, 0) && IsCut(160, 31) && IsCut(130, 61) && IsCut(99, 60));
        Assert.False(IsCut(129, 30) || IsCut(130, 29));
        // Without it nothing lies outside.
        var exact = ToolPaths.Of(drawing with { Strokes = [.. drawing.Strokes, Frame()] }, Bed(1000, over: 0));
        Assert.All(
            Read(PlotterFiles.Hpgl(exact), exact).Where(move => move.FromX is > 90 and < 170),
            move => Assert.InRange(move.ToX, 100, 160)
        );
    }

    private static Stroke Frame() =>
        Stroke.Of(
            Layer.Cut,
            Outline.Rectangle(Length.Millimetres(400), Length.Millimetres(400)),
            at => at.Moved(Length.Zero, Length.Millimetres(-100)),
            false
        );

    [Fact]
    public void What_lies_within_is_cut_before_what_lies_round_it()
    {
        Stroke Square(int at, int side) =>
            Stroke.Of(
                Layer.Cut,
                Outline.Rectangle(Length.Millimetres(side), Length.Millimetres(side)),
                point => point.Moved(Length.Millimetres(at), Length.Millimetres(at)),
                false
            );
        var job = ToolPaths.Of(
            new Drawing("rings", [Square(0, 300), Square(100, 100), Square(50, 200)], []),
            Bed(1000, over: 0)
        );
        var sizes = job.Windows[0]
            .Paths.Select(path => path.Spots.Max(spot => spot.Across) - path.Spots.Min(spot => spot.Across));
        Assert.Equal([100 * 40, 200 * 40, 300 * 40], sizes);
    }

    [Fact]
    public void A_pen_draws_marks_first_and_goes_lifted_less_far_than_in_the_order_of_the_drawing()
    {
        var pen = ToolPaths.Of(Lay, Bed(6000, Tool.Pen));
        var knife = ToolPaths.Of(Lay, Bed(6000, over: 0));
        Assert.True(pen.Windows[0].Paths.Count > knife.Windows[0].Paths.Count);
        // From start to start as they are listed: what nobody would do by hand.
        var (x, y, naive) = (0.0, 0.0, 0.0);
        foreach (var stroke in Lay.Strokes.Where(stroke => stroke.Layer == Layer.Cut))
        {
            naive += Math.Sqrt(Math.Pow(Mm(stroke.From.X) - x, 2) + Math.Pow(Mm(stroke.From.Y) - y, 2));
            (x, y) = (Mm(stroke.Legs[^1].To.X), Mm(stroke.Legs[^1].To.Y));
        }
        Assert.InRange(knife.Lifted, 0, naive * 0.9);
        Assert.Throws<ArgumentException>(() => ToolPaths.Of(Lay, Bed(1000) with { Across = Length.Millimetres(900) }));
    }

    // Both files say the same; in G-code down is Z0, and the cloth is moved on once less than there are windows.
    [Fact]
    public void G_code_follows_the_same_paths()
    {
        var job = ToolPaths.Of(Lay, Bed(700));
        var code = PlotterFiles.GCode(job).Split('\n');
        Assert.Equal(
            job.Windows.Sum(window => window.Paths.Count),
            code.Count(line => line.StartsWith("G1 Z0", StringComparison.Ordinal))
        );
        Assert.Equal(job.Windows.Count - 1, code.Count(line => line.StartsWith("M0", StringComparison.Ordinal)));
        Assert.Equal(("G21", "G90"), (code[1], code[2]));
        var first = job.Windows[0].Paths[0].Spots[0];
        Assert.Contains(
            FormattableString.Invariant($"G0 X{first.Across / 40m:0.###} Y{first.Along / 40m:0.###}"),
            code
        );
        Assert.Equal(
            job.Windows.Sum(window => window.Crosses.Count),
            code.Count(line => line.StartsWith("(mark", StringComparison.Ordinal))
        );
        // The crosses of one window lie where the next has them, once the cloth was moved on.
        for (var n = 1; n < job.Windows.Count; n++)
        {
            var moved = (job.Windows[n].From - job.Windows[n - 1].From).Ticks * 40.0 / 3840;
            var (ends, begins) = (
                job.Windows[n - 1]
                    .Crosses.OrderByDescending(cross => cross.Along)
                    .Take(2)
                    .OrderBy(cross => cross.Across),
                job.Windows[n].Crosses.OrderBy(cross => cross.Along).Take(2).OrderBy(cross => cross.Across)
            );
            foreach (var (end, begin) in ends.Zip(begins))
            {
                Assert.Equal(end.Across, begin.Across);
                Assert.Equal(end.Along - moved, begin.Along, 2.0);
            }
        }
    }
}
