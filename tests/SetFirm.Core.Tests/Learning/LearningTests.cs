using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using CsCheck;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Learning;

/// <summary>What pours teach, against crews whose pace, waste, set and sheen are drawn and hidden.</summary>
public sealed class LearningTests(ITestOutputHelper output)
{
    private const int Crews = 80;
    private const int Pours = 5;

    private static readonly HourlyWeather Mild = Samples.Weather(Enumerable.Range(0, 24 * 6).Select(h => Samples.Mild with
    {
        AirC = 17 + (5 * Math.Cos(2 * Math.PI * (h - 15) / 24)),
        SunWm2 = Math.Max(0, 500 * Math.Sin(Math.PI * ((h % 24) - 4) / 15)),
    }));

    private static readonly JobPlan Plain = Planner.Plan(SimulatedCrew.Job, Mild);

    [Fact]
    public void After_five_pours_what_is_learnt_is_near_what_is_hidden_a_wild_day_moves_little_and_later_bands_hold()
    {
        var (near, moved) = (SimulatedCrew.Keys.ToDictionary(k => k, _ => 0), SimulatedCrew.Keys.ToDictionary(k => k, _ => 0.0));
        var (before, after) = (SimulatedCrew.Keys.ToDictionary(k => k, _ => new List<double>()), SimulatedCrew.Keys.ToDictionary(k => k, _ => new List<double>()));
        var held = new Dictionary<(bool Untaught, Pass Pass), (int Held, int Of)>();
        for (var c = 0; c < Crews; c++)
        {
            var crew = new SimulatedCrew(7_000 + c);
            var record = Enumerable.Range(0, Pours).Select(i => Poured(crew, i)).ToList();
            var learnt = Book(record);
            var wild = Book([.. record, Poured(crew, Pours, wild: c % 2 == 0 ? 2 : 0.5)]);
            foreach (var key in SimulatedCrew.Keys)
            {
                var (hidden, now) = (crew.Hidden.Factor(key), learnt.Factor(key));
                // Of waste what lies over the drawing counts, in points of it.
                var off = key.Of == LearntOf.Waste ? 1.08 * Math.Abs(now - hidden) / 0.2 : Math.Abs((now / hidden) - 1);
                before[key].Add(Math.Abs(Math.Log(hidden)));
                after[key].Add(Math.Abs(Math.Log(now / hidden)));
                near[key] += off <= 0.1 ? 1 : 0;
                moved[key] = Math.Max(moved[key], Math.Abs((wild.Factor(key) / now) - 1));
            }

            // A later day, as it truly goes in the zones that were planned, against the bands of a plan with what was learnt, and of one without.
            foreach (var (values, count) in new[] { (learnt, true), (LearntValues.None, false) })
            {
                var planned = Planner.Plan(SimulatedCrew.Job with { Learnt = values }, Mild).Pour!.Day!;
                var day = crew.Today();
                var goes = LearntValues.Of(day.All.Select(v => (v.Key, v.Key.Of == LearntOf.Waste ? values.Factor(v.Key) : v.Value)));
                var begun = new JobEvent.DayBegun { Id = Guid.NewGuid(), At = planned.Start, Plan = planned.Planned };
                var truth = Planner.Plan(SimulatedCrew.Job with { Learnt = goes }, Path(900 + c), [begun], planned.Start).Pour!.Day!;
                foreach (var (really, told) in truth.Zones.Zip(planned.Zones))
                {
                    foreach (var pass in really.Passes.Where(p => p.Begins is not null))
                    {
                        var holds = told.Passes.FirstOrDefault(p => p.Pass == pass.Pass) is { } band && pass.Opens >= band.OpensEarliest && pass.Opens <= band.OpensLatest;
                        var of = (values.IsNone, pass.Pass);
                        held[of] = held.GetValueOrDefault(of) is var (h, n) ? (h + (holds ? 1 : 0), n + 1) : default;
                    }
                }
            }
        }
        foreach (var key in SimulatedCrew.Keys)
        {
            output.WriteLine(string.Create(CultureInfo.InvariantCulture,
                $"{key.Of}: of {Crews} crews {100.0 * near[key] / Crews:0} % near after {Pours} pours; median error {Median(before[key]):P1} -> {Median(after[key]):P1}; a wild day moves it by {moved[key]:P1} at the most"));
        }

        double Share(bool untaught) => 100.0 * held.Where(h => h.Key.Untaught == untaught).Sum(h => h.Value.Held) / held.Where(h => h.Key.Untaught == untaught).Sum(h => h.Value.Of);
        output.WriteLine(string.Create(CultureInfo.InvariantCulture, $"bands of later plans hold {Share(false):0.0} % of {held.Where(h => !h.Key.Untaught).Sum(h => h.Value.Of)}; of plans without what was learnt {Share(true):0.0} %"));
        foreach (var key in SimulatedCrew.Keys)
        {
            (100.0 * near[key] / Crews).ShouldBeGreaterThanOrEqualTo(80, key.ToString());
            moved[key].ShouldBeLessThanOrEqualTo(0.05, key.ToString());
            Median(after[key]).ShouldBeLessThan(Median(before[key]), key.ToString());
        }

        Share(untaught: false).ShouldBeInRange(75, 85);
    }

    [Fact]
    public void Without_a_log_every_plan_is_as_before_to_the_byte()
    {
        var none = LearntBook.Of([], []).InUse;
        none.IsNone.ShouldBeTrue();
        var of = LearntBook.Of([Poured(new SimulatedCrew(1), 0)], []).InUse;
        of.IsNone.ShouldBeTrue(); // a record alone changes nothing: nothing was taken over
        foreach (var job in Kinds.All().Select(e => Kinds.Job(e)))
        {
            Text(job with { Learnt = none }).ShouldBe(Text(job), job.Name);
        }

        Text(SimulatedCrew.Job with { Learnt = LearntValues.Of([(SimulatedCrew.Pace, 1.2)]) }).ShouldNotBe(Text(SimulatedCrew.Job));
    }

    [Fact]
    public void What_was_refused_never_comes_back_unasked()
    {
        var crew = new SimulatedCrew(3);
        var record = new List<PourRecord>();
        Decision no = new(SimulatedCrew.Pace, Word.Refused, []);
        for (var i = 0; i < 8; i++)
        {
            record.Add(Slow(i));
            var entry = LearntBook.Of(record, [no]).Entries.Single(e => e.Key == SimulatedCrew.Pace);
            entry.Asks.ShouldBeFalse();
            entry.InUse.ShouldBe(Estimate.Nothing);
        }

        LearntBook.Of(record, []).Entries.Single(e => e.Key == SimulatedCrew.Pace).Asks.ShouldBeTrue();
        // And it is not forgotten when the pours that taught it are gone.
        LearntBook.Of([], [no]).Entries.ShouldHaveSingleItem().Word.ShouldBe(Word.Refused);
    }

    [Fact]
    public void A_pour_that_is_taken_out_takes_back_what_it_taught() => Gen.Int[0, 4].Select(Gen.Int[0, 40]).Sample((gone, seed) =>
    {
        PourRecord[] record = [.. Enumerable.Range(0, 5).Select(i => Slow(i, 1 + (((seed * (i + 3)) % 7) * 0.1)))];
        ImmutableArray<PourId> all = [.. record.Select(r => r.Id)];
        PourRecord[] left = [.. record.Where((_, i) => i != gone)];
        var taken = LearntBook.Of(left, [new Decision(SimulatedCrew.Pace, Word.Taken, all)]);
        var never = LearntBook.Of(left, [new Decision(SimulatedCrew.Pace, Word.Taken, [.. left.Select(l => l.Id)])]);
        taken.InUse.Factor(SimulatedCrew.Pace).ShouldBe(never.InUse.Factor(SimulatedCrew.Pace));
        LearntBook.Of([], [new Decision(SimulatedCrew.Pace, Word.Taken, all)]).InUse.IsNone.ShouldBeTrue();
    }, iter: 100);

    [Fact]
    public void A_later_pour_changes_nothing_that_is_in_use_until_it_is_taken_over()
    {
        PourRecord[] record = [Slow(0), Slow(1)];
        Decision yes = new(SimulatedCrew.Pace, Word.Taken, [.. record.Select(r => r.Id)]);
        var before = LearntBook.Of(record, [yes]).Entries.Single();
        before.Asks.ShouldBeFalse();
        var after = LearntBook.Of([.. record, Slow(2), Slow(3)], [yes]).Entries.Single();
        after.InUse.ShouldBe(before.InUse);
        after.Now.Factor.ShouldBeGreaterThan(after.InUse.Factor);
        after.Asks.ShouldBeTrue();
    }

    [Fact]
    public void One_pour_moves_nothing_by_more_than_a_twentieth_whatever_it_says() =>
        Gen.Select(Gen.Enum<LearntOf>(), Gen.Double[0.25, 4].Array[0, 8], Gen.Double[0.25, 4]).Sample((of, said, wild) =>
        {
            LearntReading Read(double factor) => new(new LearntKey(of, "", ""), factor, 1);
            var before = Estimate.Of(of, [.. said.Select(Read)]).Factor;
            // As it ages, and as it is told: what the others lose by age is not its doing.
            var aged = Estimate.Of(of, [.. said.Select(Read), Read(before)]).Factor;
            var after = Estimate.Of(of, [.. said.Select(Read), Read(wild)]).Factor;
            return Math.Abs((after / aged) - 1) < 0.05;
        }, iter: 2_000);

    [Fact]
    public void A_crew_that_is_always_slow_is_learnt_and_a_spread_narrows()
    {
        var estimates = Enumerable.Range(1, 12).Select(n => Estimate.Of(LearntOf.Pace, [.. Enumerable.Repeat(new LearntReading(SimulatedCrew.Pace, 1.2, 1), n)])).ToArray();
        estimates.Zip(estimates.Skip(1)).ShouldAllBe(e => e.Second.Factor > e.First.Factor && e.Second.Factor < 1.2 && e.Second.High / e.Second.Low < e.First.High / e.First.Low);
        estimates[4].Factor.ShouldBeInRange(1.08, 1.12); // half-way after five: the figures that we begin with count as four
    }

    // A pour at which only the pace was off.
    private static PourRecord Slow(int day, double times = 1.3) =>
        new(new PourId(Job(day), ""), Samples.Morning + Duration.FromDays(day), [new LearntReading(SimulatedCrew.Pace, times, 1)], 1_000, [], UnitSystem.Metric, "UTC");

    private static string Text(JobDocument job) => JsonSerializer.Serialize(Teller.Tell(Planner.Plan(job, Mild)), JobFile.Options);

    private static PourRecord Poured(SimulatedCrew crew, int day, double wild = 1)
    {
        var weather = Path(day);
        var told = crew.Pours(Plain, weather, crew.Today(wild));
        return PourReadings.Of(Job(day), SimulatedCrew.Job, weather, told, told[^1].At).ShouldHaveSingleItem() with { At = Samples.Morning + Duration.FromDays(day) };
    }

    private static HourlyWeather Path(int day) => WeatherPaths.Path(Mild, 2_000 + day);

    private static Guid Job(int day) => new(day + 1, 0, 0, new byte[8]);

    private static LearntValues Book(IReadOnlyList<PourRecord> record)
    {
        ImmutableArray<PourId> all = [.. record.Select(r => r.Id)];
        return LearntBook.Of(record, [.. SimulatedCrew.Keys.Select(k => new Decision(k, Word.Taken, all))]).InUse;
    }

    private static double Median(IEnumerable<double> of) => Members.Quantile([.. of.Order()], 0.5);
}
