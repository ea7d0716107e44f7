using System.Net;
using System.Net.NetworkInformation;
using System.Net.Sockets;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.Server.Kestrel.Core;

namespace SetFirm.Web.Sharing;

/// <summary>Marks a connection that came by the door to the home network.</summary>
internal sealed class ByHomeNetwork;

/// <summary>Doors to the home network, as settings of the server: while there are none, only the machine itself is listened to.</summary>
internal sealed class HomeDoors : ConfigurationProvider, IConfigurationSource
{
    public const string Plain = "HomePlain";
    public const string Safe = "HomeSafe";
    private const string HostsKey = "AllowedHosts";

    public IConfigurationProvider Build(IConfigurationBuilder builder) => this;

    /// <summary>Opens doors, and lets the machine be called by these names.</summary>
    /// <param name="ownHosts">That it is called by anyway.</param>
    /// <param name="plain">As a URL.</param>
    /// <param name="safe">As a URL; null for none.</param>
    /// <param name="names">Of the machine on the network.</param>
    public void Open(string ownHosts, string plain, string? safe, IEnumerable<string> names)
    {
        Data = new Dictionary<string, string?>(StringComparer.OrdinalIgnoreCase)
        {
            [$"Kestrel:Endpoints:{Plain}:Url"] = plain,
            [HostsKey] = string.Join(';', names.Select(n => n.Contains(':', StringComparison.Ordinal) ? $"[{n}]" : n).Prepend(ownHosts)),
        };
        if (safe is not null)
        {
            Data[$"Kestrel:Endpoints:{Safe}:Url"] = safe;
        }

        OnReload();
    }

    public void Close()
    {
        Data = new Dictionary<string, string?>(StringComparer.OrdinalIgnoreCase);
        OnReload();
    }

    /// <summary>Whoever comes by them is marked.</summary>
    public static void Mark(KestrelServerOptions kestrel, HomeCertificate certificate)
    {
        kestrel.ConfigurationLoader?
            .Endpoint(Plain, e => Mark(e.ListenOptions))
            .Endpoint(Safe, e =>
            {
                e.HttpsOptions.ServerCertificateSelector = (_, _) => certificate.Current;
                Mark(e.ListenOptions);
            });
    }

    private static void Mark(ListenOptions door) => door.Use(next => connection =>
    {
        connection.Features.Set(new ByHomeNetwork());
        return next(connection);
    });
}

/// <summary>What the machine is called on the home network.</summary>
internal static class HomeAddresses
{
    /// <summary>Addresses of its network cards, those that other machines reach first.</summary>
    public static IReadOnlyList<IPAddress> All() =>
    [
        .. NetworkInterface.GetAllNetworkInterfaces()
            .Where(n => n.OperationalStatus == OperationalStatus.Up && n.NetworkInterfaceType != NetworkInterfaceType.Loopback)
            .SelectMany(n => n.GetIPProperties().UnicastAddresses).Select(a => a.Address)
            .Where(a => a.AddressFamily == AddressFamily.InterNetwork)
            .OrderBy(a => IsPrivate(a) ? 0 : 1),
    ];

    private static bool IsPrivate(IPAddress address)
    {
        var b = address.GetAddressBytes();
        return b[0] == 10 || (b[0] == 172 && b[1] is >= 16 and < 32) || (b[0] == 192 && b[1] == 168);
    }
}
