using System.Diagnostics;

namespace Wrapper.Store.Tests;

/// <summary>
/// A small disk of its own in memory, to be filled or made read-only. Mounting takes the rights that installing the
/// browser takes too.
/// </summary>
public sealed class Disk : IDisposable
{
    public Disk(int kilobytes)
    {
        Run("mount", "-t", "tmpfs", "-o", $"size={kilobytes}k,mode=777", "tmpfs", Folder);
    }

    public string Folder { get; } = Directory.CreateTempSubdirectory("wrapper-disk-").FullName;

    public void MakeReadOnly() => Run("mount", "-o", "remount,ro", Folder);

    /// <summary>Fills it to the last page; the file that does it, to be deleted for room.</summary>
    public string Fill()
    {
        var path = Path.Combine(Folder, "fill");
        var page = new byte[4096];
        using var file = new FileStream(path, FileMode.Create, FileAccess.Write, FileShare.None, bufferSize: 0);
        try
        {
            while (true)
                file.Write(page);
        }
        catch (IOException)
        {
            return path;
        }
    }

    public void Dispose()
    {
        Run("umount", "-l", Folder);
        Directory.Delete(Folder);
    }

    private static void Run(string command, params string[] arguments)
    {
        var (name, all) =
            Environment.UserName == "root" ? (command, arguments) : ("sudo", ["-n", command, .. arguments]);
        using var process = Process.Start(new ProcessStartInfo(name, all) { RedirectStandardError = true })!;
        var said = process.StandardError.ReadToEnd();
        process.WaitForExit();
        if (process.ExitCode != 0)
            throw new InvalidOperationException($"{command} {string.Join(' ', arguments)}: {said}");
    }
}
