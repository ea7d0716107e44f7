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

internal sealed class SetFirmDb(DbContextOptions<SetFirmDb> options) : DbContext(options)
{
    public DbSet<JobRow> Jobs => Set<JobRow>();

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<Instant>().HaveConversion<InstantConverter>();

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        var job = modelBuilder.Entity<JobRow>();
        job.ToTable("Jobs");
        job.Property(j => j.Version).IsConcurrencyToken();
        job.HasIndex(j => j.UpdatedAt);
    }

    private sealed class InstantConverter()
        : ValueConverter<Instant, long>(v => v.ToUnixTimeTicks(), v => Instant.FromUnixTimeTicks(v));
}
