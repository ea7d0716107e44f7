using SetFirm.Core.Formwork;
using SetFirm.Core.Job;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Steel;
using SetFirm.Web.Wire;

namespace SetFirm.Web.Files;

/// <summary>One bag to choose from.</summary>
/// <param name="Id">Its name in documents.</param>
/// <param name="Kind">Generic kind.</param>
/// <param name="MassKg">Of a full bag.</param>
/// <param name="YieldL">Placed from one bag.</param>
/// <param name="F28Mpa">At the middle of its water.</param>
/// <param name="InitialSetH">At 20 °C.</param>
/// <param name="Family">How it sets.</param>
/// <param name="DefaultIn">The system in which a new job starts with it; null for the rest.</param>
public sealed record BagDto(
    string Id, BagKind Kind, double MassKg, double YieldL, double F28Mpa, double InitialSetH, MixFamily Family, UnitSystem? DefaultIn);

/// <summary>A board as sold: actual sizes.</summary>
public sealed record LumberDto(string Id, double ThicknessMm, double HeightMm, UnitSystem System);

/// <summary>A bar as sold.</summary>
public sealed record BarDto(string Id, double DiameterMm, double KgPerM, UnitSystem System);

/// <summary>A kind of thing that is poured, with a first element of it.</summary>
public sealed record KindDto(StartKind Kind, ElementDocument Element);

internal static class CatalogueEndpoints
{
    public static void MapCatalogue(this IEndpointRouteBuilder api)
    {
        api.MapGet("/bags", () => BagCatalogue.All.Select(b => new BagDto(
            b.Id, b.Kind, b.Mass.Kilograms, b.Yield.Litres, b.F28.Megapascals, b.ToInitialSet.TotalHours, b.Family, DefaultIn(b))).ToArray()).WithName("ListBags");
        api.MapGet("/lumber", () => Lumber.All.Select(l => new LumberDto(l.Id, l.Thickness.Millimetres, l.Height.Millimetres, l.System)).ToArray()).WithName("ListLumber");
        api.MapGet("/bars", () => Bars.All.Select(b => new BarDto(b.Id, b.Diameter.Millimetres, b.KgPerM, b.System)).ToArray()).WithName("ListBars");
        api.MapGet("/kinds", IResult (string? units) =>
            !Enum.TryParse<UnitSystem>(units ?? nameof(UnitSystem.Metric), ignoreCase: true, out var system) || !Enum.IsDefined(system)
                ? Problems.UnknownUnits(units ?? "")
                : TypedResults.Ok(Enum.GetValues<StartKind>().Select(k => new KindDto(k, StartKinds.Element(k, system))).ToArray()))
            .WithName("ListKinds").Produces<KindDto[]>().ProducesProblem(422);
        api.MapGet("/coats", () => CoatCatalogue.All.ToArray()).WithName("ListCoats");
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
