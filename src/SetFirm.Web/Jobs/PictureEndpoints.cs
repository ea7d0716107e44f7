using Microsoft.AspNetCore.Mvc;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Web.Sharing;
using SetFirm.Web.Storage;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Jobs;

/// <summary>Photographs that lines of a log speak of.</summary>
internal static class PictureEndpoints
{
    /// <summary>Bytes; the page scales them to about a quarter of it.</summary>
    public const long MostBytes = 1_000_000;

    /// <summary>Of one job.</summary>
    public const int MostOfAJob = 200;

    private const string Type = "image/jpeg";

    public static void MapPictures(this IEndpointRouteBuilder api)
    {
        var pictures = api.MapGroup("/jobs/{id:guid}/pictures/{picture:guid}");
        pictures.MapGet("", GetAsync).WithName("GetPicture").Produces<byte[]>(200, Type).ProducesProblem(404);
        pictures.MapPut("", PutAsync).WithName("KeepPicture").ForCrew().Accepts<byte[]>(Type).WithMetadata(new RequestSizeLimitAttribute(MostBytes))
            .Produces(204).ProducesProblem(404).ProducesProblem(413).ProducesProblem(415).ProducesProblem(422);
    }

    private static async Task<IResult> GetAsync(Guid id, Guid picture, HttpContext http, SetFirmDb db, CancellationToken cancellation)
    {
        var image = await db.Pictures.AsNoTracking().Where(p => p.Id == picture && p.JobId == id).Select(p => p.Image).SingleOrDefaultAsync(cancellation);
        if (image is null)
        {
            return Problems.NoSuchPicture();
        }

        // A picture never changes, and is this browser's own.
        http.Response.Headers.CacheControl = "private, max-age=31536000, immutable";
        return TypedResults.Bytes(image, Type);
    }

    // What is sent twice, because the first answer was lost, is one picture.
    private static async Task<IResult> PutAsync(Guid id, Guid picture, HttpRequest request, SetFirmDb db, IClock clock, CancellationToken cancellation)
    {
        using var body = new MemoryStream();
        await request.Body.CopyToAsync(body, cancellation);
        if (Jpeg.Plain(body.GetBuffer().AsSpan(0, (int)body.Length)) is not { } image)
        {
            return Problems.NoPicture();
        }

        if (!await db.Jobs.AnyAsync(j => j.Id == id && j.RemovedAt == null, cancellation))
        {
            return Problems.NoSuchJob();
        }

        if (await db.Pictures.CountAsync(p => p.JobId == id && p.Id != picture, cancellation) >= MostOfAJob)
        {
            return Problems.AlbumFull(MostOfAJob);
        }

        await db.KeepPictureAsync(id, picture, image, clock.GetCurrentInstant(), cancellation);
        return TypedResults.NoContent();
    }
}
