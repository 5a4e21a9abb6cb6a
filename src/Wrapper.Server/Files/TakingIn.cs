using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Workroom.Customers;
using Wrapper.Core.Workroom.Pricing;
using Wrapper.Core.Workroom.Stock;
using Wrapper.Core.Workroom.Week;
using Wrapper.Server.Customers;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;
using Wrapper.Server.Money;
using Wrapper.Server.Photos;
using Wrapper.Server.Stock;
using Wrapper.Server.Week;
using Wrapper.Store;

namespace Wrapper.Server.Files;

/// <summary>How a thing in a file stands to what is here.</summary>
[JsonConverter(typeof(ByName<Standing>))]
public enum Standing
{
    /// <summary>It is not here yet.</summary>
    [JsonStringEnumMemberName("new")]
    New,

    /// <summary>It is here, and the same.</summary>
    [JsonStringEnumMemberName("same")]
    Same,

    /// <summary>Something else is here under its id: somebody has to say which counts.</summary>
    [JsonStringEnumMemberName("other")]
    Other,

    /// <summary>It cannot be taken in beside what is here.</summary>
    [JsonStringEnumMemberName("refused")]
    Refused,
}

/// <summary>
/// Reckons with a thing that a file holds: whether it is here the same (null where it is not here), and what writes it,
/// told whether it takes the place of something.
/// </summary>
internal delegate void AddTaken(string kind, string id, string name, bool? isSame, Action<bool> put);

/// <summary>A thing in a file: what it is, under which id, what it is called, and how it stands.</summary>
public sealed record TakenIn(string Kind, string Id, string Name, Standing Standing);

/// <summary>
/// Takes a workroom's file in. Everything is looked at before anything is written; then each thing is written for itself,
/// so that what was cut short goes on when the same file is taken in again.
/// </summary>
internal sealed class TakingIn(
    JobStore jobs,
    JobList list,
    CustomerStore customers,
    StockStore stock,
    StockPhotoStore stockPhotos,
    SheetStore sheets,
    PhotoStore photos,
    PaperStore papers,
    Database database,
    Development development,
    OfficeIn office,
    IOptions<JsonOptions> options
)
{
    private const int MostPicture = 16 * 1024 * 1024,
        LongestId = 64;

    private readonly JsonSerializerOptions json = options.Value.SerializerOptions;

    /// <summary>
    /// Looks at everything in <paramref name="zip"/>, and writes it if <paramref name="write"/>: what is new, and of what
    /// is otherwise here that which <paramref name="replace"/> names as <c>kind:id</c>.
    /// </summary>
    /// <exception cref="FileRefusedException">Something in it cannot be read; nothing was written.</exception>
    public async Task<IReadOnlyList<TakenIn>> Take(
        ZipContents zip,
        bool write,
        IReadOnlySet<string> replace,
        CancellationToken cancel
    )
    {
        var manifest = zip.Json<Manifest>(WorkroomZip.ManifestPath);
        if (manifest.Format != WorkroomZip.Format)
            throw new FileRefusedException("it is no file of a workroom");
        if (manifest.Version > WorkroomZip.Version)
            throw new FileRefusedException(
                $"it was written by a newer program (version {manifest.Version}; this one reads up to {WorkroomZip.Version}): update this program first"
            );
        List<TakenIn> taken = [];
        void Add(string kind, string id, string name, bool? isSame, Action<bool> put)
        {
            cancel.ThrowIfCancellationRequested();
            if (id.Length is 0 or > LongestId)
                throw new FileRefusedException($"has no id of 1 to {LongestId} characters", $"{kind}/{id}");
            var standing =
                isSame is null ? Standing.New
                : isSame == true ? Standing.Same
                : Standing.Other;
            var isReplaced = standing == Standing.Other && replace.Contains($"{kind}:{id}");
            if (write && (standing == Standing.New || isReplaced))
            {
                put(isReplaced);
                standing = Standing.Same;
            }
            taken.Add(new(kind, id, name, standing));
        }

        foreach (var (path, id) in zip.In("customers", ".json"))
        {
            var customer = zip.Json<Customer>(path);
            Refuse(path, CustomerEndpoints.Wrong(id, customer));
            var here = customers.Find(id);
            Add(
                "customers",
                id,
                customer.Name,
                here is null ? null : here.Id == id && here.Content == KeptJson.Write(customer),
                _ => customers.Keep(id, here?.Revision ?? 0, CustomerEndpoints.Entry(customer))
            );
        }
        foreach (var (path, id) in zip.In("jobs", ".json"))
        {
            var (job, problems) = JobFile.Read(zip.Read(path, JobFile.MostBytes)!, json);
            if (job is null)
                throw new FileRefusedException(problems[0].Reason, path);
            var here = jobs.Find(id, deleted: true);
            Add(
                "jobs",
                id,
                job.Name,
                here is null ? null : !list.IsDeleted(id) && IsSame(here, job),
                _ => Put(id, job, here, manifest.Away.Contains(id))
            );
        }
        foreach (var (path, id) in zip.In("stock", ".json"))
        {
            var row = zip.Json<StockRow>(path);
            Refuse(path, StockEndpoints.TooLong(id, row));
            var here = stock.Find(id);
            Add(
                "stock",
                id,
                row.Name,
                here is null ? null : here.Content == KeptJson.Write(row),
                _ => StockEndpoints.Keep(stock, id, here?.Revision ?? 0, row)
            );
        }
        OfJobs<JobSchedule>(zip, "schedules", JobSheet.Schedule, one => Listed(WeekEndpoints.Limits(one)), Add);
        OfJobs<PriceSheet>(zip, "prices-of-jobs", JobSheet.Price, SheetLimits.Check, Add);
        OfWorkroom<PriceBook>(zip, WorkroomZip.Sheets[0], one => Listed(PriceBookEndpoints.TooLong(one)), Add);
        OfWorkroom<Calendar>(zip, WorkroomZip.Sheets[1], one => Listed(CalendarEndpoints.Limits(one)), Add);
        office.Take(zip, Add);
        foreach (var (path, id) in zip.In("papers", ".json"))
            taken.Add(Paper(zip, path, id, write));
        foreach (var (path, id) in zip.In("stock", ".picture"))
            if (
                await Picture(zip, path, write && stock.Find(id) is not null && stockPhotos.Small(id) is null) is
                { } look
            )
                using (look)
                    stockPhotos.Keep(id, look.Type, look.Whole, look.Small);
        foreach (var (path, id) in zip.In("photos", ".json"))
        {
            cancel.ThrowIfCancellationRequested();
            var of = zip.Json<PhotoOfJob>(path);
            using var here = photos.Picture(id);
            var picture = await Picture(zip, $"{path[..^".json".Length]}.picture", write && here is null);
            if (picture is not null)
                using (picture)
                    photos.Add(of.Job, of.Photo with { Type = picture.Type }, picture.Whole, picture.Small);
            if (picture is not null)
                photos.Change(id, of.Photo.Caption, of.Photo.Away, of.Photo.Moment, of.Photo.Marks);
            taken.Add(new("photos", id, of.Photo.Caption, here is null && !write ? Standing.New : Standing.Same));
        }
        return taken;
    }

    private void Put(string id, JobDocument job, StoredJob? here, bool isAway)
    {
        var change = JobEndpoints.Change(Guid.NewGuid().ToString("N")[..16], job, "", options);
        if (here is null)
            jobs.Create(id, change);
        else
        {
            list.Put(id, Kept.Here);
            jobs.Save(id, here.Revision, change);
        }
        if (isAway)
            list.Put(id, Kept.Away);
    }

    private bool IsSame(StoredJob here, JobDocument job) =>
        JobFile.Write(JobView.Of(here, json).Document, json).AsSpan().SequenceEqual(JobFile.Write(job, json));

    private TakenIn Paper(ZipContents zip, string path, string id, bool write)
    {
        var (paper, events, items) = zip.Json<PaperOfWorkroom>(path);
        if (paper.Id != id)
            throw new FileRefusedException("is a paper of another id", path);
        var name = $"{paper.Kind} {paper.Number}";
        if (papers.Find(id) is { } here)
            return new("papers", id, name, here.Content == paper.Content ? Standing.Same : Standing.Refused);
        var drawings = new Dictionary<string, byte[]>();
        foreach (var item in items)
            drawings[item] =
                zip.Read($"{path[..^".json".Length]}/{WorkroomZip.Named(item)}.png", MostPicture)
                ?? throw new FileRefusedException($"lacks its drawing of {item}", path);
        // Numbers are never given twice: what does not follow on here stays where it was given out.
        if (paper.Number <= papers.Last(paper.Kind))
            return new("papers", id, name, Standing.Refused);
        return new(
            "papers",
            id,
            name,
            !write ? Standing.New
                : papers.TakeIn(paper, drawings, events) ? Standing.Same
                : Standing.Refused
        );
    }

    private void OfJobs<T>(
        ZipContents zip,
        string folder,
        JobSheet sheet,
        Func<T, IEnumerable<Problem>> limits,
        AddTaken add
    )
        where T : class
    {
        foreach (var (path, id) in zip.In(folder, ".json"))
        {
            var said = zip.Json<T>(path);
            Refuse(path, limits(said));
            var here = sheets.Read(sheet, id);
            add(
                folder,
                id,
                id,
                here is null ? null : here.Content == KeptJson.Write(said),
                _ => sheets.Keep(sheet, id, here?.Revision ?? 0, KeptJson.Write(said))
            );
        }
    }

    private void OfWorkroom<T>(
        ZipContents zip,
        (string Path, WorkroomSheet Sheet) of,
        Func<T, IEnumerable<Problem>> limits,
        AddTaken add
    )
        where T : class
    {
        if (!zip.Paths.Contains(of.Path))
            return;
        var said = zip.Json<T>(of.Path);
        Refuse(of.Path, limits(said));
        var here = sheets.Read(of.Sheet);
        var name = of.Path[..^".json".Length];
        add(
            "workroom",
            name,
            name.Replace('-', ' '),
            here is null ? null : here.Content == KeptJson.Write(said),
            _ => sheets.Keep(of.Sheet, here?.Revision ?? 0, KeptJson.Write(said))
        );
    }

    // A picture is what its first bytes say, and is developed as if it were sent.
    private async Task<TakenPicture?> Picture(ZipContents zip, string path, bool keep)
    {
        await using var sent = PhotoStore.Incoming(database.Folder);
        if (!zip.Copy(path, sent, MostPicture))
            throw new FileRefusedException("lacks its picture", path);
        sent.Position = 0;
        var (type, reason) = Pictures.TypeOf(sent);
        if (type is null)
            throw new FileRefusedException(reason!, path);
        if (!keep)
            return null;
        var whole = PhotoStore.Incoming(database.Folder);
        var (keptAs, small) = await development.Develop(type, sent, whole, CancellationToken.None);
        whole.Position = 0;
        return new(keptAs, whole, small);
    }

    private static IEnumerable<Problem> Listed(Problem? problem) => problem is null ? [] : [problem];

    private static void Refuse(string path, IEnumerable<Problem> problems)
    {
        if (problems.FirstOrDefault() is { } problem)
            throw new FileRefusedException($"{problem.Field}: {problem.Reason}", path);
    }

    private sealed record TakenPicture(string Type, FileStream Whole, byte[]? Small) : IDisposable
    {
        public void Dispose() => Whole.Dispose();
    }
}
