using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using NodaTime;
using SetFirm.Core.Learning;
using SetFirm.Web.Sharing;

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

    /// <summary>Set when put away: it is kept, and stands among the jobs of the yard no more.</summary>
    public Instant? PutAwayAt { get; set; }
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

/// <summary>What the pours of a job say of later ones, made once and kept with what it was made from.</summary>
internal sealed class ReadingRow
{
    public Guid JobId { get; set; }

    /// <summary>What it was made from; of another it is made anew.</summary>
    public required string Key { get; set; }

    /// <summary>Pours as JSON.</summary>
    public required string Pours { get; set; }
}

/// <summary>A person's word on a value that pours teach.</summary>
internal sealed class DecisionRow
{
    public LearntOf Of { get; set; }

    public required string What { get; set; }

    public required string Who { get; set; }

    public Word Word { get; set; }

    /// <summary>Pours that the value in use was learnt from, as JSON.</summary>
    public required string By { get; set; }

    /// <summary>And those before them, to go back to.</summary>
    public required string Before { get; set; }
}

/// <summary>A pour that was taken out of the record: it teaches nothing.</summary>
internal sealed class LeftOutRow
{
    public Guid JobId { get; set; }

    public required string Pour { get; set; }
}

/// <summary>A thing of the yard: people, a mixer, a place, a bag. Jobs choose it by its name.</summary>
internal sealed class ThingRow
{
    public ThingKind Kind { get; set; }

    public required string Name { get; set; }

    /// <summary>As it last stood in a job, as JSON.</summary>
    public required string Said { get; set; }

    public Instant UpdatedAt { get; set; }
}

/// <summary>What has a name in the yard.</summary>
internal enum ThingKind
{
    Crew,
    Mixer,
    Site,
    Bag,
    Container,
}

/// <summary>A price that was noted in some job, in one money: the latest.</summary>
internal sealed class PriceRow
{
    public required string Currency { get; set; }

    public required string Good { get; set; }

    public double Price { get; set; }

    /// <summary>Local date on which it was asked; empty where not noted.</summary>
    public required string Date { get; set; }
}

/// <summary>What the program itself remembers.</summary>
internal sealed class SettingRow
{
    public required string Name { get; set; }

    public required string Value { get; set; }
}

/// <summary>A device of the household that has joined.</summary>
internal sealed class DeviceRow
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    public DeviceRole Role { get; set; }

    public Instant JoinedAt { get; set; }

    public Instant SeenAt { get; set; }
}

internal sealed class SetFirmDb(DbContextOptions<SetFirmDb> options) : DbContext(options)
{
    public DbSet<JobRow> Jobs => Set<JobRow>();

    public DbSet<WeatherFileRow> WeatherFiles => Set<WeatherFileRow>();

    public DbSet<LogRow> Log => Set<LogRow>();

    public DbSet<VersionRow> Versions => Set<VersionRow>();

    public DbSet<LineRow> Lines => Set<LineRow>();

    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    public DbSet<DecisionRow> Decisions => Set<DecisionRow>();

    public DbSet<LeftOutRow> LeftOut => Set<LeftOutRow>();

    public DbSet<ThingRow> Things => Set<ThingRow>();

    public DbSet<PriceRow> Prices => Set<PriceRow>();

    public DbSet<SettingRow> Settings => Set<SettingRow>();

    public DbSet<DeviceRow> Devices => Set<DeviceRow>();

    /// <summary>Keeps what a job's pours say in place of what was kept; of a job that has gone nothing.</summary>
    public Task<int> KeepReadingsAsync(Guid job, string key, string pours, CancellationToken cancellation) => Database.ExecuteSqlAsync(
        $"INSERT OR REPLACE INTO Readings (JobId, Key, Pours) SELECT Id, {key}, {pours} FROM Jobs WHERE Id = {job}", cancellation);

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
        var reading = modelBuilder.Entity<ReadingRow>();
        reading.ToTable("Readings");
        reading.HasKey(r => r.JobId);
        reading.HasOne<JobRow>().WithMany().HasForeignKey(r => r.JobId).OnDelete(DeleteBehavior.Cascade);
        var decision = modelBuilder.Entity<DecisionRow>();
        decision.ToTable("Decisions");
        decision.HasKey(d => new { d.Of, d.What, d.Who });
        decision.Property(d => d.Of).HasConversion<string>();
        decision.Property(d => d.Word).HasConversion<string>();
        var leftOut = modelBuilder.Entity<LeftOutRow>();
        leftOut.ToTable("LeftOut");
        leftOut.HasKey(l => new { l.JobId, l.Pour });
        leftOut.HasOne<JobRow>().WithMany().HasForeignKey(l => l.JobId).OnDelete(DeleteBehavior.Cascade);
        var thing = modelBuilder.Entity<ThingRow>();
        thing.ToTable("Things");
        thing.HasKey(t => new { t.Kind, t.Name });
        thing.Property(t => t.Kind).HasConversion<string>();
        var price = modelBuilder.Entity<PriceRow>();
        price.ToTable("Prices");
        price.HasKey(x => new { x.Currency, x.Good });
        var setting = modelBuilder.Entity<SettingRow>();
        setting.ToTable("Settings");
        setting.HasKey(s => s.Name);
        var device = modelBuilder.Entity<DeviceRow>();
        device.ToTable("Devices");
        device.HasKey(d => d.Id);
        device.Property(d => d.Role).HasConversion<string>();
        var log = modelBuilder.Entity<LogRow>();
        log.ToTable("Log");
        log.HasKey(l => new { l.JobId, l.Seq });
        log.HasIndex(l => new { l.JobId, l.Id }).IsUnique();
        log.HasOne<JobRow>().WithMany().HasForeignKey(l => l.JobId).OnDelete(DeleteBehavior.Restrict);
    }

    private sealed class InstantConverter()
        : ValueConverter<Instant, long>(v => v.ToUnixTimeTicks(), v => Instant.FromUnixTimeTicks(v));
}
