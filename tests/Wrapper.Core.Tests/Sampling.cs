using CsCheck;

namespace Wrapper;

/// <summary>
/// Random cases that are the same in every run, so that a suite that passed passes again: case n of a property is drawn
/// by seed n. With WRAPPER_SEEDS=fresh, or a seed of the library's own in CsCheck_Seed, they are drawn anew.
/// </summary>
internal static class Sampling
{
    private const int Usual = 100;

    private static readonly bool Fresh =
        Environment.GetEnvironmentVariable("WRAPPER_SEEDS") == "fresh"
        || Environment.GetEnvironmentVariable("CsCheck_Seed") is not null;

    /// <summary>Holds what <paramref name="assert"/> says for so many cases, on all cores or so many threads.</summary>
    public static void Sample<T>(
        this Gen<T> gen,
        Action<T> assert,
        long iter = Usual,
        int threads = -1,
        Func<T, string>? print = null
    )
    {
        if (Fresh)
        {
            Check.Sample(gen, assert, iter: iter, threads: threads, print: print);
            return;
        }
        Parallel.For(
            0,
            iter,
            new ParallelOptions { MaxDegreeOfParallelism = threads },
            n => Check.Sample(gen, assert, seed: new PCG((uint)n, 2026).ToString(), iter: 1, threads: 1, print: print)
        );
    }

    /// <summary>The same of two.</summary>
    public static void Sample<T1, T2>(this Gen<(T1, T2)> gen, Action<T1, T2> assert, long iter = Usual) =>
        gen.Sample(each => assert(each.Item1, each.Item2), iter);

    /// <summary>The same of three.</summary>
    public static void Sample<T1, T2, T3>(this Gen<(T1, T2, T3)> gen, Action<T1, T2, T3> assert, long iter = Usual) =>
        gen.Sample(each => assert(each.Item1, each.Item2, each.Item3), iter);

    /// <summary>The same of four.</summary>
    public static void Sample<T1, T2, T3, T4>(
        this Gen<(T1, T2, T3, T4)> gen,
        Action<T1, T2, T3, T4> assert,
        long iter = Usual
    ) => gen.Sample(each => assert(each.Item1, each.Item2, each.Item3, each.Item4), iter);
}
