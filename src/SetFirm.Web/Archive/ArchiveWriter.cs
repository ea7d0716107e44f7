using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Core.Learning;
using SetFirm.Web.Jobs;
using SetFirm.Web.Learning;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Archive;

/// <summary>Writes a whole yard as one ZIP of open files, so that it can be read without this program.</summary>
internal static class ArchiveWriter
{
    public const string Manifest = "manifest.json";
    public const string Yard = "yard.json";

    /// <summary>SHA-256 of the manifest, which has those of all the rest.</summary>
    public const string Seal = "manifest.sha256";

    public static string Job(Guid id) => $"jobs/{id}/job.setfirm.json";

    public static string Log(Guid id) => $"jobs/{id}/log.json";

    public static string Version(Guid id, int version) => $"jobs/{id}/versions/{version}.setfirm.json";

    public static string Picture(Guid id, Guid picture) => $"jobs/{id}/pictures/{picture}.jpg";

    public static string Weather(string id) => $"weather/{id}.json";

    public static string Sum(ReadOnlySpan<byte> bytes) => Convert.ToHexStringLower(SHA256.HashData(bytes));

    /// <param name="db">Read in one transaction, so that it is of one moment.</param>
    /// <param name="made">Now.</param>
    /// <param name="options">How events and moments are written.</param>
    /// <param name="to">Takes the ZIP; it is left open.</param>
    /// <param name="cancellation">Ends it.</param>
    public static async Task WriteAsync(SetFirmDb db, Instant made, JsonSerializerOptions options, Stream to, CancellationToken cancellation)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
        var sums = new SortedDictionary<string, string>(StringComparer.Ordinal);
        void Add(string path, byte[] bytes)
        {
            using var entry = zip.CreateEntry(path, CompressionLevel.Optimal).Open();
            entry.Write(bytes);
            sums[path] = Sum(bytes);
        }

        void AddJson<T>(string path, T value) => Add(path, JsonSerializer.SerializeToUtf8Bytes(value, options));

        var jobs = new List<ArchivedJob>();
        foreach (var id in await db.Jobs.AsNoTracking().OrderBy(j => j.CreatedAt).ThenBy(j => j.Id).Select(j => j.Id).ToListAsync(cancellation))
        {
            var row = await db.Jobs.AsNoTracking().SingleAsync(j => j.Id == id, cancellation);
            Add(Job(id), Encoding.UTF8.GetBytes(row.Document));
            var lines = await db.Log.AsNoTracking().Where(l => l.JobId == id).OrderBy(l => l.Seq).ToListAsync(cancellation);
            AddJson(Log(id), lines.Select(l => new ArchivedLine(l.Seq, l.ReceivedAt, JsonElement.Parse(l.Entry))));
            var versions = await db.Versions.AsNoTracking().Where(v => v.JobId == id).OrderBy(v => v.Version).ToListAsync(cancellation);
            versions.ForEach(v => Add(Version(id, v.Version), Encoding.UTF8.GetBytes(v.Document)));
            var pictures = new List<ArchivedPicture>();
            foreach (var picture in await db.Pictures.AsNoTracking().Where(p => p.JobId == id).OrderBy(p => p.ReceivedAt).ThenBy(p => p.Id).Select(p => p.Id).ToListAsync(cancellation))
            {
                var kept = await db.Pictures.AsNoTracking().SingleAsync(p => p.JobId == id && p.Id == picture, cancellation);
                Add(Picture(id, picture), kept.Image);
                pictures.Add(new ArchivedPicture(picture, kept.ReceivedAt));
            }

            jobs.Add(new ArchivedJob
            {
                Id = id,
                Name = row.Name,
                Version = row.Version,
                CreatedAt = row.CreatedAt,
                UpdatedAt = row.UpdatedAt,
                RemovedAt = row.RemovedAt,
                PutAwayAt = row.PutAwayAt,
                Versions = [.. versions.Select(v => new ArchivedVersion(v.Version, v.SavedAt))],
                Pictures = pictures,
            });
        }

        var weather = await db.WeatherFiles.AsNoTracking().OrderBy(w => w.ReceivedAt).ThenBy(w => w.Id).ToListAsync(cancellation);
        weather.ForEach(w => Add(Weather(w.Id), Encoding.UTF8.GetBytes(w.Hours)));
        AddJson(Yard, new ArchivedYard
        {
            Things = await db.Things.AsNoTracking().OrderBy(t => t.Kind).ThenBy(t => t.Name).ToListAsync(cancellation),
            Prices = await db.Prices.AsNoTracking().OrderBy(p => p.Currency).ThenBy(p => p.Good).ToListAsync(cancellation),
            Decisions = [.. (await db.Decisions.AsNoTracking().OrderBy(d => d.Of).ThenBy(d => d.What).ThenBy(d => d.Who).ToListAsync(cancellation))
                .Select(d => new ArchivedDecision(new LearntKey(d.Of, d.What, d.Who), d.Word, LearntShelf.Pours(d.By), LearntShelf.Pours(d.Before)))],
            LeftOut = [.. (await db.LeftOut.AsNoTracking().OrderBy(l => l.JobId).ThenBy(l => l.Pour).ToListAsync(cancellation)).Select(l => new PourId(l.JobId, l.Pour))],
            Preferences = await db.Settings.AsNoTracking().Where(s => s.Name == Preferences.Key).Select(s => s.Value).SingleOrDefaultAsync(cancellation) is { } liked
                ? JsonSerializer.Deserialize<PreferencesDto>(liked, options) : null,
        });
        var manifest = JsonSerializer.SerializeToUtf8Bytes(
            new YardManifest
            {
                Format = YardManifest.FormatName,
                Version = YardManifest.CurrentVersion,
                Made = made,
                Jobs = jobs,
                Weather = [.. weather.Select(w => new ArchivedWeather(w.Id, w.Name, w.Start, w.TypicalYear, w.ReceivedAt))],
                Files = new SortedDictionary<string, string>(sums, StringComparer.Ordinal),
            },
            options);
        Add(Manifest, manifest);
        Add(Seal, Encoding.ASCII.GetBytes(Sum(manifest)));
    }
}

/// <summary>A line of a diary, as the archive has it.</summary>
/// <param name="Seq">From 1, without gaps.</param>
/// <param name="ReceivedAt">When it came.</param>
/// <param name="Event">What was told.</param>
internal sealed record ArchivedLine(long Seq, Instant ReceivedAt, JsonElement Event);
