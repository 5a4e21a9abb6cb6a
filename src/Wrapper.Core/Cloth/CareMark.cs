using System.Text.Json.Serialization;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Cloth;

/// <summary>What a care mark is about.</summary>
[JsonConverter(typeof(ByName<CareGroup>))]
public enum CareGroup
{
    /// <summary>Washing.</summary>
    [JsonStringEnumMemberName("washing")]
    Washing,

    /// <summary>Bleaching.</summary>
    [JsonStringEnumMemberName("bleaching")]
    Bleaching,

    /// <summary>Drying.</summary>
    [JsonStringEnumMemberName("drying")]
    Drying,

    /// <summary>Ironing.</summary>
    [JsonStringEnumMemberName("ironing")]
    Ironing,

    /// <summary>Cleaning by a cleaner.</summary>
    [JsonStringEnumMemberName("cleaning")]
    Cleaning,
}

/// <summary>
/// One mark of a care code: what it says, and our own drawing of it in a field 40 wide and 36 high, y down, with a text
/// inside where it has one. The meanings are those of the international standard for care labels; what the ticket of a
/// cloth says is the maker's to enter.
/// </summary>
public sealed record CareMark(string Key, CareGroup Group, string Words, string Drawing, string Inside)
{
    private const string Tub = "M3 11Q8 6 13 11T23 11T33 11L37 11 M3 9L7 32H33L37 9",
        Triangle = "M20 4L37 32H3Z",
        Square = "M5 4H35V32H5Z",
        Iron = "M5 29H36L31 10H15 M5 29C6 20 12 18 33 18",
        Circle = "M20 4A14 14 0 1 1 19.9 4Z",
        Never = " M4 4L36 33 M36 4L4 33",
        One = " M6 35.5H34";

    /// <summary>Every mark, of each group from what stands most to what stands least.</summary>
    public static IReadOnlyList<CareMark> All { get; } =
    [
        new("wash-95", CareGroup.Washing, "Wash at 95 °C at the most", Tub, "95"),
        new("wash-60", CareGroup.Washing, "Wash at 60 °C at the most", Tub, "60"),
        new("wash-40", CareGroup.Washing, "Wash at 40 °C at the most", Tub, "40"),
        new("wash-30", CareGroup.Washing, "Wash at 30 °C at the most", Tub, "30"),
        new("wash-30-gentle", CareGroup.Washing, "Wash gently at 30 °C at the most", Tub + One, "30"),
        new("wash-by-hand", CareGroup.Washing, "Wash by hand", Tub + " M12 6C16 12 18 14 24 20 M16 18L26 24", ""),
        new("wash-never", CareGroup.Washing, "Do not wash", Tub + Never, ""),
        new("bleach", CareGroup.Bleaching, "May be bleached", Triangle, ""),
        new(
            "bleach-oxygen",
            CareGroup.Bleaching,
            "Bleach without chlorine only",
            Triangle + " M14 32L25 13 M22 32L29 20",
            ""
        ),
        new("bleach-never", CareGroup.Bleaching, "Do not bleach", Triangle + Never, ""),
        new("tumble", CareGroup.Drying, "Tumble dry", Square + " M20 7A11 11 0 1 1 19.9 7Z", "••"),
        new("tumble-low", CareGroup.Drying, "Tumble dry at low heat", Square + " M20 7A11 11 0 1 1 19.9 7Z", "•"),
        new("dry-on-a-line", CareGroup.Drying, "Dry on a line", Square + " M5 4Q20 17 35 4", ""),
        new("dry-flat", CareGroup.Drying, "Dry flat", Square + " M11 18H29", ""),
        new("tumble-never", CareGroup.Drying, "Do not tumble dry", Square + " M20 7A11 11 0 1 1 19.9 7Z" + Never, ""),
        new("iron-hot", CareGroup.Ironing, "Iron hot, 200 °C at the most", Iron, "•••"),
        new("iron-warm", CareGroup.Ironing, "Iron warm, 150 °C at the most", Iron, "••"),
        new("iron-cool", CareGroup.Ironing, "Iron cool, 110 °C at the most, without steam", Iron, "•"),
        new("iron-never", CareGroup.Ironing, "Do not iron", Iron + Never, ""),
        new("dry-clean", CareGroup.Cleaning, "Dry clean", Circle, "P"),
        new("dry-clean-gentle", CareGroup.Cleaning, "Dry clean gently", Circle + One, "P"),
        new("wet-clean", CareGroup.Cleaning, "Have it wet cleaned", Circle, "W"),
        new("clean-never", CareGroup.Cleaning, "Do not dry clean", Circle + Never, ""),
    ];

    /// <summary>The mark of a key, or null.</summary>
    public static CareMark? Find(string key) => All.FirstOrDefault(mark => mark.Key == key);

    /// <summary>
    /// What a cover of several cloths stands: of each group the mark that stands least among those of
    /// <paramref name="cloths"/>.
    /// </summary>
    public static IReadOnlyList<CareMark> Mildest(IEnumerable<IReadOnlyList<string>> cloths) =>
        [
            .. cloths
                .SelectMany(marks => marks)
                .Select(Find)
                .OfType<CareMark>()
                .GroupBy(mark => mark.Group)
                .OrderBy(group => group.Key)
                .Select(group => All[group.Max(PlaceOf)]),
        ];

    private static int PlaceOf(CareMark mark) => All.TakeWhile(each => each != mark).Count();
}
