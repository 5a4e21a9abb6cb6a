using System.Text.Json;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Store;

namespace Wrapper.Server.Lays;

/// <summary>Found lays in the store, as JSON in counts.</summary>
internal sealed class LayShelf(FoundLays found) : ILayShelf
{
    private static readonly JsonSerializerOptions Whole = new()
    {
        RespectNullableAnnotations = true,
        RespectRequiredConstructorParameters = true,
    };

    private sealed record At(string Id, int Turns, long X, long Y);

    private sealed record Laid(IReadOnlyList<At> Pieces, long Length)
    {
        public static Laid Of(Placed placed) =>
            new(
                [.. placed.Placements.Select(at => new At(at.Id, at.Turns, at.X.Ticks, at.Y.Ticks))],
                placed.Length.Ticks
            );

        public Placed Placed() =>
            new(
                [.. Pieces.Select(at => new Placement(at.Id, at.Turns, new Length(at.X), new Length(at.Y)))],
                new Length(Length)
            );
    }

    private sealed record Kept(Laid Best, Laid Hand, long ShortestPossible, long Stock, long? FoldedTo);

    public ClothLay? Find(string key)
    {
        if (found.Find(key) is not { } text || Read(text) is not { } kept)
            return null;
        return new ClothLay(kept.Best.Placed(), kept.Hand.Placed(), new Length(kept.ShortestPossible), [])
        {
            Stock = new Length(kept.Stock),
            FoldedTo = kept.FoldedTo is { } folded ? new Length(folded) : null,
        };
    }

    // Nothing but time is lost with a lay that cannot be read.
    private static Kept? Read(string text)
    {
        try
        {
            return JsonSerializer.Deserialize<Kept>(text, Whole);
        }
        catch (JsonException)
        {
            return null;
        }
    }

    // A lay with pieces that the cloth cannot take is no lay to keep.
    public void Keep(string key, ClothLay lay)
    {
        if (lay.Misfits.Count == 0)
            found.Keep(
                key,
                JsonSerializer.Serialize(
                    new Kept(
                        Laid.Of(lay.Best),
                        Laid.Of(lay.Hand),
                        lay.ShortestPossible.Ticks,
                        lay.Stock.Ticks,
                        lay.FoldedTo?.Ticks
                    )
                )
            );
    }
}
