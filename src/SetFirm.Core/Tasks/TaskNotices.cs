namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record HeavyPiece(double MassKg, double LimitKg, double MachineKg) : Notice;

    /// <summary>So many carry it, and there are fewer.</summary>
    public sealed record WantsHelp(int People, int Hands, double MassKg) : Notice;

    /// <summary>Ventilate, no flame, a mask for vapour.</summary>
    public sealed record SolventInTheAir : Notice;

    /// <summary>Water and shade for people too.</summary>
    public sealed record HeatOnPeople : Notice;

    /// <summary>Wet, or extracted, with a mask.</summary>
    public sealed record SilicaWhenGround : Notice;

    public sealed record CausticCement : Notice;

    public sealed record DustWhenTipping : Notice;

    public sealed record HeavyLift(double MassKg, double LimitKg) : Notice;

    public sealed record MixerGuard : Notice;

    public sealed record MarkServices : Notice;

    public sealed record WashOut : Notice;

    public sealed record StructuralWork : Notice;

    /// <summary>Slope or shore the sides.</summary>
    public sealed record DeepDig(double DepthMm, double LimitMm) : Notice;

    /// <summary>Fresh concrete pushes its form outward.</summary>
    public sealed record FormPush(double PushKgPerM) : Notice;

    /// <summary>Cap them.</summary>
    public sealed record BarEnds : Notice;

    /// <summary>What carries it has to bear this.</summary>
    public sealed record RestsOn(double MassKg, double KgPerM2) : Notice;
}
