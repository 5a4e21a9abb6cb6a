using CsCheck;
using Wrapper.Core.Workroom.Customers;

namespace Wrapper.Core.Tests;

/// <summary>Two entries of one customer made one: nothing that was said of either is lost.</summary>
public class CustomerProperties
{
    private static readonly Gen<string> Words = Gen.OneOfConst(
        "",
        "Mill Lane",
        "cat",
        "latex allergy",
        "back door",
        "Ida Fenn",
        "01632 960 131",
        "ida@fenn.example"
    );

    private static readonly Gen<Customer> Customers =
        from name in Gen.OneOfConst("Mill Lane Reading Room", "mill-lane reading room", "Ferncliff")
        from address in Words
        from notes in Words
        from people in Gen.Select(Words, Words, Words).Array[0, 3]
        from places in Gen.Select(Words, Words, Words.Array[0, 2]).Array[0, 3]
        select new Customer(name)
        {
            Address = address,
            Notes = notes,
            People = [.. people.Select((each, n) => new Person($"p{n}", each.Item1, "", each.Item2, each.Item3))],
            Places = [.. places.Select((each, n) => new Place($"l{n}", each.Item1, "", each.Item3, each.Item2))],
        };

    [Fact]
    public void Whatever_was_said_of_either_is_said_of_both_as_one() =>
        Gen.Select(Customers, Customers)
            .Sample(
                (one, other) =>
                {
                    var both = one.With(other);
                    Assert.Equal(one.Name, both.Name);
                    foreach (var said in new[] { one, other })
                    {
                        Assert.Contains(said.Address.Trim(), both.Address, StringComparison.OrdinalIgnoreCase);
                        Assert.Contains(said.Notes.Trim(), both.Notes, StringComparison.OrdinalIgnoreCase);
                        Assert.All(
                            said.People,
                            person =>
                                Assert.Contains(both.People, each => each with { Id = "" } == person with { Id = "" })
                        );
                        Assert.All(
                            said.Places,
                            place =>
                                Assert.Contains(
                                    both.Places,
                                    each =>
                                        each.Name == place.Name
                                        && each.Notes == place.Notes
                                        && each.Rooms.SequenceEqual(place.Rooms)
                                )
                        );
                    }
                    // Of another name it is told; by it both are found.
                    if (one.Name != other.Name)
                        Assert.Contains(other.Name, both.Notes, StringComparison.Ordinal);
                    Assert.Subset(both.Marks().ToHashSet(), one.Marks().ToHashSet());
                    // With itself it stays as it is.
                    var twice = one.With(one);
                    Assert.Equal((one.Address, one.Notes), (twice.Address, twice.Notes));
                    Assert.Equal(one.People, twice.People);
                    Assert.Equal(one.Places.Count, twice.Places.Count);
                }
            );

    [Theory]
    [InlineData("Mill Lane Reading Room", "mill-lane  READING room", true)]
    [InlineData("Mill Lane", "Mill Lane Reading Room", false)]
    public void A_name_is_the_same_whatever_its_capitals_and_signs(string one, string other, bool same) =>
        Assert.Equal(same, new Customer(one).Marks().Intersect(new Customer(other).Marks()).Any());

    [Theory]
    [InlineData("01632 960 131", "+44 1632 960131", true)]
    [InlineData("01632 960 131", "(01632) 960-131", true)]
    [InlineData("960131", "01632 960 131", false)]
    [InlineData("12345", "12345", false)]
    public void A_telephone_is_the_same_with_and_without_its_country(string one, string other, bool same)
    {
        Customer With(string phone) => new(phone) { People = [new("p", "", "", phone, "")] };
        Assert.Equal(
            same,
            With(one)
                .Marks()
                .Intersect(With(other).Marks())
                .Any(mark => mark.StartsWith("phone", StringComparison.Ordinal))
        );
    }

    [Fact]
    public void A_mail_address_is_one_that_has_its_sign()
    {
        Customer With(string mail) => new("x") { People = [new("p", "", "", "", mail)] };
        Assert.Equal(["name x", "mail ida@fenn.example"], With(" Ida@Fenn.example ").Marks());
        Assert.Equal(["name x"], With("ida at fenn").Marks());
        Assert.Empty(new Customer(" - ").Marks());
    }
}
