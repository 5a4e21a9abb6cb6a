namespace Wrapper.Store;

/// <summary>
/// Held by the one server that works on a data folder; the system lets go of it when the server ends, however it ends.
/// </summary>
public sealed class DataLock : IDisposable
{
    private readonly FileStream held;

    private DataLock(FileStream held) => this.held = held;

    // EWOULDBLOCK and ERROR_SHARING_VIOLATION: somebody else has it.
    private const int WouldBlock = 11,
        SharingViolation = unchecked((int)0x80070020);

    /// <summary>Takes the folder, which is made if it is not there; null when another server has it.</summary>
    /// <exception cref="DatabaseRefusedException">The folder cannot be written.</exception>
    public static DataLock? Take(string folder)
    {
        var path = Path.Combine(folder, "wrapper.lock");
        try
        {
            PrivateFiles.MakeFolder(folder);
            if (!File.Exists(path))
                PrivateFiles.Make(path);
            return new DataLock(new FileStream(path, FileMode.Open, FileAccess.ReadWrite, FileShare.None));
        }
        catch (IOException taken) when (taken.HResult is WouldBlock or SharingViolation)
        {
            return null;
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException)
        {
            throw new DatabaseRefusedException(
                $"{folder} cannot be used for data: {fault.Message} Give another folder with --data, or mend its rights."
            );
        }
    }

    /// <inheritdoc/>
    public void Dispose() => held.Dispose();
}
