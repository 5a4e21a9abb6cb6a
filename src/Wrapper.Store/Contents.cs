using System.IO.Compression;
using System.Text;

namespace Wrapper.Store;

/// <summary>
/// Packs documents: whole ones compressed, and one that differs little from another as what lies between their common
/// beginning and common end.
/// The first byte says which: 1 whole, 2 a difference, anything else text as it stands.
/// </summary>
internal static class Contents
{
    private const byte Whole = 1,
        Difference = 2;

    /// <summary>A document by itself.</summary>
    public static byte[] Pack(string document) => [Whole, .. Compressed(Encoding.UTF8.GetBytes(document))];

    /// <summary>A document as its difference from <paramref name="onto"/>.</summary>
    public static byte[] Pack(string document, string onto)
    {
        byte[] text = Encoding.UTF8.GetBytes(document),
            under = Encoding.UTF8.GetBytes(onto);
        var start = text.AsSpan().CommonPrefixLength(under);
        var end = 0;
        while (end < Math.Min(text.Length, under.Length) - start && text[^(end + 1)] == under[^(end + 1)])
            end++;
        using var packed = new MemoryStream();
        using (var writer = new BinaryWriter(packed))
        {
            writer.Write(Difference);
            writer.Write7BitEncodedInt(start);
            writer.Write7BitEncodedInt(end);
            writer.Write(Compressed(text.AsSpan(start, text.Length - end - start)));
        }
        return packed.ToArray();
    }

    /// <summary>
    /// The document of <paramref name="packed"/>; <paramref name="onto"/> is what it was packed onto.
    /// </summary>
    /// <exception cref="InvalidDataException">The bytes are not what was packed.</exception>
    public static string Unpack(byte[] packed, string? onto)
    {
        switch (packed)
        {
            case [Whole, .. var rest]:
                return Encoding.UTF8.GetString(Expanded(rest));
            case [Difference, ..]:
                using (var reader = new BinaryReader(new MemoryStream(packed)))
                {
                    reader.ReadByte();
                    var (start, end) = (reader.Read7BitEncodedInt(), reader.Read7BitEncodedInt());
                    var under = Encoding.UTF8.GetBytes(
                        onto ?? throw new InvalidDataException("what this differs from is gone")
                    );
                    if (start + end > under.Length)
                        throw new InvalidDataException("this differs from something else");
                    var middle = Expanded(reader.ReadBytes(packed.Length));
                    return Encoding.UTF8.GetString([
                        .. under.AsSpan(0, start),
                        .. middle,
                        .. under.AsSpan(under.Length - end),
                    ]);
                }
            default:
                return Encoding.UTF8.GetString(packed);
        }
    }

    private static byte[] Compressed(ReadOnlySpan<byte> bytes)
    {
        using var packed = new MemoryStream();
        using (var brotli = new BrotliStream(packed, new BrotliCompressionOptions { Quality = 6 }))
            brotli.Write(bytes);
        return packed.ToArray();
    }

    private static byte[] Expanded(byte[] bytes)
    {
        try
        {
            using var brotli = new BrotliStream(new MemoryStream(bytes), CompressionMode.Decompress);
            using var expanded = new MemoryStream();
            brotli.CopyTo(expanded);
            return expanded.ToArray();
        }
        catch (InvalidOperationException broken)
        {
            throw new InvalidDataException("these bytes were not packed here", broken);
        }
    }
}
