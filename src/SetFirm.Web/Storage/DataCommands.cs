using NodaTime;

namespace SetFirm.Web.Storage;

/// <summary>What is done to the data file from the command line, whether the service runs or not.</summary>
internal static class DataCommands
{
    /// <param name="args">backup DATA FILE, or restore DATA FILE.</param>
    /// <param name="say">Takes what was done.</param>
    /// <param name="complain">Takes why it was not.</param>
    /// <returns>0, or 1 where it was not done.</returns>
    public static int Run(string[] args, TextWriter say, TextWriter complain)
    {
        ArgumentNullException.ThrowIfNull(args);
        ArgumentNullException.ThrowIfNull(say);
        ArgumentNullException.ThrowIfNull(complain);
        try
        {
            switch (args)
            {
                case ["backup", var data, var to]:
                    Backups.Check(data);
                    Backups.Make(data, to);
                    say.WriteLine($"A backup of {data}, looked through, is in {to}");
                    return 0;
                case ["restore", var data, var backup]:
                    using (var file = new DataFile(data))
                    {
                        Backups.Restore(backup, file, SystemClock.Instance.GetCurrentInstant());
                        say.WriteLine($"{backup} is now {data}; what was there is kept in {file.BackupFolder}");
                    }

                    return 0;
                default:
                    complain.WriteLine("backup DATA FILE, or restore DATA FILE");
                    return 1;
            }
        }
        catch (DataFileException e)
        {
            complain.WriteLine(e.Message);
            return 1;
        }
    }
}
