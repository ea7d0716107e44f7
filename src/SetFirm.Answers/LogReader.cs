using System.Text.Json;
using SetFirm.Core.Events;
using SetFirm.Core.Job;

namespace SetFirm.Answers;

/// <summary>Reads what was told of a job.</summary>
public static class LogReader
{
    /// <summary>Lines of one job, kept or planned with.</summary>
    public const int MostOfAJob = 5_000;

    /// <summary>Lines in a body, or the first that cannot be.</summary>
    /// <param name="json">A list.</param>
    /// <param name="most">Of so many.</param>
    /// <param name="path">Where it stands.</param>
    /// <param name="options">How events are read.</param>
    public static (List<JobEvent>? Events, JobRead.Unreadable? Wrong) Read(JsonElement json, int most, string path, JsonSerializerOptions options)
    {
        if (json.ValueKind != JsonValueKind.Array || json.GetArrayLength() > most)
        {
            return (null, new JobRead.Unreadable(path, $"a list of at most {most} events is wanted"));
        }

        var told = new List<JobEvent>();
        foreach (var line in json.EnumerateArray())
        {
            var (said, wrong) = Read(line, $"{path}[{told.Count}]", options);
            if (said is null)
            {
                return (null, wrong);
            }

            told.Add(said);
        }

        return (told, null);
    }

    private static (JobEvent? Event, JobRead.Unreadable? Wrong) Read(JsonElement line, string path, JsonSerializerOptions options)
    {
        if (line.ValueKind != JsonValueKind.Object)
        {
            return (null, new JobRead.Unreadable(path, "an event is wanted"));
        }

        if (Lacks(line, options) is { } name)
        {
            return (null, new JobRead.Unreadable($"{path}.{name}", "it is wanted"));
        }

        try
        {
            var said = line.Deserialize<JobEvent>(options)!;
            return EventLimits.WrongIn(said) is { } wrong
                ? (null, new JobRead.Unreadable($"{path}.{JsonNamingPolicy.CamelCase.ConvertName(wrong)}", "the value is not possible"))
                : (said, null);
        }
        catch (JsonException e)
        {
            return (null, new JobRead.Unreadable(path + e.Path?[1..], "the value is missing or of another kind"));
        }
        catch (NotSupportedException)
        {
            return (null, new JobRead.Unreadable($"{path}.kind", "its kind is wanted"));
        }
        catch (InvalidOperationException)
        {
            return (null, new JobRead.Unreadable(path, "a text in it is not whole Unicode"));
        }
    }

    // The name of what an event of this kind cannot do without, and has not.
    private static string? Lacks(JsonElement line, JsonSerializerOptions options)
    {
        if (!line.TryGetProperty("kind", out var kind) || kind.ValueKind != JsonValueKind.String)
        {
            return "kind";
        }

        var known = options.GetTypeInfo(typeof(JobEvent)).PolymorphismOptions!.DerivedTypes.Where(t => kind.ValueEquals((string)t.TypeDiscriminator!)).ToArray();
        return known is [var of] ? options.GetTypeInfo(of.DerivedType).Properties.FirstOrDefault(p => p.IsRequired && !line.TryGetProperty(p.Name, out _))?.Name : "kind";
    }
}
