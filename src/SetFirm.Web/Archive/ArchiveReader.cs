using System.IO.Compression;
using System.Text;
using System.Text.Json;
using NodaTime;
using SetFirm.Answers;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Weather;
using SetFirm.Web.Jobs;
using SetFirm.Web.Learning;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Archive;

/// <summary>What is wrong with an archive, and where in it.</summary>
internal sealed class ArchiveRefusedException(string path, string reason) : Exception($"{path}: {reason}")
{
    public string Path { get; } = path;

    public string Reason { get; } = reason;
}

/// <summary>Reads an archive and checks all of it before anything is kept: each file against its sum, each document, line, picture and hour as if it came anew.</summary>
internal sealed class ArchiveReader
{
    /// <summary>Bytes of one file in it, unpacked.</summary>
    private const long MostOfOne = 40_000_000;

    /// <summary>Of all.</summary>
    private const long MostOfAll = 1_000_000_000;

    private const int MostFiles = 100_000;
    private const int MostJobs = 20_000;
    private const int LongestName = 200;

    private readonly Dictionary<string, ZipArchiveEntry> entries = [];
    private readonly JsonSerializerOptions options;
    private IReadOnlyDictionary<string, string>? sums;
    private long read;

    private ArchiveReader(ZipArchive zip, JsonSerializerOptions options)
    {
        this.options = new JsonSerializerOptions(options) { RespectRequiredConstructorParameters = true };
        if (zip.Entries.Count > MostFiles)
        {
            throw new ArchiveRefusedException("$", $"it holds more than {MostFiles} files");
        }

        foreach (var entry in zip.Entries)
        {
            if (!entries.TryAdd(entry.FullName, entry))
            {
                throw new ArchiveRefusedException(entry.FullName, "it stands in the archive twice");
            }
        }
    }

    /// <summary>All rows of a yard, checked.</summary>
    /// <param name="from">A ZIP that can be sought in.</param>
    /// <param name="options">How events and moments are read.</param>
    /// <exception cref="ArchiveRefusedException">With the path in the archive and the reason.</exception>
    public static IReadOnlyList<object> Read(Stream from, JsonSerializerOptions options)
    {
        ZipArchive zip;
        try
        {
            zip = new ZipArchive(from, ZipArchiveMode.Read, leaveOpen: true);
            _ = zip.Entries;
        }
        catch (Exception e) when (e is InvalidDataException or IOException or ArgumentException or NotSupportedException)
        {
            throw new ArchiveRefusedException("$", "this is no ZIP archive, or it breaks off");
        }

        using (zip)
        {
            return new ArchiveReader(zip, options).Rows();
        }
    }

    private List<object> Rows()
    {
        var bytes = Bytes(ArchiveWriter.Manifest);
        var manifest = Parsed<YardManifest>(ArchiveWriter.Manifest, bytes);
        if (manifest.Format != YardManifest.FormatName)
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, $"its format must be \"{YardManifest.FormatName}\"");
        }

        if (manifest.Version is < 1 or > YardManifest.CurrentVersion)
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, $"it has version {manifest.Version}; this Set Firm reads up to {YardManifest.CurrentVersion}");
        }

        if (Encoding.ASCII.GetString(Bytes(ArchiveWriter.Seal)) != ArchiveWriter.Sum(bytes))
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, "it is not as it was written");
        }

        if (manifest.Jobs.Count > MostJobs)
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, $"it has more than {MostJobs} jobs");
        }

        if (manifest.Jobs.Contains(null!) || manifest.Weather.Contains(null!))
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, "null stands where something is wanted");
        }

        if (manifest.Jobs.Select(j => j.Id).Distinct().Count() < manifest.Jobs.Count || manifest.Weather.Select(w => w.Id).Distinct().Count() < manifest.Weather.Count)
        {
            throw new ArchiveRefusedException(ArchiveWriter.Manifest, "a job or a weather file stands in it twice");
        }

        sums = manifest.Files;
        var rows = new List<object>();
        foreach (var job in manifest.Jobs)
        {
            rows.AddRange(Job(job));
        }

        rows.AddRange(manifest.Weather.Select(Weather));
        rows.AddRange(Yard([.. manifest.Jobs.Select(j => j.Id)]));
        return rows;
    }

    private IEnumerable<object> Job(ArchivedJob said)
    {
        Check(ArchiveWriter.Manifest, Moments.Has(said.CreatedAt) && Moments.Has(said.UpdatedAt) && Moments.Has(said.RemovedAt ?? said.CreatedAt) && Moments.Has(said.PutAwayAt ?? said.CreatedAt), "a moment in it is not possible");
        Check(ArchiveWriter.Manifest, said.Version >= 1 && !said.Versions.Contains(null!) && !said.Pictures.Contains(null!), "a job in it is not whole");
        var path = ArchiveWriter.Job(said.Id);
        var text = Document(path, out var name);
        yield return new JobRow
        {
            Id = said.Id,
            Name = name,
            Document = text,
            Version = said.Version,
            CreatedAt = said.CreatedAt,
            UpdatedAt = said.UpdatedAt,
            RemovedAt = said.RemovedAt,
            PutAwayAt = said.PutAwayAt,
        };
        foreach (var row in Log(said.Id))
        {
            yield return row;
        }

        Check(ArchiveWriter.Manifest, said.Versions.Select(v => v.Version).Distinct().Count() == said.Versions.Count && said.Versions.All(v => v.Version >= 1 && v.Version < said.Version && Moments.Has(v.SavedAt)), "a version in it is not possible");
        foreach (var version in said.Versions)
        {
            yield return new VersionRow { JobId = said.Id, Version = version.Version, SavedAt = version.SavedAt, Document = Document(ArchiveWriter.Version(said.Id, version.Version), out _) };
        }

        Check(ArchiveWriter.Manifest, said.Pictures.Select(p => p.Id).Distinct().Count() == said.Pictures.Count && said.Pictures.Count <= PictureEndpoints.MostOfAJob && said.Pictures.All(p => Moments.Has(p.ReceivedAt)), "a picture in it is not possible");
        foreach (var picture in said.Pictures)
        {
            var at = ArchiveWriter.Picture(said.Id, picture.Id);
            var image = Bytes(at);
            Check(at, image.Length <= PictureEndpoints.MostBytes && Jpeg.Plain(image) is not null, "it is no whole JPEG of a fitting size");
            yield return new PictureRow { Id = picture.Id, JobId = said.Id, Image = Jpeg.Plain(image)!, ReceivedAt = picture.ReceivedAt };
        }
    }

    // As it stands in the archive, where it can be read.
    private string Document(string path, out string name)
    {
        var text = Text(path);
        switch (KeptJob.Read(text))
        {
            case JobRead.Ok { Document: var job }:
                name = job.Name;
                return text;
            case JobRead.Newer newer:
                throw new ArchiveRefusedException(path, $"it has version {newer.Version}; this Set Firm reads up to {newer.Known}");
            case JobRead.Unreadable at:
                throw new ArchiveRefusedException($"{path} {at.Path}", at.Reason);
            default:
                throw new ArchiveRefusedException(path, "it is no Set Firm job");
        }
    }

    private IEnumerable<LogRow> Log(Guid job)
    {
        var path = ArchiveWriter.Log(job);
        var lines = Parsed<ArchivedLine[]>(path, Bytes(path));
        Check(path, !lines.Contains(null!) && lines.Length <= LogReader.MostOfAJob, "it is no diary, or too long a one");
        Check(path, lines.Select((l, i) => l.Seq == i + 1 && Moments.Has(l.ReceivedAt)).All(sound => sound), "its lines are not in their order");
        using var events = JsonDocument.Parse(JsonSerializer.Serialize(lines.Select(l => l.Event)));
        var (told, wrong) = LogReader.Read(events.RootElement, LogReader.MostOfAJob, "$", options);
        if (told is null)
        {
            throw new ArchiveRefusedException($"{path} {wrong!.Path}", wrong.Reason);
        }

        Check(path, told.Select(e => e.Id).Distinct().Count() == told.Count, "a line stands in it twice");
        return told.Zip(lines, (e, l) => new LogRow { JobId = job, Seq = l.Seq, Id = e.Id, At = e.At, ReceivedAt = l.ReceivedAt, Entry = JsonSerializer.Serialize(e, options) });
    }

    private WeatherFileRow Weather(ArchivedWeather said)
    {
        Check(ArchiveWriter.Manifest, said.Id.Length is > 0 and <= LongestName && said.Name.Length <= LongestName && Moments.Has(said.Start) && Moments.Has(said.ReceivedAt), "a weather file in it is not possible");
        var path = ArchiveWriter.Weather(said.Id);
        var text = Text(path);
        // Hours are kept as the shelf writes them.
        var hours = Parsed<WeatherHour[]>(path, Encoding.UTF8.GetBytes(text), JsonSerializerOptions.Default);
        Check(path, HourlyWeather.TryCreate(said.Start, [.. hours]) is WeatherCheck.Sound, "its hours are not possible");
        return new WeatherFileRow { Id = said.Id, Name = said.Name, Start = said.Start, Hours = text, TypicalYear = said.TypicalYear, ReceivedAt = said.ReceivedAt };
    }

    private IEnumerable<object> Yard(HashSet<Guid> jobs)
    {
        const string path = ArchiveWriter.Yard;
        var yard = Parsed<ArchivedYard>(path, Bytes(path));
        bool Named(string text) => text.Length <= LongestName;
        Check(
            path,
            !yard.Things.Contains(null!) && !yard.Prices.Contains(null!) && !yard.Decisions.Contains(null!) && yard.LeftOut.All(l => l.Pour is not null),
            "null stands where something is wanted");
        Check(path, yard.Things.All(t => Named(t.Name) && Moments.Has(t.UpdatedAt) && Things.IsSound(t)), "a thing in it is not possible");
        Check(path, yard.Prices.All(p => Named(p.Currency) && Named(p.Good) && Named(p.Date) && double.IsFinite(p.Price)), "a price in it is not possible");
        Check(path, yard.Decisions.All(d => d.Key is { What: not null, Who: not null } && Named(d.Key.What) && Named(d.Key.Who) && d.By.Concat(d.Before).All(p => p.Pour is not null)), "a word in it is not possible");
        Check(
            path,
            yard.Things.DistinctBy(t => (t.Kind, t.Name)).Count() == yard.Things.Count && yard.Prices.DistinctBy(p => (p.Currency, p.Good)).Count() == yard.Prices.Count
                && yard.Decisions.DistinctBy(d => d.Key).Count() == yard.Decisions.Count && yard.LeftOut.Distinct().Count() == yard.LeftOut.Count,
            "something stands in it twice");
        Check(path, yard.LeftOut.All(l => jobs.Contains(l.Job)), "it leaves out a pour of a job that is not there");
        Check(path, yard.Preferences is not { } liked || Preferences.WrongIn(liked) is null, "a preference in it is not possible");
        SettingRow[] settings = yard.Preferences is { } kept ? [new SettingRow { Name = Preferences.Key, Value = JsonSerializer.Serialize(kept, options) }] : [];
        return
        [
            .. settings,
            .. yard.Things,
            .. yard.Prices,
            .. yard.Decisions.Select(d => new DecisionRow
            {
                Of = d.Key.Of, What = d.Key.What, Who = d.Key.Who, Word = d.Word, By = LearntShelf.Kept(d.By), Before = LearntShelf.Kept(d.Before),
            }),
            .. yard.LeftOut.Select(l => new LeftOutRow { JobId = l.Job, Pour = l.Pour }),
        ];
    }

    private T Parsed<T>(string path, byte[] bytes, JsonSerializerOptions? by = null)
        where T : class
    {
        try
        {
            return JsonSerializer.Deserialize<T>(bytes, by ?? options) ?? throw new ArchiveRefusedException(path, "it is empty");
        }
        catch (JsonException e)
        {
            throw new ArchiveRefusedException($"{path} {e.Path ?? "$"}", "it is no readable JSON of this kind");
        }
        catch (Exception e) when (e is InvalidOperationException or NotSupportedException)
        {
            throw new ArchiveRefusedException(path, "a text in it is not whole, or a kind is missing");
        }
    }

    private string Text(string path)
    {
        try
        {
            return new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(Bytes(path));
        }
        catch (DecoderFallbackException)
        {
            throw new ArchiveRefusedException(path, "it is no text");
        }
    }

    private byte[] Bytes(string path)
    {
        if (!entries.TryGetValue(path, out var entry))
        {
            throw new ArchiveRefusedException(path, "it is missing");
        }

        using var bytes = new MemoryStream();
        try
        {
            using var from = entry.Open();
            var part = new byte[81_920];
            for (int n; (n = from.Read(part)) > 0;)
            {
                bytes.Write(part.AsSpan(0, n));
                if (bytes.Length > MostOfOne || (read += n) > MostOfAll)
                {
                    throw new ArchiveRefusedException(path, "it is larger than anything that is kept");
                }
            }
        }
        catch (Exception e) when (e is InvalidDataException or IOException or NotSupportedException or ArgumentException)
        {
            throw new ArchiveRefusedException(path, "it cannot be unpacked");
        }

        var whole = bytes.ToArray();
        if (path is not (ArchiveWriter.Manifest or ArchiveWriter.Seal) && (sums?.TryGetValue(path, out var sum) != true || sum != ArchiveWriter.Sum(whole)))
        {
            throw new ArchiveRefusedException(path, "it is not as it was written");
        }

        return whole;
    }

    private static void Check(string path, bool sound, string reason)
    {
        if (!sound)
        {
            throw new ArchiveRefusedException(path, reason);
        }
    }
}
