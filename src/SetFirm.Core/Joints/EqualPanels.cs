namespace SetFirm.Core.Joints;

/// <summary>The fewest equal panels of a rectangle.</summary>
public static class EqualPanels
{
    private const int MostEachWay = 200;

    /// <param name="alongM">One side.</param>
    /// <param name="acrossM">The other.</param>
    /// <param name="spacingM">No panel side is longer.</param>
    /// <param name="ratio">Nor longer than this times the other side.</param>
    /// <returns>Panels each way; the fewest, then the squarest. Null where more than 200 a side would be wanted.</returns>
    public static (int Along, int Across)? Fewest(double alongM, double acrossM, double spacingM, double ratio)
    {
        (int Along, int Across)? best = null;
        var (bestCount, bestShape) = (int.MaxValue, double.MaxValue);
        var (leastX, leastY) = (Least(alongM, spacingM), Least(acrossM, spacingM));
        for (var nx = leastX; nx <= MostEachWay; nx++)
        {
            for (var ny = leastY; ny <= MostEachWay && nx * ny <= bestCount; ny++)
            {
                var (a, b) = (alongM / nx, acrossM / ny);
                var shape = Math.Max(a / b, b / a);
                if (shape <= ratio + JointRules.Slack && (nx * ny < bestCount || shape < bestShape))
                {
                    (best, bestCount, bestShape) = ((nx, ny), nx * ny, shape);
                }
            }
        }

        return best;
    }

    internal static int Least(double lengthM, double spacingM) => (int)Math.Clamp(Math.Ceiling((lengthM / spacingM) - JointRules.Slack), 1, 100_000);
}
