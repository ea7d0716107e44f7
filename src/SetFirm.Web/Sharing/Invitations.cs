using System.Collections.Concurrent;
using System.Net;
using System.Security.Cryptography;
using NodaTime;

namespace SetFirm.Web.Sharing;

/// <summary>A code that lets devices join.</summary>
/// <param name="Code">Eight letters and digits, none of which looks like another.</param>
/// <param name="Role">What who joins with it may do.</param>
/// <param name="Until">Good until then.</param>
public sealed record InvitationDto(string Code, DeviceRole Role, Instant Until);

/// <summary>What came of trying a code.</summary>
internal enum CodeTried
{
    Good,
    Wrong,

    /// <summary>Too many were wrong: none is looked at for a while.</summary>
    TooMany,
}

/// <summary>The code that is good now, one at a time, in memory only; and who has guessed how often.</summary>
internal sealed class Invitations(IClock clock)
{
    private const string Letters = "23456789ABCDEFGHJKMNPQRSTUVWXYZ";
    private const int Length = 8;

    /// <summary>Wrong ones from one address.</summary>
    public const int MostOfOne = 5;

    /// <summary>And from all: then the code is closed. A stranger's chance is then 30 in 10^11.</summary>
    public const int MostOfAll = 30;

    public static readonly Duration GoodFor = Duration.FromMinutes(10);

    private readonly Lock gate = new();
    private readonly Dictionary<IPAddress, Queue<Instant>> wrong = [];
    private InvitationDto? current;
    private int wrongOfAll;

    /// <summary>Null where none is good.</summary>
    public InvitationDto? Current
    {
        get
        {
            lock (gate)
            {
                return current is { } open && open.Until > clock.GetCurrentInstant() ? open : null;
            }
        }
    }

    /// <summary>Makes a new one; the one before is good no longer.</summary>
    public InvitationDto Make(DeviceRole role)
    {
        lock (gate)
        {
            wrongOfAll = 0;
            return current = new InvitationDto(RandomNumberGenerator.GetString(Letters, Length), role, clock.GetCurrentInstant() + GoodFor);
        }
    }

    public void Close()
    {
        lock (gate)
        {
            current = null;
        }
    }

    /// <param name="code">As typed: case, blanks and hyphens aside.</param>
    /// <param name="from">Whoever types it.</param>
    public (CodeTried Tried, DeviceRole Role) Try(string code, IPAddress from)
    {
        ArgumentNullException.ThrowIfNull(code);
        lock (gate)
        {
            var now = clock.GetCurrentInstant();
            var tries = wrong.TryGetValue(from, out var known) ? known : wrong[from] = new Queue<Instant>();
            while (tries.TryPeek(out var first) && now - first > GoodFor)
            {
                tries.Dequeue();
            }

            if (tries.Count >= MostOfOne || wrong.Count > 1_000)
            {
                Forget(now);
                return (CodeTried.TooMany, default);
            }

            var said = string.Concat(code.ToUpperInvariant().Where(char.IsAsciiLetterOrDigit));
            if (current is { } open && open.Until > now
                && CryptographicOperations.FixedTimeEquals(System.Text.Encoding.ASCII.GetBytes(said.PadRight(Length)[..Math.Max(Length, said.Length)]), System.Text.Encoding.ASCII.GetBytes(open.Code)))
            {
                return (CodeTried.Good, open.Role);
            }

            tries.Enqueue(now);
            if (++wrongOfAll >= MostOfAll)
            {
                current = null;
            }

            return (CodeTried.Wrong, default);
        }
    }

    // Who guessed long ago is nobody any more.
    private void Forget(Instant now)
    {
        foreach (var (address, tries) in wrong.ToArray())
        {
            if (tries.All(t => now - t > GoodFor))
            {
                wrong.Remove(address);
            }
        }
    }
}
