using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Events;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>Each lesson is the day that its name says, in both systems.</summary>
public sealed class LessonTests
{
    [Theory]
    [InlineData(UnitSystem.Metric, "Europe/Berlin")]
    [InlineData(UnitSystem.Us, "America/Chicago")]
    public void In_the_hot_wind_the_face_dries_faster_than_it_bleeds_and_each_pass_has_little_time(UnitSystem units, string zone)
    {
        var (hot, mild) = (Of(Lesson.HotWindyAfternoon, units, zone), Mild(Lesson.HotWindyAfternoon, units, zone));
        hot.Zones.Max(z => z.PeakDeficit).ShouldBeGreaterThan(0.3);
        First(hot).ShouldBeLessThan(First(mild));
        (Edge(hot).Closes - Edge(hot).Opens).ShouldBeLessThan(Edge(mild).Closes - Edge(mild).Opens);
    }

    [Theory]
    [InlineData(UnitSystem.Metric, "Europe/Berlin")]
    [InlineData(UnitSystem.Us, "America/Chicago")]
    public void On_the_cold_day_nothing_is_ready_for_hours_after_it_lies(UnitSystem units, string zone)
    {
        var cold = Of(Lesson.ColdSlowDay, units, zone);
        First(cold).ShouldBeGreaterThan(Duration.FromHours(3));
        First(cold).ShouldBeGreaterThan(First(Mild(Lesson.ColdSlowDay, units, zone)));
    }

    [Theory]
    [InlineData(UnitSystem.Metric, "Europe/Berlin")]
    [InlineData(UnitSystem.Us, "America/Chicago")]
    public void Two_at_a_large_slab_still_mix_when_the_first_zone_wants_its_float(UnitSystem units, string zone)
    {
        var day = Of(Lesson.MixingOutlastsFirstZone, units, zone);
        day.MixingEnds.ShouldBeGreaterThan(Edge(day).Opens);
        (day.MixingEnds - day.Start).ShouldBeLessThan(Duration.FromHours(6)); // and yet somebody would try it
    }

    private static PassReport Edge(DayReport day) => day.Zones[0].Passes.Single(p => p.Pass == Pass.EdgeAndFloat);

    private static Duration First(DayReport day) => Edge(day).Opens - day.Zones[0].Placed;

    private static DayReport Of(Lesson lesson, UnitSystem units, string zone) => Plans.Of(Lessons.Of(lesson, units, zone, new LocalDate(2027, 5, 4)), Samples.Steady(18)).Day!;

    private static DayReport Mild(Lesson lesson, UnitSystem units, string zone)
    {
        var job = Lessons.Of(lesson, units, zone, new LocalDate(2027, 5, 4));
        return Plans.Of(job with { Site = job.Site with { Typed = null } }, Samples.Steady(18)).Day!;
    }
}
