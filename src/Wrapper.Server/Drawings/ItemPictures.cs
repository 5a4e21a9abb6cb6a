using System.Collections.Concurrent;
using System.Text.Json;
using SkiaSharp;
using Wrapper.Core.Jobs;
using Wrapper.Core.Planning;
using Wrapper.Server.Drafts;

namespace Wrapper.Server.Drawings;

/// <summary>
/// Small pictures of items as they will be sewn, on their cloths, before they are laid. Each is drawn once; only so many
/// bytes are kept.
/// </summary>
internal sealed class ItemPictures(Drafting drafting, TileDrawing drawing)
{
    private const int Wide = 300,
        High = 200,
        Measured = 640,
        MostInRow = 4;

    private const long MostBytes = 8_000_000;

    private readonly ConcurrentDictionary<string, byte[]> kept = new();
    private long bytes;

    /// <summary>
    /// The picture of one item as PNG, of twice the size where it is <paramref name="large"/>; null where it cannot be
    /// drafted or has nothing to be sewn.
    /// </summary>
    public byte[]? Of(
        Item item,
        JobDocument job,
        CancellationToken cancel,
        Standpoint from = Standpoint.Round,
        bool large = false
    )
    {
        var plan = ItemPlan.Of(item, 1, drafting, job);
        if (plan.Draft.Pattern is not { } pattern)
            return null;
        var tiles = FormCloth.Tiles(job);
        var key = JsonSerializer.Serialize(
            new
            {
                From = from,
                Large = large,
                Form = FormCache.KeyOf(item, job),
                Cloths = pattern.Roles.Select(role =>
                    tiles.GetValueOrDefault(job.ClothOf(item, role) ?? "", ClothTile.Plain)
                ),
            }
        );
        if (kept.TryGetValue(key, out var known))
            return known;
        return ItemForm.Sew(item, job, drafting, cancel, small: true) is { } form
            ? Keep(
                key,
                SewnPicture.Of(
                    form,
                    from == Standpoint.Measuring ? Measured
                        : large ? 2 * Wide
                        : Wide,
                    large ? 2 * High : High,
                    FormCloth.Unlaid(plan, job, tiles),
                    drawing,
                    from
                )
            )
            : null;
    }

    /// <summary>The first items of a job that can be drawn, side by side.</summary>
    public byte[] InARow(JobDocument job, CancellationToken cancel)
    {
        var drawn = job.Items.Select(item => Of(item, job, cancel)).OfType<byte[]>().Take(MostInRow).ToList();
        using var row = SKSurface.Create(new SKImageInfo(Wide * Math.Max(1, drawn.Count), High));
        for (var at = 0; at < drawn.Count; at++)
        {
            using var one = SKImage.FromEncodedData(drawn[at]);
            row.Canvas.DrawImage(one, at * Wide, 0, SKSamplingOptions.Default);
        }
        using var image = row.Snapshot();
        using var png = image.Encode(SKEncodedImageFormat.Png, 100);
        return png.ToArray();
    }

    private byte[] Keep(string key, byte[] picture)
    {
        if (Interlocked.Add(ref bytes, picture.Length) > MostBytes)
        {
            kept.Clear();
            bytes = picture.Length;
        }
        return kept[key] = picture;
    }
}
