using SkiaSharp;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>A place on a cloth, in hundredths of a millimetre across from the selvedge and up the roll.</summary>
internal readonly record struct OnTile(ClothTile Tile, float Across, float Along);

/// <summary>A still picture of a sewn form as PNG, each face with the part of the cloth that it shows.</summary>
internal static class SewnPicture
{
    // Drawn so much larger and made smaller again, so that edges are smooth.
    private const int Finer = 2;

    // So much of the picture it takes, and no more than so often as high as wide.
    private const float Margin = 0.94f;
    private const int MostHigh = 4;

    /// <summary>
    /// The picture, <paramref name="width"/> by <paramref name="height"/> pixels, on nothing;
    /// <paramref name="onCloth"/> gives the cloth of a triangle, and of each of its points where it lies on that:
    /// millimetres on the piece as drawn. For measuring it is as wide as the form, its height going with that.
    /// </summary>
    public static byte[] Of(
        SewnForm form,
        int width,
        int height,
        Func<FormSheet, float, Func<float, float, OnTile>> onCloth,
        TileDrawing drawing,
        Standpoint from = Standpoint.Round
    )
    {
        var scene = SewnScene.Of(form, from);
        if (from == Standpoint.Measuring)
            height = Math.Clamp((int)MathF.Round(width * scene.Height / scene.Width), 1, MostHigh * width);
        using var surface = SKSurface.Create(new SKImageInfo(Finer * width, Finer * height));
        var share = from == Standpoint.Measuring ? 1 : Margin;
        Draw(surface.Canvas, form, scene, share, Finer * width, Finer * height, onCloth, drawing);
        using var large = surface.Snapshot();
        using var small = SKSurface.Create(new SKImageInfo(width, height));
        small.Canvas.DrawImage(
            large,
            new SKRect(0, 0, width, height),
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
        );
        using var image = small.Snapshot();
        using var png = image.Encode(SKEncodedImageFormat.Png, 100);
        return png.ToArray();
    }

    private static void Draw(
        SKCanvas canvas,
        SewnForm form,
        SewnScene scene,
        float share,
        float width,
        float height,
        Func<FormSheet, float, Func<float, float, OnTile>> onCloth,
        TileDrawing drawing
    )
    {
        var scale = share * Math.Min(width / scene.Width, height / scene.Height);
        SKPoint At(int point) =>
            new((width / 2) + (scale * scene.Points[point].X), (height / 2) - (scale * scene.Points[point].Y));
        var tiles = new Dictionary<ClothTile, (SKBitmap Bitmap, SKPaint Paint)>();
        var line = new SKPaint
        {
            IsAntialias = true,
            StrokeCap = SKStrokeCap.Round,
            IsStroke = true,
        };
        var cord = ClothTile.Plain.Tone;
        try
        {
            foreach (var part in scene.Parts)
                if (part is DrawnFace face)
                {
                    var place = onCloth(face.Sheet, (Flat(face.A).X + Flat(face.B).X + Flat(face.C).X) / 3);
                    var (tile, points) = Textured(face, place);
                    cord = tile.Tone;
                    var grey = (byte)(255 * face.Light);
                    SKColor light = new(grey, grey, grey);
                    using var vertices = SKVertices.CreateCopy(
                        SKVertexMode.Triangles,
                        [At(face.A), At(face.B), At(face.C)],
                        points,
                        [light, light, light]
                    );
                    canvas.DrawVertices(vertices, SKBlendMode.Modulate, Paint(tile).Paint);
                }
                else if (part is DrawnLine { } drawn)
                {
                    var (ink, wide) = LineLook.Of(drawn.Kind, cord);
                    (line.Color, line.StrokeWidth) = (SKColor.Parse(ink), wide * width / 900);
                    canvas.DrawLine(At(drawn.From), At(drawn.To), line);
                }
        }
        finally
        {
            line.Dispose();
            foreach (var (bitmap, paint) in tiles.Values)
            {
                paint.Shader.Dispose();
                paint.Dispose();
                bitmap.Dispose();
            }
        }

        (float X, float Y) Flat(int at) => (form.Flat[2 * at], form.Flat[(2 * at) + 1]);

        (ClothTile Tile, SKPoint[] Points) Textured(DrawnFace face, Func<float, float, OnTile> place)
        {
            OnTile On(int at) => place(Flat(at).X, Flat(at).Y);
            var tile = On(face.A).Tile;
            var bitmap = Paint(tile).Bitmap;
            SKPoint Pixel(OnTile on) =>
                new(on.Across / tile.Across * bitmap.Width, -(on.Along - tile.From) / tile.Along * bitmap.Height);
            return (tile, [Pixel(On(face.A)), Pixel(On(face.B)), Pixel(On(face.C))]);
        }

        (SKBitmap Bitmap, SKPaint Paint) Paint(ClothTile tile)
        {
            if (tiles.TryGetValue(tile, out var known))
                return known;
            var bitmap = drawing.Draw(tile);
            using var image = SKImage.FromBitmap(bitmap);
            var paint = new SKPaint
            {
                Shader = image.ToShader(
                    SKShaderTileMode.Repeat,
                    SKShaderTileMode.Repeat,
                    new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
                ),
            };
            return tiles[tile] = (bitmap, paint);
        }
    }
}
