using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.PourDay;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>The ranking of starts against the sum over every hour and every way, which it stands in for.</summary>
public sealed class StartRaceTests
{
    private const int Yards = 30;
    private const int Hours = 72;
    private const int Ways = 200;

    /// <summary>Two starts of one chance differ by less than a point.</summary>
    private const double Point = 0.01;

    private static readonly HeatBalanceSlab Coarse = new(stepsInHour: HeatBalanceSlab.CoarseStepsInHour);

    [Fact]
    public void Chances_and_the_best_hour_are_those_of_the_full_sum_over_thirty_yards_and_weathers()
    {
        var (off, all, decided, between) = (0, 0, 0, 0);
        for (var yard = 0; yard < Yards; yard++)
        {
            var (weather, settled) = Yard(yard);
            Instant[] starts = [.. Enumerable.Range(0, Hours).Select(h => weather.Start + Duration.FromHours(h))];
            var full = StartRanking.InFull(starts, weather, Members.Of(weather, Ways), Coarse, _ => settled);
            var race = StartRanking.Odds(starts, weather, Ways, Coarse, _ => settled);
            off += full.Zip(race).Count(o => Math.Abs(o.First.Chance - o.Second.Chance) > (2 * Point) + 1e-9);
            all += Hours;
            decided += full.Count(o => o.Chance is 0 or 1);
            between += full.Count(o => o.Chance is > 0.05 and < 0.95);
            var (best, raced) = (Best(full), Best(race));
            (raced is null).ShouldBe(best is null, $"yard {yard}");
            if (best is { } b && raced is { } r && b != r)
            {
                full[r].Chance.ShouldBeGreaterThanOrEqualTo(full[b].Chance - Point - 1e-9, $"yard {yard}: hour {b} is best, {r} is told");
            }
        }

        ((double)off / all).ShouldBeLessThanOrEqualTo(Point, $"{off} of {all} hours are over two points off");
        // The yards try it: hours that are plain, and hours that hang in the balance.
        decided.ShouldBeGreaterThan(all / 10);
        between.ShouldBeGreaterThan(all / 5);
    }

    [Fact]
    public void A_day_by_its_marks_is_the_day_that_was_followed()
    {
        for (var yard = 0; yard < Yards; yard++)
        {
            var (weather, settled) = Yard(yard);
            var (day, other) = (new DaySimulation(settled.Pour, Coarse, Closeness.Few), new DaySimulation(settled.Pour, Coarse, Closeness.Few));
            var marks = new double[day.MarksLength];
            foreach (var member in Members.Of(weather, 4))
            {
                var start = weather.Start + Duration.FromHours(8);
                day.Follow(member, start, marks);
                day.Of(member, marks).ShouldBe(other.Run(member, start));
            }
        }
    }

    private static int? Best(StartOdds[] odds) => Enumerable.Range(0, odds.Length).Where(i => odds[i].Chance >= 0.5)
        .OrderByDescending(i => Math.Round(odds[i].Chance / 0.05)).ThenBy(i => odds[i].DoneH.Median).Select(i => (int?)i).FirstOrDefault();

    // Warm and cold, wet and dry, windy and still; one to five zones, one to three people, one finish or another.
    private static (HourlyWeather Weather, Settled Settled) Yard(int seed)
    {
        var random = new Random(seed * 7919);
        double Between(double least, double most) => least + (random.NextDouble() * (most - least));
        var (air, swing, humidity, wind, sun, rain) = (Between(2, 28), Between(2, 7), Between(0.35, 0.9), Between(3, 25), Between(150, 850), Between(0, 0.06));
        var weather = Samples.Weather(Enumerable.Range(0, Hours + 72).Select(h => Samples.Mild with
        {
            AirC = air + (swing * Math.Cos(2 * Math.PI * (h - 15) / 24)) + Between(-1, 1),
            Humidity = Math.Clamp(humidity + (0.15 * Math.Cos(2 * Math.PI * (h - 3) / 24)) + Between(-0.05, 0.05), 0.2, 1),
            WindKmh = Math.Max(0, wind + Between(-4, 4)),
            SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 5) / 15)),
            RainChance = Math.Clamp(rain * Between(0, 2), 0, 1),
        }));
        var zones = 1 + random.Next(5);
        var finish = new[] { Finish.Broom, Finish.Steel, Finish.Mag }[random.Next(3)];
        var (rules, depth) = (Finishes.Chain(finish, rapid: false), Between(60, 180));
        var pour = new DayPour
        {
            Mix = Samples.Mix(),
            Zones = [.. Enumerable.Range(0, zones).Select(z => new DayZone(rules, Length.FromMillimetres(depth + z), Below.Soil, 4, 0.4 * z, (0.4 * z) + 0.3, (0.4 * z) + 0.1, (0.4 * z) + 0.4, (0.4 * z) + 0.4))],
            Crew = new Crew(1 + random.Next(3)),
            MixingEndsH = 0.4 * zones,
            WaterC = 12,
            Conditions = new SiteConditions(Shelter.Open, Shade.None, false, false),
            Site = Microclimate.Open,
            Cover = SlabCover.Shut,
        };
        return (weather, new Settled(new PourSchedule([], Duration.Zero, Duration.FromMinutes(10)), pour, []));
    }
}
