using System.Text.Json.Serialization;

namespace SetFirm.Core.Job;

/// <summary>How a document's types are read and written, worked out while building: where code is interpreted, finding it out takes seconds.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(JobDocument))]
internal sealed partial class JobJson : JsonSerializerContext;
