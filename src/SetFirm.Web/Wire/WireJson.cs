using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using NodaTime;
using NodaTime.Serialization.SystemTextJson;

namespace SetFirm.Web.Wire;

/// <summary>How values look on the wire, and how the contract describes them.</summary>
internal static class WireJson
{
    public static void Configure(JsonSerializerOptions options)
    {
        options.ConfigureForNodaTime(DateTimeZoneProviders.Tzdb);
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    /// <summary>NodaTime types are strings on the wire; without this the contract would show their insides.</summary>
    public static Task DescribeTimes(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellation)
    {
        var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
        var format = type == typeof(Instant) ? "date-time" : type == typeof(LocalDate) ? "date" : null;
        if (format is not null)
        {
            var nullable = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) is not null;
            schema.Type = nullable ? JsonSchemaType.String | JsonSchemaType.Null : JsonSchemaType.String;
            schema.Format = format;
            schema.Properties?.Clear();
            schema.Required?.Clear();
        }

        return Task.CompletedTask;
    }

    /// <summary>A variant's <c>kind</c> is always written, so the contract says that it is required.</summary>
    public static Task RequireKind(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellation)
    {
        if (schema.Properties?.ContainsKey("kind") == true)
        {
            schema.Required ??= new HashSet<string>();
            schema.Required.Add("kind");
        }

        return Task.CompletedTask;
    }
}
