namespace SetFirm.Core.Quantities;

/// <summary>The system a job is shown in, and that a number without a unit is read in.</summary>
public enum UnitSystem
{
    /// <summary>A bare length is millimetres, a bare volume litres, a bare mass kilograms.</summary>
    Metric,

    /// <summary>US customary: a bare length is inches, a bare volume US gallons, a bare mass pounds.</summary>
    Us,
}
