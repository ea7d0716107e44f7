using System.Globalization;
using System.Text;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Sheets;

/// <summary>A drawing as an ASCII DXF file, release 12, which every drawing program reads; millimetres, a layer for what each stroke is.</summary>
/// <remarks>Source: the published description of the format, release 12: a header, a table of layers, entities POLYLINE with VERTEX and SEQEND, LINE, CIRCLE, TEXT.</remarks>
public static class DxfR12
{
    /// <summary>Nearest colours of the index that every reader has; the layer tells what it is.</summary>
    private static int Colour(Layer layer) => layer switch
    {
        Layer.Outline => 7,
        Layer.Opening => 5,
        Layer.Joint => 4,
        Layer.Board => 30,
        Layer.Steel => 1,
        Layer.Cut => 3,
        Layer.Text => 8,
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    public static string Write(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var text = new StringBuilder();
        void Pair(int code, string value) => text.Append(CultureInfo.InvariantCulture, $"{code,3}\r\n{value}\r\n");
        void Number(int code, double value) => Pair(code, value.ToString("0.####", CultureInfo.InvariantCulture));
        void Place(int code, PlanPoint at)
        {
            Number(code, at.X);
            Number(code + 10, at.Y);
            Number(code + 20, 0);
        }

        var (low, high) = sheet.Bounds();
        Pair(0, "SECTION");
        Pair(2, "HEADER");
        Pair(9, "$ACADVER");
        Pair(1, "AC1009");
        Pair(9, "$INSUNITS");
        Pair(70, "4"); // millimetres, for readers that look; release 12 itself has no unit
        Pair(9, "$EXTMIN");
        Place(10, low);
        Pair(9, "$EXTMAX");
        Place(10, high);
        Pair(0, "ENDSEC");
        Pair(0, "SECTION");
        Pair(2, "TABLES");
        Pair(0, "TABLE");
        Pair(2, "LAYER");
        var layers = Enum.GetValues<Layer>();
        Pair(70, layers.Length.ToString(CultureInfo.InvariantCulture));
        foreach (var layer in layers)
        {
            Pair(0, "LAYER");
            Pair(2, Name(layer));
            Pair(70, "0");
            Pair(62, Colour(layer).ToString(CultureInfo.InvariantCulture));
            Pair(6, "CONTINUOUS");
        }

        Pair(0, "ENDTAB");
        Pair(0, "ENDSEC");
        Pair(0, "SECTION");
        Pair(2, "ENTITIES");
        foreach (var stroke in sheet.Strokes)
        {
            switch (stroke)
            {
                case Stroke.Path { Closed: false, Points: [var from, var to], Bulges: [0, ..] }:
                    Pair(0, "LINE");
                    Pair(8, Name(stroke.Layer));
                    Place(10, from);
                    Place(11, to);
                    break;
                case Stroke.Path path:
                    Pair(0, "POLYLINE");
                    Pair(8, Name(path.Layer));
                    Pair(66, "1");
                    Place(10, default);
                    Pair(70, path.Closed ? "1" : "0");
                    for (var i = 0; i < path.Points.Length; i++)
                    {
                        Pair(0, "VERTEX");
                        Pair(8, Name(path.Layer));
                        Place(10, path.Points[i]);
                        if (path.Bulges[i] != 0)
                        {
                            Pair(42, path.Bulges[i].ToString("0.########", CultureInfo.InvariantCulture));
                        }
                    }

                    Pair(0, "SEQEND");
                    Pair(8, Name(path.Layer));
                    break;
                case Stroke.Circle circle:
                    Pair(0, "CIRCLE");
                    Pair(8, Name(circle.Layer));
                    Place(10, circle.Centre);
                    Number(40, circle.RadiusMm);
                    break;
                case Stroke.Word word:
                    Pair(0, "TEXT");
                    Pair(8, Name(word.Layer));
                    Place(10, word.At);
                    Number(40, word.HeightMm);
                    Pair(1, Plain(word.Text));
                    break;
            }
        }

        Pair(0, "ENDSEC");
        Pair(0, "EOF");
        return text.ToString();
    }

    private static string Name(Layer layer) => layer.ToString().ToUpperInvariant();

    // A value is one line of what the oldest readers know; other letters are written by their number, as they read them.
    private static string Plain(string text)
    {
        var plain = new StringBuilder();
        foreach (var rune in text.EnumerateRunes())
        {
            plain.Append(
                rune.Value is >= 32 and < 127 ? rune.ToString()
                : rune.Value is > 159 and <= 0xFFFF ? string.Create(CultureInfo.InvariantCulture, $"\\U+{rune.Value:X4}")
                : " ");
        }

        return plain.ToString();
    }
}
