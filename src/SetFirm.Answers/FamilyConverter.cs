using System.Collections.Concurrent;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace SetFirm.Answers;

/// <summary>Writes a member of a closed family: its <c>code</c>, which is its own name written small, and what it says.</summary>
/// <remarks>Only what is met is looked at, once: where code is interpreted, getting to know hundreds of members takes a second.</remarks>
internal sealed class FamilyConverter<TFamily> : JsonConverter<TFamily>
    where TFamily : class
{
    private static readonly JsonEncodedText Code = JsonEncodedText.Encode(WireJson.Code);

    // A converter serves one set of options.
    private readonly ConcurrentDictionary<Type, Member> met = new();

    public override TFamily Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => throw new NotSupportedException("Reports are only written.");

    public override void Write(Utf8JsonWriter writer, TFamily value, JsonSerializerOptions options)
    {
        var member = met.GetOrAdd(value.GetType(), Member.Of, options);
        writer.WriteStartObject();
        writer.WriteString(Code, member.Code);
        foreach (var fact in member.Facts)
        {
            var said = fact.Get(value);
            if (fact.IsTold?.Invoke(value, said) != false)
            {
                writer.WritePropertyName(fact.Name);
                switch (said)
                {
                    // Most facts are numbers; the rest goes the long way.
                    case null:
                        writer.WriteNullValue();
                        break;
                    case double number:
                        fact.Numbers!.Write(writer, number, options);
                        break;
                    case int count:
                        writer.WriteNumberValue(count);
                        break;
                    default:
                        JsonSerializer.Serialize(writer, said, fact.Type, options);
                        break;
                }
            }
        }

        writer.WriteEndObject();
    }

    private sealed record Fact(JsonEncodedText Name, Type Type, Func<object, object?> Get, Func<object, object?, bool>? IsTold, JsonConverter<double>? Numbers);

    private sealed record Member(JsonEncodedText Code, Fact[] Facts)
    {
        public static Member Of(Type type, JsonSerializerOptions options)
        {
            var numbers = (JsonConverter<double>)options.GetConverter(typeof(double));
            return new Member(
                JsonEncodedText.Encode(JsonNamingPolicy.CamelCase.ConvertName(type.Name)),
                [.. options.GetTypeInfo(type).Properties.Where(p => p.Get is not null).Select(p => new Fact(JsonEncodedText.Encode(p.Name), p.PropertyType, p.Get!, p.ShouldSerialize, numbers))]);
        }
    }
}
