using System.Text.Json;
using System.Text.Json.Serialization;
using NodaTime;
using NodaTime.Serialization.SystemTextJson;

namespace SetFirm.Core.Tests.Planning;

/// <summary>A report as text, to compare and to search; numbers that are no numbers would throw here.</summary>
internal static class ReportText
{
    private static readonly JsonSerializerOptions Options = new JsonSerializerOptions(JsonSerializerDefaults.Web)
    {
        NumberHandling = JsonNumberHandling.Strict,
        Converters = { new JsonStringEnumConverter() },
    }.ConfigureForNodaTime(DateTimeZoneProviders.Tzdb);

    public static string Of<T>(T report) => JsonSerializer.Serialize(report, Options);
}
