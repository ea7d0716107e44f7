using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Web.Sharing;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Storage;

/// <summary>That the service answers, and how its data file does.</summary>
/// <param name="Status">ok, or damaged: what is whole of the data file is served.</param>
/// <param name="Synchronous">How far SQLite waits for the disk: full waits until it is there.</param>
/// <param name="Damage">What the check at the start found wrong.</param>
public sealed record Health(string Status, string Synchronous, IReadOnlyList<string> Damage);

/// <summary>That the service answers, which asks nothing of anybody; how the data file does, which tries to write; and a copy of it.</summary>
internal static class HealthEndpoints
{
    private static readonly string[] Levels = ["off", "normal", "full", "extra"];

    public static void MapHealth(this IEndpointRouteBuilder api)
    {
        api.MapGet("/alive", () => TypedResults.NoContent()).WithName("IsAlive");
        api.MapGet("/health", Check).WithName("GetHealth").Produces<Health>().ProducesProblem(503);
        api.MapGet("/backup", Backup).WithName("GetBackup").ForPlan().Produces<byte[]>(200, Media).ProducesProblem(503);
    }

    private const string Media = "application/vnd.sqlite3";

    private static IResult Check(SetFirmDb db, DataFile file)
    {
        try
        {
            Database.CheckWrites(db);
            var level = db.Database.SqlQueryRaw<int>("SELECT synchronous AS Value FROM pragma_synchronous").Single();
            return TypedResults.Ok(new Health(file.Damage.Count == 0 ? "ok" : "damaged", Levels[Math.Clamp(level, 0, Levels.Length - 1)], file.Damage));
        }
        catch (SqliteException e)
        {
            return Problems.NoData(DataFile.Told(e, file.FullPath).Message);
        }
    }

    // Made whole beside the data file, sent, and taken away when it is.
    private static IResult Backup(DataFile file, IClock clock, HttpContext http)
    {
        var name = $"setfirm-{Backups.Stamp(clock.GetCurrentInstant())}.db";
        var path = Path.Combine(file.BackupFolder, $"sending-{Guid.NewGuid():N}.db");
        try
        {
            Backups.Make(file.FullPath, path);
            var stream = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.Read, 1 << 16, FileOptions.DeleteOnClose);
            http.Response.RegisterForDispose(stream);
            return TypedResults.Stream(stream, Media, name);
        }
        catch (DataFileException e)
        {
            return Problems.NoData(e.Message);
        }
    }
}
