using System.Text.Json;
using Microsoft.Extensions.Options;
using Wrapper.Core.Workroom.Merchants;
using Wrapper.Formats.Letters;
using Wrapper.Server.Hosting;
using Wrapper.Server.Records;
using Wrapper.Server.Workrooms;
using Wrapper.Store;
using JsonOptions = Microsoft.AspNetCore.Http.Json.JsonOptions;

namespace Wrapper.Server.Files;

/// <summary>What a workroom says of itself: its name, unit and words, and what it states when it hands over.</summary>
public sealed record WholeWorkroom(TellWorkroom Told, WorkroomStates States);

/// <summary>Takes in what lies about the office: the workroom's own words, templates, orders and letters.</summary>
internal sealed class OfficeIn(
    WorkroomStore workroom,
    Wording wording,
    TemplateStore templates,
    OrderStore orders,
    LetterStore letters,
    IOptions<JsonOptions> options
)
{
    private const int MostMail = 32 * 1024 * 1024;

    private readonly JsonSerializerOptions json = options.Value.SerializerOptions;

    /// <summary>Looks at each, and leaves to <paramref name="add"/> whether it is written.</summary>
    /// <exception cref="FileRefusedException">One cannot be read.</exception>
    public void Take(ZipContents zip, AddTaken add)
    {
        if (zip.Paths.Contains(WorkroomZip.WorkroomPath))
            TakeWorkroom(zip.Json<WholeWorkroom>(WorkroomZip.WorkroomPath), add);
        var mine = templates.All();
        foreach (var (path, id) in zip.In("templates", ".json"))
        {
            var (job, problems) = JobFile.Read(zip.Read(path, JobFile.MostBytes)!, json);
            if (job is null)
                throw new FileRefusedException(problems[0].Reason, path);
            var here = mine.FirstOrDefault(each => each.Id == id);
            var said = KeptJson.Write(job);
            add(
                "templates",
                id,
                job.Name,
                here is null ? null : here.Content == said,
                _ =>
                {
                    if (!templates.Keep(new(id, job.Name, said)))
                        throw new FileRefusedException($"would be one template more than {TemplateStore.Most}", path);
                }
            );
        }
        foreach (var (path, id) in zip.In("orders", ".json"))
        {
            var order = zip.Json<ClothOrder>(path);
            if (order.Id != id)
                throw new FileRefusedException("is an order of another id", path);
            if (order.Length <= 0 || order.Width <= 0 || order.Came.Any(came => came.Length <= 0 || came.Width <= 0))
                throw new FileRefusedException("is an order of no cloth", path);
            var said = KeptJson.Write(order);
            var here = orders.Find(id);
            add(
                "orders",
                id,
                order.Name,
                here is null ? null : here == said,
                _ => orders.Keep(id, order.PlacedOn, said)
            );
        }
        var tray = letters.List().ToDictionary(letter => letter.Id);
        foreach (var (path, id) in zip.In("letters", ".json"))
        {
            var letter = zip.Json<KeptLetter>(path);
            if (letter.Id != id)
                throw new FileRefusedException("is a letter of another id", path);
            var mail =
                zip.Read($"{path[..^".json".Length]}.eml", MostMail)
                ?? throw new FileRefusedException("lacks its letter", path);
            if (!Letter.CanBeRead(mail))
                throw new FileRefusedException("is no letter that can be read", path);
            // A letter is never written over: what is here under its id is that letter.
            add("letters", id, letter.Subject, tray.ContainsKey(id) ? true : null, _ => letters.Put([(letter, mail)]));
        }
    }

    private void TakeWorkroom(WholeWorkroom said, AddTaken add)
    {
        if ((WorkroomEndpoints.Wrong(said.Told) ?? States.TooLong(said.States)) is { } problem)
            throw new FileRefusedException($"{problem.Field}: {problem.Reason}", WorkroomZip.WorkroomPath);
        add(
            "workroom",
            "itself",
            $"{said.Told.Name}: its name, words and statements",
            workroom.Read() is null ? null : WorkroomEndpoints.Whole(workroom) == KeptJson.Write(said),
            _ =>
            {
                WorkroomEndpoints.Tell(said.Told, workroom, wording);
                States.Keep(workroom, said.States);
            }
        );
    }
}
