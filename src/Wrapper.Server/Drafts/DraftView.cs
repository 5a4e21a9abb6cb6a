using Wrapper.Core.Declaring;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Server.Drawings;

namespace Wrapper.Server.Drafts;

/// <summary>
/// One item drafted: what each field was read as, what is wrong, which fields are asked as things stand, what it is cut
/// from, the measuring sketch, and the pattern unless it is in doubt. <paramref name="Costs"/> says what an answer takes,
/// by choice and answer, where that can be told; <paramref name="Changed"/> what is answered otherwise than is usual, and
/// the usual entry.
/// </summary>
public sealed record DraftView(
    IReadOnlyDictionary<string, LengthView> Fields,
    IReadOnlyList<Problem> Problems,
    IReadOnlyList<string> Asked,
    IReadOnlyList<RoleView> CutFrom,
    SketchView? Sketch,
    PatternView? Pattern,
    IReadOnlyDictionary<string, IReadOnlyDictionary<string, string>> Costs,
    IReadOnlyDictionary<string, Entry> Changed
)
{
    /// <summary>The view of <paramref name="plan"/>.</summary>
    public static DraftView Of(ItemPlan plan, Drafting drafting, JobDocument job)
    {
        var unit = job.Unit;
        var lengths = plan.Draft.Reading?.Lengths ?? new Dictionary<string, Length>();
        var reading = plan.Draft.Reading;
        var sketch = reading is null ? null : drafting.Find(plan.Item.MakeUp)?.Sketch(reading);
        return new DraftView(
            lengths.ToDictionary(pair => pair.Key, pair => LengthView.Finished(pair.Value, unit)),
            plan.Draft.Problems,
            reading?.Asked ?? [],
            RoleView.Of(plan, job),
            sketch is null
                ? null
                : SketchView.Of(
                    sketch with
                    {
                        Dimensions = [.. sketch.Dimensions.Where(line => reading!.Asks(line.Measure))],
                    }
                ),
            plan.Draft is { Pattern: { } pattern, Seams: { } seams }
                ? PatternView.Of(plan, pattern, seams, unit)
                : null,
            CostsOf(plan, drafting, job),
            reading is null
                ? new Dictionary<string, Entry>()
                : drafting
                    .Find(plan.Item.MakeUp)!
                    .Changed(plan.Item, reading, unit)
                    .ToDictionary(pair => pair.Field, pair => pair.Usual)
        );
    }

    // What each way of cutting cord strips takes of new cloth, where the panels leave nothing.
    private static Dictionary<string, IReadOnlyDictionary<string, string>> CostsOf(
        ItemPlan plan,
        Drafting drafting,
        JobDocument job
    )
    {
        if (plan.Draft.Pattern?.Covering is not { } covering)
            return [];
        var cloth = job.Cloths.FirstOrDefault(each => each.Id == job.ClothOf(plan.Item, ClothRole.CordCovering));
        var usable =
            cloth is not null && new Core.Cloth.ClothReading(cloth, job.Unit) is { CanBeLaid: true } reading
                ? reading.Usable.Value
                : Reading.UsualWidth.Value;
        string Told(StripCut cut)
        {
            var (pieces, length) = CordOnCloth.Alone(covering, cut, usable);
            return pieces.Count == 0
                ? "This cloth is too narrow for it."
                : $"{CordOnCloth.Told(pieces, job.Unit)}: {LengthView.Cut(length, job.Unit).Text} of new cloth, less where panels leave some.";
        }
        return drafting
            .Find(plan.Item.MakeUp)!
            .Choices.OfType<OptionChoice<StripCut>>()
            .ToDictionary(
                choice => choice.Key,
                IReadOnlyDictionary<string, string> (choice) =>
                    choice
                        .Options.OfType<Option<StripCut>>()
                        .ToDictionary(option => option.Key, option => Told(option.Value))
            );
    }
}

/// <summary>
/// What pieces of one role are cut from: the id of a cloth, or null where there is none. Fillings without one are
/// bought by their size.
/// </summary>
public sealed record RoleView(ClothRole Role, string? Cloth, bool Filling)
{
    // While the item is in doubt its pieces are not known; what was chosen for them stays in sight.
    internal static IReadOnlyList<RoleView> Of(ItemPlan plan, JobDocument job) =>
        [
            .. (plan.Draft.Pattern?.Roles ?? plan.Item.OtherCloths.Keys)
                .Append(ClothRole.Face)
                .Distinct()
                .Order()
                .Select(role => new RoleView(role, job.ClothOf(plan.Item, role), role.IsFilling())),
        ];
}

/// <summary>
/// The measuring sketch: strokes (<c>face</c> closed, <c>edge</c>, <c>hidden</c>) and dimension lines by measure key.
/// </summary>
public sealed record SketchView(
    BoxView Box,
    IReadOnlyList<StrokeView> Strokes,
    IReadOnlyList<SketchDimension> Dimensions
)
{
    /// <summary>The view of <paramref name="sketch"/>.</summary>
    public static SketchView Of(Sketch sketch)
    {
        var points = sketch.Strokes.SelectMany(stroke => stroke.Points).Select(Drawing.Upright).ToList();
        var (left, top) = (points.Min(p => p.X), points.Min(p => p.Y));
        return new SketchView(
            new BoxView(left, top, points.Max(p => p.X) - left, points.Max(p => p.Y) - top),
            [
                .. sketch.Strokes.Select(stroke => new StrokeView(
                    stroke.Kind,
                    string.Join(' ', stroke.Points.Select(Drawing.Upright).Select(p => $"{p.X},{p.Y}"))
                )),
            ],
            [.. sketch.Dimensions.Select(line => new SketchDimension(line.Measure.Key, Span(line.From, line.To)))]
        );
    }

    internal static SpanView Span(Point from, Point to)
    {
        var ((x1, y1), (x2, y2)) = (Drawing.Upright(from), Drawing.Upright(to));
        return new SpanView(x1, y1, x2, y2);
    }
}

/// <summary>A stroke of a sketch; points as SVG takes them.</summary>
public sealed record StrokeView(string Kind, string Points);

/// <summary>Where a measure is shown.</summary>
public sealed record SketchDimension(string Measure, SpanView Span);

/// <summary>A drafted cover.</summary>
public sealed record PatternView(
    IReadOnlyList<PieceView> Pieces,
    IReadOnlyList<SeamView> Seams,
    IReadOnlyList<string> Uncovered,
    bool SeamsHold,
    IReadOnlyList<SizeView> Finished,
    IReadOnlyList<NotionView> Notions,
    IReadOnlyList<StepView> Steps,
    IReadOnlyList<Remark> Remarks,
    bool InPairs,
    int Minutes,
    IReadOnlyList<WorkView> Works
)
{
    internal static PatternView Of(ItemPlan plan, Pattern pattern, SeamReport seams, JobUnit unit) =>
        new(
            [.. pattern.Pieces.Select(piece => PieceView.Of(piece, plan, unit))],
            [
                .. seams.Seams.Select(seam => new SeamView(
                    seam.Seam,
                    seam.Kind,
                    LengthView.Finished(seam.OneSide, unit),
                    LengthView.Finished(seam.OtherSide, unit),
                    LengthView.Finished(seam.Drafted, unit),
                    seam.Fault
                )),
            ],
            [.. seams.Coverage, .. seams.Extents],
            seams.Holds,
            [
                .. pattern.Finished.Select(size => new SizeView(
                    size.Name,
                    "finished",
                    LengthView.Finished(size.Working.Value, unit),
                    WorkingText.Lines(size.Working, size.Name, unit),
                    null
                )),
            ],
            [
                .. pattern.Notions.Select(notion => new NotionView(
                    notion.Key,
                    notion.Name,
                    notion.Count,
                    notion.Amount,
                    notion.Note,
                    notion.Length is not { } length ? null
                        : notion.OffTheRoll ? LengthView.Cloth(length.Value, unit)
                        : LengthView.Cut(length.Value, unit),
                    notion.Length is { } sum ? WorkingText.Lines(sum, notion.Name, unit) : [],
                    notion.Role
                )),
            ],
            [
                .. pattern.Steps.Select(step => new StepView(
                    step.Text,
                    step.Seams,
                    [.. step.Cautions.Select(caution => caution.Text)],
                    step.Kind.Name(),
                    [.. step.Checks.Select(check => StepCheckView.Of(check, unit))]
                )),
            ],
            pattern.Remarks,
            pattern.InPairs,
            Core.Making.Minutes.Of(pattern),
            [.. Core.Making.Minutes.Works(pattern).Select(work => WorkView.Of(work, unit))]
        );
}

/// <summary>One kind of work on a cover: the time it takes, and what that was reckoned over.</summary>
public sealed record WorkView(string Name, string Time, string Over)
{
    internal static WorkView Of(Core.Making.Work work, JobUnit unit) =>
        new(
            work.Name,
            Core.Making.Minutes.Text((long)decimal.Round(work.Minutes, MidpointRounding.AwayFromZero)),
            string.Join(
                ", ",
                new[]
                {
                    work.Along.IsPositive ? $"{LengthPrinter.ClothLength(work.Along, unit)} of {work.AlongOf}" : "",
                    work.Times > 0 ? $"{work.Times} {work.TimesOf}{(work.Times == 1 ? "" : "s")}" : "",
                }.Where(part => part.Length > 0)
            )
        );
}

/// <summary>
/// A making step: what to do, the seams sewn in it, what can do harm in it, what kind of work it is, and what is looked at
/// before the next one.
/// </summary>
public sealed record StepView(
    string Text,
    IReadOnlyList<string> Seams,
    IReadOnlyList<string> Cautions,
    string Work,
    IReadOnlyList<StepCheckView> Checks
);

/// <summary>A check of a step: what has to hold, what is to be read, and where.</summary>
public sealed record StepCheckView(string Text, LengthView? Target, string Tolerance, IReadOnlyList<string> Places)
{
    internal static StepCheckView Of(Check check, JobUnit unit) =>
        new(
            check.Text,
            check.Target is { } target ? LengthView.Finished(target.Value, unit) : null,
            check.Target is null ? "" : LengthView.Finished(check.Tolerance, unit).Text,
            check.Places
        );
}

/// <summary>
/// A piece: label <c>2c</c>, cut and stitch line as paths, marks, sizes with workings, the allowance of each edge, and
/// the figures by which it is chalked.
/// </summary>
public sealed record PieceView(
    string Key,
    string Label,
    string Name,
    int Quantity,
    Grain Grain,
    bool TurnedOver,
    ClothRole Role,
    string Note,
    BoxView Box,
    string Cut,
    string Stitch,
    IReadOnlyList<LineView> Lines,
    IReadOnlyList<NotchView> Notches,
    IReadOnlyList<MeetingView> Meeting,
    IReadOnlyList<SizeView> Sizes,
    IReadOnlyList<EdgeView> Edges,
    SettingOutView SettingOut
)
{
    internal static PieceView Of(Piece piece, ItemPlan plan, JobUnit unit) =>
        new(
            piece.Key,
            plan.Label(piece.Key),
            piece.Name,
            piece.Quantity * plan.Quantity,
            piece.Grain,
            piece.TurnedOver,
            piece.Role,
            piece.Note,
            Drawing.Box(piece.Cut),
            Drawing.Path(piece.Cut),
            Drawing.Path(piece.Stitch),
            [.. piece.Lines.Select(line => new LineView(line.Kind, SketchView.Span(line.From, line.To)))],
            [.. piece.Notches.Select(notch => NotchView.Of(piece, notch))],
            [
                .. piece.Meeting.Select(point =>
                    MeetingView.Of(point.Name, piece.Stitch.Mark(point.Edge, point.At, Length.Zero).On)
                ),
            ],
            [.. piece.Sizes.Select(size => SizeOf(size, unit))],
            [
                .. piece
                    .Allowances.Where(edge => piece.IsRough || piece.Stitch.Has(edge.Key))
                    .Select(edge => new EdgeView(
                        edge.Key,
                        $"{piece.Key}/{edge.Key}",
                        LengthView.Finished(edge.Value.Value, unit)
                    )),
            ],
            SettingOutView.Of(piece, unit)
        );

    private static SizeView SizeOf(Size size, JobUnit unit) =>
        new(
            size.Name,
            size.Kind == SizeKind.Cut ? "cut" : "finished",
            size.Kind == SizeKind.Cut
                ? LengthView.Cut(size.Working.Value, unit)
                : LengthView.Finished(size.Working.Value, unit),
            WorkingText.Lines(size.Working, size.Name, unit),
            SketchView.Span(size.From, size.To)
        );
}

/// <summary>A line inside a piece.</summary>
public sealed record LineView(string Kind, SpanView Span);

/// <summary>A mark across the allowance, from the stitch line outward; a clip is cut, a notch marked.</summary>
public sealed record NotchView(bool Clip, SpanView Span)
{
    internal static NotchView Of(Piece piece, Notch notch)
    {
        var (on, outward) = piece.Reach(notch);
        return new NotchView(notch.Clip, SketchView.Span(on, outward));
    }
}

/// <summary>A named point where three pieces or more meet.</summary>
public sealed record MeetingView(string Name, long X, long Y)
{
    internal static MeetingView Of(string name, Point at)
    {
        var (x, y) = Drawing.Upright(at);
        return new MeetingView(name, x, y);
    }
}

/// <summary>An edge of a piece, the key of its own allowance in the item, and the allowance that it has.</summary>
public sealed record EdgeView(string Name, string AllowanceKey, LengthView Allowance);

/// <summary>A seam as measured on the drawn stitch lines.</summary>
public sealed record SeamView(
    string Name,
    SeamKind Kind,
    LengthView OneSide,
    LengthView OtherSide,
    LengthView Drafted,
    string? Fault
);

/// <summary>Something bought beside the cloth, with its working.</summary>
public sealed record NotionView(
    string Key,
    string Name,
    int Count,
    string Amount,
    string Note,
    LengthView? Length,
    IReadOnlyList<string> Working,
    ClothRole? Role
);
