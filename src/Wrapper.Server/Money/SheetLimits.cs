using Wrapper.Core.Jobs;
using Wrapper.Core.Workroom.Pricing;

namespace Wrapper.Server.Money;

/// <summary>What a price sheet may hold.</summary>
internal static class SheetLimits
{
    private const int MostExtras = 40,
        LongestText = 400,
        LongestWord = 64;

    public static IEnumerable<Problem> Check(PriceSheet sheet)
    {
        if (sheet.Extras.Count > MostExtras || sheet.Bought.Count > MostExtras)
            yield return new("extras", $"{sheet.Extras.Count}", 0, $"at most {MostExtras} lines of your own", "");
        if (sheet.Options.Count > Offer.MostOptions)
            yield return new(
                "options",
                $"{sheet.Options.Count}",
                0,
                $"at most {Offer.MostOptions} options are offered at once",
                ""
            );
        foreach (var extra in sheet.Extras.Concat(sheet.Bought).Where(extra => extra.Text.Length > LongestText))
            yield return new(
                $"extras.{extra.Id}.text",
                extra.Text[..40],
                LongestText,
                $"longer than {LongestText} characters",
                "Delivery and fitting"
            );
        var words = sheet
            .Extras.Concat(sheet.Bought)
            .SelectMany(extra => new[] { extra.Id, extra.Amount })
            .Concat(sheet.Options.SelectMany(option => new[] { option.Id, option.Item, option.Choice, option.Answer }))
            .Append(sheet.Deposit);
        foreach (var word in words.Where(word => word.Length > LongestWord))
            yield return new("sheet", word[..40], LongestWord, $"longer than {LongestWord} characters", "45.00");
    }
}
