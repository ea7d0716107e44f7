namespace SetFirm.Core.Shapes;

/// <summary>How far an outline reaches each way, metres.</summary>
public static class Extents
{
    public static (double Left, double Right, double Low, double High) Of(Outline outline)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var (left, right, low, high) = (double.MaxValue, double.MinValue, double.MaxValue, double.MinValue);
        foreach (var p in outline.Flat)
        {
            (left, right, low, high) = (Math.Min(left, p.X), Math.Max(right, p.X), Math.Min(low, p.Y), Math.Max(high, p.Y));
        }

        return (left, right, low, high);
    }
}
