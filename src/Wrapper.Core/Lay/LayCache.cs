using System.Collections.Concurrent;
using System.Security.Cryptography;
using System.Text;

namespace Wrapper.Core.Lay;

/// <summary>Where lays found by a longer search are kept beyond the run of the program, by <see cref="LayCache.Key"/>.</summary>
public interface ILayShelf
{
    /// <summary>The lay of this key; null where none is kept.</summary>
    ClothLay? Find(string key);

    /// <summary>Keeps a lay in the place of an earlier one.</summary>
    void Keep(string key, ClothLay lay);
}

/// <summary>Keeps lays by what they were laid from, so that nothing is laid twice and what a longer search has found stays, on the <paramref name="shelf"/> too if there is one.</summary>
public sealed class LayCache(ILayShelf? shelf = null)
{
    // In every key: lays found under other rules are not those of these.
    private const string Rules = "2 ";

    // Lays of some hundred pieces are some ten kilobytes each.
    private const int Most = 400;

    private readonly ConcurrentDictionary<string, ClothLay> lays = new();
    private readonly ConcurrentQueue<string> oldest = new();

    /// <summary>The lay of these pieces: the best that is known, else one laid at once.</summary>
    public ClothLay Of(IReadOnlyList<LayPiece> pieces, LayCloth cloth, CancellationToken superseded)
    {
        var key = Key(pieces, cloth);
        if (lays.TryGetValue(key, out var known)) return known;
        var laid = shelf?.Find(key) ?? LayTable.Of(pieces, cloth, superseded);
        Keep(key, laid);
        return laid;
    }

    /// <summary>Keeps <paramref name="lay"/> as the lay of these pieces if it is shorter than the one that is known.</summary>
    public void Better(IReadOnlyList<LayPiece> pieces, LayCloth cloth, ClothLay lay)
    {
        var key = Key(pieces, cloth);
        if (!lays.TryGetValue(key, out var known)) known = shelf?.Find(key);
        if (known is not null && lay.Best.Length >= known.Best.Length && lay.ShortestPossible <= known.ShortestPossible) return;
        Keep(key, lay);
        // The first lay of a search is the one laid at once: it need not be kept.
        if (known is not null) shelf?.Keep(key, lay);
    }

    private void Keep(string key, ClothLay lay)
    {
        if (!lays.ContainsKey(key)) oldest.Enqueue(key);
        lays[key] = lay;
        while (lays.Count > Most && oldest.TryDequeue(out var first)) lays.TryRemove(first, out _);
    }

    /// <summary>Equal for lays of the same outlines, names and demands.</summary>
    public static string Key(IReadOnlyList<LayPiece> pieces, LayCloth cloth)
    {
        var text = new StringBuilder(Rules).Append(cloth.Usable.Ticks).Append(cloth.OneWay).Append(cloth.Article?.Ticks).Append(' ').Append(cloth.Gap.Ticks).Append(' ').Append(cloth.Repeat).Append(cloth.Spread);
        foreach (var stretch in cloth.Stretches) text.Append(stretch);
        foreach (var flaw in cloth.Flaws) text.Append(flaw);
        foreach (var pin in cloth.Pins) text.Append(pin);
        foreach (var piece in pieces)
        {
            text.Append('|').Append(piece.Id).Append(' ').Append(piece.Label).Append(' ').Append(piece.Grain).Append(' ').Append(piece.Origin).Append(piece.OnMotif);
            foreach (var edge in piece.Cut.Edges) text.Append(';').Append(edge.Start.X.Ticks).Append(',').Append(edge.Start.Y.Ticks).Append(',').Append(edge.Radius?.Ticks).Append(edge.Outward).Append(edge.Large);
        }
        return Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(text.ToString())));
    }
}
