namespace Wrapper.Core.Workroom.Customers;

/// <summary>Somebody to speak to: how to reach them, and what they are there ("keys", "pays").</summary>
public sealed record Person(string Id, string Name, string Role, string Phone, string Email);

/// <summary>Where the covers go: its rooms, and what to know before going there ("cat", "parking behind").</summary>
public sealed record Place(string Id, string Name, string Address, IReadOnlyList<string> Rooms, string Notes);

/// <summary>A customer: a household, a house, a barge.</summary>
public sealed record Customer(string Name)
{
    /// <summary>Where papers are sent.</summary>
    public string Address { get; init; } = "";

    /// <summary>What to know of them ("latex allergy").</summary>
    public string Notes { get; init; } = "";

    /// <summary>Who is there.</summary>
    public IReadOnlyList<Person> People { get; init; } = [];

    /// <summary>Where their covers go.</summary>
    public IReadOnlyList<Place> Places { get; init; } = [];

    /// <summary>
    /// This customer and <paramref name="other"/> as one: the name stays, and nothing that was said of either is lost.
    /// </summary>
    public Customer With(Customer other) =>
        this with
        {
            Address = Both(Address, other.Address),
            Notes = Both(
                Notes,
                Name.Trim() == other.Name.Trim() ? other.Notes : Both($"also: {other.Name}", other.Notes)
            ),
            People =
            [
                .. People,
                .. other.People.Where(person => !People.Any(own => own with { Id = "" } == person with { Id = "" })),
            ],
            Places = [.. Places, .. other.Places.Where(place => Places.All(own => !IsSame(own, place)))],
        };

    /// <summary>
    /// By what two entries of one customer are known: the name whatever its capitals and spaces, telephone numbers by
    /// their last nine digits, addresses of letters.
    /// </summary>
    public IEnumerable<string> Marks()
    {
        if (Plain(Name) is { Length: > 0 } name)
            yield return $"name {name}";
        foreach (var person in People)
        {
            var digits = string.Concat(person.Phone.Where(char.IsAsciiDigit));
            if (digits.Length >= 6)
                yield return $"phone {(digits.Length > 9 ? digits[^9..] : digits)}";
            if (person.Email.Contains('@', StringComparison.Ordinal))
                yield return $"mail {person.Email.Trim().ToLowerInvariant()}";
        }
    }

    private static bool IsSame(Place one, Place other) =>
        Plain(one.Name) == Plain(other.Name)
        && Plain(one.Address) == Plain(other.Address)
        && one.Notes == other.Notes
        && one.Rooms.SequenceEqual(other.Rooms);

    private static string Plain(string text) => string.Concat(text.Where(char.IsLetterOrDigit)).ToLowerInvariant();

    private static string Both(string one, string other) =>
        other.Trim().Length == 0 || one.Contains(other.Trim(), StringComparison.OrdinalIgnoreCase) ? one
        : one.Trim().Length == 0 ? other
        : $"{one.TrimEnd()}\n{other.Trim()}";
}
