using System.Net;
using Microsoft.Data.Sqlite;
using SetFirm.Tests.Sites;

namespace SetFirm.Web.Tests;

/// <summary>The power goes while it writes: of the file and its log a part is on the disk, and perhaps rubbish after it. What was answered by then is there.</summary>
public sealed class PowerCutTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("set-firm-power-").FullName;

    /// <summary>In the test run; <c>./setfirm torture</c> asks for more.</summary>
    private static int Cuts => int.TryParse(Environment.GetEnvironmentVariable("SETFIRM_CUTS"), out var cuts) ? cuts : 10;

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task Whatever_was_answered_before_the_cut_is_there_and_it_always_opens()
    {
        var token = TestContext.Current.CancellationToken;
        var seed = Environment.TickCount;
        TestContext.Current.TestOutputHelper?.WriteLine($"seed {seed}");
        var random = new Random(seed);
        var (data, log) = (Path.Combine(folder, "data.db"), Path.Combine(folder, "data.db-wal"));
        var answered = new List<(string Id, int Version, long LogBytes)>();
        byte[] file, journal;
        using (var site = new Site(data))
        {
            // Once the program has begun its log it is held open by a connection that reads by it: another test that lets go of all connections would else
            // close the last one, and with it the log.
            var document = await site.StartingJobAsync("Cut");
            await site.AddedAsync(document.DeepClone());
            await using var held = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = data, Pooling = false }.ToString());
            await held.OpenAsync(token);
            await using var looks = held.CreateCommand();
            looks.CommandText = "SELECT COUNT(*) FROM Jobs";
            (await looks.ExecuteScalarAsync(token)).ShouldBe(1L);
            (string Id, int Version) last = default;
            for (var i = 0; i < 60; i++)
            {
                if (last.Id is null || random.Next(2) == 0)
                {
                    last = ((await site.AddedAsync(document.DeepClone())).Id, 1);
                }
                else
                {
                    document["name"] = $"Cut {i}";
                    (await site.Send(HttpMethod.Put, $"/api/jobs/{last.Id}", document.ToJsonString(), $"\"{last.Version}\"")).StatusCode.ShouldBe(HttpStatusCode.OK);
                    last.Version++;
                }

                // It was on the disk before it was answered.
                answered.Add((last.Id, last.Version, new FileInfo(log).Length));
            }

            (file, journal) = (Read(data), Read(log));
        }

        SqliteConnection.ClearAllPools();
        journal.Length.ShouldBeGreaterThan(100_000); // none of it went into the file yet
        for (var cut = 0; cut < Cuts; cut++)
        {
            var at = cut == 0 ? journal.Length : random.Next(journal.Length);
            var copy = Path.Combine(folder, $"cut-{cut}.db");
            await File.WriteAllBytesAsync(copy, file, token);
            // A disk may have written what comes later before what comes sooner, or half of a sector.
            byte[] rest = random.Next(3) switch { 0 => [], 1 => new byte[random.Next(9_000)], _ => Rubbish(random) };
            await File.WriteAllBytesAsync(copy + "-wal", [.. journal[..at], .. rest], token);
            using (var opened = new Site(copy))
            {
                var there = (await opened.LinesAsync()).ToDictionary(l => l["id"]!.GetValue<string>(), l => l["version"]!.GetValue<int>());
                foreach (var (id, version, bytes) in answered.Where(a => a.LogBytes <= at))
                {
                    there.ContainsKey(id).ShouldBeTrue($"cut {cut} at {at}, answered at {bytes}");
                    there[id].ShouldBeGreaterThanOrEqualTo(version);
                }

                await opened.AddedAsync("After"); // and it goes on
            }

            Site.Remove(copy);
        }
    }

    // It is open elsewhere.
    private static byte[] Read(string path)
    {
        using var stream = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
        var bytes = new byte[stream.Length];
        stream.ReadExactly(bytes);
        return bytes;
    }

    private static byte[] Rubbish(Random random)
    {
        var bytes = new byte[random.Next(1, 9_000)];
        random.NextBytes(bytes);
        return bytes;
    }
}
