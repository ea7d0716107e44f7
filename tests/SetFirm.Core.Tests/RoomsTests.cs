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
        ["Events"] = 1,
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
        ["Learning"] = 4,
        ["Mending"] = 5,
        ["Tasks"] = 5,
        ["Job"] = 6,
        ["Planning"] = 7,
        ["Telling"] = 8,
        ["Sheets"] = 8,
    };

    /// <summary>Folders inside a room, in order: one may use only what stands before it, and a room's own files may use all of them or be used by all.</summary>
    private static readonly Dictionary<string, string[]> Inside = new()
    {
        ["Job"] = ["Elements", "Pours"],
        ["Tasks"] = ["Kinds"],
    };

    public static TheoryData<string> Rooms => [.. Level.Keys];

    [Fact]
    public void Every_room_has_a_level() =>
        Directory.GetDirectories(Core()).Select(Path.GetFileName).ShouldBe(Level.Keys, ignoreOrder: true);

    [Theory]
    [MemberData(nameof(Rooms))]
    public void Every_folder_inside_a_room_has_its_place(string room) =>
        Directory.GetDirectories(Path.Combine(Core(), room)).Select(Path.GetFileName).ShouldBe(Inside.GetValueOrDefault(room, []), ignoreOrder: true);

    [Theory]
    [MemberData(nameof(Rooms))]
    public void A_room_sees_only_lower_rooms(string room)
    {
        var places = Directory.EnumerateFiles(Core(), "*.cs", SearchOption.AllDirectories).ToDictionary(f => f, File.ReadAllText);
        foreach (var (file, text) in places.Where(f => Of(f.Key) == room))
        {
            // In whole, or from inside the namespace: "Steel.Bars" where the file stands in SetFirm.Core.
            foreach (var seen in OtherRoom().Matches(text).Concat(Relative().Matches(WithoutWords(text))).Select(m => m.Groups[1].Value).Where(Level.ContainsKey).Where(seen => seen != room))
            {
                Level[seen].ShouldBeLessThan(Level[room], $"{file} must not see {seen}");
            }
        }
    }

    [Fact]
    public void A_folder_inside_a_room_sees_only_those_before_it()
    {
        foreach (var (room, folders) in Inside)
        {
            for (var i = 0; i < folders.Length; i++)
            {
                var later = folders[(i + 1)..].SelectMany(f => Directory.EnumerateFiles(Path.Combine(Core(), room, f), "*.cs")).Where(f => !f.EndsWith("Notices.cs", StringComparison.Ordinal)).SelectMany(f => Types().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value)).ToHashSet();
                foreach (var file in Directory.EnumerateFiles(Path.Combine(Core(), room, folders[i]), "*.cs"))
                {
                    Word().Matches(WithoutWords(File.ReadAllText(file))).Select(m => m.Value).Where(later.Contains).ShouldBeEmpty(file);
                }
            }
        }
    }

    [Fact]
    public void Only_Elements_tests_what_kind_an_element_is()
    {
        var kinds = typeof(Core.Job.ElementDocument).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Core.Job.ElementDocument)) && !t.IsAbstract).Select(t => t.Name).ToHashSet();
        kinds.Count.ShouldBeGreaterThan(8);
        var elsewhere = Directory.EnumerateFiles(Core(), "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/Job/Elements/", StringComparison.Ordinal) && Path.GetFileName(f) != "StartingJob.cs");
        foreach (var file in elsewhere)
        {
            Word().Matches(WithoutWords(File.ReadAllText(file))).Select(m => m.Value).Where(kinds.Contains).ShouldBeEmpty(file);
        }
    }

    [Fact]
    public void Only_Shapes_knows_the_geometry_library()
    {
        var knows = Directory.EnumerateFiles(Core(), "*.cs", SearchOption.AllDirectories)
            .Where(f => File.ReadAllText(f).Contains("NetTopologySuite", StringComparison.Ordinal))
            .Select(Of).Distinct();
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

    private static string Of(string file) => Path.GetRelativePath(Core(), file).Split(Path.DirectorySeparatorChar)[0];

    // Sentences and texts name things that are no types.
    private static string WithoutWords(string text) => Said().Replace(text, "");

    [GeneratedRegex(@"(?:using |\b)SetFirm\.Core\.([A-Z]\w+)")]
    private static partial Regex OtherRoom();

    [GeneratedRegex(@"(?<![\w.])(?:Core\.)?([A-Z]\w+)\.[A-Z]\w+[.(<\s]")]
    private static partial Regex Relative();

    [GeneratedRegex(@"//[^\n]*|""(?:[^""\\\n]|\\.)*""")]
    private static partial Regex Said();

    [GeneratedRegex(@"^(?:public|internal) [\w ]*(?:class|record|struct|enum|interface) (?:struct )?(\w+)", RegexOptions.Multiline)]
    private static partial Regex Types();

    [GeneratedRegex(@"\b[A-Z]\w+\b")]
    private static partial Regex Word();

    [GeneratedRegex(@"DateTime\.(Utc)?Now|SystemClock|Random\.Shared|System\.IO|System\.Net|Microsoft\.(AspNetCore|EntityFrameworkCore)")]
    private static partial Regex OutsideWorld();

    private static string Core() => Repository.File("src/SetFirm.Core");
}
