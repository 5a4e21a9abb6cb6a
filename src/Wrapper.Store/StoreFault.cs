using Microsoft.Data.Sqlite;

namespace Wrapper.Store;

/// <summary>What a fault of the database means to the person at the keyboard, and what to do.</summary>
public static class StoreFault
{
    // https://www.sqlite.org/rescode.html
    private const int Permission = 3,
        Busy = 5,
        Locked = 6,
        ReadOnly = 8,
        InputOutput = 10,
        Corrupt = 11,
        Full = 13,
        CannotOpen = 14,
        NotADatabase = 26;

    /// <summary>Whether the file itself is damaged; nothing else is called so.</summary>
    public static bool IsDamage(SqliteException fault) => fault.SqliteErrorCode is Corrupt or NotADatabase;

    /// <summary>One line: what is the matter with the database at <paramref name="path"/>, and what to do.</summary>
    public static string Told(SqliteException fault, string path) =>
        fault.SqliteErrorCode switch
        {
            Corrupt or NotADatabase =>
                $"{path} is damaged. It was left as it is: bring back the newest backup with ./wrapper restore FILE, or start with another data folder.",
            Full => $"The disk that holds {path} is full: make room on it.",
            ReadOnly => $"{path} is read-only: give its owner the right to write, or start with another data folder.",
            Busy or Locked => $"{path} is locked by another program: close what has it open.",
            Permission or CannotOpen =>
                $"{path} cannot be opened: see that its folder is there and that you may write in it.",
            InputOutput => $"{path} cannot be read or written: the disk is full, gone or failing ({fault.Message}).",
            _ => $"{path} cannot be used: {fault.Message}",
        };
}
