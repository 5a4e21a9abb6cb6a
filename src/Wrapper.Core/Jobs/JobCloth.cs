using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Jobs;

/// <summary>
/// One cloth of a job. <paramref name="Step"/> is what the shop cuts in (<c>1/8 yd</c>, <c>10 cm</c>);
/// <paramref name="Price"/>, as typed and empty while unknown, is
/// for one yard or metre by <paramref name="PricedBy"/>; <paramref name="Tone"/> is its colour on drawings,
/// <c>#rrggbb</c>.
/// </summary>
public sealed record JobCloth(
    string Id,
    string Name,
    Entry Width,
    Entry Selvedge,
    bool OneWay,
    Entry Step,
    Entry Margin,
    string Price,
    string PricedBy,
    string Tone
)
{
    /// <summary>What washing takes of its width, in per cent, as typed; empty for nothing.</summary>
    public string ShrinksAcross { get; init; } = "";

    /// <summary>What washing takes of its length, in per cent, as typed; empty for nothing.</summary>
    public string ShrinksAlong { get; init; } = "";

    /// <summary>
    /// The length of one ready-made article (a washed sheet, a towel), edge to edge; null for cloth off the roll. Of an
    /// article
    /// <see cref="Selvedge"/> is what is cut off along every edge, 0 where its finished edges are used, and the price
    /// is for one.
    /// </summary>
    public Entry? ArticleLength { get; init; }

    /// <summary>Left free between raw edges; null for nothing.</summary>
    public Entry? Gap { get; init; }

    /// <summary>The repeat along the roll; null for cloth without one.</summary>
    public Entry? RepeatAlong { get; init; }

    /// <summary>The repeat across the cloth; null where only drops are matched.</summary>
    public Entry? RepeatAcross { get; init; }

    /// <summary>Whether every second repeat across stands half a repeat higher.</summary>
    public bool HalfDrop { get; init; }

    /// <summary>What it shows.</summary>
    public ClothPrint Print { get; init; }

    /// <summary>The colour of what it shows, <c>#rrggbb</c>; empty for a pale one.</summary>
    public string Second { get; init; } = "";

    /// <summary>A photo of it, shown in place of what is drawn; null for none.</summary>
    public ClothPicture? Picture { get; init; }

    /// <summary>Where the motif's centre lies from the selvedge; null for the middle of the repeat.</summary>
    public Entry? MotifAcross { get; init; }

    /// <summary>Where the motif's centre lies from the repeat's beginning; null for the middle of the repeat.</summary>
    public Entry? MotifAlong { get; init; }

    /// <summary>How far the print is off square from selvedge to selvedge; null for not at all.</summary>
    public Entry? Skew { get; init; }

    /// <summary>
    /// The item of the job that makes it; null for cloth that is bought. Its width, edges and length are then those of
    /// what the item makes.
    /// </summary>
    public string? MadeBy { get; init; }

    /// <summary>How it behaves, in no order.</summary>
    public IReadOnlyList<ClothTrait> Behaves { get; init; } = [];

    /// <summary>How its raw edges are finished where they ravel.</summary>
    public EdgeFinish EdgeFinish { get; init; }

    /// <summary>The batch or dye lot that it was cut from, as its ticket says.</summary>
    public string Batch { get; init; } = "";

    /// <summary>Its care code: the keys of the marks on its ticket, one of a group at the most.</summary>
    public IReadOnlyList<string> Care { get; init; } = [];

    /// <summary>Whether everything lies one way up, for a print or a pile.</summary>
    [JsonIgnore]
    public bool LiesOneWay => OneWay || Behaves.Contains(ClothTrait.Pile);

    /// <summary>How it is spread and parted.</summary>
    public Spread Spread { get; init; }

    /// <summary>Remnants and part rolls of it that are there, used first.</summary>
    public IReadOnlyList<JobRemnant> Stock { get; init; } = [];

    /// <summary>The least that the shop cuts; null for one step.</summary>
    public Entry? LeastCut { get; init; }

    /// <summary>
    /// What was left of it once it was cut, as measured; each called by where it is kept. It counts in the place of what
    /// the lay says is left.
    /// </summary>
    public IReadOnlyList<JobRemnant> Left { get; init; } = [];

    /// <summary>Other prices from a certain length on.</summary>
    public IReadOnlyList<JobPrice> Prices { get; init; } = [];

    /// <summary>Its width as measured on the table, edge to edge, washed if it is to be; null until then.</summary>
    public Entry? MeasuredWidth { get; init; }

    /// <summary>Its length as measured on the table; null until then, or while more can be had.</summary>
    public Entry? MeasuredLength { get; init; }

    /// <summary>What squaring the end took of the measured length; null for nothing.</summary>
    public Entry? Squaring { get; init; }

    /// <summary>Widths that it can be had in beside the usual ones, to be compared.</summary>
    public IReadOnlyList<Entry> OtherWidths { get; init; } = [];

    /// <summary>Pieces that stay where they were put by hand.</summary>
    public IReadOnlyList<JobPin> Pins { get; init; } = [];

    /// <summary>Pieces that are cut already; their places are pins.</summary>
    public IReadOnlyList<JobCut> Cut { get; init; } = [];

    /// <summary>Places that nothing may be cut from.</summary>
    public IReadOnlyList<JobFlaw> Flaws { get; init; } = [];

    /// <summary>
    /// A plain cloth as most shops have it: 54 in or 140 cm wide, cut in eighths of a yard or tens of centimetres,
    /// unpriced.
    /// </summary>
    public static JobCloth Usual(string id, string name, JobUnit unit)
    {
        Entry Of(string inches, string metric) => new(unit.IsInches() ? inches : metric, unit);
        return new JobCloth(
            id,
            name,
            Of("54", "140"),
            Of("1/2", "1.5"),
            false,
            Of("1/8 yd", "10 cm"),
            Of("0", "0"),
            "",
            unit.IsInches() ? "yd" : "m",
            "#5d7284"
        );
    }
}

/// <summary>
/// A remnant or part roll: its usable length and width as it lies, washed if it is to be; the width null for that of
/// the cloth.
/// </summary>
public sealed record JobRemnant(string Name, Entry Length, Entry? Width)
{
    /// <summary>
    /// What it is known by among the others of its cloth, whatever its place; empty in documents from before there was
    /// one, see <see cref="JobDocument.Identified"/>.
    /// </summary>
    public string Id { get; init; } = "";
}

/// <summary>A price, as typed, for lengths from <paramref name="From"/> on.</summary>
public sealed record JobPrice(Entry From, string Price)
{
    /// <inheritdoc cref="JobRemnant.Id"/>
    public string Id { get; init; } = "";
}

/// <summary>
/// A flaw in a cloth: where it begins, from the squared end and from the first selvedge, and how far it reaches along
/// the roll and across it.
/// </summary>
public sealed record JobFlaw(Entry FromEnd, Entry FromSelvedge, Entry Along, Entry Across)
{
    /// <inheritdoc cref="JobRemnant.Id"/>
    public string Id { get; init; } = "";
}

/// <summary>
/// A piece that stays where it was put: its identity <c>item/piece/instance</c>, quarter turns to the left, and where
/// its box begins, in counts of 1/3840 mm from the
/// first selvedge and from the squared end of what is bought: less than nothing on a remnant, which lies before it.
/// </summary>
public sealed record JobPin(string Piece, int Turns, long X, long Y);

/// <summary>
/// A piece that has been cut, and how large its box was when it was: across and along the grain, in counts of 1/3840
/// mm.
/// </summary>
public sealed record JobCut(string Piece, long Across, long Along);
