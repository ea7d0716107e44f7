using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Web.Storage;

namespace SetFirm.Web.Jobs;

/// <summary>What has a name in the yard, as it last stood in a job: chosen in another it brings its sizes along, and what was learnt of it.</summary>
/// <param name="Crews">People.</param>
/// <param name="Mixers">By name.</param>
/// <param name="Sites">By name.</param>
/// <param name="Bags">Of the yard's own.</param>
/// <param name="Containers">By name.</param>
/// <param name="Prices">The latest of each thing, in each money.</param>
public sealed record YardThings(
    IReadOnlyList<CrewThing> Crews, IReadOnlyList<MixerDocument> Mixers, IReadOnlyList<SiteDocument> Sites, IReadOnlyList<OwnBagDocument> Bags, IReadOnlyList<ContainerDocument> Containers,
    IReadOnlyList<YardPrice> Prices);

/// <param name="Name">What the yard calls them.</param>
/// <param name="Hands">How many.</param>
/// <param name="Pace">How fast, as far as it is said.</param>
public sealed record CrewThing(string Name, int Hands, PaceDocument Pace);

/// <param name="Currency">Of what money.</param>
/// <param name="Good">Of what.</param>
/// <param name="Price">For one as sold.</param>
/// <param name="Date">When it was asked; empty where not noted.</param>
public sealed record YardPrice(string Currency, string Good, double Price, string Date);

/// <summary>The things of the yard: those that its jobs name now, and those of jobs that are gone for good. Prices are kept as jobs are saved.</summary>
/// <remarks>A name is typed letter by letter, and saved meanwhile: only the one that stands is a thing.</remarks>
internal static class Things
{
    /// <summary>Letters; a longer name is no name.</summary>
    private const int LongestName = 60;

    /// <summary>Among so many jobs names are looked for, the last changed first.</summary>
    private const int MostJobs = 300;

    private const int MostOfAKind = 200;
    private const int MostPrices = 1_000;

    public static void MapThings(this IEndpointRouteBuilder api) => api.MapGet("/things", ListAsync).WithName("ListThings").Produces<YardThings>();

    /// <summary>A new job with the yard's prices.</summary>
    public static async Task<JobDocument> PricesAsync(SetFirmDb db, JobDocument job, CancellationToken cancellation)
    {
        var prices = await db.Prices.AsNoTracking().Where(p => p.Currency == job.Buy.Currency).OrderBy(p => p.Good).ToListAsync(cancellation);
        return prices.Count == 0 ? job : job with { Buy = job.Buy with { Prices = [.. prices.Select(p => new PriceDocument { Good = p.Good, Price = p.Price, Date = p.Date })] } };
    }

    /// <summary>Takes the prices of a job into the yard's book: the one asked last counts, of one day the one noted last.</summary>
    public static async Task KeepPricesAsync(SetFirmDb db, JobDocument job, CancellationToken cancellation)
    {
        var currency = job.Buy.Currency;
        if (job.Buy.Prices.Count == 0 || currency.Length > LongestName)
        {
            return;
        }

        var book = await db.Prices.Where(p => p.Currency == currency).ToDictionaryAsync(p => p.Good, cancellation);
        foreach (var price in job.Buy.Prices.DistinctBy(p => p.Good).Where(p => IsName(p.Good) && double.IsFinite(p.Price) && p.Date.Length <= LongestName))
        {
            if (book.TryGetValue(price.Good, out var kept))
            {
                if (string.CompareOrdinal(price.Date, kept.Date) >= 0)
                {
                    (kept.Price, kept.Date) = (price.Price, price.Date);
                }
            }
            else if (book.Count < MostPrices)
            {
                book.Add(price.Good, db.Prices.Add(new PriceRow { Currency = currency, Good = price.Good, Price = price.Price, Date = price.Date }).Entity);
            }
        }
    }

    /// <summary>Keeps what a job names before it is gone for good.</summary>
    public static async Task KeepAsync(SetFirmDb db, JobDocument job, Instant now, CancellationToken cancellation)
    {
        foreach (var (kind, name, said) in NamedIn(job))
        {
            if (await db.Things.FindAsync([kind, name], cancellation) is null && await db.Things.CountAsync(t => t.Kind == kind, cancellation) < MostOfAKind)
            {
                db.Things.Add(new ThingRow { Kind = kind, Name = name, Said = JsonSerializer.Serialize(said, TypeOf(kind), JobFile.Options), UpdatedAt = now });
            }
        }
    }

    private static IEnumerable<(ThingKind Kind, string Name, object Said)> NamedIn(JobDocument job)
    {
        MixingDocument[] mixings = [job.Mixing, .. job.Pours.Select(p => p.Mixing).OfType<MixingDocument>()];
        IEnumerable<(ThingKind, string?, object)> all =
        [
            .. mixings.Select(m => (ThingKind.Crew, m.Crew, (object)new CrewThing(m.Crew ?? "", m.Hands, m.Pace))),
            .. mixings.Select(m => (ThingKind.Mixer, m.Mixer.Called, (object)m.Mixer)),
            (ThingKind.Site, job.Site.Called, job.Site with { WeatherFile = "", Typed = null }),
            .. job.Buy.Bags.Select(b => (ThingKind.Bag, (string?)b.Name, (object)b)),
            .. job.Mixes.SelectMany(m => m.Containers.All).Select(c => (ThingKind.Container, c.Called, (object)c)),
        ];
        return all.Where(t => IsName(t.Item2)).Select(t => (t.Item1, t.Item2!, t.Item3));
    }

    private static bool IsName(string? said) => !string.IsNullOrWhiteSpace(said) && said.Length <= LongestName;

    private static async Task<IResult> ListAsync(SetFirmDb db, CancellationToken cancellation)
    {
        var known = new Dictionary<(ThingKind, string), object>();
        // Removed ones too: they may come back.
        foreach (var text in await db.Jobs.AsNoTracking().OrderByDescending(j => j.UpdatedAt).Take(MostJobs).Select(j => j.Document).ToListAsync(cancellation))
        {
            if (KeptJob.Read(text) is JobRead.Ok { Document: var job })
            {
                foreach (var (kind, name, said) in NamedIn(job))
                {
                    known.TryAdd((kind, name), said);
                }
            }
        }

        foreach (var row in await db.Things.AsNoTracking().OrderByDescending(t => t.UpdatedAt).ToListAsync(cancellation))
        {
            known.TryAdd((row.Kind, row.Name), Read(row));
        }

        T[] Of<T>(ThingKind kind) => [.. known.Where(t => t.Key.Item1 == kind).Select(t => (T)t.Value)];
        return TypedResults.Ok(new YardThings(
            Of<CrewThing>(ThingKind.Crew), Of<MixerDocument>(ThingKind.Mixer), Of<SiteDocument>(ThingKind.Site), Of<OwnBagDocument>(ThingKind.Bag), Of<ContainerDocument>(ThingKind.Container),
            await db.Prices.AsNoTracking().OrderBy(p => p.Good).Select(p => new YardPrice(p.Currency, p.Good, p.Price, p.Date)).ToListAsync(cancellation)));
    }

    /// <summary>It can be read as what it is.</summary>
    public static bool IsSound(ThingRow row)
    {
        try
        {
            return Enum.IsDefined(row.Kind) && Read(row) is not null;
        }
        catch (Exception e) when (e is JsonException or NotSupportedException or InvalidOperationException)
        {
            return false;
        }
    }

    private static object Read(ThingRow row) => JsonSerializer.Deserialize(row.Said, TypeOf(row.Kind), JobFile.Options)!;

    // As declared: a mixer says of what kind it is.
    private static Type TypeOf(ThingKind kind) => kind switch
    {
        ThingKind.Crew => typeof(CrewThing),
        ThingKind.Mixer => typeof(MixerDocument),
        ThingKind.Site => typeof(SiteDocument),
        ThingKind.Bag => typeof(OwnBagDocument),
        ThingKind.Container => typeof(ContainerDocument),
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}
