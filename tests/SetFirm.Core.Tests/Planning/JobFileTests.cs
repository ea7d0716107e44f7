using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using SetFirm.Core.Batching;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Planning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Tests.Planning;

public sealed class JobFileTests
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    [Fact]
    public void A_job_comes_back_from_its_file_unchanged()
    {
        foreach (var job in new[] { Samples.Terrace(), Samples.Terrace() with { Mix = Samples.OneTwoThree(), Units = UnitSystem.Us }, Samples.Terrace() with { Mix = Samples.Ready() } })
        {
            var text = JobFile.Write(job);
            JobFile.Write(JobText.TryRead(text).ShouldBeOfType<JobRead.Ok>().Document).ShouldBe(text);
        }
    }

    [Fact]
    public void A_job_from_a_newer_version_is_told_apart() => JobText
        .TryRead(JobText.Set(JobText.Node(Samples.Terrace()), "/version", 7).ToJsonString()).ShouldBe(new JobRead.Newer(7, JobDocument.CurrentVersion));

    [Fact]
    public void A_job_of_version_two_gets_a_container_for_each_thing_and_a_shed_and_plans_as_before()
    {
        var old = JobText.TryRead(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Planning/job-file.version-2.json"))).ShouldBeOfType<JobRead.Ok>().Document;
        old.Version.ShouldBe(JobDocument.CurrentVersion);
        old.Mix.Containers.Cement.ShouldBe(new ContainerDocument { Kind = Core.Mixes.ContainerKind.Bucket, Size = "12 L" });
        old.Mix.Containers.Water.Kind.ShouldBe(Core.Mixes.ContainerKind.Jug);
        old.Mix.Additives.ShouldBe(new AdditivesDocument());
        old.Mixing.Mixers.ShouldBe(1);
        var report = Plans.Of(old, Samples.Steady(18));
        report.Findings.ShouldNotContain(f => f.Severity == Core.Findings.Severity.Error);
        report.Buy.ShouldNotBeNull().Lines.ShouldNotBeEmpty();
        JobText.TryRead(JobFile.Write(old)).ShouldBeOfType<JobRead.Ok>();
    }

    [Fact]
    public void A_job_of_version_four_gets_ids_for_its_elements_and_its_mix_and_is_poured_in_one_go_as_before()
    {
        var old = JobText.TryRead(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Planning/job-file.version-4.json"))).ShouldBeOfType<JobRead.Ok>().Document;
        old.Elements.Select(e => e.Id).ShouldBe(old.Elements.Select((_, i) => $"element-{i + 1}"));
        old.Mixes.Select(m => m.Id).ShouldBe(["mix-1"]);
        old.Pours.ShouldBeEmpty();
        var report = Plans.Of(old, Samples.Steady(18));
        report.Pours.ShouldHaveSingleItem().Parts.Count.ShouldBe(old.Elements.Count);
        report.OtherMixes.ShouldBeEmpty();
        report.Load!.MeasureOut.Where(m => m.What == MeasuredThing.Bag).Sum(m => m.Count).ShouldBe(report.Mix!.Bagged!.Count, 0.5);
    }

    [Theory]
    [InlineData("mix", "$.mix")]
    [InlineData("elements/0/bucket", "$.elements[0].bucket")]
    public void A_file_of_version_five_with_a_part_of_version_four_is_refused_at_its_place(string part, string path)
    {
        var job = JobText.Node(Samples.Terrace());
        JobText.Set(job, $"/{part}", job["mixes"]![0]!.DeepClone());
        JobText.TryRead(job.ToJsonString()).ShouldBeOfType<JobRead.Unreadable>().Path.ShouldBe(path);
    }

    [Theory]
    [InlineData("/mixes", "[]", "$.mixes")]
    [InlineData("/mixes/0", "null", "$.mixes[0]")]
    [InlineData("/pours", "null", "$.pours")]
    [InlineData("/buy/hourWorth", "1e999", "$.buy.hourWorth")] // a reader of JSON makes it infinite
    [InlineData("/mixing/waterC", "-1e999", "$.mixing.waterC")]
    [InlineData("/pours/0", "null", "$.pours[0]")]
    [InlineData("/pours/0/parts/0", "null", "$.pours[0].parts[0]")]
    [InlineData("/pours/0/parts/0/element", "null", "$.pours[0].parts[0].element")]
    [InlineData("/pours/0/parts/0/course", "\"roof\"", "$.pours[0].parts[0].course")]
    [InlineData("/pours/0/parts/0/casting", "1.5", "$.pours[0].parts[0].casting")]
    [InlineData("/day/workDays", "\"sundays\"", "$.day.workDays")]
    public void Pours_and_mixes_that_cannot_be_read_are_refused_at_their_place(string at, string value, string path)
    {
        var job = Samples.Terrace() with { Pours = [new PourDocument { Id = "a", Date = "2027-05-04", Parts = [new PartDocument { Element = "element-1" }] }] };
        var json = JobText.Set(JobText.Node(job), at, JsonNode.Parse(value));
        JobText.TryRead(json.ToJsonString()).ShouldBeOfType<JobRead.Unreadable>().Path.ShouldBe(path);
    }

    [Theory]
    [InlineData("[]")]
    [InlineData("null")]
    [InlineData("\"setfirm-job\"")]
    [InlineData("{}")]
    [InlineData("{\"format\":\"another\"}")]
    [InlineData("{\"format\":7}")]
    public void What_is_no_job_is_told_apart(string json) => JobText.TryRead(json).ShouldBeOfType<JobRead.NotAJob>();

    [Fact]
    public void Half_a_surrogate_pair_is_refused_wherever_it_stands()
    {
        JobText.TryRead("{\"format\":\"\\ud800\"}").ShouldBeOfType<JobRead.Unreadable>();
        JobText.TryRead("{\"format\":\"setfirm-job\",\"version\":1,\"\\ud800\":1}").ShouldBeOfType<JobRead.Unreadable>();
    }

    [Theory]
    [InlineData("/version", "\"1\"", "$.version")]
    [InlineData("/version", "0", "$.version")]
    [InlineData("/name", "null", "$.name")]
    [InlineData("/name", "\"\\ud800\"", "$.name")]
    [InlineData("/units", "\"cubits\"", "$.units")]
    [InlineData("/units", "1", "$.units")]
    [InlineData("/elements", "null", "$.elements")]
    [InlineData("/elements/0", "null", "$.elements[0]")]
    [InlineData("/elements/0/outline/sides/1", "null", "$.elements[0].outline.sides")]
    [InlineData("/elements/0/edges/1", "null", "$.elements[0].edges")]
    [InlineData("/elements/0/openings/1", "null", "$.elements[0].openings")]
    [InlineData("/elements/0/outline/sides/1/turn", "\"90\"", "$.elements[0].outline.sides[1].turn")]
    [InlineData("/elements/0/kind", "\"dome\"", "$.elements[0]")]
    [InlineData("/mixes/0/kind", "\"mud\"", "$.mixes[0]")]
    [InlineData("/mixing/hands", "2.5", "$.mixing.hands")]
    public void What_cannot_be_read_is_named_by_its_path_without_our_type_names(string at, string value, string path)
    {
        const string marker = "\"@@\"";
        var json = JobText.Set(JobText.Node(Samples.Terrace()), at, JsonValue.Create("@@")).ToJsonString().Replace(marker, value, StringComparison.Ordinal);
        var read = JobText.TryRead(json).ShouldBeOfType<JobRead.Unreadable>();
        read.Path.ShouldStartWith(path);
        read.Reason.ShouldNotContain("SetFirm.");
        read.Reason.ShouldNotContain("System.");
    }

    [Fact]
    public void An_unknown_or_missing_field_is_refused_rather_than_lost()
    {
        var extra = JobText.Node(Samples.Terrace());
        extra["colour"] = "red";
        JobText.TryRead(extra.ToJsonString()).ShouldBeOfType<JobRead.Unreadable>().Path.ShouldContain("colour");
        var less = JobText.Node(Samples.Terrace()).AsObject();
        less.Remove("cure");
        JobText.TryRead(less.ToJsonString()).ShouldBeOfType<JobRead.Unreadable>();
    }

    [Fact]
    public void A_variant_without_its_kind_is_named()
    {
        var job = JobText.Node(Samples.Terrace());
        job["elements"]![0]!["outline"]!.AsObject().Remove("kind");
        JobText.TryRead(job.ToJsonString()).ShouldBe(new JobRead.Unreadable("$.elements[0].outline", "its kind is wanted"));
    }

    [Fact]
    public void Every_kind_of_a_closed_set_is_registered_under_its_own_name()
    {
        foreach (var root in new[] { typeof(ElementDocument), typeof(OutlineDocument), typeof(StretchDocument), typeof(FootingFormDocument), typeof(FallDocument), typeof(OpeningDocument), typeof(MixDocument) })
        {
            var registered = root.GetCustomAttributes<JsonDerivedTypeAttribute>().ToArray();
            registered.Select(r => r.TypeDiscriminator).ShouldBeUnique();
            registered.Select(r => r.DerivedType).ShouldBe(
                root.Assembly.GetTypes().Where(t => t.IsSubclassOf(root) && !t.IsAbstract), ignoreOrder: true);
        }
    }

    [Fact]
    public void Every_mixer_is_of_some_kind_save_a_truck_that_is_a_mix()
    {
        var made = Enum.GetValues<MixerKind>().Select(k => new MixerDocument { Kind = k, Size = "" }.Of(Volume.FromLitres(60)).GetType()).Distinct();
        made.ShouldBe(typeof(Mixer).Assembly.GetTypes().Where(t => t.IsSubclassOf(typeof(Mixer)) && t != typeof(TruckLoad)), ignoreOrder: true);
    }

    [Fact]
    public void The_starting_job_is_wholly_planned_in_either_system()
    {
        foreach (var units in Enum.GetValues<UnitSystem>())
        {
            var job = StartingJob.Of("New", units, "Europe/Berlin", new NodaTime.LocalDate(2027, 5, 4));
            var report = Plans.Of(job, Samples.Steady(18));
            report.Cure.ShouldNotBeNull();
            report.Findings.ShouldNotContain(f => f.Severity == Core.Findings.Severity.Error);
        }
    }

    [Fact]
    public void The_published_schema_is_the_one_the_code_reads_by()
    {
        var schema = JobFile.Schema();
        var fresh = Repository.File("artifacts/job-file.schema.json");
        File.WriteAllText(fresh, schema.ToJsonString(Indented) + "\n");
        JsonNode.DeepEquals(JsonNode.Parse(File.ReadAllText(Repository.File("docs/job-file.schema.json"))), schema)
            .ShouldBeTrue($"the document changed its form: read the difference, then copy {fresh} to docs/");
    }

    [Fact]
    public void The_example_in_the_docs_is_a_job_that_plans()
    {
        var example = JobText.TryRead(File.ReadAllText(Repository.File("docs/job-file.example.json"))).ShouldBeOfType<JobRead.Ok>().Document;
        Plans.Of(example, Samples.Steady(18)).Cure.ShouldNotBeNull();
    }
}
