using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;

namespace SetFirm.Web.Sharing;

/// <summary>Whether the home network is let in, and by which doors.</summary>
internal sealed partial class Sharing(HomeDoors doors, HomeSettings settings, HomeCertificate certificate, Invitations invitations, IConfiguration configuration, ILogger<Sharing> log) : IDisposable
{
    private const string OnKey = "sharing";
    private const int UsualPort = 5081;
    private const int UsualSafePort = 5444;

    private static readonly TimeSpan Look = TimeSpan.FromMilliseconds(50);

    /// <summary>Doors open in a moment; where they were shut just before, the server first sees those out who were connected (5 s), and a busy machine takes its time.</summary>
    private static readonly TimeSpan Opens = TimeSpan.FromSeconds(20);

    /// <summary>Nobody new comes in from the first moment on; who asked to shut waits no longer than this to hear so.</summary>
    private static readonly TimeSpan Closes = TimeSpan.FromSeconds(5);

    private readonly SemaphoreSlim turn = new(1, 1);

    // As it was before any door was opened.
    private readonly string ownHosts = configuration["AllowedHosts"] ?? "";

    public bool IsOn { get; private set; }

    /// <summary>Over HTTPS too, with the machine's own certificate.</summary>
    public bool IsSafe { get; private set; }

    /// <summary>Port of the plain door.</summary>
    public int Port => configuration.GetValue("SetFirm:SharePort", UsualPort);

    public int SafePort => configuration.GetValue("SetFirm:ShareSafePort", UsualSafePort);

    /// <summary>Address that is listened at; all of the machine's where nothing is said.</summary>
    private string Address => configuration["SetFirm:ShareAddress"] ?? "0.0.0.0";

    /// <summary>What others call this machine by.</summary>
    public IReadOnlyList<string> Names =>
        Address is "0.0.0.0" ? [.. HomeAddresses.All().Select(a => a.ToString()), Dns.GetHostName(), Dns.GetHostName() + ".local"] : [Address];

    /// <summary>Where others open it.</summary>
    public IReadOnlyList<string> Places => IsOn ? [.. Names.Select(n => IsSafe ? $"https://{n}:{SafePort}" : $"http://{n}:{Port}")] : [];

    /// <summary>As it was left.</summary>
    public async Task ResumeAsync()
    {
        if (settings.Read(OnKey) is { } kept && kept != "off" && await SetAsync(true, kept == "safe", CancellationToken.None) is { } trouble)
        {
            NotLetIn(trouble);
        }
    }

    /// <summary>Opens or closes the doors, and remembers it.</summary>
    /// <returns>Why it could not be done; null where it was.</returns>
    public async Task<string?> SetAsync(bool on, bool safe, CancellationToken cancellation)
    {
        await turn.WaitAsync(cancellation);
        try
        {
            if (!on)
            {
                settings.Write(OnKey, "off"); // first: who asked may not wait for the rest
                await CloseAsync(cancellation);
                return null;
            }

            if (!IPAddress.TryParse(Address, out _))
            {
                return $"SetFirm:ShareAddress is \"{Address}\", which is no address.";
            }

            int[] wanted = safe ? [Port, SafePort] : [Port];
            int[] open = IsOn ? IsSafe ? [Port, SafePort] : [Port] : [];
            foreach (var port in wanted.Except(open))
            {
                if (Taken(port))
                {
                    return string.Create(CultureInfo.InvariantCulture, $"Something else on this machine listens at port {port} already.");
                }
            }

            if (safe)
            {
                certificate.For(Names);
            }

            doors.Open(ownHosts, Url("http", Port), safe ? Url("https", SafePort) : null, Names);
            if (await ComesAsync(Opens, () => wanted.All(Taken), cancellation))
            {
                (IsOn, IsSafe) = (true, safe);
                settings.Write(OnKey, safe ? "safe" : "on");
                return null;
            }

            await CloseAsync(cancellation);
            return "The door to the network could not be opened.";
        }
        finally
        {
            turn.Release();
        }
    }

    public void Dispose() => turn.Dispose();

    // Nobody is let in from the first moment on; it is answered when nothing is listened to any more.
    private async Task CloseAsync(CancellationToken cancellation)
    {
        int[] open = IsOn ? IsSafe ? [Port, SafePort] : [Port] : [];
        (IsOn, IsSafe) = (false, false);
        invitations.Close();
        doors.Close();
        await ComesAsync(Closes, () => !open.Any(Taken), cancellation);
    }

    private static async Task<bool> ComesAsync(TimeSpan within, Func<bool> what, CancellationToken cancellation)
    {
        var since = Stopwatch.StartNew();
        while (!what())
        {
            if (since.Elapsed > within)
            {
                return false;
            }

            await Task.Delay(Look, cancellation);
        }

        return true;
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "The home network is not let in: {Trouble}")]
    private partial void NotLetIn(string trouble);

    private string Url(string scheme, int port) => string.Create(CultureInfo.InvariantCulture, $"{scheme}://{Address}:{port}");

    private bool Taken(int port)
    {
        try
        {
            using var probe = new TcpListener(IPAddress.Parse(Address), port) { ExclusiveAddressUse = true };
            probe.Start();
            probe.Stop();
            return false;
        }
        catch (SocketException)
        {
            return true;
        }
    }
}

/// <summary>Once the program answers on the machine itself, the home network is let in again if it was.</summary>
internal sealed partial class SharingAgain(Sharing sharing, IHostApplicationLifetime lifetime, ILogger<SharingAgain> log) : BackgroundService
{
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var started = new TaskCompletionSource();
        await using var told = lifetime.ApplicationStarted.Register(() => started.TrySetResult());
        await using var ends = stoppingToken.Register(() => started.TrySetCanceled(stoppingToken));
        await started.Task;
        try
        {
            await sharing.ResumeAsync();
        }
        catch (Exception e) when (!stoppingToken.IsCancellationRequested)
        {
            // Whatever is wrong with it, the machine itself is answered.
            NotLetIn(e);
        }
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "The home network is not let in.")]
    private partial void NotLetIn(Exception trouble);
}
