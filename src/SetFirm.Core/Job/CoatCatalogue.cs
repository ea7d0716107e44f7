using System.Collections.Immutable;

namespace SetFirm.Core.Job;

/// <summary>Usual products to begin from; the label of the one that is bought stands in their place. Names are ids.</summary>
/// <remarks>Source: site practice: penetrating sealers from 7 days, film sealers and paints when cured for 28, or by their maker's moisture test.</remarks>
public static class CoatCatalogue
{
    public static ImmutableArray<CoatDocument> All { get; } =
    [
        Of("penetratingSealer", 2, 7, 2, 24, cureH: 24),
        Of("reactiveSealer", 2, 7, 4, 48, keepWetH: 2, onDry: false, cureH: 24),
        Of("filmSealer", 2, 28, 4, 24, cureH: 48),
        Of("counterSealer", 3, 28, 3, 12, cureH: 72),
        Of("paint", 2, 28, 6, 48, cureH: 72),
        Of("stain", 2, 14, 2, 24, cureH: 24, dilution: 1),
    ];

    /// <summary>What a counter is sealed with where nothing is said.</summary>
    public static CoatDocument Usual => All[0];

    /// <summary>Its id; own for a product that the user named.</summary>
    public static string IdOf(string name) => All.Any(c => c.Name == name) ? name : "own";

    private static CoatDocument Of(string name, int coats, double fromDays, double leastH, double mostH, double keepWetH = 0, bool onDry = true, double dilution = 0, double cureH = 0) => new()
    {
        Name = name,
        Coats = coats,
        FromDays = fromDays,
        RecoatLeastH = leastH,
        RecoatMostH = mostH,
        KeepWetH = keepWetH,
        OnDry = onDry,
        Dilution = dilution,
        CureH = cureH,
    };
}
