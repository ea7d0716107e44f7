using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;
using SetFirm.Web.Files.WeatherFiles;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Weather;

/// <summary>A file of weather, as it was understood.</summary>
/// <param name="Id">To name it by in a job; null where it was not kept.</param>
/// <param name="Name">Of the file.</param>
/// <param name="From">First hour.</param>
/// <param name="Until">Last hour.</param>
/// <param name="Hours">How many.</param>
/// <param name="LeastC">Coldest hour.</param>
/// <param name="MostC">Warmest hour.</param>
/// <param name="TypicalYear">A year put together from many, not a forecast.</param>
/// <param name="Findings">What is wrong with it, by line; an error means that it was not kept.</param>
public sealed record WeatherFileDto(
    string? Id, string Name, Instant? From, Instant? Until, int Hours, double? LeastC, double? MostC, bool TypicalYear, IReadOnlyList<Finding> Findings);

/// <summary>A weather file that is kept.</summary>
/// <param name="Id">To name it by in a job.</param>
/// <param name="Name">Of the file.</param>
/// <param name="From">Its first hour.</param>
/// <param name="ReceivedAt">When it was read.</param>
public sealed record KeptFileDto(string Id, string Name, Instant From, Instant ReceivedAt);

internal static class WeatherFileEndpoints
{
    /// <summary>Bytes; a year of hours for building simulation has 1.7 million.</summary>
    private const long MostBytes = 4_000_000;

    private const int MostName = 120;

    /// <summary>Files kept; a year takes about a megabyte.</summary>
    public const int MostFiles = 24;

    public static void MapWeatherFiles(this IEndpointRouteBuilder api)
    {
        api.MapPost("/weather-files", ReadAsync).WithName("ReadWeatherFile")
            .Accepts<string>("text/plain").WithMetadata(new RequestSizeLimitAttribute(MostBytes)).Produces<WeatherFileDto>().ProducesProblem(413).ProducesProblem(422);
        api.MapGet("/weather-files/{id}", (string id, WeatherShelf shelf) =>
                shelf.Find(id) is { } kept ? Results.Ok(Dto(kept.Id, kept.Name, kept.Weather, kept.TypicalYear, [])) : Problems.NoSuchWeather())
            .WithName("GetWeatherFile").Produces<WeatherFileDto>().ProducesProblem(404);
        api.MapGet("/weather-files", async (SetFirmDb db, CancellationToken cancellation) => TypedResults.Ok(
                await db.WeatherFiles.AsNoTracking().OrderByDescending(w => w.ReceivedAt).Select(w => new KeptFileDto(w.Id, w.Name, w.Start, w.ReceivedAt)).ToListAsync(cancellation)))
            .WithName("ListWeatherFiles");
        api.MapDelete("/weather-files/{id}", async Task<IResult> (string id, WeatherShelf shelf, CancellationToken cancellation) =>
                await shelf.RemoveAsync(id, cancellation) ? TypedResults.NoContent() : Problems.NoSuchWeather())
            .WithName("RemoveWeatherFile").Produces(204).ProducesProblem(404);
    }

    // Times that name no zone of their own are local in the one given; a typical year is laid on the year given.
    private static async Task<IResult> ReadAsync(string name, string timeZone, int year, HttpRequest request, WeatherShelf shelf, CancellationToken cancellation)
    {
        if (DateTimeZoneProviders.Tzdb.GetZoneOrNull(timeZone) is not { } zone)
        {
            return Problems.UnknownTimeZone(timeZone);
        }

        using var reader = new StreamReader(request.Body, Encoding.UTF8);
        var text = await reader.ReadToEndAsync(cancellation);
        var read = WeatherFile.Read(text, zone, Math.Clamp(year, Moments.FirstYear + 1, Moments.LastYear - 1));
        if (read.Hours.IsEmpty)
        {
            return TypedResults.Ok(new WeatherFileDto(null, name, null, null, 0, null, null, read.TypicalYear, read.Findings));
        }

        if (HourlyWeather.TryCreate(read.Start, read.Hours) is not WeatherCheck.Sound sound)
        {
            throw new InvalidOperationException("a file was read to hours that cannot be");
        }

        var shortName = name.Length > MostName ? name[..MostName] : name;
        var id = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes($"{zone.Id} {year}\n{text}")))[..16];
        if (!await shelf.KeepAsync(new KeptWeather(id, shortName, sound.Weather, read.TypicalYear, default), read.Hours, cancellation))
        {
            return Problems.TooManyWeatherFiles(MostFiles);
        }

        return TypedResults.Ok(Dto(id, shortName, sound.Weather, read.TypicalYear, read.Findings));
    }

    private static WeatherFileDto Dto(string id, string name, HourlyWeather weather, bool typical, IReadOnlyList<Finding> findings)
    {
        var air = Enumerable.Range(0, weather.Count).Select(h => weather.At(h).AirC).ToArray();
        return new WeatherFileDto(id, name, weather.Start, weather.End, weather.Count, air.Min(), air.Max(), typical, findings);
    }
}

/// <summary>Weather from a file, as kept.</summary>
internal sealed record KeptWeather(string Id, string Name, HourlyWeather Weather, bool TypicalYear, Instant ReceivedAt);

/// <summary>The weather files that were read, from memory where one was asked for before.</summary>
internal sealed class WeatherShelf(IServiceScopeFactory scopes, IClock clock)
{
    private const int MostKept = 16;
    private readonly System.Collections.Concurrent.ConcurrentDictionary<string, KeptWeather> recent = new();

    /// <returns>False where there is no room for another.</returns>
    public async Task<bool> KeepAsync(KeptWeather weather, IReadOnlyList<WeatherHour> hours, CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        var db = scope.ServiceProvider.GetRequiredService<SetFirmDb>();
        if (!await db.WeatherFiles.AnyAsync(w => w.Id == weather.Id, cancellation))
        {
            if (await db.WeatherFiles.CountAsync(cancellation) >= WeatherFileEndpoints.MostFiles)
            {
                return false;
            }

            db.WeatherFiles.Add(new WeatherFileRow
            {
                Id = weather.Id,
                Name = weather.Name,
                Start = weather.Weather.Start,
                Hours = JsonSerializer.Serialize(hours),
                TypicalYear = weather.TypicalYear,
                ReceivedAt = clock.GetCurrentInstant(),
            });
            await db.SaveChangesAsync(cancellation);
        }

        return true;
    }

    /// <returns>False where there was none. A job that named it says so, and is planned with the forecast.</returns>
    public async Task<bool> RemoveAsync(string id, CancellationToken cancellation)
    {
        await using var scope = scopes.CreateAsyncScope();
        var gone = await scope.ServiceProvider.GetRequiredService<SetFirmDb>().WeatherFiles.Where(w => w.Id == id).ExecuteDeleteAsync(cancellation);
        recent.TryRemove(id, out _);
        return gone == 1;
    }

    /// <summary>Null where there is none of this id.</summary>
    public KeptWeather? Find(string id)
    {
        if (recent.TryGetValue(id, out var known))
        {
            return known;
        }

        using var scope = scopes.CreateScope();
        var row = scope.ServiceProvider.GetRequiredService<SetFirmDb>().WeatherFiles.AsNoTracking().FirstOrDefault(w => w.Id == id);
        if (row is null || HourlyWeather.TryCreate(row.Start, [.. JsonSerializer.Deserialize<WeatherHour[]>(row.Hours)!]) is not WeatherCheck.Sound sound)
        {
            return null;
        }

        if (recent.Count > MostKept)
        {
            recent.Clear();
        }

        // A typical year is doubted in full from its first hour on; a forecast from when it came.
        var issued = row.TypicalYear ? row.Start - Duration.FromDays(14) : row.ReceivedAt;
        return recent[id] = new KeptWeather(row.Id, row.Name, sound.Weather.IssuedAt(issued), row.TypicalYear, row.ReceivedAt);
    }
}
