using System.Net.NetworkInformation;
using System.Net.Sockets;
using System.Security.Cryptography;
using System.Text;
using System.Text.Encodings.Web;
using Microsoft.AspNetCore.Http.Features;
using Wrapper.Server.Stock;
using Wrapper.Store;

namespace Wrapper.Server.Devices;

/// <summary>Where phones of the local network find the tape: a port, and a key that is another at every start.</summary>
internal sealed class PhoneAddress(int? port)
{
    /// <summary>The port; null where phones are not served.</summary>
    public int? Port => port;

    /// <summary>What only those know who saw the address.</summary>
    public string Key { get; } = Convert.ToHexStringLower(RandomNumberGenerator.GetBytes(8));

    /// <summary>The addresses to open on a phone, one for each network that this machine is in.</summary>
    public IReadOnlyList<string> All() =>
        port is null
            ? []
            :
            [
                .. NetworkInterface
                    .GetAllNetworkInterfaces()
                    .Where(net => net.OperationalStatus == OperationalStatus.Up)
                    .SelectMany(net => net.GetIPProperties().UnicastAddresses)
                    .Select(each => each.Address)
                    .Where(at => at.AddressFamily == AddressFamily.InterNetwork && at.GetAddressBytes()[0] != 127)
                    .Select(at => $"http://{at}:{port}/{Key}"),
            ];
}

/// <summary>
/// A phone of the local network as the tape: a page with one field, at an address nobody guesses. Whatever comes in at
/// that port is answered here and goes no further; all that it can do is to say a reading.
/// </summary>
internal sealed class PhoneTape(RequestDelegate next, PhoneAddress address, Tape tape, WorkroomStore workroom)
{
    private const int MostBytes = 4096;

    public async Task InvokeAsync(HttpContext context)
    {
        if (context.Connection.LocalPort != address.Port)
        {
            await next(context);
            return;
        }
        var (request, response) = (context.Request, context.Response);
        response.Headers.XContentTypeOptions = "nosniff";
        response.Headers.XFrameOptions = "DENY";
        response.Headers.CacheControl = "no-store";
        response.Headers["Referrer-Policy"] = "no-referrer";
        response.Headers.ContentSecurityPolicy =
            "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'; frame-ancestors 'none'; base-uri 'none'";
        if (!IsKey(request.Path.Value ?? ""))
        {
            response.StatusCode = StatusCodes.Status404NotFound;
            return;
        }
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } limit)
            limit.MaxRequestBodySize = MostBytes;
        var unit = StockEndpoints.UnitOf(workroom);
        var (typed, told, isWrong) = ("", "", false);
        if (HttpMethods.IsPost(request.Method))
        {
            try
            {
                typed = request.HasFormContentType
                    ? $"{(await request.ReadFormAsync(context.RequestAborted))["typed"]}"
                    : "";
            }
            catch (Exception broken) when (broken is BadHttpRequestException or InvalidDataException)
            {
                typed = "";
            }
            var (passed, problem) = TapeEndpoints.Pass(new(typed, unit), tape);
            isWrong = problem is not null;
            told = problem is { } wrong
                ? $"{wrong.Reason}{(wrong.Example.Length > 0 ? $". For example {wrong.Example}" : "")}"
                : $"{passed} is passed on.";
            if (!isWrong)
                typed = "";
            response.StatusCode = isWrong ? StatusCodes.Status422UnprocessableEntity : StatusCodes.Status200OK;
        }
        response.ContentType = "text/html; charset=utf-8";
        await response.WriteAsync(Page(typed, told, isWrong, Wrapper.Core.Lengths.LengthPrinter.Word(unit)));
    }

    private bool IsKey(string path) =>
        CryptographicOperations.FixedTimeEquals(
            Encoding.UTF8.GetBytes(path),
            Encoding.UTF8.GetBytes($"/{address.Key}")
        );

    private static string Page(string typed, string told, bool isWrong, string unit) =>
        $$"""
            <!doctype html>
            <html lang="en">
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <title>Tape</title>
            <style>
            body { font: 20px sans-serif; margin: 1.2em; color: #222; background: #fbfaf7 }
            input, button { font: inherit; font-size: 32px; width: 100%; box-sizing: border-box; padding: .4em; margin-top: .4em }
            button { min-height: 2.4em; background: #2f4a3f; color: #fff; border: 0; border-radius: 6px }
            </style>
            <form method="post">
            <label>Reading in {{Html(unit)}} <input name="typed" value="{{Html(
                typed
            )}}" maxlength="40" autofocus autocomplete="off"></label>
            <button>Send it to the bench</button>
            <p role="{{(isWrong ? "alert" : "status")}}">{{Html(told)}}</p>
            </form>
            </html>
            """;

    private static string Html(string text) => HtmlEncoder.Default.Encode(text);
}
