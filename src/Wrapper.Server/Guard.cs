namespace Wrapper.Server;

/// <summary>
/// Keeps other sites out: a request that changes something must come from a page of this server, and pages may load nothing from
/// elsewhere. The host itself is checked by the framework's host filter.
/// </summary>
internal sealed class Guard(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers.XFrameOptions = "DENY";
        var origin = context.Request.Headers.Origin.ToString();
        if (origin.Length > 0 && origin != $"{context.Request.Scheme}://{context.Request.Host}")
            return Problems.Forbidden("this request comes from another site").ExecuteAsync(context);
        return next(context);
    }
}
