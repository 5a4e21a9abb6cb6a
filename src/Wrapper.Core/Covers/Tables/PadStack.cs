using Wrapper.Core.Covers.Shared;
using Wrapper.Core.Covers.Shared.Outlines;
using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Tables;

/// <summary>The layers under a cover from the board up (craft §9.3).</summary>
internal static class PadStack
{
    /// <summary>Barrier, wadding and pads on a rectangular board W x L that is T thick.</summary>
    public static IEnumerable<Piece> Of(Reading reading, IReadOnlyList<Working> pads)
    {
        var (w, l) = (reading[ElasticCap.W], reading[ElasticCap.L]);
        if (reading.Chosen(ElasticCap.Barrier) is BarrierPlace.Under)
            yield return Plain.Sheet(
                ClothRole.MoistureBarrier,
                "barrier",
                "moisture barrier",
                w,
                l,
                note: "On the bare board, under the wadding."
            );
        if (reading[ElasticCap.Turns] is > 0 and var turns)
            yield return Wrapped(reading, w, l, turns);
        for (var n = 0; n < pads.Count; n++)
            yield return Layer(reading, n + 1, pads[n].Value, RectangleShape.Of(w, l, Sum.Of()));
    }

    /// <summary>One pad layer as large as the board, counted from the board up.</summary>
    public static Piece Layer(Reading reading, int n, Length thick, SeatOutline board) =>
        new Piece($"pad-{n}", $"pad layer {n}, {reading.Say(thick)} thick", 1, board.Dimensions, board.Shape)
        {
            Role = ClothRole.PadLayer,
            Grain = Grain.Either,
        }.Measured(board.Width, board.Depth);

    // Each turn goes round what is there already; it is measured on its own outer face, where it is longest: 2 (W + 2 k
    // t) + 2 (T + 2 k t) for the k-th, all turns together.
    private static Piece Wrapped(Reading reading, Working w, Working l, int turns)
    {
        var once = (w + reading[ElasticCap.T]).As("h", "half-way round the board");
        var strip = (
            (2 * turns * once) + (4 * turns * (turns + 1) * Working.Of("t", "wadding", reading[ElasticCap.Wadding]))
        ).As("S", "round the board, all turns");
        return Plain.Sheet(
            ClothRole.Wadding,
            "wadding",
            "wadding, wrapped",
            strip,
            l,
            note: $"{turns} {(turns == 1 ? "turn" : "turns")} from side to side, butted, not lapped."
        );
    }
}
