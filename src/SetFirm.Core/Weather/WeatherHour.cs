namespace SetFirm.Core.Weather;

/// <summary>The weather of one hour, as forecasts give it.</summary>
public readonly record struct WeatherHour
{
    /// <summary>Air at 2 m, °C.</summary>
    public required double AirC { get; init; }

    /// <summary>Relative humidity, 0-1.</summary>
    public required double Humidity { get; init; }

    /// <summary>Wind at 10 m, km/h.</summary>
    public required double WindKmh { get; init; }

    /// <summary>Sun on level ground, W/m2.</summary>
    public required double SunWm2 { get; init; }

    /// <summary>Chance of 0.5 mm or more in the hour, 0-1.</summary>
    public required double RainChance { get; init; }

    /// <summary>Expected rain, mm.</summary>
    public required double RainMm { get; init; }

    /// <summary>Wind at 0.5 m above the slab, km/h: 0.6 of a forecast's. Source: site practice.</summary>
    public double SlabWindKmh => 0.6 * WindKmh;
}
