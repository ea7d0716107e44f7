using System.Text.Json.Serialization;
using SetFirm.Core.Events;
using SetFirm.Core.Telling;

namespace SetFirm.Answers;

/// <summary>How the types of questions and reports are read and written, worked out while building: where code is interpreted, finding it out takes seconds.</summary>
/// <remarks>Members of the closed families are not listed: they are found when they are met.</remarks>
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
[JsonSerializable(typeof(JobEvent))]
[JsonSerializable(typeof(AlongDto))]
[JsonSerializable(typeof(LearntFactor[]))]
[JsonSerializable(typeof(int?))]
[JsonSerializable(typeof(IReadOnlyDictionary<string, string>))]
internal sealed partial class WireTypes : JsonSerializerContext;
