namespace SetFirm.Core.Tasks;

/// <summary>Something to look over before the pour.</summary>
public enum Inspection
{
    /// <summary>Diagonals agree.</summary>
    Square,
    Level,
    Fall,
    BaseCompacted,
    SteelCover,
    StakesCut,
    TopsClear,
    Backfilled,
    Isolation,
    BondBreaker,
    Drain,
    Release,
    SeamsCured,
    MouldLevel,
    ScrimReady,
    RampStop,
    DampBase,
    DampForms,
    SurfaceClean,
    WaterAndTools,
    HoldBackBucket,
}

/// <summary>What there is in a job that wants looking over.</summary>
public sealed record InspectionFacts
{
    public bool Boards { get; init; }

    public bool Stakes { get; init; }

    public bool Falls { get; init; }

    public bool Base { get; init; }

    public bool Ground { get; init; }

    public bool Steel { get; init; }

    public bool Scrim { get; init; }

    public bool Isolation { get; init; }

    public bool BondBreaker { get; init; }

    public bool Drain { get; init; }

    public bool Mould { get; init; }

    public bool Overlay { get; init; }
}

/// <summary>The list, made from the job. Source: site practice.</summary>
public static class Inspections
{
    public static IReadOnlyList<Inspection> For(InspectionFacts job)
    {
        ArgumentNullException.ThrowIfNull(job);
        (Inspection What, bool When)[] all =
        [
            (Inspection.Square, job.Boards || job.Mould),
            (Inspection.Fall, job.Falls),
            (Inspection.Level, !job.Falls),
            (Inspection.BaseCompacted, job.Base),
            (Inspection.SurfaceClean, job.Overlay),
            (Inspection.SteelCover, job.Steel),
            (Inspection.ScrimReady, job.Scrim),
            (Inspection.StakesCut, job.Stakes),
            (Inspection.TopsClear, job.Boards),
            (Inspection.Backfilled, job.Stakes),
            (Inspection.Isolation, job.Isolation),
            (Inspection.BondBreaker, job.BondBreaker),
            (Inspection.Drain, job.Drain),
            (Inspection.SeamsCured, job.Mould),
            (Inspection.MouldLevel, job.Mould),
            (Inspection.Release, job.Boards || job.Mould),
            (Inspection.RampStop, job.Ground),
            (Inspection.DampBase, job.Ground || job.Overlay),
            (Inspection.DampForms, job.Boards),
            (Inspection.WaterAndTools, true),
            (Inspection.HoldBackBucket, true),
        ];
        return [.. all.Where(i => i.When).Select(i => i.What)];
    }
}
