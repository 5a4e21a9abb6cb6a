namespace Wrapper.Store;

/// <summary>Held by the one server that works on a data folder; the system lets go of it when the server ends, however it ends.</summary>
public sealed class DataLock : IDisposable
{
    private readonly FileStream held;

    private DataLock(FileStream held) => this.held = held;

    /// <summary>Takes the folder; null when another server has it.</summary>
    public static DataLock? Take(string folder)
    {
        PrivateFiles.MakeFolder(folder);
        var path = Path.Combine(folder, "wrapper.lock");
        if (!File.Exists(path)) PrivateFiles.Make(path);
        try
        {
            return new DataLock(new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException taken) when (taken is not (FileNotFoundException or DirectoryNotFoundException))
        {
            return null;
        }
    }

    /// <inheritdoc/>
    public void Dispose() => held.Dispose();
}
