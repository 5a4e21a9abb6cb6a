using System.Buffers.Binary;
using System.Text.Json.Nodes;
using SkiaSharp;
using Wrapper.Core.Sewing;

namespace Wrapper.Server.Drawings;

/// <summary>
/// A sewn form as a binary glTF 2.0 file: one mesh for each piece, in metres, up along Y, its texture one repeat of its
/// cloth, its texture coordinates the place on the cloth in repeats.
/// </summary>
internal static class GlbModel
{
    private const uint Magic = 0x46546C67,
        Json = 0x4E4F534A,
        Binary = 0x004E4942;

    private const int Floats = 5126,
        UnsignedInts = 5125,
        Vertices = 34962,
        Indices = 34963,
        Repeat = 10497;

    /// <summary>
    /// The file; <paramref name="named"/> gives each piece its name, <paramref name="onCloth"/> its cloth, and where on
    /// that a flat point of it lies.
    /// </summary>
    public static byte[] Of(
        SewnForm form,
        Func<FormSheet, string> named,
        Func<FormSheet, float, Func<float, float, OnTile>> onCloth,
        TileDrawing drawing
    )
    {
        using var data = new MemoryStream();
        var (views, accessors, meshes, nodes, materials) = (
            new JsonArray(),
            new JsonArray(),
            new JsonArray(),
            new JsonArray(),
            new JsonArray()
        );
        var (images, textures, looks) = (new JsonArray(), new JsonArray(), new Dictionary<ClothTile, int>());
        foreach (var sheet in form.Sheets)
        {
            var onTile = onCloth(sheet, (sheet.Reach.Left + sheet.Reach.Right) / 2);
            var points = Enumerable.Range(sheet.FirstPoint, sheet.PointCount).ToList();
            float[] places =
            [
                .. points.SelectMany(at =>
                    new[]
                    {
                        form.Places[3 * at] / 1000,
                        form.Places[(3 * at) + 2] / 1000,
                        -form.Places[(3 * at) + 1] / 1000,
                    }
                ),
            ];
            float[] cloth =
            [
                .. points.SelectMany(at =>
                {
                    var on = onTile(form.Flat[2 * at], form.Flat[(2 * at) + 1]);
                    return new[] { on.Across / on.Tile.Across, -(on.Along - on.Tile.From) / on.Tile.Along };
                }),
            ];
            var place = Accessor(places, 3);
            accessors[place]!["min"] = Least(places, Math.Min);
            accessors[place]!["max"] = Least(places, Math.Max);
            var texture = Accessor(cloth, 2);
            var start = (int)data.Length;
            foreach (var at in sheet.Triangles)
                Write((uint)(at - sheet.FirstPoint));
            views.Add(View(start, Indices));
            accessors.Add(Told(UnsignedInts, sheet.Triangles.Count, "SCALAR"));
            meshes.Add(
                new JsonObject
                {
                    ["name"] = named(sheet),
                    ["primitives"] = new JsonArray(
                        new JsonObject
                        {
                            ["attributes"] = new JsonObject { ["POSITION"] = place, ["TEXCOORD_0"] = texture },
                            ["indices"] = accessors.Count - 1,
                            ["material"] = MaterialOf(onTile(0, 0).Tile),
                        }
                    ),
                }
            );
            nodes.Add(new JsonObject { ["name"] = named(sheet), ["mesh"] = meshes.Count - 1 });
        }
        return File(
            new JsonObject
            {
                ["asset"] = new JsonObject { ["version"] = "2.0", ["generator"] = "Wrapper" },
                ["scene"] = 0,
                ["scenes"] = new JsonArray(
                    new JsonObject
                    {
                        ["nodes"] = new JsonArray([
                            .. Enumerable.Range(0, nodes.Count).Select(at => JsonValue.Create(at)),
                        ]),
                    }
                ),
                ["nodes"] = nodes,
                ["meshes"] = meshes,
                ["materials"] = materials,
                ["images"] = images,
                ["textures"] = textures,
                ["samplers"] = new JsonArray(new JsonObject { ["wrapS"] = Repeat, ["wrapT"] = Repeat }),
                ["accessors"] = accessors,
                ["bufferViews"] = views,
                ["buffers"] = new JsonArray(new JsonObject { ["byteLength"] = data.Length }),
            },
            data.ToArray()
        );

        int MaterialOf(ClothTile tile)
        {
            if (looks.TryGetValue(tile, out var known))
                return known;
            var start = (int)data.Length;
            using (var bitmap = drawing.Draw(tile))
            using (var png = bitmap.Encode(SKEncodedImageFormat.Png, 100))
                png.SaveTo(data);
            views.Add(
                new JsonObject
                {
                    ["buffer"] = 0,
                    ["byteOffset"] = start,
                    ["byteLength"] = data.Length - start,
                }
            );
            // What follows begins at a whole word.
            while (data.Length % 4 != 0)
                data.WriteByte(0);
            images.Add(new JsonObject { ["bufferView"] = views.Count - 1, ["mimeType"] = "image/png" });
            textures.Add(new JsonObject { ["source"] = images.Count - 1, ["sampler"] = 0 });
            materials.Add(
                new JsonObject
                {
                    ["doubleSided"] = true,
                    ["pbrMetallicRoughness"] = new JsonObject
                    {
                        ["baseColorTexture"] = new JsonObject { ["index"] = textures.Count - 1 },
                        ["metallicFactor"] = 0,
                        ["roughnessFactor"] = 0.9,
                    },
                }
            );
            return looks[tile] = materials.Count - 1;
        }

        int Accessor(float[] numbers, int each)
        {
            var start = (int)data.Length;
            foreach (var number in numbers)
                Write(BitConverter.SingleToUInt32Bits(number));
            views.Add(View(start, Vertices));
            accessors.Add(Told(Floats, numbers.Length / each, $"VEC{each}"));
            return accessors.Count - 1;
        }

        JsonObject View(int start, int target) =>
            new()
            {
                ["buffer"] = 0,
                ["byteOffset"] = start,
                ["byteLength"] = data.Length - start,
                ["target"] = target,
            };

        JsonObject Told(int type, int count, string shape) =>
            new()
            {
                ["bufferView"] = views.Count - 1,
                ["componentType"] = type,
                ["count"] = count,
                ["type"] = shape,
            };

        void Write(uint word)
        {
            Span<byte> bytes = stackalloc byte[4];
            BinaryPrimitives.WriteUInt32LittleEndian(bytes, word);
            data.Write(bytes);
        }
    }

    private static JsonArray Least(float[] places, Func<float, float, float> of) =>
        new([
            .. Enumerable
                .Range(0, 3)
                .Select(axis =>
                    JsonValue.Create(
                        Enumerable.Range(0, places.Length / 3).Select(at => places[(3 * at) + axis]).Aggregate(of)
                    )
                ),
        ]);

    private static byte[] File(JsonObject told, byte[] data)
    {
        var text = Padded(System.Text.Encoding.UTF8.GetBytes(told.ToJsonString()), (byte)' ');
        var numbers = Padded(data, 0);
        using var file = new MemoryStream();
        using var words = new BinaryWriter(file);
        words.Write(Magic);
        words.Write(2u);
        words.Write((uint)(12 + 8 + text.Length + 8 + numbers.Length));
        words.Write((uint)text.Length);
        words.Write(Json);
        words.Write(text);
        words.Write((uint)numbers.Length);
        words.Write(Binary);
        words.Write(numbers);
        return file.ToArray();
    }

    private static byte[] Padded(byte[] bytes, byte with) =>
        [.. bytes, .. Enumerable.Repeat(with, (4 - (bytes.Length % 4)) % 4)];
}
