using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.Options;
using NodaTime;
using SetFirm.Web.Jobs;
using SetFirm.Web.Learning;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Archive;

/// <summary>What came of taking in an archive.</summary>
/// <param name="Jobs">That are in the yard now.</param>
/// <param name="Lines">Of their diaries.</param>
/// <param name="Pictures">That came with them.</param>
public sealed record ArchiveTaken(int Jobs, int Lines, int Pictures);

/// <summary>A whole yard out as one ZIP of open files, and back into an empty yard.</summary>
internal static class ArchiveEndpoints
{
    /// <summary>Bytes, packed.</summary>
    private const long MostBytes = 300_000_000;

    private const string Type = "application/zip";

    public static void MapArchive(this IEndpointRouteBuilder api)
    {
        api.MapGet("/archive", GetAsync).WithName("GetArchive").ForPlan().Produces<byte[]>(200, Type);
        api.MapPost("/archive", TakeAsync).WithName("TakeArchive").Accepts<byte[]>(Type).WithMetadata(new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(MostBytes))
            .Produces<ArchiveTaken>().ProducesProblem(409).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
        api.MapGet("/archive-schema", (IOptions<JsonOptions> json) => TypedResults.Text(Schema(json.Value.SerializerOptions).ToJsonString(), "application/schema+json"))
            .WithName("GetArchiveSchema").ExcludeFromDescription();
    }

    /// <summary>JSON Schema (2020-12) of the manifest.</summary>
    public static JsonNode Schema(JsonSerializerOptions options)
    {
        var schema = options.GetJsonSchemaAsNode(typeof(YardManifest), new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            // Moments are texts on the wire.
            TransformSchemaNode = (context, node) => context.TypeInfo.Type == typeof(Instant) ? new JsonObject { ["type"] = "string", ["format"] = "date-time" } : node,
        });
        schema["$schema"] = "https://json-schema.org/draft/2020-12/schema";
        schema["title"] = "Manifest of a Set Firm yard";
        return schema;
    }

    private static async Task<IResult> GetAsync(SetFirmDb db, IClock clock, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        var now = clock.GetCurrentInstant();
        // On disk, not in memory: pictures add up. It is gone when it is sent.
        var file = new FileStream(Path.GetTempFileName(), FileMode.Open, FileAccess.ReadWrite, FileShare.None, 81_920, FileOptions.DeleteOnClose | FileOptions.Asynchronous);
        try
        {
            await ArchiveWriter.WriteAsync(db, now, json.Value.SerializerOptions, file, cancellation);
            file.Position = 0;
            return TypedResults.Stream(file, Type, $"setfirm-{now.ToString("uuuuMMdd-HHmm", CultureInfo.InvariantCulture)}.zip");
        }
        catch
        {
            await file.DisposeAsync();
            throw;
        }
    }

    // All of it or nothing; and never over what is there.
    private static async Task<IResult> TakeAsync(HttpRequest request, SetFirmDb db, LearntShelf learnt, IOptions<JsonOptions> json, CancellationToken cancellation)
    {
        if (request.ContentType?.StartsWith(Type, StringComparison.OrdinalIgnoreCase) != true)
        {
            return Problems.NotZip();
        }

        await using var file = new FileStream(Path.GetTempFileName(), FileMode.Open, FileAccess.ReadWrite, FileShare.None, 81_920, FileOptions.DeleteOnClose | FileOptions.Asynchronous);
        await request.Body.CopyToAsync(file, cancellation);
        file.Position = 0;
        IReadOnlyList<object> rows;
        try
        {
            rows = ArchiveReader.Read(file, json.Value.SerializerOptions);
        }
        catch (ArchiveRefusedException e)
        {
            return Problems.ArchiveRefused(e.Path, e.Reason);
        }

        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        if (await db.Jobs.AnyAsync(cancellation) || await db.WeatherFiles.AnyAsync(cancellation))
        {
            return Problems.YardNotEmpty();
        }

        // What an empty yard may have noted gives way.
        await db.Things.ExecuteDeleteAsync(cancellation);
        await db.Settings.Where(s => s.Name == Preferences.Key).ExecuteDeleteAsync(cancellation);
        await db.Prices.ExecuteDeleteAsync(cancellation);
        await db.Decisions.ExecuteDeleteAsync(cancellation);
        db.AddRange(rows);
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        learnt.Forget();
        return TypedResults.Ok(new ArchiveTaken(rows.OfType<JobRow>().Count(), rows.OfType<LogRow>().Count(), rows.OfType<PictureRow>().Count()));
    }
}
