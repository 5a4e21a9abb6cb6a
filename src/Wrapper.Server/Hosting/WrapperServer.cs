using System.Net;
using System.Reflection;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.ResponseCompression;
using Serilog;
using Serilog.Events;
using Wrapper.Core.Declaring;
using Wrapper.Core.Lay;
using Wrapper.Core.Planning;
using Wrapper.Server.Cloths;
using Wrapper.Server.Customers;
using Wrapper.Server.Demo;
using Wrapper.Server.Devices;
using Wrapper.Server.Drawings;
using Wrapper.Server.Figures;
using Wrapper.Server.Files;
using Wrapper.Server.Jobs;
using Wrapper.Server.Lays;
using Wrapper.Server.MakeUps;
using Wrapper.Server.Making;
using Wrapper.Server.Money;
using Wrapper.Server.Photos;
using Wrapper.Server.Plans;
using Wrapper.Server.Records;
using Wrapper.Server.Sheets;
using Wrapper.Server.Stock;
using Wrapper.Server.Week;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Puts the server together. Options: <c>--port</c> (default 5199), <c>--data FOLDER</c>, <c>--web FOLDER</c>,
/// <c>--demo</c>, <c>--phone PORT</c>, <c>--longest SECONDS</c> (default 9).
/// </summary>
public static class WrapperServer
{
    /// <summary>
    /// The application, ready to run; <paramref name="more"/> make-ups are known beside the standard ones.
    /// </summary>
    /// <exception cref="DatabaseRefusedException">The database in the data folder is damaged or newer.</exception>
    /// <exception cref="ArgumentException">An option cannot be.</exception>
    public static WebApplication Build(string[] args, params IEnumerable<MakeUp> more) =>
        Build(ServerOptions.Read(args), more);

    internal static WebApplication Build(ServerOptions options, params IEnumerable<MakeUp> more)
    {
        // Nothing of the environment moves the address or opens another one: the command line alone says where it
        // listens.
        var builder = WebApplication.CreateEmptyBuilder(
            new WebApplicationOptions
            {
                Args = [],
                ContentRootPath = AppContext.BaseDirectory,
                WebRootPath = options.Web,
            }
        );
        builder
            .WebHost.UseKestrelCore()
            .ConfigureKestrel(kestrel =>
            {
                kestrel.AddServerHeader = false;
                kestrel.Limits.MaxRequestBodySize = 4 * 1024 * 1024;
                kestrel.Listen(IPAddress.Loopback, options.Port);
                // Beyond this machine nothing is served but what a phone needs to be the tape.
                if (options.Phone is { } phone)
                    kestrel.ListenAnyIP(phone);
            });
        builder.Services.AddSerilog(log =>
            log.MinimumLevel.Warning()
                .MinimumLevel.Override("Microsoft.Extensions.Hosting.Internal.Host", LogEventLevel.Fatal)
                .WriteTo.Console(formatProvider: System.Globalization.CultureInfo.InvariantCulture)
        );
        builder.Services.AddHostFiltering(hosts =>
            (hosts.AllowedHosts, hosts.AllowEmptyHosts) = (["localhost", "127.0.0.1", "[::1]"], false)
        );
        builder.Services.AddResponseCompression(compression =>
            compression.MimeTypes = [
                .. ResponseCompressionDefaults.MimeTypes,
                "application/problem+json",
                "image/svg+xml",
                "font/ttf",
            ]
        );
        builder.Services.Configure<HostOptions>(host => host.ShutdownTimeout = TimeSpan.FromSeconds(3));
        builder.Services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = true);
        var wording = new Wording();
        builder.Services.AddSingleton(wording);
        builder.Services.ConfigureHttpJsonOptions(json =>
        {
            json.SerializerOptions.TypeInfoResolver =
                new System.Text.Json.Serialization.Metadata.DefaultJsonTypeInfoResolver
                {
                    Modifiers = { wording.Tell },
                };
            json.SerializerOptions.NumberHandling = JsonNumberHandling.Strict;
            json.SerializerOptions.RespectNullableAnnotations = true;
            json.SerializerOptions.RespectRequiredConstructorParameters = true;
        });
        builder.Services.AddRouting();
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<Faults>();
        builder.Services.AddOutputCache(cache => cache.DefaultExpirationTimeSpan = TimeSpan.FromDays(365));
        builder.Services.AddOpenApi("v1", openApi => openApi.AddSchemaTransformer<RequiredMembers>());
        builder.Services.AddSingleton(Drafting.Standard(more));
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton<Learnt>();
        builder.Services.AddSingleton<Development>();
        builder.Services.AddSingleton(services => new LayCache(
            IsDescribing() ? null : new LayShelf(services.GetRequiredService<FoundLays>())
        ));
        builder.Services.AddSingleton<Drafts.FormCache>();
        builder.Services.AddSingleton<RunningSearch>();
        builder.Services.AddSingleton(options);
        builder.Services.AddSingleton<LayQueue>();
        builder.Services.AddSingleton<DraftQueue>();
        builder.Services.AddSingleton<PictureQueue>();
        builder.Services.AddSingleton<TileDrawing>();
        builder.Services.AddSingleton<ItemPictures>();
        builder.Services.AddSingleton<GivingOut>();
        builder.Services.AddSingleton<TakingIn>();
        builder.Services.AddSingleton<OfficeIn>();
        builder.Services.AddSingleton<TableImports>();
        builder.Services.AddSingleton<MeasureImports>();
        builder.Services.AddSingleton<Tape>();
        builder.Services.AddSingleton(new PhoneAddress(options.Phone));
        builder.Services.AddSingleton<Plotter>();
        builder.Services.AddSingleton<Printer>();
        builder.Services.AddSingleton<MailRoom>();
        builder.Services.AddSingleton<Merchant>();
        builder.Services.AddSingleton<Workloads>();
        builder.Services.AddSingleton<JobSheets>();
        builder.Services.AddSingleton<Recalls>();
        AddStore(builder, options, wording);

        var app = builder.Build();
        if (options.Phone is not null)
            app.UseMiddleware<PhoneTape>();
        app.UseMiddleware<Guard>();
        app.UseHostFiltering();
        app.UseResponseCompression();
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseRouting();
        app.UseOutputCache();
        // Built once: it costs more than any plan.
        app.MapOpenApi().CacheOutput();
        var api = app.MapGroup("/api").AddEndpointFilter(NullMembers.Refuse);
        api.MapGet(
                "/health",
                (IServiceProvider services) => new Health("ok", services.GetService<Upkeep>()?.Notes ?? [])
            )
            .WithName("health")
            .WithSummary("Whether it answers, and what should be known of the workroom's data.");
        WorkroomEndpoints.Map(api);
        MakeUpEndpoints.Map(api);
        api.MapPost(
                "/backups",
                (Backups backups, TimeProvider clock) => new Backup(Path.GetFileName(backups.Make(clock.GetUtcNow())))
            )
            .WithName("backUp")
            .WithSummary("Copies everything, as of now, into the folder backups beside the database.");
        PlanEndpoints.Map(api);
        BenchEndpoints.Map(api);
        WayEndpoints.Map(api);
        LearningEndpoints.Map(api);
        HandOverEndpoints.Map(api);
        SewnEndpoints.Map(api);
        SlideEndpoints.Map(api);
        PictureEndpoints.Map(api);
        SearchEndpoints.Map(api);
        ClothEndpoints.Map(api);
        PinEndpoints.Map(api);
        ShorteningEndpoints.Map(api);
        CustomerEndpoints.Map(api);
        PriceBookEndpoints.Map(api);
        OfferEndpoints.Map(api);
        PaperEndpoints.Map(api);
        CalendarEndpoints.Map(api);
        WeekEndpoints.Map(api);
        RevisionEndpoints.Map(api);
        TracingEndpoints.Map(api);
        StockEndpoints.Map(api);
        StockPhotoEndpoints.Map(api);
        JobFileEndpoints.Map(api);
        WorkroomFileEndpoints.Map(api);
        DrawingEndpoints.Map(api);
        PlotEndpoints.Map(api);
        TapeEndpoints.Map(api);
        PlotterEndpoints.Map(api);
        PrinterEndpoints.Map(api);
        MailEndpoints.Map(api);
        MerchantEndpoints.Map(api);
        TemplateEndpoints.Map(api);
        TableEndpoints.Map(api);
        ImportEndpoints.Map(api);
        FeedEndpoints.Map(api);
        RecallEndpoints.Map(api);
        SheetEndpoints.Map(api);
        FiguresEndpoints.Map(api);
        JobListEndpoints.Map(api);
        JobEndpoints.Map(api);
        PhotoEndpoints.Map(api);
        Costly.Map(api);
        api.MapFallback(() => Problems.NotFound("there is nothing at this address"));
        FrontEnd.Map(app);
        return app;
    }

    // The API description is written at build by running this program: no database then.
    internal static bool IsDescribing() => Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    private static void AddStore(WebApplicationBuilder builder, ServerOptions options, Wording wording)
    {
        if (IsDescribing())
        {
            foreach (
                var store in (Type[])
                    [
                        typeof(JobStore),
                        typeof(JobList),
                        typeof(PhotoStore),
                        typeof(RecordStore),
                        typeof(WayStore),
                        typeof(LearningStore),
                        typeof(WorkroomStore),
                        typeof(SheetStore),
                        typeof(PaperStore),
                        typeof(WeekStore),
                        typeof(RevisionStore),
                        typeof(TemplateStore),
                        typeof(StockStore),
                        typeof(StockPhotoStore),
                        typeof(FeedStore),
                        typeof(LetterStore),
                        typeof(OrderStore),
                        typeof(CustomerStore),
                        typeof(Database),
                        typeof(Backups),
                    ]
            )
                builder.Services.AddSingleton(
                    store,
                    _ => throw new InvalidOperationException("no database while the API is described")
                );
            return;
        }
        var alone =
            DataLock.Take(options.Data)
            ?? throw new DatabaseRefusedException(
                $"Another Wrapper works on {options.Data}: stop it, or give another folder with --data."
            );
        var database = Database.Open(options.Data);
        builder.Services.AddSingleton(alone);
        builder.Services.AddSingleton(database);
        var jobs = new JobStore(database, TimeProvider.System);
        var workroom = new WorkroomStore(database);
        var stock = new StockStore(database);
        var (customers, sheets) = (new CustomerStore(database, TimeProvider.System), new SheetStore(database));
        builder.Services.AddSingleton(workroom);
        if (options.Demo)
        {
            DemoWorkroom.Seed(customers, sheets);
            DemoJobs.Seed(jobs);
            DemoWorkroom.Seed(stock);
            DemoWorkroom.Seed(sheets, WeekEndpoints.Today(TimeProvider.System));
            WorkroomEndpoints.Seed(workroom);
        }
        wording.TakeUp(workroom.Read()?.Words);
        builder.Services.AddSingleton(jobs);
        builder.Services.AddSingleton(new JobList(database, TimeProvider.System));
        builder.Services.AddSingleton(new PhotoStore(database, TimeProvider.System));
        builder.Services.AddSingleton(new RecordStore(database));
        builder.Services.AddSingleton(new WayStore(database));
        builder.Services.AddSingleton(new LearningStore(database));
        builder.Services.AddSingleton(sheets);
        builder.Services.AddSingleton(new PaperStore(database, TimeProvider.System));
        builder.Services.AddSingleton(customers);
        builder.Services.AddSingleton(new WeekStore(database));
        builder.Services.AddSingleton(new RevisionStore(database, TimeProvider.System));
        builder.Services.AddSingleton(new TemplateStore(database, TimeProvider.System));
        builder.Services.AddSingleton(stock);
        builder.Services.AddSingleton(new StockPhotoStore(database));
        builder.Services.AddSingleton(new FeedStore(database));
        builder.Services.AddSingleton(new LetterStore(database));
        builder.Services.AddSingleton(new OrderStore(database));
        builder.Services.AddSingleton(new FoundLays(database, TimeProvider.System));
        builder.Services.AddSingleton(new Backups(database));
        builder.Services.AddSingleton<Upkeep>();
        builder.Services.AddHostedService(services => services.GetRequiredService<Upkeep>());
    }

    private sealed record Health(string Status, IReadOnlyList<string> Notes);

    private sealed record Backup(string File);
}
