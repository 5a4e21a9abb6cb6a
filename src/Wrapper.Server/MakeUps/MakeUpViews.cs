using Wrapper.Core.Covers.Drawn;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Drafts;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.MakeUps;

/// <summary>A make-up's declaration, from which the screens are built, and its sketch at usual sizes.</summary>
public sealed record MakeUpView(
    string Key,
    string Name,
    string Family,
    string Suits,
    IReadOnlyList<MeasureView> Measures,
    IReadOnlyList<ChoiceView> Choices,
    IReadOnlyList<AllowanceView> Allowances,
    bool MakesCloth,
    SketchView Sketch
)
{
    /// <summary>The view of <paramref name="makeUp"/>.</summary>
    public static MakeUpView Of(MakeUp makeUp, Drafting drafting) =>
        new(
            makeUp.Key,
            makeUp.Name,
            makeUp.Family,
            makeUp.Suits,
            [
                .. makeUp.Measures.Select(m => new MeasureView(
                    m.Key,
                    m.Name,
                    m.HoldTape,
                    m.Kind,
                    m.Optional,
                    m.UsualEntry(),
                    m.ShownWhen
                )),
            ],
            [
                .. makeUp.Choices.Select(c => new ChoiceView(
                    c.Key,
                    c.Name,
                    c.Group,
                    c.Kind,
                    c.Note,
                    [.. c.Options.Select(o => new OptionView(o.Key, o.Name, o.Suits, OptionDrawings.Of(o)))],
                    c.Default,
                    c.Min,
                    c.Max,
                    c.OnMeasure,
                    c.ShownWhen
                )),
            ],
            [.. makeUp.Allowances.Select(a => new AllowanceView(a.Symbol, a.Name))],
            makeUp.MakesCloth,
            SketchView.Of(makeUp.Sketch(drafting.Draft(makeUp.UsualItem("", "", JobUnit.Inch), JobUnit.Inch).Reading!))
        );
}

/// <summary>
/// A measure: its letter is its key. With the usual sizes of all that are not optional an item can be drafted.
/// </summary>
public sealed record MeasureView(
    string Key,
    string Name,
    string HoldTape,
    MeasureKind Kind,
    bool Optional,
    Entry Usual,
    Condition? ShownWhen
);

/// <summary>One answer to a choice, what it is good for, and a small drawing where words say too little.</summary>
public sealed record OptionView(string Key, string Name, string Suits, OptionDrawing? Drawn);

/// <summary>A choice; options only where its kind is <c>option</c>, bounds where it is <c>count</c>.</summary>
public sealed record ChoiceView(
    string Key,
    string Name,
    string Group,
    ChoiceKind Kind,
    string Note,
    IReadOnlyList<OptionView> Options,
    string Default,
    int Min,
    int Max,
    bool OnMeasure,
    Condition? ShownWhen
);

/// <summary>An allowance that the make-up uses.</summary>
public sealed record AllowanceView(string Symbol, string Name);

/// <summary>
/// One make-up tried on an item: what it takes and how it fills. Figures are null while it cannot be drafted or laid.
/// </summary>
public sealed record ComparisonView(
    string MakeUp,
    string Name,
    string Suits,
    bool Current,
    IReadOnlyList<Problem> Problems,
    LengthView? Cloth,
    LengthView? SeamLength,
    LengthView? Zip,
    int? Pieces,
    int? Minutes,
    string? Time,
    string? Filling,
    string? Against,
    IReadOnlyList<PieceShape> Shapes
)
{
    /// <summary>
    /// What each takes more or less than the current one: cloth to two places, and time. Null where either is not known.
    /// </summary>
    public static IEnumerable<ComparisonView> AgainstCurrent(
        IReadOnlyList<(ComparisonView View, Length? Cloth)> schools,
        JobUnit unit
    )
    {
        var (current, own) = schools.First(school => school.View.Current);
        return schools.Select(school =>
            school.View is { Current: false, Minutes: { } minutes }
            && current.Minutes is { } before
            && school.Cloth is { } cloth
            && own is { } taken
                ? school.View with
                {
                    Against =
                        $"{Signed(cloth - taken)} · {(minutes < before ? "−" : "+")}{Core.Making.Minutes.Text(Math.Abs(minutes - before))}",
                }
                : school.View
        );

        string Signed(Length more) =>
            more < Length.Zero ? $"−{LengthView.Cloth(-more, unit).Text}" : $"+{LengthView.Cloth(more, unit).Text}";
    }

    /// <summary>The view of one make-up's draft and the cloth that it takes laid alone.</summary>
    public static ComparisonView Of(
        MakeUp makeUp,
        bool current,
        ItemPlan plan,
        Length? cloth,
        JobUnit unit,
        Core.Making.Pace pace
    )
    {
        var pattern = plan.Draft.Pattern;
        var zip = pattern?.Notions.FirstOrDefault(notion => notion.Key == "zip")?.Length;
        return new ComparisonView(
            makeUp.Key,
            makeUp.Name,
            makeUp.Suits,
            current,
            plan.Draft.Problems,
            cloth is { } taken ? LengthView.Cloth(taken, unit) : null,
            pattern is null ? null : LengthView.Finished(Core.Making.Stitching.Run(pattern).Value, unit),
            zip is null ? null : LengthView.Cut(zip.Value, unit),
            pattern?.Pieces.Sum(piece => piece.Quantity),
            pattern is null ? null : Core.Making.Minutes.Of(pattern, pace),
            pattern is null ? null : Core.Making.Minutes.Text(Core.Making.Minutes.Of(pattern, pace)),
            pattern is null ? null : Core.Making.Filling.Of(pattern),
            null,
            [
                .. (pattern?.Pieces ?? []).Select(piece => new PieceShape(
                    piece.Quantity,
                    Drawing.Box(piece.Cut),
                    Drawing.Path(piece.Cut),
                    Drawing.Path(piece.Stitch)
                )),
            ]
        );
    }
}

/// <summary>A piece as a small drawing.</summary>
public sealed record PieceShape(int Quantity, BoxView Box, string Cut, string Stitch);
