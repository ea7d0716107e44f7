using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using NodaTime;
using SetFirm.Tests.Sites;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Tests;

/// <summary>The data file: opened whole or refused in a sentence, never waited for for ever, copied while it is used.</summary>
public sealed class DataFileTests : IDisposable
{
    private readonly CancellationToken token = TestContext.Current.CancellationToken;
    private readonly string folder = Directory.CreateTempSubdirectory("set-firm-data-").FullName;

    private string File_ => Path.Combine(folder, "data.db");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        Directory.Delete(folder, recursive: true);
    }

    [Fact]
    public async Task A_start_that_was_cut_off_in_a_migration_is_done_again_and_a_copy_of_the_file_is_kept()
    {
        using (var first = new Site(File_))
        {
            await first.AddedAsync("Kept");
        }

        // As a killed program leaves it: the last migration not there yet, the lock still taken.
        Run("CREATE TABLE IF NOT EXISTS __EFMigrationsLock (Id INTEGER NOT NULL CONSTRAINT PK PRIMARY KEY, Timestamp TEXT NOT NULL)");
        Run("INSERT OR REPLACE INTO __EFMigrationsLock VALUES (1, '2027-05-04')");
        var applied = (string)Scalar("SELECT MAX(MigrationId) FROM __EFMigrationsHistory")!;
        var before = (string)Scalar("SELECT MAX(MigrationId) FROM __EFMigrationsHistory WHERE MigrationId < (SELECT MAX(MigrationId) FROM __EFMigrationsHistory)")!;
        Rewind(applied);
        using var second = new Site(File_);
        (await second.Get("/api/health")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await (await second.Get("/api/jobs")).Content.ReadAsStringAsync(token)).ShouldContain("Kept");
        Scalar("SELECT COUNT(*) FROM __EFMigrationsLock").ShouldBe(0L);
        Scalar("SELECT MAX(MigrationId) FROM __EFMigrationsHistory").ShouldBe(applied);
        var copy = Directory.GetFiles(Path.Combine(folder, "backups")).Single();
        Path.GetFileName(copy).ShouldStartWith($"before-{applied}");
        Scalar("SELECT MAX(MigrationId) FROM __EFMigrationsHistory", copy).ShouldBe(before);
    }

    [Fact]
    public async Task A_first_start_that_was_cut_off_is_done_again()
    {
        Run("CREATE TABLE __EFMigrationsLock (Id INTEGER NOT NULL CONSTRAINT PK PRIMARY KEY, Timestamp TEXT NOT NULL)");
        Run("INSERT INTO __EFMigrationsLock VALUES (1, '2027-05-04')");
        using var site = new Site(File_);
        await site.AddedAsync("First");
        Directory.Exists(Path.Combine(folder, "backups")).ShouldBeFalse(); // there was nothing to keep
    }

    [Fact]
    public void Who_changes_the_file_waits_for_the_others_only_so_long()
    {
        using var one = new DataFile(File_);
        using var other = new DataFile(File_);
        one.Hold();
        other.Hold();
        var clock = Stopwatch.StartNew();
        Should.Throw<DataFileException>(() => one.Alone(() => throw new InvalidOperationException("never"), TimeSpan.FromMilliseconds(300))).Message.ShouldContain("Stop it first");
        clock.Elapsed.ShouldBeInRange(TimeSpan.FromMilliseconds(250), TimeSpan.FromSeconds(8));
        other.Dispose();
        var done = false;
        one.Alone(() => done = true, TimeSpan.FromMilliseconds(300));
        done.ShouldBeTrue();
    }

    [Theory]
    [InlineData("this is no database, and never was one, however long one looks at it", "no Set Firm data file")]
    [InlineData("SQLite format 3\0\0\0 cut off here", "damaged")]
    public void What_is_no_data_file_is_refused_in_a_sentence_and_left_alone(string content, string says)
    {
        File.WriteAllText(File_, content);
        using var site = new Site(File_);
        var told = Should.Throw<DataFileException>(() => site.StartServer());
        told.Message.ShouldContain(says);
        told.Message.ShouldNotContain("\n");
        File.ReadAllText(File_).ShouldBe(content);
    }

    [Fact]
    public void From_the_command_line_it_is_one_sentence_and_exit_1()
    {
        File.WriteAllText(File_, new string('x', 5000));
        var (code, error) = Program_([], ("SetFirm__Database", File_), ("ASPNETCORE_URLS", "http://127.0.0.1:0"));
        code.ShouldBe(1);
        error.Trim().Split('\n').ShouldHaveSingleItem().ShouldContain("restore FILE");
        File.WriteAllText(File_, "SQLite format 3\0 cut off here");
        (code, error) = Program_([], ("SetFirm__Database", File_), ("ASPNETCORE_URLS", "http://127.0.0.1:0"));
        code.ShouldBe(1);
        error.Trim().Split('\n').ShouldHaveSingleItem().ShouldContain("damaged");
        (code, error) = Program_([], ("SetFirm__Database", Path.Combine(folder, "missing", "data.db")), ("ASPNETCORE_URLS", "http://127.0.0.1:0"));
        code.ShouldBe(1);
        error.Trim().Split('\n').ShouldHaveSingleItem().ShouldContain("Make it");
        (code, error) = Program_(["backup", File_, Path.Combine(folder, "copy.db")]);
        code.ShouldBe(1);
        error.ShouldNotContain("   at ");
        File.Exists(Path.Combine(folder, "copy.db")).ShouldBeFalse();
    }

    [Theory]
    [InlineData(8, "right to write")]
    [InlineData(13, "no room left")]
    [InlineData(11, "damaged")]
    [InlineData(26, "damaged")]
    [InlineData(5, "Another program")]
    [InlineData(14, "cannot be opened")]
    public void Whatever_SQLite_says_is_told_with_what_to_do(int code, string says) => DataFile.Told(new SqliteException("as SQLite has it", code), "/data.db").Message.ShouldContain(says);

    [Fact]
    public async Task Health_tells_that_it_writes_waits_for_the_disk_and_is_whole_and_the_file_is_nobody_elses()
    {
        using var site = new Site(File_);
        var health = (await (await site.Get("/api/health")).Content.ReadFromJsonAsync<JsonNode>(token))!;
        (health["status"]!.GetValue<string>(), health["synchronous"]!.GetValue<string>()).ShouldBe(("ok", "full"));
        health["damage"]!.AsArray().ShouldBeEmpty();
        if (!OperatingSystem.IsWindows())
        {
            File.GetUnixFileMode(File_).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
        }
    }

    [Fact]
    public async Task Damage_in_places_is_told_and_what_is_whole_is_served()
    {
        string id;
        using (var first = new Site(File_))
        {
            (id, _) = await first.AddedAsync("Whole");
        }

        Run("PRAGMA wal_checkpoint(TRUNCATE)");
        Run("CREATE TABLE Elsewhere (Text TEXT)");
        Run("INSERT INTO Elsewhere VALUES (printf('%.*c', 60000, 'x'))");
        SqliteConnection.ClearAllPools();
        using (var file = new FileStream(File_, FileMode.Open))
        {
            file.Seek(-8192, SeekOrigin.End);
            file.Write(Enumerable.Repeat((byte)0xEE, 4096).ToArray());
        }

        using var site = new Site(File_);
        var health = (await (await site.Get("/api/health")).Content.ReadFromJsonAsync<JsonNode>(token))!;
        health["status"]!.GetValue<string>().ShouldBe("damaged");
        health["damage"]!.AsArray().ShouldNotBeEmpty();
        (await site.Get($"/api/jobs/{id}")).StatusCode.ShouldBe(HttpStatusCode.OK);
    }

    [Fact]
    public async Task A_backup_made_while_others_write_holds_what_was_answered_before_it()
    {
        using var site = new Site(File_);
        await site.AddedAsync("Before");
        var writing = Task.Run(
            async () =>
            {
                for (var i = 0; i < 15; i++)
                {
                    await site.AddedAsync($"Meanwhile {i}");
                }
            },
            token);
        var sent = await site.Get("/api/backup");
        await writing;
        sent.StatusCode.ShouldBe(HttpStatusCode.OK);
        sent.Content.Headers.ContentDisposition!.FileName!.ShouldContain("setfirm-");
        var copy = Path.Combine(folder, "copy.db");
        await File.WriteAllBytesAsync(copy, await sent.Content.ReadAsByteArrayAsync(token), token);
        Backups.Check(copy);
        ((long)Scalar("SELECT COUNT(*) FROM Jobs WHERE Name = 'Before'", copy)!).ShouldBe(1);
        Directory.GetFiles(Path.Combine(folder, "backups")).ShouldBeEmpty(); // what was sent is taken away
    }

    [Fact]
    public async Task A_backup_takes_the_place_of_the_data_file_when_nobody_uses_it_and_what_was_there_is_kept()
    {
        var copy = Path.Combine(folder, "by-hand.db");
        using (var site = new Site(File_))
        {
            await site.AddedAsync("Then");
            Backups.Make(File_, copy);
            await site.AddedAsync("Since");
            using var busy = new DataFile(File_);
            Should.Throw<DataFileException>(() => Backups.Restore(copy, busy, Instant.FromUtc(2027, 5, 4, 12, 0))).Message.ShouldContain("Stop it first");
        }

        SqliteConnection.ClearAllPools();
        using (var file = new DataFile(File_))
        {
            Backups.Restore(copy, file, Instant.FromUtc(2027, 5, 4, 12, 0));
        }

        using var after = new Site(File_);
        var jobs = await (await after.Get("/api/jobs")).Content.ReadAsStringAsync(token);
        jobs.ShouldContain("Then");
        jobs.ShouldNotContain("Since");
        ((long)Scalar("SELECT COUNT(*) FROM Jobs WHERE Name = 'Since'", Path.Combine(folder, "backups", "replaced-2027-05-04T12-00-00.db"))!).ShouldBe(1);
        File.WriteAllText(Path.Combine(folder, "other.db"), "nothing");
        using var again = new DataFile(Path.Combine(folder, "third.db"));
        Should.Throw<DataFileException>(() => Backups.Restore(Path.Combine(folder, "other.db"), again, default));
    }

    [Fact]
    public async Task Of_daily_backups_seven_days_and_four_weeks_stay()
    {
        using (var site = new Site(File_))
        {
            await site.AddedAsync("Kept");
        }

        using var file = new DataFile(File_);
        var first = new LocalDate(2027, 1, 1);
        for (var day = 0; day < 60; day++)
        {
            Backups.Daily(file, first.PlusDays(day)).ShouldBeTrue();
            Backups.Daily(file, first.PlusDays(day)).ShouldBeFalse(); // once a day
        }

        string[] there = [.. Directory.GetFiles(file.BackupFolder).Select(f => Path.GetFileName(f)!).Order()];
        there.Length.ShouldBe(Backups.Days + Backups.Weeks);
        var last = first.PlusDays(59);
        there[^Backups.Days..].ShouldBe(Enumerable.Range(0, Backups.Days).Select(i => $"daily-{NodaTime.Text.LocalDatePattern.Iso.Format(last.PlusDays(i + 1 - Backups.Days))}.db"));
    }

    [Fact]
    public void Whichever_days_there_were_the_newest_stays_and_no_more_than_eleven()
    {
        var random = new Random(7);
        for (var round = 0; round < 200; round++)
        {
            var today = new LocalDate(2027, 6, 1).PlusDays(random.Next(400));
            LocalDate[] there = [.. Enumerable.Range(0, random.Next(1, 90)).Select(_ => today.PlusDays(-random.Next(120))).Distinct()];
            var kept = Backups.Kept(there, today).ToArray();
            kept.Length.ShouldBeLessThanOrEqualTo(Backups.Days + Backups.Weeks);
            kept.ShouldBeSubsetOf(there);
            kept.ShouldBeUnique();
            if (there.Max() > today.PlusDays(-35))
            {
                kept.ShouldContain(there.Max());
            }
        }
    }

    // The state before the last migration, as near as it takes to have it run anew.
    private void Rewind(string migration)
    {
        foreach (var table in (ReadOnlySpan<string>)["Devices", "Settings"])
        {
            Run($"DROP TABLE {table}");
        }

        Run("ALTER TABLE Jobs DROP COLUMN PutAwayAt");

        Run($"DELETE FROM __EFMigrationsHistory WHERE MigrationId = '{migration}'");
    }

    private void Run(string sql) => Scalar(sql);

    private object? Scalar(string sql, string? path = null)
    {
        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = path ?? File_, Pooling = false }.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar();
    }

    private static (int Code, string Error) Program_(string[] args, params (string Name, string Value)[] environment)
    {
        var start = new ProcessStartInfo("dotnet", [typeof(DataFile).Assembly.Location, .. args]) { RedirectStandardError = true, RedirectStandardOutput = true };
        foreach (var (name, value) in environment)
        {
            start.Environment[name] = value;
        }

        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        process.StandardOutput.ReadToEnd().ShouldNotContain("   at "); // no trace anywhere
        process.WaitForExit(60_000).ShouldBeTrue();
        return (process.ExitCode, error.Result);
    }
}
