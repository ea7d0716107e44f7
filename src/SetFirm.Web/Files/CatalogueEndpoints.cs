using SetFirm.Core.Mixes;
using SetFirm.Core.Plans.Document;

namespace SetFirm.Web.Files;

/// <summary>One bag to choose from.</summary>
public sealed record BagDto(string Id, BagKind Kind, double MassKg, double YieldL, double F28Mpa, double InitialSetH, MixFamily Family);

internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bags", () => BagCatalogue.All.Select(b => new BagDto(
            b.Id, b.Kind, b.Mass.Kilograms, b.Yield.Litres, b.F28.Megapascals, b.ToInitialSet.TotalHours, b.Family)).ToArray()).WithName("ListBags");
        api.MapGet("/job-schema", () => TypedResults.Text(JobFile.Schema().ToJsonString(JobFile.Options), "application/schema+json"))
            .WithName("GetJobSchema").ExcludeFromDescription();
    }
}
