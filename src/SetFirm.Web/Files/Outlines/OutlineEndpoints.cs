namespace SetFirm.Web.Files.Outlines;

internal static class OutlineEndpoints
{
    public static void MapOutlines(this IEndpointRouteBuilder api) =>
        api.MapPost("/outlines/read", (OutlineFileDto file) => TypedResults.Ok(OutlineFile.Read(file))).WithName("ReadOutline");
}
