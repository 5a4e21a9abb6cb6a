using Wrapper.Core.Lengths;

namespace Wrapper.Core.Geometry;

/// <summary>
/// One named edge of an outline: from its start point to the start of the next edge, straight, or along an arc of
/// <paramref name="Radius"/> that bulges to the right of its direction (outward of a ring that runs anticlockwise) when
/// <paramref name="Outward"/>, else to the left. An arc is at most a half circle unless <paramref name="Large"/>.
/// </summary>
public sealed record Edge(string Name, Point Start, Length? Radius = null, bool Outward = true, bool Large = false);
