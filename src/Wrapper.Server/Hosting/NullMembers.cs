using System.Collections;
using System.Collections.Concurrent;
using System.Reflection;
using Wrapper.Core.Jobs;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Finds a null where none can be: in a member that is not declared so, in a list or in a map. The JSON reader refuses
/// null for what a constructor takes; of other
/// members, and of what lists and maps hold, it lets it pass. No list or map of the API holds null.
/// </summary>
internal static class NullMembers
{
    private static readonly ConcurrentDictionary<Type, (PropertyInfo Member, bool MayBeNull)[]> Known = new();

    /// <summary>Where the first null stands (<c>items[0].measures.W</c>); null where there is none.</summary>
    public static string? In(object value, string place = "")
    {
        switch (value)
        {
            case string or null:
                return null;
            case IDictionary map:
                foreach (DictionaryEntry entry in map)
                {
                    var here = $"{place}.{entry.Key}";
                    if (entry.Value is null)
                        return here.TrimStart('.');
                    if (In(entry.Value, here) is { } inside)
                        return inside;
                }
                return null;
            case IEnumerable list:
                var at = 0;
                foreach (var each in list)
                {
                    if (each is null)
                        return $"{place}[{at}]".TrimStart('.');
                    if (In(each, $"{place}[{at}]") is { } inside)
                        return inside;
                    at++;
                }
                return null;
            default:
                foreach (var (member, mayBeNull) in Known.GetOrAdd(value.GetType(), Members))
                {
                    var (here, held) = (
                        $"{place}.{char.ToLowerInvariant(member.Name[0])}{member.Name[1..]}",
                        member.GetValue(value)
                    );
                    if (held is null && !mayBeNull)
                        return here.TrimStart('.');
                    if (held is not null && In(held, here) is { } inside)
                        return inside.TrimStart('.');
                }
                return null;
        }
    }

    /// <summary>Refuses a request whose body holds such a null, with its place.</summary>
    public static async ValueTask<object?> Refuse(
        EndpointFilterInvocationContext context,
        EndpointFilterDelegate next
    ) =>
        context
            .Arguments.Where(argument => argument is not null && IsOurs(argument.GetType()))
            .Select(argument => In(argument!))
            .FirstOrDefault(place => place is not null)
            is { } found
            ? Problems.Fields([new Problem(found, "null", 0, "null cannot stand here: leave it out", "")])
            : await next(context);

    private static (PropertyInfo, bool)[] Members(Type type)
    {
        var nullability = new NullabilityInfoContext();
        return IsOurs(type)
            ?
            [
                .. type.GetProperties(BindingFlags.Public | BindingFlags.Instance)
                    .Where(member =>
                        member.GetIndexParameters().Length == 0 && !member.PropertyType.IsValueType && member.CanWrite
                    )
                    .Select(member => (member, nullability.Create(member).ReadState != NullabilityState.NotNull)),
            ]
            : [];
    }

    // What is sent and kept: documents, what the office keeps, and how it lies in the store.
    private static bool IsOurs(Type type) =>
        type.Namespace is { } name
        && new[] { "Wrapper.Core.Jobs", "Wrapper.Core.Workroom", "Wrapper.Server.", "Wrapper.Store" }.Any(ours =>
            name.StartsWith(ours, StringComparison.Ordinal)
        );
}
