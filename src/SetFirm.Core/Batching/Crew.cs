using SetFirm.Core.Quantities;

namespace SetFirm.Core.Batching;

/// <summary>How many hands there are, and what that does to the pace and the day. Source: site practice (tune).</summary>
/// <param name="Hands">People, 1 or more.</param>
/// <param name="Mixers">How many like mixers they run at once, 1 or more.</param>
public readonly record struct Crew(int Hands, int Mixers = 1)
{
    /// <summary>A day in comfort, m3 a person.</summary>
    public const double ComfortM3 = 0.75;

    /// <summary>A day that exhausts, m3 a person.</summary>
    public const double ExhaustionM3 = 1.5;

    /// <summary>Over this volume one person wants a helper, m3.</summary>
    public const double AloneM3 = 0.8;

    /// <summary>Over this much dry material mixing by hand wants a mixer, kg.</summary>
    public const double ByHandKg = 550;

    /// <summary>What one person lifts and tips, batch after batch, kg.</summary>
    public const double LiftKg = 25;

    /// <summary>Who does what: mixing first, then wheeling, then placing.</summary>
    public IReadOnlyList<CrewTask> Tasks => (Hands - Running) switch
    {
        0 => [new(CrewRole.Everything, Hands)],
        1 => [new(CrewRole.Mixes, Running), new(CrewRole.WheelsAndPlaces, 1)],
        var rest => [new(CrewRole.Mixes, Running), new(CrewRole.Wheels, rest / 2), new(CrewRole.Places, rest - (rest / 2))],
    };

    /// <summary>People for whom a volume is a day in comfort.</summary>
    public static int ComfortFor(Volume volume) => (int)Math.Ceiling((volume.CubicMetres / ComfortM3) - 1e-9);

    /// <summary>A mixer without a person of its own stands still.</summary>
    public int Running => Math.Min(Mixers, Hands);
}

/// <summary>What a person does while it is poured.</summary>
public enum CrewRole
{
    Everything,
    Mixes,
    Wheels,
    WheelsAndPlaces,
    Places,
}

/// <summary>A role and how many have it.</summary>
public readonly record struct CrewTask(CrewRole Role, int People);
