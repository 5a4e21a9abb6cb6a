using System.Globalization;
using Wrapper.Core.Jobs;
using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Core.Tests;

/// <summary>
/// Worked cases: sizes of pieces (<c>panel/cut width=35</c>), finished sizes (<c>hem perimeter=207</c>) and notions
/// (<c>*elastic=156.25</c>, <c>*ties*=4</c> for a count).
/// </summary>
internal static class Cases
{
    /// <summary>
    /// Drafts an item whose seams must match, and compares every size in <paramref name="expected"/>; changes that
    /// begin with cm are metric, and so are the figures.
    /// </summary>
    public static void Check(string makeUp, string changes, string expected)
    {
        var metric = changes.StartsWith("cm", StringComparison.Ordinal);
        var unit = metric ? JobUnit.Centimetre : JobUnit.Inch;
        var pattern = Draft(makeUp, metric ? changes[4..] : changes, unit).Pattern!;
        Assert.True(SeamCheck.Of(pattern, unit).Holds);
        foreach (var pair in expected.Split(';').Select(text => text.Split('=')))
        {
            var (name, figure) = (pair[0].Trim(), double.Parse(pair[1], CultureInfo.InvariantCulture));
            if (name[^1] == '*')
                Assert.Equal(figure, pattern.Notions.Single(notion => notion.Key == name[1..^1]).Count);
            else
                Assert.Equal(figure, Of(pattern, name).Value.Ticks / (metric ? 38_400.0 : 97_536.0), 1e-3);
        }
    }

    /// <summary>
    /// The draft of an item; <c>usable=56 1/2</c> among the changes is the usable width of its cloth.
    /// </summary>
    public static Draft Draft(string makeUp, string changes, JobUnit unit)
    {
        var parts = changes.Split('|').ToLookup(part => part.Trim().StartsWith("usable=", StringComparison.Ordinal));
        var usable = parts[true]
            .Select(part => LengthReader.Read(part.Split('=')[1], unit, LengthLimits.Cloth).Length!.Value)
            .Select(width => Working.Of("U", "usable width", width))
            .SingleOrDefault();
        var draft = Items.Drafting.Draft(
            Items.Read(makeUp, unit, string.Join('|', parts[false])),
            unit,
            usable is null ? null : _ => new(usable)
        );
        Assert.Empty(draft.Problems);
        return draft;
    }

    /// <summary>
    /// An item that cannot be made has one problem, with the field to look at, the reason and an example.
    /// </summary>
    public static void Refused(string makeUp, string changes, string field, string reason)
    {
        var problem = Assert.Single(Items.Draft(Items.Read(makeUp, JobUnit.Inch, changes)).Problems);
        Assert.Equal(field, problem.Field);
        Assert.Contains(reason, problem.Reason, StringComparison.Ordinal);
        Assert.NotEmpty(problem.Example);
        // Where several sizes together make no outline none of them alone can mend it.
        if (reason.Contains("crosses itself", StringComparison.Ordinal))
            return;
        // The example is one: entered, it leaves nothing of the problem.
        var (place, key) = (field.Split('.', 2)[0], field.Split('.', 2)[1]);
        Dictionary<string, Entry> With(IReadOnlyDictionary<string, Entry> entries, string here) =>
            place == here ? new(entries) { [key] = new Entry(problem.Example, JobUnit.Inch) } : new(entries);
        var item = Items.Read(makeUp, JobUnit.Inch, changes);
        item = item with
        {
            Measures = With(item.Measures, "measures"),
            Choices = With(item.Choices, "choices"),
            Allowances = With(item.Allowances, "allowances"),
        };
        Assert.DoesNotContain(Items.Draft(item).Problems, left => left.Field == field && left.Reason == problem.Reason);
    }

    private static Working Of(Pattern pattern, string name) =>
        name.Split('/') is [var piece, var size] ? pattern.Piece(piece).Sizes.Single(s => s.Name == size).Working
        : name[0] == '*' ? pattern.Notions.Single(notion => notion.Key == name[1..]).Length!
        : pattern.Finished.Single(f => f.Name == name).Working;
}
