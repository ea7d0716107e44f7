using Microsoft.AspNetCore.Authorization;

namespace SetFirm.Web.Sharing;

/// <summary>What a device may do, each more than the one before.</summary>
public enum DeviceRole
{
    /// <summary>Sees everything, changes nothing.</summary>
    Look,

    /// <summary>And tells what was done: the board, the diary, pictures.</summary>
    Crew,

    /// <summary>And changes jobs, prices, what was learnt, and who shares.</summary>
    Plan,
}

/// <summary>Who may call what. Where nothing is said, only who plans.</summary>
internal static class May
{
    public const string Look = nameof(DeviceRole.Look);
    public const string Crew = nameof(DeviceRole.Crew);
    public const string Plan = nameof(DeviceRole.Plan);

    public static void Policies(AuthorizationOptions options)
    {
        foreach (var least in Enum.GetValues<DeviceRole>())
        {
            options.AddPolicy(least.ToString(), p => p.RequireRole(Enum.GetValues<DeviceRole>().Where(r => r >= least).Select(r => r.ToString())));
        }

        options.FallbackPolicy = options.GetPolicy(Plan);
    }

    /// <summary>Where an endpoint says nothing, who looks may read and who plans may change.</summary>
    public static void ByMethod(this RouteGroupBuilder group) => ((IEndpointConventionBuilder)group).Finally(endpoint =>
    {
        if (endpoint.Metadata.OfType<IAuthorizeData>().Any() || endpoint.Metadata.OfType<IAllowAnonymous>().Any())
        {
            return;
        }

        var reads = endpoint.Metadata.OfType<IHttpMethodMetadata>().LastOrDefault() is { HttpMethods: [var method] } && HttpMethods.IsGet(method);
        endpoint.Metadata.Add(new AuthorizeAttribute(reads ? Look : Plan));
    });

    /// <summary>For who plans, though it only reads: all of the yard goes out by it.</summary>
    public static TBuilder ForPlan<TBuilder>(this TBuilder endpoint)
        where TBuilder : IEndpointConventionBuilder => endpoint.RequireAuthorization(Plan);

    /// <summary>For any device of the household.</summary>
    public static TBuilder ForLook<TBuilder>(this TBuilder endpoint)
        where TBuilder : IEndpointConventionBuilder => endpoint.RequireAuthorization(Look);

    /// <summary>For who is at work, too.</summary>
    public static TBuilder ForCrew<TBuilder>(this TBuilder endpoint)
        where TBuilder : IEndpointConventionBuilder => endpoint.RequireAuthorization(Crew);
}
