using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>What the signs of a day say of its clock.</summary>
/// <param name="Set">How slowly each zone sets.</param>
/// <param name="Sheen">Logarithm of how many times as long as reckoned the sheens stay.</param>
/// <param name="Signs">What was read, of the set and then of the sheen.</param>
/// <param name="SoFar">The batches.</param>
/// <param name="Now">Known as of then.</param>
public sealed record Retiming(SetBelief Set, Guess Sheen, ImmutableArray<SignTold> Signs, BatchesSoFar SoFar, Instant Now)
{
    /// <param name="pour">As it was placed.</param>
    /// <param name="model">Follows zones.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="start">First water.</param>
    /// <param name="facts">What was told.</param>
    /// <param name="soFar">The batches.</param>
    internal static Retiming Of(DayPour pour, ISlabModel model, HourlyWeather weather, Instant start, DayFacts facts, BatchesSoFar soFar)
    {
        var reader = new SignReader(pour, model, weather, start, facts);
        var ofSet = reader.OfSet();
        var set = SetBelief.Of(pour.Zones.Length, 0, ofSet.Select(s => s.Says));
        var sheen = reader.Sheen(set, out var ofSheen);
        return new Retiming(set, sheen, [.. ofSet, .. ofSheen], soFar, facts.Now);
    }

    /// <summary>So much later than planned, percent; sooner under 0.</summary>
    /// <param name="factor">Logarithm of a set or sheen factor.</param>
    public static double LaterPct(double factor) => 100 * (Math.Exp(factor) - 1);

    /// <summary>The one way that is most probable.</summary>
    /// <param name="weather">As foreseen.</param>
    public Member Likeliest(HourlyWeather weather) =>
        new(weather, Math.Exp(Set.Common.Mean), Math.Exp(Sheen.Mean)) { ZoneFactors = [.. Set.Zones.Select(z => Math.Exp(z.Mean))] };
}

/// <summary>A window that a sign moved.</summary>
/// <param name="Zone">From 1.</param>
/// <param name="Pass">Which.</param>
/// <param name="Before">Opens and closes by what was known before it.</param>
/// <param name="After">And since.</param>
public sealed record WindowMoved(int Zone, Pass Pass, Window Before, Window After);

/// <summary>From its opening to its closing.</summary>
public sealed record Window(Instant Opens, Instant Closes);

/// <summary>What the last thing told changed.</summary>
/// <param name="Sign">What was told.</param>
/// <param name="Zone">From 1; null where it was of no zone.</param>
/// <param name="LaterPctBefore">That zone, or the pour, was taken to set so much later than planned, percent; sooner under 0.</param>
/// <param name="LaterPct">And is since.</param>
/// <param name="Moved">Windows that have still to come and moved by more than a minute, the soonest first.</param>
public sealed record SignEffect(JobEvent Sign, int? Zone, double LaterPctBefore, double LaterPct, ImmutableArray<WindowMoved> Moved);
