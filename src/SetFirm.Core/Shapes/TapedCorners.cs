namespace SetFirm.Core.Shapes;

/// <summary>What two tapes to one corner give.</summary>
public abstract record TapedCorner
{
    private TapedCorner()
    {
    }

    /// <param name="At">From nail A, along the line to nail B and square off it, metres.</param>
    public sealed record Meets(PlanPoint At) : TapedCorner;

    /// <summary>Both tapes together are shorter than the nails are apart.</summary>
    public sealed record TooShort(double SumM, double ApartM) : TapedCorner;

    /// <summary>One tape is longer than the other and the nails' distance together.</summary>
    public sealed record TooFarApart(double DifferenceM, double ApartM) : TapedCorner;
}

/// <summary>Fixes a corner by its distances from two nails a known distance apart.</summary>
/// <remarks>Plane geometry: x = (a² − b² + d²)/(2d), y = √(a² − x²); the corner lies on the garden's side of the nails.</remarks>
public static class TapedCorners
{
    private const double Slack = 1e-9;

    /// <param name="aM">From nail A.</param>
    /// <param name="bM">From nail B.</param>
    /// <param name="apartM">Between the nails, above zero.</param>
    public static TapedCorner Of(double aM, double bM, double apartM)
    {
        if (aM + bM < apartM - Slack)
        {
            return new TapedCorner.TooShort(aM + bM, apartM);
        }

        if (Math.Abs(aM - bM) > apartM + Slack)
        {
            return new TapedCorner.TooFarApart(Math.Abs(aM - bM), apartM);
        }

        var x = ((aM * aM) - (bM * bM) + (apartM * apartM)) / (2 * apartM);
        return new TapedCorner.Meets(new PlanPoint(x, Math.Sqrt(Math.Max(0, (aM * aM) - (x * x)))));
    }
}
