using System.Text.Json.Serialization;
using Microsoft.AspNetCore.SignalR;
using NodaTime;
using SetFirm.Web.Sharing;

namespace SetFirm.Web.Live;

/// <summary>The time by the service's clock, to which clocks of devices are set.</summary>
/// <param name="Now">As of the answer.</param>
/// <param name="Times">Seconds that pass on it in one: 1, save in a demo that is watched in minutes.</param>
public sealed record ClockDto(Instant Now, double Times);

/// <summary>The live channel, and what goes with it.</summary>
internal static class LiveEndpoints
{
    /// <summary>No message of a device is longer, bytes.</summary>
    private const int LongestMessage = 4_096;

    public static void AddLive(this IServiceCollection services)
    {
        services.AddSignalR(o =>
        {
            o.MaximumReceiveMessageSize = LongestMessage;
            o.KeepAliveInterval = TimeSpan.FromSeconds(5);
            o.ClientTimeoutInterval = TimeSpan.FromSeconds(15);
        }).AddJsonProtocol(o => o.PayloadSerializerOptions.Converters.Add(new JsonStringEnumConverter(System.Text.Json.JsonNamingPolicy.CamelCase)));
        services.AddSingleton<Presence>();
        services.AddSingleton<News>();
    }

    public static void MapLive(this IEndpointRouteBuilder api, IEndpointRouteBuilder app)
    {
        app.MapHub<NewsHub>(NewsHub.Path).ForLook();
        api.MapGet("/clock", (IClock clock) => TypedResults.Ok(new ClockDto(clock.GetCurrentInstant(), (clock as Demo.FastClock)?.Times ?? 1))).WithName("getClock");
        api.MapGet("/jobs/{id:guid}/here", (Guid id, Presence presence) => TypedResults.Ok(presence.Of(id))).WithName("whoIsHere");
    }
}
