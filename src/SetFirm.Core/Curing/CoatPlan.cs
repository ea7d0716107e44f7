using System.Collections.Immutable;
using NodaTime;

namespace SetFirm.Core.Curing;

/// <summary>A product that goes on in coats, as its label has it.</summary>
/// <param name="Coats">How many.</param>
/// <param name="FromDays">Age of the concrete before the first, days.</param>
/// <param name="RecoatLeastH">From one to the next, hours.</param>
/// <param name="RecoatMostH">Later it is scuffed first.</param>
/// <param name="OnDry">It wants a dry face.</param>
/// <param name="CureH">After the last until it is used or coated with something else.</param>
public readonly record struct CoatProduct(int Coats, double FromDays, double RecoatLeastH, double RecoatMostH, bool OnDry, double CureH);

/// <summary>One coat in the calendar.</summary>
/// <param name="Product">Which, in order.</param>
/// <param name="Number">From 1.</param>
/// <param name="Opens">Not before.</param>
/// <param name="Closes">Later it is scuffed first; null for a first coat.</param>
/// <param name="At">The hour it is laid into.</param>
/// <param name="Late">It falls after its window.</param>
public readonly record struct CoatTime(int Product, int Number, Instant Opens, Instant? Closes, Instant At, bool Late);

/// <summary>Lays coats into hours in which someone works and it stays dry.</summary>
public static class CoatPlan
{
    /// <summary>After wet curing a face dries so long before a product that wants it dry, hours. Site practice (tune).</summary>
    public const double DryingH = 24;

    /// <summary>A fresh coat wants so many dry hours.</summary>
    public const double DryAfterH = 4;

    private const int MostHoursAhead = 24 * 60;

    /// <param name="products">In the order in which they go on.</param>
    /// <param name="poured">Water into the last batch.</param>
    /// <param name="wetUntil">It is kept wet until then.</param>
    /// <param name="works">Hours in which someone works.</param>
    /// <param name="staysDry">Whether a coat laid at a moment stays dry.</param>
    public static ImmutableArray<CoatTime> Of(IReadOnlyList<CoatProduct> products, Instant poured, Instant wetUntil, WakingHours works, Func<Instant, bool> staysDry)
    {
        ArgumentNullException.ThrowIfNull(products);
        ArgumentNullException.ThrowIfNull(works);
        ArgumentNullException.ThrowIfNull(staysDry);
        var (coats, free) = (ImmutableArray.CreateBuilder<CoatTime>(), wetUntil);
        for (var p = 0; p < products.Count; p++)
        {
            var product = products[p];
            var opens = Instant.Max(poured + Duration.FromDays(product.FromDays), free + Duration.FromHours(product.OnDry && p == 0 ? DryingH : 0));
            Instant? closes = null;
            for (var number = 1; number <= product.Coats; number++)
            {
                var at = Free(opens, works, staysDry);
                coats.Add(new CoatTime(p, number, opens, closes, at, closes is { } last && at > last));
                (opens, closes) = (at + Duration.FromHours(product.RecoatLeastH), at + Duration.FromHours(product.RecoatMostH));
                free = at + Duration.FromHours(product.CureH);
            }
        }

        return coats.ToImmutable();
    }

    // Full hours from the first on; where none is dry within two months, the first in which someone works.
    private static Instant Free(Instant from, WakingHours works, Func<Instant, bool> staysDry)
    {
        for (var h = 0; h < MostHoursAhead; h++)
        {
            var at = from + Duration.FromHours(h);
            if (works.Holds(at) && staysDry(at))
            {
                return at;
            }
        }

        return works.Next(from);
    }
}
