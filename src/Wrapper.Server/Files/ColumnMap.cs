using Wrapper.Core.Lengths;
using Wrapper.Formats.Tables;

namespace Wrapper.Server.Files;

/// <summary>A field that a table can fill: its key, what it is called, and by what other names its column is known.</summary>
internal sealed record ImportField(string Key, string Name, params string[] Also);

/// <summary>Which column fills which field: as it was said, else guessed by names.</summary>
internal sealed class ColumnMap
{
    private readonly Dictionary<string, int> columns = new(StringComparer.Ordinal);

    /// <summary>
    /// The map of <paramref name="table"/>; <paramref name="said"/> are pairs of field and column (<c>name:0</c>), one
    /// that says column -1 is filled by none.
    /// </summary>
    public ColumnMap(TableFile table, IReadOnlyList<ImportField> fields, string? said)
    {
        if (said is not null)
        {
            foreach (var pair in said.Split(',', StringSplitOptions.RemoveEmptyEntries))
                if (
                    pair.Split(':') is [var key, var column]
                    && fields.Any(field => field.Key == key)
                    && int.TryParse(column, out var at)
                    && at >= 0
                    && at < table.Head.Count
                )
                    columns[key] = at;
            return;
        }
        // The very name first, then a column that has it among its words; each column once.
        foreach (var exactly in new[] { true, false })
        foreach (var field in fields.Where(field => !columns.ContainsKey(field.Key)))
        {
            var names = field.Also.Append(field.Name).Select(Plain).ToList();
            for (var at = 0; at < table.Head.Count; at++)
            {
                var head = Plain(table.Head[at]);
                if (
                    !columns.ContainsValue(at)
                    && names.Any(name =>
                        exactly
                            ? head == name
                            : name.Length > 1 && $" {head} ".Contains($" {name} ", StringComparison.Ordinal)
                    )
                )
                {
                    columns[field.Key] = at;
                    break;
                }
            }
        }
    }

    /// <summary>The column of a field; null where none fills it.</summary>
    public int? Of(string field) => columns.TryGetValue(field, out var at) ? at : null;

    /// <summary>What a row has for a field; empty where no column fills it.</summary>
    public string In(IReadOnlyList<string> row, string field) => Of(field) is { } at ? row[at] : "";

    /// <summary>
    /// The unit that a table's sizes are in: as its heads say (<c>Length (cm)</c>), else that of the workroom.
    /// </summary>
    public static JobUnit UnitOf(TableFile table, JobUnit usual)
    {
        var words = table.Head.SelectMany(head => Plain(head).Split(' ')).ToHashSet();
        return words.Contains("cm") || words.Contains("mm") || words.Contains("metres") ? JobUnit.Centimetre
            : words.Contains("in") || words.Contains("inches") || words.Contains("yd") ? JobUnit.Inch
            : usual;
    }

    /// <summary>Whether decimals are parted by commas: some are, and none by a point.</summary>
    public static bool HasCommas(TableFile table)
    {
        bool Any(char sign) =>
            table.Rows.Any(row =>
                row.Any(cell =>
                    cell.IndexOf(sign, StringComparison.Ordinal) is > 0 and var at
                    && at + 1 < cell.Length
                    && char.IsAsciiDigit(cell[at - 1])
                    && char.IsAsciiDigit(cell[at + 1])
                )
            );
        return Any(',') && !Any('.');
    }

    private static string Plain(string name) =>
        string.Join(
            ' ',
            string.Concat(name.ToLowerInvariant().Select(letter => char.IsLetterOrDigit(letter) ? letter : ' '))
                .Split(' ', StringSplitOptions.RemoveEmptyEntries)
        );
}
