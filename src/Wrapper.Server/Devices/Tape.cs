using System.Collections.Concurrent;
using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using System.Threading.Channels;

namespace Wrapper.Server.Devices;

/// <summary>What a digital tape says: a reading with its unit, or what is the matter with it; empty for none.</summary>
public sealed record TapeSays(string Reading, string Trouble, int Battery);

/// <summary>How the tape stands: whether it is on, its battery in per cent, and whether what it is held to is in reach.</summary>
public sealed record TapeState(bool IsOn, int Battery, bool IsInReach);

/// <summary>Where readings come from and go to: whatever tape there is, by this the pages know it.</summary>
internal interface ITape
{
    /// <summary>How it stands.</summary>
    TapeState State { get; }

    /// <summary>What it says from now on, until it is switched off or nobody listens any more.</summary>
    IAsyncEnumerable<SseItem<TapeSays>> Listen(CancellationToken cancel);
}

/// <summary>
/// The stand-in for a digital tape: readings are said to it, by its page, by a file or by a phone, and it passes them on
/// to whoever listens.
/// </summary>
internal sealed class Tape : ITape
{
    private const int Waiting = 64;

    private readonly ConcurrentDictionary<Channel<TapeSays>, bool> listeners = new();
    private TapeState state = new(IsOn: false, Battery: 100, IsInReach: true);

    /// <inheritdoc/>
    public TapeState State => state;

    /// <summary>Sets it as said; switched off it hangs up on everybody.</summary>
    public void Set(TapeState to)
    {
        state = to;
        if (to.IsOn)
            Say(new("", to.IsInReach ? "" : OutOfReach, to.Battery));
        else
            foreach (var listener in listeners.Keys)
                listener.Writer.TryComplete();
    }

    /// <summary>Passes a reading on; false while it is off.</summary>
    public bool Read(string reading)
    {
        var now = state;
        if (!now.IsOn)
            return false;
        Say(now.IsInReach ? new(reading, "", now.Battery) : new("", OutOfReach, now.Battery));
        return true;
    }

    /// <inheritdoc/>
    public async IAsyncEnumerable<SseItem<TapeSays>> Listen([EnumeratorCancellation] CancellationToken cancel)
    {
        // Whoever is too slow misses the oldest reading, not the latest.
        var channel = Channel.CreateBounded<TapeSays>(
            new BoundedChannelOptions(Waiting) { FullMode = BoundedChannelFullMode.DropOldest }
        );
        listeners[channel] = true;
        try
        {
            var now = state;
            yield return new(new("", now.IsInReach ? "" : OutOfReach, now.Battery), "tape");
            await foreach (var said in channel.Reader.ReadAllAsync(cancel))
                yield return new(said, "tape");
        }
        finally
        {
            listeners.TryRemove(channel, out _);
        }
    }

    private const string OutOfReach = "out of reach: hold it to the cloth again";

    private void Say(TapeSays said)
    {
        foreach (var listener in listeners.Keys)
            listener.Writer.TryWrite(said);
    }
}
