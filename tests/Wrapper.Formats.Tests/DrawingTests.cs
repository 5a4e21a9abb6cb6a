using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;
using Wrapper.Core.Tests;
using Wrapper.Formats.Drawings;

namespace Wrapper.Formats.Tests;

/// <summary>Pieces and lays as drawings, read back by other programs and held against the core's own outlines.</summary>
public sealed class DrawingTests : IDisposable
{
    private const double Hundredth = 0.01;
    private readonly Tools tools = new();

    public void Dispose() => tools.Dispose();

    private static double Mm(Length length) => length.Ticks / 3840.0;

    private static ItemPlan Planned(Item item) =>
        ItemPlan.Of(item, 2, Items.Drafting, JobDocument.Empty("job", JobUnit.Inch) with { Items = [item] });

    // Random covers of every make-up: what is read is the outline that was drafted, whichever way its arcs turn.
    [Fact]
    public void Another_reader_finds_the_area_the_arcs_and_the_extent_of_every_outline()
    {
        var items = Variants.Makeable.Array[40].Single(each => each.Length == 40, seed: "0000KOIkZKF7");
        var pieces = (
            from item in items.Select(Planned)
            from piece in item.Draft.Pattern!.Pieces
            select (Piece: piece, Drawing: PieceDrawing.Of(item, piece))
        ).ToList();
        var files = pieces.Select((each, n) => tools.Write($"{n}.dxf", DxfWriter.Write(each.Drawing))).ToArray();
        var read = Tools.Read("dxf.py", files).AsArray();
        Assert.Equal(pieces.Count, read.Count);
        Assert.Contains(pieces, each => each.Piece.Cut.Edges.Any(edge => edge.Large || !edge.Outward));
        foreach (var ((piece, _), found) in pieces.Zip(read))
        {
            Assert.Equal("AC1009", $"{found!["version"]}");
            Assert.Empty(found["faults"]!.AsArray());
            var cut = Assert.Single(found["outlines"]!.AsArray(), each => $"{each!["layer"]}" == "CUT")!;
            Assert.True((bool)cut["closed"]!);
            Assert.Equal(piece.Cut.Edges.Count(edge => edge.Radius is not null), (int)cut["arcs"]!);
            // In square millimetres: a hundredth all round the outline.
            var allowed = Hundredth * Mm(piece.Cut.Perimeter());
            Assert.InRange((double)cut["area"]! - (piece.Cut.AreaSquareMetres() * 1e6), -allowed, allowed);
            var (left, bottom, right, top) = piece.Cut.Bounds();
            var box = cut["box"]!.AsArray();
            Assert.Equal(Mm(right - left), (double)box[2]! - (double)box[0]!, Hundredth);
            Assert.Equal(Mm(top - bottom), (double)box[3]! - (double)box[1]!, Hundredth);
            Assert.Contains(
                found["texts"]!.AsArray(),
                text => $"{text}".Contains(piece.Name, StringComparison.Ordinal)
            );
            Assert.Equal(
                piece.Lines.Count + piece.Notches.Count,
                found["lines"]!.AsArray().Count(layer => $"{layer}" == "MARKS")
            );
        }
    }

    [Fact]
    public void An_svg_is_well_formed_and_as_large_as_the_piece_when_it_is_drawn()
    {
        var item = Planned(Items.Example("box-cushion-strip", ("corners", "rounded")));
        foreach (var piece in item.Draft.Pattern!.Pieces)
        {
            var drawing = PieceDrawing.Of(item, piece) with { Name = "Seat <\u0001 & \"quoted\">" };
            var file = tools.Write("piece.svg", SvgWriter.Write(drawing));
            Tools.Run("xmllint", "--noout", "--nonet", file);
            foreach (var layer in drawing.Strokes.Select(stroke => stroke.Layer).Distinct().Append(Layer.Text))
                Assert.Equal(
                    "1",
                    Tools.Text("xmllint", "--xpath", $"count(//*[local-name()='g'][@id='{layer.Name()}'])", file).Trim()
                );
            // At 4 dots a millimetre, 5 mm of paper all round.
            var (_, _, width, height) = drawing.Bounds();
            Tools.Run("rsvg-convert", "-d", "101.6", "-p", "101.6", "-o", tools.Path("piece.png"), file);
            var size = Tools.Read("extent.py", tools.Path("piece.png"));
            Assert.Equal(4 * Mm(width), (double)size["width"]!, 4.0);
            Assert.Equal(4 * Mm(height), (double)size["height"]!, 4.0);
            Assert.InRange((double)size["left"]!, 16, 24);
        }
    }

    // Every piece of the lay where the lay has it: as many outlines, all on the cloth, none over another.
    [Fact]
    public void A_lay_is_drawn_as_it_lies()
    {
        var job = JobDocument.Empty("job", JobUnit.Inch) with
        {
            Items =
            [
                Items.Example("box-cushion-strip") with
                {
                    Id = "a",
                    Quantity = "2",
                },
                Items.Example("box-cushion-folded") with
                {
                    Id = "b",
                },
            ],
            Cloths = [Cloth()],
        };
        var plan = Plan.Of(job, Items.Drafting, lay: true);
        var cloth = plan.Cloths[0];
        var drawing = LayDrawing.Of(cloth, plan)!;
        var found = Tools.Read("lay.py", tools.Write("lay.dxf", DxfWriter.Write(drawing)));
        Assert.Equal(cloth.Pieces.Count, (int)found["pieces"]!);
        Assert.Equal(0, (double)found["overlap"]!, 0.5);
        Assert.Equal(0, (double)found["outside"]!, 0.5);
        Assert.Equal(
            cloth.Pieces.Sum(piece => piece.Cut.AreaSquareMetres() * 1e6),
            (double)found["area"]!,
            cloth.Pieces.Count * 50.0
        );
        Assert.Null(LayDrawing.Of(Plan.Of(job, Items.Drafting, lay: false).Cloths[0], plan));
    }

    internal static JobCloth Cloth() =>
        new(
            "c1",
            "Twill",
            new("54", JobUnit.Inch),
            new("1/2", JobUnit.Inch),
            false,
            new("1/8 yd", JobUnit.Inch),
            new("0", JobUnit.Inch),
            "20",
            "yd",
            "#6b7f8c"
        );
}
