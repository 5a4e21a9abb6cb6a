using System.Security.Cryptography;

namespace Wrapper.Server.Hosting;

/// <summary>
/// Serves the built front end. Every page carries a fresh nonce: the component library adds its styles at run time, and
/// nothing
/// else may. Files whose name is a hash of their content are kept by the browser for good.
/// </summary>
internal static class FrontEnd
{
    private const string Placeholder = "__NONCE__";

    public static void Map(WebApplication app)
    {
        var index = Path.Combine(app.Environment.WebRootPath ?? "", "index.html");
        if (!File.Exists(index))
            return;
        var page = File.ReadAllText(index);
        app.UseWhen(
            context => !context.Request.Path.StartsWithSegments("/index.html"),
            files =>
                files.UseStaticFiles(
                    new StaticFileOptions
                    {
                        OnPrepareResponse = file =>
                        {
                            if (file.Context.Request.Path.StartsWithSegments("/assets"))
                                file.Context.Response.Headers.CacheControl = "public, max-age=31536000, immutable";
                        },
                    }
                )
        );
        app.MapGet("/index.html", Page);
        app.MapFallback(Page);

        Task Page(HttpContext context)
        {
            var nonce = Convert.ToBase64String(RandomNumberGenerator.GetBytes(16));
            context.Response.ContentType = "text/html; charset=utf-8";
            context.Response.Headers.ContentSecurityPolicy =
                $"default-src 'none'; script-src 'self'; style-src 'self' 'nonce-{nonce}'; style-src-attr 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'";
            return context.Response.WriteAsync(page.Replace(Placeholder, nonce, StringComparison.Ordinal));
        }
    }
}
