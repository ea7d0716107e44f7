using System.Runtime.CompilerServices;
using System.Text.Json;
using SetFirm.Answers;
using SetFirm.Core.Job;

namespace SetFirm.Web.Wire;

/// <summary>A body read as JSON, or the problem that stood in the way.</summary>
internal readonly record struct Body(JsonElement Json, IResult? Problem);

/// <summary>Reads bodies by hand, so that a newer or damaged document is told apart from damaged JSON.</summary>
internal static class Bodies
{
    /// <summary>Bytes; a job is a few thousand.</summary>
    public const long MostBytes = 2_000_000;

    // The same, where every part of a value has to be said.
    private static readonly ConditionalWeakTable<JsonSerializerOptions, JsonSerializerOptions> Whole = [];

    public static async Task<Body> ReadAsync(HttpRequest request, CancellationToken cancellation)
    {
        if (!request.HasJsonContentType())
        {
            return new Body(default, Problems.NotJson());
        }

        var read = await Asked.ParseAsync(request.Body, cancellation);
        return new Body(read.Value, read.Refused is { } refused ? Problems.Of(refused) : null);
    }

    /// <summary>A small body of a known form, or the problem.</summary>
    public static async Task<(T? Value, IResult? Problem)> ReadAsync<T>(HttpRequest request, JsonSerializerOptions options, CancellationToken cancellation)
        where T : class
    {
        var body = await ReadAsync(request, cancellation);
        if (body.Problem is { } unreadable)
        {
            return (null, unreadable);
        }

        try
        {
            return body.Json.Deserialize<T>(Whole.GetValue(options, static o => new JsonSerializerOptions(o) { RespectRequiredConstructorParameters = true })) is { } value ? (value, null) : (null, Problems.Of(Refusal.Missing("$")));
        }
        catch (JsonException e)
        {
            return (null, Problems.Of(new JobRead.Unreadable(e.Path ?? "$", "the value is missing or of another kind")));
        }
        catch (InvalidOperationException)
        {
            return (null, Problems.Of(new JobRead.Unreadable("$", "a text in it is not whole Unicode")));
        }
    }

    /// <summary>The job in a body, or the problem.</summary>
    public static (JobDocument? Document, IResult? Problem) Job(JsonElement json) => JobFile.Read(json) switch
    {
        JobRead.Ok ok => (ok.Document, null),
        var refused => (null, Problems.Of(refused)),
    };
}
