using Wrapper.Core.Geometry;
using Wrapper.Core.Lengths;

namespace Wrapper.Core.Patterns;

/// <summary>
/// What a sheet is wrapped round and held beneath by elastic or a cord: the outline of the board or mattress, lying as the
/// sheet is drawn, and how high it is.
/// </summary>
public sealed record Wrapping(Outline Board, Length Height);
