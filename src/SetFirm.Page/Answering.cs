using System.Buffers;
using System.Runtime.InteropServices.JavaScript;
using System.Runtime.Versioning;
using System.Text;
using System.Text.Json;
using SetFirm.Answers;
using SetFirm.Core.Findings;
using SetFirm.Core.Learning;
using SetFirm.Core.Weather;

namespace SetFirm.Page;

/// <summary>What the page asks when the service does not answer.</summary>
[SupportedOSPlatform("browser")]
public static partial class Answering
{
    /// <summary>A plan on a telephone may take longer than one by the service: nobody else waits for it.</summary>
    private static readonly TimeSpan Most = TimeSpan.FromSeconds(10);

    private static readonly JsonSerializerOptions Options = WireJson.ForRequests();
    private static readonly JsonSerializerOptions AlongOptions = WireJson.ForAlong();

    // A job is asked about with every key pressed; what goes along with it changes by the hour.
    private static readonly Dictionary<string, Along> Kept = [];

    // One page, one thread: what is written goes over what was written before.
    private static readonly ArrayBufferWriter<byte> Written = new();

    /// <summary>Keeps what goes along with a job.</summary>
    /// <param name="key">By which it is asked for.</param>
    /// <param name="json">As the service gave it (<see cref="AlongDto"/>).</param>
    /// <returns>Whether it could be read.</returns>
    [JSExport]
    public static bool Keep(string key, string json)
    {
        try
        {
            if (JsonSerializer.Deserialize<AlongDto>(json, AlongOptions) is { } along && Asked.Hours(along.Weather).Value is { } weather && Asked.Hours(along.Ahead).Value is { } ahead)
            {
                Kept[key] = new Along(weather, ahead, Asked.Values(along.Learnt)!);
                return true;
            }
        }
        catch (JsonException)
        {
            // An older Set Firm kept it: it will be fetched again.
        }

        return false;
    }

    /// <summary>Answers as the service would.</summary>
    /// <param name="name">Of the question: the last part of its path.</param>
    /// <param name="body">The request.</param>
    /// <param name="key">Of what goes along; weather and values are taken from there where the request hands none over.</param>
    /// <returns>The status, a blank, and the report or the problem.</returns>
    [JSExport]
    public static string Answer(string name, string body, string key)
    {
        if (Question.All.FirstOrDefault(q => q.Name == name) is not { } question)
        {
            return Problem(new Refusal(404, "no-such-question", "This cannot be asked.", name));
        }

        var json = Asked.Parse(Encoding.UTF8.GetBytes(body));
        var read = json.Refused is { } unreadable ? unreadable : Asked.Read(json.Value, Options);
        if (read.Refused is { } refused)
        {
            return Problem(refused);
        }

        var asked = read.Value!;
        if (asked.Weather is null && !Kept.ContainsKey(key))
        {
            return Problem(new Refusal(503, "nothing-along", "This device has no weather to plan with.", "It is fetched when the program answers."));
        }

        var along = Kept.GetValueOrDefault(key);
        var budget = new Budget(Most * question.Times) { MostMembers = asked.Members ?? int.MaxValue };
        try
        {
            Written.ResetWrittenCount();
            question.Answer(asked, _ => question.Ahead ? along!.Ahead : along!.Weather, along?.Learnt ?? LearntValues.None, budget, Written);
            return "200 " + Encoding.UTF8.GetString(Written.WrittenSpan);
        }
        catch (OperationCanceledException) when (budget.IsLate)
        {
            return Problem(Refusal.TooMuchToPlan(Most * question.Times));
        }
    }

    private static string Problem(Refusal refused) => $"{refused.Status} {JsonSerializer.Serialize(refused.Told, Options)}";

    private sealed record Along(HourlyWeather Weather, HourlyWeather Ahead, LearntValues Learnt);
}
