using SetFirm.Core.Findings;

namespace SetFirm.Core.Methods;

/// <summary>What can hurt someone, placed at the field where the hand is about to do the thing.</summary>
/// <remarks>Source: safety sheets of cement, common site rules. Local codes rule.</remarks>
public static class Cautions
{
    /// <summary>Over this find help or split the load, kg.</summary>
    public const double LiftKg = 25;

    /// <param name="loadKg">The heaviest thing one person would lift: a bag.</param>
    /// <param name="machine">True for a motor-driven mixer.</param>
    public static IEnumerable<Finding> For(double? loadKg, bool machine)
    {
        yield return Finding.Of(FindingCode.MarkServices, Severity.Caution, "/elements");
        yield return Finding.Of(FindingCode.StructuralWork, Severity.Caution, "/elements");
        yield return Finding.Of(FindingCode.CausticCement, Severity.Caution, "/mix");
        yield return Finding.Of(FindingCode.DustWhenTipping, Severity.Caution, "/mix");
        if (loadKg is > LiftKg)
        {
            yield return Finding.Of(FindingCode.HeavyLift, Severity.Caution, "/mix", ("massKg", loadKg.Value), ("limitKg", LiftKg));
        }

        if (machine)
        {
            yield return Finding.Of(FindingCode.MixerGuard, Severity.Caution, "/mixing/mixer");
        }

        yield return Finding.Of(FindingCode.WashOut, Severity.Caution, "/mixing");
    }
}
