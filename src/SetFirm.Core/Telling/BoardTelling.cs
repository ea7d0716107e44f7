using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.PourDay;

namespace SetFirm.Core.Telling;

/// <summary>A pour's board, as it is shown.</summary>
internal static class BoardTelling
{
    public static BoardReport Of(DayPlan plan)
    {
        var (timed, facts) = (plan.Retimed, plan.Facts);
        var soFar = timed?.SoFar.Batches ?? [];
        return new BoardReport(
            plan.Planned,
            facts is not null,
            facts?.Closed,
            facts?.Now,
            plan.Crew.Hands,
            EventLimits.MostHands,
            Mixing(plan, soFar),
            [
                .. plan.Zones.Select((z, i) => new BoardZone(
                    z.Number, timed is null ? 0 : Retiming.LaterPct(timed.Set.Zones[i].Mean), Retiming.LaterPct(timed?.Set.Zones[i].Deviation ?? Math.Log(1 + Setting.Members.SetDoubt)),
                    timed?.Signs.Count(s => s.Zone == i && s.Line is not JobEvent.SheenGone) ?? 0, facts?.SheenGone(i))),
            ],
            [
                .. plan.Zones.SelectMany(z => z.Passes.Where(p => p.Done is null && p.Begins is not null).Select(p => new BoardTask(
                    z.Number, p.Pass, z.LastBatch, p.Opens, p.Closes, p.Begins!.Value, p.Begins.Value + (p.Work / Math.Max(1, p.Hands)), p.Hands, p.Begun)))
                    .OrderBy(t => t.Begins).ThenBy(t => t.Closes).ThenBy(t => t.Zone),
            ],
            plan.LastChange,
            plan.Ahead);
    }

    private static BoardMixing Mixing(DayPlan plan, ImmutableArray<BatchSoFar> soFar)
    {
        var batches = plan.Schedule.Batches;
        var inMixer = soFar is [.., { Placed: null }];
        // The one that hands are at, or come to next.
        var hand = inMixer ? soFar.Length - 1 : soFar.Length;
        Instant? by = null;
        if (hand > 0 && hand < batches.Length && plan.Facts?.JointsAfter.Contains(hand) != true)
        {
            var lies = batches[hand - 1].WaterAdded + plan.KnitsWithin;
            by = inMixer ? lies : lies - (batches[hand].Placed - batches[hand].Begun);
        }

        return new BoardMixing(
            [.. soFar.Select(b => new BoardBatch(b.Begun!.Value, b.Placed))], batches.Length, soFar.Length < batches.Length ? batches[soFar.Length].Begun : null,
            inMixer ? batches[hand].Placed : null, by, plan.Schedule.MixingEnds, plan.Planned.MixingEnds, plan.Retimed?.SoFar.PaceFactor ?? 1,
            plan.Schedule.JointAge.TotalMinutes, plan.KnitsWithin.TotalMinutes);
    }
}
