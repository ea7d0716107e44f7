using NodaTime;

namespace SetFirm.Web.Demo;

/// <summary>A clock that runs faster than time: a day in minutes, to watch.</summary>
/// <param name="real">Time as it is.</param>
/// <param name="times">How many times as fast; 1 is time itself.</param>
internal sealed class FastClock(IClock real, double times) : IClock
{
    public const string Key = "SetFirm:ClockTimes";
    private const double Most = 3_600;

    private readonly Instant from = real.GetCurrentInstant();

    /// <summary>So many seconds in one.</summary>
    public double Times { get; } = double.IsFinite(times) ? Math.Clamp(times, 1, Most) : 1;

    public Instant GetCurrentInstant()
    {
        var now = real.GetCurrentInstant();
        return Times == 1 ? now : from + ((now - from) * Times);
    }
}
