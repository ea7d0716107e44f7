using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>A sign, and what it says.</summary>
/// <param name="Line">As told.</param>
/// <param name="Zone">Index of the zone.</param>
/// <param name="PlannedAt">What the sign speaks of by the plan's clock then: set progress, or hours of sheen.</param>
/// <param name="Says">Set factor, as a logarithm.</param>
public sealed record SignTold(JobEvent Line, int Zone, double PlannedAt, SetReading Says);

/// <summary>Reads what was seen of a slab against the plan's clock.</summary>
/// <remarks>
/// Source: site practice, in line with ACI 302.1R; thumbs as <see cref="ThumbSign"/> says. A pass within its window says nothing; outside it reads as the nearer edge, give or take 0.15. Where the sheen is gone tells of
/// bleeding and drying, not of set.
/// </remarks>
/// <param name="pour">As it was placed.</param>
/// <param name="model">Follows zones.</param>
/// <param name="weather">Hours at the site.</param>
/// <param name="start">First water.</param>
/// <param name="facts">What was told.</param>
internal sealed class SignReader(DayPour pour, ISlabModel model, HourlyWeather weather, Instant start, DayFacts facts)
{
    private const double PassDoubt = 0.15;

    /// <summary>Of one sheen seen, as a logarithm: who looked a little late, and how zones differ. (tune)</summary>
    private const double SheenSeenDoubt = 0.15;

    /// <summary>The clock of the plan and the one that was corrected are a little apart: a pass so near its window was in it, s.</summary>
    private const double Near = 0.02;

    /// <summary>Under this much set progress nothing is read, s.</summary>
    private const double Least = 0.02;

    private readonly double mixC = pour.MixC(pour.Site.Of(weather.SurfaceAt((start - weather.Start).TotalHours)).AirC);
    private readonly Dictionary<(int Zone, double WaterH, double Factor), SlabHistory> paths = [];

    /// <summary>Signs of the set, in the order in which they were seen.</summary>
    public ImmutableArray<SignTold> OfSet()
    {
        var read = ImmutableArray.CreateBuilder<SignTold>();
        foreach (var line in facts.Lines)
        {
            var said = line switch
            {
                JobEvent.ThumbTest e when Has(e.Zone) => Thumb(e),
                JobEvent.PassBegun e when Has(e.Zone) => Pass(e, e.Zone - 1, e.Pass),
                JobEvent.PassDone e when Has(e.Zone) && facts.Begun(e.Zone - 1, e.Pass) is null => Pass(e, e.Zone - 1, e.Pass),
                _ => null,
            };
            if (said is not null)
            {
                read.Add(said);
            }
        }

        return read.ToImmutable();
    }

    /// <summary>How many times as long as reckoned the sheens stay, as a logarithm: one for the pour.</summary>
    /// <param name="set">What is believed of the set: slower concrete bleeds longer.</param>
    /// <param name="signs">That tell of it.</param>
    public Guess Sheen(SetBelief set, out ImmutableArray<SignTold> signs)
    {
        var (precision, sum) = (1 / (Members.SheenDoubt * Members.SheenDoubt), 0.0);
        var read = ImmutableArray.CreateBuilder<SignTold>();
        for (var z = 0; z < pour.Zones.Length; z++)
        {
            if (facts.SheenGone(z) is not { } gone || facts.Lines.OfType<JobEvent.SheenGone>().FirstOrDefault(l => l.Zone == z + 1) is not { } line)
            {
                continue;
            }

            var zone = pour.Zones[z];
            // It is gone when it is gone from the last that was placed.
            var path = Path(z, zone.YoungestWaterH, Math.Exp(set.Zones[z].Mean));
            // Where none was reckoned with the eye tells of this zone only.
            if (path.SheenGone is not { } reckoned || reckoned <= path.Placed)
            {
                continue;
            }

            const double soonest = 0.05;
            var says = Math.Log(Math.Max(soonest, (gone - path.Placed) / (reckoned - path.Placed)) / pour.SheenFactor);
            read.Add(new SignTold(line, z, (reckoned - path.Placed).TotalHours, new SetReading(z, says, says, SheenSeenDoubt)));
            (precision, sum) = (precision + (1 / (SheenSeenDoubt * SheenSeenDoubt)), sum + (says / (SheenSeenDoubt * SheenSeenDoubt)));
        }

        signs = read.ToImmutable();
        return new Guess(sum / precision, 1 / Math.Sqrt(precision));
    }

    private bool Has(int zone) => zone <= pour.Zones.Length;

    private SignTold? Thumb(JobEvent.ThumbTest sign)
    {
        var z = sign.Zone - 1;
        var s = ProgressAt(z, pour.Zones[z].MiddleWaterH, sign.At);
        if (s < Least)
        {
            return null;
        }

        var (least, most) = ThumbSign.Of(sign.Mark);
        // The more of its time a sign stands for, the surer it is of it.
        var says = new SetReading(z, Math.Log(s / most), Math.Log(s / least), ThumbSign.Doubt / (least > 0 ? least : most));
        return new SignTold(sign, z, s, says);
    }

    private SignTold? Pass(JobEvent line, int z, Pass pass)
    {
        var zone = pour.Zones[z];
        if (zone.Rules.FirstOrDefault(r => r.Pass == pass) is not { PaceM2H: > 0 } rule)
        {
            return null;
        }

        var (young, old) = (ProgressAt(z, zone.YoungestWaterH, line.At), ProgressAt(z, zone.OldestWaterH, line.At));
        if (young < Least)
        {
            return null;
        }

        var closes = Math.Max(rule.Closes, rule.ClosesLatest);
        // Who had to wait, for the sheen or for the pass before, was late for a reason.
        var waited = WaitedFor(z, zone, rule);
        var least = waited is { } since && old <= since + rule.Rest + PassRule.OpenAfterRest + Near ? double.NegativeInfinity : Math.Log(old / (closes + Near));
        var most = rule.Opens <= Near ? double.PositiveInfinity : Math.Log(young / (rule.Opens - Near));
        return new SignTold(line, z, young, new SetReading(z, Math.Min(least, most), most, PassDoubt / (least > 0 ? closes : rule.Opens)));
    }

    private double? WaitedFor(int z, DayZone zone, PassRule rule)
    {
        var before = zone.Rules.TakeWhile(r => r != rule).LastOrDefault(r => r.PaceM2H > 0);
        var done = before is null ? null : facts.Done(z, before.Pass) ?? facts.Begun(z, before.Pass);
        var gone = rule.WaitsForSheen ? facts.SheenGone(z) : null;
        return (done ?? gone) is { } at ? ProgressAt(z, zone.OldestWaterH, gone is { } g && g > at ? g : at) : null;
    }

    private double ProgressAt(int z, double waterH, Instant at) => Path(z, waterH, 1).EquivalentHoursAt(at) / pour.Mix.ToInitialSet.TotalHours;

    private SlabHistory Path(int z, double waterH, double factor)
    {
        if (!paths.TryGetValue((z, waterH, factor), out var path))
        {
            var zone = pour.Zones[z];
            var toPlaced = waterH == zone.OldestWaterH ? zone.FirstPlacedH - zone.OldestWaterH : zone.PlacedH - zone.YoungestWaterH;
            // In whole hours, so that steps are shared.
            var sight = Math.Clamp(Math.Ceiling((facts.Now - start).TotalHours - waterH) + 1, 6, DaySimulation.Sight.TotalHours);
            path = model.Follow(pour.At(zone, waterH, waterH + toPlaced, factor == 1 ? pour.Mix : pour.Mix.Setting(factor), mixC, start), weather, Duration.FromHours(sight));
            paths.Add((z, waterH, factor), path);
        }

        return path;
    }
}
