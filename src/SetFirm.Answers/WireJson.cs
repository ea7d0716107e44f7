using System.Diagnostics.CodeAnalysis;
using System.Text.Json;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using NodaTime;
using NodaTime.Serialization.SystemTextJson;
using SetFirm.Core.Findings;
using SetFirm.Core.Planning;

namespace SetFirm.Answers;

/// <summary>How values look on the wire.</summary>
public static class WireJson
{
    /// <summary>What tells the members of a closed family apart.</summary>
    internal const string Code = "code";

    /// <summary>How everything is read, written and described in the contract.</summary>
    public static void Configure(JsonSerializerOptions options)
    {
        ArgumentNullException.ThrowIfNull(options);
        Look(options);
        options.TypeInfoResolver = (options.TypeInfoResolver ?? new DefaultJsonTypeInfoResolver()).WithAddedModifier(NameFamilies);
    }

    private static void Look(JsonSerializerOptions options)
    {
        options.Converters.Add(new InstantConverter()); // stands before NodaTime's own, which is several times slower
        options.ConfigureForNodaTime(DateTimeZoneProviders.Tzdb);
        options.NumberHandling = JsonNumberHandling.Strict;
        options.AllowOutOfOrderMetadataProperties = true;
        options.RespectNullableAnnotations = true; // null is a value only where it may be one
        options.Converters.Add(new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false));
    }

    /// <summary>The same for what is read of a request.</summary>
    public static JsonSerializerOptions ForRequests()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web) { TypeInfoResolver = new DefaultJsonTypeInfoResolver() };
        Look(options);
        options.MakeReadOnly();
        return options;
    }

    /// <summary>The same for what a device takes along: hundreds of hours of it, all of whose values are always said.</summary>
    public static JsonSerializerOptions ForAlong()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web) { TypeInfoResolver = JsonTypeInfoResolver.Combine(AlongTypes.Default, new DefaultJsonTypeInfoResolver()) };
        Look(options);
        options.MakeReadOnly();
        return options;
    }

    /// <summary>The same for reports, which are only written: figures to nine digits, and of the closed families what is met.</summary>
    public static JsonSerializerOptions ForReports()
    {
        var options = new JsonSerializerOptions(JsonSerializerDefaults.Web) { TypeInfoResolver = JsonTypeInfoResolver.Combine(WireTypes.Default, new DefaultJsonTypeInfoResolver()) };
        Look(options);
        options.Converters.Add(new Figures());
        options.Converters.Add(new FamilyConverter<Notice>());
        options.Converters.Add(new FamilyConverter<Mend>());
        options.Converters.Add(new FamilyConverter<Why>());
        options.Converters.Add(new FamilyConverter<Standout>());
        options.MakeReadOnly();
        return options;
    }

    /// <summary>A member of a closed family is told from the others by its <c>code</c>: its own name, written small.</summary>
    private static void NameFamilies(JsonTypeInfo info)
    {
        Name(info, typeof(Notice));
        Name(info, typeof(Mend));
        Name(info, typeof(Why));
        Name(info, typeof(Standout));
    }

    private static void Name(JsonTypeInfo info, [DynamicallyAccessedMembers(DynamicallyAccessedMemberTypes.PublicNestedTypes)] Type family)
    {
        if (info.Type == family)
        {
            info.PolymorphismOptions = new JsonPolymorphismOptions { TypeDiscriminatorPropertyName = Code };
            foreach (var member in family.GetNestedTypes().Where(family.IsAssignableFrom))
            {
                info.PolymorphismOptions.DerivedTypes.Add(new JsonDerivedType(member, JsonNamingPolicy.CamelCase.ConvertName(member.Name)));
            }
        }
    }

    /// <summary>A report holds some two hundred moments; written this way they cost next to nothing. What may be read stays NodaTime's.</summary>
    private sealed class InstantConverter : JsonConverter<Instant>
    {
        public override Instant Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
            NodaConverters.InstantConverter.Read(ref reader, typeToConvert, options);

        public override void Write(Utf8JsonWriter writer, Instant value, JsonSerializerOptions options) => writer.WriteStringValue(value.ToDateTimeUtc());
    }
}
