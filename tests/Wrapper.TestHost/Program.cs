using System.Diagnostics;
using Wrapper.Server.Hosting;
using Wrapper.TestHost;

// The real server with one more make-up, and a way to die after a commit but before the reply.
var app = WrapperServer.Build(args, new RunnerMat());
app.Use(
    async (context, next) =>
    {
        if (!context.Request.Headers.ContainsKey("X-Die-Before-Reply"))
        {
            await next();
            return;
        }
        // Nothing of the reply leaves: it is written to memory, and then the process is killed as by kill -9.
        context.Response.Body = new MemoryStream();
        await next();
        Process.GetCurrentProcess().Kill();
    }
);
await app.RunAsync();
