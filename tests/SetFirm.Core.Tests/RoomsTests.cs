using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Diagnostics;
using Microsoft.CodeAnalysis.Text;
using SetFirm.Rooms;

namespace SetFirm.Core.Tests;

/// <summary>Arrows between the rooms of Core point down. The compiler holds them with each build; here ways past it are tried, each of which must fail.</summary>
public sealed class RoomsTests
{
    /// <summary>A small house: what it needs of each room that a way past goes through.</summary>
    private static readonly (string File, string Text)[] House =
    [
        ("Findings/Finding.cs", "namespace SetFirm.Core.Findings; public abstract partial record Notice; public abstract partial record Mend { public sealed record Plain : Mend; } public sealed record Finding(Notice What, Mend Way);"),
        ("Job/Elements/SlabDocument.cs", "namespace SetFirm.Core.Job; public abstract record ElementDocument { public virtual bool Fills => true; } public abstract record OutlinedDocument : ElementDocument; public sealed record SlabDocument : OutlinedDocument;"),
        ("Job/Pours/PourNotices.cs", "namespace SetFirm.Core.Findings; public abstract partial record Mend { public sealed record OfJob : Mend; } public abstract partial record Notice { public sealed record OfPour(int Count) : Notice; }"),
        ("Planning/JobPlan.cs", "namespace SetFirm.Core.Planning; public sealed record JobPlan(double Litres) { public static JobPlan? Last { get; } } public static class Planner { public static JobPlan Plan() => new(1); }"),
        ("Telling/PlanReport.cs", "namespace SetFirm.Core.Telling; public sealed record PlanReport(double Litres) { public static double Of((double Litres, string Name) pair) => pair.Litres + pair.Name.Length; public static object It() { var one = new { Litres = 2 }; return one.Litres; } }"),
    ];

    private static readonly Lazy<ImmutableArray<MetadataReference>> References = new(() =>
        [.. ((string)AppContext.GetData("TRUSTED_PLATFORM_ASSEMBLIES")!).Split(Path.PathSeparator).Where(p => Path.GetFileName(p).StartsWith("System.", StringComparison.Ordinal) || p.Contains("NetTopologySuite", StringComparison.Ordinal)).Select(p => MetadataReference.CreateFromFile(p))]);

    /// <summary>A file, what stands in it, and the rule that it breaks.</summary>
    public static TheoryData<string, string, string> WaysPast => new()
    {
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { private readonly Planning.JobPlan? plan; public bool Has => plan is not null; }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public List<Telling.PlanReport> Told { get; } = []; }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public Type Of => typeof(Planning.JobPlan); }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public Findings.Notice Say() => new Findings.Notice.OfPour(2); }", "SF0001" },
        { "Steel/Uses.cs", "global using SetFirm.Core.Planning; namespace SetFirm.Core.Steel; public class Bars { public double Of(JobPlan plan) => plan.Litres; }", "SF0001" },
        { "Steel/Uses.cs", "global using Sum = SetFirm.Core.Planning.JobPlan; namespace SetFirm.Core.Steel; public class Bars { public Sum? It { get; } }", "SF0001" },
        { "Steel/Uses.cs", "using static SetFirm.Core.Planning.Planner; namespace SetFirm.Core.Steel; public class Bars { public double It() => Plan().Litres; }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public double It() { var plan = Planning.Planner.Plan(); return plan.Litres; } }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public double? It() => global::SetFirm.Core.Planning.JobPlan.Last?.Litres; }", "SF0001" },
        { "Joints/JointAdvice.cs", "namespace SetFirm.Core.Joints; public class JointAdvice { public Findings.Mend Way => new Findings.Mend.OfJob(); }", "SF0001" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; /// <summary>x</summary>\npublic class Bars { public bool Is(object it) => it.GetType().Name == \"SlabDocument\"; }", "SF0002" },
        { "Planning/Asks.cs", "namespace SetFirm.Core.Planning; public class Asks { public bool Is(Job.ElementDocument it) => it is Job.OutlinedDocument; }", "SF0002" },
        { "Planning/Asks.cs", "namespace SetFirm.Core.Planning; public class Asks { public int Is(Job.ElementDocument it) => it switch { Job.SlabDocument => 1, _ => 0 }; }", "SF0002" },
        { "Planning/Asks.cs", "namespace SetFirm.Core.Planning; public class Asks { public bool Is(Job.ElementDocument it) => it.GetType() == typeof(Job.SlabDocument); }", "SF0002" },
        { "Planning/Asks.cs", "namespace SetFirm.Core.Planning; public class Asks { public string Of => nameof(Job.SlabDocument); }", "SF0002" },
        { "Job/Elements/Late.cs", "namespace SetFirm.Core.Job; public class Late { public Findings.Mend Way => new Findings.Mend.OfJob(); }", "SF0001" },
        { "Weather/Now.cs", "namespace SetFirm.Core.Weather; public class Now { public DateTime It => System.DateTime.UtcNow; }", "SF0003" },
        { "Weather/Now.cs", "using static System.DateTime; namespace SetFirm.Core.Weather; public class Now { public DateTime It => Today; }", "SF0003" },
        { "Weather/Disk.cs", "namespace SetFirm.Core.Weather; public class Disk { public string It => System.IO.File.ReadAllText(\"a\"); }", "SF0003" },
        { "Weather/Dice.cs", "namespace SetFirm.Core.Weather; public class Dice { public int It => Random.Shared.Next(); }", "SF0003" },
        { "Ground/Holes.cs", "namespace SetFirm.Core.Ground; public class Holes { public object It => new NetTopologySuite.Geometries.Coordinate(1, 2); }", "SF0004" },
    };

    public static TheoryData<string, string> Fair => new()
    {
        { "Telling/Tells.cs", "namespace SetFirm.Core.Telling; public class Tells { public double Of(Planning.JobPlan plan) => plan.Litres; }" },
        { "Steel/Bars.cs", "namespace SetFirm.Core.Steel; public class Bars { public Findings.Mend Way => new Findings.Mend.Plain(); public string Said => \"JobPlan\"; }" },
        { "Planning/Asks.cs", "namespace SetFirm.Core.Planning; public class Asks { public bool Is(Job.ElementDocument it) => it.Fills; }" },
        { "Job/Elements/Kinds.cs", "namespace SetFirm.Core.Job; public class Kinds { public bool Is(ElementDocument it) => it is OutlinedDocument; }" },
        { "Job/Pours/Parts.cs", "namespace SetFirm.Core.Job; public class Parts { public bool Has(ElementDocument it) => it.Fills; public Findings.Mend Way => new Findings.Mend.OfJob(); }" },
        { "Steel/Pairs.cs", "namespace SetFirm.Core.Steel; public class Pairs { public static double Of((double Litres, string Name) pair) => pair.Litres + pair.Name.Length; } public class Others { public static object It() { var one = new { Litres = 2 }; return one.Litres; } }" },
        { "Shapes/Cut.cs", "namespace SetFirm.Core.Shapes; public class Cut { public object It => new NetTopologySuite.Geometries.Coordinate(1, 2); }" },
    };

    private static string Table => File.ReadAllText(Repository.File("src/SetFirm.Core/rooms.txt"));

    [Theory]
    [MemberData(nameof(WaysPast))]
    public async Task A_way_past_the_rooms_fails_the_build(string file, string text, string rule) =>
        (await FoundAsync(file, text)).ShouldContain(rule);

    [Theory]
    [MemberData(nameof(Fair))]
    public async Task What_points_down_compiles(string file, string text) => (await FoundAsync(file, text)).ShouldBeEmpty();

    [Fact]
    public void Every_folder_of_Core_has_its_place()
    {
        var rooms = new RoomTable(Table);
        string[] Folders(string of) => [.. Directory.GetDirectories(of).Select(Path.GetFileName).Where(f => f is not ("obj" or "bin"))!];
        Folders(Repository.File("src/SetFirm.Core")).ShouldBe(rooms.Names, ignoreOrder: true);
        foreach (var room in rooms.Names)
        {
            Folders(Repository.File($"src/SetFirm.Core/{room}")).ShouldBe(rooms.Inside(room), ignoreOrder: true, room);
        }
    }

    [Fact]
    public void The_compiler_holds_the_rooms_of_Core()
    {
        var project = File.ReadAllText(Repository.File("src/SetFirm.Core/SetFirm.Core.csproj"));
        project.ShouldContain("SetFirm.Rooms.csproj\" OutputItemType=\"Analyzer\"");
        project.ShouldContain("<AdditionalFiles Include=\"rooms.txt\" />");
        foreach (var file in Directory.EnumerateFiles(Repository.File("src/SetFirm.Core"), "*.cs", SearchOption.AllDirectories))
        {
            File.ReadAllText(file).Contains("SF000", StringComparison.Ordinal).ShouldBeFalse($"{file} switches a rule off");
        }
    }

    private static async Task<string[]> FoundAsync(string file, string text)
    {
        var options = new CSharpParseOptions(LanguageVersion.Latest, DocumentationMode.None);
        const string Usings = "global using System; global using System.Linq; global using System.Collections.Generic;";
        var trees = House.Append((File: file, Text: text)).Select(f => CSharpSyntaxTree.ParseText(f.Text, options, $"/house/SetFirm.Core/{f.File}")).Append(CSharpSyntaxTree.ParseText(Usings, options, "/house/Usings.cs"));
        var compilation = CSharpCompilation.Create("House", trees, References.Value, new CSharpCompilationOptions(OutputKind.DynamicallyLinkedLibrary, nullableContextOptions: NullableContextOptions.Enable));
        // Else it would be found for another reason.
        compilation.GetDiagnostics(TestContext.Current.CancellationToken).Where(d => d.Severity == DiagnosticSeverity.Error).ShouldBeEmpty();
        var with = compilation.WithAnalyzers([new RoomsAnalyzer()], new AnalyzerOptions([new Rules(Table)]));
        return [.. (await with.GetAnalyzerDiagnosticsAsync(TestContext.Current.CancellationToken)).Select(d => d.Id).Distinct()];
    }

    private sealed class Rules(string text) : AdditionalText
    {
        public override string Path => "/house/SetFirm.Core/" + RoomTable.FileName;

        public override SourceText GetText(CancellationToken cancellationToken = default) => SourceText.From(text);
    }
}
