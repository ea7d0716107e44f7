using CsCheck;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Batching;

/// <summary>How long people really take: what the craft says of whole days, then every minute of it.</summary>
public sealed class PaceTests
{
    private static readonly BatchUnit Bag27 = Bag(27.2, 12.7, 2.6);
    private static readonly BatchUnit Bag36 = Bag(36.3, 17, 3.3);

    // Pea gravel and sand by shovel, to the quarter container.
    private static readonly BatchUnit Loose = new(Volume.FromLitres(9.5), Volume.FromLitres(14.2), PerWhole: 4, Mass.FromKilograms(20), Mass.FromKilograms(22)) { Shovelled = true };

    private static readonly Laying Counter = new(1, 1 / 38.0);
    private static readonly Laying Curb = new(1, 0.0066);

    [Theory]
    [InlineData(10)]
    [InlineData(30)]
    public void Two_hundred_and_forty_bags_in_a_170_L_drum_take_two_people_about_nine_hours(double runM) =>
        (Minutes(240, Bag27, new DrumMixer(Volume.FromLitres(170)), 2, runM, Laying.Slab) / 60).ShouldBe(9, 0.75);

    [Theory]
    [InlineData(10)]
    [InlineData(30)]
    public void A_hundred_and_twenty_such_take_one_person_six_to_seven_hours(double runM) =>
        (Minutes(120, Bag27, new DrumMixer(Volume.FromLitres(170)), 1, runM, Laying.Slab) / 60).ShouldBeInRange(6, 7);

    [Theory]
    [InlineData(5)]
    [InlineData(30)]
    public void Twenty_three_bags_of_36_kg_take_two_people_and_a_small_mixer_sixty_to_eighty_minutes(double runM) =>
        Minutes(23, Bag36, new DrumMixer(Volume.FromLitres(120)), 2, runM, Laying.Slab).ShouldBeInRange(60, 80);

    [Theory]
    [InlineData(5)]
    [InlineData(30)]
    public void Three_batches_of_38_L_by_shovel_take_one_person_forty_to_sixty_minutes_into_a_curb(double runM)
    {
        var load = new LoadPlan(Place(new DrumMixer(Volume.FromLitres(140)), 1, runM), new BatchPlan([4, 4, 4], Loose), Curb);
        PourSchedule.Of(load, default).Mixing.TotalMinutes.ShouldBeInRange(40, 60);
    }

    [Theory]
    [InlineData(3)]
    [InlineData(15)]
    public void Six_rapid_bags_one_by_one_in_a_pail_take_one_person_45_to_55_minutes(double runM) =>
        Minutes(6, Bag(27.2, 14.2, 3.75), new DrillMixer(Volume.FromLitres(19)), 1, runM, Counter).ShouldBeInRange(45, 55);

    /// <summary>A hundred and twenty bags of 25 kg are three tonnes: no two people lay them in an hour.</summary>
    [Fact]
    public void Nobody_places_more_than_a_tonne_and_a_half_an_hour() => Cases.Sample((bags, unit, mixer, hands, run, narrow) =>
    {
        var minutes = Minutes(bags, unit, mixer, hands, run, new Laying(narrow, 0.01));
        var tonnesAHandHour = bags * unit.Dry.Kilograms * 2 / 1000 / hands / (minutes / 60);
        return bags < 6 || tonnesAHandHour < 1.5;
    });

    [Fact]
    public void More_bags_longer_runs_fewer_hands_and_slower_figures_never_finish_sooner() => Cases.Sample((bags, unit, mixer, hands, run, narrow) =>
    {
        var laying = new Laying(narrow, 0.01);
        double Of(int b, int h, double r, PaceFigures? figures = null) => Minutes(b, unit, mixer, h, r, laying, figures);
        var here = Of(bags, hands, run);
        return Of(bags + 1, hands, run) >= here - 1e-6 && Of(bags, hands, run + 7) >= here - 1e-9 && (hands == 1 || Of(bags, hands - 1, run) >= here - 1e-9)
            && Of(bags, hands, run, PaceFigures.Usual with { BagMin = 1.4, SlabMin = 0.7 }) >= here - 1e-9 && Of(bags, hands, run, PaceFigures.Usual with { RestMin = 20 }) >= here - 1e-9;
    });

    [Fact]
    public void Whoever_is_called_away_is_missing_and_nobody_called_away_is_missed() => Gen.Select(Cases, Gen.Double[0, 3], Gen.Double[0, 1]).Sample((c, from, hours) =>
    {
        var (bags, unit, mixer, hands, run, narrow) = c;
        var load = Load(bags, unit, mixer, hands, run, new Laying(narrow, 0.01));
        var (whole, called) = (PourSchedule.Of(load, default), PourSchedule.Of(load, default, [new Away(from, from + hours, 1)]));
        var lost = (called.MixingEnds - whole.MixingEnds).TotalHours;
        lost.ShouldBeInRange(-1e-9, (hours * 1.2) + 1e-9); // a fifth more where it takes the place of a rest
        if (hands == 1 && load.Batches.Units.Length > 1)
        {
            called.Batches.ShouldNotContain(b => (b.WaterAdded - default(Instant)).TotalHours > from + 1e-9 && (b.WaterAdded - default(Instant)).TotalHours < from + hours - 1e-9);
        }
    });

    [Fact]
    public void A_round_is_the_greatest_of_what_bounds_it()
    {
        var two = new Pace(Place(new DrumMixer(Volume.FromLitres(140)), 2, 10), Bag27, Laying.Slab);
        var batch = two.Of(8); // four bags: 4 of charging, 3 of turning, 0.7 of emptying
        (batch.Charge, batch.Mix, batch.Empty).ShouldBe((4, 3, 0.7));
        batch.Barrow.ShouldBe(0.5 + (20 / 50.0), 1e-9);
        batch.Spread.ShouldBe(50.8 / 10 * 0.5, 1e-9);
        batch.StrikeOff.ShouldBe(0.508 * 1.5, 1e-9);
        two.Round(batch, 2).ShouldBe((7.7, PaceBound.Machine));
        // Alone nobody watches, and the drum turns while the batch before is placed.
        var (minutes, bound) = two.Round(batch, 1);
        bound.ShouldBe(PaceBound.Hands);
        minutes.ShouldBe(4 + 0.7 + 0.9 + 2.54 + 0.762, 1e-9);
        // A tub: only one hoes.
        var tub = new Pace(Place(new HandMixer(Volume.FromLitres(60)), 3, 10), Bag27, Laying.Slab);
        tub.Of(4).Mix.ShouldBe(4 + (3.5 * 27.4 / 27), 1e-2);
        tub.Round(tub.Of(4), 3).Bound.ShouldBe(PaceBound.Mixing);
        // A drill rests half of the time.
        var pail = new Pace(Place(new DrillMixer(Volume.FromLitres(19)), 2, 5), Bag27, Laying.Slab);
        pail.Round(pail.Of(2), 2).ShouldBe((5, PaceBound.DrillRests));
    }

    [Theory]
    [InlineData(20, 0.8)]
    [InlineData(25, 1.0)]
    [InlineData(27.2, 1.0)]
    [InlineData(36.3, 1.3)]
    public void A_bag_takes_as_long_as_it_weighs(double kg, double minutes) => PaceFigures.Usual.BagOf(kg).ShouldBe(minutes, 1e-12);

    [Theory]
    [InlineData(0, 1)]
    [InlineData(1, 1)]
    [InlineData(3, 1.2)]
    public void Each_tonne_after_the_first_makes_a_tenth_slower(double tonnes, double times) => Pace.Weary(tonnes).ShouldBe(times, 1e-12);

    [Fact]
    public void A_barrow_is_heaped_by_a_tenth_and_what_is_mixed_by_hand_goes_in_its_own_vessel()
    {
        double Barrow(Mixer mixer, double litres) => new Pace(Place(mixer, 2, 10), new BatchUnit(Volume.FromLitres(litres), Volume.FromLitres(litres), 1, Mass.FromKilograms(litres * 2), Mass.FromKilograms(litres * 2.2)), Laying.Slab).Of(1).Barrow;
        var drum = new DrumMixer(Volume.FromLitres(400));
        Barrow(drum, 30).ShouldBe(0.9, 1e-9);
        Barrow(drum, 66).ShouldBe(0.9, 1e-9);
        Barrow(drum, 90).ShouldBe(0.9 * 1.5, 1e-9);
        Barrow(new HandMixer(Volume.FromLitres(200)), 90).ShouldBe(0.9, 1e-9);
    }

    [Fact]
    public void The_chart_of_a_round_holds_every_minute_once_and_nobody_does_two_things() => Cases.Sample((bags, unit, mixer, hands, run, narrow) =>
    {
        var load = Load(bags, unit, mixer, hands, run, new Laying(narrow, 0.01));
        var (chart, pace) = (RoundChart.Of(load), load.Pace);
        var batch = pace.Of(load.Batches.Units.Max());
        var people = chart.Lanes.Where(l => l.Hand > 0).ToArray();
        var worked = people.SelectMany(l => l.Parts).Sum(p => p.ToMin - p.FromMin);
        return people.Length == hands && Math.Abs(worked - pace.Labour(batch, hands)) < 1e-6
            && chart.Lanes.All(l => l.Parts.All(p => p.FromMin >= -1e-9 && p.ToMin <= chart.Minutes + 1e-6) && l.Parts.Zip(l.Parts.Skip(1)).All(p => p.First.ToMin <= p.Second.FromMin + 1e-9));
    });

    private static readonly Gen<(int, BatchUnit, Mixer, int, double, double)> Cases =
        from bags in Gen.Int[1, 150]
        from kind in Gen.Int[0, 4]
        let kg = new[] { 20, 25, 27.2, 30, 36.3 }[kind]
        from mixer in Gen.OneOf<Mixer>(
            Gen.Double[70, 300].Select(l => (Mixer)new DrumMixer(Volume.FromLitres(l))), Gen.Double[40, 120].Select(l => (Mixer)new PanMixer(Volume.FromLitres(l))),
            Gen.Double[24, 40].Select(l => (Mixer)new DrillMixer(Volume.FromLitres(l))), Gen.Double[20, 90].Select(l => (Mixer)new HandMixer(Volume.FromLitres(l))))
        from hands in Gen.Int[1, 5]
        from run in Gen.Double[0, 60]
        from narrow in Gen.Double[0, 1]
        select (bags, Bag(kg, kg * 0.468, kg * 0.09), mixer, hands, run, narrow);

    private static BatchUnit Bag(double kg, double litres, double waterL) => new(
        Volume.FromLitres(litres / 2), Volume.FromLitres(kg / 1.6 / 2), PerWhole: 2, Mass.FromKilograms(kg / 2), Mass.FromKilograms((kg + waterL) / 2))
    { Bag = Mass.FromKilograms(kg) };

    private static MixingPlace Place(Mixer mixer, int hands, double runM) => new(mixer, new Crew(hands), Length.FromMetres(runM), null);

    private static LoadPlan Load(int bags, BatchUnit unit, Mixer mixer, int hands, double runM, Laying laying, PaceFigures? figures = null)
    {
        var place = Place(mixer, hands, runM) with { Figures = figures ?? PaceFigures.Usual };
        return new LoadPlan(place, place.Soonest(unit.Yield * (2 * bags), unit, laying).ShouldBeOfType<Batched.Fits>().Plan, laying);
    }

    private static double Minutes(int bags, BatchUnit unit, Mixer mixer, int hands, double runM, Laying laying, PaceFigures? figures = null) =>
        PourSchedule.Of(Load(bags, unit, mixer, hands, runM, laying, figures), default).Mixing.TotalMinutes;
}
