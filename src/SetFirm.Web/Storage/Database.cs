using System.Data.Common;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using NodaTime;

namespace SetFirm.Web.Storage;

/// <summary>Opens the one file that holds everything.</summary>
internal static class Database
{
    public const string PathKey = "SetFirm:Database";
    private const string DefaultPath = "setfirm.db";
    private const string MigrationLock = "__EFMigrationsLock";

    public static string PathOf(IConfiguration configuration) => configuration[PathKey] is { Length: > 0 } path ? path : DefaultPath;

    public static string ConnectionString(IConfiguration configuration) => new SqliteConnectionStringBuilder
    {
        DataSource = PathOf(configuration),
        ForeignKeys = true,
    }.ToString();

    /// <summary>Looks the file through, brings an older one up to date (a copy of it is kept), and refuses what it cannot use in a plain sentence.</summary>
    /// <param name="db">On it.</param>
    /// <param name="file">The same, as a file; it is held from here on.</param>
    /// <param name="now">For the name of the copy.</param>
    /// <param name="tell">Takes what somebody should know.</param>
    /// <exception cref="DataFileException">It cannot be used.</exception>
    public static void Prepare(SetFirmDb db, DataFile file, Instant now, Action<string> tell)
    {
        ArgumentNullException.ThrowIfNull(db);
        ArgumentNullException.ThrowIfNull(file);
        ArgumentNullException.ThrowIfNull(tell);
        file.Hold();
        try
        {
            // First by itself: what cannot be opened is then told once, and not in the program's log too.
            using (var connection = new SqliteConnection(db.Database.GetConnectionString()))
            {
                connection.Open();
                file.Check(connection);
                BeginToWrite(connection);
            }

            if (file.Damage.Count > 0)
            {
                tell($"{file.FullPath} is damaged in places ({file.Damage[0]}). What is whole is served. Bring back a backup: ./setfirm restore FILE");
            }

            var known = db.Database.GetMigrations().ToHashSet();
            string[] applied = [.. db.Database.GetAppliedMigrations()];
            if (applied.FirstOrDefault(m => !known.Contains(m)) is { } unknown)
            {
                throw new NewerDatabaseException(unknown);
            }

            if (applied.Length < known.Count)
            {
                db.Database.CloseConnection();
                file.Alone(() => Migrate(db, file, applied, now, tell), DataFile.Patience);
                db.Database.OpenConnection();
            }

            db.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL");
            DataFile.Seclude(file.FullPath);
        }
        catch (Exception e) when (e is SqliteException or IOException or UnauthorizedAccessException)
        {
            throw DataFile.Told(e, file.FullPath);
        }
        finally
        {
            db.Database.CloseConnection();
        }
    }

    /// <summary>That it takes a write: a transaction is begun, and nothing done in it.</summary>
    public static void CheckWrites(SetFirmDb db)
    {
        ArgumentNullException.ThrowIfNull(db);
        db.Database.OpenConnection();
        try
        {
            BeginToWrite((SqliteConnection)db.Database.GetDbConnection());
        }
        finally
        {
            db.Database.CloseConnection();
        }
    }

    private static void BeginToWrite(SqliteConnection connection)
    {
        using var transaction = connection.BeginTransaction(deferred: false);
        transaction.Rollback();
    }

    private static void Migrate(SetFirmDb db, DataFile file, string[] applied, Instant now, Action<string> tell)
    {
        db.Database.OpenConnection();
        try
        {
            // Nobody else holds the file, so whoever left this behind is gone.
            if (db.Database.SqlQuery<int>($"SELECT COUNT(*) AS Value FROM sqlite_master WHERE name = {MigrationLock}").Single() > 0
                && db.Database.ExecuteSqlRaw($"DELETE FROM {MigrationLock}") > 0)
            {
                tell("An earlier start was cut off while it brought the data file up to date; it is done again.");
            }

            if (applied.Length > 0)
            {
                Backups.Keep(file, $"before-{db.Database.GetMigrations().Last()}-{Backups.Stamp(now)}");
            }

            db.Database.Migrate();
        }
        finally
        {
            db.Database.CloseConnection();
        }
    }
}

/// <summary>Every connection waits for the disk: what was answered is kept, come what may.</summary>
internal sealed class FullSync : DbConnectionInterceptor
{
    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        ArgumentNullException.ThrowIfNull(connection);
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA synchronous=FULL";
        command.ExecuteNonQuery();
    }

    public override Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData, CancellationToken cancellationToken = default)
    {
        ConnectionOpened(connection, eventData);
        return Task.CompletedTask;
    }
}
