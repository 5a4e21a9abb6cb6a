using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Covers.Chairs;

/// <summary>
/// The points of a slipcover where three pieces or more meet; some seams stop at one and go on with another piece
/// (craft §6.2).
/// </summary>
internal sealed class SlipcoverPoints(ChairBody body)
{
    // Name, piece, edge and how far along it.
    private IEnumerable<(string Name, string Piece, string Edge, Length At)> All()
    {
        (string, string, string, Length) At(string name, string piece, string edge, Working? along = null) =>
            (name, piece, edge, along?.Value ?? Length.Zero);
        yield return At("A", "deck", "upper");
        yield return At("A", "deck", "left");
        yield return At("A", "inside-back", "crevice");
        yield return At("A", "inside-back", "right arm");
        yield return At("A", "inside-arm", "lower");
        yield return At("B", "deck", "lower");
        yield return At("B", "deck", "right");
        yield return At("B", "inside-arm", "right");
        yield return At("B", "front-band", "upper");
        yield return At("B", "front-band", "left");
        yield return At("B", "arm-front", "band");
        yield return At("C", "inside-back", "right side");
        yield return At("C", "inside-back", "left step");
        yield return At("C", "inside-arm", "left");
        if (body.HasWings)
            yield return At("C", "inside-wing", "lower");
        else
            yield return At("C", "outside-arm", "upper", body.Seat);
        if (!body.HasWings)
            yield return At("C", "corner", "right");
        yield return At("D", "inside-back", "top");
        yield return At("D", "inside-back", "left side");
        yield return At("D", "outside-back", "top");
        yield return At("D", "outside-back", "left upper");
        yield return At("D", "corner", "left");
        if (!body.HasWings)
            yield break;
        yield return At("E", "inside-arm", "upper", body.Seat - body.Wing);
        yield return At("E", "outside-arm", "upper", body.Seat - body.Wing);
        yield return At("E", "inside-wing", "right");
        yield return At("E", "corner", "right");
    }

    /// <summary>
    /// Those of one piece. The end of a facing strip is found on the chair: no point is marked on it.
    /// </summary>
    public IEnumerable<(string Name, string Edge, Length At)> On(Piece piece) =>
        from point in All()
        where point.Piece == piece.Key && piece.Stitch.Has(point.Edge)
        select (point.Name, point.Edge, point.At);

    /// <summary>What each point is, in words.</summary>
    public IEnumerable<Remark> Remarks()
    {
        var wing = body.HasWings ? "outside wing" : "back corner";
        yield return new("Point A, end of the back crevice: deck, inside back and inside arm. Tuck-ins end here.");
        yield return new("Point B, front end of the side crevice: deck, inside arm, front band and arm front.");
        yield return new(
            body.HasWings
                ? "Point C, where arm and wing meet the back: inside back, inside arm and inside wing."
                : "Point C, where the arm meets the back: inside back, inside arm, outside arm and back corner."
        );
        yield return new($"Point D, top corner of the back: inside back, outside back and {wing}.");
        if (body.HasWings)
            yield return new("Point E, front foot of the wing: inside arm, outside arm, inside wing and outside wing.");
        yield return new("Fitted inside out on the chair: left and right change places when it is turned.");
    }
}
