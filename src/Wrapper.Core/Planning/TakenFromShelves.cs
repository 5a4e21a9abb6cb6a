using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>What a job still buys of something that it takes from the shelves in part.</summary>
internal static class TakenFromShelves
{
    /// <summary>All of it as typed: a length off the roll, or how many.</summary>
    public static string Whole(AskedThing thing, JobUnit unit)
    {
        var all = thing.Numbers(unit);
        return ByLength(thing, all) is { } length ? LengthPrinter.ShopLength(length, unit) : $"{all.Pieces}";
    }

    /// <summary>What is left to buy; null where nothing is taken, or what is taken cannot be read.</summary>
    public static string? StillToBuy(AskedThing thing, JobDocument job)
    {
        var taken = job.FromShelves.Where(each => each.Thing == thing.Key).ToList();
        var all = thing.Numbers(job.Unit);
        if (taken.Count == 0)
            return null;
        if (ByLength(thing, all) is { } length)
        {
            var lengths = taken
                .Select(each => Entry.Read(each.Amount, job.Unit, LengthLimits.Cloth).Length)
                .OfType<Length>()
                .ToList();
            if (lengths.Count == 0)
                return null;
            var left = length - lengths.Aggregate(Length.Zero, (sum, each) => sum + each);
            return left.IsPositive ? LengthPrinter.ShopLength(Sold.OffTheRoll(left, job.Unit), job.Unit) : "nothing";
        }
        var counts = taken.Select(each => each.Count).OfType<int>().ToList();
        return counts.Count == 0 ? null
            : all.Pieces - counts.Sum(each => (long)each) is > 0 and var still ? $"{still} of {all.Pieces}"
            : "nothing";
    }

    // What is wound on reels is taken by the reel, though it is asked for by its length.
    private static Length? ByLength(AskedThing thing, SoldAmount all) => thing.Stretch ? all.Length : null;
}
