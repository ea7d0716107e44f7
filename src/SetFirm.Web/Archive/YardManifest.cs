using NodaTime;
using SetFirm.Core.Learning;
using SetFirm.Web.Jobs;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Archive;

/// <summary>What a yard's archive holds: <c>manifest.json</c> in it.</summary>
public sealed record YardManifest
{
    public const string FormatName = "setfirm-yard";
    public const int CurrentVersion = 1;

    /// <summary>Always <c>setfirm-yard</c>.</summary>
    public required string Format { get; init; }

    /// <summary>Version of the form; 1.</summary>
    public required int Version { get; init; }

    /// <summary>When it was made.</summary>
    public required Instant Made { get; init; }

    /// <summary>Every job, removed ones too.</summary>
    public required IReadOnlyList<ArchivedJob> Jobs { get; init; }

    /// <summary>Weather that was read from files.</summary>
    public required IReadOnlyList<ArchivedWeather> Weather { get; init; }

    /// <summary>Every other file in the archive, with its SHA-256 in hexadecimal.</summary>
    public required IReadOnlyDictionary<string, string> Files { get; init; }
}

/// <summary>A job: its file is <c>jobs/ID/job.setfirm.json</c>, its diary <c>jobs/ID/log.json</c>.</summary>
public sealed record ArchivedJob
{
    public required Guid Id { get; init; }

    /// <summary>As its file has it.</summary>
    public required string Name { get; init; }

    /// <summary>Counts changes from 1.</summary>
    public required int Version { get; init; }

    public required Instant CreatedAt { get; init; }

    public required Instant UpdatedAt { get; init; }

    /// <summary>Null where it was not.</summary>
    public Instant? RemovedAt { get; init; }

    /// <summary>Null where it was not put away.</summary>
    public Instant? PutAwayAt { get; init; }

    /// <summary>How it stood before, <c>jobs/ID/versions/VERSION.setfirm.json</c>.</summary>
    public required IReadOnlyList<ArchivedVersion> Versions { get; init; }

    /// <summary>Photographs, <c>jobs/ID/pictures/PICTURE.jpg</c>.</summary>
    public required IReadOnlyList<ArchivedPicture> Pictures { get; init; }
}

/// <param name="Version">Which.</param>
/// <param name="SavedAt">It stood from here on.</param>
public sealed record ArchivedVersion(int Version, Instant SavedAt);

/// <param name="Id">As the diary names it.</param>
/// <param name="ReceivedAt">When it came.</param>
public sealed record ArchivedPicture(Guid Id, Instant ReceivedAt);

/// <summary>Weather from a file: its hours are <c>weather/ID.json</c>.</summary>
/// <param name="Id">As jobs name it.</param>
/// <param name="Name">Of the file.</param>
/// <param name="Start">First hour.</param>
/// <param name="TypicalYear">A year put together from many.</param>
/// <param name="ReceivedAt">When it was read.</param>
public sealed record ArchivedWeather(string Id, string Name, Instant Start, bool TypicalYear, Instant ReceivedAt);

/// <summary>What belongs to the yard and to no job: <c>yard.json</c> in the archive.</summary>
internal sealed record ArchivedYard
{
    public required IReadOnlyList<ThingRow> Things { get; init; }

    public required IReadOnlyList<PriceRow> Prices { get; init; }

    public required IReadOnlyList<ArchivedDecision> Decisions { get; init; }

    public required IReadOnlyList<PourId> LeftOut { get; init; }

    /// <summary>How the household likes things; null where it never said.</summary>
    public PreferencesDto? Preferences { get; init; }
}

/// <summary>A word on a value that pours teach.</summary>
/// <param name="Key">Of what.</param>
/// <param name="Word">What was said.</param>
/// <param name="By">Pours that the value in use was learnt from.</param>
/// <param name="Before">And those before them.</param>
internal sealed record ArchivedDecision(LearntKey Key, Word Word, IReadOnlyList<PourId> By, IReadOnlyList<PourId> Before);
