using System.Text.Json;
using NetTopologySuite.Features;
using NetTopologySuite.Geometries;
using NetTopologySuite.IO.Converters;

namespace SetFirm.Web.Files.Outlines;

/// <summary>Reads the largest polygon of a GeoJSON text.</summary>
/// <remarks>
/// RFC 7946: positions are degrees of longitude and latitude. They are laid flat round their own middle; over the size of a garden
/// that is true to a millimetre. Positions that cannot be degrees are taken as metres of a local grid.
/// </remarks>
internal static class GeoJsonOutline
{
    private const double EarthRadiusM = 6_371_008.8; // mean radius, IUGG
    private static readonly JsonSerializerOptions Options = new() { Converters = { new GeoJsonConverterFactory() } };

    public static FileOutline Read(string text)
    {
        var polygon = Polygons(text).MaxBy(p => p.Area) ?? throw OutlineFileException.Empty();
        var shell = polygon.Shell.Coordinates;
        if (shell.Any(c => Math.Abs(c.X) > 180 || Math.Abs(c.Y) > 90))
        {
            return new FileOutline([.. shell.Select(c => new FilePoint(c.X, c.Y))], 1);
        }

        var (middle, metresPerDegree) = (polygon.EnvelopeInternal.Centre, EarthRadiusM * Math.PI / 180);
        var shrink = Math.Cos(middle.Y * Math.PI / 180);
        return new FileOutline([.. shell.Select(c => new FilePoint((c.X - middle.X) * metresPerDegree * shrink, (c.Y - middle.Y) * metresPerDegree))], 1);
    }

    private static IEnumerable<Polygon> Polygons(string text)
    {
        List<Geometry?> found;
        try
        {
            using var json = JsonDocument.Parse(text);
            var type = json.RootElement.TryGetProperty("type", out var t) && t.ValueKind == JsonValueKind.String ? t.GetString() : null;
            found = type switch
            {
                "FeatureCollection" => [.. (JsonSerializer.Deserialize<FeatureCollection>(text, Options) ?? []).Select(Geometry? (f) => f.Geometry)],
                "Feature" => [JsonSerializer.Deserialize<IFeature>(text, Options)?.Geometry],
                _ => [JsonSerializer.Deserialize<Geometry>(text, Options)],
            };
        }
        catch (JsonException e)
        {
            throw OutlineFileException.Damaged((int)(e.LineNumber ?? 0) + 1, "notGeoJson");
        }
        catch (Exception e) when (e is ArgumentException or InvalidOperationException or NotSupportedException or FormatException)
        {
            throw OutlineFileException.Damaged(1, "notGeoJson");
        }

        return found.OfType<Geometry>().SelectMany(g => Enumerable.Range(0, g.NumGeometries).Select(g.GetGeometryN)).OfType<Polygon>().Where(p => !p.IsEmpty);
    }
}
