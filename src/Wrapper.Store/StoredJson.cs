using System.Text.Json;

namespace Wrapper.Store;

/// <summary>Reading documents that may be none of ours: what is not there, or is something else, is nothing.</summary>
internal static class StoredJson
{
    /// <summary>The document as JSON; nothing where it is none.</summary>
    public static JsonElement Parse(string document)
    {
        try
        {
            return JsonSerializer.Deserialize<JsonElement>(document);
        }
        catch (JsonException)
        {
            return default;
        }
    }

    /// <summary>The objects of the list at the end of <paramref name="path"/>.</summary>
    public static IEnumerable<JsonElement> Rows(this JsonElement of, params ReadOnlySpan<string> path)
    {
        foreach (var name in path)
            if (of.ValueKind != JsonValueKind.Object || !of.TryGetProperty(name, out of))
                return [];
        return of.ValueKind == JsonValueKind.Array
            ? of.EnumerateArray().Where(row => row.ValueKind == JsonValueKind.Object)
            : [];
    }

    /// <summary>The object under a name; null where there is none.</summary>
    public static JsonElement? Object(this JsonElement of, string name) =>
        of.TryGetProperty(name, out var found) && found.ValueKind == JsonValueKind.Object ? found : null;

    /// <summary>The text under a name; empty where there is none.</summary>
    public static string Text(this JsonElement of, string name) =>
        of.ValueKind == JsonValueKind.Object
        && of.TryGetProperty(name, out var text)
        && text.ValueKind == JsonValueKind.String
            ? text.GetString() ?? ""
            : "";

    /// <summary>Whether it says <c>true</c> under a name.</summary>
    public static bool Is(this JsonElement of, string name) =>
        of.ValueKind == JsonValueKind.Object
        && of.TryGetProperty(name, out var said)
        && said.ValueKind == JsonValueKind.True;

    /// <summary>The whole number under a name; 0 where there is none.</summary>
    public static long Number(this JsonElement of, string name) =>
        of.TryGetProperty(name, out var number)
        && number.ValueKind == JsonValueKind.Number
        && number.TryGetInt64(out var read)
            ? read
            : 0;
}
