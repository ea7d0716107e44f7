using NodaTime;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Jobs;

/// <summary>Which past versions of a job are kept: all of the last hour, one an hour of the last day, one a day before that.</summary>
internal static class PastVersions
{
    private static readonly Duration All = Duration.FromHours(1);
    private static readonly Duration Hourly = Duration.FromDays(1);

    /// <summary>Days are kept this long.</summary>
    private static readonly Duration Daily = Duration.FromDays(400);

    /// <summary>Those that are no longer wanted.</summary>
    /// <param name="kept">When each was saved.</param>
    /// <param name="now">When it is asked.</param>
    /// <remarks>Of each hour and of each day the last that was saved stays: what stood longest.</remarks>
    public static IEnumerable<VersionRow> Spent(IReadOnlyList<VersionRow> kept, Instant now) => kept
        .Where(v => now - v.SavedAt > All)
        .GroupBy(v => now - v.SavedAt <= Hourly ? (Day: false, Slot: v.SavedAt.ToUnixTimeSeconds() / 3_600) : (Day: true, Slot: v.SavedAt.ToUnixTimeSeconds() / 86_400))
        .SelectMany(slot => slot.OrderByDescending(v => v.Version).Where((v, i) => i > 0 || now - v.SavedAt > Daily));
}
