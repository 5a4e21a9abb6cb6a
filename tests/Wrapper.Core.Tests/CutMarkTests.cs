using CsCheck;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// What is chalked on the cloth: cumulative marks, each rounded once to the tape mark, and the lay seen from the wrong
/// side.
/// </summary>
public class CutMarkTests
{
    private static readonly Gen<(IReadOnlyList<LayPiece> Pieces, LayCloth Cloth)> Jobs = Gen.Select(
        Variants.Makeable.Array[1, 3],
        Gen.Int[40, 110],
        (items, width) =>
        {
            var job = JobDocument.Empty("job", JobUnit.Inch) with
            {
                Items = [.. items.Select((item, at) => item with { Id = $"i{at}", Cloth = null })],
                Cloths = [LayTests.Cloth($"{width}", false)],
            };
            var cloth = Plan.Of(job, Items.Drafting, lay: false).Cloths[0];
            return (cloth.Pieces, cloth.Reading.ForLay);
        }
    );

    private static Length Mark(Length length) =>
        LengthReader
            .Read(LengthPrinter.Finished(length, JobUnit.Inch).Text, JobUnit.Inch, LengthLimits.Cloth)
            .Length!.Value;

    // Rebuilt from what is printed, every box is where it was to 1/16 in, as large as it was to 1/16, and boxes that
    // lay apart still do.
    [Fact]
    public void Pieces_rebuilt_from_the_printed_marks_do_not_overlap() =>
        Jobs.Sample(
            job =>
            {
                var lay = LayTable.Of(job.Pieces, job.Cloth);
                var byId = job.Pieces.ToDictionary(piece => piece.Id);
                var boxes = lay
                    .Best.Placements.Select(at => byId[at.Id].MarksAt(at))
                    .Select(marks =>
                        (
                            True: marks,
                            Printed: new ChalkMarks(
                                Mark(marks.FromEnd),
                                Mark(marks.ToEnd),
                                Mark(marks.FromSelvedge),
                                Mark(marks.ToSelvedge)
                            )
                        )
                    )
                    .ToList();
                var sixteenth = Length.Inches(0, 1, 16);
                foreach (var (exact, printed) in boxes)
                {
                    foreach (
                        var (a, b) in new[]
                        {
                            (exact.FromEnd, printed.FromEnd),
                            (exact.ToEnd, printed.ToEnd),
                            (exact.FromSelvedge, printed.FromSelvedge),
                            (exact.ToSelvedge, printed.ToSelvedge),
                        }
                    )
                        Assert.True((a - b).Abs() <= sixteenth);
                    Assert.True((printed.ToEnd - printed.FromEnd - (exact.ToEnd - exact.FromEnd)).Abs() <= sixteenth);
                }
                for (var a = 0; a < boxes.Count; a++)
                for (var b = 0; b < a; b++)
                    if (Apart(boxes[a].True, boxes[b].True))
                        Assert.True(Apart(boxes[a].Printed, boxes[b].Printed));
            },
            iter: 15
        );

    private static bool Apart(ChalkMarks a, ChalkMarks b) =>
        a.ToEnd <= b.FromEnd
        || b.ToEnd <= a.FromEnd
        || a.ToSelvedge <= b.FromSelvedge
        || b.ToSelvedge <= a.FromSelvedge;

    // Mirrored, nothing changes its place along the roll, distances from one selvedge become those from the other, and
    // turned back it is the same lay.
    [Fact]
    public void The_wrong_side_is_the_mirror_image() =>
        Jobs.Sample(
            job =>
            {
                var usable = job.Cloth.Usable;
                var lay = LayTable.Of(job.Pieces, job.Cloth).Best;
                var byId = job.Pieces.ToDictionary(piece => piece.Id);
                var over = lay.TurnedOver(byId, usable);
                foreach (var (at, mirrored) in lay.Placements.Zip(over.Placements))
                {
                    var (marks, other) = (
                        byId[at.Id].MarksAt(at),
                        (byId[at.Id] with { Cut = byId[at.Id].Cut.Mirrored() }).MarksAt(mirrored)
                    );
                    Assert.Equal(
                        (marks.FromEnd, marks.ToEnd, usable - marks.ToSelvedge, usable - marks.FromSelvedge),
                        (other.FromEnd, other.ToEnd, other.FromSelvedge, other.ToSelvedge)
                    );
                    // The outline itself, reckoned by another library: each is the other's reflection in the middle of
                    // the cloth.
                    var (shape, reflected) = (
                        Geometry.Laid(byId[at.Id].Cut, at),
                        Geometry.Laid(byId[at.Id].Cut.Mirrored(), mirrored)
                    );
                    var back = NetTopologySuite
                        .Geometries.Utilities.AffineTransformation.ReflectionInstance(
                            Geometry.Mm(usable) / 2,
                            0,
                            Geometry.Mm(usable) / 2,
                            1
                        )
                        .Transform(reflected);
                    // Overlays of rings that nearly coincide are not to be trusted; how far their corners and edges lie
                    // apart is.
                    Assert.True(
                        NetTopologySuite.Algorithm.Distance.DiscreteHausdorffDistance.Distance(shape, back) < 0.1,
                        at.ToString()
                    );
                }
                Assert.Equal(lay.Placements, over.TurnedOver(byId, usable).Placements);
            },
            iter: 8
        );
}
