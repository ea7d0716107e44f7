using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using NodaTime;

namespace SetFirm.Web.Storage;

/// <summary>A job as kept: its document as the text of a job file, and which version that is.</summary>
internal sealed class JobRow
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    public required string Document { get; set; }

    /// <summary>Counts changes from 1; the ETag, and the concurrency token.</summary>
    public int Version { get; set; }

    public Instant CreatedAt { get; set; }

    public Instant UpdatedAt { get; set; }

    /// <summary>Set when removed; kept so that it can be brought back.</summary>
    public Instant? RemovedAt { get; set; }
}

/// <summary>A job as it was before a change.</summary>
internal sealed class VersionRow
{
    public Guid JobId { get; set; }

    public int Version { get; set; }

    /// <summary>It stood from here on.</summary>
    public Instant SavedAt { get; set; }

    public required string Document { get; set; }
}

/// <summary>A job's line in the yard, made once and kept with what it was made from.</summary>
internal sealed class LineRow
{
    public Guid JobId { get; set; }

    /// <summary>What it was made from; of another it is made anew.</summary>
    public required string Key { get; set; }

    /// <summary>The line as JSON.</summary>
    public required string Line { get; set; }
}

/// <summary>Hourly weather read from a file, under the hash of what it came from: the same file is kept once.</summary>
internal sealed class WeatherFileRow
{
    public required string Id { get; set; }

    public required string Name { get; set; }

    /// <summary>First hour.</summary>
    public Instant Start { get; set; }

    /// <summary>Hours as JSON.</summary>
    public required string Hours { get; set; }

    /// <summary>A year put together from many.</summary>
    public bool TypicalYear { get; set; }

    public Instant ReceivedAt { get; set; }
}

/// <summary>Something that was done or seen, as it was told. Never changed; a mistake is withdrawn by another.</summary>
internal sealed class LogRow
{
    public Guid JobId { get; set; }

    /// <summary>Its place in the log of the job, from 1, without gaps.</summary>
    public long Seq { get; set; }

    /// <summary>Made where it was told: told twice, it is one.</summary>
    public Guid Id { get; set; }

    /// <summary>By the clock of the device.</summary>
    public Instant At { get; set; }

    /// <summary>By the clock of the service.</summary>
    public Instant ReceivedAt { get; set; }

    /// <summary>The event as JSON.</summary>
    public required string Entry { get; set; }
}

/// <summary>A photograph of a pour, scaled down and without what the camera wrote beside it.</summary>
internal sealed class PictureRow
{
    /// <summary>Made where it was taken: sent twice, it is one.</summary>
    public Guid Id { get; set; }

    public Guid JobId { get; set; }

    /// <summary>JPEG.</summary>
    public required byte[] Image { get; set; }

    public Instant ReceivedAt { get; set; }
}

internal sealed class SetFirmDb(DbContextOptions<SetFirmDb> options) : DbContext(options)
{
    public DbSet<JobRow> Jobs => Set<JobRow>();

    public DbSet<WeatherFileRow> WeatherFiles => Set<WeatherFileRow>();

    public DbSet<LogRow> Log => Set<LogRow>();

    public DbSet<VersionRow> Versions => Set<VersionRow>();

    public DbSet<LineRow> Lines => Set<LineRow>();

    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    /// <summary>Keeps a picture, unless it is there already.</summary>
    public Task<int> KeepPictureAsync(Guid job, Guid id, byte[] image, Instant receivedAt, CancellationToken cancellation) => Database.ExecuteSqlAsync(
        $"INSERT OR IGNORE INTO Pictures (Id, JobId, Image, ReceivedAt) VALUES ({id}, {job}, {image}, {receivedAt.ToUnixTimeTicks()})", cancellation);

    /// <summary>Adds a line at the end of a job's log, unless it stands there already. To be called inside a transaction that writes.</summary>
    public Task<int> AppendAsync(Guid job, Guid line, Instant at, Instant receivedAt, string entry, CancellationToken cancellation) => Database.ExecuteSqlAsync(
        $"""
        INSERT OR IGNORE INTO Log (JobId, Seq, Id, At, ReceivedAt, Entry)
        SELECT {job}, COALESCE(MAX(Seq), 0) + 1, {line}, {at.ToUnixTimeTicks()}, {receivedAt.ToUnixTimeTicks()}, {entry} FROM Log WHERE JobId = {job}
        """,
        cancellation);

    /// <summary>Keeps a job's line in the yard in place of the one before; of a job that has gone nothing.</summary>
    public Task<int> KeepLineAsync(Guid job, string key, string line, CancellationToken cancellation) => Database.ExecuteSqlAsync(
        $"INSERT OR REPLACE INTO JobLines (JobId, Key, Line) SELECT Id, {key}, {line} FROM Jobs WHERE Id = {job}", cancellation);

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<Instant>().HaveConversion<InstantConverter>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        var job = modelBuilder.Entity<JobRow>();
        job.ToTable("Jobs");
        job.Property(j => j.Version).IsConcurrencyToken();
        job.HasIndex(j => j.UpdatedAt);
        modelBuilder.Entity<WeatherFileRow>().ToTable("WeatherFiles");
        var version = modelBuilder.Entity<VersionRow>();
        version.ToTable("JobVersions");
        version.HasKey(v => new { v.JobId, v.Version });
        version.HasOne<JobRow>().WithMany().HasForeignKey(v => v.JobId).OnDelete(DeleteBehavior.Cascade);
        var line = modelBuilder.Entity<LineRow>();
        line.ToTable("JobLines");
        line.HasKey(l => l.JobId);
        line.HasOne<JobRow>().WithMany().HasForeignKey(l => l.JobId).OnDelete(DeleteBehavior.Cascade);
        var picture = modelBuilder.Entity<PictureRow>();
        picture.ToTable("Pictures");
        picture.HasKey(p => new { p.JobId, p.Id });
        picture.HasOne<JobRow>().WithMany().HasForeignKey(p => p.JobId).OnDelete(DeleteBehavior.Cascade);
        var log = modelBuilder.Entity<LogRow>();
        log.ToTable("Log");
        log.HasKey(l => new { l.JobId, l.Seq });
        log.HasIndex(l => new { l.JobId, l.Id }).IsUnique();
        log.HasOne<JobRow>().WithMany().HasForeignKey(l => l.JobId).OnDelete(DeleteBehavior.Restrict);
    }

    private sealed class InstantConverter()
        : ValueConverter<Instant, long>(v => v.ToUnixTimeTicks(), v => Instant.FromUnixTimeTicks(v));
}
