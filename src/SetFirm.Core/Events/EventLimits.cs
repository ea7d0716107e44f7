using SetFirm.Core.Quantities;

namespace SetFirm.Core.Events;

/// <summary>What an event may say.</summary>
public static class EventLimits
{
    /// <summary>Letters.</summary>
    public const int LongestNote = 2_000;

    private const int LongestName = 200;
    private const int MostCounted = 1_000;

    /// <summary>No plan shares work among more.</summary>
    public const int MostHands = 8;

    /// <summary>Of one probe: ten minutes apart, for a month.</summary>
    public const int MostReadings = 5_000;

    private const double MostM = 1_000;
    private const double MostCelsius = 100;
    private const double LeastCelsius = -60;
    private const double MostAmount = 1_000_000;

    /// <summary>The first field that says what cannot be; null where all is well.</summary>
    /// <returns>Its name, as in the type.</returns>
    public static string? WrongIn(JobEvent said)
    {
        ArgumentNullException.ThrowIfNull(said);
        return !Moments.Has(said.At) ? nameof(said.At)
            : said.Note.Length > LongestNote ? nameof(said.Note)
            : said.Pour.Length > LongestName ? nameof(said.Pour)
            : said.Device.Length > LongestName ? nameof(said.Device)
            : said switch
            {
                JobEvent.DayBegun { Plan: { } plan } when plan.Wrong() is not null => nameof(JobEvent.DayBegun.Plan),
                JobEvent.DayClosed e when NotAmount(e.BagsLeft) => nameof(e.BagsLeft),
                JobEvent.DayClosed { BagsUsed: { } used } e when NotAmount(used) => nameof(e.BagsUsed),
                JobEvent.FaultSeen e when e.Element.Length > LongestName => nameof(e.Element),
                JobEvent.FaultSeen e when e.Picture.Length > LongestName => nameof(e.Picture),
                JobEvent.FaultSeen { AlongM: not (null or (>= -MostM and <= MostM)) } e => nameof(e.AlongM),
                JobEvent.FaultSeen { InM: not (null or (>= -MostM and <= MostM)) } e => nameof(e.InM),
                JobEvent.ProbeRead e when WrongProbe(e.Readings) => nameof(e.Readings),
                JobEvent.HandsChanged { Hands: not (>= 1 and <= MostHands) } e => nameof(e.Hands),
                JobEvent.CoverOn { Zone: { } zone } e when NotCounted(zone) => nameof(e.Zone),
                JobEvent.Misted { Zone: { } zone } e when NotCounted(zone) => nameof(e.Zone),
                JobEvent.JointMade e when NotCounted(e.Batch) => nameof(e.Batch),
                JobEvent.CoverOff { Zone: { } zone } e when NotCounted(zone) => nameof(e.Zone),
                JobEvent.BatchMixing e when NotCounted(e.Batch) => nameof(e.Batch),
                JobEvent.BatchPlaced e when NotCounted(e.Batch) => nameof(e.Batch),
                JobEvent.WaterAdded e when NotCounted(e.Batch) => nameof(e.Batch),
                JobEvent.WaterAdded e when NotAmount(e.Litres) => nameof(e.Litres),
                JobEvent.StruckOff e when NotCounted(e.Zone) => nameof(e.Zone),
                JobEvent.SheenGone e when NotCounted(e.Zone) => nameof(e.Zone),
                JobEvent.ThumbTest e when NotCounted(e.Zone) => nameof(e.Zone),
                JobEvent.PassBegun e when NotCounted(e.Zone) => nameof(e.Zone),
                JobEvent.PassDone e when NotCounted(e.Zone) => nameof(e.Zone),
                JobEvent.TemperatureTold { Celsius: not (>= LeastCelsius and <= MostCelsius) } e => nameof(e.Celsius),
                JobEvent.TaskDone e when e.Task.Length is 0 or > LongestName => nameof(e.Task),
                JobEvent.Photo e when e.Picture.Length is 0 or > LongestName => nameof(e.Picture),
                JobEvent.UsedUp e when e.Good.Length is 0 or > LongestName => nameof(e.Good),
                JobEvent.UsedUp e when NotAmount(e.Amount) => nameof(e.Amount),
                JobEvent.GoodBought e when e.Good.Length is 0 or > LongestName => nameof(e.Good),
                JobEvent.GoodBought e when NotAmount(e.Amount) => nameof(e.Amount),
                JobEvent.GoodMissing e when e.Good.Length is 0 or > LongestName => nameof(e.Good),
                JobEvent.Coated { Product: not (>= 0 and < MostCounted) } e => nameof(e.Product),
                _ => null,
            };
    }

    // At least two, one after the other.
    private static bool WrongProbe(IReadOnlyList<ProbeReading> readings) => readings is not { Count: >= 2 and <= MostReadings }
        || readings.Any(r => !Moments.Has(r.At) || r.Celsius is not (>= LeastCelsius and <= MostCelsius)) || readings.Zip(readings.Skip(1)).Any(r => r.First.At >= r.Second.At);

    private static bool NotCounted(int number) => number is < 1 or > MostCounted;

    private static bool NotAmount(double amount) => amount is not (>= 0 and <= MostAmount);
}
