using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using NodaTime;
using SetFirm.Core.Findings;

namespace SetFirm.Web.Wire;

/// <summary>How the contract describes what goes over the wire.</summary>
internal static class WireContract
{
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
}
