using System.IO.Compression;
using System.Text;
using Wrapper.Server.Hosting;

namespace Wrapper.Server.Files;

/// <summary>A file that cannot be taken in, and why.</summary>
internal sealed class FileRefusedException(string reason, string path = "") : Exception(reason)
{
    /// <summary>Which file within it; empty for the whole.</summary>
    public string Path { get; } = path;
}

/// <summary>
/// A zip that came from outside: its files are asked for by name and never written to the disk, and none is unpacked
/// beyond what it may hold, whatever it says of itself.
/// </summary>
internal sealed class ZipContents : IDisposable
{
    /// <summary>No zip of a workroom has more files.</summary>
    public const int MostFiles = 200_000;

    // All of them unpacked, counted as they are read.
    private const long MostBytes = 8L * 1024 * 1024 * 1024;

    private readonly ZipArchive zip;
    private readonly Dictionary<string, ZipArchiveEntry> files = new(StringComparer.Ordinal);
    private long read;

    /// <summary>Looks at the list of files in <paramref name="stream"/>.</summary>
    /// <exception cref="FileRefusedException">It is no zip, or holds more than any workroom.</exception>
    public ZipContents(Stream stream)
    {
        try
        {
            zip = new ZipArchive(stream, ZipArchiveMode.Read, leaveOpen: true);
            if (zip.Entries.Count > MostFiles)
                throw new FileRefusedException($"more than {MostFiles} files are in it");
            foreach (var entry in zip.Entries)
                if (!files.TryAdd(entry.FullName, entry))
                    throw new FileRefusedException("is in it twice", entry.FullName);
        }
        catch (Exception broken) when (IsBroken(broken))
        {
            throw new FileRefusedException("it is no zip file, or was broken off");
        }
    }

    /// <summary>Paths of all files.</summary>
    public IEnumerable<string> Paths => files.Keys;

    /// <summary>The ids of the files of a folder with this ending, in the order of the zip.</summary>
    public IEnumerable<(string Path, string Id)> In(string folder, string ending)
    {
        foreach (var path in files.Keys)
            if (
                path.StartsWith(folder + "/", StringComparison.Ordinal)
                && path.EndsWith(ending, StringComparison.Ordinal)
                && path[(folder.Length + 1)..^ending.Length] is { Length: > 0 } name
                && !name.Contains('/', StringComparison.Ordinal)
            )
                yield return (path, Uri.UnescapeDataString(name));
    }

    /// <summary>The bytes of a file; null where there is none.</summary>
    /// <exception cref="FileRefusedException">It is larger than <paramref name="most"/>, or broken.</exception>
    public byte[]? Read(string path, int most)
    {
        using var bytes = new MemoryStream();
        return Copy(path, bytes, most) ? bytes.ToArray() : null;
    }

    /// <summary>What a file of JSON holds.</summary>
    /// <exception cref="FileRefusedException">It is not there, too large, or cannot be read.</exception>
    public T Json<T>(string path)
        where T : class
    {
        var bytes =
            Read(path, JobFile.MostBytes)
            ?? throw new FileRefusedException("is missing: it is no file of a workroom", path);
        try
        {
            return KeptJson.Read<T>(new UTF8Encoding(false, true).GetString(bytes))
                ?? throw new FileRefusedException("cannot be read", path);
        }
        catch (Exception broken) when (broken is DecoderFallbackException or NotSupportedException)
        {
            throw new FileRefusedException("cannot be read", path);
        }
    }

    /// <summary>Copies a file; false where there is none.</summary>
    /// <exception cref="FileRefusedException">It is larger than <paramref name="most"/>, or broken.</exception>
    public bool Copy(string path, Stream into, int most)
    {
        if (!files.TryGetValue(path, out var entry))
            return false;
        try
        {
            using var packed = entry.Open();
            var part = new byte[1 << 16];
            long taken = 0;
            int count;
            while ((count = packed.Read(part)) > 0)
            {
                taken += count;
                read += count;
                if (taken > most)
                    throw new FileRefusedException($"is larger than {most / 1024 / 1024} MB unpacked", path);
                if (read > MostBytes)
                    throw new FileRefusedException("it unpacks to more than any workroom holds");
                into.Write(part.AsSpan(0, count));
            }
            return true;
        }
        catch (Exception broken) when (IsBroken(broken))
        {
            throw new FileRefusedException("is broken", path);
        }
    }

    /// <inheritdoc/>
    public void Dispose() => zip.Dispose();

    private static bool IsBroken(Exception fault) =>
        fault is InvalidDataException or EndOfStreamException or ArgumentException or NotSupportedException;
}
