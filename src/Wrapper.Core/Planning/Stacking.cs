using Wrapper.Core.Lengths;

namespace Wrapper.Core.Planning;

/// <summary>How what is cut is put aside: one stack a cover, its small pieces in a bundle pinned to it.</summary>
public static class Stacking
{
    // What fits within a square of a foot is lost in a stack.
    private static readonly Length Small = Length.Inches(12);

    /// <summary>The stack and the bundle of each cover of <paramref name="turn"/>, by the labels of its pieces.</summary>
    public static IReadOnlyList<string> Stacks(this BenchTurn turn)
    {
        var item = turn.Step.Item;
        var pieces = item.Draft.Pattern!.Pieces.ToLookup(piece =>
        {
            var (left, bottom, right, top) = piece.Cut.Bounds();
            return right - left < Small && top - bottom < Small;
        });
        string Told(bool small) =>
            string.Join(
                ", ",
                pieces[small]
                    .Select(piece => $"{item.Label(piece.Key)}{(piece.Quantity > 1 ? $" × {piece.Quantity}" : "")}")
            );
        var stacks = turn.Covers > 1 ? $"{turn.Covers} stacks, one a cover: " : "One stack: ";
        return
        [
            .. pieces[false].Any() ? [$"{stacks}{Told(false)}"] : Array.Empty<string>(),
            .. pieces[true].Any() ? [$"Bundled and pinned to it: {Told(true)}"] : Array.Empty<string>(),
        ];
    }
}
