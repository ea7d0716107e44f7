using System.Diagnostics;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>The running program, killed without a word at any moment, its first start too: what it answered is there, once.</summary>
public sealed class KilledTests : IDisposable
{
    /// <summary>In the test run; <c>./setfirm torture</c> asks for more.</summary>
    private static readonly int Rounds = int.TryParse(Environment.GetEnvironmentVariable("SETFIRM_KILLS"), out var rounds) ? rounds : 8;

    private readonly string folder = Directory.CreateTempSubdirectory("set-firm-killed-").FullName;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task Whatever_was_answered_is_there_and_there_once_and_it_always_opens_again()
    {
        var token = TestContext.Current.CancellationToken;
        var seed = Environment.TickCount;
        TestContext.Current.TestOutputHelper?.WriteLine($"seed {seed}");
        var random = new Random(seed);
        var data = Path.Combine(folder, "data.db");
        var (answered, told) = (new List<string>(), new List<string>());
        var document = JobFile.Write(StartingJob.Of("Pad", UnitSystem.Metric, "Europe/Berlin", new LocalDate(2027, 5, 4)));
        for (var round = 0; round < Rounds; round++)
        {
            using var program = Start(data);
            // The first rounds are cut off while the file is made, the later ones while it is written.
            var starting = round < Rounds / 2;
            using var end = CancellationTokenSource.CreateLinkedTokenSource(token);
            if (starting)
            {
                end.CancelAfter(random.Next(80, 1_700));
            }

            try
            {
                using var http = await AnswersAsync(program, end.Token);
                // After so many answers, in the middle of the next.
                var more = random.Next(3, 30);
                while (true)
                {
                    using var content = new StringContent(document, Encoding.UTF8, MediaTypeHeaderValue.Parse("application/json"));
                    using var response = await http.PostAsync("/api/jobs", content, end.Token);
                    response.StatusCode.ShouldBe(HttpStatusCode.Created);
                    answered.Add(JsonNode.Parse(await response.Content.ReadAsStringAsync(token))!["id"]!.GetValue<string>());
                    // And a tap on its board, sent again as by a phone whose answer was lost.
                    var tap = Guid.NewGuid().ToString();
                    var line = $$"""[{"kind":"sheenGone","zone":1,"id":"{{tap}}","at":"2027-05-04T10:00:00Z","pour":"","device":"phone","note":""}]""";
                    for (var twice = 0; twice < 2; twice++)
                    {
                        using var said = new StringContent(line, Encoding.UTF8, MediaTypeHeaderValue.Parse("application/json"));
                        using var heard = await http.PostAsync($"/api/jobs/{answered[^1]}/log", said, end.Token);
                        heard.StatusCode.ShouldBe(HttpStatusCode.OK);
                        if (twice == 0)
                        {
                            told.Add($"{answered[^1]} {tap}");
                        }
                    }

                    if (--more == 0)
                    {
                        end.CancelAfter(random.Next(0, 40));
                    }
                }
            }
            catch (Exception e) when (end.IsCancellationRequested && e is OperationCanceledException or HttpRequestException or IOException)
            {
                // Its time is up.
            }

            program.Kill();
            await program.WaitForExitAsync(token);
        }

        using var last = Start(data);
        using var final = await AnswersAsync(last, token);
        var health = JsonNode.Parse(await final.GetStringAsync("/api/health", token))!;
        health["status"]!.GetValue<string>().ShouldBe("ok");
        var jobs = JsonNode.Parse(await final.GetStringAsync("/api/jobs", token))!.AsArray().Select(j => j!["id"]!.GetValue<string>()).ToArray();
        var kept = new List<string>();
        foreach (var job in jobs)
        {
            kept.AddRange(JsonNode.Parse(await final.GetStringAsync($"/api/jobs/{job}/log", token))!.AsArray().Select(l => $"{job} {l!["event"]!["id"]!.GetValue<string>()}"));
        }

        last.Kill();
        TestContext.Current.TestOutputHelper?.WriteLine($"{answered.Count} jobs and {told.Count} taps answered in {Rounds} rounds");
        answered.Count.ShouldBeGreaterThan(Rounds);
        jobs.ShouldBeUnique();
        answered.Except(jobs).ShouldBeEmpty();
        kept.ShouldBeUnique();
        told.Except(kept).ShouldBeEmpty();
    }

    private static Process Start(string data)
    {
        var start = new ProcessStartInfo("dotnet", [typeof(DataFile).Assembly.Location, "--contentRoot", Path.GetDirectoryName(data)!]) { RedirectStandardOutput = true, RedirectStandardError = true };
        start.Environment["SetFirm__Database"] = data;
        start.Environment["ASPNETCORE_URLS"] = "http://127.0.0.1:0";
        return Process.Start(start)!;
    }

    private static async Task<HttpClient> AnswersAsync(Process program, CancellationToken token)
    {
        const string listening = "Now listening on: ";
        while (await program.StandardOutput.ReadLineAsync(token) is { } line)
        {
            if (line.Contains(listening, StringComparison.Ordinal))
            {
                // What it says further on is read too: a full pipe would stop it.
                _ = program.StandardOutput.BaseStream.CopyToAsync(Stream.Null, token);
                _ = program.StandardError.BaseStream.CopyToAsync(Stream.Null, token);
                return new HttpClient { BaseAddress = new Uri(line[(line.IndexOf(listening, StringComparison.Ordinal) + listening.Length)..].Trim()) };
            }
        }

        throw new InvalidOperationException($"It did not start: {await program.StandardError.ReadToEndAsync(token)}");
    }
}
