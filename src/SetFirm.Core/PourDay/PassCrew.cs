using SetFirm.Core.Batching;

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

    public readonly double EndsH => BeginsH + WorkH;

    /// <summary>How much too late it is begun, hours.</summary>
    public readonly double LateH => Math.Max(0, BeginsH - ClosesH);
}

/// <summary>Shares passes out among hands: whoever is free first takes, of those that are open, the one that closes first.</summary>
/// <remarks>Source: list scheduling by earliest due date. One person makes a pass; placing keeps its hands until mixing ends.</remarks>
public static class PassCrew
{
    public const int MostHands = 8;

    /// <summary>Late by less is on time, hours.</summary>
    public const double SlackH = 1.0 / 6;

    /// <summary>Hands that need not mix, wheel or place.</summary>
    public static int FreeWhileMixing(Crew crew) => Math.Max(0, crew.Hands - crew.Running - 1);

    /// <param name="tasks">In any order; each gets its beginning.</param>
    /// <param name="hands">1 or more.</param>
    /// <param name="freeWhileMixing">Of them, those that are free from the start.</param>
    /// <param name="mixingEndsH">When the rest are.</param>
    /// <param name="order">Room to work in, as long as the tasks.</param>
    public static void Schedule(Span<PassTask> tasks, int hands, int freeWhileMixing, double mixingEndsH, Span<int> order)
    {
        hands = Math.Clamp(hands, 1, MostHands);
        Span<double> free = stackalloc double[MostHands];
        for (var h = 0; h < hands; h++)
        {
            free[h] = h < freeWhileMixing ? double.NegativeInfinity : mixingEndsH;
        }

        // By zone and pass, so that the first of a zone that is left is the one that comes next in it.
        for (var i = 0; i < tasks.Length; i++)
        {
            order[i] = i;
        }

        for (var left = tasks.Length; left > 0; left--)
        {
            var hand = 0;
            for (var h = 1; h < hands; h++)
            {
                hand = free[h] < free[hand] ? h : hand;
            }

            var chosen = Choose(tasks, order[..left], free[hand]);
            ref var task = ref tasks[order[chosen]];
            (task.Hand, task.BeginsH) = (hand, Math.Max(free[hand], task.OpensH));
            free[hand] = task.EndsH;
            for (var i = 0; i < left; i++)
            {
                ref var other = ref tasks[order[i]];
                if (other.Zone == task.Zone && other.Pass > task.Pass)
                {
                    other.OpensH = Math.Max(other.OpensH, task.EndsH);
                }
            }

            order[chosen] = order[left - 1];
        }
    }

    // Of the tasks open by now the one that closes first, of several the earlier pass; where none is open, the one that opens first.
    private static int Choose(ReadOnlySpan<PassTask> tasks, ReadOnlySpan<int> left, double now)
    {
        var best = 0;
        for (var i = 1; i < left.Length; i++)
        {
            var (a, b) = (tasks[left[i]], tasks[left[best]]);
            var (openA, openB) = (a.OpensH <= now, b.OpensH <= now);
            var better = openA != openB ? openA : openA ? (a.ClosesH, a.Pass).CompareTo((b.ClosesH, b.Pass)) < 0 : (a.OpensH, a.ClosesH).CompareTo((b.OpensH, b.ClosesH)) < 0;
            best = better ? i : best;
        }

        return best;
    }
}
