using System.Text.Json;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;
using Wrapper.Store;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Answers what went wrong in the words of the person who asked: a request that cannot be read, a store that cannot be
/// written, work that takes too long.
/// </summary>
internal sealed class Faults(IServiceProvider services) : IExceptionHandler
{
    private const int ClientWentAway = 499;

    public async ValueTask<bool> TryHandleAsync(HttpContext context, Exception fault, CancellationToken gone)
    {
        if (Told(fault, context) is not var (status, detail))
            return false;
        if (status is StatusCodes.Status503ServiceUnavailable)
            context.Response.Headers.RetryAfter = "2";
        context.Response.StatusCode = status;
        if (status != ClientWentAway)
            await TypedResults.Problem(detail, statusCode: status).ExecuteAsync(context);
        return true;
    }

    private (int Status, string Detail)? Told(Exception fault, HttpContext context) =>
        fault switch
        {
            BadHttpRequestException { InnerException: JsonException json } => (
                StatusCodes.Status400BadRequest,
                Unread(json)
            ),
            BadHttpRequestException bad => (bad.StatusCode, bad.Message),
            JobUnreadableException unreadable => (
                StatusCodes.Status422UnprocessableEntity,
                $"{unreadable.Message}. Bring back a backup of a day on which it could be opened: ./wrapper restore FILE."
            ),
            SqliteException { SqliteErrorCode: 13 } full => (StatusCodes.Status507InsufficientStorage, Told(full)),
            SqliteException store => (StatusCodes.Status503ServiceUnavailable, Told(store)),
            TooLongException tooLong => (StatusCodes.Status422UnprocessableEntity, tooLong.Message),
            OutOfMemoryException or AggregateException { InnerException: OutOfMemoryException } => (
                StatusCodes.Status422UnprocessableEntity,
                "this takes more memory than the server allows itself: lower the quantities, or make several jobs of it"
            ),
            OverflowException => (
                StatusCodes.Status422UnprocessableEntity,
                "the sizes of this job together are larger than can be reckoned: lower the quantities, or make several jobs of it"
            ),
            IOException noRoom when context.Request.Path.StartsWithSegments("/api/backups") => (
                StatusCodes.Status507InsufficientStorage,
                noRoom.Message
            ),
            TooManyException => (StatusCodes.Status503ServiceUnavailable, fault.Message),
            OperationCanceledException when context.RequestAborted.IsCancellationRequested => (ClientWentAway, ""),
            OperationCanceledException => (StatusCodes.Status503ServiceUnavailable, "the server is stopping"),
            _ => null,
        };

    private string Told(SqliteException fault) => StoreFault.Told(fault, services.GetRequiredService<Database>().Path);

    // "The JSON value could not be converted to X. Path: $.items[0].measures | LineNumber: …": the place is what helps.
    private static string Unread(JsonException json) =>
        json.Path is { Length: > 1 } path
            ? $"{path.TrimStart('$', '.')} cannot be read: see /openapi/v1.json for what belongs there"
            : "the body is no JSON of the kind that is needed: see /openapi/v1.json";
}
