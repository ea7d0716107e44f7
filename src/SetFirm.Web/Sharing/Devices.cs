using System.Collections.Concurrent;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Sharing;

/// <summary>A device that has joined.</summary>
/// <param name="Id">Of it.</param>
/// <param name="Name">As whoever holds it called it.</param>
/// <param name="Role">What it may do.</param>
/// <param name="JoinedAt">By the service's clock.</param>
/// <param name="SeenAt">It last asked for something, to the minute.</param>
public sealed record DeviceDto(Guid Id, string Name, DeviceRole Role, Instant JoinedAt, Instant SeenAt);

/// <summary>Devices of the household that have joined, until they are sent off.</summary>
internal sealed class Devices(IServiceScopeFactory scopes, IClock clock)
{
    public const int MostDevices = 50;

    private static readonly Duration Minute = Duration.FromMinutes(1);

    private readonly ConcurrentDictionary<Guid, DeviceDto> known = new();
    private readonly ConcurrentDictionary<string, (Guid Device, Action End)> channels = new();
    private bool read;

    public IReadOnlyList<DeviceDto> All()
    {
        Load();
        return [.. known.Values.OrderBy(d => d.JoinedAt)];
    }

    /// <summary>Null where it never joined, or was sent off.</summary>
    public DeviceDto? Find(Guid id)
    {
        Load();
        return known.GetValueOrDefault(id);
    }

    /// <summary>It asks for something.</summary>
    public void Seen(DeviceDto device)
    {
        var now = clock.GetCurrentInstant();
        if (now - device.SeenAt < Minute || !known.TryUpdate(device.Id, device with { SeenAt = now }, device))
        {
            return;
        }

        try
        {
            using var scope = scopes.CreateScope();
            Db(scope).Devices.Where(d => d.Id == device.Id).ExecuteUpdate(d => d.SetProperty(x => x.SeenAt, now));
        }
        catch (SqliteException)
        {
            // What it asks for is not held up by that: in a minute, then.
        }
    }

    /// <returns>Null where there are as many as there may be.</returns>
    public DeviceDto? Join(string name, DeviceRole role)
    {
        Load();
        if (known.Count >= MostDevices)
        {
            return null;
        }

        var now = clock.GetCurrentInstant();
        var device = new DeviceDto(Guid.NewGuid(), name, role, now, now);
        using var scope = scopes.CreateScope();
        Db(scope).Devices.Add(new DeviceRow { Id = device.Id, Name = name, Role = role, JoinedAt = now, SeenAt = now });
        Db(scope).SaveChanges();
        known[device.Id] = device;
        return device;
    }

    /// <summary>Sends one off: its next request is a stranger's, and what it has open is closed.</summary>
    public bool SendOff(Guid id)
    {
        Load();
        using var scope = scopes.CreateScope();
        Db(scope).Devices.Where(d => d.Id == id).ExecuteDelete();
        var was = known.TryRemove(id, out _);
        foreach (var (_, end) in channels.Values.Where(c => c.Device == id))
        {
            end();
        }

        return was;
    }

    /// <summary>A channel is open as long as the device is welcome.</summary>
    public void Opened(string channel, Guid device, Action end) => channels[channel] = (device, end);

    public void Closed(string channel) => channels.TryRemove(channel, out _);

    private void Load()
    {
        if (Volatile.Read(ref read))
        {
            return;
        }

        lock (known)
        {
            if (read)
            {
                return;
            }

            using var scope = scopes.CreateScope();
            foreach (var d in Db(scope).Devices.AsNoTracking())
            {
                known[d.Id] = new DeviceDto(d.Id, d.Name, d.Role, d.JoinedAt, d.SeenAt);
            }

            Volatile.Write(ref read, true);
        }
    }

    private static SetFirmDb Db(IServiceScope scope) => scope.ServiceProvider.GetRequiredService<SetFirmDb>();
}
