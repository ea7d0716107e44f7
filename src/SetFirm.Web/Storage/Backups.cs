using Microsoft.Data.Sqlite;
using NodaTime;
using NodaTime.Text;

namespace SetFirm.Web.Storage;

/// <summary>Copies of the data file, made while it is in use, looked through before they count.</summary>
internal static class Backups
{
    /// <summary>Of the last days one each.</summary>
    public const int Days = 7;

    /// <summary>And of as many weeks before them.</summary>
    public const int Weeks = 4;

    private const string Prefix = "daily-";

    /// <summary>Copies a data file by SQLite's own backup, and looks the copy through.</summary>
    /// <param name="from">In use or not.</param>
    /// <param name="to">Appears only when it is whole; one that is there is replaced.</param>
    /// <exception cref="DataFileException">It could not be made, or is not whole.</exception>
    public static void Make(string from, string to)
    {
        var making = to + ".part";
        try
        {
            Directory.CreateDirectory(Path.GetDirectoryName(Path.GetFullPath(to))!);
            File.Delete(making);
            using (var source = Open(from))
            using (var copy = Open(making))
            {
                source.BackupDatabase(copy);
            }

            Check(making);
            DataFile.Seclude(making);
            File.Move(making, to, overwrite: true);
        }
        catch (Exception e) when (e is SqliteException or IOException or UnauthorizedAccessException)
        {
            throw DataFile.Told(e, to);
        }
        finally
        {
            File.Delete(making);
        }
    }

    /// <summary>That it is whole, and Set Firm's.</summary>
    /// <exception cref="DataFileException">It is not.</exception>
    public static void Check(string path)
    {
        try
        {
            if (!File.Exists(path))
            {
                throw new DataFileException($"There is no file {path}.");
            }

            using var connection = Open(path);
            if (Scalar(connection, "PRAGMA quick_check(1)") is not "ok")
            {
                throw new DataFileException($"{path} is damaged.");
            }

            if (Scalar(connection, "SELECT COUNT(*) FROM sqlite_master WHERE name IN ('Jobs', '__EFMigrationsHistory')") is not 2L)
            {
                throw new DataFileException($"{path} is no Set Firm data file.");
            }
        }
        catch (SqliteException e)
        {
            throw new DataFileException($"{path} is no Set Firm data file, or damaged.", e);
        }
    }

    /// <summary>Puts a backup in the place of the data file; what was there is kept among the backups.</summary>
    /// <exception cref="DataFileException">The backup is not whole, or somebody works with the data file.</exception>
    public static void Restore(string backup, DataFile file, Instant now)
    {
        ArgumentNullException.ThrowIfNull(file);
        Check(backup);
        file.Alone(
            () =>
            {
                if (File.Exists(file.FullPath))
                {
                    Keep(file, $"replaced-{Stamp(now)}");
                }

                Make(backup, file.FullPath);
                File.Delete(file.FullPath + "-wal");
                File.Delete(file.FullPath + "-shm");
            },
            TimeSpan.FromSeconds(1));
    }

    /// <summary>Today's, once, and the old ones taken away.</summary>
    /// <returns>True where one was made.</returns>
    public static bool Daily(DataFile file, LocalDate today)
    {
        ArgumentNullException.ThrowIfNull(file);
        var path = PathOf(file, today);
        var made = !File.Exists(path);
        if (made)
        {
            Make(file.FullPath, path);
        }

        var there = Directory.EnumerateFiles(file.BackupFolder, Prefix + "*.db").Select(f => LocalDatePattern.Iso.Parse(Path.GetFileNameWithoutExtension(f)[Prefix.Length..])).Where(p => p.Success).Select(p => p.Value).ToArray();
        foreach (var old in there.Except(Kept(there, today)))
        {
            File.Delete(PathOf(file, old));
        }

        return made;
    }

    /// <summary>Of the backups that are there those that stay: of each of the last days, and the newest of each calendar week before.</summary>
    public static IEnumerable<LocalDate> Kept(IReadOnlyCollection<LocalDate> there, LocalDate today)
    {
        var from = today.PlusDays(1 - Days);
        var weeks = there.Where(d => d < from).GroupBy(d => d.With(DateAdjusters.PreviousOrSame(IsoDayOfWeek.Monday))).Select(g => g.Max()).OrderDescending().Take(Weeks);
        return there.Where(d => d >= from).Concat(weeks);
    }

    /// <summary>A copy beside the daily ones. Of what is too damaged to be copied page by page, the file as it is.</summary>
    public static void Keep(DataFile file, string name)
    {
        ArgumentNullException.ThrowIfNull(file);
        Directory.CreateDirectory(file.BackupFolder);
        var path = Path.Combine(file.BackupFolder, name + ".db");
        try
        {
            Make(file.FullPath, path);
        }
        catch (DataFileException)
        {
            File.Copy(file.FullPath, path, overwrite: true);
            DataFile.Seclude(path);
        }
    }

    public static string Stamp(Instant now) => InstantPattern.CreateWithInvariantCulture("uuuu-MM-dd'T'HH-mm-ss").Format(now);

    private static string PathOf(DataFile file, LocalDate date) => Path.Combine(file.BackupFolder, $"{Prefix}{LocalDatePattern.Iso.Format(date)}.db");

    private static SqliteConnection Open(string path)
    {
        var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path, Pooling = false }.ToString());
        connection.Open();
        return connection;
    }

    private static object? Scalar(SqliteConnection connection, string sql)
    {
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }
}

/// <summary>Makes a backup a day while the service runs.</summary>
internal sealed partial class DailyBackups(DataFile file, IClock clock, ILogger<DailyBackups> log) : BackgroundService
{
    public const string Key = "SetFirm:Backups";

    private static readonly TimeSpan Look = TimeSpan.FromHours(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Look);
        do
        {
            try
            {
                Backups.Daily(file, clock.GetCurrentInstant().InUtc().Date);
            }
            catch (DataFileException e)
            {
                NotMade(e.Message);
            }
        }
        while (await timer.WaitForNextTickAsync(stoppingToken));
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "Today's backup could not be made: {Reason}")]
    private partial void NotMade(string reason);
}
