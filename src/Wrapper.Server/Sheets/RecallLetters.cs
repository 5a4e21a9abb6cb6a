using Wrapper.Formats.Pages;
using Wrapper.Server.Stock;

namespace Wrapper.Server.Sheets;

/// <summary>Letters to those who have covers of a batch, a page each.</summary>
internal static class RecallLetters
{
    /// <summary>The letters about a batch; <paramref name="text"/> is what they all say.</summary>
    public static Sheet Of(RecallView found, string text, Office office) =>
        office.Sheet(
            $"About batch {found.Batch}",
            "",
            [
                .. found.Customers.SelectMany(
                    (customer, at) =>
                        Letter(customer, found.Batch, text, office).Prepend(at == 0 ? new Gap(0) : new NewPage())
                ),
            ]
        );

    private static IEnumerable<Block> Letter(RecalledCustomer customer, string batch, string text, Office office)
    {
        var below = customer.Address.Replace($"{customer.Name}\n", "", StringComparison.Ordinal);
        yield return Text.Of(Run.Bold(customer.Name), below.Length > 0 ? $"\n{below}" : "");
        yield return new Gap(8);
        yield return Text.Of(
            $"About covers of {string.Join(", ", customer.Covers.Select(cover => cover.Cloth).Distinct())}, batch {batch}: {text}"
        );
        yield return new Gap(3);
        yield return new Points([
            .. customer.Covers.Select(cover =>
                Grid.Cell(
                    $"{cover.Quantity} × {cover.Name}{(cover.Place.Length > 0 ? $", {cover.Place}" : "")}{(cover.HandedOver.Length > 0 ? $", handed over on {cover.HandedOver}" : "")}"
                )
            ),
        ]);
        yield return new Gap(8);
        yield return Text.Of(office.Workroom);
    }
}
