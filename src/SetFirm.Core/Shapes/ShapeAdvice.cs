using SetFirm.Core.Findings;

namespace SetFirm.Core.Shapes;

/// <summary>Why an element's sizes are what they are.</summary>
public static class ShapeAdvice
{
    /// <param name="cast">The element.</param>
    /// <param name="orderL">Litres with waste.</param>
    /// <param name="wastePct">Of the drawn volume.</param>
    /// <param name="at">The element's place.</param>
    /// <param name="remarks">Takes the reasons.</param>
    public static void Explain(CastShape cast, double orderL, double wastePct, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(cast);
        ArgumentNullException.ThrowIfNull(remarks);
        var (of, plan) = (at.Path, cast.Plan);
        remarks.WhyOf(
            of, new Why.Area(GrossM2: plan.GrossArea.SquareMetres, OpeningsM2: plan.GrossArea.SquareMetres - plan.NetArea.SquareMetres, Pieces: cast.Count),
            plan.NetArea.SquareMetres * cast.Count, Source.Geometry);
        if (cast.Line is { } line)
        {
            remarks.WhyOf(of, new Why.PathLength(Stretches: line.Stretches.Length), line.Length.Metres, Source.Geometry);
        }
        else
        {
            remarks.WhyOf(of, new Why.Perimeter(Edges: plan.Corners.Length), plan.Perimeter.Metres, Source.Geometry);
        }

        remarks.WhyOf(of, Volume(cast), cast.Net.Litres, Source.Geometry);
        remarks.WhyOf(of, new Why.OrderVolume(NetL: cast.Net.Litres, WastePct: wastePct), orderL, Source.SitePractice);
    }

    // Several parts are told one by one; a single one by its area and its depth.
    private static Why.NetVolume Volume(CastShape cast)
    {
        if (cast.Parts.Count(p => p.InMix) < 2)
        {
            var area = cast.Plan.NetArea.SquareMetres * cast.Count;
            return new Why.NetVolume(AreaM2: area, MeanDepthMm: cast.Net.CubicMetres / area * 1000);
        }

        double? Of(CastPart part) => cast.Parts.FirstOrDefault(p => p.InMix && p.Part == part) is { Volume.Litres: > 0 and var litres } ? litres : null;
        return new Why.NetVolume(
            SlabL: Of(CastPart.Slab), ThickEdgesL: Of(CastPart.ThickEdges), FieldL: Of(CastPart.Field), ApronsL: Of(CastPart.Aprons), FootingL: Of(CastPart.Footing),
            TubeL: Of(CastPart.Tube), BaseCourseL: Of(CastPart.BaseCourse), ToppingL: Of(CastPart.Topping), PebbleBedL: Of(CastPart.PebbleBed));
    }

    /// <summary>What one piece weighs, once its mix is known.</summary>
    /// <param name="cast">The element.</param>
    /// <param name="mortar">Its mix has no stone.</param>
    /// <param name="of">Path of the element.</param>
    /// <param name="remarks">Takes the reason.</param>
    public static void ExplainPiece(CastShape cast, bool mortar, string of, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(cast);
        ArgumentNullException.ThrowIfNull(remarks);
        remarks.WhyOf(
            of, new Why.PieceMass(PieceL: cast.Net.Litres / cast.Count, HardKg: mortar ? CastShape.MortarKgPerM3 : CastShape.HardKgPerM3), cast.PieceMass(mortar).Kilograms,
            Source.SitePractice);
    }
}
