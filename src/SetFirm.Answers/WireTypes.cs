using System.Text.Json.Serialization;
using SetFirm.Core.Telling;

namespace SetFirm.Answers;

/// <summary>How reports are written, worked out while building: where code is interpreted, finding it out takes seconds.</summary>
/// <remarks>Only for writing. What is read keeps to what its types say of themselves: a reader made while building forgets the value that stands where nothing is said. Members of the closed families are found when they are met.</remarks>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(PlanReport))]
[JsonSerializable(typeof(CalendarReport))]
[JsonSerializable(typeof(TasksReport))]
[JsonSerializable(typeof(ShopReport))]
[JsonSerializable(typeof(FaultsReport))]
[JsonSerializable(typeof(LookBackAnswer))]
[JsonSerializable(typeof(Core.Sheets.DrawingsReport))]
[JsonSerializable(typeof(PracticesReport))]
[JsonSerializable(typeof(RehearsalReport))]
[JsonSerializable(typeof(StartsReport))]
internal sealed partial class WireTypes : JsonSerializerContext;

/// <summary>How what a device takes along is read: it has no values that may be left out but for null.</summary>
[JsonSourceGenerationOptions(GenerationMode = JsonSourceGenerationMode.Metadata)]
[JsonSerializable(typeof(AlongDto))]
internal sealed partial class AlongTypes : JsonSerializerContext;
