using System.Globalization;
using System.Security;
using System.Text;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Sheets;

/// <summary>A drawing as SVG in millimetres, a group for what each stroke is.</summary>
public static class SvgDrawing
{
    private const double MarginMm = 50;

    public static string Write(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var (low, high) = sheet.Bounds();
        var (wide, tall) = (high.X - low.X + (2 * MarginMm), high.Y - low.Y + (2 * MarginMm));
        // On the screen y runs down.
        double X(PlanPoint p) => p.X - low.X + MarginMm;
        double Y(PlanPoint p) => high.Y - p.Y + MarginMm;
        var text = new StringBuilder();
        text.Append(CultureInfo.InvariantCulture, $"""<svg xmlns="http://www.w3.org/2000/svg" width="{wide:0.##}mm" height="{tall:0.##}mm" viewBox="0 0 {wide:0.##} {tall:0.##}">""").Append('\n');
        foreach (var layer in sheet.Strokes.GroupBy(s => s.Layer).OrderBy(g => g.Key))
        {
            var dash = layer.Key == Layer.Joint ? " stroke-dasharray=\"40 25\"" : "";
            text.Append(CultureInfo.InvariantCulture, $"""<g id="{layer.Key.ToString().ToLowerInvariant()}" fill="none" stroke="#1d282e" stroke-width="{(layer.Key == Layer.Outline ? 6 : 3)}"{dash}>""").Append('\n');
            foreach (var stroke in layer)
            {
                switch (stroke)
                {
                    case Stroke.Path path:
                        text.Append("<path d=\"");
                        for (var i = 0; i < path.Points.Length; i++)
                        {
                            var before = i == 0 ? 0 : path.Bulges[i - 1];
                            text.Append(i == 0 ? "M" : To(path.Points[i - 1], path.Points[i], before)).Append(CultureInfo.InvariantCulture, $"{X(path.Points[i]):0.###} {Y(path.Points[i]):0.###}");
                        }

                        if (path.Closed)
                        {
                            text.Append(To(path.Points[^1], path.Points[0], path.Bulges[^1])).Append(CultureInfo.InvariantCulture, $"{X(path.Points[0]):0.###} {Y(path.Points[0]):0.###}").Append('Z');
                        }

                        text.Append("\"/>\n");
                        break;
                    case Stroke.Circle circle:
                        text.Append(CultureInfo.InvariantCulture, $"""<circle cx="{X(circle.Centre):0.###}" cy="{Y(circle.Centre):0.###}" r="{circle.RadiusMm:0.###}"/>""").Append('\n');
                        break;
                    case Stroke.Word word:
                        text.Append(CultureInfo.InvariantCulture, $"""<text x="{X(word.At):0.###}" y="{Y(word.At):0.###}" font-size="{word.HeightMm:0.##}" font-family="sans-serif" fill="#1d282e" stroke="none">{SecurityElement.Escape(Printable(word.Text))}</text>""").Append('\n');
                        break;
                }
            }

            text.Append("</g>\n");
        }

        return text.Append("</svg>\n").ToString();
    }

    // A line, or the arc that the bulge says: to the right of the way runs against the clock.
    private static string To(PlanPoint from, PlanPoint to, double bulge)
    {
        if (bulge == 0)
        {
            return "L";
        }

        var chord = from.DistanceTo(to);
        var radius = chord * (1 + (bulge * bulge)) / (4 * Math.Abs(bulge));
        return string.Create(CultureInfo.InvariantCulture, $"A{radius:0.####} {radius:0.####} 0 {(Math.Abs(bulge) > 1 ? 1 : 0)} {(bulge > 0 ? 0 : 1)} ");
    }

    // What XML cannot hold is left out.
    private static string Printable(string text) => string.Concat(text.EnumerateRunes().Where(r => r.Value is 9 or >= 32 and not (0xFFFE or 0xFFFF)));
}
