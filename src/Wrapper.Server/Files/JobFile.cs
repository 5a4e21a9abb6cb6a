using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Wrapper.Core.Jobs;
using Wrapper.Server.Hosting;
using Wrapper.Server.Jobs;

namespace Wrapper.Server.Files;

/// <summary>A job as a file: its document as JSON, for other programs described by a JSON Schema.</summary>
internal static class JobFile
{
    /// <summary>Where the schema of the version that is written is published.</summary>
    public const string Schema = "job.schema.json";

    /// <summary>Nothing that is a job file is larger.</summary>
    public const int MostBytes = 4 * 1024 * 1024;

    // For people to read too. It is a file of its own, never part of a page: letters are letters.
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>The bytes of the file.</summary>
    public static byte[] Write(JobDocument job, JsonSerializerOptions json) =>
        Encoding.UTF8.GetBytes(JsonSerializer.SerializeToNode(job, json)!.ToJsonString(Indented));

    /// <summary>
    /// The job that a file holds, or why it holds none. Nothing of it is taken where anything in it cannot be.
    /// </summary>
    public static (JobDocument? Job, IReadOnlyList<Problem> Problems) Read(byte[] file, JsonSerializerOptions json)
    {
        if (Text(file) is not { } text)
            return Refuse("it is in an encoding that cannot be told: save it as UTF-8");
        try
        {
            // What version it is counts first: one that is newer may look otherwise altogether.
            var root = JsonNode.Parse(text);
            if (
                root is not JsonObject
                || root["version"] is not JsonValue said
                || !said.TryGetValue<int>(out var version)
            )
                return Refuse("it is no job: a job file says its version");
            if (version > JobDocument.Current)
                return Refuse(
                    $"it was written by a newer program (version {version}; this one reads up to {JobDocument.Current}): update this program first"
                );
            if (root.Deserialize<JobDocument>(json) is not { } job)
                return Refuse("it holds nothing");
            if (NullMembers.In(job) is { } place)
                return Refuse($"{place} is null");
            return JobLimits.Check(job).ToList() is { Count: > 0 } problems ? (null, problems) : (job.Identified(), []);
        }
        catch (Exception broken) when (broken is JsonException or NotSupportedException or InvalidOperationException)
        {
            return Refuse(Told(broken));
        }
    }

    /// <summary>What belongs into a job file, as a JSON Schema.</summary>
    public static string SchemaOf(JsonSerializerOptions json)
    {
        var schema = json.GetJsonSchemaAsNode(
            typeof(JobDocument),
            new JsonSchemaExporterOptions { TreatNullObliviousAsNonNullable = true }
        );
        var described = new JsonObject
        {
            ["$schema"] = "https://json-schema.org/draft/2020-12/schema",
            ["title"] = "A job file of Wrapper",
            ["description"] =
                $"Version {JobDocument.Current}. Lengths are entries: what was typed, the unit of that moment, and where the program wrote it the exact count of 1/3840 mm.",
        };
        foreach (var (name, value) in schema.AsObject())
            described[name] = value?.DeepClone();
        return described.ToJsonString(Indented);
    }

    private static (JobDocument?, IReadOnlyList<Problem>) Refuse(string reason) =>
        (null, [new Problem("file", "", 0, reason, "Window bench.json")]);

    private static string Told(Exception broken) =>
        broken is JsonException { Path: { Length: > 1 } path } ? $"{path.TrimStart('$', '.')} cannot be read"
        : broken is JsonException { LineNumber: { } line } ? $"it is no JSON, or was broken off (line {line + 1})"
        : "it is no job file";

    // UTF-8 with or without its mark, or UTF-16 with its mark.
    private static string? Text(byte[] file)
    {
        try
        {
            return file switch
            {
                [0xEF, 0xBB, 0xBF, ..] => new UTF8Encoding(false, true).GetString(file.AsSpan(3)),
                [0xFF, 0xFE, ..] => new UnicodeEncoding(false, false, true).GetString(file.AsSpan(2)),
                [0xFE, 0xFF, ..] => new UnicodeEncoding(true, false, true).GetString(file.AsSpan(2)),
                _ => new UTF8Encoding(false, true).GetString(file),
            };
        }
        catch (DecoderFallbackException)
        {
            return null;
        }
    }
}
