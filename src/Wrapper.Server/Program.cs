using Wrapper.Server;

var app = WrapperServer.Build(args);
await app.RunAsync();
