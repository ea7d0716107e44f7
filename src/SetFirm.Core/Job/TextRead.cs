using SetFirm.Core.Findings;

namespace SetFirm.Core.Job;

public enum Dimension
{
    Length,
    Volume,
    Mass,
}

/// <summary>How a text was understood.</summary>
/// <param name="Path">Of the text.</param>
/// <param name="Dimension">What it measures.</param>
/// <param name="Si">Metres, cubic metres or kilograms.</param>
/// <param name="Bare">True when it named no unit.</param>
/// <param name="Exact">The same with its unit, to stand in its place when the job changes system.</param>
public sealed record TextRead(Place Path, Dimension Dimension, double Si, bool Bare, string Exact);
