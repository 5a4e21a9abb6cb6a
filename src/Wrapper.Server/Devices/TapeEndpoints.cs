using System.Security.Cryptography;
using Microsoft.AspNetCore.Http.HttpResults;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Server.Hosting;

namespace Wrapper.Server.Devices;

/// <summary>
/// A reading as a tape or a phone sends it; with <paramref name="Within"/> the stand-in makes one up, as a hand would
/// read it, so far off at the most.
/// </summary>
public sealed record SendReading(string Typed, JobUnit Unit, string Within = "");

/// <summary>The digital tape, and the protocol by which anything can be one.</summary>
internal static class TapeEndpoints
{
    private const string Off = "The tape is switched off: switch it on under Workshop devices.";

    public static void Map(RouteGroupBuilder api)
    {
        var tape = api.MapGroup("/devices/tape");
        tape.MapGet("/", (Tape device) => device.State).WithName("getTape").WithSummary("How the digital tape stands.");

        tape.MapGet("/phone", (PhoneAddress address) => address.All())
            .WithName("phoneAddresses")
            .WithSummary(
                "Addresses at which a phone of the local network can be the tape; none unless it was started with --phone."
            );

        tape.MapPut(
                "/",
                Results<Ok<TapeState>, ProblemHttpResult> (TapeState state, Tape device) =>
                {
                    if (state.Battery is < 0 or > 100)
                        return Problems.Fields([
                            new Problem("battery", $"{state.Battery}", 0, "from 0 to 100 per cent", "80"),
                        ]);
                    device.Set(state);
                    return TypedResults.Ok(device.State);
                }
            )
            .ProducesProblem(422)
            .WithName("setTape")
            .WithSummary("Switches the stand-in of the tape on or off, and says how it stands.");

        tape.MapPost(
                "/readings",
                Results<NoContent, ProblemHttpResult> (SendReading send, Tape device) =>
                {
                    if (!device.State.IsOn && Read(send).Problem is null)
                        return Problems.Meanwhile(Off);
                    return Pass(send, device).Problem is { } problem
                        ? Problems.Fields([problem])
                        : TypedResults.NoContent();
                }
            )
            .ProducesProblem(409)
            .ProducesProblem(422)
            .WithName("sendReading")
            .WithSummary("A reading of the tape, for the field that waits; whatever can send this is a tape.");

        tape.MapGet(
                "/events",
                Results<ServerSentEventsResult<TapeSays>, ProblemHttpResult> (Tape device, HttpContext context) =>
                    device.State.IsOn
                        ? TypedResults.ServerSentEvents(device.Listen(context.RequestAborted))
                        : Problems.Meanwhile("The tape is switched off.")
            )
            .Produces<string>(200, "text/event-stream")
            .ProducesProblem(409)
            .WithName("tapeEvents")
            .WithSummary("Readings as they come, as server-sent events of the type `tape`.");
    }

    /// <summary>Passes a reading on: as it is told on, or why it is not.</summary>
    public static (string? Passed, Problem? Problem) Pass(SendReading send, Tape device)
    {
        var (length, problem) = Read(send);
        if (length is not { } read)
            return (null, problem);
        var told = $"{LengthPrinter.Exact(read, send.Unit)} {LengthPrinter.Word(send.Unit)}";
        return device.Read(told) ? (told, null) : (null, new Problem("typed", "", 0, Off, ""));
    }

    private static (Length? Length, Problem? Problem) Read(SendReading send)
    {
        var (length, refusal) = LengthReader.Read(send.Typed, send.Unit, LengthLimits.Item);
        if (length is not { } about)
            return (null, new Problem("typed", refusal!.Given, refusal.Position, refusal.Reason, refusal.Example));
        if (send.Within.Trim().Length == 0)
            return (about, null);
        var (within, wrong) = LengthReader.Read(
            send.Within,
            send.Unit,
            new LengthLimits(Length.Zero, Length.Inches(2), "1/16", "0.2")
        );
        if (within is not { } most)
            return (null, new Problem("within", wrong!.Given, wrong.Position, wrong.Reason, wrong.Example));
        // To the mark of the tape, as it is read.
        var mark = LengthPrinter.Mark(send.Unit);
        var marks = (int)Math.Min(most.Ticks / mark.Ticks, 10_000);
        var off = RandomNumberGenerator.GetInt32(-marks, marks + 1) * mark;
        return (Length.Max(mark, about + off), null);
    }
}
