using Microsoft.AspNetCore.Http.HttpResults;
using SetFirm.Answers;
using SetFirm.Core.Job;
using SetFirm.Web.Sharing;

namespace SetFirm.Web.Wire;

/// <summary>The refusals of the service, each a problem+json with a stable type.</summary>
internal static class Problems
{
    public static ProblemHttpResult NoSuchJob() => Of(404, "no-such-job", "There is no such job.", "It may have been removed.");

    public static ProblemHttpResult NoSuchVersion() => Of(404, "no-such-version", "The job is not kept as it was then.", "Past versions are thinned as they grow old.");

    public static ProblemHttpResult NoSuchWeather() => Of(404, "no-such-weather", "There is no such weather.", "The file has to be read again.");

    public static ProblemHttpResult DiaryFull(int most) => Of(
        422, "diary-full", "The diary of this job is full.", $"It holds {most} lines. Begin another job for what comes.", ("path", "$"));

    public static ProblemHttpResult NoSuchPicture() => Of(404, "no-such-picture", "There is no such picture.", "It may still be on the device that took it.");

    public static ProblemHttpResult NothingLearnt() => Of(404, "nothing-learnt", "The record knows nothing of this.", "The pour may have been removed.");

    public static ProblemHttpResult NotZip() => Of(415, "not-zip", "A ZIP archive is wanted.", "Send the body as application/zip.");

    public static ProblemHttpResult ArchiveRefused(string path, string reason) => Of(
        422, "archive-refused", "This archive of a yard cannot be taken in. Nothing was changed.", $"{path}: {reason}.", ("path", path));

    public static ProblemHttpResult YardNotEmpty() => Of(
        409, "yard-not-empty", "There are jobs in this yard.", "An archive goes into an empty yard, so that nothing is mixed up or lost: start the program with another data file, or empty this yard first.");

    public static ProblemHttpResult NoPicture() => Of(422, "no-picture", "This is no picture.", "A whole JPEG is wanted.", ("path", "$"));

    public static ProblemHttpResult AlbumFull(int most) => Of(422, "album-full", "This job has as many pictures as it can hold.", $"It holds {most}.", ("path", "$"));

    public static ProblemHttpResult TooManyWeatherFiles(int most) => Of(
        422, "too-many-weather-files", "There is no room for another weather file.", $"{most} are kept. Remove one that no job needs any more.", ("path", "$"));

    public static ProblemHttpResult StaleVersion(int current) => Of(
        412, "stale-version", "This job was changed elsewhere.",
        "Read it again and make the change anew, or keep yours by naming the newer version.", ("currentVersion", current));

    public static ProblemHttpResult VersionWanted() => Of(
        428, "version-wanted", "The change does not say which version it was made to.", "Send If-Match with the version that was read.");

    public static ProblemHttpResult NoData(string detail) => Of(503, "data-file", "The data file cannot be used just now.", detail);

    public static ProblemHttpResult Busy() => Of(503, "busy", "Other plans are being made.", "Ask again in a moment; what you typed is kept.");

    public static ProblemHttpResult CrossSite() => Of(403, "cross-site", "Another site's page asks for this.", "Only Set Firm's own page changes what it keeps.");

    public static ProblemHttpResult NotJoined() => Of(401, "not-joined", "This device has not joined.", "Open the page anew: it asks for the code.");

    public static ProblemHttpResult NotForThisDevice(DeviceRole role) => Of(
        403, "not-for-this-device", "This device may not do that.", role == DeviceRole.Crew ? "It tells what is done; jobs are changed on a device that plans." : "It was let in to look.");

    public static ProblemHttpResult NoToken() => Of(400, "no-token", "The request does not come from our own page.", "Open the page anew.");

    public static ProblemHttpResult NotShared(string why) => Of(409, "not-shared", "The home network was not let in.", why);

    public static ProblemHttpResult NoSuchDevice() => Of(404, "no-such-device", "There is no such device.", "It may have been sent off.");

    public static ProblemHttpResult NotJson() => Of(415, "not-json", "JSON is wanted.", "Send the body as application/json.");

    public static ProblemHttpResult UnknownTimeZone(string given) => Of(
        422, "unknown-time-zone", "The time zone is not known.", $"\"{Shortened(given)}\" is no IANA time zone.", ("path", "timeZone"));

    public static ProblemHttpResult UnknownUnits(string given) => Of(
        422, "unknown-units", "The system of units is not known.", $"\"{Shortened(given)}\" is neither metric nor us.", ("path", "units"));

    public static ProblemHttpResult UnknownKind(string given) => Of(
        422, "unknown-kind", "This is not a kind of thing that is poured.", $"\"{Shortened(given)}\" is not in the list of kinds.", ("path", "kind"));

    /// <summary>What cannot be read or planned.</summary>
    public static ProblemHttpResult Of(Refusal refused) =>
        refused.Path is { } path ? Of(refused.Status, refused.Type, refused.Title, refused.Detail, ("path", path)) : Of(refused.Status, refused.Type, refused.Title, refused.Detail);

    /// <summary>What was wrong with a job file; never called for a sound one.</summary>
    public static ProblemHttpResult Of(JobRead read) => Of(Refusal.Of(read));

    private static string Shortened(string text) => text.Length <= 40 ? text : text[..40] + "…";

    private static ProblemHttpResult Of(int status, string type, string title, string detail, params (string Name, object Value)[] more) =>
        TypedResults.Problem(
            detail, statusCode: status, title: title, type: Refusal.Urn + type, extensions: more.Select(m => new KeyValuePair<string, object?>(m.Name, m.Value)));
}
