using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Declaring;

/// <summary>
/// One way of sewing one kind of cover: what it measures, what can be chosen, and how it is drafted. Screens, API and
/// exports
/// are built from the declaration, so a new make-up is one class and nothing else.
/// </summary>
public abstract class MakeUp
{
    /// <summary>Its key in job files; never changes.</summary>
    public abstract string Key { get; }

    /// <summary>Its name.</summary>
    public abstract string Name { get; }

    /// <summary>
    /// What it covers ("Box cushion"); make-ups of one family share their measures and stand side by side.
    /// </summary>
    public abstract string Family { get; }

    /// <summary>Its place among the schools of its family, then by key; a new item starts with the first.</summary>
    public virtual int Rank => 0;

    /// <summary>What it suits, in one plain line.</summary>
    public abstract string Suits { get; }

    /// <summary>Whether what it makes is no cover but a cloth, from which others of the job can be cut.</summary>
    public virtual bool MakesCloth => false;

    /// <summary>How far a finished size of it may be off: how exact such a cover must be (craft §2).</summary>
    public virtual Length Tolerance => Length.Inches(0, 1, 4);

    /// <summary>What is measured, in walking order.</summary>
    public abstract IReadOnlyList<Measure> Measures { get; }

    /// <summary>What can be chosen.</summary>
    public abstract IReadOnlyList<Choice> Choices { get; }

    /// <summary>The allowances it uses.</summary>
    public abstract IReadOnlyList<AllowanceDeclaration> Allowances { get; }

    /// <summary>
    /// The measuring sketch, drawn from what could be read; <see cref="Reading.Known"/> is null for what is not
    /// measured yet.
    /// </summary>
    public abstract Sketch Sketch(Reading reading);

    /// <summary>
    /// What makes the item impossible, with the field to look at; asked only when every field can be read by itself.
    /// </summary>
    public abstract IEnumerable<Problem> Check(Reading reading);

    /// <summary>Drafts the pattern from a reading that <see cref="Check"/> finds nothing wrong with.</summary>
    public abstract Pattern Draft(Reading reading);

    /// <summary>
    /// What lies under the cover and can be cut from cloth of its own: wadding, pad layers, a moisture barrier; from
    /// the bottom up.
    /// </summary>
    public virtual IEnumerable<Piece> Fillings(Reading reading) => [];

    /// <summary>Answers that are shown as others where a cover is seen sewn: what is laid in pleats, or eased freehand.</summary>
    public virtual IReadOnlyList<ShownAs> Shown => [];

    /// <summary>A new item with every default written in; what <paramref name="from"/> holds already is kept.</summary>
    public Item NewItem(string id, string name, JobUnit unit, Item? from = null)
    {
        var kept =
            from
            ?? new Item(
                id,
                name,
                Key,
                "1",
                null,
                new Dictionary<string, Entry>(),
                new Dictionary<string, Entry>(),
                new Dictionary<string, Entry>()
            );
        var choices = new Dictionary<string, Entry>(kept.Choices);
        foreach (var choice in Choices)
            if (!choices.TryGetValue(choice.Key, out var entry) || !Takes(choice, entry))
                choices[choice.Key] = Default(choice, unit);
        var allowances = new Dictionary<string, Entry>(kept.Allowances);
        foreach (var allowance in Allowances)
            allowances.TryAdd(allowance.Symbol, Default(allowance, unit));
        return kept with { MakeUp = Key, Choices = choices, Allowances = allowances };
    }

    /// <summary>
    /// The item as it would be seen in a mirror; as it was where left and right of it are alike.
    /// </summary>
    public virtual Item Mirrored(Item item) => Mirror.Of(item, this);

    /// <summary>
    /// A new item with the usual size of everything that has to be measured: it can be drafted as it stands.
    /// </summary>
    public Item UsualItem(string id, string name, JobUnit unit) =>
        NewItem(id, name, unit) with
        {
            Measures = Measures
                .Where(measure => !measure.Optional)
                .ToDictionary(measure => measure.Key, measure => measure.UsualEntry()),
        };

    /// <summary>
    /// What is answered or allowed otherwise than is usual, of what <paramref name="reading"/> asks: the field, and the
    /// usual entry. A length that is usual in the unit that it was entered in counts as usual.
    /// </summary>
    public IEnumerable<(string Field, Entry Usual)> Changed(Item item, Reading reading, JobUnit unit)
    {
        foreach (var choice in Choices)
        {
            var field = $"choices.{choice.Key}";
            if (reading.Asked.Contains(field) && item.Choices.TryGetValue(choice.Key, out var entry))
                if (!IsUsual(entry, choice.Kind == ChoiceKind.Length, field, of => Default(choice, of)))
                    yield return (field, Default(choice, unit));
        }
        foreach (var allowance in Allowances)
        {
            var field = $"allowances.{allowance.Symbol}";
            if (item.Allowances.TryGetValue(allowance.Symbol, out var entry))
                if (!IsUsual(entry, isLength: true, field, of => Default(allowance, of)))
                    yield return (field, Default(allowance, unit));
        }

        bool IsUsual(Entry entry, bool isLength, string field, Func<JobUnit, Entry> usual) =>
            entry.Typed.Trim() == usual(entry.Unit).Typed
            || (
                isLength
                && reading.Lengths.TryGetValue(field, out var read)
                && LengthReader.Read(usual(entry.Unit).Typed, entry.Unit, LengthLimits.Cloth).Length == read
            );
    }

    private static bool Takes(Choice choice, Entry entry) =>
        choice.Kind != ChoiceKind.Option || choice.Options.Any(option => option.Key == entry.Typed);

    private static Entry Default(Choice choice, JobUnit unit) =>
        choice.Kind == ChoiceKind.Length
            ? Entry.Of(unit.IsInches() ? choice.InchDefault : choice.MetricDefault, unit)
            : new Entry(choice.Default, unit);

    private static Entry Default(AllowanceDeclaration allowance, JobUnit unit) =>
        Entry.Of(unit.IsInches() ? allowance.InchDefault : allowance.MetricDefault, unit);
}
