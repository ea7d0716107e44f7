using SetFirm.Core.Events;

namespace SetFirm.Core.Planning;

/// <summary>What of a day was not as planned, by how much. A closed family: words belong to the browser.</summary>
/// <remarks>Facts carry their unit at the end of their name, as those of findings do.</remarks>
public abstract record Standout
{
    private Standout()
    {
    }

    /// <summary>First water, so much later than planned; sooner under 0.</summary>
    public sealed record Begun(double LaterMin) : Standout;

    /// <summary>From the first water until the last batch lay.</summary>
    public sealed record Mixing(double TookMin, double PlannedMin, double RoundMin, double PlannedRoundMin) : Standout;

    /// <summary>A pass was begun so long after its window closed; before it opened under 0.</summary>
    public sealed record PassOff(int Zone, Pass Pass, double LaterMin) : Standout;

    /// <summary>It set so much later than planned, by its signs; sooner under 0.</summary>
    public sealed record Setting(double LaterPct) : Standout;

    /// <summary>The sheen stayed so much longer; shorter under 0.</summary>
    public sealed record Sheen(double LongerPct) : Standout;

    /// <summary>Passes took so much longer.</summary>
    public sealed record Finishing(double LongerPct) : Standout;

    public sealed record MoreWater(double L, int Batches) : Standout;

    public sealed record Bags(double Used, double Planned) : Standout;

    /// <summary>While it should have been wet.</summary>
    public sealed record LayDry(double DryH, double LostMpa) : Standout;

    /// <summary>Work stood still.</summary>
    public sealed record Stood(int Times) : Standout;

    public sealed record Rained : Standout;

    /// <summary>The last pass was done so much later than planned; sooner under 0.</summary>
    public sealed record Done(double LaterMin) : Standout;
}
