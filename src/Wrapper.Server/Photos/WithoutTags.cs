using System.Buffers.Binary;
using System.Text;

namespace Wrapper.Server.Photos;

/// <summary>
/// A picture as it was taken, without what a camera writes beside it: where, when, by which device, its small preview.
/// Parts are left out; nothing is encoded anew. What is broken off stays as it is, from there on.
/// </summary>
internal static class WithoutTags
{
    private static readonly HashSet<string> PngTags = ["eXIf", "tEXt", "iTXt", "zTXt", "tIME"];
    private static readonly HashSet<string> WebpTags = ["EXIF", "XMP "];

    /// <summary>Copies <paramref name="picture"/>, from its beginning, into <paramref name="into"/>.</summary>
    public static void Copy(string type, Stream picture, Stream into)
    {
        picture.Position = 0;
        switch (type)
        {
            case "image/jpeg":
                Jpeg(picture, into);
                break;
            case "image/png":
                Png(picture, into);
                break;
            case "image/webp":
                Webp(picture, into);
                break;
        }
        picture.CopyTo(into);
    }

    // Segments until the scan begins: of those for applications only the colour stays (APP0, APP2, APP14), and no comment.
    private static void Jpeg(Stream picture, Stream into)
    {
        Take(picture, into, 2);
        Span<byte> head = stackalloc byte[4];
        while (Peek(picture, head) && head[0] == 0xFF && head[1] is not (0xDA or 0xD9))
        {
            var length = BinaryPrimitives.ReadUInt16BigEndian(head[2..]);
            if (length < 2 || picture.Position + 2 + length > picture.Length)
                return;
            if (head[1] is (>= 0xE0 and <= 0xEF and not (0xE0 or 0xE2 or 0xEE)) or 0xFE)
                picture.Position += 2 + length;
            else
                Take(picture, into, 2 + length);
        }
    }

    private static void Png(Stream picture, Stream into)
    {
        Take(picture, into, 8);
        Span<byte> head = stackalloc byte[8];
        while (Peek(picture, head))
        {
            long whole = 12L + BinaryPrimitives.ReadUInt32BigEndian(head);
            if (picture.Position + whole > picture.Length)
                return;
            if (PngTags.Contains(Encoding.ASCII.GetString(head[4..])))
                picture.Position += whole;
            else
                Take(picture, into, whole);
        }
    }

    // The file says how long it is, and its first chunk which others there are: both are set right at the end.
    private static void Webp(Stream picture, Stream into)
    {
        Take(picture, into, 12);
        Span<byte> head = stackalloc byte[8];
        while (Peek(picture, head))
        {
            var size = BinaryPrimitives.ReadUInt32LittleEndian(head[4..]);
            long whole = 8L + size + (size % 2);
            if (picture.Position + whole > picture.Length)
                break;
            var name = Encoding.ASCII.GetString(head[..4]);
            if (WebpTags.Contains(name))
            {
                picture.Position += whole;
                continue;
            }
            var at = into.Position;
            Take(picture, into, whole);
            if (name != "VP8X")
                continue;
            var end = into.Position;
            into.Position = at + 8;
            var flags = into.ReadByte();
            into.Position = at + 8;
            into.WriteByte((byte)(flags & ~0b1100));
            into.Position = end;
        }
        picture.CopyTo(into);
        var length = into.Position;
        into.Position = 4;
        BinaryPrimitives.WriteUInt32LittleEndian(head, (uint)(length - 8));
        into.Write(head[..4]);
        into.Position = length;
    }

    private static bool Peek(Stream picture, Span<byte> head)
    {
        var at = picture.Position;
        var whole = picture.ReadAtLeast(head, head.Length, throwOnEndOfStream: false) == head.Length;
        picture.Position = at;
        return whole;
    }

    private static void Take(Stream picture, Stream into, long count)
    {
        var buffer = new byte[Math.Min(count, 1 << 16)];
        while (count > 0)
        {
            var read = picture.Read(buffer, 0, (int)Math.Min(count, buffer.Length));
            if (read == 0)
                return;
            into.Write(buffer, 0, read);
            count -= read;
        }
    }
}
