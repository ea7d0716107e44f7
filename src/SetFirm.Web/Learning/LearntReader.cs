using System.Diagnostics;

namespace SetFirm.Web.Learning;

/// <summary>Reads what pours say of later ones while nobody waits for it: of a job when lines of its log have come in, of the whole yard when the program begins.</summary>
/// <remarks>Whoever asks before it is done has it read for them, as ever. It works half of the time, so that plans are not held up.</remarks>
internal sealed partial class LearntReader(LearntShelf shelf, IConfiguration configuration, ILogger<LearntReader> logger) : BackgroundService
{
    /// <summary>Lines come in one after the other: it is read when none has come for so long.</summary>
    private static readonly TimeSpan Quiet = TimeSpan.FromSeconds(5);

    /// <summary>As long as the planner takes to warm up, when the program begins.</summary>
    private static readonly TimeSpan Begun = TimeSpan.FromSeconds(20);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            if (configuration.GetValue<bool>(Plans.WarmUp.Key))
            {
                await Task.Delay(Begun, stoppingToken);
                await ReadAsync(await shelf.ToldJobsAsync(stoppingToken), stoppingToken);
            }

            while (true)
            {
                HashSet<Guid> jobs = [await shelf.Changed.ReadAsync(stoppingToken)];
                await Task.Delay(Quiet, stoppingToken);
                while (shelf.Changed.TryRead(out var another))
                {
                    jobs.Add(another);
                }

                await ReadAsync(jobs, stoppingToken);
            }
        }
        catch (OperationCanceledException) when (stoppingToken.IsCancellationRequested)
        {
            // The program ends.
        }
    }

    private async Task ReadAsync(IEnumerable<Guid> jobs, CancellationToken stopping)
    {
        foreach (var job in jobs)
        {
            var took = Stopwatch.StartNew();
            try
            {
                await shelf.ReadAsync(job, stopping);
            }
            catch (Exception e) when (!stopping.IsCancellationRequested)
            {
                LogNotRead(logger, e, job); // who asks for it tries again
            }

            await Task.Delay(took.Elapsed, stopping);
        }
    }

    [LoggerMessage(LogLevel.Warning, "What job {Id} says of later ones could not be read ahead of time.")]
    private static partial void LogNotRead(ILogger logger, Exception e, Guid id);
}
