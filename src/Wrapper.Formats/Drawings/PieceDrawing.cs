using Wrapper.Core.Geometry;
using Wrapper.Core.Lay;
using Wrapper.Core.Lengths;
using Wrapper.Core.Patterns;
using Wrapper.Core.Planning;

namespace Wrapper.Formats.Drawings;

/// <summary>Pieces as they are drawn on paper and cloth: cut line, stitch line, marks, grain and name.</summary>
public static class PieceDrawing
{
    private static readonly Length Letter = Length.Millimetres(7),
        Gap = Length.Millimetres(20),
        WidestRow = Length.Millimetres(1200);

    /// <summary>One piece of an item, upright, from (0, 0).</summary>
    public static Drawing Of(ItemPlan item, Piece piece)
    {
        var words = $"{item.Label(piece.Key)} {piece.Name}, cut {piece.Quantity * item.Quantity}";
        return Placed(piece, words, at => at, turnedOver: false).AtOrigin() with
        {
            Name = $"{item.Item.Name} - {item.Label(piece.Key)} {piece.Name}",
        };
    }

    /// <summary>All pieces of an item, each once, in rows, a finger apart.</summary>
    public static Drawing Of(ItemPlan item)
    {
        var pieces = (item.Draft.Pattern?.Pieces ?? []).Select(piece => Of(item, piece)).ToList();
        var widest = pieces.Select(each => each.Bounds().Right).Append(WidestRow).Max();
        var (x, y, tallest) = (Length.Zero, Length.Zero, Length.Zero);
        List<Drawing> placed = [];
        foreach (var piece in pieces)
        {
            var (_, _, width, height) = piece.Bounds();
            if (x.IsPositive && x + width > widest)
                (x, y, tallest) = (Length.Zero, y + tallest + Gap, Length.Zero);
            placed.Add(piece.Moved(x, y));
            (x, tallest) = (x + width + Gap, Length.Max(tallest, height));
        }
        return Joined(item.Item.Name, placed);
    }

    /// <summary>
    /// A piece where it lies on its cloth; <paramref name="words"/> are what is written on it.
    /// </summary>
    internal static Drawing OnCloth(Piece piece, string words, bool turnedOver, Placement at)
    {
        var part = PrintedPart.Of(piece.Cut, turnedOver, at);
        // A quarter turn keeps the way round, a mirror image does not.
        return Placed(piece, words, part.OnCloth, turnedOver);
    }

    /// <summary>Drawings as one, each where it is.</summary>
    internal static Drawing Joined(string name, IReadOnlyList<Drawing> drawings) =>
        new(
            name,
            [.. drawings.SelectMany(drawing => drawing.Strokes)],
            [.. drawings.SelectMany(drawing => drawing.Captions)]
        );

    private static Drawing Placed(Piece piece, string words, Func<Point, Point> place, bool turnedOver)
    {
        List<Stroke> strokes = [Stroke.Of(Layer.Cut, piece.Cut, place, turnedOver)];
        // What is cut on its stitch line is drawn once.
        if (!piece.Stitch.Edges.SequenceEqual(piece.Cut.Edges))
            strokes.Add(Stroke.Of(Layer.Stitch, piece.Stitch, place, turnedOver));
        strokes.AddRange(piece.Lines.Select(line => Stroke.Line(Layer.Marks, place(line.From), place(line.To))));
        foreach (var notch in piece.Notches)
        {
            var (on, outward) = piece.Reach(notch);
            strokes.Add(Stroke.Line(Layer.Marks, place(on), place(outward)));
        }
        var (left, bottom, right, top) = piece.Cut.Bounds();
        var middle = new Point(left + (right - left).Over(2), bottom + (top - bottom).Over(2));
        strokes.AddRange(GrainOf(piece, left, bottom, right, top, place));
        return new(piece.Name, strokes, [new(place(middle), words, Letter)]);
    }

    // An arrow as long as half the piece, a quarter in from its side, clear of the words.
    private static IEnumerable<Stroke> GrainOf(
        Piece piece,
        Length left,
        Length bottom,
        Length right,
        Length top,
        Func<Point, Point> place
    )
    {
        if (piece.Grain == Grain.Either)
            yield break;
        var (width, height) = (right - left, top - bottom);
        var head = Length.Min(Length.Millimetres(8), Length.Min(width, height).Over(8));
        var up = piece.Grain == Grain.Along;
        Point At(Length along, Length aside) =>
            up
                ? new(left + width.Over(4) + aside, bottom + height.Over(4) + along)
                : new(left + width.Over(4) + along, bottom + height.Over(4) + aside);
        var tip = (up ? height : width).Over(2);
        yield return Stroke.Line(Layer.Grain, place(At(Length.Zero, Length.Zero)), place(At(tip, Length.Zero)));
        yield return Stroke.Line(Layer.Grain, place(At(tip - head, -head.Over(2))), place(At(tip, Length.Zero)));
        yield return Stroke.Line(Layer.Grain, place(At(tip - head, head.Over(2))), place(At(tip, Length.Zero)));
    }
}
