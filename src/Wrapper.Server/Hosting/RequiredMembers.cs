using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Answers always carry all their members, so the description says that each is there; what may be null says so itself.
/// </summary>
internal sealed class RequiredMembers : IOpenApiSchemaTransformer
{
    public Task TransformAsync(
        OpenApiSchema schema,
        OpenApiSchemaTransformerContext context,
        CancellationToken cancellationToken
    )
    {
        if (
            schema.Properties is { Count: > 0 } properties
            && context.JsonTypeInfo.Type.Namespace?.StartsWith("Wrapper", StringComparison.Ordinal) == true
        )
            schema.Required = context
                .JsonTypeInfo.Properties.Where(member => !IsLeftOut(member))
                .Select(member => member.Name)
                .Where(properties.ContainsKey)
                .ToHashSet();
        return Task.CompletedTask;
    }

    // What is not written while it is null.
    private static bool IsLeftOut(JsonPropertyInfo member) =>
        member.AttributeProvider?.IsDefined(typeof(JsonIgnoreAttribute), false) == true;
}
