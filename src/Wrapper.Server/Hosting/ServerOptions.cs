using System.CommandLine;

namespace Wrapper.Server.Hosting;

/// <summary>
/// What the command line asks for. <paramref name="Restore"/> is the backup to bring back instead of serving; null to
/// serve. <paramref name="Phone"/> is the port at which phones of the local network can be the tape; null for none.
/// <paramref name="Longest"/> is how long one plan, lay or comparison may take before it is given up.
/// </summary>
internal sealed record ServerOptions(
    int Port,
    string Data,
    string Web,
    bool Demo,
    string? Restore,
    int? Phone,
    TimeSpan Longest
)
{
    /// <summary>Reads the command line.</summary>
    /// <exception cref="ArgumentException">An option is unknown, lacks its value or cannot be; the message says so in
    /// one line.</exception>
    public static ServerOptions Read(string[] args)
    {
        var usual = Path.Combine(
            Environment.GetFolderPath(
                Environment.SpecialFolder.LocalApplicationData,
                Environment.SpecialFolderOption.DoNotVerify
            ),
            "wrapper"
        );
        var port = new Option<int>("--port") { DefaultValueFactory = _ => 5199 };
        var data = new Option<string>("--data") { DefaultValueFactory = _ => usual, Recursive = true };
        var web = new Option<string>("--web")
        {
            DefaultValueFactory = _ => Path.Combine(AppContext.BaseDirectory, "wwwroot"),
            Recursive = true,
        };
        var demo = new Option<bool>("--demo");
        var phone = new Option<int?>("--phone");
        var longest = new Option<int>("--longest") { DefaultValueFactory = _ => 9 };
        var file = new Argument<string>("FILE");
        var restore = new Command("restore") { file };
        var root = new RootCommand { port, data, web, demo, phone, longest, restore };
        // Serving is what is done without a command.
        root.SetAction(_ => { });
        // The program that writes the API description has arguments of its own.
        var asked = root.Parse(WrapperServer.IsDescribing() ? [] : args);
        if (asked.Errors is [var error, ..])
            throw new ArgumentException($"{error.Message} ./wrapper help lists what can be given.");
        var at = asked.GetValue(port);
        if (at is < 0 or > 65535)
            throw new ArgumentException($"--port {at}: a port from 0 to 65535 is needed, for example 5199.");
        var phoneAt = asked.GetValue(phone);
        if (phoneAt is < 1 or > 65535 || phoneAt == at)
            throw new ArgumentException(
                $"--phone {phoneAt}: another port, from 1 to 65535, is needed, for example 5200."
            );
        var seconds = asked.GetValue(longest);
        if (seconds is < 1 or > 300)
            throw new ArgumentException($"--longest {seconds}: from 1 to 300 seconds are needed, for example 30.");
        var folder = Path.GetFullPath(asked.GetValue(data)!);
        // A slip in a path, or a disk that is not there, would begin an empty workroom that looks like a loss.
        if (folder != usual && Path.GetDirectoryName(folder) is { } parent && !Directory.Exists(parent))
            throw new ArgumentException(
                $"--data {folder}: there is no folder {parent}. Make it first, or see whether its disk is there."
            );
        return new ServerOptions(
            at,
            folder,
            Path.GetFullPath(asked.GetValue(web)!),
            asked.GetValue(demo),
            asked.CommandResult.Command == restore ? asked.GetValue(file) : null,
            phoneAt,
            TimeSpan.FromSeconds(seconds)
        );
    }
}
