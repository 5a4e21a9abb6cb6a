namespace Wrapper.Core.Lengths.Workings;

/// <summary>What an allowance in a sum is for (craft §3).</summary>
public enum AllowanceRole
{
    /// <summary>Seam allowance.</summary>
    Seam,

    /// <summary>Zip allowance.</summary>
    Zip,

    /// <summary>Hem fold.</summary>
    Hem,

    /// <summary>Ease, in plan or on the thickness.</summary>
    Ease,

    /// <summary>Casing for elastic or cord.</summary>
    Casing,

    /// <summary>Lap over a slider or end.</summary>
    Lap,

    /// <summary>Turn of a zip round a corner.</summary>
    Turn,

    /// <summary>Extra length to join ends.</summary>
    Join,
}

/// <summary>
/// A length with the sum that made it: an expression tree whose nodes keep their value. Number and explanation are one
/// object, so they cannot drift apart; <see cref="Replace"/> reckons the same sum again with one node changed.
/// </summary>
public abstract record Working
{
    /// <summary>The value of this node.</summary>
    public abstract Length Value { get; }

    /// <summary>The terms that this node is reckoned from; none for a leaf.</summary>
    public abstract IReadOnlyList<Working> Terms { get; }

    /// <summary>The same operation on other terms; a leaf is itself.</summary>
    protected abstract Working Over(IReadOnlyList<Working> terms);

    /// <summary>
    /// The same sum with every node that <paramref name="change"/> answers for replaced; the rest is reckoned again.
    /// <paramref name="change"/> returns null for a node that stays.
    /// </summary>
    public Working Replace(Func<Working, Working?> change)
    {
        if (change(this) is { } other)
            return other;
        return Terms.Count == 0 ? this : Over([.. Terms.Select(term => term.Replace(change))]);
    }

    /// <summary>
    /// The same sum with the leaf or intermediate called <paramref name="symbol"/> taken as <paramref name="value"/>.
    /// </summary>
    public Working With(string symbol, Length value) =>
        Replace(node =>
            node switch
            {
                Measured m when m.Symbol == symbol => m with { Size = value },
                Allowance a when a.Symbol == symbol => a with { Size = value },
                Named n when n.Symbol == symbol => new Named(n.Symbol, n.Name, new Measured(n.Symbol, n.Name, value)),
                _ => null,
            }
        );

    /// <summary>A measured length.</summary>
    public static Working Of(string symbol, string name, Length value) => new Measured(symbol, name, value);

    /// <summary>Sum; nested sums are flattened and equal terms counted, so that two seams read <c>2 × s</c>.</summary>
    public static Working operator +(Working a, Working b) => Sum.Of(a, b);

    /// <summary>Difference.</summary>
    public static Working operator -(Working a, Working b) => new Difference(a, b);

    /// <summary>A whole number of times.</summary>
    public static Working operator *(int times, Working a) => times == 1 ? a : new Times(times, a);

    /// <summary>Division by a whole number, to the nearest count.</summary>
    public static Working operator /(Working a, int divisor) => new Quotient(a, divisor);

    /// <summary>This sum under a name of its own, which later sums refer to.</summary>
    public Working As(string symbol, string name) => new Named(symbol, name, this);

    /// <summary>This length times π, rounded once.</summary>
    public Working TimesPi() => new Scaled(Irrational.Pi, this);

    /// <summary>This length times √2, rounded once.</summary>
    public Working TimesRoot2() => new Scaled(Irrational.Root2, this);

    /// <summary>
    /// The slant across two lengths square to each other: the root of the sum of their squares, rounded once.
    /// </summary>
    public static Working Slant(Working a, Working b) => new Geometric(Bend.Slant, a, b);

    /// <summary>
    /// The arc of a circle over <paramref name="chord"/> that rises <paramref name="rise"/> in its middle, rounded
    /// once.
    /// </summary>
    public static Working ArcOver(Working chord, Working rise) => new Geometric(Bend.Arc, chord, rise);

    /// <summary>This length up to the next multiple of <paramref name="step"/>.</summary>
    public Working UpTo(Length step) => new RoundedUp(this, step);
}

/// <summary>A measured length: a leaf.</summary>
public sealed record Measured(string Symbol, string Name, Length Size) : Working
{
    /// <inheritdoc/>
    public override Length Value => Size;

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this;
}

/// <summary>An allowance with its role: a leaf.</summary>
public sealed record Allowance(string Symbol, AllowanceRole Role, Length Size) : Working
{
    /// <inheritdoc/>
    public override Length Value => Size;

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this;
}

/// <summary>
/// A named intermediate (<c>D</c>, <c>P</c>, <c>Z</c>): printed on a line of its own, then referred to.
/// </summary>
public sealed record Named(string Symbol, string Name, Working Inner) : Working
{
    /// <inheritdoc/>
    public override Length Value => Inner.Value;

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>A sum of two or more terms.</summary>
public sealed record Sum : Working
{
    private Sum(IReadOnlyList<Working> terms)
    {
        Terms = terms;
        Value = terms.Aggregate(Length.Zero, (total, term) => total + term.Value);
    }

    /// <inheritdoc/>
    public override Length Value { get; }

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms { get; }

    /// <summary>
    /// The sum of <paramref name="parts"/>, flattened, with equal terms counted and zero allowances kept out.
    /// </summary>
    public static Working Of(params IEnumerable<Working> parts)
    {
        var counted = new List<(int Count, Working Term)>();
        foreach (var part in parts.SelectMany(p => p is Sum sum ? sum.Terms : [p]))
        {
            var (count, term) = part is Times times ? (times.Count, times.Inner) : (1, part);
            if (term is Allowance && term.Value == Length.Zero)
                continue;
            var at = counted.FindIndex(c => c.Term.Equals(term));
            if (at < 0)
                counted.Add((count, term));
            else
                counted[at] = (counted[at].Count + count, term);
        }
        return counted.Count switch
        {
            0 => new Allowance("0", AllowanceRole.Seam, Length.Zero),
            1 => counted[0].Count * counted[0].Term,
            _ => new Sum([.. counted.Select(c => c.Count * c.Term)]),
        };
    }

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => new Sum(terms);

    /// <summary>Equal when the terms are equal, in order.</summary>
    public bool Equals(Sum? other) => other is not null && Terms.SequenceEqual(other.Terms);

    /// <inheritdoc/>
    public override int GetHashCode() => Terms.Count == 0 ? 0 : HashCode.Combine(Terms.Count, Terms[0]);
}

/// <summary>One length less another.</summary>
public sealed record Difference(Working From, Working Less) : Working
{
    /// <inheritdoc/>
    public override Length Value => From.Value - Less.Value;

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [From, Less];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => new Difference(terms[0], terms[1]);
}

/// <summary>A length taken a whole number of times.</summary>
public sealed record Times(int Count, Working Inner) : Working
{
    /// <inheritdoc/>
    public override Length Value => Count * Inner.Value;

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>A length divided by a whole number, to the nearest count.</summary>
public sealed record Quotient(Working Inner, int Divisor) : Working
{
    /// <inheritdoc/>
    public override Length Value => Inner.Value.Over(Divisor);

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>The irrational factors of the craft.</summary>
public enum Irrational
{
    /// <summary>Circumference over diameter.</summary>
    Pi,

    /// <summary>The diagonal of a square of side one: cloth on the bias.</summary>
    Root2,
}

/// <summary>A length times an irrational factor, rounded once, half away from zero.</summary>
public sealed record Scaled(Irrational Factor, Working Inner) : Working
{
    /// <inheritdoc/>
    public override Length Value =>
        Inner.Value.Scaled(Factor == Irrational.Pi ? 3.14159265358979323846m : 1.41421356237309504880m);

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>The larger (or the smaller) of two lengths.</summary>
public sealed record Extreme(bool Larger, Working First, Working Second) : Working
{
    /// <inheritdoc/>
    public override Length Value =>
        Larger ? Length.Max(First.Value, Second.Value) : Length.Min(First.Value, Second.Value);

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [First, Second];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => new Extreme(Larger, terms[0], terms[1]);
}

/// <summary>A whole or fractional percentage of a length, rounded once, half away from zero.</summary>
public sealed record Percentage(decimal Percent, Working Inner) : Working
{
    /// <inheritdoc/>
    public override Length Value => Inner.Value.Scaled(Percent / 100);

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>A length up to the next multiple of a step.</summary>
public sealed record RoundedUp(Working Inner, Length Step) : Working
{
    /// <inheritdoc/>
    public override Length Value => Inner.Value.UpTo(Step);

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [Inner];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => this with { Inner = terms[0] };
}

/// <summary>What a <see cref="Geometric"/> working is the length of.</summary>
public enum Bend
{
    /// <summary>The slant across two lengths square to each other.</summary>
    Slant,

    /// <summary>An arc by its chord and its rise.</summary>
    Arc,
}

/// <summary>A length out of two others by a root or an arc, reckoned in double millimetres and rounded once.</summary>
public sealed record Geometric(Bend Kind, Working First, Working Second) : Working
{
    /// <inheritdoc/>
    public override Length Value
    {
        get
        {
            var (a, b) = (First.Value.ToMillimetres(), Second.Value.ToMillimetres());
            if (Kind == Bend.Slant)
                return Length.Snap(Math.Sqrt((a * a) + (b * b)));
            // Radius (c²/4 + h²) / 2h, swept through 4 atan(2h / c).
            return b == 0 ? First.Value : Length.Snap(((a * a / 4) + (b * b)) / (2 * b) * 4 * Math.Atan(2 * b / a));
        }
    }

    /// <inheritdoc/>
    public override IReadOnlyList<Working> Terms => [First, Second];

    /// <inheritdoc/>
    protected override Working Over(IReadOnlyList<Working> terms) => new Geometric(Kind, terms[0], terms[1]);
}
