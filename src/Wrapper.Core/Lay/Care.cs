namespace Wrapper.Core.Lay;

/// <summary>
/// What a lay that is followed is judged by beside the area it has laid: how much worse area is that is given up, and how
/// much of an average piece each stretch of an uneven upper edge counts as lost; an even edge takes any piece.
/// </summary>
internal readonly record struct Care(int Waste, double Uneven = 0);
