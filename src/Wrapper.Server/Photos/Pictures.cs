using System.Buffers.Binary;
using System.Text;

namespace Wrapper.Server.Photos;

/// <summary>
/// Tells what kind of picture a file is by its first bytes, whatever it is called; it must say its size in pixels too.
/// </summary>
internal static class Pictures
{
    /// <summary>Its media type, or why it is no picture that a browser shows.</summary>
    public static (string? Type, string? Reason) TypeOf(Stream picture)
    {
        var start = new byte[32];
        var read = picture.ReadAtLeast(start, start.Length, throwOnEndOfStream: false);
        ReadOnlySpan<byte> head = start.AsSpan(0, read);
        if (head is [_, _, _, _, (byte)'f', (byte)'t', (byte)'y', (byte)'p', ..])
            return (
                null,
                "a HEIC or AVIF picture, which not every browser shows: set the phone's camera to JPEG (\"most compatible\"), or save the picture as JPEG"
            );
        var (type, isWhole) = head switch
        {
            [0xFF, 0xD8, 0xFF, ..] => ("image/jpeg", HasJpegSize(picture)),
            [0x89, (byte)'P', (byte)'N', (byte)'G', 0x0D, 0x0A, 0x1A, 0x0A, ..] => ("image/png", HasPngSize(head)),
            [(byte)'R', (byte)'I', (byte)'F', (byte)'F', _, _, _, _, (byte)'W', (byte)'E', (byte)'B', (byte)'P', ..] =>
                ("image/webp", HasWebpSize(head, picture.Length)),
            _ => ("", false),
        };
        return type.Length == 0 ? (null, "neither a JPEG, PNG nor WebP picture")
            : isWhole ? (type, null)
            : (null, "broken off: it begins like a picture and does not say how large it is");
    }

    private static bool HasPngSize(ReadOnlySpan<byte> head) =>
        head.Length >= 24
        && head[12..16].SequenceEqual("IHDR"u8)
        && BinaryPrimitives.ReadUInt32BigEndian(head[16..]) > 0
        && BinaryPrimitives.ReadUInt32BigEndian(head[20..]) > 0;

    private static bool HasWebpSize(ReadOnlySpan<byte> head, long length) =>
        head.Length >= 30
        && Encoding.ASCII.GetString(head[12..16]) is "VP8 " or "VP8L" or "VP8X"
        && BinaryPrimitives.ReadUInt32LittleEndian(head[4..]) + 8L <= length + 1;

    // Segments follow one another, each with its length, until the frame that says height and width.
    private static bool HasJpegSize(Stream picture)
    {
        picture.Position = 2;
        Span<byte> segment = stackalloc byte[9];
        while (picture.ReadAtLeast(segment[..4], 4, throwOnEndOfStream: false) == 4 && segment[0] == 0xFF)
        {
            var (kind, length) = (segment[1], BinaryPrimitives.ReadUInt16BigEndian(segment[2..]));
            var isFrame = kind is >= 0xC0 and <= 0xCF and not (0xC4 or 0xC8 or 0xCC);
            if (isFrame)
                return picture.ReadAtLeast(segment[..5], 5, throwOnEndOfStream: false) == 5
                    && BinaryPrimitives.ReadUInt16BigEndian(segment[1..]) > 0
                    && BinaryPrimitives.ReadUInt16BigEndian(segment[3..]) > 0;
            if (length < 2)
                return false;
            picture.Position += length - 2;
        }
        return false;
    }
}
