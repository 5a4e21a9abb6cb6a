using System.Globalization;

namespace Wrapper.Server;

/// <summary>What the command line asks for.</summary>
internal sealed record ServerOptions(int Port, string Data, string Web, bool Demo)
{
    public static ServerOptions Read(string[] args)
    {
        string? After(string name) => Array.IndexOf(args, name) is var at and >= 0 && at + 1 < args.Length ? args[at + 1] : null;
        var port = After("--port") is { } given
            ? int.TryParse(given, NumberStyles.None, CultureInfo.InvariantCulture, out var number) && number is >= 0 and <= 65535 ? number : throw new ArgumentException($"--port {given}: a port from 0 to 65535 is needed, for example 5199")
            : 5199;
        return new ServerOptions(
            port,
            After("--data") ?? Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData), "wrapper"),
            Path.GetFullPath(After("--web") ?? Path.Combine(AppContext.BaseDirectory, "wwwroot")),
            args.Contains("--demo"));
    }
}
