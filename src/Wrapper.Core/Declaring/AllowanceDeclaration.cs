using Wrapper.Core.Lengths;
using Wrapper.Core.Lengths.Workings;

namespace Wrapper.Core.Declaring;

/// <summary>
/// An allowance that a make-up uses, by its letter (<c>s</c>, <c>z</c>), with the default of the workroom (craft §3).
/// </summary>
public sealed record AllowanceDeclaration(
    string Symbol,
    string Name,
    AllowanceRole Role,
    Length InchDefault,
    Length MetricDefault
)
{
    /// <summary>By how much it may be less where that saves cloth; zero where it may not.</summary>
    public Length Adjustable { get; init; }
}
