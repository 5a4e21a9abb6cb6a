namespace Wrapper.Store;

/// <summary>
/// Files and folders that only their owner may read. Where the system knows no such rights nothing is done.
/// </summary>
internal static class PrivateFiles
{
    private const UnixFileMode File600 = UnixFileMode.UserRead | UnixFileMode.UserWrite,
        Folder700 = File600 | UnixFileMode.UserExecute;

    /// <summary>Makes a folder, 0700; one that is there keeps its rights, since it may hold other things too.</summary>
    public static void MakeFolder(string folder)
    {
        if (OperatingSystem.IsWindows())
            Directory.CreateDirectory(folder);
        else
            Directory.CreateDirectory(folder, Folder700);
    }

    /// <summary>Makes an empty file, 0600.</summary>
    public static void Make(string path)
    {
        var options = new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write };
        if (!OperatingSystem.IsWindows())
            options.UnixCreateMode = File600;
        using var made = new FileStream(path, options);
    }

    /// <summary>Closes these files to others, those that are there.</summary>
    public static void Close(params ReadOnlySpan<string> paths)
    {
        if (OperatingSystem.IsWindows())
            return;
        foreach (var path in paths)
            if (File.Exists(path) && File.GetUnixFileMode(path) != File600)
                File.SetUnixFileMode(path, File600);
    }
}
