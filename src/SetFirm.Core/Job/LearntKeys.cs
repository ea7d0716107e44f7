using SetFirm.Core.Batching;
using SetFirm.Core.Learning;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>Which things of a job what is learnt belongs to.</summary>
public static class LearntKeys
{
    /// <summary>Of a bag its name in the catalogue, of one of the user's own the name it was given; mixes by parts set alike, and so do trucks.</summary>
    public static LearntKey Set(MixDocument mix, BuyDocument buy, MixingDocument mixing)
    {
        ArgumentNullException.ThrowIfNull(buy);
        ArgumentNullException.ThrowIfNull(mixing);
        var what = mix switch
        {
            BaggedMixDocument bagged => buy.Bags.FirstOrDefault(b => b.Id == bagged.Bag)?.Name ?? bagged.Bag,
            PartsMixDocument => "parts",
            _ => "ready",
        };
        return new LearntKey(LearntOf.Set, what, mixing.Crew ?? "");
    }

    /// <summary>Of a mixer its name, or what kind it is.</summary>
    public static LearntKey Pace(MixingDocument mixing)
    {
        ArgumentNullException.ThrowIfNull(mixing);
        return new LearntKey(LearntOf.Pace, mixing.Mixer.Called ?? KindOf(mixing.Mixer), mixing.Crew ?? "");
    }

    public static LearntKey Finishing(MixingDocument mixing)
    {
        ArgumentNullException.ThrowIfNull(mixing);
        return new LearntKey(LearntOf.Finishing, "", mixing.Crew ?? "");
    }

    public static LearntKey Waste(Bed bed) => new(LearntOf.Waste, Named(bed), "");

    public static LearntKey Sheen(SiteDocument site)
    {
        ArgumentNullException.ThrowIfNull(site);
        return new LearntKey(LearntOf.Sheen, site.Called ?? "", "");
    }

    /// <summary>Every key that a job's plan asks for, each once.</summary>
    public static IEnumerable<LearntKey> Of(JobDocument job)
    {
        ArgumentNullException.ThrowIfNull(job);
        MixingDocument[] mixings = [job.Mixing, .. job.Pours.Select(p => p.Mixing).OfType<MixingDocument>()];
        return mixings.SelectMany(m => job.Mixes.Select(mix => Set(mix, job.Buy, m)).Append(Pace(m)).Append(Finishing(m)))
            .Concat(job.Elements.Where(e => e.WastePercent is null).Select(e => Waste(e.Bed))).Append(Sheen(job.Site)).Distinct();
    }

    private static string KindOf(MixerDocument mixer) => Named(mixer.Kind);

    private static string Named<T>(T value)
        where T : struct, Enum => System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(value.ToString());
}
