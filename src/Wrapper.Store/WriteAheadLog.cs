using System.Buffers.Binary;

namespace Wrapper.Store;

/// <summary>
/// Looks at a write-ahead log before it is opened. SQLite reads it up to the first page whose checksum is wrong and
/// silently drops the rest; whether
/// commits are among that, nobody would hear. The format: https://www.sqlite.org/fileformat2.html#the_write_ahead_log
/// </summary>
internal static class WriteAheadLog
{
    private const int HeaderSize = 32,
        FrameHeader = 24;

    /// <summary>
    /// How many commits of the log at <paramref name="path"/> lie behind a page that cannot be read; none where there
    /// is no log.
    /// </summary>
    public static int DroppedCommits(string path)
    {
        if (!File.Exists(path))
            return 0;
        using var log = new FileStream(
            path,
            FileMode.Open,
            FileAccess.Read,
            FileShare.ReadWrite | FileShare.Delete,
            1 << 16
        );
        var header = new byte[HeaderSize];
        if (log.ReadAtLeast(header, HeaderSize, throwOnEndOfStream: false) < HeaderSize)
            return 0;
        var bigEndian = (header[3] & 1) != 0;
        var pageSize = (int)BinaryPrimitives.ReadUInt32BigEndian(header.AsSpan(8));
        if (BinaryPrimitives.ReadUInt32BigEndian(header) >> 1 != 0x377f0682 >> 1 || pageSize is < 512 or > 65536)
            return 0;
        var salts = header.AsSpan(16, 8).ToArray();
        var sum = Checksum(header.AsSpan(0, 24), (0, 0), bigEndian);
        var frame = new byte[FrameHeader + pageSize];
        var (sound, dropped) = (true, 0);
        while (log.ReadAtLeast(frame, frame.Length, throwOnEndOfStream: false) == frame.Length)
        {
            // Pages of an earlier round of the log carry other salts.
            if (!frame.AsSpan(8, 8).SequenceEqual(salts))
                break;
            if (sound)
            {
                sum = Checksum(frame.AsSpan(FrameHeader), Checksum(frame.AsSpan(0, 8), sum, bigEndian), bigEndian);
                sound =
                    sum
                    == (
                        BinaryPrimitives.ReadUInt32BigEndian(frame.AsSpan(16)),
                        BinaryPrimitives.ReadUInt32BigEndian(frame.AsSpan(20))
                    );
            }
            var isCommit = BinaryPrimitives.ReadUInt32BigEndian(frame.AsSpan(4)) != 0;
            if (!sound && isCommit)
                dropped++;
        }
        return dropped;
    }

    private static (uint, uint) Checksum(ReadOnlySpan<byte> bytes, (uint One, uint Two) sum, bool bigEndian)
    {
        for (var at = 0; at < bytes.Length; at += 8)
        {
            uint Word(ReadOnlySpan<byte> four) =>
                bigEndian ? BinaryPrimitives.ReadUInt32BigEndian(four) : BinaryPrimitives.ReadUInt32LittleEndian(four);
            sum.One += Word(bytes[at..]) + sum.Two;
            sum.Two += Word(bytes[(at + 4)..]) + sum.One;
        }
        return sum;
    }
}
