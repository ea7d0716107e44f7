using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Answers;

/// <summary>What to plan.</summary>
public sealed record PlanRequest
{
    public required JobDocument Document { get; init; }

    /// <summary>Hours at the site; left out, the service's own forecast is taken.</summary>
    public WeatherDto? Weather { get; init; }

    /// <summary>What was told of so far; left out, nothing.</summary>
    public IReadOnlyList<JobEvent>? Log { get; init; }

    /// <summary>Id of the pour that is wanted in full; left out, or unknown, the first.</summary>
    public string? Pour { get; init; }

    /// <summary>Now, for what was missed; left out, nothing is under way.</summary>
    public Instant? AsOf { get; init; }

    /// <summary>What was learnt and taken over; left out, what the yard of the service has.</summary>
    public IReadOnlyList<LearntFactor>? Learnt { get; init; }

    /// <summary>Which hidden day is rehearsed; asked for by a rehearsal only.</summary>
    public int? Seed { get; init; }

    /// <summary>Ways that the weather may go that a day is followed through, at the most, 10 to 400; left out, as many as the planner thinks right.</summary>
    public int? Members { get; init; }

    /// <summary>Parts of a plan's report that somebody looks at: the rest is neither worked out nor told; left out, all. What every page shows is always told.</summary>
    public IReadOnlyList<PlanPart>? Parts { get; init; }
}

/// <summary>A value that was learnt.</summary>
public sealed record LearntFactor
{
    public required LearntKey Key { get; init; }

    /// <summary>So many times what is taken where nothing is learnt, 1/4 to 4.</summary>
    public required double Factor { get; init; }
}

/// <summary>A run of hourly weather.</summary>
public sealed record WeatherDto
{
    /// <summary>Moment of the first hour.</summary>
    public required Instant Start { get; init; }

    public required IReadOnlyList<WeatherHour> Hours { get; init; }

    /// <summary>From when on it is foreseen, not known; left out, from its start.</summary>
    public Instant? Issued { get; init; }

    /// <summary>Id of the weather file that it comes from, empty for a forecast; left out, it is handed over as it is.</summary>
    public string? File { get; init; }

    public static WeatherDto Of(HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(weather);
        return new() { Start = weather.Start, Hours = weather.Hours, Issued = weather.Issued, File = weather.File };
    }
}

/// <summary>What the service would plan a job with where nothing is handed over: what a device takes along to plan by itself.</summary>
public sealed record AlongDto
{
    /// <summary>From the job's day, or today, to the end of the forecast.</summary>
    public required WeatherDto Weather { get; init; }

    /// <summary>What is still ahead, from the hour that is running.</summary>
    public required WeatherDto Ahead { get; init; }

    /// <summary>Values in use that were learnt.</summary>
    public required IReadOnlyList<LearntFactor> Learnt { get; init; }

    /// <summary>Where the planner is that a device can take along; null where there is none, or not yet.</summary>
    public required string? Planner { get; init; }

    /// <summary>Paths of all files that the planner is made of, the loader too: with one of them missing it cannot be started. Empty where there is none.</summary>
    public required IReadOnlyList<string> PlannerFiles { get; init; }
}
