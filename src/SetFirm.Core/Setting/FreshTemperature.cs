namespace SetFirm.Core.Setting;

/// <summary>One thing that goes into the mixer: kg, °C, kJ/kgK.</summary>
public readonly record struct HeatPart(double Kg, double TemperatureC, double HeatKjPerKgK);

/// <summary>Temperature of fresh concrete by heat balance: T = sum(m c T) / sum(m c).</summary>
/// <remarks>Source: ACI 305R/306R. Range: liquid water only, 0-60 °C.</remarks>
public static class FreshTemperature
{
    public const double WaterKjPerKgK = 4.19;
    public const double SolidsKjPerKgK = 0.92;

    public static double Of(params ReadOnlySpan<HeatPart> parts)
    {
        double heat = 0, capacity = 0;
        foreach (var part in parts)
        {
            heat += part.Kg * part.HeatKjPerKgK * part.TemperatureC;
            capacity += part.Kg * part.HeatKjPerKgK;
        }

        return heat / capacity;
    }

    /// <summary>Water temperature, °C, that brings solids of one temperature to a wanted mix. May come out above 60: then it cannot be done with water alone.</summary>
    public static double WaterFor(double wantedC, double solidsKg, double solidsC, double waterKg) =>
        wantedC + (solidsKg * SolidsKjPerKgK * (wantedC - solidsC) / (waterKg * WaterKjPerKgK));
}
