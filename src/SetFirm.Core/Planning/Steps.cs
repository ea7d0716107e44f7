using SetFirm.Core.Findings;

namespace SetFirm.Core.Planning;

/// <summary>The steps of a job, in working order.</summary>
public enum Step
{
    Shape,
    Build,
    Mix,
    Load,
    Buy,
    Day,

    /// <summary>The board on the day: it decides nothing in the document.</summary>
    Pour,
    Cure,

    /// <summary>What happened, and what the next plan takes over: it decides nothing in the document either.</summary>
    LookBack,
}

public enum StepState
{
    /// <summary>Planned, nothing to decide.</summary>
    Settled,

    /// <summary>Planned, but a warning wants a decision.</summary>
    WantsDecision,

    /// <summary>Something must be mended before it can be planned.</summary>
    Blocked,
}

/// <summary>The steps as a table: which part of the document each decides, and whether it could be planned.</summary>
public static class Steps
{
    private static readonly (Step Step, Place[] Decides, Func<JobPlan, bool> Planned)[] Table =
    [
        (Step.Shape, [Places.Elements], plan => plan.Elements is not null),
        (Step.Build, [Places.Build.Self], plan => plan.Build is not null),
        (Step.Mix, [Places.Mixes], plan => plan.Recipe is not null),
        (Step.Load, [Places.Mixing.Self, Places.Pours], plan => plan.Pour?.Load.Load is not null),
        (Step.Buy, [Places.Buy.Self], plan => plan.Buy is not null),
        (Step.Day, [Places.Day.Self, Places.TimeZone, Places.Site.Self], plan => plan.Pour?.Day is not null),
        (Step.Pour, [], plan => plan.Pour?.Day is not null),
        (Step.Cure, [Places.Cure.Self], plan => plan.Pour?.Cure is not null),
        (Step.LookBack, [], plan => plan.Pour?.Day is not null),
    ];

    public static IReadOnlyList<(Step Step, StepState State)> Of(JobPlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var findings = plan.Findings.ToLookup(f => StepOf(f.Where), f => f.Severity);
        return
        [
            .. Table.Select(row =>
            {
                var own = findings[row.Step];
                return (row.Step, !row.Planned(plan) || own.Contains(Severity.Error) ? StepState.Blocked
                    : own.Contains(Severity.Warning) ? StepState.WantsDecision : StepState.Settled);
            }),
        ];
    }

    /// <summary>Which step decides what stands at a place; null for a place in a file.</summary>
    public static Step? StepOf(Place where)
    {
        // What holds an element and what is in it are said with the element, and decided in Build.
        if (where.IsUnder(Places.Elements) && where.Path.Split('/') is [_, _, var index, ..] && int.TryParse(index, out var i)
            && (where.IsUnder(Places.Element(i).Forms.Self) || where.IsUnder(Places.Element(i).Steel.Self)))
        {
            return Step.Build;
        }

        foreach (var (step, decides, _) in Table)
        {
            if (decides.Any(where.IsUnder))
            {
                return step;
            }
        }

        return null;
    }
}
