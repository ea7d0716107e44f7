using CsCheck;
using NodaTime;
using SetFirm.Core.Events;

namespace SetFirm.Core.Tests.Events;

/// <summary>What stands of a log is the same whatever order its lines come in.</summary>
public sealed class EventTests
{
    private static readonly Instant Noon = Instant.FromUtc(2027, 5, 5, 12, 0);

    [Fact]
    public void The_fold_does_not_depend_on_the_order_in_which_lines_came() => Gen.Int[0, 10_000].Sample(seed =>
    {
        var luck = new Random(seed);
        var lines = Enumerable.Range(0, 12).Select(i => Wetting(luck.Next(0, 500), luck.Next(3) == 0 ? "b" : "a")).Cast<JobEvent>().ToList();
        foreach (var gone in lines.Where(_ => luck.Next(4) == 0).ToArray())
        {
            lines.Add(new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = Noon, Line = gone.Id });
        }

        lines.AddRange(lines.Take(3).ToArray()); // told twice
        var shuffled = lines.OrderBy(_ => luck.Next()).ToArray();
        Told.Of(shuffled).Lines.ShouldBe(Told.Of(lines).Lines);
        Told.Of(lines).Lines.Select(l => l.Id).ShouldBeUnique();
        Told.Of(lines).Lines.Select(l => l.At).ShouldBeInOrder();
    }, iter: 200);

    [Fact]
    public void A_line_that_is_withdrawn_before_it_came_never_counts()
    {
        var line = Wetting(5, "a");
        var gone = new JobEvent.Withdrawn { Id = Guid.NewGuid(), At = Noon, Line = line.Id };
        Told.Of([gone]).Lines.ShouldBeEmpty();
        Told.Of([gone, line]).Lines.ShouldBeEmpty();
        Told.Of([gone, line, Wetting(6, "a")]).Wetted.Length.ShouldBe(1);
    }

    [Fact]
    public void A_line_belongs_to_its_pour_and_one_that_names_none_to_the_first()
    {
        var told = Told.Of([Wetting(1, "a"), Wetting(2, "b"), Wetting(3, "")]);
        told.OfPour("a", first: true).Wetted.ShouldBe([Noon + Duration.FromHours(1), Noon + Duration.FromHours(3)]);
        told.OfPour("b", first: false).Wetted.ShouldBe([Noon + Duration.FromHours(2)]);
        told.OfPour("c", first: false).Lines.ShouldBeEmpty();
    }

    [Fact]
    public void Coats_are_counted_by_product()
    {
        JobEvent Coat(int product) => new JobEvent.Coated { Id = Guid.NewGuid(), At = Noon, Product = product };
        var told = Told.Of([Coat(0), Coat(1), Coat(1)]);
        told.Coats(0).ShouldBe(1);
        told.Coats(1).ShouldBe(2);
        told.Coats(2).ShouldBe(0);
    }

    public static TheoryData<JobEvent, string> Impossible => new()
    {
        { new JobEvent.BatchMixing { Id = default, At = Noon, Batch = 0 }, nameof(JobEvent.BatchMixing.Batch) },
        { new JobEvent.BatchPlaced { Id = default, At = Noon, Batch = 1_001 }, nameof(JobEvent.BatchPlaced.Batch) },
        { new JobEvent.StruckOff { Id = default, At = Noon, Zone = -1 }, nameof(JobEvent.StruckOff.Zone) },
        { new JobEvent.WaterAdded { Id = default, At = Noon, Batch = 1, Litres = -0.5 }, nameof(JobEvent.WaterAdded.Litres) },
        { new JobEvent.WaterAdded { Id = default, At = Noon, Batch = 1, Litres = double.NaN }, nameof(JobEvent.WaterAdded.Litres) },
        { new JobEvent.TemperatureTold { Id = default, At = Noon, Of = ToldTemperature.Mix, Celsius = double.PositiveInfinity }, nameof(JobEvent.TemperatureTold.Celsius) },
        { new JobEvent.TemperatureTold { Id = default, At = Noon, Of = ToldTemperature.Air, Celsius = -61 }, nameof(JobEvent.TemperatureTold.Celsius) },
        { new JobEvent.SheenGone { Id = default, At = Noon, Zone = 0 }, nameof(JobEvent.SheenGone.Zone) },
        { new JobEvent.ThumbTest { Id = default, At = Noon, Zone = 0, Mark = ThumbMark.SixMm }, nameof(JobEvent.ThumbTest.Zone) },
        { new JobEvent.PassBegun { Id = default, At = Noon, Zone = 0, Pass = Pass.Broom }, nameof(JobEvent.PassBegun.Zone) },
        { new JobEvent.PassDone { Id = default, At = Noon, Zone = 0, Pass = Pass.Broom }, nameof(JobEvent.PassDone.Zone) },
        { new JobEvent.Photo { Id = default, At = Noon, Picture = "" }, nameof(JobEvent.Photo.Picture) },
        { new JobEvent.UsedUp { Id = default, At = Noon, Good = "sand", Amount = double.NaN }, nameof(JobEvent.UsedUp.Amount) },
        { new JobEvent.Coated { Id = default, At = Noon, Product = -1 }, nameof(JobEvent.Coated.Product) },
        { new JobEvent.Noted { Id = default, At = Noon, Note = new string('x', EventLimits.LongestNote + 1) }, nameof(JobEvent.Note) },
        { new JobEvent.Noted { Id = default, At = Noon, Pour = new string('x', 300) }, nameof(JobEvent.Pour) },
        { new JobEvent.Noted { Id = default, At = Noon, Device = new string('x', 300) }, nameof(JobEvent.Device) },
    };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_cannot_be_is_named_by_its_field(JobEvent said, string field) => EventLimits.WrongIn(said).ShouldBe(field);

    [Fact]
    public void What_can_be_is_let_through()
    {
        EventLimits.WrongIn(Wetting(1, "a")).ShouldBeNull();
        EventLimits.WrongIn(new JobEvent.TemperatureTold { Id = default, At = Noon, Of = ToldTemperature.Slab, Celsius = -12.5 }).ShouldBeNull();
        EventLimits.WrongIn(new JobEvent.WaterAdded { Id = default, At = Noon, Batch = 3, Litres = 0.4 }).ShouldBeNull();
    }

    private static JobEvent.Wetted Wetting(int hour, string pour) => new() { Id = Guid.NewGuid(), At = Noon + Duration.FromHours(hour), Pour = pour };
}
