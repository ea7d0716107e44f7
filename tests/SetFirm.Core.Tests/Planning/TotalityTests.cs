using System.Text.Json.Nodes;
using CsCheck;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Tests.Planning;

/// <summary>The planner is total: whatever is said, it answers with a report and findings, never an exception, NaN or infinity.</summary>
public sealed class TotalityTests
{
    private static readonly string[] Texts =
        ["", " ", "0", "-1", "1", "100 mm", "4\"", "12' 6 1/2\"", "3.81 m", "1,200", "9e9 m", "99999999999", "1/0", "½", "nonsense", "2027-05-05", "23:59", "24:00", "\0", "é", "UTC"];

    private static readonly double[] Numbers =
        [0, -0.0, 1, -1, 0.5, 2, 3, 6, 7, 45, 90, -90, 179.9, 360, 5e-324, 1e-200, 1e-9, 1e9, -1e300, 1e300, int.MaxValue, int.MinValue];

    private static readonly JobDocument[] Seeds =
    [
        Samples.Terrace(),
        Samples.Terrace() with { Mix = Samples.OneTwoThree() },
        Samples.Terrace() with { Mix = Samples.Ready() },
        Kinds.Job(Kinds.All()),
        Samples.Terrace() with { Mixing = new MixingDocument { Mixer = new MixerDocument { Kind = MixerKind.Barrow, Size = "60 L" }, Hands = 1, BarrowRun = "0", WaterC = 40 } },
    ];

    private static readonly string Schema = JobFile.Schema().ToJsonString();

    private static readonly HourlyWeather[] Weathers = [Samples.Steady(18), Samples.Steady(-30), Samples.Steady(60, 0, 250), Samples.Steady(Samples.Mild, hours: 1)];

    [Fact]
    public void Any_readable_job_is_answered() =>
        Gen.Select(Gen.Int[0, Seeds.Length - 1], Gen.Int[0, Weathers.Length - 1], Gen.Select(Gen.Int[0, 1200], Gen.Int[0, 400]).Array[1, 4]).Sample(
            (seed, weather, changes) =>
            {
                var node = JobText.Node(Seeds[seed]);
                foreach (var (where, what) in changes)
                {
                    Change(node, where, what);
                }

                if (JobText.TryRead(node.ToJsonString()) is not JobRead.Ok { Document: var job })
                {
                    return true; // refused at the gate: that has its own tests
                }

                var report = Plans.Of(job, Weathers[weather]);
                ReportText.Of(report).ShouldNotBeEmpty(); // throws on NaN and infinity
                return report.Findings.All(f => f.Where.Path.StartsWith('/')) && Whole(report);
            },
            iter: 3000);

    [Fact]
    public void As_good_as_no_cement_is_told_at_its_field()
    {
        var report = Plans.Of(Samples.Terrace() with { Mix = Samples.OneTwoThree() with { Cement = 5e-324 } }, Weathers[0]);
        report.Findings.ShouldContain(f => f.Says is Notice.OutOfRange && f.Where == Places.Mix(0).Cement);
    }

    [Fact]
    public void As_many_hands_as_a_plan_takes_that_are_late_all_the_same_are_told_of()
    {
        var job = Samples.Terrace() with { Mix = Samples.Ready(), Mixing = Samples.Terrace().Mixing with { Hands = Core.Batching.LoadAdvice.MostHands } };
        Plans.Of(job, Weathers[2]).Findings.Where(f => f.Says is Notice.ZonesCollide).ShouldHaveSingleItem().Remedies.ShouldBeEmpty();
    }

    [Fact]
    public void Every_finding_points_at_something_that_is_there_or_may_be()
    {
        foreach (var job in Seeds)
        {
            var node = JobText.Node(job);
            foreach (var finding in Plans.Of(job, Samples.Steady(2, 0.2, 40)).Findings)
            {
                JsonNode? at = node;
                foreach (var part in finding.Where.Path.Split('/')[1..])
                {
                    // What may be left out of a job is still a name that its schema knows.
                    (at is not null || Schema.Contains($"\"{part}\":", StringComparison.Ordinal)).ShouldBeTrue(finding.Where.Path);
                    at = at is JsonArray list ? list[int.Parse(part, System.Globalization.CultureInfo.InvariantCulture)] : at?[part];
                }

                (at is not null || Schema.Contains($"\"{finding.Where.Path.Split('/')[^1]}\":", StringComparison.Ordinal)).ShouldBeTrue(finding.Where.Path);
            }
        }
    }

    [Fact]
    public void A_very_long_outline_is_planned_and_a_longer_one_refused()
    {
        JobDocument Comb(int corners) => Samples.Terrace().WithSlab(s => s.Walking([.. Enumerable.Repeat(Samples.Edge("2 mm", 360.0 / corners), corners)]));
        Plans.Of(Comb(4000), Weathers[0]).Cure.ShouldNotBeNull();
        Plans.Of(Comb(10_001), Weathers[0]).Findings.ShouldContain(f => f.Says is Notice.TooMany && f.Where.Path == "/elements/0/outline/sides");
    }

    // A step that was planned has an earlier one to stand on; one that was not says why.
    private static bool Whole(PlanReport report) =>
        (report.Cure is null || report.Day is not null)
        && (report.Day is null || (report.Shape is not null && report.Mix is not null && report.Load is not null))
        && (report is { Shape: not null, Mix: not null, Load: not null, Day: not null, Cure: not null } || report.Findings.Any(f => f.Severity == Severity.Error));

    private static void Change(JsonNode root, int where, int what)
    {
        var leaves = new List<(JsonNode Parent, string? Key, int Index)>();
        void Walk(JsonNode node)
        {
            switch (node)
            {
                case JsonObject o:
                    foreach (var (key, child) in o)
                    {
                        Visit(o, key, 0, child);
                    }

                    break;
                case JsonArray a:
                    for (var i = 0; i < a.Count; i++)
                    {
                        Visit(a, null, i, a[i]);
                    }

                    break;
            }
        }

        void Visit(JsonNode parent, string? key, int index, JsonNode? child)
        {
            leaves.Add((parent, key, index));
            if (child is JsonObject or JsonArray)
            {
                Walk(child);
            }
        }

        Walk(root);
        var (at, name, place) = leaves[where % leaves.Count];
        var now = name is null ? at[place] : at[name];
        JsonNode? then = now switch
        {
            JsonArray list when what % 3 == 0 => new JsonArray(),
            JsonArray list when what % 3 == 1 => new JsonArray([.. Enumerable.Range(0, what % 40).Select(i => list.Count == 0 ? null : list[i % list.Count]?.DeepClone())]),
            JsonArray or JsonObject => now.DeepClone(),
            JsonValue v when v.TryGetValue<string>(out _) => JsonValue.Create(Texts[what % Texts.Length]),
            _ => JsonValue.Create(Numbers[what % Numbers.Length]),
        };
        if (name is null)
        {
            at[place] = then;
        }
        else
        {
            at[name] = then;
        }
    }
}
