namespace SetFirm.Bench;

internal static class Times
{
    /// <summary>The least time that this share of all does not exceed.</summary>
    public static double Percentile(List<double> times, double share) => times.Order().ElementAt((int)Math.Ceiling(share * times.Count) - 1);
}
