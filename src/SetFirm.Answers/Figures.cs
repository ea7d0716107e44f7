using System.Globalization;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace SetFirm.Answers;

/// <summary>Figures of a report, to nine digits: nobody measures the tenth, and they are half of what is sent.</summary>
/// <remarks>For reports alone; what a person said goes back and forth as it is.</remarks>
internal sealed class Figures : JsonConverter<double>
{
    private const int LongestText = 32;

    public override double Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) => reader.GetDouble();

    public override void Write(Utf8JsonWriter writer, double value, JsonSerializerOptions options)
    {
        Span<byte> text = stackalloc byte[LongestText];
        if (!double.IsFinite(value) || !value.TryFormat(text, out var length, "G9", CultureInfo.InvariantCulture))
        {
            throw new JsonException("A report holds finite figures.");
        }

        writer.WriteRawValue(text[..length], skipInputValidation: true);
    }
}
