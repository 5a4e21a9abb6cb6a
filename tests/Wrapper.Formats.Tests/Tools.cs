using System.Diagnostics;
using System.Text.Json.Nodes;

namespace Wrapper.Formats.Tests;

/// <summary>Other people's programs that read what we write, and a folder for it.</summary>
internal sealed class Tools : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("wrapper-formats-").FullName;

    /// <summary>A file of this name in the folder.</summary>
    public string Path(string name) => System.IO.Path.Combine(folder, name);

    /// <summary>Writes a file into the folder; its path.</summary>
    public string Write(string name, string text)
    {
        File.WriteAllText(Path(name), text);
        return Path(name);
    }

    /// <summary>What a program wrote; it must end well.</summary>
    public static byte[] Run(string program, params string[] arguments)
    {
        using var process = Process.Start(
            new ProcessStartInfo(program, arguments) { RedirectStandardOutput = true, RedirectStandardError = true }
        )!;
        var told = process.StandardError.ReadToEndAsync();
        using var written = new MemoryStream();
        process.StandardOutput.BaseStream.CopyTo(written);
        process.WaitForExit();
        Assert.True(process.ExitCode == 0, $"{program} ended with {process.ExitCode}: {told.Result}");
        return written.ToArray();
    }

    /// <summary>The same as text.</summary>
    public static string Text(string program, params string[] arguments) =>
        System.Text.Encoding.UTF8.GetString(Run(program, arguments));

    /// <summary>What one of the scripts in <c>readers</c> found, as JSON.</summary>
    public static JsonNode Read(string script, params string[] arguments) =>
        JsonNode.Parse(
            Run("/usr/bin/python3", [System.IO.Path.Combine(AppContext.BaseDirectory, "readers", script), .. arguments])
        )!;

    public void Dispose() => Directory.Delete(folder, recursive: true);
}
