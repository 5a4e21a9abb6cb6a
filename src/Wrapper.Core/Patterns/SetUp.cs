namespace Wrapper.Core.Patterns;

/// <summary>
/// How the machine is set up: foot, stitch, thread and needle, in words. Two steps with equal set-ups are sewn one after
/// the other without a change.
/// </summary>
public sealed record SetUp(string Foot, string Stitch, string Thread, string Needle);
