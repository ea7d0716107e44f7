using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using NodaTime.Text;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Web.Sharing;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Jobs;

/// <summary>What a week begins with where weeks are drawn.</summary>
public enum FirstDay
{
    Monday,
    Saturday,
    Sunday,
}

/// <summary>How bright a screen is: as the device has it, or always so. A device that chose for itself keeps its own.</summary>
public enum Scheme
{
    Device,
    Light,
    Dark,
}

/// <summary>How this household likes things: what a new job opens with, and how lengths are shown. What is left empty is not said.</summary>
public sealed record PreferencesDto
{
    public required UnitSystem Units { get; init; }

    /// <summary>Inches are shown to so many parts: 8 or 16.</summary>
    public required int Fraction { get; init; }

    /// <summary>Sign of the money, up to four characters.</summary>
    public required string Currency { get; init; }

    /// <summary>Somebody is up to wet it from then on, as 07:00.</summary>
    public required string WakeFrom { get; init; }

    public required string WakeUntil { get; init; }

    /// <summary>Of home, degrees; null where it is not said.</summary>
    public double? Latitude { get; init; }

    public double? Longitude { get; init; }

    /// <summary>Null where it is not said: as the job's units have it, Sunday in US customary and Monday else.</summary>
    public FirstDay? FirstDay { get; init; }

    public Scheme Scheme { get; init; }

    /// <summary>A new job, as this household likes it.</summary>
    internal JobDocument On(JobDocument job) => job with
    {
        Buy = job.Buy with { Currency = Currency.Length > 0 ? Currency : job.Buy.Currency },
        Cure = job.Cure with { WakeFrom = WakeFrom.Length > 0 ? WakeFrom : job.Cure.WakeFrom, WakeUntil = WakeUntil.Length > 0 ? WakeUntil : job.Cure.WakeUntil },
        Site = Latitude is not null && Longitude is not null ? job.Site with { Latitude = Latitude, Longitude = Longitude } : job.Site,
    };
}

/// <summary>How this household likes things, in the data file.</summary>
internal sealed class Preferences(HomeSettings settings, IOptions<JsonOptions> json)
{
    public const string Key = "preferences";
    private const int LongestCurrency = 4;

    private static readonly PreferencesDto Unsaid = new() { Units = UnitSystem.Metric, Fraction = 16, Currency = "", WakeFrom = "", WakeUntil = "" };

    public PreferencesDto Now => settings.Read(Key) is { } kept ? JsonSerializer.Deserialize<PreferencesDto>(kept, json.Value.SerializerOptions) ?? Unsaid : Unsaid;

    public void Keep(PreferencesDto said) => settings.Write(Key, JsonSerializer.Serialize(said, json.Value.SerializerOptions));

    /// <summary>Path and reason of the first part that cannot be; null where all can.</summary>
    public static (string Path, string Reason)? WrongIn(PreferencesDto said) =>
        said.Fraction is not (8 or 16) ? ("$.fraction", "8 or 16 is wanted")
        : said.Currency.Length > LongestCurrency ? ("$.currency", $"it may have {LongestCurrency} characters")
        : WrongTime(said.WakeFrom) ? ("$.wakeFrom", "a time as 07:00 is wanted")
        : WrongTime(said.WakeUntil) ? ("$.wakeUntil", "a time as 22:00 is wanted")
        : said.Latitude is < -90 or > 90 ? ("$.latitude", "degrees from -90 to 90 are wanted")
        : said.Longitude is < -180 or > 180 ? ("$.longitude", "degrees from -180 to 180 are wanted")
        : null;

    private static bool WrongTime(string said) => said.Length > 0 && !LocalTimePattern.CreateWithInvariantCulture("HH:mm").Parse(said).Success;
}

internal static class PreferencesEndpoints
{
    public static void MapPreferences(this IEndpointRouteBuilder api)
    {
        api.MapGet("/preferences", (Preferences preferences) => TypedResults.Ok(preferences.Now)).WithName("GetPreferences");
        api.MapPut("/preferences", async Task<IResult> (HttpRequest request, Preferences preferences, IOptions<JsonOptions> json, CancellationToken cancellation) =>
        {
            var (said, problem) = await Bodies.ReadAsync<PreferencesDto>(request, json.Value.SerializerOptions, cancellation);
            if (said is null)
            {
                return problem!;
            }

            if (Preferences.WrongIn(said) is { } wrong)
            {
                return Problems.Of(new JobRead.Unreadable(wrong.Path, wrong.Reason));
            }

            preferences.Keep(said);
            return TypedResults.Ok(preferences.Now);
        }).WithName("SetPreferences").Accepts<PreferencesDto>("application/json").Produces<PreferencesDto>().ProducesProblem(400).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }
}
