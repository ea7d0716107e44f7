using System.Collections.Immutable;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>How a volume is split into loads.</summary>
/// <param name="Units">Units in each batch, in order.</param>
/// <param name="Unit">What one unit is.</param>
public sealed record BatchPlan(ImmutableArray<int> Units, BatchUnit Unit)
{
    public Volume VolumeOf(int batch) => Unit.Yield * Units[batch];

    public Volume Total => Unit.Yield * Units.Sum();
}

/// <summary>What came of splitting a volume.</summary>
public abstract record Batched
{
    private Batched()
    {
    }

    public sealed record Fits(BatchPlan Plan) : Batched;

    /// <summary>Not even one unit fits the mixer.</summary>
    public sealed record MixerTooSmall(Volume Unit, Volume Capacity) : Batched;

    /// <summary>Not even one unit may be tipped.</summary>
    public sealed record TooHeavy(Mass Unit, Mass Most) : Batched;

    /// <summary>More batches than anyone would mix.</summary>
    public sealed record TooMany(long Count) : Batched;
}

/// <summary>Splits a volume into level batches that the mixer takes.</summary>
/// <remarks>
/// As few batches as the mixer allows, or as many as are asked for; among those, whole bags or containers where they overshoot the volume by a twentieth at most, else halves, then quarters, then eighths of a container; then as
/// even as can be, the smaller ones last. Batches so differ by at most one unit (one whole bag where whole bags do).
/// Source: site practice.
/// </remarks>
public static class Batches
{
    public const int Most = 500;

    /// <summary>Whole bags or containers may be so much more than is wanted, share. Source: site practice.</summary>
    private const double MostOver = 0.05;

    /// <param name="wanted">To be placed, hold-back included.</param>
    /// <param name="unit">The least that a batch is made in.</param>
    /// <param name="limit">What a batch may come to.</param>
    /// <param name="atLeast">So many batches, where there are units for them.</param>
    public static Batched Split(Volume wanted, BatchUnit unit, BatchLimit limit, int atLeast = 1)
    {
        ArgumentNullException.ThrowIfNull(unit);
        ArgumentNullException.ThrowIfNull(limit);
        const double slack = 1e-9; // a bag that fits to the millilitre fits
        double Times(double most, double one) => Math.Floor((most / one) + slack);
        var byVolume = Math.Min(Times(limit.Wet.CubicMetres, unit.Yield.CubicMetres), Times(limit.Loose.CubicMetres, unit.LooseVolume.CubicMetres));
        if (byVolume < 1)
        {
            return new Batched.MixerTooSmall(unit.Yield, limit.Wet);
        }

        var byMass = Math.Min(
            limit.Mass is { } wet ? Times(wet.Kilograms, unit.Mass.Kilograms) : double.PositiveInfinity, limit.Dry is { } dry ? Times(dry.Kilograms, unit.Dry.Kilograms) : double.PositiveInfinity);
        if (byMass < 1)
        {
            return limit.Mass is { } most && most.Kilograms < unit.Mass.Kilograms ? new Batched.TooHeavy(unit.Mass, most) : new Batched.TooHeavy(unit.Dry, limit.Dry!.Value);
        }

        var byBags = limit.Bags is { } bags && unit.Bags > 0 ? Math.Max(1, Times(bags, unit.Bags)) : double.PositiveInfinity;
        var mostUnits = (long)Math.Min(1_000_000, Math.Min(Math.Min(byVolume, byBags), byMass));
        var needed = Math.Max(1, Math.Ceiling((wanted.CubicMetres / unit.Yield.CubicMetres) - slack));
        // Odd eighths cost no batch less: they are for what quarters overshoot, or where not even a quarter fits.
        var ordinary = mostUnits < unit.Ordinary ? 1 : unit.Ordinary;
        mostUnits -= mostUnits % ordinary;
        var count = Math.Max(atLeast, Math.Ceiling(Math.Ceiling(needed / ordinary) * ordinary / mostUnits));
        if (count > Most)
        {
            return new Batched.TooMany(count > long.MaxValue / 2 ? long.MaxValue : (long)count);
        }

        return new Batched.Fits(new BatchPlan(Units(needed, (int)count, mostUnits, unit.PerWhole), unit));
    }

    // Wholes, or halves and less of them where wholes are too much.
    private static ImmutableArray<int> Units(double needed, int count, long most, int perWhole)
    {
        for (var step = perWhole; step > 1; step /= 2)
        {
            var units = Level((int)Math.Ceiling(needed / step), count, step);
            if (units[0] <= most && units.Sum() <= needed * (1 + MostOver))
            {
                return units;
            }
        }

        return Level((int)needed, count, 1);
    }

    private static ImmutableArray<int> Level(int things, int batches, int unitsEach)
    {
        batches = Math.Min(batches, things);
        var (each, extra) = Math.DivRem(things, batches);
        return [.. Enumerable.Range(0, batches).Select(i => (each + (i < extra ? 1 : 0)) * unitsEach)];
    }
}
