using Microsoft.AspNetCore.Http.HttpResults;

namespace Wrapper.Server.Hosting;

/// <summary>Files that are given out, under names that a person would choose.</summary>
internal static class Downloads
{
    private const int LongestName = 120;
    private const string Forbidden = "\\/:*?\"<>|";

    /// <summary>A file called by <paramref name="parts"/>, as far as they say something, and its ending.</summary>
    public static FileContentHttpResult File(byte[] bytes, string type, string ending, params string[] parts) =>
        TypedResults.File(bytes, type, Name(ending, parts));

    /// <summary>The head of a file that is shown at once, and called so where it is kept.</summary>
    public static string Shown(string ending, params string[] parts)
    {
        var head = new Microsoft.Net.Http.Headers.ContentDispositionHeaderValue("inline");
        head.SetHttpFileName(Name(ending, parts));
        return head.ToString();
    }

    /// <summary>A name that every file system takes.</summary>
    public static string Name(string ending, params string[] parts)
    {
        var name = string.Concat(
                string.Join(" - ", parts.Select(part => part.Trim()).Where(part => part.Length > 0))
                    .Where(letter => !char.IsControl(letter) && !Forbidden.Contains(letter, StringComparison.Ordinal))
            )
            .Trim(' ', '.');
        if (name.Length > LongestName)
            name = name[..LongestName].TrimEnd();
        return $"{(name.Length == 0 ? "Wrapper" : name)}.{ending}";
    }
}
