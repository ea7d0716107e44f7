using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using SetFirm.Tests;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>Outlines from files: drawings, map outlines and tables, sound and broken, through the service.</summary>
public sealed class OutlineFileTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    [Fact]
    public async Task A_light_polyline_is_read_in_its_own_unit()
    {
        var points = await Points(Dxf(4, "0\nLWPOLYLINE\n90\n4\n70\n1\n10\n100\n20\n100\n10\n4100\n20\n100\n10\n4100\n20\n3100\n10\n100\n20\n3100\n"));
        points.ShouldBe([(0, 0, 0), (4, 0, 0), (4, 3, 0), (0, 3, 0)]);
        (await Points(Dxf(2, "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n10\n20\n0\n10\n10\n20\n5\n")))[1].X.ShouldBe(3.048, 1e-6);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(-1)]
    public async Task A_bulge_becomes_a_bow_out_whichever_way_it_is_drawn(int way)
    {
        // A half circle on the right side of a square of 2 m: bulge 1 against the clock, -1 with it.
        (double X, double Y)[] corners = [(0, 0), (2, 0), (2, 2), (0, 2)];
        var drawn = way > 0 ? corners : [.. corners.Reverse()];
        var bulged = way > 0 ? 1 : 1; // the edge between x = 2 corners, either way round
        var body = string.Concat(drawn.Select((c, i) => Invariant($"10\n{c.X}\n20\n{c.Y}\n") + (i == bulged ? $"42\n{way}\n" : "")));
        var points = await Points(Dxf(6, $"0\nLWPOLYLINE\n70\n1\n{body}"));
        points.Select(p => p.Rise).ShouldBe([0, 1, 0, 0], 1e-6);
    }

    [Fact]
    public async Task Loose_lines_and_arcs_are_joined_and_the_largest_outline_is_taken()
    {
        const string small = "0\nCIRCLE\n10\n50\n20\n50\n40\n0.1\n";
        const string lines = "0\nLINE\n10\n0\n20\n0\n11\n3\n21\n0\n0\nLINE\n10\n0\n20\n2\n11\n0\n21\n0\n0\nLINE\n10\n0\n20\n2\n11\n3\n21\n2\n";
        const string arc = "0\nARC\n10\n3\n20\n1\n40\n1\n50\n270\n51\n90\n";
        var points = await Points(Dxf(6, small + lines + arc));
        points.Count.ShouldBe(4);
        points.Max(p => p.Rise).ShouldBe(1, 1e-6);
    }

    [Fact]
    public async Task An_old_polyline_with_vertices_is_read() => (await Points(Dxf(
        6, "0\nPOLYLINE\n70\n1\n0\nVERTEX\n10\n0\n20\n0\n0\nVERTEX\n10\n2\n20\n0\n0\nVERTEX\n10\n2\n20\n1\n0\nSEQEND\n"))).Count.ShouldBe(3);

    [Fact]
    public async Task A_drawing_without_a_unit_asks_for_it_and_takes_the_answer()
    {
        var text = Dxf(0, "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n10\n20\n0\n10\n10\n20\n5\n");
        (await Finding(text)).Code.ShouldBe("fileUnitUnknown");
        (await Points(text, "feet"))[1].X.ShouldBe(3.048, 1e-6);
    }

    [Fact]
    public async Task A_drawing_in_a_unit_of_another_scale_is_told_with_its_line()
    {
        var finding = await Finding(Dxf(20, "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n10\n20\n0\n10\n10\n20\n5\n"));
        (finding.Code, finding.Where).ShouldBe(("fileUnitUnsupported", "/line/8"));
    }

    [Theory]
    [InlineData("0\nLWPOLYLINE\n70\n1\n10\nzero\n20\n0\n", "notANumber")]
    [InlineData("0\nLWPOLYLINE\n70\n1\nten\n0\n20\n0\n", "notANumber")]
    [InlineData("0\nLINE\n10\n0\n20\n0\n", "incomplete")]
    [InlineData("0\nLWPOLYLINE\n70\n1\n10\n1e999\n20\n0\n", "notANumber")]
    public async Task A_damaged_drawing_is_told_with_its_line(string entities, string reason)
    {
        var finding = await Finding(Dxf(6, entities));
        (finding.Code, finding.Reason).ShouldBe(("fileDamaged", reason));
        finding.Where.ShouldStartWith("/line/");
    }

    [Fact]
    public async Task A_drawing_cut_off_in_the_middle_is_told()
    {
        var whole = Dxf(6, "0\nLWPOLYLINE\n70\n1\n10\n0\n20\n0\n10\n10\n20\n0\n10\n10\n20\n5\n");
        (await Finding(whole[..^20])).Code.ShouldBe("fileDamaged");
        (await Finding(Dxf(6, "0\nLINE\n10\n0\n20\n0\n11\n1\n21\n1\n"))).Code.ShouldBe("fileWithoutOutline");
    }

    [Fact]
    public async Task A_map_outline_in_degrees_is_laid_flat()
    {
        // 0.0001 degrees of latitude are 11.12 m, of longitude at 50 degrees 7.15 m.
        var points = await Points("{\"type\":\"Feature\",\"properties\":{},\"geometry\":{\"type\":\"Polygon\",\"coordinates\":[[[8,50],[8.0001,50],[8.0001,50.0001],[8,50.0001],[8,50]]]}}");
        points.Count.ShouldBe(4);
        points.Max(p => p.Y).ShouldBe(11.12, 0.01);
        points.Max(p => p.X).ShouldBe(7.15, 0.01);
    }

    [Fact]
    public async Task A_map_outline_in_a_local_grid_is_in_metres() =>
        (await Points("{\"type\":\"Polygon\",\"coordinates\":[[[500000,200000],[500004,200000],[500004,200003],[500000,200000]]]}")).Max(p => p.X).ShouldBe(4, 1e-6);

    [Theory]
    [InlineData("{", "fileDamaged")]
    [InlineData("{\"type\":\"Polygon\"}", "fileWithoutOutline")]
    [InlineData("{\"type\":\"Polygon\",\"coordinates\":[[[0,\"a\"]]]}", "fileDamaged")]
    [InlineData("{\"type\":7}", "fileDamaged")]
    [InlineData("{\"type\":\"Point\",\"coordinates\":[1,2]}", "fileWithoutOutline")]
    [InlineData("", "fileWithoutOutline")]
    [InlineData("hello", "fileDamaged")]
    public async Task What_holds_no_outline_is_told(string text, string code) => (await Finding(text)).Code.ShouldBe(code);

    [Fact]
    public async Task A_table_of_points_says_its_unit_in_its_head_or_with_its_sizes()
    {
        (await Points("x_mm,y_mm\n0,0\n4000,0\n4000,3000\n"))[2].ShouldBe((4, 3, 0));
        (await Points("name;y (cm);x (cm)\na;0;0\nb;0;400\nc;300;400\n"))[2].ShouldBe((4, 3, 0));
        (await Points("0,0\n13' 1 1/2\",0\n4 m,3 m\n"))[2].ShouldBe((4, 3, 0));
        (await Finding("0,0\n4,0\n4,3\n")).Code.ShouldBe("fileUnitUnknown");
        (await Points("0,0\n4,0\n4,3\n", "metres"))[2].ShouldBe((4, 3, 0));
    }

    [Fact]
    public async Task A_broken_row_of_a_table_is_told_with_its_line()
    {
        var finding = await Finding("x_m,y_m\n0,0\n4,?\n4,3\n");
        (finding.Code, finding.Where, finding.Reason).ShouldBe(("fileDamaged", "/line/3", "notANumber"));
        (await Finding("x_m,y_m\n0,0\n4\n4,3\n")).Reason.ShouldBe("incomplete");
        (await Finding("x_m,y_m\n" + string.Concat(Enumerable.Range(0, 10_002).Select(i => Invariant($"{i},{i * i}\n"))))).Code.ShouldBe("fileTooManyPoints");
    }

    [Fact]
    public async Task A_request_without_a_text_is_refused()
    {
        (await site.Send(HttpMethod.Post, "/api/outlines/read", "{\"unit\":null}")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await site.Send(HttpMethod.Post, "/api/outlines/read", "{\"text\":\"0,0\",\"unit\":\"cubits\"}")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    private static string Invariant(FormattableString text) => FormattableString.Invariant(text);

    private static string Dxf(int unit, string entities) =>
        $"0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n{unit.ToString(CultureInfo.InvariantCulture)}\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{entities}0\nENDSEC\n0\nEOF\n";

    private async Task<JsonNode> Read(string text, string? unit)
    {
        var response = await site.Send(HttpMethod.Post, "/api/outlines/read", new JsonObject { ["text"] = text, ["unit"] = unit }.ToJsonString());
        response.StatusCode.ShouldBe(HttpStatusCode.OK);
        return JsonNode.Parse(await response.Content.ReadAsStringAsync(token))!;
    }

    private async Task<List<(double X, double Y, double Rise)>> Points(string text, string? unit = null)
    {
        var read = await Read(text, unit);
        read["findings"]!.AsArray().ShouldBeEmpty();
        return [.. read["points"]!.AsArray().Select(p => (p!["x"]!.GetValue<double>(), p["y"]!.GetValue<double>(), p["rise"]?.GetValue<double>() ?? 0))];
    }

    private async Task<(string Code, string Where, string? Reason)> Finding(string text)
    {
        var read = await Read(text, null);
        read["points"].ShouldBeNull();
        var finding = read["findings"]!.AsArray().ShouldHaveSingleItem()!;
        Raised.Note(finding["says"]!["code"]!.GetValue<string>());
        return (finding["says"]!["code"]!.GetValue<string>(), finding["where"]!.GetValue<string>(), finding["says"]!["reason"]?.GetValue<string>());
    }
}
