using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wrapper.Server.Hosting;

/// <summary>
/// What is kept as JSON beside the job documents: word for word, whatever things are called in the workroom by now.
/// </summary>
internal static class KeptJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        NumberHandling = JsonNumberHandling.Strict,
    };

    /// <summary>As it is kept.</summary>
    public static string Write<T>(T of) => JsonSerializer.Serialize(of, Options);

    /// <summary>How one of several is called there, <c>part-roll</c>.</summary>
    public static string Name<T>(T of)
        where T : struct, Enum => JsonSerializer.SerializeToElement(of, Options).GetString() ?? "";

    /// <summary>What was kept; null where it cannot be read.</summary>
    public static T? Read<T>(string? kept)
        where T : class
    {
        try
        {
            return kept is null ? null
                : JsonSerializer.Deserialize<T>(kept, Options) is { } read && NullMembers.In(read) is null ? read
                : null;
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
