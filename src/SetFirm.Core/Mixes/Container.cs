using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Mixes;

/// <summary>What a person measures out with.</summary>
public enum ContainerKind
{
    Bucket,
    Shovel,
    Barrow,
    Box,
    Jug,
}

/// <summary>A container as filled, and what it holds then.</summary>
public readonly record struct Container(ContainerKind Kind, Volume Size)
{
    /// <summary>Everything is measured to this much of a container.</summary>
    public const double Step = 0.25;

    /// <summary>A whole or a half container is taken for what comes within so much of it, share. Source: site practice.</summary>
    private const double Clean = 0.05;

    /// <summary>The nearest amount that can be measured in steps of a container: one at the least, where anything is wanted at all.</summary>
    /// <param name="wanted">Of it.</param>
    /// <param name="step">Share of a container.</param>
    public double Measured(Volume wanted, double step = Step) => wanted.CubicMetres <= 0 ? 0 : Math.Max(step, Math.Round(wanted.CubicMetres / Size.CubicMetres / step) * step);

    /// <summary>A clean count where one is near: wholes, else halves, else quarters.</summary>
    public double Counted(Volume wanted)
    {
        foreach (var step in (ReadOnlySpan<double>)[1, 0.5])
        {
            if (Measured(wanted, step) is var count && Math.Abs((count * Size.CubicMetres) - wanted.CubicMetres) <= Clean * wanted.CubicMetres)
            {
                return count;
            }
        }

        return Measured(wanted);
    }
}

/// <summary>One container for each thing that is measured; ballast goes by the stone's.</summary>
public sealed record Containers(Container Cement, Container Sand, Container Stone, Container Water);

/// <summary>A batch by parts in the user's own containers: wholes where they are near, quarters at the least, of cement an eighth where a quarter were too much.</summary>
/// <param name="Cement">Containers.</param>
/// <param name="Sand">Containers, as it lies.</param>
/// <param name="Stone">Containers.</param>
/// <param name="Ballast">Containers, as it lies.</param>
/// <param name="Water">Containers, what sand and stone carry taken off.</param>
/// <param name="WaterCement">By mass, of what is measured.</param>
/// <param name="WaterCementOff">Against the recipe: 0.02 is two in a hundred more.</param>
/// <param name="YieldOff">Of the placed volume, likewise.</param>
public sealed record MeasuredBatch(
    double Cement, double Sand, double Stone, double Ballast, double Water, double WaterCement, double WaterCementOff, double YieldOff);

/// <summary>Brings a recipe into the user's own containers, and says what the rounding does to it.</summary>
/// <remarks>Source: absolute volume as ACI 211.1.</remarks>
public static class Measuring
{
    /// <param name="mix">By absolute volume.</param>
    /// <param name="moisture">Of sand and stone; damp sand takes more room.</param>
    /// <param name="stoneMm">Largest stone.</param>
    /// <param name="containers">The user's own.</param>
    /// <param name="cement">Loose cement of this batch.</param>
    public static MeasuredBatch Of(Proportions mix, Moisture moisture, double stoneMm, Containers containers, Volume cement)
    {
        ArgumentNullException.ThrowIfNull(mix);
        ArgumentNullException.ThrowIfNull(containers);
        var cementKg = cement.CubicMetres * Ingredients.CementLooseKgPerM3;
        var scale = cementKg / mix.CementKg; // cubic metres of the recipe
        var (sandKgM3, stoneKgM3, ballastKgM3) = AsItLies(moisture, stoneMm);
        var measured = new MeasuredBatch(
            containers.Cement.Measured(cement, 1.0 / PartsRecipe.UnitsPerContainer),
            containers.Sand.Counted(Volume.FromCubicMetres(mix.SandKg * scale / sandKgM3)),
            containers.Stone.Counted(Volume.FromCubicMetres(mix.StoneKg * scale / stoneKgM3)),
            containers.Stone.Counted(Volume.FromCubicMetres(mix.BallastKg * scale / ballastKgM3)),
            containers.Water.Measured(Volume.FromLitres(Math.Max(0, mix.WaterKg - mix.CarriedWaterKg(moisture)) * scale)),
            0, 0, 0);
        var got = Contents(measured, moisture, stoneMm, containers);
        var waterCement = got.WaterKg / got.CementKg;
        var yield = (PartsMix.SolidVolume(got.CementKg, got.SandKg, got.StoneKg, got.BallastKg) + (got.WaterKg / 1000)) / (1 - mix.AirShare);
        return measured with { WaterCement = waterCement, WaterCementOff = (waterCement / mix.WaterCement) - 1, YieldOff = (yield / scale) - 1 };
    }

    /// <summary>What such containers hold: kg, all water counted.</summary>
    public static (double CementKg, double SandKg, double StoneKg, double BallastKg, double WaterKg) Contents(
        MeasuredBatch batch, Moisture moisture, double stoneMm, Containers containers)
    {
        ArgumentNullException.ThrowIfNull(batch);
        ArgumentNullException.ThrowIfNull(containers);
        var (sandKgM3, stoneKgM3, ballastKgM3) = AsItLies(moisture, stoneMm);
        var cement = batch.Cement * containers.Cement.Size.CubicMetres * Ingredients.CementLooseKgPerM3;
        var sand = batch.Sand * containers.Sand.Size.CubicMetres * sandKgM3;
        var stone = batch.Stone * containers.Stone.Size.CubicMetres * stoneKgM3;
        var ballast = batch.Ballast * containers.Stone.Size.CubicMetres * ballastKgM3;
        var carried = (sand * Moistures.SandWaterShare(moisture)) + (stone * Moistures.StoneWaterShare(moisture)) + (ballast * Moistures.BallastWaterShare(moisture));
        return (cement, sand, stone, ballast, (batch.Water * containers.Water.Size.Litres) + carried);
    }

    /// <summary>Dry kilograms in a cubic metre as it lies.</summary>
    public static (double Sand, double Stone, double Ballast) AsItLies(Moisture moisture, double stoneMm) => (
        Ingredients.SandLooseKgPerM3 / Moistures.SandBulking(moisture),
        Ingredients.StoneLooseKgPerM3(stoneMm),
        Ingredients.BallastLooseKgPerM3 / Moistures.BallastBulking(moisture));
}
