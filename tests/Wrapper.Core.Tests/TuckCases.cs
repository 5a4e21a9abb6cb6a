using Wrapper.Core.Declaring;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Sewing;

namespace Wrapper.Core.Tests;

/// <summary>Pleats, inserts, flaps and linings lie behind the form, whole and unstretched.</summary>
public class TuckCases
{
    private const double Thin = 7.5,
        Swings = 12;

    // Every piece is on the form, all of it, once.
    [Theory]
    [InlineData("ottoman-cap", "capCorners", "pleated", "cap", 1)]
    [InlineData("table-five-pieces", "corners", "pleat", "insert", 4)]
    [InlineData("chair-slipcover", "skirt", "flaps", "skirt-flap", 4)]
    [InlineData("chair-back-slip-over", "lining", "reversible", "lining", 2)]
    public void What_is_tucked_is_all_there_as_it_was_cut(
        string makeUp,
        string choice,
        string answer,
        string tucked,
        int count
    )
    {
        var item = Forms.Usual(makeUp, (choice, answer));
        var form = Forms.Sewn(item);
        var pattern = Items
            .Drafting.Draft(item, JobUnit.Inch, _ => new ClothRoom(Working.Of("U", "width", Length.Inches(4000))))
            .Pattern!;
        Assert.True(form.Vouched);
        foreach (var piece in pattern.Pieces)
        {
            var flat = form.Sheets.Where(sheet => sheet.Piece == piece.Key).Sum(sheet => Areas(form, sheet).Flat);
            var drawn = piece.Quantity * piece.Stitch.AreaSquareMetres() * 1e6;
            Assert.InRange(flat, 0.99 * drawn, 1.01 * drawn);
        }
        var behind = form.Sheets.Where(sheet => sheet.Piece == tucked).TakeLast(count).ToList();
        Assert.Equal(count, behind.Count);
        foreach (var sheet in behind)
        {
            var (flat, laid) = Areas(form, sheet);
            Assert.InRange(laid, 0.97 * flat, 1.03 * flat);
            Hangs_together(form, sheet);
        }
    }

    // An insert is 12 in wide by hand: its four layers of 3 in lie within 3 in of the corner, behind both sides.
    [Fact]
    public void An_insert_is_folded_to_a_quarter_of_its_width_each_way()
    {
        var form = Forms.Sewn(Forms.Usual("table-five-pieces", ("corners", "pleat")));
        foreach (var sheet in form.Sheets.Where(sheet => sheet.Piece == "insert"))
        {
            var places = Points(form, sheet).Select(pair => pair.Place).ToList();
            foreach (var axis in new Func<(double X, double Y, double Z), double>[] { p => p.X, p => p.Y })
                Assert.Equal(76.2, places.Max(axis) - places.Min(axis), Thin);
        }
    }

    // A cap that falls 4 in over an ottoman 21 x 17 1/4: each pleat is 2 x 4 tan 22.5 = 3.3137 in of cloth, folded in half,
    // so it reaches 1.6569 in from the corner and no further than the fall.
    [Fact]
    public void Facing_pleats_reach_half_their_cloth_from_the_corner()
    {
        var form = Forms.Sewn(
            Items.Read("ottoman-cap", JobUnit.Inch, "W=21 | L=17 1/4 | H=14 | fall=4 | capCorners=pleated")
        );
        var pleats = form.Sheets.Single(sheet => sheet.Tucked);
        var places = Points(form, pleats).Select(pair => pair.Place).ToList();
        var (left, right, top) = (places.Min(p => p.X), places.Max(p => p.X), places.Max(p => p.Z));
        Assert.Equal(21 * 25.4, right - left, 2 * Thin);
        Assert.Equal(4 * 25.4, top - places.Min(p => p.Z), Thin);
        // Between the corners nothing is tucked: from the left corner so far, and from the right one.
        var reach = 1.6569 * 25.4;
        Assert.All(
            places.Where(p => Math.Abs(p.Y) > (17.25 * 25.4 / 2) - Thin),
            p => Assert.True(p.X < left + reach + Thin || p.X > right - reach - Thin)
        );
        Assert.Contains(places, p => Math.Abs(p.X - left - reach) < Thin);
    }

    private static (double Flat, double Laid) Areas(SewnForm form, FormSheet sheet)
    {
        var (flat, laid) = (0.0, 0.0);
        var points = Points(form, sheet).ToList();
        for (var at = 0; at < sheet.Triangles.Count; at += 3)
        {
            var (a, b, c) = (
                points[sheet.Triangles[at] - sheet.FirstPoint],
                points[sheet.Triangles[at + 1] - sheet.FirstPoint],
                points[sheet.Triangles[at + 2] - sheet.FirstPoint]
            );
            flat += Area((a.Flat.X, a.Flat.Y, 0), (b.Flat.X, b.Flat.Y, 0), (c.Flat.X, c.Flat.Y, 0));
            laid += Area(a.Place, b.Place, c.Place);
        }
        return (flat, laid);
    }

    // Layers that share a fold have it in one place, but for the thickness of the cloth and, on a chair, a skirt that swings.
    private static void Hangs_together(SewnForm form, FormSheet sheet)
    {
        foreach (
            var same in Points(form, sheet)
                .GroupBy(point => (Math.Round(point.Flat.X), Math.Round(point.Flat.Y)), point => point.Place)
        )
        foreach (var (x, y, z) in same)
        {
            var first = same.First();
            var apart = Math.Sqrt(Math.Pow(x - first.X, 2) + Math.Pow(y - first.Y, 2) + Math.Pow(z - first.Z, 2));
            Assert.True(
                apart < (sheet.Piece == "skirt-flap" ? Swings : Thin),
                $"{sheet.Piece} {sheet.Instance}: {apart:0.0} mm apart at {same.Key}"
            );
        }
    }

    private static IEnumerable<((double X, double Y) Flat, (double X, double Y, double Z) Place)> Points(
        SewnForm form,
        FormSheet sheet
    ) =>
        Enumerable
            .Range(sheet.FirstPoint, sheet.PointCount)
            .Select(at =>
                (
                    ((double)form.Flat[2 * at], (double)form.Flat[(2 * at) + 1]),
                    ((double)form.Places[3 * at], (double)form.Places[(3 * at) + 1], (double)form.Places[(3 * at) + 2])
                )
            );

    private static double Area(
        (double X, double Y, double Z) a,
        (double X, double Y, double Z) b,
        (double X, double Y, double Z) c
    )
    {
        var (u, v) = ((b.X - a.X, b.Y - a.Y, b.Z - a.Z), (c.X - a.X, c.Y - a.Y, c.Z - a.Z));
        var x = (u.Item2 * v.Item3) - (u.Item3 * v.Item2);
        var y = (u.Item3 * v.Item1) - (u.Item1 * v.Item3);
        var z = (u.Item1 * v.Item2) - (u.Item2 * v.Item1);
        return Math.Sqrt((x * x) + (y * y) + (z * z)) / 2;
    }
}
