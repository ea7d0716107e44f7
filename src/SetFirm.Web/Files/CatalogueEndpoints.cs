using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;
using SetFirm.Core.Quantities;

namespace SetFirm.Web.Files;

/// <summary>One bag to choose from.</summary>
/// <param name="Id">Its name in documents.</param>
/// <param name="Kind">Generic kind.</param>
/// <param name="MassKg">Of a full bag.</param>
/// <param name="YieldL">Placed from one bag.</param>
/// <param name="F28Mpa">At its most water.</param>
/// <param name="InitialSetH">At 20 °C.</param>
/// <param name="Family">How it sets.</param>
/// <param name="DefaultIn">The system in which a new job starts with it; null for the rest.</param>
public sealed record BagDto(
    string Id, BagKind Kind, double MassKg, double YieldL, double F28Mpa, double InitialSetH, MixFamily Family, UnitSystem? DefaultIn);

internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bags", () => BagCatalogue.All.Select(b => new BagDto(
            b.Id, b.Kind, b.Mass.Kilograms, b.Yield.Litres, b.F28.Megapascals, b.ToInitialSet.TotalHours, b.Family, DefaultIn(b))).ToArray()).WithName("ListBags");
        api.MapGet("/job-schema", () => TypedResults.Text(JobFile.Schema().ToJsonString(JobFile.Options), "application/schema+json"))
            .WithName("GetJobSchema").ExcludeFromDescription();
    }

    private static UnitSystem? DefaultIn(BagMix bag) => bag.Id switch
    {
        BagCatalogue.DefaultMetric => UnitSystem.Metric,
        BagCatalogue.DefaultUs => UnitSystem.Us,
        _ => null,
    };
}
