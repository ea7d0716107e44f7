using System.Collections.Immutable;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Planning;

/// <summary>The mixes of a job, and what of it is of which.</summary>
internal static class JobMixes
{
    /// <summary>Id of the slurry that nobody said a mix for.</summary>
    public const string SlurryId = "slurry";

    /// <summary>Those that can be measured out, in the document's order.</summary>
    /// <param name="job">As said.</param>
    /// <param name="own">Bags of the user's own.</param>
    /// <param name="elements">Worked out; null while one is unsound.</param>
    /// <param name="gate">Takes findings.</param>
    public static ImmutableArray<MixPlan> Read(JobDocument job, ImmutableArray<BagMix> own, ImmutableArray<ElementPlan>? elements, Gate gate)
    {
        if (job.Mixes.Count > Limits.MostMixes)
        {
            gate.Fault(Places.Mixes, new Notice.TooMany(Count: job.Mixes.Count, Most: Limits.MostMixes));
            return [];
        }

        var (found, ids) = (ImmutableArray.CreateBuilder<MixPlan>(), new HashSet<string>());
        for (var i = 0; i < job.Mixes.Count; i++)
        {
            var (said, at) = (job.Mixes[i], Places.Mix(i));
            if (!ids.Add(said.Id))
            {
                gate.Fault(at.Id, new Notice.SameId(Given: said.Id));
            }
            else if (JobReader.Mix(said, at, own, gate) is { } read)
            {
                found.Add(new MixPlan(i, said.Id, read, MixAdvice.Plan(read, at, i == 0 ? "" : said.Id, gate)));
            }
        }

        // Cement and water, in the job's containers.
        if (elements is { } all && all.SelectMany(e => e.Cast.Courses).Any(c => c.Course == Course.Slurry) && found.FirstOrDefault(m => m.Index == 0) is { } first && ids.Add(SlurryId))
        {
            var (said, recipe) = Slurry.In(first.Said);
            found.Add(new MixPlan(-1, SlurryId, said, recipe));
        }

        for (var i = 0; i < job.Elements.Count; i++)
        {
            foreach (var unknown in Enum.GetValues<Course>().Select(job.Elements[i].MixOf).Append(job.Elements[i].Mix).OfType<string>().Distinct().Where(id => !ids.Contains(id)))
            {
                gate.Fault(Places.Element(i).Mix, new Notice.UnknownMix(Given: unknown));
            }
        }

        return found.ToImmutable();
    }

    /// <summary>What a way to get the job's own mix has to give.</summary>
    public static WaysContext Wanted(JobDocument job, ImmutableArray<ElementPlan> elements, ImmutableArray<BagMix> own, BuyTerms? terms, MixingPlace? place)
    {
        var mine = elements.SelectMany(e => e.MixParts.Where(p => p.Mix == job.Mix.Id).Select(p => (e.Traits.Mix, Part: p))).DefaultIfEmpty((Mix: elements[0].Traits.Mix, Part: elements[0].MixParts.First())).ToArray();
        ImmutableArray<MixUse> uses = [.. mine.Select(m => m.Mix).Distinct()];
        var steel = elements.Any(e => e.MixParts.Any(p => p.Mix == job.Mix.Id) && e.Build is { Steel.Rusts: true });
        var demand = MixUses.Demand(uses, job.Mix.Exposure, steel, mine.Min(m => m.Part.Thinnest.Millimetres), mine.Max(m => m.Part.Deepest.Millimetres));
        return new WaysContext(
            demand, uses, mine.Sum(m => m.Part.Litres) + LoadAdvice.HoldBackL, job.Build.Sold, own, terms?.Prices ?? PriceBook.Typical, place, terms?.HourWorth ?? 0,
            Layings.Of(elements.SelectMany(e => e.MixParts.Where(p => p.Mix == job.Mix.Id).Select(p => (e, p.Litres, FaceM2: e.FaceM2 * p.Litres / e.OrderL)))));
    }

    /// <summary>What a mix has to do with the elements that are of it.</summary>
    public static void Check(ImmutableArray<ElementPlan> elements, ImmutableArray<MixPlan> mixes, Lazy<IReadOnlyList<Way>> ways, bool built, Gate gate)
    {
        var other = new Lazy<BagInstead?>(() => Ways.Bag(ways.Value));
        var told = false;
        foreach (var element in elements)
        {
            foreach (var parts in element.MixParts.GroupBy(p => p.Mix))
            {
                if (mixes.FirstOrDefault(m => m.Id == parts.Key) is { Index: >= 0 } mix)
                {
                    MixAdvice.CheckSection(mix.Recipe, parts.MinBy(p => p.Thinnest.Metres).Thinnest, element.Read.ThicknessAt, mix.At, mix.Index == 0 ? other : null, gate);
                }
            }

            var face = mixes.FirstOrDefault(m => m.Id == element.MixParts.Last().Mix) ?? mixes.First(m => m.Index == 0);
            told = told || FinishAdvice.CheckAir(element.Finish, face.Recipe.Doses, element.At, gate);
        }

        foreach (var mix in mixes.Where(m => m.Index >= 0))
        {
            var own = elements.Where(e => e.MixParts.Any(p => p.Mix == mix.Id)).ToArray();
            MixAdvice.CheckExposure(mix.Said.Exposure, mix.Recipe, built && own.Any(e => e.Build!.Steel.Rusts), mix.At, gate);
            SteelAdvice.CheckChloride(built && own.Any(e => e.Build!.Steel.Rusts), mix.Recipe.Doses, mix.At, gate);
            if (own.Length > 0)
            {
                MixAdvice.CheckDepth(mix.Recipe, Length.FromMetres(own.Max(e => e.Cast.FormHeight.Metres)), mix.At, gate);
            }
        }
    }
}
