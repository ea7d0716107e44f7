using System.Net.Http.Json;
using System.Text.Json.Nodes;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>The catalogues that the page chooses from.</summary>
public sealed class CatalogueTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Theory]
    [InlineData("/api/lumber", "47x100", "2x4")]
    [InlineData("/api/bars", "10mm", "#3")]
    public async Task Each_system_has_sizes_of_its_own(string path, string metric, string us)
    {
        var all = await ListAsync(path);
        all.Select(i => i["id"]!.GetValue<string>()).ShouldBeUnique();
        Of(all, "metric").ShouldContain(metric);
        Of(all, "us").ShouldContain(us);
        Of(all, "metric").Intersect(Of(all, "us")).ShouldBeEmpty();
    }

    [Fact]
    public async Task A_nominal_board_is_told_by_its_actual_size()
    {
        var board = (await ListAsync("/api/lumber")).Single(b => b["id"]!.GetValue<string>() == "2x6");
        board["thicknessMm"]!.GetValue<double>().ShouldBe(38, 1e-9);
        board["heightMm"]!.GetValue<double>().ShouldBe(140, 1e-9);
    }

    [Fact]
    public async Task A_board_of_the_catalogue_may_be_chosen_in_a_job()
    {
        var document = await site.StartingJobAsync();
        foreach (var board in await ListAsync("/api/lumber"))
        {
            document["elements"]![0]!["forms"] = new JsonObject { ["board"] = board["id"]!.GetValue<string>() };
            var answer = await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document.DeepClone() }.ToJsonString());
            var report = JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!;
            report["build"]!["elements"]![0]!["forms"]!["board"]!.GetValue<string>().ShouldBe(board["id"]!.GetValue<string>());
        }
    }

    [Fact]
    public async Task Bags_without_a_known_cement_show_no_water_to_cement()
    {
        var document = await site.StartingJobAsync();
        foreach (var (bag, known) in new[] { ("topping-60lb", true), ("mortar-60lb", false), ("countertop-60lb", false), ("rapid-mortar-55lb", false) })
        {
            document["mixes"]![0]!["bag"] = bag;
            var answer = await site.Send(HttpMethod.Post, "/api/plan", new JsonObject { ["document"] = document.DeepClone() }.ToJsonString());
            var mix = JsonNode.Parse(await answer.Content.ReadAsStringAsync(token))!["mix"]!;
            (mix["waterCement"] is not null).ShouldBe(known, bag);
        }
    }

    private static string[] Of(IEnumerable<JsonNode> all, string system) =>
        [.. all.Where(i => i["system"]!.GetValue<string>() == system).Select(i => i["id"]!.GetValue<string>())];

    private async Task<List<JsonNode>> ListAsync(string path) =>
        [.. (await (await site.Get(path)).Content.ReadFromJsonAsync<JsonArray>(token))!.Select(n => n!)];
}
