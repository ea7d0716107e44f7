namespace SetFirm.Core.Weather;

/// <summary>Normally distributed numbers of mean 0 and deviation 1 from a seed: the same seed gives the same numbers.</summary>
/// <remarks>Source: Marsaglia's polar method over the runtime's seeded generator.</remarks>
public sealed class Normals(int seed)
{
    private readonly Random even = new(seed);
    private double? kept;

    public double Next()
    {
        if (kept is { } other)
        {
            kept = null;
            return other;
        }

        double x, y, square;
        do
        {
            (x, y) = ((2 * even.NextDouble()) - 1, (2 * even.NextDouble()) - 1);
            square = (x * x) + (y * y);
        }
        while (square is >= 1 or 0);
        var scale = Math.Sqrt(-2 * Math.Log(square) / square);
        kept = y * scale;
        return x * scale;
    }
}
