using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>
/// How a duvet cover is closed at the foot (craft §8.4): the opening, what holds it, and the foot sewn beside it.
/// </summary>
internal sealed class Closing
{
    internal static readonly OptionChoice<FootClosing> By = Choice
        .Of(
            "closing",
            "The foot is closed by",
            Group,
            Option.Of(FootClosing.Holes, "Buttons and buttonholes", "Strong, plain, and washes well."),
            Option.Of(
                FootClosing.Loops,
                "Buttons and elastic loops",
                "No buttonholes: loops tucked into the fold of the hem."
            ),
            Option.Of(FootClosing.Zip, "A zip", "Closes all along; the slider can catch on the duvet."),
            Option.Of(FootClosing.Snaps, "Snaps", "Quick to open; sewn or pressed on."),
            Option.Of(FootClosing.Tape, "Hook-and-loop tape", "Easiest to close; catches lint in the wash."),
            Option.Of(
                FootClosing.Flap,
                "An overlap flap",
                "Nothing to fasten: one face goes on by 10 in (25 cm) and is folded in."
            )
        )
        .ToldToCustomer();

    internal static readonly LengthChoice Button = Choice
        .OfLength("button", "Button, across", Group, Length.Inches(0, 5, 8), 15, LengthLimits.UpTo(3, "5/8", "1.5"))
        .AskedWhen(By, FootClosing.Holes, FootClosing.Loops);

    internal static readonly CountChoice Buttons = Choice
        .OfCount("buttons", "Buttons or snaps", Group, 0, 0, 40)
        .AskedWhen(By, FootClosing.Holes, FootClosing.Loops, FootClosing.Snaps) with
    {
        Note = "0: one to every 8 in (20 cm) of the opening. Shared out evenly, moved off panel joins.",
    };

    internal static readonly LengthChoice Inset = Choice
        .OfLength(
            "buttonInset",
            "First and last of them from the opening's ends",
            Group,
            Length.Zero,
            0,
            LengthLimits.UpTo(60, "2", "5", zero: true)
        )
        .AskedWhen(By, FootClosing.Holes, FootClosing.Loops, FootClosing.Snaps) with
    {
        Note = "0: half as far as they are apart.",
    };

    internal static readonly LengthChoice FlapLength = Choice
        .OfLength("flap", "Flap", Group, Length.Inches(10), 250, LengthLimits.UpTo(40, "10", "25"))
        .AskedWhen(By, FootClosing.Flap) with
    {
        Adjustable = Length.Inches(2),
    };

    private const string Group = "Closing";

    // A button this near to a panel join is moved off it.
    private static readonly Length Clear = Length.Inches(1);

    private readonly Reading reading;
    private readonly FootClosing kind;
    private readonly IReadOnlyList<Length> places;

    public Closing(Reading reading, Working width)
    {
        (this.reading, kind) = (reading, reading.Chosen(By));
        Opening = OpeningOf(reading, width).As("O", "opening");
        Flap = kind == FootClosing.Flap ? Working.Of("flap", "overlap flap", reading[FlapLength]) : null;
        Beside = (width - Opening) / 2;
        places = kind is FootClosing.Holes or FootClosing.Loops or FootClosing.Snaps ? Places(width) : [];
    }

    public static IReadOnlyList<Choice> Choices { get; } = [By, Button, Buttons, Inset, FlapLength];

    public Working Opening { get; }

    /// <summary>What the back goes on beyond the foot; null without a flap.</summary>
    public Working? Flap { get; }

    private Working Beside { get; }

    public static IEnumerable<Problem> Check(Reading reading, Length width)
    {
        if (2 * reading[Inset] >= width)
            yield return reading.Refuse(Inset, "they would meet in the middle of the foot", "0");
        if (reading.Chosen(By) is FootClosing.Loops && reading[Button] >= width.Over(8))
            yield return reading.Refuse(
                Button,
                "the button is as wide as the foot beside it",
                reading.Example("5/8", "1.5")
            );
    }

    /// <summary>Where buttonholes, loops or snaps sit, on the foot of the front.</summary>
    public IEnumerable<Notch> Marks => places.Select(at => Mark(Beside.Value + at, Held));

    /// <summary>Where what they hold sits, on the foot of the back.</summary>
    public IEnumerable<Notch> MarksBehind =>
        places.Select(at => Mark(Beside.Value + at, kind == FootClosing.Snaps ? "snap" : "button"));

    private string Held =>
        kind switch
        {
            FootClosing.Holes => "buttonhole",
            FootClosing.Loops => "loop",
            _ => "snap",
        };

    private static Notch Mark(Length at, string what) => new("lower", at) { What = what };

    public IEnumerable<Seam> Seams(Working width)
    {
        if (Flap is not null)
            yield break;
        var (from, to) = (Beside.Value, (Beside + Opening).Value);
        Seam At(string name, SeamKind how, Length? start, Length? end, Working drafted) =>
            new(
                name,
                how,
                [new Run("front", 1, "lower", start, end)],
                [new Run("back", 1, "lower", start, end)],
                drafted
            );
        if (from.IsPositive)
            yield return At("foot, left of the opening", SeamKind.Join, null, from, Beside);
        yield return At("opening", kind == FootClosing.Zip ? SeamKind.Zip : SeamKind.Opening, from, to, Opening) with
        {
            Zip = kind == FootClosing.Zip ? Zip.OfTeeth(Opening, "one slider") : null,
        };
        if (from.IsPositive)
            yield return At("foot, right of the opening", SeamKind.Join, to, null, width - Beside - Opening);
    }

    /// <summary>
    /// With a flap the whole foot stays open: both faces are hemmed, and the flap is caught in the side seams.
    /// </summary>
    public IEnumerable<Use> Uses(Working length)
    {
        if (Flap is not { } flap)
            yield break;
        foreach (var piece in new[] { "front", "back" })
            yield return new Use(EdgeUse.Hem, new Run(piece, 1, "lower") { Drafted = Opening.Value });
        yield return new Use(EdgeUse.Caught, new Run("back", 1, "right", null, flap.Value));
        yield return new Use(EdgeUse.Caught, new Run("back", 1, "left", length.Value));
    }

    public IEnumerable<Notion> Notions
    {
        get
        {
            if (kind is FootClosing.Holes or FootClosing.Loops)
                yield return new("buttons", "buttons", null, places.Count, $"{reading.Say(reading[Button])} across");
            if (kind == FootClosing.Loops)
                yield return new(
                    "loops",
                    "elastic for loops",
                    places.Count
                        * (
                            Working.Of("button", "button", reading[Button])
                            + Working.Of("turned in", "tucked into the hem", Length.Inches(0, 3, 4))
                        ),
                    Note: $"{places.Count} loops"
                )
                {
                    SoldAs = "elastic for loops",
                };
            if (kind == FootClosing.Snaps)
                yield return new("snaps", "snaps", null, places.Count);
        }
    }

    /// <summary>
    /// The hems of both faces at the foot, and the tape on them; a flap's hems are edges of their own.
    /// </summary>
    public IEnumerable<Applied> Applied(Working width)
    {
        if (Flap is null)
            yield return new("hems at the foot", AppliedKind.Topstitching, 2 * width);
        if (kind == FootClosing.Tape)
            yield return new("hook-and-loop", AppliedKind.Tape, Opening);
    }

    public IEnumerable<Step> Steps =>
        kind switch
        {
            FootClosing.Holes =>
            [
                Step.Of(
                    StepKind.Fastening,
                    $"Work {places.Count} buttonholes in the hem of one face and sew the buttons opposite, at the marks."
                ) with
                {
                    Foot = "buttonhole foot",
                },
            ],
            FootClosing.Loops =>
            [
                Step.Of(
                    StepKind.Fastening,
                    $"Tuck {places.Count} loops into the fold of the hem while it is sewn; sew the buttons opposite."
                ),
            ],
            FootClosing.Zip =>
            [
                new("Sew the zip into the opening, both sides from the same end; bar-tack each end.", ["opening"]),
            ],
            FootClosing.Snaps =>
            [
                Step.Of(StepKind.Fastening, $"Set {places.Count} snaps at the marks.") with
                {
                    Foot = "",
                },
            ],
            FootClosing.Tape => [Step.Of(StepKind.Fastening, "Sew the tape on to both hems.")],
            _ =>
            [
                Step.Of(
                    StepKind.Fastening,
                    "Fold the flap to the inside along the foot before the sides are sewn."
                ) with
                {
                    Foot = "",
                },
            ],
        };

    public IEnumerable<Remark> Remarks =>
        kind == FootClosing.Flap
            ? [new("The flap is folded to the inside and caught in both side seams; the whole foot stays open.")]
            : [new($"Opening {reading.Say(Opening.Value)}, the foot sewn beside it.")];

    // The centre panel where there is one, else the width less an eighth at each side; a flap leaves the whole foot
    // open.
    private static Working OpeningOf(Reading reading, Working width)
    {
        if (reading.Chosen(By) is FootClosing.Flap)
            return width;
        var centre = WidthJoins.Centre(reading, width);
        return centre ?? (6 * width) / 8;
    }

    // The i-th of n at (i - 1/2) x O / n, moved off the joins of panels.
    // The nth of so many, from the start of the opening: (n - 1/2) shares of it, or evenly between both insets.
    private Length At(int n, int count) =>
        reading[Inset] is { IsPositive: true } inset && count > 1
            ? inset + ((n - 1) * (Opening.Value - (2 * inset))).Over(count - 1)
            : ((2 * n - 1) * Opening.Value).Over(2 * count);

    private IReadOnlyList<Length> Places(Working width)
    {
        var step = Length.Inches(8);
        var count =
            reading[Buttons] > 0 ? reading[Buttons] : (int)((Opening.Value.Ticks + step.Ticks - 1) / step.Ticks);
        var joins = WidthJoins.Across(reading, width).Select(join => join - Beside.Value).ToList();
        return
        [
            .. Enumerable
                .Range(1, count)
                .Select(n => At(n, count))
                .Select(at =>
                    joins
                        .Where(join => (join - at).Abs() < Clear)
                        .Select(join => at < join ? join - Clear : join + Clear)
                        .FirstOrDefault(at)
                ),
        ];
    }
}

/// <summary>The answers to: The foot is closed by.</summary>
internal enum FootClosing
{
    Holes,
    Loops,
    Zip,
    Snaps,
    Tape,
    Flap,
}
