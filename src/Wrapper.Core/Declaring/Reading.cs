using System.Globalization;
using Wrapper.Core.Geometry;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Declaring;

/// <summary>
/// An item's entries read against a make-up's declaration. Field keys are <c>measures.W</c>, <c>choices.ease</c>,
/// <c>allowances.s</c> and, for one edge of one piece, <c>allowances.panel/front</c>.
/// </summary>
public sealed class Reading
{
    /// <summary>What is put behind a measure's key for its second reading.</summary>
    public const string SecondReading = " again";

    /// <summary>
    /// Usable width of usual cloth, for covers that are drafted to a cloth which is not known yet: 54 in less two
    /// selvedges of 1/2 in.
    /// </summary>
    public static readonly Working UsualWidth =
        Working.Of("cloth width", "width of the cloth", Length.Inches(54))
        - (2 * Working.Of("selvedge", "one selvedge", Length.Inches(0, 1, 2)));

    private readonly Dictionary<string, Length> lengths = [];
    private readonly Dictionary<string, string> answers = [];
    private readonly Dictionary<string, Outline> outlines = [];
    private readonly MakeUp makeUp;
    private readonly Item item;
    private readonly Func<ClothRole, ClothRoom> room;

    /// <summary>
    /// Reads every field of <paramref name="item"/>; what cannot be read stands in <see cref="Problems"/>.
    /// <paramref name="room"/> tells what room there is on the cloth that a role is cut from, for covers that are drafted
    /// to it; off the roll, 53 in wide (54 less selvedges) if left out.
    /// </summary>
    public Reading(MakeUp makeUp, Item item, JobUnit unit, Func<ClothRole, ClothRoom>? room = null)
    {
        (this.makeUp, this.item, Unit) = (makeUp, item, unit);
        this.room = room ?? (_ => new ClothRoom(UsualWidth) { IsKnown = false });
        Quantity = ReadWhole("quantity", item.Quantity, 1, 500, "1") ?? 0;
        ReadChoices();
        ReadMeasures();
        ReadAllowances();
    }

    /// <summary>The job's unit.</summary>
    public JobUnit Unit { get; }

    /// <summary>What it is made as: its family and make-up, in words.</summary>
    public string MakeUpName => $"{makeUp.Family}: {makeUp.Name}";

    /// <summary>How many are made, from 1 to 500.</summary>
    public int Quantity { get; }

    /// <summary>What could not be read, in the order of the declaration.</summary>
    public List<Problem> Problems { get; } = [];

    /// <summary>Every length that was read, by field key.</summary>
    public IReadOnlyDictionary<string, Length> Lengths => lengths;

    /// <summary>A measure that was entered, as a working.</summary>
    public Working this[Measure measure] => Working.Of(measure.Key, Declared(measure).Name, lengths[FieldOf(measure)]);

    /// <summary>The value of a length choice.</summary>
    public Length this[LengthChoice choice] => lengths[FieldOf(choice)];

    /// <summary>The value of a count choice; the usual one where none could be read.</summary>
    public int this[CountChoice choice] => int.Parse(Answer(choice), CultureInfo.InvariantCulture);

    /// <summary>An allowance, as it counts for the whole item.</summary>
    public Working this[AllowanceDeclaration allowance] =>
        new Allowance(allowance.Symbol, allowance.Role, lengths[FieldOf(allowance)]);

    /// <summary>
    /// The answer to a choice among options; the usual one where none could be read. (A method, since the language has
    /// no generic indexers.)
    /// </summary>
    public T Chosen<T>(OptionChoice<T> choice)
        where T : struct, Enum => OptionKeys<T>.Value(Answer(choice));

    /// <summary>A measure, or zero when an optional one was left empty.</summary>
    public Working OrZero(Measure measure) =>
        Working.Of(measure.Key, Declared(measure).Name, lengths.GetValueOrDefault(FieldOf(measure)));

    /// <summary>
    /// Usable width U of the cloth that pieces of <paramref name="role"/> are cut from (craft §10); of usual cloth
    /// while none is known.
    /// </summary>
    public Working Usable(ClothRole role = ClothRole.Face) =>
        room(role).Usable.As(makeUp.Measures.Any(measure => measure.Key == "U") ? "usable" : "U", "usable width");

    /// <summary>Whether some field could not be read by itself.</summary>
    internal bool Unreadable { get; set; }

    /// <summary>The cloth of a role.</summary>
    public ClothRoom Room(ClothRole role) => room(role);

    /// <summary>Whether the cloth of a role has one way up.</summary>
    public bool IsOneWay(ClothRole role = ClothRole.Face) => room(role).OneWay;

    /// <summary>
    /// How long a strip of this grain may be cut at the most of the cloth that a role is cut from; null where the roll
    /// sets no end to it.
    /// </summary>
    public Length? LongestStrip(Grain grain, ClothRole role = ClothRole.Face) => room(role).LongestStrip(grain);

    /// <summary>Whether an optional measure was entered.</summary>
    public bool Has(Measure measure) => lengths.ContainsKey(FieldOf(measure));

    /// <summary>A measure for drawing, null while it is not measured or cannot be read.</summary>
    public Length? Known(Measure measure) => lengths.TryGetValue(FieldOf(measure), out var length) ? length : null;

    /// <summary>A measure for drawing; its usual size stands in for what is not measured yet.</summary>
    public Length Drawn(Measure measure) => Known(measure) ?? Declared(measure).Usual;

    /// <summary>Whether a measure is asked for, as things stand.</summary>
    public bool Asks(Measure measure) =>
        makeUp.Measures.Any(each => each.Key == measure.Key && IsShown(each.ShownWhen));

    /// <summary>Whether a choice is shown, as things stand.</summary>
    public bool Shows(Choice choice) => IsShown(choice.ShownWhen);

    /// <summary>
    /// The fields of measures and choices that are asked as things stand, in the order of the declaration.
    /// </summary>
    public IReadOnlyList<string> Asked =>
        [.. makeUp.Measures.Where(Asks).Select(FieldOf), .. makeUp.Choices.Where(Shows).Select(FieldOf)];

    /// <summary>A traced outline that was entered; null while it cannot be read.</summary>
    public Outline? Traced(Measure measure) => outlines.GetValueOrDefault(measure.Key);

    /// <summary>Whether the make-up has such a choice.</summary>
    public bool Offers(Choice choice) => makeUp.Choices.Any(each => each.Key == choice.Key);

    /// <summary>The allowance of one edge of one piece: its own where one was entered, else the item's.</summary>
    public Working EdgeAllowance(AllowanceDeclaration allowance, string piece, string edge) =>
        lengths.TryGetValue($"allowances.{piece}/{edge}", out var own)
            ? new Allowance($"{allowance.Symbol}({edge})", allowance.Role, own)
            : this[allowance];

    /// <summary>
    /// The allowance of one edge of one piece where it has one of its own, else the <paramref name="usual"/> one.
    /// </summary>
    public Working Own(string piece, string edge, Working usual) =>
        lengths.TryGetValue($"allowances.{piece}/{edge}", out var own)
            ? new Allowance(edge, (usual as Allowance)?.Role ?? AllowanceRole.Seam, own)
            : usual;

    /// <summary>A problem with a measure that can be read but cannot be made.</summary>
    public Problem Refuse(Measure measure, string reason, string example) =>
        Refusal(FieldOf(measure), item.Measures.GetValueOrDefault(measure.Key), reason, example);

    /// <summary>A problem with a choice.</summary>
    public Problem Refuse(Choice choice, string reason, string example) =>
        Refusal(FieldOf(choice), item.Choices.GetValueOrDefault(choice.Key), reason, example);

    /// <summary>A problem with an allowance.</summary>
    public Problem Refuse(AllowanceDeclaration allowance, string reason, string example) =>
        Refusal(FieldOf(allowance), item.Allowances.GetValueOrDefault(allowance.Symbol), reason, example);

    /// <summary>An example in the job's unit, of a length in inches and in centimetres.</summary>
    public string Example(string inches, string centimetres) => Unit.IsInches() ? inches : centimetres;

    /// <summary>A length to the tape's mark with its unit, for reasons and remarks.</summary>
    public string Say(Length length) => $"{LengthPrinter.Finished(length, Unit).Text} {LengthPrinter.Word(Unit)}";

    private static Problem Refusal(string field, Entry? entry, string reason, string example) =>
        new(field, entry?.Typed ?? "", 0, reason, example);

    private static string FieldOf(Measure measure) => $"measures.{measure.Key}";

    private static string FieldOf(Choice choice) => $"choices.{choice.Key}";

    private static string FieldOf(AllowanceDeclaration allowance) => $"allowances.{allowance.Symbol}";

    // A make-up may call a shared measure by another name than its handle does.
    private Measure Declared(Measure measure) => makeUp.Measures.First(each => each.Key == measure.Key);

    /// <summary>The answer to a choice as it is stored; the usual one where none could be read.</summary>
    internal string Answer(Choice choice) =>
        answers.GetValueOrDefault(choice.Key) ?? makeUp.Choices.First(each => each.Key == choice.Key).Default;

    private void ReadMeasures()
    {
        foreach (var measure in makeUp.Measures.Where(measure => IsShown(measure.ShownWhen)))
        {
            var entry = item.Measures.GetValueOrDefault(measure.Key);
            if (measure.Optional && IsEmpty(entry))
                continue;
            if (measure.Kind == MeasureKind.Outline)
                ReadOutline(measure.Key, entry);
            else
            {
                ReadLength($"measures.{measure.Key}", entry, measure.Limits);
                ReadAgain(measure);
            }
        }
    }

    // Read twice, write once (craft §1.1): readings that differ by more than the tolerance are asked for again.
    private void ReadAgain(Measure measure)
    {
        var (first, again) = ($"measures.{measure.Key}", $"measures.{measure.Key}{SecondReading}");
        var entry = item.Measures.GetValueOrDefault(measure.Key + SecondReading);
        if (IsEmpty(entry))
            return;
        ReadLength(again, entry, measure.Limits);
        if (!lengths.TryGetValue(first, out var one) || !lengths.TryGetValue(again, out var two))
            return;
        var tolerance = Unit.IsInches() ? Length.Inches(0, 1, 8) : Length.Millimetres(3);
        if ((one - two).Abs() > tolerance)
            Problems.Add(
                new Problem(
                    again,
                    entry!.Typed,
                    0,
                    $"the two readings differ by {Say((one - two).Abs())}, more than {Say(tolerance)}: measure again",
                    LengthPrinter.Finished(one, Unit).Text
                )
            );
        else
            lengths[first] = measure.FitsInside ? Length.Min(one, two) : Length.Max(one, two);
    }

    private void ReadOutline(string key, Entry? entry)
    {
        var (outline, refusal) = OutlineReader.Read(entry?.Typed ?? "", entry?.Unit ?? Unit);
        if (outline is not null)
            outlines[key] = outline;
        else
            Problems.Add(
                new Problem($"measures.{key}", refusal!.Given, refusal.Position, refusal.Reason, refusal.Example)
            );
    }

    private static bool IsEmpty(Entry? entry) => entry is null || string.IsNullOrWhiteSpace(entry.Typed);

    private void ReadChoices()
    {
        foreach (var choice in makeUp.Choices)
        {
            var field = $"choices.{choice.Key}";
            var entry = item.Choices.GetValueOrDefault(choice.Key);
            if (!IsShown(choice.ShownWhen))
            {
                // A choice that does not apply cannot stand in the way; what was entered is kept in the item.
                answers[choice.Key] = choice.Default;
                lengths[field] = Unit.IsInches() ? choice.InchDefault : choice.MetricDefault;
            }
            else if (choice.Kind == ChoiceKind.Length)
                ReadLength(field, entry, choice.Limits);
            // An item from before there was this choice keeps to what was usual then.
            else if (entry is null)
                answers[choice.Key] = choice.Default;
            else if (choice.Kind == ChoiceKind.Count)
                ReadCount(field, choice, entry);
            else if (choice.Options.All(option => option.Key != entry.Typed))
                Problems.Add(new Problem(field, entry.Typed, 0, "no such option", choice.Options[0].Key));
            else
                answers[choice.Key] = entry.Typed;
        }
    }

    // A condition holds only while the choice that it looks at is shown itself.
    private bool IsShown(Condition? condition)
    {
        if (condition is not { } when)
            return true;
        var choice = makeUp.Choices.First(choice => choice.Key == when.Choice);
        return IsShown(choice.ShownWhen)
            && when.Answers.Contains(item.Choices.GetValueOrDefault(when.Choice)?.Typed ?? choice.Default)
            && IsShown(when.Also);
    }

    private void ReadCount(string field, Choice choice, Entry entry)
    {
        if (ReadWhole(field, entry.Typed, choice.Min, choice.Max, choice.Default) is { } count)
            answers[choice.Key] = count.ToString(CultureInfo.InvariantCulture);
    }

    private int? ReadWhole(string field, string given, int min, int max, string example)
    {
        if (
            int.TryParse(given.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            && number >= min
            && number <= max
        )
            return number;
        Problems.Add(new Problem(field, given, 0, $"a whole number from {min} to {max} is needed", example));
        return null;
    }

    private void ReadAllowances()
    {
        foreach (var (key, entry) in item.Allowances)
            if (
                key.Contains('/', StringComparison.Ordinal)
                    ? !string.IsNullOrWhiteSpace(entry.Typed)
                    : makeUp.Allowances.Any(a => a.Symbol == key)
            )
                ReadLength($"allowances.{key}", entry, LengthLimits.Allowance);
        foreach (var missing in makeUp.Allowances.Where(a => !item.Allowances.ContainsKey(a.Symbol)))
            ReadLength($"allowances.{missing.Symbol}", null, LengthLimits.Allowance);
    }

    private void ReadLength(string field, Entry? entry, LengthLimits limits)
    {
        var (length, refusal) = Entry.Read(entry, Unit, limits);
        if (length is { } value)
            lengths[field] = value;
        else
            Problems.Add(new Problem(field, refusal!.Given, refusal.Position, refusal.Reason, refusal.Example));
    }
}
