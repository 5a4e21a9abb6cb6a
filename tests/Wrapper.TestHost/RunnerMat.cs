using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.TestHost;

/// <summary>
/// A make-up that exists only here: a mat hemmed all round, its long edges folded over. Every screen must find it by
/// itself.
/// </summary>
public sealed class RunnerMat : MakeUp
{
    private static readonly Measure A = new(
        "A",
        "run",
        "Along the shelf.",
        LengthLimits.Item,
        Usual: Length.Inches(40)
    );

    private static readonly Measure B = new(
        "B",
        "reach",
        "From the wall to the edge.",
        LengthLimits.Item,
        Usual: Length.Inches(12)
    );

    private static readonly OptionChoice<MatEnds> Ends = Choice.Of(
        "ends",
        "Ends",
        "Ends",
        Option.Of(MatEnds.Hem, "Hemmed", "Lies flat."),
        Option.Of(MatEnds.Raw, "Left raw", "For cloth that does not fray.")
    );

    private static readonly AllowanceDeclaration Hem = new(
        "h",
        "Hem",
        AllowanceRole.Hem,
        Length.Inches(1),
        Length.Millimetres(25)
    );

    private enum MatEnds
    {
        Hem,
        Raw,
    }

    public override string Key => "runner-mat";

    public override string Name => "Hemmed mat";

    public override string Family => "Runner mat";

    public override string Suits => "For a shelf or a tray.";

    public override IReadOnlyList<Measure> Measures { get; } = [A, B];

    public override IReadOnlyList<Choice> Choices { get; } = [Ends];

    public override IReadOnlyList<AllowanceDeclaration> Allowances { get; } = [Hem];

    public override Sketch Sketch(Reading reading)
    {
        var (a, b) = (reading.Drawn(A), reading.Drawn(B));
        Point At(Length x, Length y) => new(x, y);
        var o = Length.Zero;
        return new Sketch(
            [new("face", [At(o, o), At(a, o), At(a, b), At(o, b)])],
            [new(A, At(o, o), At(a, o)), new(B, At(a, o), At(a, b))]
        );
    }

    public override IEnumerable<Problem> Check(Reading reading) => [];

    public override Pattern Draft(Reading reading)
    {
        var (a, b) = (reading[A], reading[B]);
        var raw = reading.Chosen(Ends) is MatEnds.Raw;
        string[] edges = ["bottom", "right", "top", "left"];
        bool Hemmed(string edge) => !raw || edge is "bottom" or "top";
        var allowances = edges
            .Where(Hemmed)
            .ToDictionary(edge => edge, edge => reading.EdgeAllowance(Hem, "mat", edge));
        var ends = raw ? a : a + allowances["left"] + allowances["right"];
        var origin = new Point(Length.Zero, Length.Zero);
        var piece = new Piece(
            "mat",
            "mat",
            1,
            new Dictionary<string, Working> { ["run"] = a, ["reach"] = b },
            d => Outline.Rectangle(d["run"], d["reach"])
        )
        {
            Allowances = allowances,
            Sizes =
            [
                new("cut run", SizeKind.Cut, ends, origin, new(a.Value, Length.Zero)),
                new(
                    "cut reach",
                    SizeKind.Cut,
                    b + allowances["bottom"] + allowances["top"],
                    origin,
                    new(Length.Zero, b.Value)
                ),
            ],
        };
        return new Pattern
        {
            Pieces = [piece],
            Seams = [],
            Uses =
            [
                .. edges.Select(edge => new Use(Hemmed(edge) ? EdgeUse.Hem : EdgeUse.Raw, new Run("mat", 1, edge))),
            ],
            Finished = [("finished run", a), ("finished reach", b)],
        };
    }
}
