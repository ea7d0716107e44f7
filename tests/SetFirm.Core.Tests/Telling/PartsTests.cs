using System.Text.Json;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;

namespace SetFirm.Core.Tests.Telling;

/// <summary>A report in parts: those that are wanted, as they stand in the whole, and nothing dear for the rest.</summary>
public sealed class PartsTests
{
    public static TheoryData<PlanPart> Parts => [.. Enum.GetValues<PlanPart>()];

    [Theory]
    [MemberData(nameof(Parts))]
    public void A_part_is_the_same_by_itself_and_in_the_whole_and_brings_no_other(PlanPart part)
    {
        var plan = Planner.Plan(Samples.Terrace(), Samples.Steady(18));
        var (whole, alone) = (Teller.Tell(plan), Teller.Tell(plan, part.Flag()));
        foreach (var other in Enum.GetValues<PlanPart>())
        {
            if (other == part)
            {
                Said(alone, other).ShouldNotBe("null");
                Said(alone, other).ShouldBe(Said(whole, other));
            }
            else
            {
                Said(alone, other).ShouldBe("null", $"{other} was not asked for");
            }
        }

        // What every page shows is always there.
        JsonSerializer.Serialize(alone.Steps).ShouldBe(JsonSerializer.Serialize(whole.Steps));
        alone.Findings.Count.ShouldBe(whole.Findings.Count);
        alone.Readings.Count.ShouldBe(whole.Readings.Count);
        alone.Pours.Count.ShouldBe(whole.Pours.Count);
        alone.Explanations.Count.ShouldBe(whole.Explanations.Count - (part == PlanPart.Day ? 0 : 1)); // how likely it goes well is told with the day
    }

    [Theory]
    [MemberData(nameof(Parts))]
    public void Many_ways_of_a_day_are_followed_for_its_windows_alone(PlanPart part)
    {
        var plan = Planner.Plan(Samples.Terrace(), Samples.Steady(18));
        plan.Pour!.Day!.Doubt.IsFollowed.ShouldBeFalse("nobody has looked yet");
        JsonSerializer.Serialize<object>(Teller.Tell(plan, part.Flag()).Steps);
        plan.Pour.Day.Doubt.IsFollowed.ShouldBe(part == PlanPart.Day);
    }

    private static string Said(PlanReport report, PlanPart part) => JsonSerializer.Serialize<object?>(part switch
    {
        PlanPart.Shape => report.Shape,
        PlanPart.Build => report.Build,
        PlanPart.Mix => report.Mix,
        PlanPart.Load => report.Load,
        PlanPart.Buy => report.Buy,
        PlanPart.Day => report.Day,
        PlanPart.Board => report.Board,
        PlanPart.Cure => report.Cure,
        _ => throw new ArgumentOutOfRangeException(nameof(part)),
    });
}
