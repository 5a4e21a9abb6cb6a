namespace Wrapper.Server.Hosting;

/// <summary>
/// Keeps other sites out: a request must come from a page of this server or from no page at all, and what it answers is
/// loaded, framed and
/// kept by nobody else. The host itself is checked by the framework's host filter.
/// </summary>
internal sealed class Guard(RequestDelegate next)
{
    public Task InvokeAsync(HttpContext context)
    {
        var (request, headers) = (context.Request, context.Response.Headers);
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";
        headers.XFrameOptions = "DENY";
        headers["Cross-Origin-Resource-Policy"] = "same-origin";
        // The page's own policy takes the place of this one, and a file that never changes the place of the other.
        headers.ContentSecurityPolicy =
            "default-src 'none'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
        headers.CacheControl = "no-store";
        var origin = request.Headers.Origin.ToString();
        if (origin.Length > 0 && origin != $"{request.Scheme}://{request.Host}")
            return Refuse();
        // A link from elsewhere may lead to a page; nothing else may be asked from there.
        var isLink =
            HttpMethods.IsGet(request.Method)
            && request.Headers["Sec-Fetch-Mode"] == "navigate"
            && !request.Path.StartsWithSegments("/api");
        return request.Headers["Sec-Fetch-Site"] == "cross-site" && !isLink ? Refuse() : next(context);

        Task Refuse() => Problems.Forbidden("this request comes from another site").ExecuteAsync(context);
    }
}
