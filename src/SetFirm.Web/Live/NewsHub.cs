using System.Collections.Concurrent;
using Microsoft.AspNetCore.SignalR;
using NodaTime;
using SetFirm.Web.Sharing;

namespace SetFirm.Web.Live;

/// <summary>What somebody on site has taken on.</summary>
public enum BoardRole
{
    All,
    Mixing,
    Placing,
    Finishing,
}

/// <summary>A device that has a job's board open.</summary>
/// <param name="Device">As it calls itself.</param>
/// <param name="Role">What whoever holds it does.</param>
/// <param name="Since">It joined.</param>
/// <param name="ClockOffS">Its clock goes so many seconds before the service's; behind it under 0.</param>
public sealed record Present(string Device, BoardRole Role, Instant Since, double ClockOffS);

/// <summary>Who has which board open. Kept only as long as they have: a service started anew hears from them again.</summary>
internal sealed class Presence
{
    private readonly ConcurrentDictionary<string, (Guid Job, Present Who)> here = new();

    public void Join(string connection, Guid job, Present who) => here[connection] = (job, who);

    /// <returns>The job whose board it had open; null where it had none.</returns>
    public Guid? Leave(string connection) => here.TryRemove(connection, out var was) ? was.Job : null;

    public Present[] Of(Guid job) => [.. here.Values.Where(h => h.Job == job).Select(h => h.Who).OrderBy(w => w.Since).ThenBy(w => w.Device, StringComparer.Ordinal)];
}

/// <summary>
/// Tells devices that there is news of a job, and never what: they ask for the lines that they lack, by number, so that a message lost costs nothing.
/// Messages: <c>news</c> (job, number of the last line), <c>here</c> (job), <c>changed</c> (job).
/// </summary>
internal sealed class NewsHub(Presence presence, Devices devices, IClock clock) : Hub
{
    public const string Path = "/live";

    private const int LongestName = 60;

    public static string GroupOf(Guid job) => job.ToString("D");

    /// <summary>Hears of a job from now on, and is seen there. Called again it changes what is seen.</summary>
    /// <param name="job">Its id.</param>
    /// <param name="device">As the device calls itself.</param>
    /// <param name="role">What is taken on.</param>
    /// <param name="now">Time of the device, milliseconds since 1970.</param>
    public async Task Watch(Guid job, string device, BoardRole role, double now)
    {
        var known = Enum.IsDefined(role) ? role : BoardRole.All;
        var name = (device ?? "").Trim();
        var at = clock.GetCurrentInstant();
        var off = double.IsFinite(now) ? Math.Clamp((now - at.ToUnixTimeMilliseconds()) / 1000, -1e9, 1e9) : 0;
        if (presence.Leave(Context.ConnectionId) is { } before && before != job)
        {
            await Groups.RemoveFromGroupAsync(Context.ConnectionId, GroupOf(before));
            await Clients.Group(GroupOf(before)).SendAsync("here", before);
        }

        presence.Join(Context.ConnectionId, job, new Present(name.Length > LongestName ? name[..LongestName] : name, known, at, off));
        await Groups.AddToGroupAsync(Context.ConnectionId, GroupOf(job));
        await Clients.Group(GroupOf(job)).SendAsync("here", job);
    }

    public override Task OnConnectedAsync()
    {
        if (Context.User is { } user && Door.DeviceOf(user) is var device && device != Guid.Empty)
        {
            devices.Opened(Context.ConnectionId, device, Context.Abort);
        }

        return base.OnConnectedAsync();
    }

    public override async Task OnDisconnectedAsync(Exception? exception)
    {
        devices.Closed(Context.ConnectionId);
        if (presence.Leave(Context.ConnectionId) is { } job)
        {
            await Clients.Group(GroupOf(job)).SendAsync("here", job);
        }

        await base.OnDisconnectedAsync(exception);
    }
}

/// <summary>Sends word of what is new.</summary>
internal sealed class News(IHubContext<NewsHub> hub)
{
    /// <summary>Lines were told of a job.</summary>
    public Task ToldAsync(Guid job, long last) => hub.Clients.Group(NewsHub.GroupOf(job)).SendAsync("news", job, last);

    /// <summary>The job itself was changed.</summary>
    public Task ChangedAsync(Guid job) => hub.Clients.Group(NewsHub.GroupOf(job)).SendAsync("changed", job);
}
