using System.Text.Json.Nodes;

namespace SetFirm.Core.Job;

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

        if ((int?)job["version"] == 2)
        {
            TwoToThree(job);
        }

        if ((int?)job["version"] == 3)
        {
            ThreeToFour(job);
        }

        if ((int?)job["version"] == 4)
        {
            FourToFive(job);
        }

        if ((int?)job["version"] == 5)
        {
            FiveToSix(job);
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

    // Version 2 measured everything with one bucket; version 3 has a container for each thing, additives, and what is bought.
    private static void TwoToThree(JsonObject job)
    {
        job["version"] = 3;
        var us = (string?)job["units"] == "us";
        if (job["mix"] is JsonObject mix && mix["containers"] is null)
        {
            var bucket = mix["bucket"] ?? "12 L";
            mix.Remove("bucket");
            JsonObject Container(string kind, JsonNode size) => new() { ["kind"] = kind, ["size"] = size.DeepClone() };
            mix["containers"] = new JsonObject
            {
                ["cement"] = Container("bucket", bucket),
                ["sand"] = Container("bucket", bucket),
                ["stone"] = Container("bucket", bucket),
                ["water"] = Container("jug", us ? "1 qt" : "1 L"),
            };
            mix["additives"] = new JsonObject();
        }

        job["buy"] ??= new JsonObject
        {
            ["currency"] = us ? "$" : "€",
            ["prices"] = new JsonArray(),
            ["shed"] = new JsonArray(),
            ["extras"] = new JsonArray(),
            ["bags"] = new JsonArray(),
            ["payload"] = us ? "900 lb" : "400 kg",
            ["hourWorth"] = 15,
        };
    }

    // Version 4 has the site, working and waking hours, frost guards and coats; all of them begin as the planner took them before.
    private static void ThreeToFour(JsonObject job)
    {
        job["version"] = 4;
        job["site"] ??= new JsonObject
        {
            ["shelter"] = "open",
            ["shade"] = "none",
            ["windbreak"] = false,
            ["fog"] = false,
            ["rainCover"] = false,
            ["weatherFile"] = "",
        };
        if (job["day"] is JsonObject day)
        {
            day["workFrom"] ??= "06:00";
            day["workUntil"] ??= "18:00";
        }

        if (job["cure"] is JsonObject cure)
        {
            cure["wakeFrom"] ??= "07:00";
            cure["wakeUntil"] ??= "22:00";
            cure["frost"] ??= "none";
            cure["coats"] ??= new JsonArray();
        }
    }

    // Version 5 names elements and mixes, has several of both, and says what is poured when; a job of before is one pour, or as many as its moulds ask.
    private static void FourToFive(JsonObject job)
    {
        job["version"] = 5;
        if (job["mixes"] is null && job["mix"] is { } mix)
        {
            job.Remove("mix");
            if (mix is JsonObject said)
            {
                said["id"] ??= "mix-1";
            }

            job["mixes"] = new JsonArray(mix);
        }

        foreach (var (element, index) in (job["elements"] as JsonArray ?? []).Select((e, i) => (e as JsonObject, i)))
        {
            if (element is not null)
            {
                element["id"] ??= $"element-{index + 1}";
            }
        }

        job["pours"] ??= new JsonArray();
    }

    // Version 6 has the crew's own pace; all that is new may be left out.
    private static void FiveToSix(JsonObject job) => job["version"] = 6;
}
