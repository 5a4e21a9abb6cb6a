namespace Wrapper.Core.Sewing;

/// <summary>A point or direction in space, in millimetres. Lives only inside sewing.</summary>
internal readonly record struct Vec3(double X, double Y, double Z)
{
    public static Vec3 operator +(Vec3 a, Vec3 b) => new(a.X + b.X, a.Y + b.Y, a.Z + b.Z);

    public static Vec3 operator -(Vec3 a, Vec3 b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

    public static Vec3 operator *(double k, Vec3 a) => new(k * a.X, k * a.Y, k * a.Z);

    public double Size => Math.Sqrt(Dot(this));

    public double Dot(Vec3 b) => (X * b.X) + (Y * b.Y) + (Z * b.Z);

    public Vec3 Cross(Vec3 b) => new((Y * b.Z) - (Z * b.Y), (Z * b.X) - (X * b.Z), (X * b.Y) - (Y * b.X));

    public Vec3 Unit() => Size is > 1e-12 and var size ? 1 / size * this : new(0, 0, 1);
}
