using System.Text.Json.Nodes;

namespace SetFirm.Core.Plans.Document;

/// <summary>Brings the JSON of an older job file up to the form that is read now. One step for each version; none is ever changed.</summary>
internal static class JobUpgrade
{
    /// <param name="job">A job of a known older version; it is changed.</param>
    public static JsonObject ToCurrent(JsonObject job)
    {
        if ((int?)job["version"] == 1)
        {
            OneToTwo(job);
        }

        return job;
    }

    // Version 1 had slabs only, each walked round; version 2 says outlines in several ways, and has the ground.
    private static void OneToTwo(JsonObject job)
    {
        job["version"] = 2;
        if (job["build"] is null)
        {
            job["build"] = new JsonObject
            {
                ["sold"] = job["units"]?.DeepClone(),
                ["soil"] = "sound",
                ["frost"] = "none",
                ["base"] = "",
                ["plastic"] = false,
                ["stringAbove"] = "100 mm",
                ["stock"] = new JsonArray(),
                ["ticked"] = new JsonArray(),
            };
        }

        foreach (var slab in (job["elements"] as JsonArray ?? []).OfType<JsonObject>().Where(e => e["edges"] is JsonArray && e["outline"] is null))
        {
            var (sides, edges) = (new JsonArray(), new JsonArray());
            foreach (var walked in slab["edges"]!.AsArray())
            {
                var side = walked?.DeepClone();
                if (side is JsonObject parts && parts["meets"] is { } meets)
                {
                    edges.Add(new JsonObject { ["meets"] = meets.DeepClone() });
                    parts.Remove("meets");
                }

                sides.Add(side);
            }

            slab["outline"] = new JsonObject { ["kind"] = "walked", ["sides"] = sides };
            slab["edges"] = edges;
        }
    }
}
