namespace SetFirm.Core.Findings;

/// <summary>A formula and the values that went in. A closed family, stated by the rooms beside the figure; the browser holds the formula's words.</summary>
public abstract partial record Why
{
    private Why()
    {
    }
}

/// <summary>Standards and papers that figures come from.</summary>
public enum Source
{
    Geometry,
    SitePractice,
    Aci211,
    Aci302,
    Aci305,
    Aci306,
    Aci308,
    Aci318,
    AstmC403,
    AstmC1074,
    En1992,
    Uno1998,
    ApaForming,
    MartelloToth1990,
}

/// <summary>A source and the range in which what we take from it holds.</summary>
public sealed record Citation(Source Source, string Reference, string Range);

/// <summary>The one list of citations.</summary>
public static class Citations
{
    public static Citation Of(Source source) => source switch
    {
        Source.Geometry => new(source, "Plane geometry", "exact"),
        Source.SitePractice => new(source, "Site practice; a starting value, yours to change", "home pours"),
        Source.Aci211 => new(source, "ACI 211.1, tables 6.3.3 and 6.3.4(a)", "w/c 0.40-0.82, slump 25-175 mm"),
        Source.Aci302 => new(source, "ACI 302.1R, guide to floor finishing", "slabs on ground"),
        Source.Aci305 => new(source, "ACI 305R, hot weather", "evaporation 0-2 kg/m²/h, concrete to 35 °C"),
        Source.Aci306 => new(source, "ACI 306R, cold weather", "air below 4 °C, sections under 300 mm"),
        Source.Aci308 => new(source, "ACI 308R, curing", "Portland cement concrete"),
        Source.Aci318 => new(source, "ACI 318, exposure classes", "strength and w/c of structural concrete"),
        Source.AstmC403 => new(source, "ASTM C403, setting time by penetration", "initial set 3.5 MPa, final set 27.6 MPa of needle pressure"),
        Source.AstmC1074 => new(source, "ASTM C1074, equivalent age, Q = 5000 K, reference 20 °C", "0-50 °C"),
        Source.En1992 => new(source, "EN 1992-1-1, 3.1.2, strength with age", "from three times final set onward"),
        Source.Uno1998 => new(source, "Uno, ACI Materials Journal, 1998", "wind at 0.5 m; air 5-40 °C"),
        Source.ApaForming => new(source, "APA, concrete forming design and construction guide, bending of ply", "dry ply, 6-18 mm"),
        Source.MartelloToth1990 => new(source, "Martello and Toth, Knapsack Problems, 1990, chapter 8 (bin packing)", "cuts in one dimension"),
        _ => throw new ArgumentOutOfRangeException(nameof(source), source, "has no citation"),
    };
}

/// <summary>Why a figure is what it is.</summary>
/// <param name="Says">Which formula, with the values that went in; their names end in the unit.</param>
/// <param name="Of">What it was worked out for, where a figure occurs several times: an element, a pass, a milestone; else empty.</param>
/// <param name="Result">The result, in the unit that the formula implies.</param>
/// <param name="Sources">Where the formula and its constants come from; <see cref="Citations"/> has their words.</param>
public sealed record Explanation(Why Says, string Of, double Result, params IReadOnlyList<Source> Sources)
{
    public Explanation And(Source source) => this with { Sources = [.. Sources, source] };
}
