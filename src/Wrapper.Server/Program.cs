using System.Net.Sockets;
using Wrapper.Server.Hosting;
using Wrapper.Store;

try
{
    var options = ServerOptions.Read(args);
    if (options.Restore is { } file)
    {
        foreach (var line in Restoring.Run(file, options.Data, TimeProvider.System.GetUtcNow()))
            Console.WriteLine(line);
        return 0;
    }
    await using var app = WrapperServer.Build(options);
    await app.RunAsync();
    return 0;
}
catch (Exception refused) when (refused is DatabaseRefusedException or ArgumentException)
{
    // What the person at the keyboard can mend is said in a line, without a stack of code.
    await Console.Error.WriteLineAsync(refused.Message);
    return 1;
}
catch (IOException taken)
    when (taken.InnerException is Microsoft.AspNetCore.Connections.AddressInUseException
        || taken.GetBaseException() is SocketException
    )
{
    await Console.Error.WriteLineAsync(
        $"The port is taken by another program: {taken.Message} Give another one with --port, or stop that program."
    );
    return 1;
}
