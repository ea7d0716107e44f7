using System.Text.Json;

namespace SetFirm.Core.Job;

/// <summary>Numbers as they stand in a file or a body: 1e999 is one to a reader of JSON, who makes it infinite; to us it cannot be read.</summary>
public static class FiniteNumbers
{
    /// <summary>Why a number is refused.</summary>
    public const string Reason = "the number is beyond all numbers";

    /// <summary>Path of the first number that no double holds; null where all are sound.</summary>
    public static string? Beyond(JsonElement json) => Path(json) is { } path ? "$" + path : null;

    private static string? Path(JsonElement json)
    {
        switch (json.ValueKind)
        {
            case JsonValueKind.Number:
                return json.TryGetDouble(out var value) && double.IsFinite(value) ? null : "";
            case JsonValueKind.Object:
                foreach (var part in json.EnumerateObject())
                {
                    if (Path(part.Value) is { } below)
                    {
                        return $".{part.Name}{below}";
                    }
                }

                return null;
            case JsonValueKind.Array:
                var index = 0;
                foreach (var item in json.EnumerateArray())
                {
                    if (Path(item) is { } below)
                    {
                        return $"[{index}]{below}";
                    }

                    index++;
                }

                return null;
            default:
                return null;
        }
    }
}
