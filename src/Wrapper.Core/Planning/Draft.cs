using Wrapper.Core.Declaring;
using Wrapper.Core.Jobs;
using Wrapper.Core.Patterns;

namespace Wrapper.Core.Planning;

/// <summary>
/// The outcome of drafting one item: a pattern with its seam check, or the problems that leave it in doubt.
/// </summary>
public sealed record Draft(Pattern? Pattern, SeamReport? Seams, Reading? Reading, IReadOnlyList<Problem> Problems);
