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

    /// <summary>All of it does, from here on it bleeds and dries.</summary>
    public required double PlacedH { get; init; }

    /// <summary>And is struck off; nothing but striking off opens before.</summary>
    public required double StruckOffH { get; init; }

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
    /// <summary>Between the ages of its passes the clock is read off a line; no two lie further apart than this, s.</summary>
    private const double Grid = 0.1;

    private readonly double[] ages;
    private readonly int[] opens;
    private readonly int[] closes;
    private readonly double initial;

    public PassClock(ImmutableArray<PassRule> rules, ConcreteMix mix)
    {
        ArgumentNullException.ThrowIfNull(mix);
        Rules = rules;
        initial = mix.ToInitialSet.TotalHours;
        var final = mix.ToFinalSet.TotalHours;
        var last = Math.Max(final, rules.Select(r => Math.Max(r.Closes, r.ClosesLatest) * initial).DefaultIfEmpty(0).Max());
        // Joints are sawn long after: nothing between is asked for.
        var near = Math.Min(last, rules.Where(r => r.PaceM2H > 0).Select(r => Math.Max(r.Closes, r.ClosesLatest)).DefaultIfEmpty(0).Max() * initial);
        ages =
        [
            .. rules.SelectMany(r => new[] { r.Opens * initial, r.Closes * initial }).Append(initial).Append(final)
                .Concat(Enumerable.Range(0, (int)Math.Ceiling(near / (Grid * initial)) + 1).Select(i => i * Grid * initial)).Where(a => a <= last).Distinct().Order(),
        ];
        opens = [.. rules.Select(r => Array.IndexOf(ages, r.Opens * initial))];
        closes = [.. rules.Select(r => Array.IndexOf(ages, r.Closes * initial))];
        (InitialSet, FinalSet) = (Array.IndexOf(ages, initial), Array.IndexOf(ages, final));
    }

    private PassClock(PassClock of, double factor)
    {
        (Rules, opens, closes, InitialSet, FinalSet) = (of.Rules, of.opens, of.closes, of.InitialSet, of.FinalSet);
        initial = of.initial * factor;
        ages = [.. of.ages];
        for (var i = 0; i < ages.Length; i++)
        {
            ages[i] *= factor;
        }
    }

    public ImmutableArray<PassRule> Rules { get; }

    /// <summary>Of the same mix where it sets in so many times the time.</summary>
    public PassClock Setting(double factor) => new(this, factor);

    /// <summary>Equivalent hours, rising from 0: a zone is followed until it has passed them all.</summary>
    public ReadOnlySpan<double> Ages => ages;

    /// <summary>Which of the ages is initial set.</summary>
    public int InitialSet { get; }

    /// <summary>Which of the ages is final set.</summary>
    public int FinalSet { get; }

    /// <summary>Hours from its water until a batch has come to a set progress.</summary>
    /// <param name="progress">s; what lies past the last age goes on at the rate before it.</param>
    /// <param name="reachedH">Hours to each age.</param>
    public double HoursAt(double progress, ReadOnlySpan<double> reachedH) => Read(ages, reachedH, progress * initial);

    /// <summary>Set progress of a batch so many hours from its water.</summary>
    public double ProgressAt(double hours, ReadOnlySpan<double> reachedH) => Read(reachedH, ages, hours) / initial;

    /// <summary>A window opens when the youngest of the zone is ready and all of it lies; it closes when the oldest is past it, never before it opens.</summary>
    /// <param name="rule">Index of the pass.</param>
    /// <param name="zone">How it went.</param>
    public PassSpan Span(int rule, in ZoneCourse zone)
    {
        var said = Rules[rule];
        var ready = said.Opens == 0 ? double.NegativeInfinity : zone.YoungestWaterH + zone.YoungestReachedH[opens[rule]];
        var open = Math.Max(said.Pass == Pass.StrikeOff ? zone.FirstPlacedH : zone.StruckOffH, ready);
        var close = zone.OldestWaterH + zone.OldestReachedH[closes[rule]];
        if (said.WaitsForSheen)
        {
            if (SheenGoneH(zone.Youngest, zone.YoungestWaterH, zone) is { } gone)
            {
                open = Math.Max(open, gone);
                close = Math.Max(close, After(gone, zone.YoungestWaterH, zone.YoungestReachedH, PassRule.OpenAfterSheen, said.ClosesLatest));
            }

            if (SheenGoneH(zone.Oldest, zone.OldestWaterH, zone) is { } first)
            {
                close = Math.Max(close, After(first, zone.OldestWaterH, zone.OldestReachedH, PassRule.AfterSheen, said.ClosesLatest));
            }
        }

        if (said.ShutsSurface)
        {
            open = Math.Max(open, zone.YoungestWaterH + zone.Youngest.BleedsLittleH);
        }

        return new PassSpan(open, Math.Max(open, close));
    }

    /// <summary>So much set progress after a moment, but not past a limit; the moment itself where it is past it already.</summary>
    public double After(double hours, double waterH, ReadOnlySpan<double> reachedH, double more, double most) =>
        double.IsFinite(hours) ? Math.Max(hours, waterH + HoursAt(Math.Min(most, ProgressAt(hours - waterH, reachedH) + more), reachedH)) : hours;

    // Water that still stands at the drag is dragged off: later than that nobody waits.
    private static double? SheenGoneH(in SlabMarks marks, double waterH, in ZoneCourse zone)
    {
        if (marks.SheenGoneH is not { } gone)
        {
            return null;
        }

        var placed = waterH + (zone.PlacedH - zone.YoungestWaterH);
        return Math.Min(waterH + marks.ToDragH, placed + ((waterH + gone - placed) * zone.SheenFactor));
    }

    // Both rise; past the last known the last rate goes on.
    private static double Read(ReadOnlySpan<double> from, ReadOnlySpan<double> to, double at)
    {
        var i = 1;
        while (i < Math.Min(from.Length, to.Length) - 1 && from[i] < at && double.IsFinite(to[i + 1]) && double.IsFinite(from[i + 1]))
        {
            i++;
        }

        var (a, b) = (from[i - 1], from[i]);
        if (!double.IsFinite(b) || !double.IsFinite(to[i]))
        {
            // It never gets so far.
            return at <= a || !double.IsFinite(b) ? to[i - 1] : double.PositiveInfinity;
        }

        return b <= a ? to[i] : to[i - 1] + ((at - a) / (b - a) * (to[i] - to[i - 1]));
    }
}
