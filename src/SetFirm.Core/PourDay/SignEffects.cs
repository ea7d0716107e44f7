using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>The windows as they would be without the last thing told, beside those that are.</summary>
internal static class SignEffects
{
    /// <param name="task">As said.</param>
    /// <param name="weather">Hours at the site.</param>
    /// <param name="facts">What was told.</param>
    /// <param name="fine">Follows a zone closely.</param>
    /// <param name="coarse">And for many paths.</param>
    /// <param name="zones">As they are now.</param>
    /// <param name="retimed">What the signs say now.</param>
    /// <returns>Null where nothing that moves a clock was told.</returns>
    public static SignEffect? Of(
        PourTask task, HourlyWeather weather, DayFacts facts, ISlabModel fine, ISlabModel coarse, ImmutableArray<ZonePlan> zones, Retiming retimed)
    {
        if (facts.BeforeLastSign() is not ({ } before, var sign))
        {
            return null;
        }

        var load = before.Hands is { } hands ? task.Load.With(task.Load.Crew with { Hands = hands }) : task.Load;
        var was = DayPlanner.Known(task, load, weather, before, fine, coarse);
        if (was.Pour.Zones.Length != zones.Length)
        {
            return null;
        }

        var best = new DaySimulation(was.Pour, fine, Closeness.Ends, progress: new DayProgress(before, was.Pour, was.Start));
        best.Run(was.Retimed!.Likeliest(weather), was.Start);
        var moved = new List<WindowMoved>();
        for (var z = 0; z < zones.Length; z++)
        {
            foreach (var pass in zones[z].Passes.Where(p => p.Done is null && p.Begins is not null && p.Closes > facts.Now))
            {
                var p = was.Pour.Zones[z].Rules.IndexOf(was.Pour.Zones[z].Rules.First(r => r.Pass == pass.Pass));
                var span = best.Spans[best.FirstSpanOf(z) + p];
                if (!span.IsReached || span.ClosesH > DaySimulation.Sight.TotalHours)
                {
                    continue;
                }

                var (opens, closes) = (was.Start + Duration.FromHours(span.OpensH), was.Start + Duration.FromHours(span.ClosesH));
                if (Apart(opens, pass.Opens) || Apart(closes, pass.Closes))
                {
                    moved.Add(new WindowMoved(z + 1, pass.Pass, new Window(opens, closes), new Window(pass.Opens, pass.Closes)));
                }
            }
        }

        int? zone = sign switch
        {
            JobEvent.ThumbTest e => e.Zone,
            JobEvent.SheenGone e => e.Zone,
            JobEvent.PassBegun e => e.Zone,
            JobEvent.PassDone e => e.Zone,
            _ => null,
        };
        double Later(Retiming of) => Retiming.LaterPct(zone is { } n && n <= zones.Length ? of.Set.Zones[n - 1].Mean : of.Set.Common.Mean);
        return new SignEffect(sign, zone, Later(was.Retimed!), Later(retimed), [.. moved.OrderBy(m => m.After.Opens).ThenBy(m => m.Zone)]);
    }

    // By more than a minute.
    private static bool Apart(Instant a, Instant b) => Math.Abs((a - b).TotalMinutes) > 1;
}
