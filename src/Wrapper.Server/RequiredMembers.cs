using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Wrapper.Server;

/// <summary>Answers always carry all their members, so the description says that each is there; what may be null says so itself.</summary>
internal sealed class RequiredMembers : IOpenApiSchemaTransformer
{
    public Task TransformAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellationToken)
    {
        if (schema.Properties is { Count: > 0 } properties && context.JsonTypeInfo.Type.Namespace?.StartsWith("Wrapper", StringComparison.Ordinal) == true)
            schema.Required = properties.Keys.ToHashSet();
        return Task.CompletedTask;
    }
}
