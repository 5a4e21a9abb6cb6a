using System.Security.Cryptography;
using System.Text;
using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Lay;

/// <summary>
/// Where lays found by a longer search are kept beyond the run of the program, by <see cref="LayCache.Key"/>.
/// </summary>
public interface ILayShelf
{
    /// <summary>The lay of this key; null where none is kept, or what is kept cannot be read.</summary>
    ClothLay? Find(string key);

    /// <summary>Keeps a lay in the place of an earlier one.</summary>
    void Keep(string key, ClothLay lay);
}

/// <summary>
/// Keeps lays by what they were laid from, so that nothing is laid twice and what a longer search has found stays, on
/// the <paramref name="shelf"/> too if there is one.
/// In memory up to about <paramref name="most"/> bytes; what was not asked for longest makes room.
/// </summary>
public sealed class LayCache(ILayShelf? shelf = null, long most = 24_000_000)
{
    // Part of every key, so that lays kept under earlier rules are not taken for lays under these.
    private const int Rules = 7;

    // Roughly what a placement takes in memory: each lay holds it twice, once in the best lay and once in the hand sum.
    private const long BytesOfPlacement = 200,
        BytesOfLay = 1000;

    private readonly Lock gate = new();
    private readonly Dictionary<string, LinkedListNode<(string Key, ClothLay Lay, long Bytes)>> lays = [];
    private readonly LinkedList<(string Key, ClothLay Lay, long Bytes)> byUse = new();
    private long bytes;

    /// <summary>
    /// The lay of these pieces: the best that is known, else one laid at once. <paramref name="strips"/> are cut from
    /// what it leaves: that lay is best which is shortest with them.
    /// </summary>
    public ClothLay Of(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        CancellationToken cancel,
        IReadOnlyList<StripDemand>? strips = null
    )
    {
        var key = Key(pieces, cloth, strips);
        return Known(key)
            ?? KeepBetter(
                key,
                OnShelf(key, pieces) ?? LayTable.Of(pieces, cloth, strips ?? [], cancel),
                lay => Whole(lay, pieces, cloth, strips)
            );
    }

    /// <summary>
    /// Keeps <paramref name="lay"/> as the lay of these pieces if it is shorter than the one that is known.
    /// </summary>
    public void Better(
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        ClothLay lay,
        IReadOnlyList<StripDemand>? strips = null
    )
    {
        var key = Key(pieces, cloth, strips);
        Length Measured(ClothLay each) => Whole(each, pieces, cloth, strips);
        var known = Known(key) ?? OnShelf(key, pieces);
        if (known is not null && !IsBetter(lay, known, Measured))
            return;
        // The first lay is found at once whenever it is asked for, so only better ones are worth writing down.
        if (ReferenceEquals(KeepBetter(key, lay, Measured), lay) && known is not null)
            shelf?.Keep(key, lay);
    }

    // A stored lay is taken only if it places exactly these pieces: what is on the shelf may be damaged or from
    // another version.
    private ClothLay? OnShelf(string key, IReadOnlyList<LayPiece> pieces)
    {
        if (shelf?.Find(key) is not { } lay)
            return null;
        bool Places(Placed placed) =>
            placed.Placements.Count == pieces.Count
            && placed.Length.Ticks >= 0
            && placed.Placements.Select(at => at.Id).ToHashSet().SetEquals(pieces.Select(piece => piece.Id));
        return Places(lay.Best) && Places(lay.Hand) ? lay : null;
    }

    private static Length Whole(
        ClothLay lay,
        IReadOnlyList<LayPiece> pieces,
        LayCloth cloth,
        IReadOnlyList<StripDemand>? strips
    ) => CordStrips.After(lay, pieces, cloth, strips ?? []).Lay.Best.Length;

    private static bool IsBetter(ClothLay lay, ClothLay known, Func<ClothLay, Length> measured) =>
        measured(lay) is var now
        && measured(known) is var before
        && (now < before || (now == before && lay.ShortestPossible > known.ShortestPossible));

    private ClothLay? Known(string key)
    {
        lock (gate)
        {
            if (!lays.TryGetValue(key, out var node))
                return null;
            byUse.Remove(node);
            byUse.AddLast(node);
            return node.Value.Lay;
        }
    }

    // What was laid at once does not take the place of a better lay that a search has found meanwhile.
    private ClothLay KeepBetter(string key, ClothLay lay, Func<ClothLay, Length> measured)
    {
        lock (gate)
        {
            if (lays.Remove(key, out var known))
            {
                byUse.Remove(known);
                bytes -= known.Value.Bytes;
                if (!IsBetter(lay, known.Value.Lay, measured))
                    lay = known.Value.Lay;
            }
            var size = BytesOfLay + (BytesOfPlacement * (lay.Best.Placements.Count + lay.Hand.Placements.Count));
            lays[key] = byUse.AddLast((key, lay, size));
            bytes += size;
            while (bytes > most && byUse.Count > 1)
            {
                var (oldest, _, freed) = byUse.First!.Value;
                byUse.RemoveFirst();
                lays.Remove(oldest);
                bytes -= freed;
            }
            return lay;
        }
    }

    /// <summary>
    /// Equal for lays of the same outlines, names and demands: a hash of every number and name that a lay depends on.
    /// </summary>
    public static string Key(IReadOnlyList<LayPiece> pieces, LayCloth cloth, IReadOnlyList<StripDemand>? strips = null)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        Span<byte> number = stackalloc byte[8];
        Number(number, Rules, hash);
        void Many(params ReadOnlySpan<long> numbers)
        {
            Span<byte> each = stackalloc byte[8];
            foreach (var one in numbers)
                Number(each, one, hash);
        }
        // Names with their length, so that no two run together.
        void Name(string name)
        {
            Many(name.Length);
            hash.AppendData(Encoding.UTF8.GetBytes(name));
        }
        void Place(Point? point) => Many(point is null ? 0 : 1, point?.X.Ticks ?? 0, point?.Y.Ticks ?? 0);

        Many(cloth.Usable.Ticks, cloth.OneWay ? 1 : 0, cloth.Article?.Ticks ?? -1, cloth.Gap.Ticks, (int)cloth.Spread);
        Many(cloth.StockLengths.Count);
        foreach (var stretch in cloth.StockLengths)
            Many(stretch.Length.Ticks, stretch.Usable.Ticks);
        Many(cloth.Flaws.Count);
        foreach (var flaw in cloth.Flaws)
            Many(flaw.FromEnd.Ticks, flaw.FromSelvedge.Ticks, flaw.Along.Ticks, flaw.Across.Ticks);
        Many(cloth.Pins.Count);
        foreach (var pin in cloth.Pins)
        {
            Name(pin.Id);
            Many(pin.Turns, pin.X.Ticks, pin.Y.Ticks);
        }
        Many(cloth.Repeat is null ? 0 : 1);
        if (cloth.Repeat is { } repeat)
        {
            Many(repeat.Along.Ticks, repeat.Across.Ticks, repeat.HalfDrop ? 1 : 0, repeat.From.Ticks);
            Place(repeat.Motif);
        }
        foreach (var strip in strips ?? [])
            Many(strip.Width.Ticks, strip.Length.Ticks, strip.Join.Ticks, strip.OnBias ? 1 : 0, strip.Begun ? 1 : 0);
        foreach (var piece in pieces)
        {
            Name(piece.Id);
            Name(piece.Label);
            Many((int)piece.Grain, piece.OnMotif ? 1 : 0, piece.Cut.Edges.Count);
            Place(piece.Origin);
            foreach (var edge in piece.Cut.Edges)
                Many(
                    edge.Start.X.Ticks,
                    edge.Start.Y.Ticks,
                    edge.Radius?.Ticks ?? -1,
                    (edge.Outward ? 1 : 0) + (edge.Large ? 2 : 0)
                );
        }
        return Convert.ToHexString(hash.GetHashAndReset());
    }

    private static void Number(Span<byte> into, long number, IncrementalHash hash)
    {
        System.Buffers.Binary.BinaryPrimitives.WriteInt64LittleEndian(into, number);
        hash.AppendData(into);
    }
}
