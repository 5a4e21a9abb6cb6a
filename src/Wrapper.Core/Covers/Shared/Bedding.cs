using Wrapper.Core.Declaring;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Shared;

/// <summary>What the covers of one family of beds share.</summary>
internal static class Bedding
{
    public const string Family = "Mattress, bed or cot";

    /// <summary>Who sleeps on it decides which cautions are shown.</summary>
    internal static readonly OptionChoice<BedUse> UsedFor = Choice.Of(
        "for",
        "It is for",
        "Use",
        Option.Of(BedUse.Bed, "A bed", "For grown-ups and older children."),
        Option.Of(
            BedUse.Cot,
            "A cot or pad for an infant",
            "Shows the cautions for infants; they stand on every print."
        )
    );

    /// <summary>The cautions for infants (craft §12), and a warning of its own where something could loop.</summary>
    public static IEnumerable<Remark> Cautions(bool infant, bool corded)
    {
        if (!infant)
            yield break;
        yield return new Remark(
            "For an infant: the cover must fit tightly, with no loose cloth and no soft filling, and nothing long enough to loop. Follow the sleep-safety rules of your country.",
            Caution: true
        )
        {
            OnMeasure = true,
            Always = true,
            StandsAt = Doing.Fitting,
        };
        if (corded)
            yield return new Remark(
                "Cord is chosen for an infant's cover: nothing that could come loose and loop may be where an infant sleeps. Leave it out.",
                Caution: true
            )
            {
                OnMeasure = true,
                Always = true,
            };
    }
}

/// <summary>The answers to: It is for.</summary>
internal enum BedUse
{
    Bed,
    Cot,
}
