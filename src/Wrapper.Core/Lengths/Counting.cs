using System.Globalization;

namespace Wrapper.Core.Lengths;

/// <summary>Whole numbers of things, as typed.</summary>
public static class Counting
{
    /// <summary>The most of anything that is counted.</summary>
    public const int Most = 100_000;

    /// <summary>The number from 0 to <see cref="Most"/> that was typed; null where it is none.</summary>
    public static int? Read(string typed) =>
        int.TryParse(typed.Trim(), NumberStyles.None, CultureInfo.InvariantCulture, out var count) && count <= Most
            ? count
            : null;
}
