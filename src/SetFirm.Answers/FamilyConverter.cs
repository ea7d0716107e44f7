using System.Text.Json;
using System.Text.Json.Serialization;

namespace SetFirm.Answers;

/// <summary>Writes a member of a closed family: its <c>code</c>, which is its own name written small, and what it says.</summary>
/// <remarks>Only what is met is looked at: where code is interpreted, getting to know hundreds of members takes a second.</remarks>
internal sealed class FamilyConverter<TFamily> : JsonConverter<TFamily>
    where TFamily : class
{
    public override TFamily Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => throw new NotSupportedException("Reports are only written.");

    public override void Write(Utf8JsonWriter writer, TFamily value, JsonSerializerOptions options)
    {
        var member = options.GetTypeInfo(value.GetType());
        writer.WriteStartObject();
        writer.WriteString(WireJson.Code, JsonNamingPolicy.CamelCase.ConvertName(value.GetType().Name));
        foreach (var said in member.Properties)
        {
            if (said.Get?.Invoke(value) is var of && said.Get is not null && said.ShouldSerialize?.Invoke(value, of) != false)
            {
                writer.WritePropertyName(said.Name);
                JsonSerializer.Serialize(writer, of, said.PropertyType, options);
            }
        }

        writer.WriteEndObject();
    }
}
