namespace SetFirm.Core.Findings;

/// <summary>How much one plan may take. Past a limit that part is left out, and a finding at its place says what and how much; who no longer waits ends it.</summary>
/// <param name="most">How long it may take; null as long as it lasts.</param>
/// <param name="waits">Cancelled when nobody waits any more.</param>
/// <remarks>One for each plan, which may be worked out by several threads. Nobody pours what a limit stops: they are for what stands while somebody still types.</remarks>
public sealed class Budget(TimeSpan? most = null, CancellationToken waits = default)
{
    /// <summary>Panels of all elements together.</summary>
    public const int MostPanels = 2_000;

    /// <summary>Edges of all outlines together.</summary>
    public const int MostEdges = 10_000;

    /// <summary>Corners of all elements together at which an edge turns sharply; a drawn curve may have many that hardly turn.</summary>
    public const int MostSharpCorners = 1_200;

    /// <summary>Findings of one kind in one part of the job that are told one by one.</summary>
    public const int MostAlike = 30;

    /// <summary>Days of weather that starts are ranked in.</summary>
    public const int MostDaysRanked = 21;

    /// <summary>Ways that the weather and the mix may go that a day is followed through, at the most; a telephone follows fewer than a computer.</summary>
    public int MostMembers { get; init; } = int.MaxValue;

    /// <summary>So many ways, or as many as may be followed.</summary>
    public int Members(int wanted) => Math.Min(wanted, MostMembers);

    private readonly long until = most is { } time ? Environment.TickCount64 + (long)time.TotalMilliseconds : long.MaxValue;
    private int panels;
    private int edges;
    private int corners;

    /// <summary>It has taken as long as it may.</summary>
    public bool IsLate => Environment.TickCount64 > until;

    /// <summary>Nobody waits, or not so long.</summary>
    public bool IsOver => waits.IsCancellationRequested || IsLate;

    /// <summary>Takes panels, if so many are left.</summary>
    public bool TakesPanels(long wanted) => Takes(ref panels, wanted, MostPanels);

    /// <summary>Takes edges, if so many are left.</summary>
    public bool TakesEdges(long wanted) => Takes(ref edges, wanted, MostEdges);

    /// <summary>Takes sharp corners, if so many are left.</summary>
    public bool TakesCorners(long wanted) => Takes(ref corners, wanted, MostSharpCorners);

    /// <summary>Ends the plan when it is over.</summary>
    /// <exception cref="OperationCanceledException">It is.</exception>
    public void GoOn()
    {
        if (IsOver)
        {
            throw new OperationCanceledException(waits);
        }
    }

    private static bool Takes(ref int taken, long wanted, int most)
    {
        if (taken + wanted > most)
        {
            return false;
        }

        taken += (int)wanted;
        return true;
    }
}
