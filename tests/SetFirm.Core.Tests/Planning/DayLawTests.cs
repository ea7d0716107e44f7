using CsCheck;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What holds of every day and every cure, whatever the weather and the mix.</summary>
public sealed class DayLawTests
{
    private static readonly Gen<HourlyWeather> Weathers =
        from air in Gen.Double[2, 30]
        from swing in Gen.Double[0, 8]
        from humidity in Gen.Double[0.3, 0.95]
        from wind in Gen.Double[0, 30]
        from sun in Gen.Double[0, 800]
        select Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with
        {
            AirC = air + (swing * Math.Cos(2 * Math.PI * (h - 15) / 24)),
            Humidity = humidity,
            WindKmh = wind,
            SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 4) / 14)),
        }));

    private static readonly Gen<JobDocument> Jobs =
        from hands in Gen.Int[1, 4]
        from mixers in Gen.Int[1, 2]
        from finish in Gen.Enum<Finish>()
        from method in Gen.Enum<CuringMethod>()
        from mix in Gen.Int[0, 2]
        from millimetres in Gen.Int[60, 180]
        let job = Samples.Terrace().WithSlab(s => s with { Finish = finish, Thickness = $"{millimetres} mm" }).Cured(method)
        select job with { Mixing = job.Mixing with { Hands = hands, Mixers = mixers }, Mix = mix switch { 0 => job.Mix, 1 => Samples.OneTwoThree(), _ => Samples.Ready() } };

    [Fact]
    public void No_window_opens_before_its_zone_lies_there_nor_closes_before_it_opens_and_bands_hold_them() => Gen.Select(Jobs, Weathers).Sample(
        (job, weather) =>
        {
            var day = Plans.Of(job, weather).Day!;
            foreach (var zone in day.Zones)
            {
                foreach (var pass in zone.Passes)
                {
                    pass.Opens.ShouldBeLessThanOrEqualTo(pass.Closes);
                    pass.OpensEarliest.ShouldBeLessThanOrEqualTo(pass.Opens);
                    pass.Opens.ShouldBeLessThanOrEqualTo(pass.OpensLatest);
                    pass.ClosesEarliest.ShouldBeLessThanOrEqualTo(pass.Closes);
                    pass.Closes.ShouldBeLessThanOrEqualTo(pass.ClosesLatest);
                    (pass.Pass == Pass.StrikeOff || pass.Opens >= zone.Placed).ShouldBeTrue($"{pass.Pass}");
                }
            }
        },
        iter: 60);

    [Fact]
    public void Nothing_touches_the_face_while_the_sheen_stands_unless_water_is_dragged_off() => Gen.Select(Jobs, Weathers).Sample(
        (job, weather) =>
        {
            var report = Plans.Of(job, weather);
            var setH = report.Mix!.InitialSetH;
            foreach (var zone in report.Day!.Zones.Where(z => z.SheenGone is not null))
            {
                var edge = zone.Passes.FirstOrDefault(p => p.Pass == Pass.EdgeAndFloat);
                // At s = 0.40 standing water is dragged off, so the sheen is never waited for past that.
                (edge is null || edge.Opens >= zone.SheenGone!.Value || (edge.Opens - zone.Placed).TotalHours > 0.1 * setH).ShouldBeTrue();
            }
        },
        iter: 60);

    [Fact]
    public void Retarder_never_makes_any_window_or_date_come_sooner() => Weathers.Sample(
        weather =>
        {
            var job = Samples.Terrace();
            var late = job with { Mix = job.Mix with { Additives = new AdditivesDocument { Retarder = 1 } } };
            var (plain, slow) = (Plans.Of(job, weather), Plans.Of(late, weather));
            slow.Load!.JointLimitMin!.Value.ShouldBe(2 * plain.Load!.JointLimitMin!.Value, 1e-6);
            // Where it is too cold to set within the days that are followed, some zones have no windows to compare.
            if (slow.Day!.FinalSet is not { } slowSet || plain.Day!.FinalSet is not { } plainSet)
            {
                return;
            }

            slowSet.ShouldBeGreaterThan(plainSet);
            slow.Cure!.WetFrom.ShouldBeGreaterThan(plain.Cure!.WetFrom);
            // Floats that fall after mixing call nobody away from the mixer, so that the same batches may lie sooner: what is gained there is all that may be.
            var sooner = plain.Load.Batches.Zip(slow.Load.Batches, (a, b) => a.WaterAdded!.Value - b.WaterAdded!.Value).Append(Duration.Zero).Max();
            sooner.ShouldBeLessThan(Duration.FromMinutes(60));
            foreach (var (a, b) in plain.Day.Passes.Join(slow.Day.Passes, p => p.Pass, p => p.Pass, (a, b) => (a, b)))
            {
                (b.Closes + sooner).ShouldBeGreaterThanOrEqualTo(a.Closes, $"{a.Pass}");
            }
        },
        iter: 30);

    [Fact]
    public void More_days_of_wetting_never_lower_a_strength_nor_put_off_a_date() => Gen.Select(Weathers, Gen.Enum<CuringMethod>(), Gen.Double[0, 10], Gen.Double[0.5, 10]).Sample(
        (weather, method, days, more) =>
        {
            var less = Plans.Of(Samples.Terrace().Cured(method, days), weather).Cure!;
            var longer = Plans.Of(Samples.Terrace().Cured(method, days + more), weather).Cure!;
            longer.At28Mpa.ShouldBeGreaterThanOrEqualTo(less.At28Mpa - 1e-9);
            foreach (var (a, b) in less.Milestones.Zip(longer.Milestones).Where(m => m.First.At is not null))
            {
                b.At.ShouldNotBeNull($"{a.Milestone}");
                b.At.Value.ShouldBeLessThanOrEqualTo(a.At!.Value, $"{a.Milestone}");
            }
        },
        iter: 40);

    [Fact]
    public void Drying_that_outruns_bleeding_is_told_with_its_number_and_a_damp_day_is_not()
    {
        var harsh = Plans.Of(Samples.Terrace(), Samples.Steady(Samples.Mild with { AirC = 31, Humidity = 0.3, WindKmh = 35, SunWm2 = 600 }));
        var told = harsh.Findings.Single(f => f.Says is Notice.DriesBeforeItBleeds);
        told.Says<Notice.DriesBeforeItBleeds>().PeakKgM2H.ShouldBe(harsh.Day!.Zones.Max(z => z.PeakDeficit), 1e-12);
        told.Says<Notice.DriesBeforeItBleeds>().LimitKgM2H.ShouldBe(0.6);
        harsh.Day.Zones.ShouldAllBe(z => z.SheenGone == null);
        var damp = Plans.Of(Samples.Terrace(), Samples.Steady(Samples.Mild with { AirC = 12, Humidity = 0.9, WindKmh = 3, SunWm2 = 50 }));
        damp.Findings.ShouldNotContain(f => f.Says is Notice.DriesBeforeItBleeds);
        damp.Day!.Zones.ShouldAllBe(z => z.SheenGone != null);
    }

    [Fact]
    public void Air_in_the_mix_halves_what_bleeds_so_the_sheen_goes_no_later()
    {
        var weather = Samples.Steady(Samples.Mild with { AirC = 18, SunWm2 = 100 });
        JobDocument Of(double air) => Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Additives = new AdditivesDocument { AirEntrainer = air } } };
        var plain = Plans.Of(Of(0), weather).Day!.Zones[^1];
        var airy = Plans.Of(Of(1), weather).Day!.Zones[^1];
        (airy.SheenGone ?? airy.Placed).ShouldBeLessThanOrEqualTo(plain.SheenGone!.Value);
    }

    [Fact]
    public void A_slab_under_plastic_keeps_warmer_than_one_that_is_watered_and_is_walked_on_no_later()
    {
        var weather = Samples.Steady(Samples.Mild with { AirC = 16, Humidity = 0.5, WindKmh = 15, SunWm2 = 0 });
        Instant Walk(CuringMethod method) => Plans.Of(Samples.Terrace().Cured(method), weather).Cure!.Milestones.Single(m => m.Milestone == Milestone.Walk).At!.Value;
        Walk(CuringMethod.Plastic).ShouldBeLessThanOrEqualTo(Walk(CuringMethod.Burlap));
    }

    [Fact]
    public void A_thin_counter_and_a_deep_curb_are_followed_as_well_as_a_slab()
    {
        foreach (var element in new ElementDocument[] { Kinds.All().OfType<CounterDocument>().First(), Kinds.All().OfType<CurbDocument>().First(), Kinds.All().OfType<FootingDocument>().First() })
        {
            var day = Plans.Of(Kinds.Job(element), Samples.Steady(18)).Day.ShouldNotBeNull();
            day.InitialSet.ShouldNotBeNull();
            day.FinalSet!.Value.ShouldBeGreaterThan(day.InitialSet.Value);
            (day.FinalSet.Value - day.Start).TotalHours.ShouldBeInRange(2, 16);
        }
    }
}
