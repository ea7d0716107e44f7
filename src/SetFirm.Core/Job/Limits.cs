namespace SetFirm.Core.Job;

/// <summary>How much of anything a job may hold: past it nobody could pour it, and planning it would take too long.</summary>
internal static class Limits
{
    public const int MostElements = 50;
    public const int MostOpenings = 200;
    public const int MostProbes = 500;
    public const int MostInserts = 20;
    public const int MostJoints = 200;
    public const int MostStock = 12;
    public const int MostRows = 300;
    public const int MostBags = 100;
    public const int MostCoats = 12;
    public const int MostMixes = 20;
    public const int MostPours = 200;
    public const int MostParts = 200;

    public const double ThinnestMm = 5;
    public const double ThickestMm = 2_000;
    public const double LongestMm = 200_000;
    public const double MostCracksMm = 500_000;
}
