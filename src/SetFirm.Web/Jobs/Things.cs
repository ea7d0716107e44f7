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
public sealed record YardThings(IReadOnlyList<CrewThing> Crews, IReadOnlyList<MixerDocument> Mixers, IReadOnlyList<SiteDocument> Sites, IReadOnlyList<OwnBagDocument> Bags, IReadOnlyList<ContainerDocument> Containers, IReadOnlyList<YardPrice> Prices);

/// <param name="Name">What the yard calls them.</param>
/// <param name="Hands">How many.</param>
/// <param name="Pace">How fast, as far as it is said.</param>
public sealed record CrewThing(string Name, int Hands, PaceDocument Pace);

/// <param name="Currency">Of what money.</param>
/// <param name="Good">Of what.</param>
/// <param name="Price">For one as sold.</param>
/// <param name="Date">When it was asked; empty where not noted.</param>
public sealed record YardPrice(string Currency, string Good, double Price, string Date);

/// <summary>Keeps what jobs name, as they are saved.</summary>
internal static class Things
{
    /// <summary>Letters; a longer name is no name.</summary>
    public const int LongestName = 60;

    private const int MostOfAKind = 200;
    private const int MostPrices = 1_000;

    public static void MapThings(this IEndpointRouteBuilder api)
    {
        api.MapGet("/things", ListAsync).WithName("ListThings").Produces<YardThings>();
        api.MapDelete("/things/{kind}/{name}", async Task<IResult> (string kind, string name, SetFirmDb db, CancellationToken cancellation) =>
            {
                if (Enum.TryParse<ThingKind>(kind, ignoreCase: true, out var of) && Enum.IsDefined(of))
                {
                    await db.Things.Where(t => t.Kind == of && t.Name == name).ExecuteDeleteAsync(cancellation);
                }

                return TypedResults.NoContent();
            })
            .WithName("ForgetThing").Produces(204);
    }

    /// <summary>A new job with the yard's prices.</summary>
    public static async Task<JobDocument> PricesAsync(SetFirmDb db, JobDocument job, CancellationToken cancellation)
    {
        var prices = await db.Prices.AsNoTracking().Where(p => p.Currency == job.Buy.Currency).OrderBy(p => p.Good).ToListAsync(cancellation);
        return prices.Count == 0 ? job : job with { Buy = job.Buy with { Prices = [.. prices.Select(p => new PriceDocument { Good = p.Good, Price = p.Price, Date = p.Date })] } };
    }

    /// <summary>Takes what a job names; it is written with the job, or not at all.</summary>
    public static async Task KeepAsync(SetFirmDb db, JobDocument job, Instant now, CancellationToken cancellation)
    {
        MixingDocument[] mixings = [job.Mixing, .. job.Pours.Select(p => p.Mixing).OfType<MixingDocument>()];
        foreach (var mixing in mixings.DistinctBy(m => m.Crew).Where(m => IsName(m.Crew)))
        {
            await KeepAsync(db, ThingKind.Crew, mixing.Crew!, new CrewThing(mixing.Crew!, mixing.Hands, mixing.Pace), now, cancellation);
        }

        foreach (var mixer in mixings.Select(m => m.Mixer).DistinctBy(m => m.Called).Where(m => IsName(m.Called)))
        {
            await KeepAsync(db, ThingKind.Mixer, mixer.Called!, mixer, now, cancellation);
        }

        if (IsName(job.Site.Called))
        {
            await KeepAsync(db, ThingKind.Site, job.Site.Called!, job.Site with { WeatherFile = "", Typed = null }, now, cancellation);
        }

        foreach (var bag in job.Buy.Bags.DistinctBy(b => b.Name).Where(b => IsName(b.Name)))
        {
            await KeepAsync(db, ThingKind.Bag, bag.Name, bag, now, cancellation);
        }

        foreach (var container in job.Mixes.SelectMany(m => m.Containers.All).DistinctBy(c => c.Called).Where(c => IsName(c.Called)))
        {
            await KeepAsync(db, ThingKind.Container, container.Called!, container, now, cancellation);
        }

        foreach (var price in job.Buy.Prices.DistinctBy(p => p.Good).Where(p => IsName(p.Good) && job.Buy.Currency.Length <= LongestName && double.IsFinite(p.Price)))
        {
            await KeepAsync(db, job.Buy.Currency, price, cancellation);
        }
    }

    private static bool IsName(string? said) => !string.IsNullOrWhiteSpace(said) && said.Length <= LongestName;

    private static async Task KeepAsync<T>(SetFirmDb db, ThingKind kind, string name, T said, Instant now, CancellationToken cancellation)
    {
        var text = JsonSerializer.Serialize(said, JobFile.Options);
        if (await db.Things.FindAsync([kind, name], cancellation) is { } kept)
        {
            (kept.Said, kept.UpdatedAt) = kept.Said == text ? (kept.Said, kept.UpdatedAt) : (text, now);
        }
        else if (await db.Things.CountAsync(t => t.Kind == kind, cancellation) < MostOfAKind)
        {
            db.Things.Add(new ThingRow { Kind = kind, Name = name, Said = text, UpdatedAt = now });
        }
    }

    // The one asked last counts; of one day the one noted last.
    private static async Task KeepAsync(SetFirmDb db, string currency, PriceDocument price, CancellationToken cancellation)
    {
        if (await db.Prices.FindAsync([currency, price.Good], cancellation) is { } kept)
        {
            if (string.CompareOrdinal(price.Date, kept.Date) >= 0)
            {
                (kept.Price, kept.Date) = (price.Price, price.Date);
            }
        }
        else if (await db.Prices.CountAsync(cancellation) < MostPrices)
        {
            db.Prices.Add(new PriceRow { Currency = currency, Good = price.Good, Price = price.Price, Date = price.Date });
        }
    }

    private static async Task<IResult> ListAsync(SetFirmDb db, CancellationToken cancellation)
    {
        var things = (await db.Things.AsNoTracking().OrderByDescending(t => t.UpdatedAt).ToListAsync(cancellation)).ToLookup(t => t.Kind);
        T[] Of<T>(ThingKind kind) => [.. things[kind].Select(t => JsonSerializer.Deserialize<T>(t.Said, JobFile.Options)!)];
        return TypedResults.Ok(new YardThings(
            Of<CrewThing>(ThingKind.Crew), Of<MixerDocument>(ThingKind.Mixer), Of<SiteDocument>(ThingKind.Site), Of<OwnBagDocument>(ThingKind.Bag), Of<ContainerDocument>(ThingKind.Container),
            await db.Prices.AsNoTracking().OrderBy(p => p.Good).Select(p => new YardPrice(p.Currency, p.Good, p.Price, p.Date)).ToListAsync(cancellation)));
    }
}
