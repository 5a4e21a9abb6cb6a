using System.Text.Json;
using System.Text.Json.Serialization;

namespace Wrapper.Core.Declaring;

/// <summary>One answer to a choice, and what it is good for.</summary>
public record Option(string Key, string Name, string Suits)
{
    /// <summary>The member that stands for it in code; null for one that is declared by its key alone.</summary>
    [JsonIgnore]
    public virtual Enum? Member => null;

    /// <summary>
    /// The answer <paramref name="value"/> of a choice; its key in job files is the member's name in lower case with
    /// hyphens, unless the member says another.
    /// </summary>
    public static Option<T> Of<T>(T value, string name, string suits)
        where T : struct, Enum => new(value, name, suits);
}

/// <summary>One answer to a choice, by the member that stands for it in code.</summary>
public sealed record Option<T>(T Value, string Name, string Suits) : Option(OptionKeys<T>.Of(Value), Name, Suits)
    where T : struct, Enum
{
    /// <inheritdoc/>
    [JsonIgnore]
    public override Enum? Member => Value;
}

/// <summary>An answer to what can only be answered with yes or no.</summary>
public enum YesNo
{
    /// <summary>No.</summary>
    No,

    /// <summary>Yes.</summary>
    Yes,
}

/// <summary>
/// The keys in job files of the members of an enumeration: <c>stitch-off</c> for <c>StitchOff</c>, or what the member's
/// attribute says.
/// </summary>
internal static class OptionKeys<T>
    where T : struct, Enum
{
    private static readonly Dictionary<T, string> Keys = Enum.GetValues<T>().ToDictionary(value => value, KeyOf);
    private static readonly Dictionary<string, T> Values = Keys.ToDictionary(pair => pair.Value, pair => pair.Key);

    public static string Of(T value) => Keys[value];

    public static T Value(string key) => Values[key];

    private static string KeyOf(T value)
    {
        var member = typeof(T).GetField($"{value}")!;
        return
            member.GetCustomAttributes(typeof(JsonStringEnumMemberNameAttribute), false)
                is [JsonStringEnumMemberNameAttribute named]
            ? named.Name
            : JsonNamingPolicy.KebabCaseLower.ConvertName(member.Name);
    }
}
