using System.Text.Json.Serialization;

namespace Wrapper.Core.Lengths;

/// <summary>
/// Reads and writes an enum by the names of its members only; a number in place of a name is refused.
/// </summary>
public sealed class ByName<T>() : JsonStringEnumConverter<T>(namingPolicy: null, allowIntegerValues: false)
    where T : struct, Enum;
