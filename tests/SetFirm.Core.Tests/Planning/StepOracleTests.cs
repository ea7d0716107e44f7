using CsCheck;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Setting;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What the steps work out quickly, worked out again slowly and by another way.</summary>
public sealed class StepOracleTests
{
    [Fact]
    public void Dates_are_those_of_a_walk_through_the_cure_minute_by_minute() =>
        Gen.Select(Gen.Double[6, 30], Gen.Double[0.5, 14], Gen.Double[0, 8]).Sample(
            (meanC, wetDays, swingC) =>
            {
                var weather = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = meanC + (swingC * Math.Cos(2 * Math.PI * (h - 15) / 24)) }));
                var job = Samples.Terrace().Cured(CuringMethod.Plastic, wetDays);
                var report = Plans.Of(job, weather);
                var mix = BagCatalogue.Find(BagCatalogue.DefaultMetric)!;
                var f28 = report.Mix!.F28Mpa;
                var youngest = report.Load!.Batches[^1].WaterAdded!.Value;
                var wetMinutes = (report.Cure!.WetUntil - youngest).TotalMinutes;
                var last = report.Load.Batches[^1];
                var concrete = mix.MixedWith(mix.MiddleWater, Core.Quantities.Strength.FromMegapascals(f28));
                var reached = Walked(weather, youngest, report.Day!.MixC, concrete, mix, f28, wetMinutes, last.Placed!.Value - youngest);
                foreach (var milestone in report.Cure.Milestones.Where(m => m.Milestone is Milestone.FreezeOnce or Milestone.Walk or Milestone.Furniture or Milestone.Cars))
                {
                    var floor = milestone.Milestone switch { Milestone.Walk => 1, Milestone.Furniture => 3, Milestone.Cars => 7, _ => 0 } * 24 * 60;
                    var slow = reached(milestone.NeedsMpa);
                    // Within an hour and a quarter, or a fiftieth of the wait.
                    if (slow is { } strong && Math.Max(strong, floor) is var minutes && minutes < 13 * 24 * 60
                        && Math.Abs((milestone.At!.Value - youngest).TotalMinutes - minutes) > Math.Max(75, minutes / 50))
                    {
                        return false;
                    }
                }

                return true;
            },
            iter: 30);

    [Fact]
    public void The_curve_is_the_strength_at_its_moments_and_never_falls() =>
        Gen.Select(Gen.Double[5, 30], Gen.Double[0, 28]).Sample(
            (airC, wetDays) =>
            {
                var cure = Plans.Of(Samples.Terrace().Cured(CuringMethod.Plastic, wetDays), Samples.Steady(airC)).Cure!;
                return cure.Curve.Zip(cure.Curve.Skip(1)).All(p => p.Second.At > p.First.At && p.Second.Mpa >= p.First.Mpa - 1e-9 && p.Second.NoCureMpa >= p.First.NoCureMpa - 1e-9)
                    && cure.Curve.All(p => p.NoCureMpa <= p.Mpa + 1e-9)
                    && Math.Abs(cure.Curve[^1].Mpa - cure.At28Mpa) < 1e-9;
            },
            iter: 60);

    [Fact]
    public void Evaporation_and_rain_of_the_day_are_those_of_its_hours()
    {
        var weather = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = 15 + (h % 9), WindKmh = 5 + (h % 7), RainChance = (h % 5) / 100.0 }));
        var day = Plans.Of(Samples.Terrace(), weather).Day!;
        var dry = 1.0;
        for (var at = day.Start; at < day.FinalSet!.Value; at += Duration.FromMinutes(1))
        {
            dry *= Math.Pow(1 - weather.At(Instant.FromUnixTimeSeconds(at.ToUnixTimeSeconds() / 3600 * 3600)).RainChance, 1 / 60.0);
        }

        day.RainChance.ShouldBe(1 - dry, 0.002);
        // The peak is that of the open face, minute by minute until it is covered: no less than in its first hours by the clock, no more than ever.
        var open = day.Hours.Where(h => h.At > day.Start && h.At < day.Start + Duration.FromHours(4)).Max(h => h.EvaporationKgM2H);
        day.PeakEvaporation.ShouldBeInRange(0.85 * open, 1.15 * day.Hours.Max(h => h.EvaporationKgM2H));
    }

    [Fact]
    public void Zones_together_open_with_the_first_and_close_with_the_last() =>
        Gen.Select(Gen.Int[1, 4], Gen.Double[40, 200], Gen.Double[8, 30]).Sample(
            (hands, thicknessMm, airC) =>
            {
                var job = Samples.Terrace().WithSlab(s => s with { Thickness = FormattableString.Invariant($"{thicknessMm:0} mm") });
                var day = Plans.Of(job with { Mixing = job.Mixing with { Hands = hands } }, Samples.Steady(airC)).Day!;
                return day.Passes.All(p =>
                {
                    var own = day.Zones.SelectMany(z => z.Passes).Where(q => q.Pass == p.Pass).ToArray();
                    return p.Opens == own.Min(q => q.Opens) && p.Closes == own.Max(q => q.Closes);
                }) && (day.DoneBy - day.Zones.SelectMany(z => z.Passes).Where(p => p.Begins is not null).Max(p => p.Begins!.Value + Duration.FromMinutes(p.WorkMin))).TotalSeconds is > -1 and < 1;
            },
            iter: 40);

    [Fact]
    public void The_water_ladder_holds_the_plan_on_its_curve()
    {
        foreach (var job in new[] { Samples.Terrace(), Samples.Terrace() with { Mix = Samples.OneTwoThree() } })
        {
            var mix = Plans.Of(job, Samples.Steady(18)).Mix!;
            mix.Ladder.Select(r => r.WaterL).ShouldBeInOrder();
            mix.Ladder.Select(r => r.Mpa).ShouldBeInOrder(SortDirection.Descending);
            var planned = mix.Bagged?.WaterL ?? mix.Parts!.WaterPerContainerL;
            var upper = mix.Ladder.ToList().FindIndex(r => r.WaterL >= planned - 1e-9);
            mix.F28Mpa.ShouldBeInRange(mix.Ladder[upper].Mpa - 1e-6, mix.Ladder[Math.Max(0, upper - 1)].Mpa + 1e-6);
        }
    }

    // Age by steps of a minute from the heat balance, strength by the published curve, all written out again.
    private static Func<double, double?> Walked(HourlyWeather weather, Instant from, double mixC, ConcreteMix mix, BagMix bag, double f28, double wetMinutes, Duration toPlaced)
    {
        var pour = new ZonePour(mix, Core.Quantities.Length.FromMillimetres(100), mixC, from) { ToPlaced = toPlaced, Cover = SlabCover.Shut };
        var course = SlabByHand.Walk(pour, weather, 60, 14 * 24).Select(f => f.EquivalentHours).ToList();
        var wetAge = Math.Max(24, course[Math.Min(course.Count - 1, (int)wetMinutes)]);
        var share = StrengthGain.ShareAfter(course[Math.Min(course.Count - 1, (int)wetMinutes)] / 24);

        double Curve(double hours) => f28 * Math.Exp(0.25 * (1 - Math.Sqrt(28 / (hours / 24))));
        var finalSet = bag.ToFinalSet.TotalHours;
        double Moist(double hours) => hours <= finalSet ? 0 : hours >= 3 * finalSet ? Curve(hours) : Curve(3 * finalSet) * (hours - finalSet) / (2 * finalSet);
        double At(double hours)
        {
            if (hours <= wetAge)
            {
                return Moist(hours);
            }

            var stop = Moist(wetAge);
            return stop + Math.Max(0, (Moist(hours) - stop) * ((share * f28) - stop) / (f28 - stop));
        }

        return mpa => course.FindIndex(hours => hours >= finalSet && At(hours) >= mpa) is >= 0 and var minute ? minute : null;
    }
}
