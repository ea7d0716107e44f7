using CsCheck;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.PourDay;

/// <summary>The first float against somebody who walks up to the slab every few minutes, looks for the sheen and presses a thumb.</summary>
public sealed class ThumbTests
{
    private static readonly Duration Walk = Duration.FromMinutes(5);

    /// <summary>The plan's steps are coarser than the finisher's, and a film that is nearly gone may go a little sooner or later.</summary>
    private static readonly Duration Slack = Duration.FromMinutes(9);

    private static readonly Duration Most = Duration.FromMinutes(25);

    private static readonly Gen<(HourlyWeather Weather, string Thickness)> Days =
        from air in Gen.Double[8, 28]
        from swing in Gen.Double[0, 6]
        from humidity in Gen.Double[0.4, 0.9]
        from wind in Gen.Double[2, 20]
        from sun in Gen.Double[0, 500]
        from millimetres in Gen.Int[80, 150]
        select (Samples.Weather(Enumerable.Range(0, 24 * 3).Select(h => Samples.Mild with
        {
            AirC = air + (swing * Math.Cos(2 * Math.PI * (h - 15) / 24)),
            Humidity = humidity,
            WindKmh = wind,
            SunWm2 = Math.Max(0, sun * Math.Sin(Math.PI * ((h % 24) - 4) / 14)),
        })), $"{millimetres} mm");

    [Fact]
    public void The_window_of_the_first_float_is_when_a_thumb_and_an_eye_would_say_so()
    {
        var (days, shown, agreed, near) = (0, 0, 0, 0);
        Days.Sample(
            day =>
            {
                // One batch, so that all of it is of one age.
                var job = Kinds.Job(Kinds.Slab(Kinds.Rectangle("800 mm", "600 mm"), day.Thickness));
                var plan = Planner.Plan(job, day.Weather).Pour!.Day!;
                var window = plan.Zones.Single().Passes.Single(p => p.Pass == Pass.EdgeAndFloat);
                var struck = plan.Zones.Single().Passes.Single(p => p.Pass == Pass.BullFloat).Opens;
                var slab = new HeatBalanceSlab(stepsInHour: 60).Follow(plan.Youngest, day.Weather, Duration.FromHours(20));
                var (begin, last, sheen) = Finisher(slab, struck, plan.Youngest.Mix.ToInitialSet.TotalHours);
                days++;
                shown += sheen ? 1 : 0;
                // He looks every five minutes: the first look that says go is at most one walk after it opens, the last go one walk before it closes.
                bool Agrees(Duration by) => begin >= window.Opens - by && begin <= window.Opens + Walk + by && last >= window.Closes - Walk - by && last <= window.Closes + by;
                near += Agrees(Most) ? 1 : 0;
                agreed += Agrees(Slack) ? 1 : 0;
            },
            iter: 120, threads: 1);
        // A film so thin that it is hardly seen may be told by one and not by the other.
        ((double)near / days).ShouldBeGreaterThan(0.97);
        ((double)agreed / days).ShouldBeGreaterThan(0.93);
        TestContext.Current.TestOutputHelper?.WriteLine($"{days} days: {shown} with a sheen; within {Slack.TotalMinutes} min of eye and thumb on {agreed}, within {Most.TotalMinutes} on {near}");
        shown.ShouldBeInRange(days / 4, days); // a sheen shows on most of these days
    }

    // First and last look at which the edger's line stays open and the float does not drag water.
    private static (Instant Begins, Instant Last, bool Sheen) Finisher(SlabHistory slab, Instant from, double initialH)
    {
        double Progress(Instant at) => slab.EquivalentHoursAt(at) / initialH;
        var (wet, goneAt) = (false, (double?)null);
        Instant? begins = null;
        var last = from;
        for (var at = slab.Placed; at < slab.WaterAdded + Duration.FromHours(20); at += Duration.FromMinutes(1))
        {
            // Between looks he hears others say when it shines.
            var shines = slab.FilmAt(at) > Bleeding.SheenKgM2;
            var s = Progress(at);
            (wet, goneAt) = (wet || shines, wet && !shines && goneAt is null ? s : goneAt);
            if (((int)Math.Round((at - from).TotalMinutes)) % (int)Walk.TotalMinutes != 0 || at < from)
            {
                continue;
            }

            // Dull, and the thumb finds it stiff enough to stand beside; past six millimetres it is late.
            var stiff = s >= 0.12 && !shines;
            var tooLate = goneAt is { } gone ? s > Math.Max(Math.Min(0.60, gone + 0.10), Math.Clamp(gone + 0.15, 0.45, 0.60)) : s > 0.45;
            if (stiff && !tooLate)
            {
                begins ??= at;
                last = at;
            }
        }

        return (begins ?? from, last, goneAt is not null);
    }
}
