using System.Text;
using Microsoft.Data.Sqlite;

namespace SetFirm.Web.Storage;

/// <summary>The one file that holds everything, as a file: who has it open, whether it is whole, and who may read it.</summary>
/// <remarks>
/// Everybody who works with it holds <c>file.lock</c> shared, as long as they live; who changes its form, or puts another in its place, holds it alone. The operating
/// system lets go of it when a program is killed, so that a lock is never left behind.
/// </remarks>
internal sealed class DataFile : IDisposable
{
    /// <summary>Others that hold it are waited for this long.</summary>
    public static readonly TimeSpan Patience = TimeSpan.FromSeconds(10);

    private static readonly TimeSpan Pause = TimeSpan.FromMilliseconds(100);
    private static readonly byte[] Header = Encoding.ASCII.GetBytes("SQLite format 3\0");

    private FileStream? held;

    public DataFile(IConfiguration configuration)
        : this(Database.PathOf(configuration))
    {
    }

    public DataFile(string path) => FullPath = System.IO.Path.GetFullPath(path);

    public string FullPath { get; }

    /// <summary>Copies are kept here.</summary>
    public string BackupFolder => System.IO.Path.Combine(System.IO.Path.GetDirectoryName(FullPath)!, "backups");

    /// <summary>What the last check of it found wrong; empty where nothing is.</summary>
    public IReadOnlyList<string> Damage { get; private set; } = [];

    /// <summary>Takes it up, beside others.</summary>
    /// <exception cref="DataFileException">Its folder is missing, or it is no data file.</exception>
    public void Hold()
    {
        var folder = System.IO.Path.GetDirectoryName(FullPath)!;
        if (!Directory.Exists(folder))
        {
            throw new DataFileException($"The folder {folder} for the data file is not there. Make it, or name another data file.");
        }

        CheckHeader();
        held = Wait(() => Locked(FileAccess.Read, FileShare.Read), Patience)
            ?? throw new DataFileException($"Another Set Firm has been changing {FullPath} for {Patience.TotalSeconds:0} seconds. Try again when it is done.");
    }

    /// <summary>Does something that nobody else may see half done. What it held before it holds again.</summary>
    /// <exception cref="DataFileException">Others went on holding it.</exception>
    public void Alone(Action work, TimeSpan patience)
    {
        ArgumentNullException.ThrowIfNull(work);
        var shared = held is not null;
        held?.Dispose();
        held = null;
        try
        {
            using var alone = Wait(() => Locked(FileAccess.ReadWrite, FileShare.None), patience)
                ?? throw new DataFileException($"Another Set Firm has {FullPath} open. Stop it first.");
            work();
        }
        finally
        {
            held = shared ? Wait(() => Locked(FileAccess.Read, FileShare.Read), Patience) : null;
        }
    }

    private const int Corrupt = 11;

    /// <summary>Looks through all of it. What is damaged is noted; what is whole goes on being served.</summary>
    /// <exception cref="DataFileException">Nothing of it can be read.</exception>
    public void Check(SqliteConnection connection)
    {
        ArgumentNullException.ThrowIfNull(connection);
        using var command = connection.CreateCommand();
        command.CommandText = "PRAGMA quick_check(20)";
        var found = new List<string>();
        try
        {
            using var reader = command.ExecuteReader();
            while (reader.Read())
            {
                // It says in several lines what it found, under a heading.
                found.AddRange(reader.GetString(0).Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries).Where(l => !l.StartsWith("***", StringComparison.Ordinal)));
            }
        }
        catch (SqliteException e) when (e.SqliteErrorCode == Corrupt)
        {
            // Some damage ends the look through; where its tables can still be told, the rest is served all the same.
            using var tables = connection.CreateCommand();
            tables.CommandText = "SELECT COUNT(*) FROM sqlite_master WHERE type = 'table'";
            if (tables.ExecuteScalar() is not > 0L)
            {
                throw;
            }

            found.Add(e.Message);
        }

        Damage = found is ["ok"] ? [] : found;
    }

    /// <summary>For nobody else's eyes.</summary>
    public static void Seclude(string path)
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }

        foreach (var file in new[] { path, path + "-wal", path + "-shm" }.Where(File.Exists))
        {
            File.SetUnixFileMode(file, UnixFileMode.UserRead | UnixFileMode.UserWrite);
        }
    }

    /// <summary>What the file system and SQLite say, in a sentence with what to do.</summary>
    public static DataFileException Told(Exception e, string path) => e switch
    {
        DataFileException told => told,
        SqliteException { SqliteErrorCode: SQLitePCL.raw.SQLITE_READONLY } or UnauthorizedAccessException =>
            new DataFileException($"{path} can be read and not written. Give yourself the right to write it and its folder, or name another data file.", e),
        SqliteException { SqliteErrorCode: SQLitePCL.raw.SQLITE_FULL } =>
            new DataFileException($"There is no room left for {path}. Make some on that disk; nothing that was kept is lost.", e),
        SqliteException { SqliteErrorCode: SQLitePCL.raw.SQLITE_CORRUPT or SQLitePCL.raw.SQLITE_NOTADB } =>
            new DataFileException($"{path} is damaged, and cannot be opened. Keep it, and bring back a backup: ./setfirm restore FILE", e),
        SqliteException { SqliteErrorCode: SQLitePCL.raw.SQLITE_BUSY or SQLitePCL.raw.SQLITE_LOCKED } =>
            new DataFileException($"Another program is writing to {path} and does not let go. Stop it first.", e),
        SqliteException or IOException => new DataFileException($"{path} cannot be opened ({e.Message}). Name another data file, or bring back a backup: ./setfirm restore FILE", e),
        _ => new DataFileException($"{path} cannot be used: {e.Message}", e),
    };

    public void Dispose() => held?.Dispose();

    private void CheckHeader()
    {
        if (!File.Exists(FullPath) || new FileInfo(FullPath).Length == 0)
        {
            return;
        }

        var begins = new byte[Header.Length];
        try
        {
            using var file = new FileStream(FullPath, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
            file.ReadAtLeast(begins, begins.Length, throwOnEndOfStream: false);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DataFileException($"{FullPath} cannot be read. Give yourself the right to read it, or name another data file.", e);
        }

        if (!begins.AsSpan().SequenceEqual(Header))
        {
            throw new DataFileException($"{FullPath} is no Set Firm data file. It was left alone; move it away, or bring back a backup: ./setfirm restore FILE");
        }
    }

    private FileStream Locked(FileAccess access, FileShare share) => new(FullPath + ".lock", FileMode.OpenOrCreate, access, share);

    private FileStream? Wait(Func<FileStream> take, TimeSpan patience)
    {
        for (var until = DateTime.UtcNow + patience; ; Thread.Sleep(Pause))
        {
            try
            {
                return take();
            }
            catch (UnauthorizedAccessException e)
            {
                throw Told(e, FullPath);
            }
            catch (IOException) when (File.Exists(FullPath + ".lock"))
            {
                if (DateTime.UtcNow >= until)
                {
                    return null;
                }
            }
            catch (IOException e)
            {
                throw Told(e, FullPath);
            }
        }
    }
}
