namespace Wrapper.Core.Words;

/// <summary>
/// A thing of the trade that is called otherwise elsewhere (craft, words by region): its key, which is this program's
/// own word, and every word for it with its forms, this program's first. Forms stand in the same order for each word.
/// </summary>
public sealed record Term(string Key, IReadOnlyList<IReadOnlyList<string>> Forms)
{
    /// <summary>The words to choose from.</summary>
    public IReadOnlyList<string> Words => [.. Forms.Select(forms => forms[0])];

    /// <summary>Every term.</summary>
    public static IReadOnlyList<Term> All { get; } =
    [
        Of(
            "cord",
            ["cord", "cords", "corded", "cording"],
            ["piping", "piping", "piped", "piping"],
            ["welt", "welts", "welted", "welting"]
        ),
        Of("boxing", ["boxing", "boxings"], ["border", "borders"], ["gusset", "gussets"]),
        Of(
            "seam allowance",
            ["seam allowance", "seam allowances", "allowance", "allowances"],
            ["turning", "turnings", "turning", "turnings"]
        ),
        Of("zip", ["zip", "zips", "zipped"], ["zipper", "zippers", "zippered"]),
        Of("hook-and-loop", ["hook-and-loop"], ["touch tape"]),
        Of("selvedge", ["selvedge", "selvedges"], ["selvage", "selvages"]),
        Of("slipcover", ["slipcover", "slipcovers"], ["loose cover", "loose covers"]),
        Of("duvet", ["duvet", "duvets"], ["comforter", "comforters"]),
        Of("cot", ["cot", "cots"], ["crib", "cribs"]),
    ];

    private static Term Of(string key, params string[][] forms) => new(key, forms);
}

/// <summary>The words that are usual in a region: of each term that is called otherwise there, its word.</summary>
public sealed record Region(string Key, string Name, IReadOnlyDictionary<string, string> Words)
{
    /// <summary>Every region, this program's own words first.</summary>
    public static IReadOnlyList<Region> All { get; } =
    [
        new("own", "As they come", new Dictionary<string, string>()),
        new(
            "british",
            "British",
            new Dictionary<string, string>
            {
                ["cord"] = "piping",
                ["boxing"] = "border",
                ["seam allowance"] = "turning",
                ["hook-and-loop"] = "touch tape",
                ["slipcover"] = "loose cover",
            }
        ),
        new(
            "american",
            "American",
            new Dictionary<string, string>
            {
                ["cord"] = "welt",
                ["zip"] = "zipper",
                ["selvedge"] = "selvage",
                ["duvet"] = "comforter",
                ["cot"] = "crib",
            }
        ),
    ];
}
