using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.PourDay;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Web.Demo;

/// <summary>Two days that Ines and Odd have behind them, as they told of them: made from the same slab that plans are made of, a little slower than planned.</summary>
internal static class DemoPours
{
    public const string BinStand = "Bin stand";
    public const string CellarLanding = "Cellar landing";

    /// <summary>How the two days went.</summary>
    /// <param name="Pace">A round took so many times as long.</param>
    /// <param name="Set">It set in so many times its time.</param>
    /// <param name="Sheen">Its sheen stayed so many times as long.</param>
    /// <param name="Finishing">Passes took so many times as long.</param>
    /// <param name="MoreBags">Than planned.</param>
    /// <param name="BroomedSoonMin">Before it was ready.</param>
    private sealed record Went(double Pace, double Set, double Sheen, double Finishing, int MoreBags, double BroomedSoonMin);

    /// <summary>What was told of a job; of all others nothing.</summary>
    /// <param name="job">Of the demo.</param>
    /// <param name="weather">As it came.</param>
    public static IEnumerable<JobEvent> Told(JobDocument job, HourlyWeather weather) => job.Name switch
    {
        BinStand => Told(job, weather, new Went(1.3, 1.16, 1.2, 1.25, 2, 45)),
        CellarLanding => Told(job, weather, new Went(1.24, 1.12, 1.15, 1.2, 1, 0)),
        _ => [],
    };

    private static List<JobEvent> Told(JobDocument job, HourlyWeather weather, Went went)
    {
        var pour = Planner.Plan(job, weather).Pour!;
        var day = pour.Day!;
        var told = new List<JobEvent> { new JobEvent.DayBegun { Id = Guid.CreateVersion7(), At = day.Start, Plan = day.Planned, Device = "Ines" } };
        for (var i = 0; i < day.Planned.Batches.Count; i++)
        {
            var batch = day.Planned.Batches[i];
            var begun = day.Start + ((batch.Begun - day.Start) * went.Pace);
            told.Add(new JobEvent.BatchMixing { Id = Guid.CreateVersion7(), At = begun, Batch = i + 1, Device = "Ines" });
            told.Add(new JobEvent.BatchPlaced { Id = Guid.CreateVersion7(), At = begun + ((batch.Placed - batch.Begun) * went.Pace), Batch = i + 1, Device = "Odd" });
        }

        var course = HiddenDay.Of(pour.Load.Task!, new Member(weather, went.Set, went.Sheen) { ZoneFactors = [.. day.Zones.Select(_ => went.Set)] })
            .Went(DayFacts.Of(Core.Events.Told.Of(told), told[^1].At)!, day.Planned);
        for (var z = 0; z < course.Zones; z++)
        {
            if (course.SheenGone(z) is { } gone)
            {
                told.Add(new JobEvent.SheenGone { Id = Guid.CreateVersion7(), At = gone, Zone = z + 1, Device = "Odd" });
            }

            if (course.When(z, 0.6) is { } firm)
            {
                told.Add(new JobEvent.ThumbTest { Id = Guid.CreateVersion7(), At = firm, Zone = z + 1, Mark = ThumbMark.ThreeMm, Device = "Odd" });
            }

            var free = day.Start;
            foreach (var rule in day.Pour.Zones[z].Rules.Where(r => r.PaceM2H > 0))
            {
                if (course.Window(z, rule) is not { } window || day.Zones[z].Passes.FirstOrDefault(p => p.Pass == rule.Pass) is not { Hands: > 0 } pass)
                {
                    continue;
                }

                var soon = rule.Pass == Pass.Broom ? Duration.FromMinutes(went.BroomedSoonMin) : Duration.Zero;
                var begun = Instant.Max(window.Opens - soon, free);
                free = begun + (pass.Work / pass.Hands * went.Finishing);
                told.Add(new JobEvent.PassBegun { Id = Guid.CreateVersion7(), At = begun, Zone = z + 1, Pass = rule.Pass, Device = "Odd" });
                told.Add(new JobEvent.PassDone { Id = Guid.CreateVersion7(), At = free, Zone = z + 1, Pass = rule.Pass, Device = "Odd" });
            }
        }

        var over = told.Max(l => l.At);
        told.Add(new JobEvent.DayClosed { Id = Guid.CreateVersion7(), At = over + Duration.FromMinutes(25), Washed = true, HoldBackUsed = true, BagsLeft = 0, BagsUsed = Math.Ceiling(pour.Load.Bags!.Value) + went.MoreBags, Device = "Ines" });
        if (went.BroomedSoonMin > 0)
        {
            told.Add(new JobEvent.FaultSeen
            {
                Id = Guid.CreateVersion7(),
                At = over + Duration.FromHours(40),
                Sign = FaultSign.TornLines,
                Element = "element-1",
                AlongM = 1.9,
                InM = 0.8,
                Note = "The broom pulled stones out near the corner.",
                Device = "Ines",
            });
        }

        return told;
    }
}
