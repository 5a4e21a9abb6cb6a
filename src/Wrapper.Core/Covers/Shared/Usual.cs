using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>What most make-ups have in common: allowances with their usual sizes (craft §3), grain choices, plain pieces, cautions.</summary>
internal static class Usual
{
    public static readonly AllowanceDeclaration Seam = new(
        "s",
        "Seam allowance",
        AllowanceRole.Seam,
        Length.Inches(0, 1, 2),
        Length.Millimetres(15)
    );

    public static readonly AllowanceDeclaration Zip = new(
        "z",
        "Zip allowance",
        AllowanceRole.Zip,
        Length.Inches(0, 3, 4),
        Length.Millimetres(20)
    );

    /// <summary>How the large pieces lie.</summary>
    public static readonly OptionChoice<Grain> PanelGrain = Choice.Of(
        "panelGrain",
        "Panels lie",
        "On the cloth",
        Option.Of(
            Grain.Along,
            "Upright, up the roll",
            "The back edge towards the far end: pile and print run from back to front."
        ),
        Option.Of(Grain.Across, "Railroaded", "A quarter turned, for cushions longer than the cloth is wide."),
        Option.Of(Grain.Either, "Either way", "For plain cloth: whichever takes less.")
    );

    /// <summary>How strips lie.</summary>
    public static readonly OptionChoice<Grain> StripGrain = Choice.Of(
        "stripGrain",
        "Strips lie",
        "On the cloth",
        Option.Of(Grain.Either, "Either way", "For plain cloth: whichever takes less."),
        Option.Of(Grain.Along, "Upright, up the roll", "The pile or stripe runs down the boxing."),
        Option.Of(Grain.Across, "Railroaded", "The strip's length runs up the roll.")
    );

    /// <summary>Shears and rotary cutters, wherever cloth is cut (craft §12).</summary>
    public static readonly Remark Blades = new(
        "Shears and rotary cutters: cut away from the hand that holds the cloth, and close the blade each time it is put down.",
        Caution: true
    );

    /// <summary>Old fillings and heavy furniture, where a cover comes off and goes on.</summary>
    public static readonly Remark OldFurniture = new(
        "Old fillings shed dust and mould, some with flame retardants: ventilate and wear a mask. Lift and turn furniture with a second person. Upholstery must meet the local fire rules: ask a qualified upholsterer where in doubt.",
        Caution: true
    );

    /// <summary>Wherever pressing follows close (craft §12).</summary>
    public static readonly Remark HotIron = new(
        "Irons, steam and hot boards burn: keep hands clear of the steam, and let the board cool before its cover is changed.",
        Caution: true
    );

    /// <summary>Limits from one count (or zero) to so many inches, with an example in each unit.</summary>
    public static LengthLimits UpTo(int inches, string inchExample, string metricExample, bool zero = false) =>
        new(zero ? Length.Zero : new Length(1), Length.Inches(inches), inchExample, metricExample);

    /// <summary>The edges of a plain piece, anticlockwise from the lower one.</summary>
    public static readonly string[] Sides = ["lower", "right", "upper", "left"];

    /// <summary>A rectangle with lower, right, upper and left edges, each with the allowance that <paramref name="allowance"/> gives it.</summary>
    public static Piece Rectangle(
        string key,
        string name,
        int quantity,
        Working width,
        Working height,
        Func<string, Working> allowance,
        string across = "width",
        string up = "length"
    ) =>
        (
            Drawn(key, name, quantity, width, height) with
            {
                Allowances = Sides.ToDictionary(edge => edge, allowance),
            }
        ).Measured(width, height, across, up);

    /// <summary>A rectangular filling of this role, cut to size.</summary>
    public static Piece Sheet(
        ClothRole role,
        string key,
        string name,
        Working width,
        Working height,
        int quantity = 1,
        string note = ""
    ) =>
        Drawn(key, name, quantity, width, height).Measured(width, height) with
        {
            Role = role,
            Grain = Grain.Either,
            Note = note,
        };

    private static Piece Drawn(string key, string name, int quantity, Working width, Working height) =>
        new(
            key,
            name,
            quantity,
            new Dictionary<string, Working> { ["width"] = width, ["height"] = height },
            d => Outline.Rectangle(d["width"], d["height"], Sides[0], Sides[1], Sides[2], Sides[3])
        );

    /// <summary>A seam of two whole edges.</summary>
    public static Seam Join(
        string name,
        (string Piece, int Instance, string Edge) left,
        (string Piece, int Instance, string Edge) right,
        Working drafted,
        SeamKind kind = SeamKind.Join
    ) =>
        new(
            name,
            kind,
            [new Run(left.Piece, left.Instance, left.Edge)],
            [new Run(right.Piece, right.Instance, right.Edge)],
            drafted
        );

    /// <summary>Edges in no seam.</summary>
    public static IEnumerable<Use> Left(EdgeUse kind, string piece, int instances, params IEnumerable<string> edges) =>
        from instance in Enumerable.Range(1, instances)
        from edge in edges
        select new Use(kind, new Run(piece, instance, edge));
}
