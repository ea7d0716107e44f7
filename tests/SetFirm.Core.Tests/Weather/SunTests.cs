using System.Collections.Immutable;
using CsCheck;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Tests.Planning;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Weather;

/// <summary>The sun's course, what is usual, and days read off a phone.</summary>
public sealed class SunTests
{
    private static readonly DateTimeZone Berlin = DateTimeZoneProviders.Tzdb["Europe/Berlin"];
    private static readonly SitePlace Town = new(52.5, 13.4);
    private static readonly TypedDay Mild = new(new LocalDate(2027, 5, 4), 8, 19, 12, Sky.Clear, 0.6, (0, 0.2, 0.5, 0.1));

    /// <summary>By the almanac, to the minute; ours within three.</summary>
    [Theory]
    [InlineData(2027, 6, 21, 4, 43, 21, 33)]
    [InlineData(2027, 12, 21, 8, 15, 15, 54)]
    [InlineData(2027, 3, 20, 6, 10, 18, 19)]
    [InlineData(2026, 11, 27, 7, 46, 15, 58)]
    public void The_sun_rises_and_sets_when_it_does(int year, int month, int day, int riseH, int riseM, int setH, int setM)
    {
        var (rises, noon, sets) = Sun.Day(Town, new LocalDate(year, month, day), Berlin);
        Minutes(rises).ShouldBe((riseH * 60) + riseM, 3);
        Minutes(sets).ShouldBe((setH * 60) + setM, 3);
        (rises < noon && noon < sets).ShouldBeTrue();
        Sun.ClearSkyWm2(Town, rises - Duration.FromMinutes(15)).ShouldBe(0);
        Sun.ClearSkyWm2(Town, noon).ShouldBeGreaterThan(0);
        static double Minutes(Instant at) => at.InZone(Berlin).TimeOfDay.TickOfDay / (double)NodaConstants.TicksPerMinute;
    }

    [Fact]
    public void From_pole_to_pole_the_sun_is_a_number_and_highest_at_noon() =>
        Gen.Select(Gen.Double[-90, 90], Gen.Double[-180, 180], Gen.Int[0, 73_000], Gen.Double[-12, 12]).Sample((north, east, day, off) =>
        {
            var place = new SitePlace(north, east);
            var (rises, noon, sets) = Sun.Day(place, new LocalDate(1990, 1, 1).PlusDays(day), DateTimeZone.Utc);
            var height = Sun.AltitudeDegrees(place, noon);
            return rises <= noon && noon <= sets && double.IsFinite(Sun.ClearSkyWm2(place, noon)) && Sun.AltitudeDegrees(place, noon + Duration.FromHours(off)) <= height + 0.25 // at the poles the season alone moves it so far in half a day
                && Sun.ClearSkyWm2(place, noon) is >= 0 and < 1100;
        });

    [Fact]
    public void A_typed_day_has_its_low_at_dawn_its_high_after_noon_and_its_rain_where_it_was_said()
    {
        var hours = TypedDays.Over(Samples.Steady(14), [Mild], Berlin, Town);
        var midnight = Berlin.AtStartOfDay(Mild.Date).ToInstant();
        var air = Enumerable.Range(2, 22).Select(h => hours.At(midnight + Duration.FromHours(h)).AirC).ToArray(); // the run begins at two
        air.Min().ShouldBe(8, 0.5);
        air.Max().ShouldBe(19, 0.3);
        Array.IndexOf(air, air.Min()).ShouldBeInRange(2, 5);
        Array.IndexOf(air, air.Max()).ShouldBeInRange(12, 15);
        double Chance(int from, int to) => hours.RainChance(midnight + Duration.FromHours(from), midnight + Duration.FromHours(to));
        Chance(6, 12).ShouldBe(0, 1e-9);
        Chance(12, 18).ShouldBe(0.2, 1e-6);
        Chance(18, 24).ShouldBe(0.5, 1e-6);
        Chance(24, 30).ShouldBe(0.1, 1e-6);
        hours.At(midnight + Duration.FromHours(2)).SunWm2.ShouldBe(0);
        hours.At(midnight + Duration.FromHours(13)).SunWm2.ShouldBeInRange(600, 1000);
        // The afternoon is the driest.
        hours.At(midnight + Duration.FromHours(15)).Humidity.ShouldBeLessThan(hours.At(midnight + Duration.FromHours(5)).Humidity);
        // Other days stay as they were.
        hours.At(midnight + Duration.FromDays(3)).AirC.ShouldBe(14, 1e-9);
    }

    [Fact]
    public void Any_typed_days_make_weather_that_can_be_and_the_same_ones_the_same_object() =>
        Gen.Select(Gen.Select(Gen.Double[-30, 35], Gen.Double[0, 18], Gen.Double[0, 90], Gen.Enum<Sky>(), Gen.Double[0.01, 1]).Array[1, 6], Gen.Double[-89, 89]).Sample((days, north) =>
        {
            var typed = days.Select((d, i) => new TypedDay(new LocalDate(2027, 5, 4).PlusDays(i), d.Item1, d.Item1 + d.Item2, d.Item3, d.Item4, d.Item5, (0.1, 0.9, 1, 0))).ToImmutableArray();
            var (base_, place) = (Samples.Steady(10), new SitePlace(north, 13));
            var over = TypedDays.Over(base_, typed, Berlin, place);
            return ReferenceEquals(over, TypedDays.Over(base_, [.. typed], Berlin, place)) && !ReferenceEquals(over, TypedDays.Over(base_, typed, Berlin, new SitePlace(north, 14)));
        });

    [Fact]
    public void Beyond_the_run_the_month_and_the_place_stand_in()
    {
        var berlin = Samples.Steady(14).Beyond(new UsualWeather(Town));
        double Mean(HourlyWeather w, int day) => Enumerable.Range(0, 24).Average(h => w.At(w.Start + Duration.FromHours((day * 24) + h)).AirC);
        Mean(berlin, 60).ShouldBeInRange(15, 23); // July
        Mean(berlin, 250).ShouldBeInRange(-4, 5); // January
        Mean(Samples.Steady(14).Beyond(new UsualWeather(new SitePlace(-35, 150))), 60).ShouldBeInRange(8, 16); // winter there
        Mean(berlin, 3).ShouldBe(14, 1e-9);
        // Dark in a winter evening, whatever the run was.
        berlin.At(Instant.FromUtc(2027, 12, 20, 18, 0)).SunWm2.ShouldBe(0);
    }

    [Fact]
    public void Usual_weather_follows_season_and_latitude()
    {
        var (july, january) = (Instant.FromUtc(2027, 7, 20, 12, 0), Instant.FromUtc(2027, 1, 20, 12, 0));
        foreach (var north in new[] { 65.0, 50, 35, -35, -50 })
        {
            var usual = new UsualWeather(new SitePlace(north, 0));
            (usual.MeanC(july) > usual.MeanC(january)).ShouldBe(north > 0, $"{north}");
        }

        new UsualWeather(new SitePlace(35, 0)).MeanC(july).ShouldBeGreaterThan(new UsualWeather(new SitePlace(60, 0)).MeanC(july));
    }

    [Theory]
    [InlineData("Europe/Berlin", 52.5, 13.4)]
    [InlineData("America/Chicago", 41.9, -87.7)]
    public void A_time_zone_is_a_first_guess_at_the_place(string zone, double north, double east)
    {
        var place = SitePlace.OfZone(zone).ShouldNotBeNull();
        place.Latitude.ShouldBe(north, 0.2);
        place.Longitude.ShouldBe(east, 0.2);
        SitePlace.OfZone("Etc/GMT+3").ShouldBeNull();
    }

    [Fact]
    public void The_ground_goes_by_the_ten_days_before_and_never_by_what_comes_after()
    {
        var hours = Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = h < 240 ? 12 : 2 });
        var weather = Samples.Weather(hours);
        weather.MeanAirBefore(weather.Start + Duration.FromDays(10)).ShouldBe(12, 1e-9);
        // Winter days appended move nothing.
        Samples.Weather(hours.Concat(Enumerable.Repeat(Samples.Mild with { AirC = -9 }, 24 * 20))).MeanAirBefore(weather.Start + Duration.FromDays(10)).ShouldBe(12, 1e-9);
        weather.MeanAirBefore(weather.Start - Duration.FromDays(3)).ShouldBe(12, 1e-9); // nothing before: the day after
    }

    [Theory]
    [InlineData("lowC", "22", typeof(Notice.LowAboveHigh))]
    [InlineData("humidityPct", "140", typeof(Notice.OutOfRange))]
    [InlineData("rainNightPct", "null", typeof(Notice.NumberMissing))]
    [InlineData("windKmh", "-3", typeof(Notice.OutOfRange))]
    [InlineData("date", "\"someday\"", typeof(Notice.QuantityUnread))]
    public void What_is_typed_wrong_is_told_at_its_field_and_the_plan_stands(string field, string value, Type says)
    {
        var job = Typing(new TypedDayDocument
        {
            Date = "2027-05-04",
            LowC = 8,
            HighC = 19,
            WindKmh = 12,
            Sky = Sky.Broken,
            HumidityPct = 60,
            RainMorningPct = 0,
            RainAfternoonPct = 10,
            RainEveningPct = 20,
            RainNightPct = 5,
        });
        Plans.Of(job, Samples.Steady(18)).Findings.ShouldNotContain(f => f.Where.Path.StartsWith("/site/typed", StringComparison.Ordinal));
        var wrong = JobText.TryRead(JobText.Set(JobText.Node(job), $"/site/typed/days/0/{field}", System.Text.Json.Nodes.JsonNode.Parse(value)!).ToJsonString()).ShouldBeOfType<JobRead.Ok>().Document;
        var plan = Plans.Of(wrong, Samples.Steady(18));
        plan.Findings.Single(f => f.Where.Path == $"/site/typed/days/0/{field}").Says.GetType().ShouldBe(says);
        plan.Day.ShouldNotBeNull();
        JobFile.Write(wrong).ShouldContain(field); // nothing is lost
    }

    [Fact]
    public void A_day_typed_twice_and_a_place_beyond_the_poles_are_told()
    {
        var day = new TypedDayDocument { Date = "2027-05-04", LowC = 8, HighC = 19, WindKmh = 12, Sky = Sky.Clear, RainMorningPct = 0, RainAfternoonPct = 0, RainEveningPct = 0, RainNightPct = 0 };
        Plans.Of(Typing(day, day), Samples.Steady(18)).Findings.Single(f => f.Says is Notice.DayTypedTwice).Where.Path.ShouldBe("/site/typed/days/1/date");
        var job = Samples.Terrace();
        Plans.Of(job with { Site = job.Site with { Latitude = 95 } }, Samples.Steady(18)).Findings.Single(f => f.Says is Notice.OutOfRange).Where.Path.ShouldBe("/site/latitude");
    }

    [Fact]
    public void A_typed_heatwave_dries_the_slab_that_a_mild_forecast_did_not()
    {
        var job = Typing([.. Enumerable.Range(0, 3).Select(d => new TypedDayDocument
        {
            Date = $"2027-05-0{4 + d}", LowC = 20, HighC = 36, WindKmh = 25, Sky = Sky.Clear, HumidityPct = 30, RainMorningPct = 0, RainAfternoonPct = 0, RainEveningPct = 0, RainNightPct = 0,
        })]);
        var (mild, hot) = (Plans.Of(Samples.Terrace(), Samples.Steady(16)).Day!, Plans.Of(job, Samples.Steady(16)).Day!);
        hot.PeakEvaporation.ShouldBeGreaterThan(2 * mild.PeakEvaporation);
        hot.InitialSet!.Value.ShouldBeLessThan(mild.InitialSet!.Value);
    }

    [Fact]
    public void Past_the_known_days_no_chance_is_told()
    {
        var job = Samples.Terrace();
        var far = Plans.Of(job with { Day = job.Day with { Date = "2027-11-04" } }, Samples.Steady(18));
        far.Day!.Chance.ShouldBeNull();
        far.Day.Faults.ShouldBeEmpty();
        far.Findings.Single(f => f.Says is Notice.WeatherEndsEarly).Severity.ShouldBe(Severity.Note);
        Plans.Of(job, Samples.Steady(18)).Day!.Chance.ShouldNotBeNull();
    }

    private static JobDocument Typing(params TypedDayDocument[] days) => Samples.Terrace() with { Site = SiteDocument.AsForecast with { Typed = new TypedForecastDocument { On = "2027-05-03", Days = days } } };
}
