using System.Globalization;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;

namespace SetFirm.Web.Files.Outlines;

/// <summary>Reads the largest closed outline of an ASCII DXF drawing.</summary>
/// <remarks>
/// The file is pairs of lines: a group code, then a value. Read are the header's unit, and of the entities LWPOLYLINE, POLYLINE with
/// its VERTEXes, CIRCLE, and loose LINEs and ARCs that join end to end. All else is passed over. Source: the published description
/// of the format, release 12, and of the light polyline.
/// </remarks>
internal static class DxfOutline
{
    /// <summary>Ends this near join, in the drawing's own unit.</summary>
    private const double Join = 1e-3;

    private const int MostLoose = 5_000;

    public static FileOutline Read(string text)
    {
        var pairs = Pairs(text);
        var metres = Unit(pairs);
        var outlines = new List<IReadOnlyList<FilePoint>>();
        var loose = new List<(FilePoint From, FilePoint To)>();
        for (var i = 0; i < pairs.Count; i++)
        {
            if (pairs[i].Code != 0)
            {
                continue;
            }

            switch (pairs[i].Value)
            {
                case "LWPOLYLINE":
                    Keep(outlines, Light(pairs, i));
                    break;
                case "POLYLINE":
                    Keep(outlines, Heavy(pairs, i));
                    break;
                case "CIRCLE":
                    outlines.Add(Circle(pairs, i));
                    break;
                case "LINE":
                    loose.Add((new(Number(pairs, i, 10), Number(pairs, i, 20)), new(Number(pairs, i, 11), Number(pairs, i, 21))));
                    break;
                case "ARC":
                    loose.Add(Arc(pairs, i));
                    break;
            }
        }

        outlines.AddRange(Rings(loose));
        return outlines.Count == 0 ? throw OutlineFileException.Empty() : new FileOutline(outlines.MaxBy(o => Math.Abs(OutlineFile.Area(o)))!, metres);
    }

    private readonly record struct Pair(int Code, string Value, int Line);

    private static List<Pair> Pairs(string text)
    {
        var lines = text.Split('\n');
        var pairs = new List<Pair>(lines.Length / 2);
        var last = lines.Length;
        while (last > 0 && string.IsNullOrWhiteSpace(lines[last - 1]))
        {
            last--;
        }

        for (var i = 0; i < last; i += 2)
        {
            if (!int.TryParse(lines[i].Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out var code))
            {
                throw OutlineFileException.Damaged(i + 1, "notANumber");
            }

            if (i + 1 >= last)
            {
                throw OutlineFileException.Damaged(i + 1, "endsEarly");
            }

            pairs.Add(new Pair(code, lines[i + 1].Trim(), i + 2));
        }

        if (pairs.Count == 0 || pairs[^1] is not { Code: 0, Value: "EOF" })
        {
            throw OutlineFileException.Damaged(last, "endsEarly");
        }

        return pairs;
    }

    // Metres to a drawing unit; null where it is not said.
    private static double? Unit(List<Pair> pairs)
    {
        var at = pairs.FindIndex(p => p is { Code: 9, Value: "$INSUNITS" });
        if (at < 0 || at + 1 >= pairs.Count)
        {
            return null;
        }

        return pairs[at + 1].Value switch
        {
            "0" => null,
            "1" => Length.MetresPerInch,
            "2" => Length.MetresPerFoot,
            "4" => 0.001,
            "5" => 0.01,
            "6" => 1,
            "10" => Length.MetresPerYard,
            "14" => 0.1,
            var other => throw new OutlineFileException(new Finding(Severity.Error, Place.Line(pairs[at + 1].Line), new Notice.FileUnitUnsupported(Unit: double.TryParse(other, NumberStyles.Integer, CultureInfo.InvariantCulture, out var code) ? code : -1))),
        };
    }

    private static IEnumerable<Pair> Entity(List<Pair> pairs, int at) => pairs.Skip(at + 1).TakeWhile(p => p.Code != 0);

    private static double Value(Pair pair) => double.TryParse(pair.Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var v) && double.IsFinite(v)
        ? v
        : throw OutlineFileException.Damaged(pair.Line, "notANumber");

    private static double Number(List<Pair> pairs, int at, int code)
    {
        foreach (var pair in Entity(pairs, at))
        {
            if (pair.Code == code)
            {
                return Value(pair);
            }
        }

        throw OutlineFileException.Damaged(pairs[at].Line, "incomplete");
    }

    private static void Keep(List<IReadOnlyList<FilePoint>> outlines, (IReadOnlyList<FilePoint> Points, bool Closed) polyline)
    {
        var points = polyline.Points;
        var meets = points.Count > 3 && Near(points[0], points[^1]);
        if (points.Count >= 3 && (polyline.Closed || meets))
        {
            outlines.Add(meets ? [.. points.SkipLast(1)] : points);
        }
    }

    private static (IReadOnlyList<FilePoint>, bool) Light(List<Pair> pairs, int at)
    {
        var (points, closed) = (new List<FilePoint>(), false);
        foreach (var pair in Entity(pairs, at))
        {
            switch (pair.Code)
            {
                case 70:
                    closed = ((int)Value(pair) & 1) == 1;
                    break;
                case 10:
                    points.Add(new FilePoint(Value(pair), 0));
                    break;
                case 20 when points.Count > 0:
                    points[^1] = points[^1] with { Y = Value(pair) };
                    break;
                case 42 when points.Count > 0:
                    points[^1] = points[^1] with { Bulge = Value(pair) };
                    break;
            }
        }

        return (points, closed);
    }

    private static (IReadOnlyList<FilePoint>, bool) Heavy(List<Pair> pairs, int at)
    {
        var closed = Entity(pairs, at).Any(p => p.Code == 70 && ((int)Value(p) & 1) == 1);
        var points = new List<FilePoint>();
        for (var i = at + 1; i < pairs.Count; i++)
        {
            if (pairs[i].Code != 0)
            {
                continue;
            }

            if (pairs[i].Value != "VERTEX")
            {
                break;
            }

            var bulge = Entity(pairs, i).Where(p => p.Code == 42).Select(Value).FirstOrDefault();
            points.Add(new FilePoint(Number(pairs, i, 10), Number(pairs, i, 20), bulge));
        }

        return (points, closed);
    }

    private static FilePoint[] Circle(List<Pair> pairs, int at)
    {
        var (x, y, r) = (Number(pairs, at, 10), Number(pairs, at, 20), Number(pairs, at, 40));
        var quarter = Math.Tan(Math.PI / 8); // a quarter circle's bulge
        return [new(x + r, y, quarter), new(x, y + r, quarter), new(x - r, y, quarter), new(x, y - r, quarter)];
    }

    // Against the clock from its start angle to its end angle.
    private static (FilePoint From, FilePoint To) Arc(List<Pair> pairs, int at)
    {
        var (x, y, r) = (Number(pairs, at, 10), Number(pairs, at, 20), Number(pairs, at, 40));
        var (from, to) = (Number(pairs, at, 50) * Math.PI / 180, Number(pairs, at, 51) * Math.PI / 180);
        var sweep = (((to - from) % (2 * Math.PI)) + (2 * Math.PI)) % (2 * Math.PI);
        return (new(x + (r * Math.Cos(from)), y + (r * Math.Sin(from)), Math.Tan(sweep / 4)), new(x + (r * Math.Cos(to)), y + (r * Math.Sin(to))));
    }

    // Loose lines and arcs, joined end to end into rings.
    private static IEnumerable<IReadOnlyList<FilePoint>> Rings(List<(FilePoint From, FilePoint To)> loose)
    {
        if (loose.Count > MostLoose)
        {
            throw new OutlineFileException(new Finding(Severity.Error, Place.Line(1), new Notice.FileTooManyPoints(Count: loose.Count, Most: MostLoose)));
        }

        while (loose.Count > 0)
        {
            var ring = new List<FilePoint> { loose[0].From };
            var end = loose[0].To;
            loose.RemoveAt(0);
            while (!Near(end, ring[0]))
            {
                var next = loose.FindIndex(l => Near(l.From, end) || Near(l.To, end));
                if (next < 0)
                {
                    break;
                }

                var (from, to) = loose[next];
                loose.RemoveAt(next);
                // Walked backwards an arc bows to the other side.
                (from, to) = Near(from, end) ? (from, to) : (to with { Bulge = -from.Bulge }, from);
                ring.Add(from);
                end = to;
            }

            if (ring.Count >= 2 && Near(end, ring[0]))
            {
                yield return ring;
            }
        }
    }

    private static bool Near(FilePoint a, FilePoint b) => Math.Abs(a.X - b.X) <= Join && Math.Abs(a.Y - b.Y) <= Join;
}
