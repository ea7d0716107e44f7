using SetFirm.Core.Steel;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record ChlorideRustsSteel : Notice;

    public sealed record UnknownBar(string Given) : Notice;

    /// <summary>How much is for local code and licensed people.</summary>
    public sealed record SpansBetweenSupports : Notice;

    public sealed record SteelDoesNotFit(double ThicknessMm, double LeastMm, double LongestM, SteelSchool School, SteelMisfit Misfit, SteelSchool Better) : Notice;
}

public abstract partial record Mend
{
    public sealed record WithoutChloride : Mend;

    public sealed record TakeSchool(SteelSchool School) : Mend;

    public sealed record ThickerSlab(double ThicknessMm) : Mend;

    public sealed record PlasticUnder : Mend;

    public sealed record StoneUnder(double BaseMm) : Mend;
}

public abstract partial record Why
{
    public sealed record SteelBars(double BarM, double MassPerM, double SpacingMm, double LapMm, double CoverMm) : Why;

    public sealed record MeshSheets(double SheetAlongM, double SheetAcrossM, double LapMm, double CoverMm) : Why;

    public sealed record FibreDose(double OrderL, double DoseKg) : Why;

    public sealed record Scrim(double AreaM2, double Overlap) : Why;
}
