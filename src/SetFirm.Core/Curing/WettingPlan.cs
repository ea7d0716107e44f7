using System.Collections.Immutable;
using NodaTime;

namespace SetFirm.Core.Curing;

/// <summary>Somebody is up between two local times.</summary>
/// <param name="Zone">Of the site.</param>
/// <param name="From">Gets up.</param>
/// <param name="Until">Goes to bed; before <paramref name="From"/> it is past midnight.</param>
public sealed record WakingHours(DateTimeZone Zone, LocalTime From, LocalTime Until)
{
    public bool Holds(Instant moment)
    {
        var time = moment.InZone(Zone).TimeOfDay;
        return From <= Until ? time >= From && time <= Until : time >= From || time <= Until;
    }

    /// <summary>The first moment from one on at which somebody is up.</summary>
    public Instant Next(Instant moment)
    {
        if (Holds(moment))
        {
            return moment;
        }

        var local = moment.InZone(Zone).LocalDateTime;
        var today = (local.Date + From).InZoneLeniently(Zone).ToInstant();
        return today >= moment ? today : (local.Date.PlusDays(1) + From).InZoneLeniently(Zone).ToInstant();
    }

    /// <summary>The last moment up to one at which somebody is up.</summary>
    public Instant Last(Instant moment)
    {
        if (Holds(moment))
        {
            return moment;
        }

        var local = moment.InZone(Zone).LocalDateTime;
        var today = (local.Date + Until).InZoneLeniently(Zone).ToInstant();
        return today <= moment ? today : (local.Date.PlusDays(-1) + Until).InZoneLeniently(Zone).ToInstant();
    }
}

/// <summary>Stretches that lay dry though they were to be wet.</summary>
public readonly record struct DrySpell(Instant From, Instant Until);

/// <summary>When to wet it: whenever what the method holds has dried off, in waking hours.</summary>
/// <remarks>Source: site practice; store over evaporation, hour by hour, clipped to 1-24 h.</remarks>
public sealed class WettingPlan
{
    private const int MostWettings = 2_000;

    private readonly double storeKgM2;
    private readonly Func<Instant, double> evaporation;

    /// <param name="storeKgM2">What the method holds; finite.</param>
    /// <param name="evaporation">kg/m2/h at a moment.</param>
    public WettingPlan(double storeKgM2, Func<Instant, double> evaporation) => (this.storeKgM2, this.evaporation) = (storeKgM2, evaporation);

    /// <summary>When a wetting has dried off: in a day at the latest it is seen to again.</summary>
    public Instant DriesAt(Instant wetted)
    {
        var left = storeKgM2;
        for (var h = 0; h < Wetting.LongestHours; h++)
        {
            var e = evaporation(wetted + Duration.FromHours(h + 0.5));
            if (e >= left)
            {
                return wetted + Duration.FromHours(Math.Max(Wetting.ShortestHours, h + (left / e)));
            }

            left -= e;
        }

        return wetted + Duration.FromHours(Wetting.LongestHours);
    }

    /// <summary>Every wetting from one moment to another, and the longest that it lies dry because everybody sleeps.</summary>
    /// <param name="last">It was wet then.</param>
    /// <param name="from">Nothing is due before.</param>
    /// <param name="until">The wet days are over.</param>
    /// <param name="awake">Who wets it.</param>
    public (ImmutableArray<Instant> Due, Duration DryNight) From(Instant last, Instant from, Instant until, WakingHours awake)
    {
        ArgumentNullException.ThrowIfNull(awake);
        var (due, dryNight) = (ImmutableArray.CreateBuilder<Instant>(), Duration.Zero);
        while (due.Count < MostWettings)
        {
            var dry = DriesAt(last);
            var at = Instant.Max(dry, from);
            if (!awake.Holds(at))
            {
                // Before going to bed, where that is some time after the last; else in the morning.
                var evening = awake.Last(at);
                at = evening >= last + Duration.FromHours(Wetting.ShortestHours) && evening >= from ? evening : awake.Next(at);
                dryNight = Duration.Max(dryNight, at - dry);
            }

            if (at >= until)
            {
                break;
            }

            due.Add(at);
            last = at;
        }

        return (due.ToImmutable(), dryNight);
    }

    /// <summary>What lay dry between the wettings that were made.</summary>
    /// <param name="from">It was wet then.</param>
    /// <param name="wetted">In any order.</param>
    /// <param name="until">As far as is known.</param>
    public ImmutableArray<DrySpell> Dry(Instant from, IEnumerable<Instant> wetted, Instant until)
    {
        var (spells, wet) = (ImmutableArray.CreateBuilder<DrySpell>(), from);
        foreach (var at in wetted.Where(w => w > from && w < until).Order().Append(until))
        {
            var dry = DriesAt(wet);
            if (dry < at)
            {
                spells.Add(new DrySpell(dry, at));
            }

            wet = at;
        }

        return spells.ToImmutable();
    }
}
