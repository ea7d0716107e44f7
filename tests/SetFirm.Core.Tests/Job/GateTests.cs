using CsCheck;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Job;

/// <summary>What people type becomes a checked value, or a finding at its field: never both, never neither.</summary>
public sealed class GateTests
{
    private static readonly Place At = Places.Element(0).Thickness;

    [Theory]
    [InlineData("100 mm", 100)]
    [InlineData("4\"", 101.6)]
    [InlineData("12' 6\"", 3810)]
    [InlineData("0.1 m", 100)]
    [InlineData("100", 100)] // bare: millimetres, in a metric job
    public void A_length_is_read_as_it_is_said(string text, double mm)
    {
        var gate = new Gate(UnitSystem.Metric);
        gate.Length(At, text, 1, 10_000)!.Value.Millimetres.ShouldBe(mm, 1e-9);
        gate.Findings.ShouldBeEmpty();
        var read = gate.Readings.ShouldHaveSingleItem();
        (read.Path, read.Dimension).ShouldBe((At, Dimension.Length));
        read.Si.ShouldBe(mm / 1000, 1e-12);
    }

    [Fact]
    public void What_was_read_is_spelled_so_that_it_reads_the_same_again_in_either_system() =>
        Gen.Select(Gen.Double[0.001, 50], Gen.Enum<UnitSystem>()).Sample((metres, system) =>
        {
            var gate = new Gate(system);
            var text = system == UnitSystem.Us ? $"{metres / Length.MetresPerInch:0.000}\"" : $"{metres * 1000:0.0} mm";
            var said = gate.Length(At, text, 0, 1e6)!.Value;
            foreach (var other in Enum.GetValues<UnitSystem>())
            {
                var again = new Gate(other).Length(At, gate.Readings[0].Exact, 0, 1e6)!.Value;
                again.Metres.ShouldBe(said.Metres, 5e-6);
            }
        }, iter: 200);

    [Theory]
    [InlineData("")]
    [InlineData(null)]
    [InlineData("thick")]
    [InlineData("3 kg")]
    [InlineData("1 000 000 km")]
    [InlineData("NaN")]
    [InlineData("-5 mm")]
    [InlineData("∞")]
    public void What_cannot_be_a_length_leaves_one_fault_at_its_field(string? text)
    {
        var gate = new Gate(UnitSystem.Metric);
        gate.Length(At, text, 10, 2000).ShouldBeNull();
        var finding = gate.Findings.ShouldHaveSingleItem();
        (finding.Severity, finding.Where).ShouldBe((Severity.Error, At));
        (finding.Says is Notice.QuantityUnread or Notice.OutOfRange).ShouldBeTrue();
    }

    [Theory]
    [InlineData("10 mm", true)]
    [InlineData("9.999 mm", false)]
    [InlineData("2000 mm", true)]
    [InlineData("2.001 m", false)]
    public void Limits_belong_to_the_range_and_what_lies_outside_is_told_with_them(string text, bool sound)
    {
        var gate = new Gate(UnitSystem.Metric);
        (gate.Length(At, text, 10, 2000) is not null).ShouldBe(sound);
        if (!sound)
        {
            var says = gate.Findings.ShouldHaveSingleItem().Says.ShouldBeOfType<Notice.OutOfRange>();
            (says.Least, says.Most, says.Unit).ShouldBe((10, 2000, RangeUnit.Mm));
        }
    }

    [Theory]
    [InlineData("-1.5 m", -1.5)]
    [InlineData("−250 mm", -0.25)]
    [InlineData("  - 10 cm", -0.1)]
    [InlineData("0", 0)]
    [InlineData("2 m", 2)]
    public void A_length_may_run_backwards_where_it_may(string text, double metres) => new Gate(UnitSystem.Metric).SignedLength(At, text, 5000)!.Value.ShouldBe(metres, 1e-12);

    [Fact]
    public void Volumes_and_masses_are_read_in_their_own_units()
    {
        var gate = new Gate(UnitSystem.Us);
        gate.Volume(At, "5 ft3", 1, 1000)!.Value.Litres.ShouldBe(141.58, 0.01);
        gate.Mass(At, "80 lb", 1, 100)!.Value.Kilograms.ShouldBe(36.287, 0.001);
        gate.Volume(At, "5 ft", 1, 1000).ShouldBeNull();
        gate.Mass(At, "5 L", 1, 1000).ShouldBeNull();
        gate.Readings.Select(r => r.Dimension).ShouldBe([Dimension.Volume, Dimension.Mass]);
        gate.Findings.Count.ShouldBe(2);
    }

    [Theory]
    [InlineData("2027-05-04", true)]
    [InlineData("2027-02-29", false)]
    [InlineData("04.05.2027", false)]
    [InlineData("1989-12-31", false)]
    [InlineData("2201-01-01", false)]
    [InlineData("", false)]
    public void A_day_is_one_of_the_calendar_in_our_time(string text, bool sound)
    {
        var gate = new Gate(UnitSystem.Metric);
        (gate.Date(Places.Day.Date, text) == new LocalDate(2027, 5, 4)).ShouldBe(sound);
        gate.Findings.Count.ShouldBe(sound ? 0 : 1);
    }

    [Theory]
    [InlineData("08:30", true)]
    [InlineData("8:30", false)]
    [InlineData("24:00", false)]
    [InlineData("08:60", false)]
    [InlineData("soon", false)]
    public void An_hour_is_one_of_the_day(string text, bool sound)
    {
        var gate = new Gate(UnitSystem.Metric);
        (gate.Time(Places.Day.Start, text) == new LocalTime(8, 30)).ShouldBe(sound);
        gate.Findings.Count.ShouldBe(sound ? 0 : 1);
    }

    [Theory]
    [InlineData(double.NaN)]
    [InlineData(double.PositiveInfinity)]
    [InlineData(double.NegativeInfinity)]
    [InlineData(4.0001)]
    public void A_number_that_is_none_lies_in_no_range(double value)
    {
        var gate = new Gate(UnitSystem.Metric);
        gate.InRange(At, value, 0, 4).ShouldBeFalse();
        gate.Findings.ShouldHaveSingleItem().Where.ShouldBe(At);
    }

    [Fact]
    public void Whatever_is_typed_gives_a_value_or_a_fault() => Gen.String[0, 12].Sample(text =>
    {
        foreach (var system in Enum.GetValues<UnitSystem>())
        {
            var gate = new Gate(system);
            var read = gate.Length(At, text, 0.01, 1e6);
            (read is null).ShouldBe(gate.Findings.Count == 1);
            gate.Findings.Count.ShouldBeLessThanOrEqualTo(1);
        }
    }, iter: 3000);
}
