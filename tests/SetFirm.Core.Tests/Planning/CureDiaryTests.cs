using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>What was told of re-times the rest of the cure.</summary>
public sealed class CureDiaryTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);
    private static readonly JobDocument Burlap = Samples.Terrace().Cured(CuringMethod.Burlap);

    [Fact]
    public void What_is_wetted_now_is_next_due_when_that_has_dried_off()
    {
        var damp = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(_ => Samples.Mild with { AirC = 14, Humidity = 0.97, WindKmh = 2, SunWm2 = 0 }));
        var plan = Plans.Of(Burlap, damp).Cure!;
        var at = plan.Wettings[2].At + Duration.FromMinutes(7);
        var told = Plans.Of(Burlap, damp, [.. plan.Wettings.Take(2).Select(w => Told(w.At)), Told(at)], at).Cure!;
        told.DryHours.ShouldBeLessThan(0.3);
        told.Wettings[0].At.ShouldBeGreaterThan(at);
        (told.Wettings[0].At - plan.Wettings.First(w => w.At > at).At).TotalHours.ShouldBe(0, 3);
        told.Diary.Count.ShouldBe(3);
    }

    [Fact]
    public void A_wetting_that_was_missed_shows_its_hours_and_its_price_and_one_that_was_not_has_none()
    {
        var plan = Plans.Of(Burlap, Mild).Cure!;
        var first = Told(plan.Wettings[0].At);
        var twoDaysOn = first.At + Duration.FromDays(2);
        var missed = Plans.Of(Burlap, Mild, [first], twoDaysOn);
        missed.Cure!.DryHours.ShouldBeInRange(24, 48);
        missed.Cure.LostMpa.ShouldBeGreaterThan(0.2);
        missed.Cure.At28Mpa.ShouldBe(plan.At28Mpa - missed.Cure.LostMpa, 1e-6);
        missed.Findings.ShouldContain(f => f.Says is Notice.WettingMissed);
        missed.Cure.Wettings[0].At.ShouldBeLessThanOrEqualTo(twoDaysOn + Duration.FromHours(12));
        Plans.Of(Burlap, Mild, [], twoDaysOn).Findings.ShouldNotContain(f => f.Says is Notice.WettingMissed);
    }

    [Fact]
    public void More_wettings_never_lower_the_strength_they_leave()
    {
        var plan = Plans.Of(Burlap, Mild).Cure!;
        var now = plan.WetFrom + Duration.FromDays(3);
        var before = 0.0;
        for (var told = 1; told < plan.Wettings.Count(w => w.At < now); told++)
        {
            var cure = Plans.Of(Burlap, Mild, [.. plan.Wettings.Take(told).Select(w => Told(w.At))], now).Cure!;
            cure.At28Mpa.ShouldBeGreaterThanOrEqualTo(before - 1e-9);
            before = cure.At28Mpa;
        }
    }

    [Fact]
    public void A_line_told_twice_is_one_and_a_struck_one_does_not_count()
    {
        var line = Told(Samples.Morning + Duration.FromDays(1));
        var strike = new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = line.At, Line = line.Id };
        Core.Events.Told.Of([line, line]).Lines.Length.ShouldBe(1);
        Core.Events.Told.Of([line, strike]).Lines.ShouldBeEmpty();
        Core.Events.Told.Of([strike, line]).Lines.ShouldBeEmpty();
        Plans.Of(Burlap, Mild, [line, strike], line.At).Cure!.ShouldBeEquivalentTo(Plans.Of(Burlap, Mild, [], line.At).Cure!);
    }

    [Fact]
    public void Methods_that_keep_their_own_water_want_none()
    {
        foreach (var method in new[] { CuringMethod.Compound, CuringMethod.CureAndSeal, CuringMethod.InForm })
        {
            var cure = Plans.Of(Samples.Terrace().Cured(method), Mild).Cure!;
            cure.RewetHours.ShouldBeNull();
            cure.Wettings.ShouldBeEmpty();
        }
    }

    [Fact]
    public void What_dries_out_overnight_is_told_with_ways_that_last_it()
    {
        var windy = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(_ => Samples.Mild with { AirC = 22, Humidity = 0.4, WindKmh = 25 }));
        var bare = Plans.Of(Samples.Terrace().Cured(CuringMethod.Burlap), windy);
        var night = bare.Findings.Single(f => f.Says is Notice.DriesOverNight);
        night.Says<Notice.DriesOverNight>().DryH.ShouldBeGreaterThan(1);
        foreach (var remedy in night.Remedies)
        {
            Plans.Of(RemedyText.Taken(Samples.Terrace().Cured(CuringMethod.Burlap), remedy), windy).Findings.ShouldNotContain(f => f.Says is Notice.DriesOverNight);
        }

        night.Remedies.ShouldNotBeEmpty();
    }

    [Theory]
    [InlineData(-4, typeof(Notice.FrostNight))]
    [InlineData(-9, typeof(Notice.FrozenYoung))]
    public void A_cold_night_asks_for_a_cover_and_a_cover_keeps_it_warmer(double nightC, Type code)
    {
        var cold = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = h % 24 is > 5 and < 20 ? 10 : nightC, SunWm2 = h % 24 is > 7 and < 17 ? 250 : 0, WindKmh = 8 }));
        var job = Samples.Terrace();
        job = job with { Mixing = job.Mixing with { WaterC = 45, Hands = 4 } };
        var plan = Plans.Of(job, cold);
        var young = plan.Cure!.Nights.Where(n => n.Young).ToArray();
        young.Min(n => n.LeastAirC).ShouldBe(nightC, 0.01);
        var frost = plan.Findings.Single(f => f.Says is Notice.FrostNight or Notice.FrozenYoung);
        frost.Says.GetType().ShouldBe(code);
        frost.Remedies.ShouldNotBeEmpty();
        foreach (var remedy in frost.Remedies)
        {
            remedy.Does.GetType().ShouldBe(typeof(Mend.CoverAtNight));
            var covered = Plans.Of(RemedyText.Taken(job, remedy), cold);
            covered.Cure!.Nights.Min(n => n.LeastSlabC).ShouldBeGreaterThan(plan.Cure.Nights.Min(n => n.LeastSlabC));
        }
    }

    [Fact]
    public void Cold_air_while_it_cures_is_noted_until_something_is_laid_over_it()
    {
        var cool = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = h % 24 is > 7 and < 20 ? 14 : 4 }));
        var job = Samples.Terrace();
        Plans.Of(job, cool).Findings.Single(f => f.Says is Notice.ColdCure).Says<Notice.ColdCure>().AirC.ShouldBe(4, 1e-9);
        Plans.Of(job with { Cure = job.Cure with { Frost = FrostGuard.Foam } }, cool).Findings.ShouldNotContain(f => f.Says is Notice.ColdCure);
        Plans.Of(job, Mild).Findings.ShouldNotContain(f => f.Says is Notice.ColdCure);
    }

    [Fact]
    public void Coats_wait_for_the_wet_days_and_are_ticked_off_as_they_are_told()
    {
        var plan = Plans.Of(Samples.Coated(), Mild).Cure!;
        plan.Coats.Count.ShouldBe(4);
        plan.Coats[0].At.ShouldBeGreaterThan(plan.WetUntil);
        plan.Coats.ShouldAllBe(c => !c.Done);
        var told = new JobEvent.Coated { Id = Guid.NewGuid(), At = plan.Coats[0].At, Product = 0 };
        Plans.Of(Samples.Coated(), Mild, [told], told.At).Cure!.Coats.Count(c => c.Done).ShouldBe(1);
    }

    [Theory]
    [InlineData("/cure/coats/0/coats", "0")]
    [InlineData("/cure/coats/0/recoatMostH", "-4")]
    [InlineData("/cure/wakeFrom", "\"noon\"")]
    [InlineData("/day/workUntil", "\"25:00\"")]
    public void What_cannot_be_is_told_at_its_field(string path, string value)
    {
        var job = JobText.TryRead(JobText.Set(JobText.Node(Samples.Coated()), path, System.Text.Json.Nodes.JsonNode.Parse(value)!).ToJsonString()).ShouldBeOfType<JobRead.Ok>().Document;
        var plan = Plans.Of(job, Mild);
        plan.Findings.ShouldContain(f => f.Where.Path == path && f.Severity == Severity.Error);
        plan.Cure.ShouldBeNull();
    }

    [Fact]
    public void Dates_carry_bands_and_strength_does_too()
    {
        var cure = Plans.Of(Samples.Terrace(), Mild).Cure!;
        cure.Milestones.Where(m => m.At is not null).ShouldAllBe(m => m.Earliest <= m.At && m.At <= m.Latest);
        cure.Milestones.ShouldContain(m => m.Milestone == Milestone.FreezeOnce && m.Earliest < m.Latest);
        cure.Curve.ShouldAllBe(p => p.LeastMpa <= p.Mpa && p.Mpa <= p.MostMpa);
    }

    private static JobEvent.Wetted Told(Instant at) => new() { Id = Guid.NewGuid(), At = at };
}
