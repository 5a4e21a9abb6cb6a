using Wrapper.Core.Declaring;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>A point of a picture: to the right and up from its middle, and how near it is; in millimetres.</summary>
internal readonly record struct Seen(float X, float Y, float Near);

/// <summary>What is drawn of a form: a triangle of one sheet, or a stretch of a line.</summary>
internal abstract record Drawn(float Near);

/// <summary>A triangle of a sheet by the points of the form, and how much light falls on it, 0.55 to 1.</summary>
internal sealed record DrawnFace(FormSheet Sheet, int A, int B, int C, float Light, float Near) : Drawn(Near);

/// <summary>A stretch of a line of the form.</summary>
internal sealed record DrawnLine(FormLineKind Kind, int From, int To, float Near) : Drawn(Near);

/// <summary>From where a form is looked at.</summary>
internal enum Standpoint
{
    /// <summary>From the front, the right and above, as a picture.</summary>
    Round,

    /// <summary>As measuring sketches are drawn: the front true to scale, depth going to the upper right.</summary>
    Measuring,
}

/// <summary>
/// A sewn form as it is seen on a still picture: the far parts first. What is tucked behind other pieces is not seen.
/// </summary>
internal sealed class SewnScene
{
    private const double Round = 0.6,
        Over = 0.55;

    // Lines lie on the faces that they join.
    private const float Above = 0.03f;

    private SewnScene(Seen[] points, IReadOnlyList<Drawn> parts, float width, float height) =>
        (Points, Parts, Width, Height) = (points, parts, width, height);

    /// <summary>Where the points of the form are seen.</summary>
    public Seen[] Points { get; }

    /// <summary>Faces and lines, from the far ones to the near.</summary>
    public IReadOnlyList<Drawn> Parts { get; }

    /// <summary>How far it reaches across, its middle in the middle.</summary>
    public float Width { get; }

    /// <summary>The same up and down.</summary>
    public float Height { get; }

    /// <summary>How <paramref name="form"/> is seen.</summary>
    public static SewnScene Of(SewnForm form, Standpoint from = Standpoint.Round)
    {
        var round = Points3(form);
        var points = Centred(from == Standpoint.Round ? round : Measured(form));
        var (wide, high) = (Math.Max(1, points.Max(at => at.X)), Math.Max(1, points.Max(at => at.Y)));
        var lift = Above * Math.Max(wide, high);
        var hidden = form.Sheets.Where(sheet => sheet.Tucked).Select(sheet => sheet.FirstPoint).ToList();
        var seen = hidden.Count > 0 ? hidden.Min() : points.Length;
        var faces =
            from sheet in form.Sheets
            where !sheet.Tucked
            from at in Enumerable.Range(0, sheet.Triangles.Count / 3)
            let a = sheet.Triangles[3 * at]
            let b = sheet.Triangles[(3 * at) + 1]
            let c = sheet.Triangles[(3 * at) + 2]
            select (Drawn)
                new DrawnFace(
                    sheet,
                    a,
                    b,
                    c,
                    Light(round[a], round[b], round[c]),
                    (points[a].Near + points[b].Near + points[c].Near) / 3
                );
        var lines =
            from line in form.Lines
            where line.Kind != FormLineKind.Fold && line.Points[0] < seen
            from pair in line.Points.Zip(line.Points.Skip(1))
            select (Drawn)
                new DrawnLine(
                    line.Kind,
                    pair.First,
                    pair.Second,
                    lift + ((points[pair.First].Near + points[pair.Second].Near) / 2)
                );
        return new(points, [.. faces.Concat(lines).OrderBy(part => part.Near)], 2 * wide, 2 * high);
    }

    private static Seen[] Centred(Seen[] points)
    {
        var (x, y) = (
            (points.Min(at => at.X) + points.Max(at => at.X)) / 2,
            (points.Min(at => at.Y) + points.Max(at => at.Y)) / 2
        );
        return [.. points.Select(at => at with { X = at.X - x, Y = at.Y - y })];
    }

    private static Seen[] Measured(SewnForm form) =>
        [
            .. Enumerable
                .Range(0, form.Places.Count / 3)
                .Select(at =>
                {
                    var (right, back, high) = (
                        form.Places[3 * at],
                        form.Places[(3 * at) + 1],
                        form.Places[(3 * at) + 2]
                    );
                    var (x, y, near) = Oblique.Seen(right, back, high);
                    return new Seen((float)x, (float)y, (float)near);
                }),
        ];

    private static Seen[] Points3(SewnForm form)
    {
        var (sr, cr) = Math.SinCos(Round);
        var (so, co) = Math.SinCos(Over);
        return
        [
            .. Enumerable
                .Range(0, form.Places.Count / 3)
                .Select(at =>
                {
                    double x = form.Places[3 * at],
                        y = -form.Places[(3 * at) + 1],
                        z = form.Places[(3 * at) + 2];
                    var away = (x * sr) + (y * cr);
                    return new Seen(
                        (float)((x * cr) - (y * sr)),
                        (float)((z * co) - (away * so)),
                        (float)((z * so) + (away * co))
                    );
                }),
        ];
    }

    private static float Light(Seen a, Seen b, Seen c)
    {
        var (ux, uy, uz) = (b.X - a.X, b.Y - a.Y, b.Near - a.Near);
        var (vx, vy, vz) = (c.X - a.X, c.Y - a.Y, c.Near - a.Near);
        var (x, y, z) = ((uy * vz) - (uz * vy), (uz * vx) - (ux * vz), (ux * vy) - (uy * vx));
        var size = MathF.Sqrt((x * x) + (y * y) + (z * z));
        return 0.55f + (0.45f * (size < 1e-6f ? 0.5f : MathF.Abs((0.35f * x) + (0.75f * y) + (0.55f * z)) / size));
    }
}
