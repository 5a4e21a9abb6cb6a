namespace Wrapper.Core.Sewing;

/// <summary>Sets that are joined one by one.</summary>
internal sealed class Union(int count)
{
    private readonly int[] parent = [.. Enumerable.Range(0, count)];

    /// <summary>The set of a member, by one that stands for it.</summary>
    public int Of(int at)
    {
        while (parent[at] != at)
            at = parent[at] = parent[parent[at]];
        return at;
    }

    /// <summary>Makes the sets of two members one.</summary>
    public void Join(int one, int other) => parent[Of(other)] = Of(one);

    /// <summary>For each member the number of its set, and how many sets there are.</summary>
    public (IReadOnlyList<int> Of, int Count) Numbered()
    {
        var numbers = new Dictionary<int, int>();
        int[] of = [.. Enumerable.Range(0, parent.Length).Select(at => Number(Of(at)))];
        return (of, numbers.Count);

        int Number(int root) => numbers.TryGetValue(root, out var number) ? number : numbers[root] = numbers.Count;
    }
}
