using System.Text.Json;
using SetFirm.Core.Job;

namespace SetFirm.Web.Jobs;

/// <summary>A job as it is kept.</summary>
internal static class KeptJob
{
    /// <summary>What is kept was checked when it came in; a file that something else has written to is read with as much care.</summary>
    public static JobRead Read(string document)
    {
        try
        {
            using var json = JsonDocument.Parse(document);
            return JobFile.Read(json.RootElement);
        }
        catch (JsonException)
        {
            return new JobRead.NotAJob();
        }
    }
}
