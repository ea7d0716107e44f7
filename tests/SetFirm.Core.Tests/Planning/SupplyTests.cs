using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>From what the concrete must be to what is carried home: ways, batches on the plan, the list and its money.</summary>
public sealed class SupplyTests
{
    private static readonly HourlyWeather Mild = Samples.Steady(18);

    private static readonly PartsMixDocument Split = Samples.OneTwoThree();

    public static TheoryData<int> KindIndexes => [.. Enumerable.Range(0, Kinds.All().Count)];

    [Theory]
    [MemberData(nameof(KindIndexes))]
    public void Whatever_is_poured_there_is_a_way_that_does_and_the_first_of_them_is_the_cheapest(int kind)
    {
        var mix = Plans.Of(Kinds.Job(Kinds.All()[kind]), Mild).Mix.ShouldNotBeNull();
        var worth = Samples.Terrace().Buy.HourWorth;
        var ways = mix.Ways.Select(w => w.Way).ToArray();
        var fitting = ways.Where(w => w.Misfits.Length == 0).ToArray();
        fitting.ShouldNotBeEmpty();
        ways.Count(w => w.Proposed).ShouldBe(1);
        ways[0].Proposed.ShouldBeTrue();
        fitting.Select(w => w.Cost + ((w.Hours ?? 0) * worth)).ShouldBeInOrder();
        foreach (var way in fitting)
        {
            way.F28Mpa.ShouldBeGreaterThanOrEqualTo(mix.Demand!.LeastMpa - 1e-9);
            (way.WaterCement ?? 0).ShouldBeLessThanOrEqualTo((mix.Demand!.MostWaterCement ?? 10) + 1e-9);
            way.StoneMm.ShouldBeLessThanOrEqualTo(mix.Demand!.MostStoneMm * 1.02);
            way.PerLitre.ShouldBeGreaterThan(0);
        }
    }

    [Theory]
    [InlineData(Exposure.NoFreezing)]
    [InlineData(Exposure.FreezesSeldomWet)]
    [InlineData(Exposure.FreezesOftenWet)]
    public void A_way_that_is_taken_gives_what_it_was_told_to_give(Exposure exposure)
    {
        var job = Samples.Terrace();
        job = job with { Mix = job.Mix with { Exposure = exposure } };
        foreach (var (way, takes) in Plans.Of(job, Mild).Mix!.Ways.Where(w => w.Way.Kind != WayKind.Truck && !w.Way.Taken))
        {
            var taken = job with { Mix = takes.ShouldNotBeNull() };
            var report = Plans.Of(taken, Mild);
            report.Mix!.F28Mpa.ShouldBe(way.F28Mpa, 1e-6, way.Bag ?? $"{way.School}");
            var same = report.Mix.Ways.Single(w => w.Way.Taken).Way;
            same.Cost.ShouldBe(way.Cost, 1e-6);
            same.Misfits.ShouldBe(way.Misfits, ignoreOrder: true, $"{way}");
            if (way.Misfits.Length == 0)
            {
                report.Findings.ShouldNotContain(f => f.Says is Notice.ExposureWaterCement || f.Says is Notice.ExposureAir || f.Says is Notice.ExposureStrength);
            }
        }
    }

    [Fact]
    public void Where_it_freezes_wet_no_bag_does_and_parts_come_with_air()
    {
        var job = Samples.Terrace();
        var ways = Plans.Of(job with { Mix = job.Mix with { Exposure = Exposure.FreezesSeldomWet } }, Mild).Mix!.Ways.Select(w => w.Way).ToArray();
        ways.Where(w => w.Bag is not null).ShouldAllBe(w => w.Misfits.Contains(WayMisfit.NoAir));
        ways.Where(w => w.School is not null).ShouldAllBe(w => w.AirEntrained && !w.Misfits.Contains(WayMisfit.NoAir));
    }

    [Fact]
    public void A_skim_is_offered_mortar_with_more_cement_and_never_a_mix_with_stone()
    {
        var ways = Plans.Of(Kinds.Job(Kinds.All().OfType<OverlayDocument>().First()), Mild).Mix!.Ways.Select(w => w.Way).ToArray();
        ways.Single(w => w.Bag == "mortar-60lb").CementAddedPct.ShouldBe(8);
        ways.Where(w => w.StoneMm > 0).ShouldAllBe(w => w.Misfits.Contains(WayMisfit.StoneTooLarge) || w.Misfits.Contains(WayMisfit.SectionTooThin));
    }

    [Fact]
    public void A_bag_of_ones_own_stands_among_the_ways_and_a_label_that_cannot_be_is_told_at_its_field()
    {
        var job = Samples.Terrace();
        var own = new OwnBagDocument
        {
            Id = "own-1",
            Name = "Garden mix",
            Mass = "20 kg",
            Yield = "9.5 L",
            LeastWater = "1.6 L",
            MostWater = "2.2 L",
            F28Mpa = 32,
            InitialSetH = 4,
            FinalSetH = 6,
            LeastThicknessMm = 40,
            StoneMm = 8,
            Family = MixFamily.Portland,
        };
        job = job with { Buy = job.Buy with { Bags = [own], Prices = [new PriceDocument { Good = "bag/own-1", Price = 2, Date = "2026-11-25" }] } };
        Plans.Of(job, Mild).Mix!.Ways.Single(w => w.Way.Bag == "own-1").Way.F28Mpa.ShouldBe(32);
        var taken = Plans.Of(job with { Mix = ((BaggedMixDocument)job.Mix) with { Bag = "own-1" } }, Mild);
        taken.Mix!.Bagged!.YieldL.ShouldBe(9.5, 1e-9);
        taken.Buy!.Lines.Single(l => l.Kind == GoodKind.Bag).Packs.Single().Price.ShouldBe(2);
        // What it tells of its air and cement is believed; where it tells nothing no ratio is made up.
        taken.Mix.WaterCement.ShouldBeNull();
        var told = own with { AirPct = 7.5, CementPct = 20 };
        var frost = ((BaggedMixDocument)job.Mix) with { Bag = "own-1", Exposure = Exposure.FreezesOftenWet };
        Plans.Of(job with { Mix = frost }, Mild).Findings.ShouldContain(f => f.Says is Notice.ExposureAir);
        var known = Plans.Of(job with { Buy = job.Buy with { Bags = [told] }, Mix = frost }, Mild);
        known.Findings.ShouldNotContain(f => f.Says is Notice.ExposureAir);
        known.Mix!.WaterCement!.Value.ShouldBe(1.9 / (0.20 * 20), 0.05);
        foreach (var (bad, path) in new[]
        {
            (own with { AirPct = 30 }, "/buy/bags/0/airPct"), (own with { CementPct = 0 }, "/buy/bags/0/cementPct"), (own with { MostWater = "1 L" }, "/buy/bags/0/mostWater"), (own with { FinalSetH = 2 }, "/buy/bags/0/finalSetH"), (own with { Id = "mine" }, "/buy/bags/0/id"),
            (own with { Mass = "much" }, "/buy/bags/0/mass"), (own with { F28Mpa = 0 }, "/buy/bags/0/f28Mpa"),
        })
        {
            Plans.Of(job with { Buy = job.Buy with { Bags = [bad] } }, Mild).Findings.ShouldContain(f => f.Severity == Severity.Error && f.Where.Path == path, path);
        }
    }

    [Theory]
    [MemberData(nameof(KindIndexes))]
    public void What_is_bought_is_never_less_than_what_is_used_and_the_money_adds_up(int kind)
    {
        foreach (var mix in new MixDocument[] { Samples.Terrace().Mix, Split, Split with { Sand = 0, Stone = 0, Ballast = 4, Moisture = Moisture.AfterRain } })
        {
            var job = Kinds.Job(Kinds.All()[kind], Samples.TerraceSlab()) with { Mix = mix };
            var report = Plans.Of(job, Mild);
            var buy = report.Buy.ShouldNotBeNull();
            buy.Lines.ShouldAllBe(l => l.FromShed == 0 && l.Packs.Sum(p => p.Size * p.Count) >= l.Used - 1e-6);
            buy.Cost.ShouldBe(buy.Lines.Sum(l => l.Cost) + Math.Min(buy.Carry.TripsCost, buy.Carry.DeliveryCost), 1e-6);
            buy.Elements.Sum(e => e.Cost).ShouldBe(buy.Cost, 1e-6);
            buy.Groups.Sum(g => g.Cost).ShouldBe(buy.Lines.Sum(l => l.Cost), 1e-6);
            buy.Lines.Select(l => l.Good).ShouldBeUnique();
            // What the batches are measured from is what is used.
            foreach (var (what, good) in new[] { (MeasuredThing.Cement, GoodKind.Cement), (MeasuredThing.Stone, GoodKind.Stone) })
            {
                if (report.Load!.MeasureOut.FirstOrDefault(m => m.What == what) is { } measured && report.Shape!.OrderL <= report.Load.Batches.Sum(b => b.VolumeL))
                {
                    buy.Lines.Single(l => l.Kind == good).Used.ShouldBeGreaterThanOrEqualTo(measured.Kg - 1e-6);
                }
            }
        }
    }

    [Fact]
    public void The_shed_is_taken_off_and_a_price_of_ones_own_is_kept_with_its_day()
    {
        var job = Samples.Terrace();
        var full = Plans.Of(job, Mild).Buy!;
        var bags = full.Lines.Single(l => l.Kind == GoodKind.Bag);
        var buy = Plans.Of(
            job with
            {
                Buy = job.Buy with
                {
                    Shed = [new ShedDocument { Good = bags.Good, Amount = 20 }],
                    Prices = [new PriceDocument { Good = bags.Packs[0].Id, Price = 4.1, Date = "2026-11-20" }],
                },
            },
            Mild).Buy!;
        var line = buy.Lines.Single(l => l.Kind == GoodKind.Bag);
        (line.FromShed, line.Packs[0].Count).ShouldBe((20, bags.Packs[0].Count - 20));
        (line.Packs[0].Price, line.Packs[0].Noted, line.Packs[0].Date).ShouldBe((4.1, true, "2026-11-20"));
        line.Cost.ShouldBe(line.Packs[0].Count * 4.1, 1e-9);
    }

    [Fact]
    public void Units_change_no_cost_and_no_mass()
    {
        var job = Samples.Terrace() with { Mix = Split };
        var metric = Plans.Of(job, Mild);
        var us = Plans.Of(Spelled(job, metric) with { Units = UnitSystem.Us }, Mild);
        us.Buy!.Cost.ShouldBe(metric.Buy!.Cost, 1e-6);
        us.Buy.Kg.ShouldBe(metric.Buy.Kg, 1e-6);
        us.Load!.Recipes.Select(r => r.WaterCementOffPct).ShouldBe(metric.Load!.Recipes.Select(r => r.WaterCementOffPct), 1e-9);
    }

    [Fact]
    public void Batches_lie_on_the_plan_panel_by_panel_each_with_its_share_and_together_all_of_it()
    {
        var report = Plans.Of(Samples.Terrace(), Mild);
        var (batches, order) = (report.Load!.Batches, report.Shape!.OrderL);
        var areas = batches.Select(b => b.Fills.SelectMany(f => f.Pieces).Sum(p => Bands.Area([.. p]))).ToArray();
        var whole = (4.8 * 3.4) - (2.8 * 1.2);
        areas.Sum().ShouldBe(whole, 0.02 * whole); // panels round openings leave those out
        for (var i = 0; i < batches.Count - 1; i++)
        {
            areas[i].ShouldBe(areas.Sum() * batches[i].VolumeL / order, 0.001 * whole);
        }
    }

    [Fact]
    public void A_pad_and_a_border_on_one_day_are_one_sequence_and_the_batch_between_fills_both()
    {
        var job = Kinds.Job(Samples.TerraceSlab(), Kinds.All().OfType<BorderDocument>().First());
        var batches = Plans.Of(job, Mild).Load!.Batches;
        batches.Select(b => b.WaterAdded!.Value).ShouldBeInOrder();
        var elements = batches.SelectMany(b => b.Fills.Select(f => f.Element)).ToArray();
        elements.ShouldBeInOrder();
        elements.Distinct().ShouldBe([0, 1]);
        batches.ShouldContain(b => b.Fills.Count == 2);
        batches.SelectMany(b => b.Fills).ShouldAllBe(f => f.Pieces.Count > 0);
    }

    [Fact]
    public void Two_at_two_mixers_are_quicker_than_two_at_one_and_a_mixer_too_many_is_told()
    {
        var job = Samples.Terrace();
        double Pace(int hands, int mixers) => Plans.Of(job with { Mixing = job.Mixing with { Hands = hands, Mixers = mixers } }, Mild).Load!.StartToStartMin;
        Pace(2, 2).ShouldBeLessThan(Pace(2, 1));
        var alone = Plans.Of(job with { Mixing = job.Mixing with { Hands = 1, Mixers = 2 } }, Mild);
        var told = alone.Findings.Single(f => f.Says is Notice.MixersWithoutHands);
        told.Remedies.Single().Edits.Single().Number.ShouldBe(2);
        Pace(1, 2).ShouldBe(Pace(1, 1), 1e-9);
    }

    [Fact]
    public void A_plate_on_the_mixer_limits_the_batch()
    {
        var job = Samples.Terrace();
        var plated = Plans.Of(job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = "140 L", MostMass = "100 kg" } } }, Mild).Load!;
        plated.Recipes.ShouldAllBe(r => r.Kg <= 100 + 1e-9);
        plated.Batches.Count.ShouldBeGreaterThan(Plans.Of(job, Mild).Load!.Batches.Count);
        Plans.Of(job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = "140 L", MostMass = "light" } } }, Mild)
            .Findings.ShouldContain(f => f.Where.Path == "/mixing/mixer/mostMass" && f.Severity == Severity.Error);
    }

    [Fact]
    public void Everything_that_is_measured_out_is_what_the_batches_take()
    {
        var job = Samples.Terrace() with { Mix = Split with { Additives = new AdditivesDocument { Pigment = 4, Polymer = 12, Plasticiser = 1 } } };
        var plan = Plans.Of(job, Mild);
        var load = plan.Load!;
        foreach (var total in load.MeasureOut)
        {
            load.Recipes.Sum(r => r.Batches * r.Measures.Where(m => (m.What, m.Of) == (total.What, total.Of)).Sum(m => m.Count)).ShouldBe(total.Count, 1e-9);
        }

        var cement = load.MeasureOut.Single(m => m.What == MeasuredThing.Cement).Kg;
        load.MeasureOut.Single(m => m.What == MeasuredThing.Pigment).Kg.ShouldBe(0.04 * cement, 1e-6);
        load.MeasureOut.Single(m => m.What == MeasuredThing.Polymer).Kg.ShouldBe(0.12 * cement, 1e-6);
        plan.Buy!.Lines.Single(l => l.Kind == GoodKind.Polymer).Used.ShouldBe(0.12 * cement, 1e-6);
        load.MeasureOut.Single(m => m.What == MeasuredThing.Additive).Count.ShouldBe(cement / 25, 1e-6);
        load.LoadingOrder.Select(m => m.Step).ShouldContain(LoadingStep.Colour);
    }

    [Fact]
    public void Stone_in_a_thin_skim_is_told_and_both_ways_out_lead_to_a_mix_without_it()
    {
        var skim = Kinds.Job(Kinds.All().OfType<OverlayDocument>().First());
        var parts = skim with { Mix = Split with { StoneMm = 10 } };
        var told = Plans.Of(parts, Mild).Findings.First(f => f.Says is Notice.StoneTooLarge);
        told.Says<Notice.StoneTooLarge>().StoneMm.ShouldBe(10);
        var without = RemedyText.Taken(parts, told.Remedies.Single(r => r.Does is Mend.NoStone));
        Plans.Of(without, Mild).Findings.ShouldNotContain(f => f.Says is Notice.StoneTooLarge);
        var bagged = skim with { Mix = ((BaggedMixDocument)Samples.Terrace().Mix) with { Bag = "general-25kg" } };
        var thick = Plans.Of(bagged, Mild).Findings.First(f => f.Says is Notice.ThicknessOutsideMix);
        var other = RemedyText.Taken(bagged, thick.Remedies.Single(r => r.Does is Mend.OtherBag));
        Plans.Of(other, Mild).Findings.ShouldNotContain(f => f.Says is Notice.ThicknessOutsideMix || f.Says is Notice.StoneTooLarge);
    }

    [Fact]
    public void A_shed_that_holds_nothing_is_told_with_what_it_would_save_and_a_car_too_small_too()
    {
        var job = Samples.Terrace();
        var line = Plans.Of(job, Mild).Buy!.Lines.Single(l => l.Kind == GoodKind.Stake);
        var empty = job with { Buy = job.Buy with { Shed = [new ShedDocument { Good = "stake", Amount = 0 }] } };
        var told = Plans.Of(empty, Mild).Findings.Single(f => f.Says is Notice.ShedHoldsNothing);
        told.Where.Path.ShouldBe("/buy/shed/0/amount");
        var remedy = told.Remedies.Single();
        remedy.Does<Mend.EnoughInShed>().SavesMoney.ShouldBe(line.Cost, 1e-9);
        var full = Plans.Of(RemedyText.Taken(empty, remedy), Mild).Buy!;
        full.Lines.Single(l => l.Kind == GoodKind.Stake).Packs.ShouldBeEmpty();
        full.Lines.Sum(l => l.Cost).ShouldBe(Plans.Of(job, Mild).Buy!.Lines.Sum(l => l.Cost) - line.Cost, 1e-6);
        Plans.Of(job with { Mix = Split, Buy = job.Buy with { Payload = "300 kg" } }, Mild).Findings.ShouldContain(f => f.Says is Notice.TooHeavyForCar);
    }

    [Theory]
    [InlineData("/buy/prices/0/price", "-1")]
    [InlineData("/buy/prices/0/date", "\"yesterday\"")]
    [InlineData("/buy/shed/0/amount", "-3")]
    [InlineData("/buy/extras/0/count", "1e12")]
    [InlineData("/buy/hourWorth", "-5")]
    [InlineData("/buy/payload", "\"a lot\"")]
    [InlineData("/mixes/0/containers/sand/size", "\"0 L\"")]
    [InlineData("/mixes/0/additives/retarder", "9")]
    [InlineData("/mixes/0/cementAdded", "80")]
    [InlineData("/mixing/mixers", "9")]
    public void What_cannot_be_is_told_at_its_field(string path, string json)
    {
        var job = Samples.Terrace();
        job = job with
        {
            Buy = job.Buy with
            {
                Prices = [new PriceDocument { Good = "stake", Price = 1, Date = "" }],
                Shed = [new ShedDocument { Good = "stake", Amount = 1 }],
                Extras = [new ExtraDocument { Name = "Level", Count = 1, Price = 20 }],
            },
        };
        var bad = JobText.Read(JobText.Set(JobText.Node(job), path, System.Text.Json.Nodes.JsonNode.Parse(json)));
        Plans.Of(bad, Mild).Findings.ShouldContain(f => f.Where.Path == path && f.Severity == Severity.Error);
    }

    [Fact]
    public void A_container_weighed_full_is_the_same_as_one_filled_to_its_mark()
    {
        var job = Samples.Terrace() with { Mix = Split };
        var weighed = job with { Mix = Split with { Containers = Split.Containers with { Sand = new ContainerDocument { Kind = ContainerKind.Bucket, Size = "19.2 kg" } } } }; // 12 L of dry sand
        ReportText.Of(Figures(weighed)).ShouldBe(ReportText.Of(Figures(job)));

        // A way's mix says the container in the user's words.
        static PlanReport Figures(JobDocument job)
        {
            var report = Plans.Of(job, Mild);
            return report with { Readings = [], Mix = report.Mix! with { Ways = [.. report.Mix.Ways.Select(w => w with { Takes = null })] } };
        }
    }

    [Theory]
    [InlineData("retarder", 2.0, typeof(Notice.TooMuchRetarder))]
    [InlineData("pigment", 8.0, typeof(Notice.TooMuchPigment))]
    [InlineData("airEntrainer", 1.0, typeof(Notice.AirNotForBags))]
    [InlineData("chlorideAccelerator", 1.0, typeof(Notice.ChlorideRustsSteel))]
    public void What_forbids_an_additive_is_told_at_its_field_and_its_way_out_mends_it(string additive, double amount, Type code)
    {
        var job = JobText.Read(JobText.Set(
            JobText.Node(Samples.Terrace().WithSlab(s => s with { Steel = new SteelDocument { School = Core.Steel.SteelSchool.Mesh } })), $"/mixes/0/additives/{additive}", amount));
        var told = Plans.Of(job, Mild).Findings.Single(f => f.Says.GetType() == code);
        told.Where.Path.ShouldBe($"/mixes/0/additives/{additive}");
        Plans.Of(RemedyText.Taken(job, told.Remedies[0]), Mild).Findings.ShouldNotContain(f => f.Says.GetType() == code);
    }

    [Fact]
    public void A_rapid_mix_takes_only_its_makers_own_and_air_is_never_trowelled()
    {
        var rapid = Samples.Terrace();
        rapid = rapid with { Mix = ((BaggedMixDocument)rapid.Mix) with { Bag = "rapid-60lb", Additives = new AdditivesDocument { Plasticiser = 1 } } };
        Plans.Of(rapid, Mild).Findings.ShouldContain(f => f.Says is Notice.RapidTakesItsOwn && f.Where.Path == "/mixes/0/additives/plasticiser");
        var airy = Samples.Terrace().WithSlab(s => s with { Finish = Core.Finishing.Finish.Steel }) with { Mix = Split with { Additives = new AdditivesDocument { AirEntrainer = 1 } } };
        var told = Plans.Of(airy, Mild).Findings.Single(f => f.Says is Notice.AirNeverTrowelled);
        Plans.Of(RemedyText.Taken(airy, told.Remedies.Single()), Mild).Findings.ShouldNotContain(f => f.Says is Notice.AirNeverTrowelled);
        var plain = Plans.Of(airy with { Mix = Split }, Mild).Mix!;
        Plans.Of(airy, Mild).Mix!.F28Mpa.ShouldBeLessThan(plain.F28Mpa);
    }

    [Fact]
    public void Retarder_doubles_the_clock_of_the_day()
    {
        var job = Samples.Terrace();
        var later = Plans.Of(job with { Mix = ((BaggedMixDocument)job.Mix) with { Additives = new AdditivesDocument { Retarder = 1 } } }, Samples.Steady(20)).Mix!;
        var plain = Plans.Of(job, Samples.Steady(20)).Mix!;
        later.InitialSetH.ShouldBe(2 * plain.InitialSetH, 1e-9);
        later.FinalSetH.ShouldBe(2 * plain.FinalSetH, 1e-9);
    }

    [Fact]
    public void A_wanted_mix_temperature_names_the_water_that_brings_it_and_says_when_none_does()
    {
        var job = Samples.Terrace();
        var cold = Samples.Steady(6);
        var wanted = job with { Mixing = job.Mixing with { WantedMixC = 15 } };
        var told = Plans.Of(wanted, cold).Findings.Single(f => f.Says is Notice.MixOutOfReach);
        var warm = Plans.Of(RemedyText.Taken(wanted, told.Remedies.Single()), cold);
        warm.Day!.MixC.ShouldBe(15, 0.3);
        warm.Findings.ShouldNotContain(f => f.Says is Notice.MixOutOfReach);
        var far = Plans.Of(job with { Mixing = job.Mixing with { WantedMixC = 25 } }, Samples.Steady(1)).Findings.Single(f => f.Says is Notice.MixOutOfReach);
        far.Remedies.ShouldBeEmpty();
        far.Says<Notice.MixOutOfReach>().WaterC.ShouldBeGreaterThan(60);
        Plans.Of(job with { Mixing = job.Mixing with { WaterC = 55 } }, cold).Findings.ShouldContain(f => f.Says is Notice.WaterScalds && f.Severity == Severity.Caution);
    }

    [Theory]
    [InlineData(Core.Steel.SteelSchool.BarGrid)]
    [InlineData(Core.Steel.SteelSchool.Mesh)]
    [InlineData(Core.Steel.SteelSchool.TwoRows)]
    public void Steel_of_several_like_pieces_is_cut_counted_and_bought_for_all_of_them(Core.Steel.SteelSchool school)
    {
        PlanReport Of(int pieces) => Plans.Of(
            Kinds.Job(Kinds.All().OfType<PieceDocument>().First() with
            {
                Outline = new PresetOutlineDocument { Shape = PresetShape.Rectangle, Along = "1.2 m", Across = "800 mm" },
                Thickness = "200 mm",
                Casting = new MouldsDocument { Pieces = pieces, Moulds = pieces },
                Steel = new SteelDocument { School = school },
            }),
            Mild);
        var (one, four) = (Of(1), Of(4));
        var (single, all) = (one.Build!.Elements[0].Steel, four.Build!.Elements[0].Steel);
        (all.Chairs, all.Ties, all.SheetCount).ShouldBe((4 * single.Chairs, 4 * single.Ties, 4 * single.SheetCount));
        all.BarM.ShouldBe(4 * single.BarM, 1e-9);
        four.Build.Bars.Sum(b => b.CutM).ShouldBe(4 * one.Build.Bars.Sum(b => b.CutM), 1e-9);
        foreach (var line in four.Buy!.Lines.Where(l => l.Kind is GoodKind.Chair or GoodKind.TieWire))
        {
            line.Used.ShouldBe(4 * one.Buy!.Lines.Single(l => l.Kind == line.Kind).Used, 1e-9);
        }

        // Two pieces of mesh 1,120 x 720 come out of one sheet of 2.4 x 1.2 m.
        var mesh = four.Buy.Lines.Where(l => l.Kind == GoodKind.MeshSheet).Sum(l => l.Used);
        mesh.ShouldBe(school == Core.Steel.SteelSchool.Mesh ? 2 : 0, 1e-9);
        four.Build.MeshSheets.ShouldBe((int)mesh);
    }

    [Fact]
    public void A_plate_too_small_for_the_least_batch_is_told_as_the_plate_and_rules_the_way_out_of_every_other_mix()
    {
        var job = Samples.Terrace();
        var tight = job with { Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Drum, Size = "140 L", MostMass = "10 kg" } } };
        var report = Plans.Of(tight, Mild);
        var told = report.Findings.Single(f => f.Says is Notice.BatchTooHeavy);
        told.Says<Notice.BatchTooHeavy>().ByPlate.ShouldBeTrue();
        told.Says<Notice.BatchTooHeavy>().MostKg.ShouldBe(10);
        report.Mix!.Ways.Select(w => w.Way).Where(w => w.Bag == "general-25kg").ShouldAllBe(w => w.Misfits.Contains(WayMisfit.NotInThisMixer) && w.Hours == null);
        Plans.Of(RemedyText.Taken(tight, told.Remedies.Single()), Mild).Load.ShouldNotBeNull();
    }

    [Fact]
    public void A_container_weighed_full_of_stone_goes_by_the_jobs_own_stone_or_ballast()
    {
        double Litres(PartsMixDocument mix) => Plans.Of(
            Samples.Terrace() with { Mix = mix with { Containers = mix.Containers with { Stone = new ContainerDocument { Kind = ContainerKind.Box, Size = "15.2 kg" } } } }, Mild)
            .Readings.Single(r => r.Path.Path == "/mixes/0/containers/stone/size").Si * 1000;
        Litres(Split with { StoneMm = 10 }).ShouldBe(15.2 / 1.52, 1e-9);
        Litres(Split with { StoneMm = 20 }).ShouldBe(15.2 / 1.55, 1e-9);
        Litres(Split with { Sand = 0, Stone = 0, Ballast = 4 }).ShouldBe(15.2 / 1.75, 1e-9);
    }

    [Fact]
    public void A_cold_joint_in_the_heat_of_the_day_is_offered_the_cool_of_the_morning_with_the_limit_it_brings()
    {
        var weather = Samples.Weather(Enumerable.Range(0, 24 * 14).Select(h => Samples.Mild with { AirC = 25 + (10 * Math.Cos(2 * Math.PI * (h - 13) / 24)) }));
        var job = Samples.Terrace();
        job = job with
        {
            Mix = ((BaggedMixDocument)job.Mix) with { Bag = "fast-80lb" },
            Mixing = job.Mixing with { Mixer = new MixerDocument { Kind = MixerKind.Tub, Size = "70 L" }, Hands = 1 },
            Day = job.Day with { Start = "14:00" },
        };
        var joint = Plans.Of(job, weather).Findings.Single(f => f.Says is Notice.ColdJoint);
        var cooler = joint.Remedies.Single(r => r.Does is Mend.CoolerHour);
        cooler.Does<Mend.CoolerHour>().LimitMin.ShouldBeGreaterThan(joint.Says<Notice.ColdJoint>().LimitMin);
        var early = Plans.Of(RemedyText.Taken(job, cooler), weather);
        early.Load!.JointLimitMin!.Value.ShouldBe(cooler.Does<Mend.CoolerHour>().LimitMin, 1e-6);
        early.Day!.MixC.ShouldBe(cooler.Does<Mend.CoolerHour>().MixC, 1e-6);
    }

    // Bare numbers get the unit they were read in, as the page does before it swaps.
    private static JobDocument Spelled(JobDocument job, PlanReport report)
    {
        var node = JobText.Node(job);
        foreach (var reading in report.Readings.Where(r => r.Bare))
        {
            JobText.Set(node, reading.Path.Path, reading.Exact);
        }

        return JobText.TryRead(node.ToJsonString()).ShouldBeOfType<JobRead.Ok>().Document;
    }
}
