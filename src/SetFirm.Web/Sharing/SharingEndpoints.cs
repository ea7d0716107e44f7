using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using SetFirm.Web.Sharing;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Sharing;

/// <summary>Whose page this is.</summary>
/// <param name="Role">What this device may do.</param>
/// <param name="Near">It is the machine that the program runs on.</param>
/// <param name="Token">To be sent with whatever changes something (X-SetFirm-Token); null where none is wanted.</param>
public sealed record SessionDto(DeviceRole Role, bool Near, string? Token);

/// <summary>Who is let in.</summary>
/// <param name="On">The home network is.</param>
/// <param name="Safe">Over HTTPS.</param>
/// <param name="Places">Where others open it, what most reach first.</param>
/// <param name="Invitation">The code that is good now; null where none is.</param>
/// <param name="Devices">That have joined.</param>
public sealed record SharingDto(bool On, bool Safe, IReadOnlyList<string> Places, InvitationDto? Invitation, IReadOnlyList<DeviceDto> Devices);

/// <summary>The switch.</summary>
public sealed record SwitchDto
{
    public required bool On { get; init; }

    /// <summary>Over HTTPS, with the machine's own certificate.</summary>
    public required bool Safe { get; init; }
}

/// <summary>Whom a code is for.</summary>
public sealed record InviteDto
{
    public required DeviceRole Role { get; init; }
}

/// <summary>The switch that shares on the home network, the code to join with, and the devices that did.</summary>
internal static class SharingEndpoints
{
    public static void MapSharing(this IEndpointRouteBuilder api)
    {
        api.MapGet("/session", (HttpContext http, IAntiforgery antiforgery) => TypedResults.Ok(new SessionDto(
            Door.RoleOf(http.User), !Door.IsFar(http), Door.IsFar(http) ? antiforgery.GetAndStoreTokens(http).RequestToken : null))).WithName("GetSession").ForLook();

        var sharing = api.MapGroup("/sharing");
        sharing.MapGet("", (Sharing s, Invitations invitations, Devices devices) => TypedResults.Ok(Told(s, invitations, devices))).WithName("GetSharing").ForPlan();
        sharing.MapPut("", async Task<IResult> (HttpRequest request, Sharing s, Invitations invitations, Devices devices, IOptions<JsonOptions> json, CancellationToken cancellation) =>
        {
            var (wanted, problem) = await Bodies.ReadAsync<SwitchDto>(request, json.Value.SerializerOptions, cancellation);
            if (wanted is null)
            {
                return problem!;
            }

            return await s.SetAsync(wanted.On, wanted.Safe, cancellation) is { } trouble ? Problems.NotShared(trouble) : TypedResults.Ok(Told(s, invitations, devices));
        }).WithName("SetSharing").Accepts<SwitchDto>("application/json").Produces<SharingDto>().ProducesProblem(400).ProducesProblem(409).ProducesProblem(415).ProducesProblem(422);
        sharing.MapPost("/invitation", async Task<IResult> (HttpRequest request, Sharing s, Invitations invitations, Devices devices, IOptions<JsonOptions> json, CancellationToken cancellation) =>
        {
            var (wanted, problem) = await Bodies.ReadAsync<InviteDto>(request, json.Value.SerializerOptions, cancellation);
            if (wanted is null)
            {
                return problem!;
            }

            if (!s.IsOn)
            {
                return Problems.NotShared("Nobody can join while the home network is not let in.");
            }

            invitations.Make(wanted.Role);
            return TypedResults.Ok(Told(s, invitations, devices));
        }).WithName("Invite").Accepts<InviteDto>("application/json").Produces<SharingDto>().ProducesProblem(400).ProducesProblem(409).ProducesProblem(415).ProducesProblem(422);
        sharing.MapDelete("/devices/{id:guid}", IResult (Guid id, Devices devices) => devices.SendOff(id) ? TypedResults.NoContent() : Problems.NoSuchDevice())
            .WithName("SendOff").Produces(204).ProducesProblem(404);
    }

    private static SharingDto Told(Sharing sharing, Invitations invitations, Devices devices) =>
        new(sharing.IsOn, sharing.IsSafe, sharing.Places, sharing.IsOn ? invitations.Current : null, devices.All());
}
