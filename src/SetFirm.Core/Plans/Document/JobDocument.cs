using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Plans.Document;

/// <summary>One job: what a person said, in their words and units. This is also the file they save.</summary>
/// <remarks>
/// Sizes are texts, as said: <c>12' 6"</c>, <c>3.81 m</c>, <c>3810</c>. A bare number is read in <see cref="Units"/>.
/// Nothing here is checked beyond its form: the planner answers anything doubtful with a finding.
/// </remarks>
public sealed record JobDocument
{
    public const string FormatName = "setfirm-job";
    public const int CurrentVersion = 3;

    /// <summary>Always <c>setfirm-job</c>.</summary>
    public required string Format { get; init; }

    /// <summary>Version of the format; 3. Older files are brought up to it as they are read.</summary>
    public required int Version { get; init; }

    /// <summary>What the person calls the job.</summary>
    public required string Name { get; init; }

    /// <summary>System it is shown in, and that bare numbers are read in.</summary>
    public required UnitSystem Units { get; init; }

    /// <summary>IANA zone of the site.</summary>
    public required string TimeZone { get; init; }

    /// <summary>What is poured, in pouring order.</summary>
    public required IReadOnlyList<ElementDocument> Elements { get; init; }

    public required BuildDocument Build { get; init; }

    public required MixDocument Mix { get; init; }

    public required MixingDocument Mixing { get; init; }

    public required BuyDocument Buy { get; init; }

    public required DayDocument Day { get; init; }

    public required CureDocument Cure { get; init; }
}

/// <summary>What it is mixed in, by whom.</summary>
public sealed record MixingDocument
{
    public required MixerDocument Mixer { get; init; }

    /// <summary>People, 1-6.</summary>
    public required int Hands { get; init; }

    /// <summary>How many like mixers are run at once, 1-4.</summary>
    public int Mixers { get; init; } = 1;

    /// <summary>One way from the mixer to the pour, a length.</summary>
    public required string BarrowRun { get; init; }

    /// <summary>Mixing water, °C.</summary>
    public required double WaterC { get; init; }

    /// <summary>What the concrete should have when it is mixed, °C; null takes it as it comes.</summary>
    public double? WantedMixC { get; init; }
}

/// <summary>When it is poured.</summary>
public sealed record DayDocument
{
    /// <summary>Local date, <c>2026-05-02</c>.</summary>
    public required string Date { get; init; }

    /// <summary>Local time of the first water, <c>08:30</c>.</summary>
    public required string Start { get; init; }
}

/// <summary>How it is kept wet.</summary>
public sealed record CureDocument
{
    public required Curing.CuringMethod Method { get; init; }

    /// <summary>Days of wetting; null takes the advice.</summary>
    public double? Days { get; init; }
}
