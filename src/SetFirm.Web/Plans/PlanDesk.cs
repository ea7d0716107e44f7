using SetFirm.Core.Findings;

namespace SetFirm.Web.Plans;

/// <summary>Where plans are made: few at once, a short queue before them, and an end to each. Whatever keeps what was typed goes past it.</summary>
public sealed class PlanDesk : IDisposable
{
    /// <summary>Plans at once: what is typed last is answered soonest where few are under way.</summary>
    private const int AtOnce = 2;

    /// <summary>More do not wait: what was typed then has been typed over.</summary>
    private const int MostWaiting = 16;

    /// <summary>The first so many may take longer: the runtime has still to compile what plans.</summary>
    private const int FirstPlans = 50;

    private const double FirstTakeTimes = 5;

    private readonly SemaphoreSlim desks = new(AtOnce, AtOnce);
    private readonly TimeSpan scale;
    private int waiting;
    private int made;

    /// <param name="configuration"><c>SetFirm:PlanSeconds</c> is how long a plan may take; two where nothing is said.</param>
    public PlanDesk(IConfiguration configuration) => scale = TimeSpan.FromSeconds(configuration.GetValue("SetFirm:PlanSeconds", 2.0));

    /// <summary>Makes one plan.</summary>
    /// <param name="plan">With what it may take.</param>
    /// <param name="times">So many times as long as a plan it may take.</param>
    /// <param name="left">Cancelled when who asked has left.</param>
    /// <param name="members">Ways that a day is followed through, at the most; null takes as many as the planner thinks right.</param>
    public async Task<Planned<T>> PlanAsync<T>(Func<Budget, T> plan, double times, CancellationToken left, int? members = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (Interlocked.Increment(ref waiting) > MostWaiting)
        {
            Interlocked.Decrement(ref waiting);
            return new Planned<T>.TooBusy();
        }

        try
        {
            await desks.WaitAsync(left);
        }
        finally
        {
            Interlocked.Decrement(ref waiting);
        }

        try
        {
            var most = scale * times * (Volatile.Read(ref made) < FirstPlans ? FirstTakeTimes : 1);
            var budget = new Budget(most, left) { MostMembers = members ?? int.MaxValue };
            try
            {
                var done = new Planned<T>.Made(plan(budget));
                Interlocked.Increment(ref made);
                return done;
            }
            catch (OperationCanceledException) when (budget.IsLate && !left.IsCancellationRequested)
            {
                return new Planned<T>.TooLong(most);
            }
        }
        finally
        {
            desks.Release();
        }
    }

    public void Dispose() => desks.Dispose();
}

/// <summary>What came of asking for a plan.</summary>
public abstract record Planned<T>
{
    private Planned()
    {
    }

    public sealed record Made(T Plan) : Planned<T>;

    /// <summary>It was not done in time.</summary>
    public sealed record TooLong(TimeSpan Most) : Planned<T>;

    /// <summary>Others wait already.</summary>
    public sealed record TooBusy : Planned<T>;
}
