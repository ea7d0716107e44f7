using System.Globalization;
using CsCheck;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Tests.Quantities;

public sealed class QuantityTextTests
{
    private const double Inch = 0.0254;

    [Theory]
    [InlineData("12' 6\"", 150 * Inch)]
    [InlineData("12' 6 1/2\"", 150.5 * Inch)]
    [InlineData("12'6-1/2\"", 150.5 * Inch)]
    [InlineData("12′ 6½″", 150.5 * Inch)]
    [InlineData("12’6”", 150 * Inch)]
    [InlineData("12' 6''", 150 * Inch)]
    [InlineData("12' 6", 150 * Inch)]
    [InlineData("12.5 ft", 150 * Inch)]
    [InlineData("12 feet 6 inches", 150 * Inch)]
    [InlineData("3/8 in", 0.375 * Inch)]
    [InlineData("½\"", 0.5 * Inch)]
    [InlineData("2 yd 1 ft", 84 * Inch)]
    [InlineData("3.81 m", 3.81)]
    [InlineData("3,81 m", 3.81)]
    [InlineData(".5 m", 0.5)]
    [InlineData("3.81m", 3.81)]
    [InlineData("3 m 81 cm", 3.81)]
    [InlineData("381 CM", 3.81)]
    [InlineData("  3810 mm ", 3.81)]
    public void Lengths_are_read_the_way_people_write_them(string text, double metres)
    {
        var read = QuantityText.Read(text, Units.Lengths, UnitSystem.Metric).ShouldBeOfType<Reading.Read>();
        read.Si.ShouldBe(metres, 1e-12);
        read.Bare.ShouldBeFalse();
    }

    [Theory]
    [InlineData("3810", UnitSystem.Metric, 3.81)]
    [InlineData("150", UnitSystem.Us, 150 * Inch)]
    [InlineData("5 1/2", UnitSystem.Us, 5.5 * Inch)]
    public void A_bare_number_takes_the_jobs_system(string text, UnitSystem system, double metres)
    {
        var read = QuantityText.Read(text, Units.Lengths, system).ShouldBeOfType<Reading.Read>();
        read.Si.ShouldBe(metres, 1e-12);
        read.Bare.ShouldBeTrue();
    }

    [Theory]
    [InlineData("18 L", 0.018)]
    [InlineData("3.5 gal", 3.5 * 231 * Inch * Inch * Inch)]
    [InlineData("5 cu ft", 5 * 0.3048 * 0.3048 * 0.3048)]
    [InlineData("2 ft3", 2 * 0.3048 * 0.3048 * 0.3048)]
    [InlineData("0.4 m³", 0.4)]
    [InlineData("1 gal 2 qt", 1.5 * 231 * Inch * Inch * Inch)]
    public void Volumes_are_read_too(string text, double cubicMetres) => QuantityText.Read(text, Units.Volumes, UnitSystem.Metric)
        .ShouldBeOfType<Reading.Read>().Si.ShouldBe(cubicMetres, 1e-12);

    [Fact]
    public void A_bucket_is_the_users_own_measure() => QuantityText
        .Read("1 1/2 buckets", Units.VolumesWithBucket(Volume.FromLitres(12)), UnitSystem.Us).ShouldBeOfType<Reading.Read>().Si.ShouldBe(0.018, 1e-12);

    [Theory]
    [InlineData(null, UnreadReason.Empty, 0)]
    [InlineData("   ", UnreadReason.Empty, 0)]
    [InlineData("-3 m", UnreadReason.Negative, 0)]
    [InlineData("abc", UnreadReason.NotANumber, 0)]
    [InlineData("12 furlongs", UnreadReason.UnknownUnit, 3)]
    [InlineData("1,200", UnreadReason.AmbiguousComma, 1)]
    [InlineData("3/0 in", UnreadReason.DivisionByZero, 2)]
    [InlineData("6\" 12'", UnreadReason.TermsOutOfOrder, 3)]
    [InlineData("1 m 2\"", UnreadReason.TermsOutOfOrder, 4)]
    [InlineData("12 6", UnreadReason.TermsOutOfOrder, 3)]
    [InlineData("3.8.1 m", UnreadReason.NotANumber, 3)]
    [InlineData("∞", UnreadReason.NotANumber, 0)]
    [InlineData("1e9 m", UnreadReason.UnknownUnit, 1)]
    public void What_cannot_be_read_says_why_and_where(string? text, UnreadReason reason, int at) =>
        QuantityText.Read(text, Units.Lengths, UnitSystem.Metric).ShouldBe(new Reading.Unread(reason, at));

    [Fact]
    public void A_text_too_long_is_refused_unread() => QuantityText.Read(new string('1', 61), Units.Lengths, UnitSystem.Metric)
        .ShouldBe(new Reading.Unread(UnreadReason.TooLong, QuantityText.MaxCharacters));

    [Fact]
    public void What_is_written_exactly_is_read_back_the_same() =>
        Gen.Select(Gen.Double[0, 250], Gen.Int[0, Units.Lengths.Units.Length - 1].Select(i => Units.Lengths.Units[i])).Sample((metres, unit) =>
            QuantityText.Read(QuantityText.Exact(metres, unit), Units.Lengths, UnitSystem.Metric) is Reading.Read read
            && Math.Abs(read.Si - metres) < 1e-9);

    [Fact]
    public void Feet_inches_and_sixteenths_add_up() =>
        Gen.Select(Gen.Int[0, 60], Gen.Int[0, 11], Gen.Int[1, 15]).Sample((feet, inches, sixteenths) =>
            QuantityText.Read($"{feet}' {inches} {sixteenths}/16\"", Units.Lengths, UnitSystem.Metric) is Reading.Read read
            && Math.Abs(read.Si - (((feet * 12) + inches + (sixteenths / 16.0)) * Inch)) < 1e-9);

    [Fact]
    public void Any_text_at_all_is_read_or_refused_never_thrown() =>
        Gen.String[Gen.Char["0123456789.,/-'\" mftincyd½¼’″³\0\ud800"], 0, 70].Sample(text =>
            QuantityText.Read(text, Units.Volumes, UnitSystem.Us) switch
            {
                Reading.Read read => double.IsFinite(read.Si) && read.Si >= 0,
                Reading.Unread unread => unread.At >= 0 && unread.At <= QuantityText.MaxCharacters,
                _ => false,
            });

    [Fact]
    public void Symbols_and_spellings_are_unique_in_each_table()
    {
        foreach (var table in new[] { Units.Lengths, Units.Volumes, Units.Masses })
        {
            table.Units.Select(u => u.Symbol).ShouldBeUnique();
            table.Units.SelectMany(u => u.Spellings).ShouldBeUnique();
            table.Units.ShouldAllBe(u => table.BySpelling(u.Symbol) == u);
            table.Units.Where(u => u.Smaller is not null).ShouldAllBe(u => table.BySymbol(u.Smaller!).Si < u.Si);
        }
    }

    [Fact]
    public void Factors_agree_with_their_definitions()
    {
        // NIST Special Publication 811, appendix B: exact factors.
        Units.Volumes.BySymbol("gal").Si.ShouldBe(3.785411784e-3, 1e-15);
        Units.Volumes.BySymbol("ft3").Si.ShouldBe(0.028316846592, 1e-15);
        Units.Volumes.BySymbol("yd3").Si.ShouldBe(0.764554857984, 1e-15);
        Units.Masses.BySymbol("lb").Si.ShouldBe(0.45359237);
        Units.Lengths.BySymbol("yd").Si.ShouldBe(0.9144, 1e-15);
    }

    [Fact]
    public void Reading_does_not_depend_on_the_culture()
    {
        var before = CultureInfo.CurrentCulture;
        try
        {
            CultureInfo.CurrentCulture = new CultureInfo("") { NumberFormat = { NumberDecimalSeparator = ",", NumberGroupSeparator = "." } };
            QuantityText.Read("3.81 m", Units.Lengths, UnitSystem.Metric).ShouldBe(new Reading.Read(3.81, Bare: false));
            QuantityText.Exact(3.81, Units.Lengths.BySymbol("m")).ShouldBe("3.81 m");
        }
        finally
        {
            CultureInfo.CurrentCulture = before;
        }
    }

    [Fact]
    public void A_quantity_below_zero_or_not_a_number_is_a_bug_and_throws()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => Length.FromMetres(-0.001));
        Should.Throw<ArgumentOutOfRangeException>(() => Volume.FromLitres(double.NaN));
        Should.Throw<ArgumentOutOfRangeException>(() => Mass.FromKilograms(double.PositiveInfinity));
        default(Length).Metres.ShouldBe(0);
    }
}
