using System.Text.RegularExpressions;

namespace SetFirm.Core.Tests;

/// <summary>Arrows between the rooms of Core point down: a room may use only rooms of a lower level.</summary>
public sealed partial class RoomsTests
{
    private static readonly Dictionary<string, int> Level = new()
    {
        ["Quantities"] = 0,
        ["Findings"] = 0,
        ["Shapes"] = 1,
        ["Mixes"] = 1,
        ["Weather"] = 1,
        ["Ground"] = 2,
        ["Joints"] = 2,
        ["Setting"] = 2,
        ["Batching"] = 2,
        ["Formwork"] = 3,
        ["Steel"] = 3,
        ["Finishing"] = 3,
        ["Curing"] = 3,
        ["PourDay"] = 4,
        ["Takeoff"] = 4,
        ["Methods"] = 5,
        ["Plans"] = 6,
    };

    public static TheoryData<string> Rooms => [.. Level.Keys];

    [Fact]
    public void Every_room_has_a_level() =>
        Directory.GetDirectories(Core()).Select(Path.GetFileName).ShouldBe(Level.Keys, ignoreOrder: true);

    [Theory]
    [MemberData(nameof(Rooms))]
    public void A_room_sees_only_lower_rooms(string room)
    {
        foreach (var file in Directory.EnumerateFiles(Path.Combine(Core(), room), "*.cs", SearchOption.AllDirectories))
        {
            foreach (var seen in OtherRoom().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value).Where(seen => seen != room))
            {
                Level[seen].ShouldBeLessThan(Level[room], $"{file} must not see {seen}");
            }
        }
    }

    [Fact]
    public void Only_Shapes_knows_the_geometry_library()
    {
        var knows = Directory.EnumerateFiles(Core(), "*.cs", SearchOption.AllDirectories)
            .Where(f => File.ReadAllText(f).Contains("NetTopologySuite", StringComparison.Ordinal))
            .Select(f => Path.GetRelativePath(Core(), f).Split(Path.DirectorySeparatorChar)[0]).Distinct();
        knows.ShouldBe(["Shapes"]);
    }

    [Fact]
    public void Core_reads_no_clock_file_or_chance()
    {
        foreach (var file in Directory.EnumerateFiles(Core(), "*.cs", SearchOption.AllDirectories))
        {
            OutsideWorld().IsMatch(File.ReadAllText(file)).ShouldBeFalse(file);
        }
    }

    [GeneratedRegex(@"(?:using |\b)SetFirm\.Core\.([A-Z]\w+)")]
    private static partial Regex OtherRoom();

    [GeneratedRegex(@"DateTime\.(Utc)?Now|SystemClock|Random\.Shared|System\.IO|System\.Net|Microsoft\.(AspNetCore|EntityFrameworkCore)")]
    private static partial Regex OutsideWorld();

    private static string Core() => Repository.File("src/SetFirm.Core");
}
