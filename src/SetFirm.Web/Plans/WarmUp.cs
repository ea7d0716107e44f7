using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Web.Demo;
using SetFirm.Web.Weather;

namespace SetFirm.Web.Plans;

/// <summary>
/// Plans a few jobs of every kind while nobody asks yet, so that the runtime has compiled the planner in full when the first key is pressed: that one
/// would otherwise take well over a second, and the first hundred three times as long as those after.
/// </summary>
internal sealed class WarmUp(JobWeather weather, IClock clock, IOptions<JsonOptions> json) : BackgroundService
{
    /// <summary>Setting that turns it on.</summary>
    public const string Key = "SetFirm:WarmUp";

    /// <summary>The runtime compiles what was called thirty times anew, first to watch it and then for good.</summary>
    private const int Rounds = 40;

    protected override Task ExecuteAsync(CancellationToken stoppingToken) => Task.Run(
        () =>
        {
            JobDocument[] jobs = [.. DemoJobs.Jobs(clock.GetCurrentInstant().InUtc().LocalDateTime)];
            for (var round = 0; round < Rounds && !stoppingToken.IsCancellationRequested; round++)
            {
                foreach (var job in jobs)
                {
                    JsonSerializer.SerializeToUtf8Bytes(Teller.Tell(Planner.Plan(job, weather.For(job))), json.Value.SerializerOptions);
                }
            }
        },
        stoppingToken);
}
