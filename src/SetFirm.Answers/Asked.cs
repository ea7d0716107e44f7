using System.Text.Json;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Job;
using SetFirm.Core.Learning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;

namespace SetFirm.Answers;

/// <summary>A job, checked, with what was said besides its document.</summary>
/// <param name="Job">As said; with what was learnt, where that was handed over.</param>
/// <param name="Weather">That was handed over; null where none was.</param>
/// <param name="Learnt">That was handed over; null where none was.</param>
/// <param name="Log">What was told.</param>
/// <param name="AsOf">Now; null where nothing is under way.</param>
/// <param name="Pour">That is wanted in full.</param>
/// <param name="Seed">Of a rehearsal.</param>
/// <param name="Members">Ways that a day is followed through, at the most; null takes as many as the planner thinks right.</param>
/// <param name="Parts">Of a plan's report that are wanted; null wants all.</param>
public sealed record Asked(JobDocument Job, HourlyWeather? Weather, LearntValues? Learnt, IReadOnlyList<JobEvent> Log, Instant? AsOf, string? Pour, int? Seed, int? Members, PlanParts? Parts = null)
{
    private const int FewestMembers = 10;
    private const int MostMembers = 400;

    /// <summary>Deeper than a job in a request nothing goes.</summary>
    private static readonly JsonDocumentOptions Depth = new() { MaxDepth = JobFile.MaxDepth + 4 };

    /// <summary>Parses a body; what is no JSON, or holds a number beyond all bounds, is refused.</summary>
    public static Read<JsonElement> Parse(ReadOnlyMemory<byte> body)
    {
        try
        {
            using var json = JsonDocument.Parse(body, Depth);
            return Sound(json);
        }
        catch (JsonException e)
        {
            return Refusal.Unreadable(e);
        }
    }

    /// <summary>The same from a stream.</summary>
    public static async Task<Read<JsonElement>> ParseAsync(Stream body, CancellationToken cancellation)
    {
        try
        {
            using var json = await JsonDocument.ParseAsync(body, Depth, cancellation);
            return Sound(json);
        }
        catch (JsonException e)
        {
            return Refusal.Unreadable(e);
        }
    }

    /// <summary>Reads a request, or says which part of it cannot be.</summary>
    /// <param name="body">As <see cref="PlanRequest"/>.</param>
    /// <param name="options">How values look.</param>
    public static Read<Asked> Read(JsonElement body, JsonSerializerOptions options)
    {
        if (body.ValueKind != JsonValueKind.Object || !body.TryGetProperty("document", out var document))
        {
            return Refusal.Missing("$.document");
        }

        if (JobFile.Read(document) is var read && read is not JobRead.Ok { Document: var job })
        {
            return Refusal.Of(read);
        }

        Refusal? first = null;
        T? Taken<T>(string name)
        {
            var said = Part<T>(body, name, options);
            first ??= said.Refused;
            return said.Value;
        }

        var (asOf, pour, seed, learnt, members, weather, parts) =
            (Taken<Instant?>("asOf"), Taken<string>("pour"), Taken<int?>("seed"), Taken<LearntFactor[]>("learnt"), Taken<int?>("members"), Taken<WeatherDto>("weather"), Taken<PlanPart[]>("parts"));
        if (first is { } wrong)
        {
            return wrong;
        }

        if (asOf is { } now && !Moments.Has(now))
        {
            return Wrong("$.asOf", "it is not between 1990 and 2200");
        }

        if (members is < FewestMembers or > MostMembers)
        {
            return Wrong("$.members", $"it is not between {FewestMembers} and {MostMembers}");
        }

        var log = body.TryGetProperty("log", out var lines) && lines.ValueKind != JsonValueKind.Null ? LogReader.Read(lines, LogReader.MostOfAJob, "$.log", options) : ([], null);
        if (log.Events is not { } told)
        {
            return Refusal.Of(log.Wrong!);
        }

        var hours = weather is null ? default : Hours(weather);
        return hours.Refused is { } impossible ? impossible : new Asked(job, hours.Value, Values(learnt), told, asOf, pour, seed, members, parts?.Aggregate(default(PlanParts), (all, part) => all | part.Flag()));
    }

    /// <summary>Checks a run of hours.</summary>
    public static Read<HourlyWeather> Hours(WeatherDto weather)
    {
        ArgumentNullException.ThrowIfNull(weather);
        if (weather.Hours is null)
        {
            return Wrong("$.weather.hours", "a list of hours is wanted");
        }

        if (weather.Issued is { } moment && !Moments.Has(moment))
        {
            return Wrong("$.weather.issued", "it is not between 1990 and 2200");
        }

        return HourlyWeather.TryCreate(weather.Start, [.. weather.Hours]) switch
        {
            WeatherCheck.Sound { Weather: var run } => From(run, weather),
            WeatherCheck.Unusable { Field: "start" } => Wrong("$.weather.start", "it is not between 1990 and 2200"),
            WeatherCheck.Unusable at => Wrong($"$.weather.hours[{at.Hour}].{at.Field}", "the value is not possible"),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
    }

    /// <summary>Values that were learnt; of a key said twice the last counts, what cannot be is left out.</summary>
    public static LearntValues? Values(IEnumerable<LearntFactor>? learnt) =>
        learnt is null ? null : LearntValues.Of(learnt.Where(f => f?.Key is { What: not null, Who: not null }).Select(f => (f.Key, f.Factor)));

    /// <summary>The same job, with the weather and what was learnt where nothing was handed over.</summary>
    internal (JobDocument Job, HourlyWeather Weather) With(Func<JobDocument, HourlyWeather> usual, LearntValues learnt)
    {
        var job = Job with { Learnt = Learnt ?? learnt };
        return (job, Weather ?? usual(job));
    }

    private static HourlyWeather From(HourlyWeather run, WeatherDto said)
    {
        run = said.Issued is { } issued ? run.IssuedAt(issued) : run;
        return said.File is { } file ? run.FromFile(file) : run;
    }

    private static Read<T> Part<T>(JsonElement body, string name, JsonSerializerOptions options)
    {
        if (!body.TryGetProperty(name, out var part) || part.ValueKind == JsonValueKind.Null)
        {
            return default(T);
        }

        try
        {
            return part.Deserialize<T>(options);
        }
        catch (JsonException e)
        {
            return Wrong($"$.{name}" + e.Path?[1..], "the value is missing or of another kind");
        }
    }

    private static Refusal Wrong(string path, string reason) => Refusal.Of(new JobRead.Unreadable(path, reason));

    private static Read<JsonElement> Sound(JsonDocument json) =>
        FiniteNumbers.Beyond(json.RootElement) is { } path ? Wrong(path, FiniteNumbers.Reason) : json.RootElement.Clone();
}
