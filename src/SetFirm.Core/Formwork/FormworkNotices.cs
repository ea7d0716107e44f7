namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record UnknownBoard(string Given) : Notice;

    public sealed record BoardTooLow(double BoardMm, double PourMm) : Notice;

    public sealed record DigBelowBoard(double GapMm, double BoardMm) : Notice;

    public sealed record PlyTooStiff(double RadiusMm, double LeastMm, double PlyMm) : Notice;

    public sealed record BendNeedsKerfs(double RadiusMm) : Notice;

    public sealed record CurveOfManyEdges(int Edges, double LengthM) : Notice;
}

public abstract partial record Mend
{
    public sealed record AnyPly(double PlyMm) : Mend;

    public sealed record AnyBoard : Mend;
}

public abstract partial record Why
{
    public sealed record Boards(double CutM, double StockM, int LowerBound, double KerfMm) : Why;

    public sealed record Stakes(double SpacingM, double BentM) : Why;

    public sealed record Bends(double TightestM, double LeastM, double StripMm, double InsideM) : Why;

    public sealed record MouldSheets(int Moulds, double SheetAlongM, double SheetAcrossM, double Parts) : Why;

    public sealed record Castings(int Pieces, int Moulds, double StripDays, double CleanDays) : Why;
}
