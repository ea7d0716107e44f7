using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace SetFirm.Web.Storage;

/// <summary>Opens the one file that holds everything.</summary>
internal static class Database
{
    public const string PathKey = "SetFirm:Database";
    private const string DefaultPath = "setfirm.db";

    public static string ConnectionString(IConfiguration configuration) => new SqliteConnectionStringBuilder
    {
        DataSource = configuration[PathKey] is { Length: > 0 } path ? path : DefaultPath,
        ForeignKeys = true,
    }.ToString();

    /// <summary>Brings an older file up to date, and refuses one that a newer Set Firm has written.</summary>
    /// <exception cref="NewerDatabaseException">The file has migrations that this program does not know.</exception>
    public static async Task PrepareAsync(SetFirmDb db, CancellationToken cancellation)
    {
        var known = db.Database.GetMigrations().ToHashSet();
        var unknown = (await db.Database.GetAppliedMigrationsAsync(cancellation)).Where(m => !known.Contains(m)).ToArray();
        if (unknown.Length > 0)
        {
            throw new NewerDatabaseException(unknown[^1]);
        }

        await db.Database.MigrateAsync(cancellation);
        await db.Database.ExecuteSqlRawAsync("PRAGMA journal_mode=WAL", cancellation);
    }
}

/// <summary>The database was written by a newer Set Firm; nothing in it was touched.</summary>
public sealed class NewerDatabaseException(string migration)
    : InvalidOperationException($"The data file was written by a newer Set Firm (it has \"{migration}\"). Nothing was changed. Use that newer one.");
