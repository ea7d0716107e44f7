using SetFirm.Core.Batching;
using SetFirm.Core.Events;

namespace SetFirm.Core.PourDay;

/// <summary>A pass that someone has to make.</summary>
/// <param name="Zone">Which zone; one pass after another in each.</param>
/// <param name="Pass">Index in the zone's chain.</param>
/// <param name="OpensH">Not before.</param>
/// <param name="ClosesH">It is begun by then, or it is late.</param>
/// <param name="WorkH">What it takes one person.</param>
public record struct PassTask(int Zone, int Pass, double OpensH, double ClosesH, double WorkH)
{
    /// <summary>When it is begun; set by the crew.</summary>
    public double BeginsH { get; set; }

    /// <summary>Which pair of hands makes it, from 0; set by the crew.</summary>
    public int Hand { get; set; }

    /// <summary>How many share it; set by the crew.</summary>
    public int Hands { get; set; } = 1;

    /// <summary>When somebody was told to have begun it; NaN where nobody was.</summary>
    public double BegunH { get; init; } = double.NaN;

    public readonly double EndsH => BeginsH + (WorkH / Math.Max(1, Hands));

    /// <summary>How much too late it is begun, hours.</summary>
    public readonly double LateH => Math.Max(0, BeginsH - ClosesH);
}

/// <summary>When a pass may follow the one before it in its zone.</summary>
public interface IPassRests
{
    /// <param name="task">The later pass; its window.</param>
    /// <param name="doneH">The earlier one is done.</param>
    /// <returns>Its window with the rest before it.</returns>
    (double OpensH, double ClosesH) After(in PassTask task, double doneH);
}

/// <summary>Shares passes out among hands: whoever is free first takes, of those that are open, the one that closes first; those who are free with them share it.</summary>
/// <remarks>
/// Source: list scheduling by earliest due date. Passes of a zone come strictly one after another. While it is mixed one pair of hands stays at the mixer, as far as there are two.
/// </remarks>
public static class PassCrew
{
    public const int MostHands = EventLimits.MostHands;

    /// <summary>Late by less is on time, hours.</summary>
    public const double SlackH = 1.0 / 6;

    /// <summary>Less work than this is not worth another pair of hands, hours.</summary>
    private const double ShareH = 0.2;

    /// <summary>Hands that may be called away from mixing and placing at once.</summary>
    public static int CalledAway(Crew crew) => Math.Max(1, crew.Hands - 1);

    /// <param name="tasks">Zone by zone, each zone's in their order; each gets its beginning, and the window that the rest before it leaves.</param>
    /// <param name="hands">1 or more.</param>
    /// <param name="whileMixing">Of them, those that may be called away from the start.</param>
    /// <param name="mixingEndsH">When the rest are free.</param>
    /// <param name="rests">Between passes.</param>
    /// <param name="heads">Room for the task that comes next in each zone, as long as the tasks.</param>
    /// <param name="nowH">What is not begun begins no sooner; what is goes on until then at the least.</param>
    public static void Schedule<TRests>(
        Span<PassTask> tasks, int hands, int whileMixing, double mixingEndsH, TRests rests, Span<int> heads, double nowH = double.NegativeInfinity)
        where TRests : IPassRests
    {
        hands = Math.Clamp(hands, 1, MostHands);
        Span<double> free = stackalloc double[MostHands];
        for (var h = 0; h < hands; h++)
        {
            free[h] = Math.Max(nowH, h < whileMixing ? double.NegativeInfinity : mixingEndsH);
        }

        var zones = 0;
        for (var i = 0; i < tasks.Length; i++)
        {
            if (i == 0 || tasks[i].Zone != tasks[i - 1].Zone)
            {
                heads[zones++] = i;
            }
        }

        for (var i = zones - 1; i >= 0; i--)
        {
            if (!double.IsNaN(tasks[heads[i]].BegunH))
            {
                GoOn(ref tasks[heads[i]], free[..hands], nowH);
                zones = Next(tasks, heads, zones, i, tasks[heads[i]].EndsH, rests);
            }
        }

        while (zones > 0)
        {
            var first = 0;
            for (var h = 1; h < hands; h++)
            {
                first = free[h] < free[first] ? h : first;
            }

            var chosen = Choose(tasks, heads[..zones], free[first], out var others);
            ref var task = ref tasks[heads[chosen]];
            task.BeginsH = Math.Max(free[first], task.OpensH);
            var there = 0;
            for (var h = 0; h < hands; h++)
            {
                there += free[h] <= task.BeginsH ? 1 : 0;
            }

            (task.Hand, task.Hands) = (first, (int)Math.Clamp(Math.Min((double)there / (1 + others), Math.Ceiling(task.WorkH / ShareH)), 1, hands));
            var (needed, done) = (task.Hands - 1, task.EndsH);
            free[first] = done;
            for (var h = 0; h < hands && needed > 0; h++)
            {
                if (h != first && free[h] <= task.BeginsH)
                {
                    free[h] = done;
                    needed--;
                }
            }

            zones = Next(tasks, heads, zones, chosen, done, rests);
        }
    }

    // Somebody is at it.
    private static void GoOn(ref PassTask task, Span<double> free, double nowH)
    {
        var hand = 0;
        for (var h = 1; h < free.Length; h++)
        {
            hand = free[h] < free[hand] ? h : hand;
        }

        (task.BeginsH, task.Hand, task.Hands) = (task.BegunH, hand, 1);
        task.WorkH = Math.Max(task.WorkH, nowH - task.BegunH);
        free[hand] = Math.Max(free[hand], task.EndsH);
    }

    // The zone's next pass rests first; a zone that has none any more is left out.
    private static int Next<TRests>(Span<PassTask> tasks, Span<int> heads, int zones, int of, double done, TRests rests)
        where TRests : IPassRests
    {
        var next = heads[of] + 1;
        if (next < tasks.Length && tasks[next].Zone == tasks[heads[of]].Zone)
        {
            ref var follows = ref tasks[next];
            (follows.OpensH, follows.ClosesH) = rests.After(follows, done);
            heads[of] = next;
            return zones;
        }

        heads[of] = heads[zones - 1];
        return zones - 1;
    }

    // Of the tasks that come next in their zones: of those open by now the one that closes first; where none is open, the one that opens first; else that of the earlier zone.
    private static int Choose(ReadOnlySpan<PassTask> tasks, ReadOnlySpan<int> heads, double now, out int others)
    {
        var best = 0;
        for (var i = 1; i < heads.Length; i++)
        {
            ref readonly var a = ref tasks[heads[i]];
            ref readonly var b = ref tasks[heads[best]];
            var (openA, openB) = (a.OpensH <= now, b.OpensH <= now);
            var order = openA != openB ? (openA ? -1 : 1)
                : openA ? (a.ClosesH, a.Pass, a.Zone).CompareTo((b.ClosesH, b.Pass, b.Zone))
                : (a.OpensH, a.ClosesH, a.Zone).CompareTo((b.OpensH, b.ClosesH, b.Zone));
            best = order < 0 ? i : best;
        }

        // Those that want hands at the same moment.
        others = 0;
        var begins = Math.Max(now, tasks[heads[best]].OpensH);
        for (var i = 0; i < heads.Length; i++)
        {
            others += i != best && tasks[heads[i]].OpensH <= begins ? 1 : 0;
        }

        return best;
    }
}
