using Wrapper.Core.Jobs;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Planning;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Lays;

/// <summary>
/// A piece of one cloth moved by hand: turned so often to the left, its box let go at (<paramref name="Along"/>,
/// <paramref name="Across"/>) of the drawing, in hundredths of a millimetre.
/// </summary>
public sealed record MoveRequest(JobDocument Job, string Cloth, string Piece, int Turns, long Along, long Across);

/// <summary>Where it comes to rest, to be kept as a pin of the cloth; or why it cannot lie there.</summary>
public sealed record MoveView(JobPin? Pin, string? Refused);

/// <summary>Moving pieces by hand.</summary>
internal static class PinEndpoints
{
    public static void Map(RouteGroupBuilder api) =>
        api.MapPost(
                "/moves",
                (MoveRequest request, Drafting drafting, LayCache kept, LayQueue queue, HttpContext context) =>
                    Costly.Answer<MoveView>(
                        queue,
                        context,
                        JobLimits.Check(request.Job).Concat(OffTheTable(request)),
                        cancel =>
                        {
                            var cloth = Plan.Of(request.Job, drafting, lay: true, kept, cancel)
                                .Cloths.FirstOrDefault(each => each.Reading.Cloth.Id == request.Cloth);
                            if (cloth?.Lay is not { } lay)
                                return Problems.Cloth(request.Job, request.Cloth, "no lay of such a cloth");
                            var pieces = cloth.Pieces.ToDictionary(piece => piece.Id);
                            if (!pieces.TryGetValue(request.Piece, out var piece))
                                return Problems.Fields([
                                    new Problem(
                                        "piece",
                                        request.Piece,
                                        0,
                                        "no such piece is cut from this cloth",
                                        cloth.Pieces.Count > 0 ? cloth.Pieces[0].Id : ""
                                    ),
                                ]);
                            if (cloth.Panels.All(panel => panel.Id != request.Piece))
                                return TypedResults.Ok(
                                    new MoveView(
                                        null,
                                        "cord strips are cut last, from what the panels leave: move those, and the strips follow"
                                    )
                                );
                            // Snapped to what is pinned first of all, then to what lies there now.
                            Length Of(long hundredths) => Length.Millimetres(hundredths / 100m);
                            var pin = Pinning.Snapped(
                                piece,
                                request.Turns,
                                Of(request.Across),
                                Of(request.Along),
                                pieces,
                                cloth.ForLay,
                                cloth.ForLay.Pins.Count > 0
                                    ? [.. cloth.ForLay.Pins, .. lay.Best.Placements]
                                    : lay.Best.Placements
                            );
                            return TypedResults.Ok(
                                Pinning.Refusal(pin, pieces, cloth.ForLay, cloth.ForLay.Pins) is { } reason
                                    ? new MoveView(null, reason)
                                    : new MoveView(cloth.ForLay.PinAt(pin), null)
                            );
                        }
                    )
            )
            .ProducesProblem(422)
            .WithName("move")
            .WithSummary("Where a piece that is moved by hand comes to rest, or why it cannot lie there.");

    // A kilometre, in hundredths of a millimetre.
    private const long Farthest = 100_000_000;

    private static IEnumerable<Problem> OffTheTable(MoveRequest request) =>
        from place in new[] { (Field: "along", At: request.Along), (Field: "across", At: request.Across) }
        where place.At is < -Farthest or > Farthest
        select new Problem(
            place.Field,
            $"{place.At}",
            0,
            "farther than a kilometre from the cloth, in hundredths of a millimetre",
            "25400"
        );
}
