using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using NodaTime;
using NodaTime.Serialization.SystemTextJson;
using SetFirm.Core.Findings;
using SetFirm.Core.Planning;

namespace SetFirm.Web.Wire;

/// <summary>How values look on the wire, and how the contract describes them.</summary>
internal static class WireJson
{
    public static void Configure(JsonSerializerOptions options)
    {
        options.Converters.Add(new InstantConverter()); // stands before NodaTime's own, which is several times slower
        options.ConfigureForNodaTime(DateTimeZoneProviders.Tzdb);
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true; // null is a value only where it may be one
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
        options.TypeInfoResolver = (options.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(NameFamilies);
    }

    /// <summary>The same for reports.</summary>
    public static JsonSerializerOptions ForReports()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web);
        Configure(options);
        options.Converters.Add(new Figures());
        options.MakeReadOnly(populateMissingResolver: true);
        return options;
    }

    /// <summary>A member of a closed family is told from the others by its <c>code</c>: its own name, written small.</summary>
    private static void NameFamilies(JsonTypeInfo info)
    {
        if (info.Type == typeof(Notice) || info.Type == typeof(Mend) || info.Type == typeof(Why) || info.Type == typeof(Standout))
        {
            info.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = "code" };
            foreach (var member in info.Type.GetNestedTypes().Where(info.Type.IsAssignableFrom))
            {
                info.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(member, JsonNamingPolicy.CamelCase.ConvertName(member.Name)));
            }
        }
    }

    /// <summary>NodaTime types are strings on the wire; without this the contract would show their insides.</summary>
    public static Task DescribeTimes(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellation)
    {
        var type = Nullable.GetUnderlyingType(context.JsonTypeInfo.Type) ?? context.JsonTypeInfo.Type;
        var format = type == typeof(Instant) ? "date-time" : type == typeof(LocalDate) ? "date" : null;
        if (format is not null || type == typeof(Place))
        {
            schema.Type = JsonSchemaType.String; // where it may be null, the reference to it says so
            schema.Format = format;
            schema.Properties?.Clear();
            schema.Required?.Clear();
        }
        else if (type.IsEnum && schema.Enum is { } names)
        {
            // Where it may be null the reference says so, whichever place was walked first.
            schema.Enum = [.. names.Where(n => n is not null && n.GetValueKind() == JsonValueKind.String)];
            schema.Type &= ~JsonSchemaType.Null;
        }

        return Task.CompletedTask;
    }

    private static readonly string[] Discriminators = ["kind", "code"];

    /// <summary>A variant's <c>kind</c> or <c>code</c> and every part of a struct are always written, so the contract says that they are required.</summary>
    public static Task RequireWhatIsAlwaysWritten(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancellation)
    {
        foreach (var name in Discriminators.Where(n => schema.Properties?.ContainsKey(n) == true))
        {
            schema.Required ??= new HashSet<string>();
            schema.Required.Add(name);
        }

        if (context.JsonTypeInfo is { Kind: JsonTypeInfoKind.Object, Type.IsValueType: true } && schema.Properties is { } parts)
        {
            schema.Required ??= new HashSet<string>();
            schema.Required.UnionWith(parts.Keys);
        }

        return Task.CompletedTask;
    }

    /// <summary>A report holds some two hundred moments; written this way they cost next to nothing. What may be read stays NodaTime's.</summary>
    private sealed class InstantConverter : JsonConverter<Instant>
    {
        public override Instant Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            NodaConverters.InstantConverter.Read(ref reader, typeToConvert, options);

        public override void Write(Utf8JsonWriter writer, Instant value, JsonSerializerOptions options) => writer.WriteStringValue(value.ToDateTimeUtc());
    }
}
