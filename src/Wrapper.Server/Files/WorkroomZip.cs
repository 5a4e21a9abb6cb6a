using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Workrooms;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>What a whole workroom's file says of itself; <paramref name="Away"/> are jobs that are put away.</summary>
public sealed record Manifest(string Format, int Version, string MadeAt, IReadOnlyList<string> Away);

/// <summary>A photo beside its picture.</summary>
public sealed record PhotoOfJob(string Job, Photo Photo);

/// <summary>A paper beside its drawings.</summary>
public sealed record PaperOfWorkroom(
    WholePaper Paper,
    IReadOnlyList<PaperEvent> Events,
    IReadOnlyList<string> Drawings
);

/// <summary>
/// The whole workroom as one zip: a folder a kind, a file a thing under its id, JSON as it is kept, pictures as they are.
/// docs/formats/workroom.md says what is in it.
/// </summary>
internal static class WorkroomZip
{
    /// <summary>By this a file says that it is one.</summary>
    public const string Format = "wrapper workroom";

    /// <summary>The version that is written.</summary>
    public const int Version = 1;

    /// <summary>Where the workroom speaks of itself.</summary>
    public const string WorkroomPath = "workroom.json";

    /// <summary>Where the file speaks of itself.</summary>
    public const string ManifestPath = "manifest.json";

    /// <summary>Writes everything as of this moment.</summary>
    public static void Write(
        Stream into,
        Everything all,
        SheetStore sheets,
        WorkroomStore workroom,
        PhotoStore photos,
        StockPhotoStore stockPhotos,
        JsonSerializerOptions json,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        using var zip = new ZipArchive(into, ZipArchiveMode.Create, leaveOpen: true);
        List<string> away = [];
        foreach (var (id, document, isAway) in all.Jobs())
        {
            cancel.ThrowIfCancellationRequested();
            Put(zip, $"jobs/{Named(id)}.json", JobOf(id, document, json));
            if (isAway)
                away.Add(id);
        }
        foreach (var (folder, table) in Tables)
        foreach (var (id, content) in all.Contents(table))
        {
            cancel.ThrowIfCancellationRequested();
            var told = table == KeptTable.Templates ? TemplateOf(content, json) : Encoding.UTF8.GetBytes(content);
            Put(zip, $"{folder}/{Named(id)}.json", told);
            if (table == KeptTable.Stock && stockPhotos.Picture(id) is { } look)
                using (look)
                    Put(zip, $"{folder}/{Named(id)}.picture", look.Bytes);
        }
        foreach (var (job, photo) in all.Photos())
        {
            cancel.ThrowIfCancellationRequested();
            if (photos.Picture(photo.Id) is not { } picture)
                continue;
            using (picture)
            {
                Put(zip, $"photos/{Named(photo.Id)}.json", Json(new PhotoOfJob(job, photo)));
                Put(zip, $"photos/{Named(photo.Id)}.picture", picture.Bytes);
            }
        }
        foreach (var paper in all.Papers().ToList())
        {
            cancel.ThrowIfCancellationRequested();
            var drawings = all.DrawingsOf(paper.Id).ToList();
            Put(
                zip,
                $"papers/{Named(paper.Id)}.json",
                Json(
                    new PaperOfWorkroom(
                        paper,
                        [.. all.EventsOf(paper.Id)],
                        [.. drawings.Select(drawing => drawing.Item)]
                    )
                )
            );
            foreach (var (item, png) in drawings)
                Put(zip, $"papers/{Named(paper.Id)}/{Named(item)}.png", png);
        }
        foreach (var (letter, mail) in all.Letters())
        {
            cancel.ThrowIfCancellationRequested();
            Put(zip, $"letters/{Named(letter.Id)}.json", Json(letter));
            Put(zip, $"letters/{Named(letter.Id)}.eml", mail);
        }
        if (WorkroomEndpoints.Whole(workroom) is { } whole)
            Put(zip, WorkroomPath, Encoding.UTF8.GetBytes(whole));
        foreach (var (path, sheet) in Sheets)
            if (sheets.Read(sheet) is { } kept)
                Put(zip, path, Encoding.UTF8.GetBytes(kept.Content));
        Put(zip, ManifestPath, Json(new Manifest(Format, Version, now.ToString("O"), away)));
    }

    /// <summary>Folders of what is kept as JSON by an id, in the order in which it is taken in.</summary>
    public static readonly IReadOnlyList<(string Folder, KeptTable Table)> Tables =
    [
        ("customers", KeptTable.Customers),
        ("stock", KeptTable.Stock),
        ("schedules", KeptTable.Schedules),
        ("prices-of-jobs", KeptTable.PriceSheets),
        ("templates", KeptTable.Templates),
        ("orders", KeptTable.Orders),
    ];

    /// <summary>Files of what there is one of.</summary>
    public static readonly IReadOnlyList<(string Path, WorkroomSheet Sheet)> Sheets =
    [
        ("price-book.json", WorkroomSheet.PriceBook),
        ("calendar.json", WorkroomSheet.Calendar),
    ];

    /// <summary>An id as the name of a file.</summary>
    public static string Named(string id) => Uri.EscapeDataString(id);

    // A job file; what cannot be read goes along as it is kept, so that it is not lost either.
    private static byte[] JobOf(string id, string document, JsonSerializerOptions json)
    {
        try
        {
            return JobFile.Write(JobView.Of(new StoredJob(id, 0, document, false, false), json).Document, json);
        }
        catch (JobUnreadableException)
        {
            return Encoding.UTF8.GetBytes(document);
        }
    }

    private static byte[] TemplateOf(string content, JsonSerializerOptions json) =>
        KeptJson.Read<JobDocument>(content) is { } job ? JobFile.Write(job, json) : Encoding.UTF8.GetBytes(content);

    private static byte[] Json<T>(T of) => Encoding.UTF8.GetBytes(KeptJson.Write(of));

    private static void Put(ZipArchive zip, string path, byte[] bytes)
    {
        using var entry = zip.CreateEntry(path).Open();
        entry.Write(bytes);
    }

    // Pictures are packed as they are.
    private static void Put(ZipArchive zip, string path, Stream bytes)
    {
        using var entry = zip.CreateEntry(path, CompressionLevel.NoCompression).Open();
        bytes.CopyTo(entry);
    }
}
