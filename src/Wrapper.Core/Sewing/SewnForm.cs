using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Sewing;

/// <summary>
/// One piece of a sewn form: its points from <paramref name="FirstPoint"/> on, and its triangles by those points,
/// anticlockwise seen from the right side of the cloth.
/// </summary>
public sealed record FormSheet(
    string Piece,
    int Instance,
    bool TurnedOver,
    int FirstPoint,
    int PointCount,
    IReadOnlyList<int> Triangles
)
{
    /// <summary>The stretch that 95 parts of 100 of it stay under, a share of one.</summary>
    public float Strain { get; init; }

    /// <summary>Whether it lies behind other pieces: a pleat, an insert, a flap, a lining.</summary>
    public bool Tucked { get; init; }

    /// <summary>How far its flat points reach on the piece as drawn, in millimetres.</summary>
    public (float Left, float Low, float Right, float High) Reach { get; init; }
}

/// <summary>What a line of a form is.</summary>
[JsonConverter(typeof(ByName<FormLineKind>))]
public enum FormLineKind
{
    /// <summary>A plain seam.</summary>
    [JsonStringEnumMemberName("seam")]
    Seam,

    /// <summary>A seam with cord in it.</summary>
    [JsonStringEnumMemberName("corded")]
    Corded,

    /// <summary>A zip.</summary>
    [JsonStringEnumMemberName("zip")]
    Zip,

    /// <summary>A fold within a piece.</summary>
    [JsonStringEnumMemberName("fold")]
    Fold,

    /// <summary>An edge that is sewn to nothing.</summary>
    [JsonStringEnumMemberName("edge")]
    Edge,

    /// <summary>An edge held by elastic or by a cord that is threaded through.</summary>
    [JsonStringEnumMemberName("elastic")]
    Elastic,
}

/// <summary>
/// What is marked on the edge of a piece, a button, a loop or where a cord starts, at its place in space in millimetres.
/// </summary>
public sealed record FormMark(string What, float Across, float Back, float Up);

/// <summary>A line of a form along its points; the name is that of its seam, empty for a fold or an open edge.</summary>
public sealed record FormLine(FormLineKind Kind, string Seam, IReadOnlyList<int> Points);

/// <summary>
/// How well a form is sewn: the greatest difference between a seam and either of its flat sides, the stretch that 95
/// parts of 100 of the cloth stay under, and the greatest; shares of one. What is gathered counts as it is drawn in.
/// </summary>
public sealed record FormQuality(float SeamDifference, float Strain, float MostStrain);

/// <summary>
/// A cover sewn from its pattern: every point with its place in space and its exact place on the flat piece, both in
/// millimetres. The same pattern gives the same form.
/// </summary>
public sealed record SewnForm
{
    private const int Many = 2200,
        Few = 1100;

    private const float MostStrain = 0.05f,
        MostApart = 12,
        MostShare = 0.02f;

    internal SewnForm(
        IReadOnlyList<FormSheet> sheets,
        IReadOnlyList<FormLine> lines,
        float[] places,
        float[] flat,
        FormQuality quality
    ) => (Sheets, Lines, Places, Flat, Quality) = (sheets, lines, places, flat, quality);

    /// <summary>The pieces.</summary>
    public IReadOnlyList<FormSheet> Sheets { get; init; }

    /// <summary>Seams, each once, folds, and open edges.</summary>
    public IReadOnlyList<FormLine> Lines { get; }

    /// <summary>Three numbers for each point: across, back and up.</summary>
    public IReadOnlyList<float> Places { get; }

    /// <summary>Two numbers for each point: where it lies on its piece as drawn.</summary>
    public IReadOnlyList<float> Flat { get; }

    /// <summary>The same with points placed anew, or with more sheets and lines, their points after its own.</summary>
    internal SewnForm With(
        IReadOnlyList<FormSheet> sheets,
        IReadOnlyList<FormLine> lines,
        float[] places,
        float[] flat
    ) => new(sheets, lines, places, flat, Quality) { Marks = Marks, SeamPlaces = SeamPlaces };

    /// <summary>What is marked on its edges beside what is to be matched.</summary>
    public IReadOnlyList<FormMark> Marks { get; init; } = [];

    /// <summary>Where on the cover each seam runs, in words, by the seam's name.</summary>
    public IReadOnlyDictionary<string, string> SeamPlaces { get; init; } = new Dictionary<string, string>();

    /// <summary>How well it is sewn.</summary>
    public FormQuality Quality { get; init; }

    /// <summary>Whether the cloth lies as its pieces are cut, or as nearly as cloth gives.</summary>
    public bool Vouched =>
        Quality.Strain <= MostStrain && Quality.SeamDifference <= Math.Max(MostApart, MostShare * Places.Max());

    /// <summary>Whether it is shown as its flat pieces, laid out, because it could not be sewn as they are cut.</summary>
    public bool LaidOut { get; init; }

    /// <summary>
    /// Sews <paramref name="pattern"/>, without what is tucked behind its pieces; null where it has nothing to be sewn. A small one has fewer
    /// points, enough for a small picture, and takes less time; where that cannot be vouched for, all points are taken.
    /// </summary>
    public static SewnForm? Of(Pattern pattern, bool small = false, CancellationToken stop = default) =>
        small && Sewer.Sew(pattern, Few, stop) is { Vouched: true, LaidOut: false } form
            ? form
            : Sewer.Sew(pattern, Many, stop);
}
