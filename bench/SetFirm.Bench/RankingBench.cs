using System.Collections.Immutable;
using System.Diagnostics;
using System.Globalization;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;
using SetFirm.Web.Weather;

namespace SetFirm.Bench;

/// <summary>
/// Every hour of a fortnight judged over two hundred ways it may go, with six zones; goals: 0.35 s on two processors, 60 MB, and a cost that
/// grows in line with members and zones. Told as the medians of rounds in which the sizes take turns, so that all see the same machine.
/// </summary>
internal static class RankingBench
{
    private const int Starts = 336;
    private const int Members = 200;
    private const int Zones = 6;
    private const int Rounds = 7;

    private static readonly Instant From = Instant.FromUtc(2027, 5, 4, 0, 0);
    private static readonly HourlyWeather Weather = new SimulatedForecast().Hours(From, (14 * 24) + 48);
    private static readonly HeatBalanceSlab Model = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    public static int Run()
    {
        var from = Stopwatch.GetTimestamp();
        GC.KeepAlive(Core.Setting.Members.Of(Weather, 2 * Members));
        Print($"drawing {2 * Members} paths of the weather, once a forecast: {Stopwatch.GetElapsedTime(from).TotalMilliseconds:0} ms");
        Once(Members, Zones);
        Once(Members, Zones);
        var (whole, members, zones, allocated) = (new List<double>(), new List<double>(), new List<double>(), 0L);
        for (var round = 0; round < Rounds; round++)
        {
            var before = GC.GetTotalAllocatedBytes();
            whole.Add(Once(Members, Zones));
            allocated = GC.GetTotalAllocatedBytes() - before;
            members.Add(Once(2 * Members, Zones) / whole[^1]);
            zones.Add(Once(Members, 2 * Zones) / whole[^1]);
        }

        Print($"{Starts} starts x {Members} members x {Zones} zones on {Environment.ProcessorCount} processors: median {Times.Percentile(whole, 0.5):0.000} s of {whole.Min():0.000}-{whole.Max():0.000}; goal 0.35 s");
        Print($"a zone followed in {Times.Percentile(whole, 0.5) * Environment.ProcessorCount / (Starts * Members * Zones) * 1e6:0.00} us of processor");
        Print($"twice the members {Times.Percentile(members, 0.5):0.00} x, twice the zones {Times.Percentile(zones, 0.5):0.00} x");
        using var process = Process.GetCurrentProcess();
        Print($"heap after it {GC.GetTotalMemory(forceFullCollection: true) / 1e6:0} MB, most the process ever held {process.PeakWorkingSet64 / 1e6:0} MB (runtime included), passed through the heap in a ranking {allocated / 1e6:0} MB; goal 60 MB");
        Shares();
        return 0;
    }

    private static double Once(int members, int zones)
    {
        var pour = Pour(zones);
        var settled = new Settled(new PourSchedule([], Duration.Zero, Duration.FromMinutes(10)), pour, []);
        Instant[] starts = [.. Enumerable.Range(0, Starts).Select(h => From + Duration.FromHours(h))];
        var from = Stopwatch.GetTimestamp();
        GC.KeepAlive(StartRanking.Odds(starts, Weather, members, Model, _ => settled));
        return Stopwatch.GetElapsedTime(from).TotalSeconds;
    }

    // On one processor, so that the parts add up: following the slabs alone, with the windows and the crew, and with the judging.
    private static void Shares()
    {
        var pour = Pour(Zones);
        var (paths, judge) = (new DaySimulation(pour, Model), new DayJudge(pour, Weather, Duration.FromMinutes(10)));
        var members = Core.Setting.Members.Of(Weather, Members);
        var clock = new PassClock(pour.Zones[0].Rules, pour.Mix);
        var reached = new double[clock.Ages.Length];
        var (slabs, days, all) = (new List<double>(), new List<double>(), new List<double>());
        Instant[] starts = [.. Enumerable.Range(0, Starts / 12).Select(i => From + Duration.FromHours(12 * i))];
        for (var round = 0; round < Rounds; round++)
        {
            var from = Stopwatch.GetTimestamp();
            foreach (var start in starts)
            {
                foreach (var member in members)
                {
                    foreach (var zone in pour.Zones)
                    {
                        Model.Mark(
                            new ZonePour(pour.Mix, zone.Depth, 18, start + Duration.FromHours(zone.MiddleWaterH)) { ToPlaced = Duration.FromMinutes(6), Site = pour.Site },
                            member.Weather, clock.Ages, 10, DaySimulation.Sight, reached);
                    }
                }
            }

            slabs.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            from = Stopwatch.GetTimestamp();
            foreach (var start in starts)
            {
                foreach (var member in members)
                {
                    paths.Run(member, start);
                }
            }

            days.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
            from = Stopwatch.GetTimestamp();
            foreach (var start in starts)
            {
                judge.Odds(start, members, paths);
            }

            all.Add(Stopwatch.GetElapsedTime(from).TotalMilliseconds);
        }

        var (s, d, a) = (Times.Percentile(slabs, 0.5), Times.Percentile(days, 0.5), Times.Percentile(all, 0.5));
        Print($"share of the time: following the slabs {s / a:0 %}, windows and crew {(d - s) / a:0 %}, judging {(a - d) / a:0 %}");
    }

    private static DayPour Pour(int zones)
    {
        var mix = new ConcreteMix(
            MixFamily.Portland, Strength.FromMegapascals(25), 310, 170, 2060, 170.0 / 310, 0.02, Duration.FromHours(5), Duration.FromHours(7), AgeCoefficients.Of(MixFamily.Portland));
        var rules = Finishes.Chain(Finish.Broom, rapid: false);
        ImmutableArray<DayZone> made = [.. Enumerable.Range(0, zones).Select(z => new DayZone(rules, Length.FromMillimetres(100 + z), Below.Soil, 3, 0.4 * z, (0.4 * z) + 0.3, (0.4 * z) + 0.1, (0.4 * z) + 0.4, (0.4 * z) + 0.4))];
        return new DayPour { Mix = mix, Zones = made, Crew = new Crew(2), MixingEndsH = 0.4 * zones, WaterC = 12, Conditions = new SiteConditions(Shelter.Open, Shade.None, false, false), Site = Microclimate.Open, Cover = SlabCover.Shut };
    }

    private static void Print(FormattableString text) => Console.WriteLine(text.ToString(CultureInfo.InvariantCulture));
}
