using System.Globalization;
using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A small change of what is said is a small change of the day: nothing jumps.</summary>
public sealed class ContinuityTests(ITestOutputHelper output)
{
    private const double MostMinutes = 10;

    [Fact]
    public void Thickness_in_steps_of_one_per_cent_moves_no_window_of_a_zone_by_more_than_ten_minutes() => Scan(
        "thickness", 80, 130, x => (Job(thicknessMm: x), Day(16, 0.65)));

    [Fact]
    public void Water_in_steps_of_one_per_cent_moves_no_window() => Scan("water", 1.9, 2.6, x => (Job(waterL: x), Day(16, 0.65)));

    [Fact]
    public void Air_in_steps_of_one_per_cent_moves_no_window() => Scan("air", 9, 27, x => (Job(), Day(x, 0.65)));

    [Fact]
    public void Humidity_in_steps_of_one_per_cent_moves_no_window() => Scan("humidity", 0.40, 0.90, x => (Job(), Day(16, x)));

    private void Scan(string what, double from, double to, Func<double, (JobDocument Job, HourlyWeather Weather)> at)
    {
        var worst = (Minutes: 0.0, At: 0.0, Of: "");
        DayReport? before = null;
        for (var x = from; x <= to; x *= 1.01)
        {
            var (job, weather) = at(x);
            var day = Plans.Of(job, weather).Day.ShouldNotBeNull();
            if (before is not null)
            {
                foreach (var (a, b) in before.Passes.Join(day.Passes, p => p.Pass, p => p.Pass, (a, b) => (a, b)))
                {
                    foreach (var (moved, of) in new[] { (b.Opens - a.Opens, "opens"), (Close(day, b) - Close(before, a), "closes") })
                    {
                        var minutes = Math.Abs(moved.TotalMinutes);
                        worst = minutes > worst.Minutes ? (minutes, x, $"{a.Pass} {of}") : worst;
                    }
                }
            }

            before = day;
        }

        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"{what}: {worst.Minutes:0.0} min at {worst.At:0.000}, {worst.Of}"));
        worst.Minutes.ShouldBeLessThan(MostMinutes, $"{what} {worst}");

        // Of the first zone: a batch more or less ends the last one sooner or later by as long as it takes.
        static Instant Close(DayReport day, PassReport pass) => day.Zones[0].Passes.FirstOrDefault(p => p.Pass == pass.Pass)?.Closes ?? pass.Closes;
    }

    private static JobDocument Job(double thicknessMm = 100, double waterL = 2.25)
    {
        var job = Samples.Terrace().WithSlab(s => s with { Thickness = string.Create(CultureInfo.InvariantCulture, $"{thicknessMm:0.000} mm") });
        return job with { Mix = ((BaggedMixDocument)job.Mix) with { WaterPerBag = string.Create(CultureInfo.InvariantCulture, $"{waterL:0.0000} L") } };
    }

    private static HourlyWeather Day(double airC, double humidity) => Samples.Weather(Enumerable.Range(0, 24 * 10).Select(h => Samples.Mild with
    {
        AirC = airC + (4 * Math.Cos(2 * Math.PI * ((h % 24) - 13) / 24)),
        Humidity = Math.Clamp(humidity - (0.06 * Math.Cos(2 * Math.PI * ((h % 24) - 13) / 24)), 0.1, 1),
        WindKmh = 9,
        SunWm2 = Math.Max(0, 450 * Math.Sin(Math.PI * ((h % 24) - 4) / 15)),
    }));
}
