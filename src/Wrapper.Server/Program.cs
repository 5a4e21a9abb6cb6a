using Microsoft.AspNetCore.Connections;
using Wrapper.Server;
using Wrapper.Store;

try
{
    var app = WrapperServer.Build(args);
    await app.RunAsync();
    return 0;
}
catch (Exception refused) when (refused is DatabaseRefusedException or ArgumentException || refused.InnerException is AddressInUseException)
{
    // What the person at the keyboard can mend is said in a line, without a stack of code.
    await Console.Error.WriteLineAsync(refused.Message);
    return 1;
}
