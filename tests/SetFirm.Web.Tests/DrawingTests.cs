using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using System.Xml.Linq;
using SetFirm.Core.Tests;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>Drawings that go out can be read: by our own reader, by another's, and as XML; to the millimetre.</summary>
public sealed class DrawingTests(Site site) : IClassFixture<Site>
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;

    public static TheoryData<string> Examples => [.. Directory.GetFiles(Repository.File("docs/examples"), "*.json").Select(f => Path.GetFileName(f))];

    [Theory]
    [MemberData(nameof(Examples))]
    public async Task Every_kinds_drawings_are_read_back_by_another_library_with_the_layers_and_sizes_that_they_have(string example)
    {
        var document = JsonNode.Parse(await File.ReadAllTextAsync(Repository.File($"docs/examples/{example}"), token))!;
        var files = await Drawings(document);
        var plan = (await Json("/api/plan", document))["shape"]!["elements"]!.AsArray();
        files.ShouldContainKey("plan");
        foreach (var (of, (svg, dxf)) in files)
        {
            var read = await ReadAsync(dxf);
            read["header"]!["$ACADVER"]!.GetValue<string>().ShouldBe("AC1009", of); // release 12
            var entities = read["entities"]!.AsArray();
            entities.Count.ShouldBeGreaterThan(0, of);
            entities.Select(e => e!["layer"]!.GetValue<string>()).Distinct().ShouldBeSubsetOf(read["tables"]!["layer"]!["layers"]!.AsObject().Select(l => l.Key));
            var drawn = XDocument.Parse(svg).Root!;
            drawn.Attribute("width")!.Value.ShouldEndWith("mm");
            // As many strokes in one as in the other.
            drawn.Descendants().Count(e => e.Name.LocalName is "path" or "circle" or "text").ShouldBe(entities.Count, of);
        }

        var outlines = (await ReadAsync(files["plan"].Dxf))["entities"]!.AsArray().Where(e => e!["layer"]!.GetValue<string>() == "OUTLINE").ToArray();
        outlines.Length.ShouldBe(plan.Count);
        foreach (var (outline, element) in outlines.Zip(plan))
        {
            outline!["shape"]!.GetValue<bool>().ShouldBeTrue(); // it is closed
            var edges = element!["edges"]!.AsArray();
            var corners = Corners(outline);
            corners.Length.ShouldBe(edges.Count);
            for (var i = 0; i < edges.Count; i++)
            {
                var (from, to) = (corners[i], corners[(i + 1) % corners.Length]);
                var chord = Math.Sqrt(Math.Pow(to.X - from.X, 2) + Math.Pow(to.Y - from.Y, 2));
                chord.ShouldBe(edges[i]!["chordM"]!.GetValue<double>() * 1000, 0.01);
                // The arc that its bulge says is as long as the edge.
                var half = 2 * Math.Atan(Math.Abs(from.Bulge));
                (from.Bulge == 0 ? chord : chord / Math.Sin(half) * half).ShouldBe(edges[i]!["lengthM"]!.GetValue<double>() * 1000, 0.5);
            }

            // And it bows to its own side: the area within is the element's.
            var openings = element["openings"]!.AsArray().Sum(o => Area(o!));
            var faces = element["areaM2"]!.GetValue<double>() / element["count"]!.GetValue<int>();
            (Area(corners) / 1e6).ShouldBe(faces + openings, 0.02 * (faces + openings));
        }
    }

    [Theory]
    [InlineData("border.setfirm.json")] // it has an arc
    [InlineData("stone.setfirm.json")]
    [InlineData("slab.setfirm.json")]
    public async Task An_outline_goes_out_and_comes_back_in_through_our_own_reader(string example)
    {
        var document = JsonNode.Parse(await File.ReadAllTextAsync(Repository.File($"docs/examples/{example}"), token))!;
        var element = (await Json("/api/plan", document))["shape"]!["elements"]![0]!;
        var dxf = (await Drawings(document))["plan"].Dxf;
        var answer = await site.Send(HttpMethod.Post, "/api/outlines/read", new JsonObject { ["text"] = dxf, ["unit"] = null }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        var read = (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
        read["findings"]!.AsArray().ShouldNotContain(f => f!["severity"]!.GetValue<string>() == "error");
        (double X, double Y, double Bulge)[] corners = [.. read["points"]!.AsArray().Select(p => (p!["x"]!.GetValue<double>(), p["y"]!.GetValue<double>(), p["riseM"]?.GetValue<double>() ?? 0))];
        var whole = (element["areaM2"]!.GetValue<double>() / element["count"]!.GetValue<int>()) + element["openings"]!.AsArray().Sum(o => Area(o!));
        Area(corners).ShouldBe(whole, 0.02 * whole);
    }

    [Fact]
    public async Task A_name_of_any_letters_breaks_neither_file()
    {
        var job = await site.StartingJobAsync("Odd");
        job["elements"]![0]!["name"] = "Größe <&> \"å\" \u0007 🧱\r\n  0\r\nEOF";
        var (svg, dxf) = (await Drawings(job))["plan"];
        XDocument.Parse(svg).Descendants().Count(e => e.Name.LocalName == "text").ShouldBeGreaterThan(0);
        (await ReadAsync(dxf))["entities"]!.AsArray().ShouldContain(e => e!["type"]!.GetValue<string>() == "TEXT" && e["text"]!.GetValue<string>().StartsWith("Gr", StringComparison.Ordinal));
    }

    private static double Area(JsonNode opening)
    {
        var (wide, deep, corner) = (opening["widthM"]!.GetValue<double>(), opening["depthM"]!.GetValue<double>(), opening["cornerM"]!.GetValue<double>());
        return opening["round"]!.GetValue<bool>() ? Math.PI * wide * wide / 4 : (wide * deep) - ((4 - Math.PI) * corner * corner);
    }

    private static (double X, double Y, double Bulge)[] Corners(JsonNode outline) =>
        [.. outline["vertices"]!.AsArray().Select(v => (v!["x"]!.GetValue<double>(), v["y"]!.GetValue<double>(), v["bulge"]?.GetValue<double>() ?? 0))];

    // By chords, and the segments over them.
    private static double Area((double X, double Y, double Bulge)[] corners)
    {
        var sum = 0.0;
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Length]);
            sum += ((a.X * b.Y) - (b.X * a.Y)) / 2;
            if (a.Bulge != 0)
            {
                var sweep = 4 * Math.Atan(Math.Abs(a.Bulge));
                var radius = Math.Sqrt(Math.Pow(b.X - a.X, 2) + Math.Pow(b.Y - a.Y, 2)) / (2 * Math.Sin(sweep / 2));
                sum += Math.Sign(a.Bulge) * radius * radius / 2 * (sweep - Math.Sin(sweep));
            }
        }

        return Math.Abs(sum);
    }

    // A reader that is not ours: the registry of .NET has none, that of the page has.
    private async Task<JsonNode> ReadAsync(string dxf)
    {
        const string script = "import p from 'dxf-parser'; let t = ''; for await (const c of process.stdin) t += c; process.stdout.write(JSON.stringify(new (p.default ?? p)().parseSync(t)));";
        var start = new ProcessStartInfo("node", ["--input-type=module", "-e", script])
        {
            WorkingDirectory = Repository.File("web"),
            RedirectStandardInput = true,
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        };
        using var node = Process.Start(start)!;
        await node.StandardInput.WriteAsync(dxf.AsMemory(), token);
        node.StandardInput.Close();
        var errors = node.StandardError.ReadToEndAsync(token);
        var read = await node.StandardOutput.ReadToEndAsync(token);
        await node.WaitForExitAsync(token);
        node.ExitCode.ShouldBe(0, await errors);
        return JsonNode.Parse(read)!;
    }

    private async Task<Dictionary<string, (string Svg, string Dxf)>> Drawings(JsonNode document) => (await Json("/api/drawings", document))["files"]!.AsArray()
        .ToDictionary(f => f!["of"]!.GetValue<string>(), f => (f!["svg"]!.GetValue<string>(), f["dxf"]!.GetValue<string>()));

    private async Task<JsonNode> Json(string path, JsonNode document)
    {
        var answer = await site.Send(HttpMethod.Post, path, new JsonObject { ["document"] = document.DeepClone() }.ToJsonString());
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync(token));
        return (await answer.Content.ReadFromJsonAsync<JsonNode>(token))!;
    }
}
