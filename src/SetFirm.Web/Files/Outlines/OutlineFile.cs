using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Web.Files.Outlines;

/// <summary>What the numbers of a file measure, where the file does not say.</summary>
public enum OutlineFileUnit
{
    Millimetres,
    Centimetres,
    Metres,
    Inches,
    Feet,
}

/// <summary>A file to read an outline from.</summary>
public sealed record OutlineFileDto
{
    /// <summary>Its whole text: DXF, GeoJSON or a table of points.</summary>
    public required string Text { get; init; }

    /// <summary>What its numbers measure; null takes what the file says.</summary>
    public required OutlineFileUnit? Unit { get; init; }
}

/// <param name="Points">The outline, moved to begin at the plan's origin; null where it could not be read.</param>
/// <param name="Findings">What is wrong with the file, and where.</param>
public sealed record ReadOutlineDto(IReadOnlyList<PointDocument>? Points, IReadOnlyList<Finding> Findings);

/// <summary>A corner as a file gives it, in the file's own unit.</summary>
/// <param name="X">Along.</param>
/// <param name="Y">Across.</param>
/// <param name="Bulge">Tangent of a quarter of the sweep of the arc to the next corner, positive against the clock; 0 is straight.</param>
internal readonly record struct FilePoint(double X, double Y, double Bulge = 0);

/// <summary>What came of reading a file: corners, and metres to one of its units (null where the file does not say).</summary>
internal sealed record FileOutline(IReadOnlyList<FilePoint> Points, double? MetresPerUnit);

/// <summary>Thrown inside this folder where a file cannot be read on; the endpoint answers its finding.</summary>
internal sealed class OutlineFileException(Finding finding) : Exception(finding.Says.ToString())
{
    public Finding Finding { get; } = finding;

    public static OutlineFileException Damaged(int line, string reason) =>
        new(new Finding(Severity.Error, Place.Line(line), new Notice.FileDamaged(Line: line, Reason: reason)));

    public static OutlineFileException Empty() => new(new Finding(Severity.Error, Place.Line(1), new Notice.FileWithoutOutline()));
}

/// <summary>Reads an outline from a file's text; which kind of file it is shows in the text.</summary>
internal static class OutlineFile
{
    public const int MostPoints = 10_000;

    /// <summary>Corners nearer than this are one, metres.</summary>
    private const double SameM = 1e-6;

    public static ReadOutlineDto Read(OutlineFileDto said)
    {
        try
        {
            var read = Parse(said.Text);
            if ((said.Unit is { } unit ? MetresPer(unit) : read.MetresPerUnit) is not { } metres)
            {
                return new ReadOutlineDto(null, [new Finding(Severity.Error, Place.Line(1), new Notice.FileUnitUnknown())]);
            }

            return Placed(read.Points, metres);
        }
        catch (OutlineFileException e)
        {
            return new ReadOutlineDto(null, [e.Finding]);
        }
    }

    public static double MetresPer(OutlineFileUnit unit) => unit switch
    {
        OutlineFileUnit.Millimetres => 0.001,
        OutlineFileUnit.Centimetres => 0.01,
        OutlineFileUnit.Metres => 1,
        OutlineFileUnit.Inches => Length.MetresPerInch,
        OutlineFileUnit.Feet => Length.MetresPerFoot,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private static FileOutline Parse(string text)
    {
        var start = text.AsSpan().TrimStart("\uFEFF \t\r\n");
        return start.StartsWith("{") ? GeoJsonOutline.Read(text)
            : start.StartsWith("0") && text.Contains("SECTION", StringComparison.Ordinal) ? DxfOutline.Read(text)
            : CsvOutline.Read(text);
    }

    // Metres from the lower left corner; a closing corner that repeats the first is left out.
    private static ReadOutlineDto Placed(IReadOnlyList<FilePoint> points, double metres)
    {
        var kept = new List<FilePoint>(points.Count);
        foreach (var p in points)
        {
            if (!double.IsFinite(p.X) || !double.IsFinite(p.Y) || !double.IsFinite(p.Bulge))
            {
                throw OutlineFileException.Damaged(1, "notANumber");
            }

            if (kept.Count == 0 || Apart(kept[^1], p) * metres > SameM)
            {
                kept.Add(p);
            }
        }

        if (kept.Count > 1 && Apart(kept[0], kept[^1]) * metres <= SameM)
        {
            kept.RemoveAt(kept.Count - 1);
        }

        if (kept.Count < 3)
        {
            throw OutlineFileException.Empty();
        }

        if (kept.Count > MostPoints)
        {
            throw new OutlineFileException(new Finding(Severity.Error, Place.Line(1), new Notice.FileTooManyPoints(Count: kept.Count, Most: MostPoints)));
        }

        var (left, low, side) = (kept.Min(p => p.X), kept.Min(p => p.Y), Math.Sign(Area(kept)));
        return new ReadOutlineDto(
            [.. kept.Select((p, i) => new PointDocument
            {
                X = Math.Round((p.X - left) * metres, 6),
                Y = Math.Round((p.Y - low) * metres, 6),
                // Half the chord times the bulge; against the clock is out of an outline that runs against the clock.
                Rise = Math.Round(p.Bulge * Apart(p, kept[(i + 1) % kept.Count]) / 2 * metres * side, 6),
            })],
            []);
    }

    private static double Apart(FilePoint a, FilePoint b) => new PlanPoint(a.X, a.Y).DistanceTo(new PlanPoint(b.X, b.Y));

    /// <summary>The shoelace sum over corners: positive against the clock.</summary>
    internal static double Area(IReadOnlyList<FilePoint> points)
    {
        double twice = 0;
        for (var i = 0; i < points.Count; i++)
        {
            var (a, b) = (points[i], points[(i + 1) % points.Count]);
            twice += (a.X * b.Y) - (b.X * a.Y);
        }

        return twice / 2;
    }
}
