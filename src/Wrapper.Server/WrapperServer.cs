using System.Reflection;
using System.Text.Json.Serialization;
using Serilog;
using Wrapper.Core.Covers;
using Wrapper.Core.Lay;
using Wrapper.Server.Api;
using Wrapper.Server.Demo;
using Wrapper.Store;

namespace Wrapper.Server;

/// <summary>Puts the server together. Options: <c>--port</c> (default 5199), <c>--data FOLDER</c>, <c>--web FOLDER</c>, <c>--demo</c>.</summary>
public static class WrapperServer
{
    /// <summary>The application, ready to run; <paramref name="more"/> make-ups are known beside the standard ones.</summary>
    /// <exception cref="DatabaseRefusedException">The database in the data folder is damaged or newer.</exception>
    public static WebApplication Build(string[] args, params IEnumerable<MakeUp> more)
    {
        var options = ServerOptions.Read(args);
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions { Args = [], ContentRootPath = AppContext.BaseDirectory, WebRootPath = options.Web });
        builder.WebHost.UseUrls($"http://127.0.0.1:{options.Port}");
        builder.WebHost.ConfigureKestrel(kestrel => kestrel.Limits.MaxRequestBodySize = 4 * 1024 * 1024);
        builder.Services.AddSerilog(log => log.MinimumLevel.Warning().WriteTo.Console(formatProvider: System.Globalization.CultureInfo.InvariantCulture));
        builder.Configuration["AllowedHosts"] = "localhost;127.0.0.1;[::1]";
        builder.Services.ConfigureHttpJsonOptions(json =>
        {
            json.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            json.SerializerOptions.RespectNullableAnnotations = true;
            json.SerializerOptions.RespectRequiredConstructorParameters = true;
        });
        builder.Services.AddProblemDetails();
        builder.Services.AddOpenApi("v1", openApi => openApi.AddSchemaTransformer<RequiredMembers>());
        // Laying blocks its request while it works on other threads of the pool: with one thread a core, a few requests at once would wait for threads that they hold themselves.
        ThreadPool.SetMinThreads(32, 32);
        builder.Services.AddSingleton(Drafting.Standard(more));
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(services => new LayCache(IsDescribing() ? null : new LayShelf(services.GetRequiredService<FoundLays>())));
        builder.Services.AddSingleton<RunningSearch>();
        AddStore(builder, options);

        var app = builder.Build();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseMiddleware<Guard>();
        app.MapOpenApi();
        var api = app.MapGroup("/api");
        api.MapGet("/health", () => Results.Ok(new Health("ok"))).Produces<Health>().WithName("health");
        MakeUpEndpoints.Map(api);
        api.MapPost("/backups", (Database database, TimeProvider clock) => new Backup(Path.GetFileName(database.BackUp(clock.GetUtcNow()))))
            .Produces<Backup>().WithName("backUp").WithSummary("Copies everything, as of now, into the folder backups beside the database.");
        PlanEndpoints.Map(api);
        SearchEndpoints.Map(api);
        ClothEndpoints.Map(api);
        PinEndpoints.Map(api);
        JobEndpoints.Map(api);
        PhotoEndpoints.Map(api);
        api.MapFallback(() => Problems.NotFound("there is nothing at this address"));
        FrontEnd.Map(app);
        return app;
    }

    // The API description is written at build by running this program: no database then.
    private static bool IsDescribing() => Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    private static void AddStore(WebApplicationBuilder builder, ServerOptions options)
    {
        if (IsDescribing())
        {
            builder.Services.AddSingleton<JobStore>(_ => throw new InvalidOperationException("no database while the API is described"));
            builder.Services.AddSingleton<PhotoStore>(_ => throw new InvalidOperationException("no database while the API is described"));
            builder.Services.AddSingleton<Database>(_ => throw new InvalidOperationException("no database while the API is described"));
            return;
        }
        var database = Database.Open(options.Data);
        builder.Services.AddSingleton(database);
        var store = new JobStore(database, TimeProvider.System);
        if (options.Demo) DemoJobs.Seed(store);
        builder.Services.AddSingleton(store);
        builder.Services.AddSingleton(new PhotoStore(database, TimeProvider.System));
        builder.Services.AddSingleton(new FoundLays(database, TimeProvider.System));
    }

    private sealed record Health(string Status);

    private sealed record Backup(string File);
}
