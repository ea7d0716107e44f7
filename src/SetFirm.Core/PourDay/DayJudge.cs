using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>Why a day will not do.</summary>
public enum DayFault
{
    /// <summary>It rains before it has set.</summary>
    Rain,

    /// <summary>It dries so fast that it has to be protected.</summary>
    Drying,

    /// <summary>It freezes too young, or the mix is too cold for cold weather.</summary>
    Cold,

    /// <summary>The mix is too hot.</summary>
    Hot,

    /// <summary>A pass falls into the dark.</summary>
    Dark,

    /// <summary>A batch is too old when the next one meets it.</summary>
    Joint,

    /// <summary>The crew does not get to a pass in time.</summary>
    Hands,
}

/// <summary>What a start comes to over many ways it might go.</summary>
/// <param name="Chance">That all goes well, 0-1.</param>
/// <param name="DoneH">Hours from the first water until the last pass is made: one in ten, the middle, nine in ten.</param>
/// <param name="Faults">Share of the ways in which each fault comes about, the most frequent first; none that never does.</param>
public sealed record StartOdds(double Chance, (double Early, double Median, double Late) DoneH, ImmutableArray<(DayFault Fault, double Share)> Faults);

/// <summary>Judges a day: one way it may go, or many.</summary>
/// <param name="pour">What is poured.</param>
/// <param name="forecast">Whose light the day has.</param>
/// <param name="jointAge">How old a batch is when the next one meets it.</param>
public sealed class DayJudge(DayPour pour, HourlyWeather forecast, Duration jointAge)
{
    /// <summary>Chance of 0.5 mm or more before final set, 0-1, over which nobody pours without a cover; site practice.</summary>
    public const double RainNoGo = 0.30;

    /// <summary>And over which it is told.</summary>
    public const double RainWarn = WeatherDay.DryUpTo;

    /// <summary>ACI 306R: cold weather begins, °C.</summary>
    public const double ColdAirC = 4;

    /// <summary>And what the mix must then have, °C.</summary>
    public const double LeastMixColdC = 13;

    /// <summary>ACI 305R: what it may have at the most, °C.</summary>
    public const double MostMixC = 35;

    /// <summary>Drying over bleeding that is told, and at which something has to be done, kg/m2/h; site practice.</summary>
    public const double DeficitWarn = 0.3;

    public const double DeficitAct = 0.6;

    /// <summary>Under this much sun it is dark, W/m2.</summary>
    public const double DarkWm2 = 1;

    /// <summary>Under air as warm as this no slab freezes, whatever the night sky takes, °C.</summary>
    private const double FrostAirC = HeatBalanceSlab.UsualNightSkyK + 0.5;

    /// <summary>To dusk and dawn this is near, hours.</summary>
    private const double TwilightH = 0.25;

    /// <summary>Minutes decide.</summary>
    private const double NearH = 0.05;

    private static readonly int Kinds = Enum.GetValues<DayFault>().Length;

    /// <summary>What is wrong with a day in one member.</summary>
    /// <param name="start">First water.</param>
    /// <param name="member">How it went.</param>
    /// <param name="outcome">What came of it.</param>
    /// <param name="has">One for each fault, in the order of the enum; it is overwritten.</param>
    /// <returns>True where there is none.</returns>
    public bool Judge(Instant start, Member member, in DayOutcome outcome, Span<bool> has)
    {
        ArgumentNullException.ThrowIfNull(member);
        var weather = member.Weather;
        var from = (start - weather.Start).TotalHours;
        var until = from + Math.Min(outcome.FinalSetH, DaySimulation.Sight.TotalHours);
        var mixC = MixC(weather, start);
        has[(int)DayFault.Rain] = pour.Site.UnderSky && !pour.RainCover && weather.Rains(from, until);
        has[(int)DayFault.Drying] = outcome.PeakDeficitKgM2H > DeficitAct || outcome.PeakEvaporationKgM2H > Evaporation.ActKgPerM2H;
        has[(int)DayFault.Cold] = outcome.FrozenYoung || double.IsInfinity(outcome.FinalSetH) || (mixC < LeastMixColdC && ColdestC(weather, from, until) < ColdAirC);
        has[(int)DayFault.Hot] = mixC > MostMixC;
        has[(int)DayFault.Dark] = IsDark(start + Duration.FromHours(Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours)));
        has[(int)DayFault.Joint] = jointAge.TotalHours > JointLimitH(mixC) * member.SetFactor;
        has[(int)DayFault.Hands] = outcome.LateTask >= 0;
        return !has.Contains(true);
    }

    /// <summary>How far a day is from its limits.</summary>
    /// <param name="start">First water.</param>
    /// <param name="member">How it went.</param>
    /// <param name="outcome">What came of it.</param>
    internal DayMargins Margins(Instant start, Member member, in DayOutcome outcome)
    {
        var from = (start - member.Weather.Start).TotalHours;
        DayMargins margins = default;
        margins[DayMargins.Dark] = DarkMarginH((start - forecast.Start).TotalHours + Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours));
        margins[DayMargins.Drying] = Math.Max(outcome.PeakDeficitKgM2H / DeficitAct, outcome.PeakEvaporationKgM2H / Evaporation.ActKgPerM2H) - 1;
        margins[DayMargins.Hands] = Math.Max(outcome.TightH, -DaySimulation.Sight.TotalHours) - PassCrew.SlackH;
        margins[DayMargins.Frost] = FrostAirC - ColdestC(member.Weather, from, from + Math.Min(outcome.FinalSetH, DaySimulation.Sight.TotalHours));
        return margins;
    }

    /// <summary>So near to dusk or dawn, or to the last moment of a pass, that minutes decide.</summary>
    internal bool IsNear(Instant start, in DayOutcome outcome) =>
        Math.Abs(outcome.TightH - PassCrew.SlackH) < NearH || IsTwilight((start - forecast.Start).TotalHours + Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours));

    private bool Dark(double hour) => forecast.SurfaceAt(hour).SunWm2 < DarkWm2;

    private bool IsTwilight(double hour) => !pour.Lit && (Dark(hour - TwilightH) != Dark(hour) || Dark(hour + TwilightH) != Dark(hour));

    // By quarter hours, as far as it matters.
    private double DarkMarginH(double hour)
    {
        const double step = TwilightH, far = 6;
        if (pour.Lit)
        {
            return -far;
        }

        var dark = Dark(hour);
        var away = step;
        while (away < far && Dark(hour - away) == dark && Dark(hour + away) == dark)
        {
            away += step;
        }

        return dark ? away - step : step - away;
    }

    /// <summary>Air at the pour, °C.</summary>
    public double AirC(HourlyWeather weather, Instant at)
    {
        ArgumentNullException.ThrowIfNull(weather);
        return pour.Site.Of(weather.SurfaceAt((at - weather.Start).TotalHours)).AirC;
    }

    /// <summary>What the mix has when it is mixed, °C: materials stand out overnight.</summary>
    public double MixC(HourlyWeather weather, Instant start) => pour.MixC(AirC(weather, start));

    /// <summary>How old a batch may be when the next meets it, at a mix's temperature.</summary>
    public Duration JointLimit(double mixC) => Duration.FromHours(JointLimitH(mixC));

    /// <summary>The coldest air at the pour between two moments, °C, hour by hour.</summary>
    public double ColdestC(Instant from, Instant until) => ColdestC(forecast, (from - forecast.Start).TotalHours, (until - forecast.Start).TotalHours);

    /// <summary>The run of daylight that a moment lies in, or the next one.</summary>
    public Interval Light(Instant moment)
    {
        const double step = 0.25;
        const double sight = 24;
        bool Lit(double hour) => forecast.SurfaceAt(hour).SunWm2 >= DarkWm2;
        var from = (moment - forecast.Start).TotalHours;
        var dawn = from;
        for (; !Lit(dawn) && dawn < from + sight; dawn += step)
        {
        }

        for (; Lit(dawn - step) && dawn > from - sight; dawn -= step)
        {
        }

        var dusk = Math.Max(from, dawn);
        for (; Lit(dusk) && dusk < from + (2 * sight); dusk += step)
        {
        }

        return new Interval(forecast.Start + Duration.FromHours(dawn), forecast.Start + Duration.FromHours(dusk));
    }

    /// <summary>Nobody sees what they do; under a roof with walls there are lamps.</summary>
    public bool IsDark(Instant moment) =>
        !pour.Lit && forecast.SurfaceAt((moment - forecast.Start).TotalHours).SunWm2 < DarkWm2;

    /// <param name="start">First water.</param>
    /// <param name="members">At least one.</param>
    /// <param name="paths">To follow them with.</param>
    /// <param name="after">Called when a member was followed.</param>
    public StartOdds Odds(Instant start, IReadOnlyList<Member> members, DaySimulation paths, Action<int>? after = null)
    {
        ArgumentNullException.ThrowIfNull(members);
        ArgumentNullException.ThrowIfNull(paths);
        Span<bool> has = stackalloc bool[Kinds];
        Span<int> counts = stackalloc int[Kinds];
        counts.Clear();
        var done = new double[members.Count];
        var well = 0;
        for (var m = 0; m < members.Count; m++)
        {
            var outcome = paths.Run(members[m], start);
            done[m] = Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours);
            after?.Invoke(m);
            well += Judge(start, members[m], outcome, has) ? 1 : 0;
            for (var f = 0; f < Kinds; f++)
            {
                counts[f] += has[f] ? 1 : 0;
            }
        }

        Array.Sort(done);
        var faults = ImmutableArray.CreateBuilder<(DayFault, double)>();
        for (var f = 0; f < Kinds; f++)
        {
            if (counts[f] > 0)
            {
                faults.Add(((DayFault)f, (double)counts[f] / members.Count));
            }
        }

        faults.Sort((a, b) => b.Item2.CompareTo(a.Item2));
        return new StartOdds(
            (double)well / members.Count, (Members.Quantile(done, 0.1), Members.Quantile(done, 0.5), Members.Quantile(done, 0.9)), faults.ToImmutable());
    }

    private double JointLimitH(double mixC) => pour.JointProgress * pour.Mix.ToInitialSet.TotalHours / Math.Max(EquivalentAge.QuickRate(mixC), 0.01);

    private double ColdestC(HourlyWeather weather, double from, double until)
    {
        var coldest = double.PositiveInfinity;
        for (var h = from; h < until; h++)
        {
            coldest = Math.Min(coldest, pour.Site.Of(weather.SurfaceAt(h)).AirC);
        }

        return coldest;
    }
}
