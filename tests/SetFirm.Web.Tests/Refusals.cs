using System.Net;
using System.Text.Json.Nodes;

namespace SetFirm.Web.Tests;

/// <summary>What a refusal looks like: problem+json with a stable type, and never a 500.</summary>
internal static class Refusals
{
    public static async Task<JsonNode> ShouldBeRefusedAsync(this HttpResponseMessage answer, HttpStatusCode status, string? type = null)
    {
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        answer.StatusCode.ShouldBe(status, text);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        var problem = JsonNode.Parse(text)!;
        if (type is not null)
        {
            problem["type"]!.GetValue<string>().ShouldBe($"urn:setfirm:problem:{type}");
        }

        return problem;
    }
}
