using SetFirm.Core.Planning;

namespace SetFirm.Core.Sheets;

/// <summary>What is drawn.</summary>
public enum DrawingOf
{
    /// <summary>Every element in plan.</summary>
    Plan,

    /// <summary>Form boards as they are bought and cut.</summary>
    Boards,

    /// <summary>Bars likewise.</summary>
    Bars,

    /// <summary>Steel where it lies.</summary>
    Steel,

    /// <summary>Mould sheet as it is cut.</summary>
    Ply,
}

/// <summary>A plan's drawings as files; those that would be empty are left out.</summary>
public sealed record DrawingsReport(IReadOnlyList<DrawingFile> Files)
{
    /// <param name="plan">Of a job.</param>
    public static DrawingsReport Of(JobPlan plan) => new(
    [
        .. Enum.GetValues<DrawingOf>().Select(of => (Of: of, Sheet: Drawn(of, plan)))
            .Where(s => !s.Sheet.Strokes.IsEmpty).Select(s => new DrawingFile(s.Of, SvgDrawing.Write(s.Sheet), DxfR12.Write(s.Sheet))),
    ]);

    private static Sheet Drawn(DrawingOf of, JobPlan plan) => of switch
    {
        DrawingOf.Plan => SheetOf.Plan(plan),
        DrawingOf.Boards => SheetOf.Boards(plan),
        DrawingOf.Bars => SheetOf.Bars(plan),
        DrawingOf.Steel => SheetOf.Steel(plan),
        DrawingOf.Ply => SheetOf.Ply(plan),
        _ => throw new System.Diagnostics.UnreachableException(),
    };
}

/// <param name="Of">What it shows.</param>
/// <param name="Svg">In millimetres.</param>
/// <param name="Dxf">Release 12, in millimetres, a layer for what each stroke is.</param>
public sealed record DrawingFile(DrawingOf Of, string Svg, string Dxf);
