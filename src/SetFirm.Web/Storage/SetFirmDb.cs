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

/// <summary>Something that was done or seen, as it was told. Never changed; a mistake is struck by another.</summary>
internal sealed class LogRow
{
    /// <summary>Made where it was told: told twice, it is one.</summary>
    public Guid Id { get; set; }

    public Guid JobId { get; set; }

    /// <summary>By the clock of the device.</summary>
    public Instant At { get; set; }

    /// <summary>By the clock of the service.</summary>
    public Instant ReceivedAt { get; set; }

    /// <summary>The entry as JSON.</summary>
    public required string Entry { get; set; }
}

internal sealed class SetFirmDb(DbContextOptions<SetFirmDb> options) : DbContext(options)
{
    public DbSet<JobRow> Jobs => Set<JobRow>();

    public DbSet<WeatherFileRow> WeatherFiles => Set<WeatherFileRow>();

    public DbSet<LogRow> Log => Set<LogRow>();

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<Instant>().HaveConversion<InstantConverter>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        var job = modelBuilder.Entity<JobRow>();
        job.ToTable("Jobs");
        job.Property(j => j.Version).IsConcurrencyToken();
        job.HasIndex(j => j.UpdatedAt);
        modelBuilder.Entity<WeatherFileRow>().ToTable("WeatherFiles");
        var log = modelBuilder.Entity<LogRow>();
        log.ToTable("Log");
        log.HasIndex(l => new { l.JobId, l.At });
        log.HasOne<JobRow>().WithMany().HasForeignKey(l => l.JobId).OnDelete(DeleteBehavior.Restrict);
    }

    private sealed class InstantConverter()
        : ValueConverter<Instant, long>(v => v.ToUnixTimeTicks(), v => Instant.FromUnixTimeTicks(v));
}
