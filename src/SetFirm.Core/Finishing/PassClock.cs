using System.Collections.Immutable;
using SetFirm.Core.Events;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Finishing;

/// <summary>From when to when a pass may be made, hours on the day's clock; infinite where the concrete does not get so far.</summary>
public readonly record struct PassSpan(double OpensH, double ClosesH)
{
    public bool IsReached => double.IsFinite(OpensH) && double.IsFinite(ClosesH);
}

/// <summary>How a zone went: its oldest and its youngest concrete. Hours on the day's clock, save those of the marks and ages, which count from their own water.</summary>
public readonly ref struct ZoneCourse
{
    /// <summary>Water into its first batch.</summary>
    public required double OldestWaterH { get; init; }

    /// <summary>Water into its last.</summary>
    public required double YoungestWaterH { get; init; }

    /// <summary>Its first batch lies in the form.</summary>
    public required double FirstPlacedH { get; init; }

    /// <summary>All of it does; nothing but striking off opens before.</summary>
    public required double PlacedH { get; init; }

    /// <summary>Hours to each age of the clock.</summary>
    public required ReadOnlySpan<double> OldestReachedH { get; init; }

    public required ReadOnlySpan<double> YoungestReachedH { get; init; }

    public required SlabMarks Oldest { get; init; }

    public required SlabMarks Youngest { get; init; }

    /// <summary>The sheen stays this many times as long as the sums say.</summary>
    public required double SheenFactor { get; init; }
}

/// <summary>The passes of a finish with one mix: at which ages they open and close.</summary>
public sealed class PassClock
{
    private readonly double[] ages;
    private readonly int[] opens;
    private readonly int[] closes;
    private readonly int[] closesDragged;

    public PassClock(ImmutableArray<PassRule> rules, ConcreteMix mix)
    {
        ArgumentNullException.ThrowIfNull(mix);
        Rules = rules;
        var (initial, final) = (mix.ToInitialSet.TotalHours, mix.ToFinalSet.TotalHours);
        double Dragged(PassRule r) => (r.ClosesDragged > 0 ? r.ClosesDragged : r.Closes) * initial;
        ages = [.. rules.SelectMany(r => new[] { r.Opens * initial, r.Closes * initial, Dragged(r) }).Append(initial).Append(final).Distinct().Order()];
        opens = [.. rules.Select(r => Array.IndexOf(ages, r.Opens * initial))];
        closes = [.. rules.Select(r => Array.IndexOf(ages, r.Closes * initial))];
        closesDragged = [.. rules.Select(r => Array.IndexOf(ages, Dragged(r)))];
        (InitialSet, FinalSet) = (Array.IndexOf(ages, initial), Array.IndexOf(ages, final));
    }

    private PassClock(PassClock of, double factor)
    {
        (Rules, opens, closes, closesDragged, InitialSet, FinalSet) = (of.Rules, of.opens, of.closes, of.closesDragged, of.InitialSet, of.FinalSet);
        ages = [.. of.ages];
        for (var i = 0; i < ages.Length; i++)
        {
            ages[i] *= factor;
        }
    }

    public ImmutableArray<PassRule> Rules { get; }

    /// <summary>Of the same mix where it sets in so many times the time.</summary>
    public PassClock Setting(double factor) => new(this, factor);

    /// <summary>Equivalent hours, rising: a zone is followed until it has passed them all.</summary>
    public ReadOnlySpan<double> Ages => ages;

    /// <summary>Which of the ages is initial set.</summary>
    public int InitialSet { get; }

    /// <summary>Which of the ages is final set.</summary>
    public int FinalSet { get; }

    /// <summary>A window opens when the youngest of the zone is ready and all of it lies; it closes when the oldest is past it, never before it opens.</summary>
    /// <param name="rule">Index of the pass.</param>
    /// <param name="zone">How it went.</param>
    public PassSpan Span(int rule, in ZoneCourse zone)
    {
        var said = Rules[rule];
        var ready = said.Opens == 0 ? double.NegativeInfinity : zone.YoungestWaterH + zone.YoungestReachedH[opens[rule]];
        var open = Math.Max(said.Pass == Pass.StrikeOff ? zone.FirstPlacedH : zone.PlacedH, ready);
        if (said.WaitsForSheen && zone.Youngest.SheenGoneH is { } gone)
        {
            // Water that still stands at the drag is dragged off: later than that nobody waits.
            var stays = (zone.YoungestWaterH + gone - zone.PlacedH) * zone.SheenFactor;
            open = Math.Max(open, Math.Min(zone.YoungestWaterH + zone.Youngest.ToDragH, zone.PlacedH + stays));
        }

        if (said.ShutsSurface)
        {
            open = Math.Max(open, zone.YoungestWaterH + zone.Youngest.BleedsLittleH);
        }

        var close = zone.OldestWaterH + zone.OldestReachedH[zone.Oldest.Dragged ? closesDragged[rule] : closes[rule]];
        return new PassSpan(open, Math.Max(open, close));
    }
}
