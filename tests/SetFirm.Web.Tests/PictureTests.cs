using System.Net;
using System.Net.Http.Headers;
using System.Text.Json.Nodes;
using SetFirm.Tests.Sites;
using SetFirm.Web.Jobs;

namespace SetFirm.Web.Tests;

/// <summary>Photographs: kept once, given back as they are, without the place where they were taken.</summary>
public sealed class PictureTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly HttpClient client = site.CreateClient();

    [Fact]
    public async Task A_picture_sent_twice_is_one_and_comes_back_without_what_the_camera_wrote_beside_it()
    {
        var at = await PlaceAsync();
        for (var twice = 0; twice < 2; twice++)
        {
            (await PutAsync(at, Picture(Segment(0xE0, "JFIF"), Segment(0xE1, "Exif 52.1N"), Segment(0xEE, "Adobe"), Segment(0xEF, "maker"), Segment(0xFE, "by hand")))).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }

        using var got = await client.GetAsync(at, token);
        got.Content.Headers.ContentType!.MediaType.ShouldBe("image/jpeg");
        (await got.Content.ReadAsByteArrayAsync(token)).ShouldBe(Picture(Segment(0xE0, "JFIF"), Segment(0xEE, "Adobe"))); // how its colours are coded stays
    }

    [Fact]
    public async Task What_is_no_whole_picture_is_refused_wherever_it_breaks_off()
    {
        var at = await PlaceAsync();
        var whole = Picture(Segment(0xE0, "JFIF"), Segment(0xDB, new string('q', 64)));
        for (var length = 0; length < whole.Length; length++)
        {
            using var answer = await PutAsync(at, whole[..length]);
            answer.StatusCode.ShouldBe(HttpStatusCode.UnprocessableEntity, $"{length}");
        }

        var random = new Random(7);
        for (var round = 0; round < 2_000; round++)
        {
            byte[] spoilt = [.. whole];
            spoilt[random.Next(spoilt.Length)] = (byte)random.Next(256);
            _ = Jpeg.Plain(spoilt); // it may be one or none; it is never a fault
        }

        (await client.GetAsync(at, token)).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task Too_large_a_picture_another_type_and_one_of_no_job_are_refused()
    {
        var at = await PlaceAsync();
        await (await PutAsync(at, new byte[(int)PictureEndpoints.MostBytes + 1])).ShouldBeRefusedAsync(HttpStatusCode.RequestEntityTooLarge);
        await (await site.Send(HttpMethod.Put, at.ToString(), "{}")).ShouldBeRefusedAsync(HttpStatusCode.UnsupportedMediaType);
        await (await PutAsync(new Uri($"/api/jobs/{Guid.NewGuid()}/pictures/{Guid.NewGuid()}", UriKind.Relative), Picture())).ShouldBeRefusedAsync(HttpStatusCode.NotFound);
    }

    [Fact]
    public async Task An_album_has_an_end_and_what_is_in_it_can_still_be_sent_again()
    {
        var (job, _) = await site.AddedAsync(await site.StartingJobAsync("Album"));
        Uri At(int i) => new($"/api/jobs/{job}/pictures/{new Guid(i, 0, 0, new byte[8])}", UriKind.Relative);
        for (var i = 0; i < PictureEndpoints.MostOfAJob; i++)
        {
            (await PutAsync(At(i), Picture())).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        }

        await (await PutAsync(At(PictureEndpoints.MostOfAJob), Picture())).ShouldBeRefusedAsync(HttpStatusCode.UnprocessableEntity, "album-full");
        (await PutAsync(At(0), Picture())).StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    private async Task<Uri> PlaceAsync()
    {
        var (job, _) = await site.AddedAsync(await site.StartingJobAsync("Pictures"));
        return new Uri($"/api/jobs/{job}/pictures/{Guid.NewGuid()}", UriKind.Relative);
    }

    private async Task<HttpResponseMessage> PutAsync(Uri at, byte[] image)
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, at) { Content = new ByteArrayContent(image) };
        request.Content.Headers.ContentType = new MediaTypeHeaderValue("image/jpeg");
        // What is too large is refused by its length: else the line may be shut while it is still being sent.
        request.Headers.ExpectContinue = image.Length > PictureEndpoints.MostBytes;
        return await client.SendAsync(request, token);
    }

    // As much of a picture as is looked at.
    private static byte[] Picture(params IReadOnlyList<byte[]> segments) => [0xFF, 0xD8, .. segments.SelectMany(s => s), 0xFF, 0xDA, 0, 2, 1, 2, 3, 0xFF, 0xD9];

    private static byte[] Segment(byte marker, string text) => [0xFF, marker, (byte)((text.Length + 2) >> 8), (byte)(text.Length + 2), .. text.Select(c => (byte)c)];
}
