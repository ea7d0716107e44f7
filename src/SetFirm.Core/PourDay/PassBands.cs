using NodaTime;
using SetFirm.Core.Finishing;
using SetFirm.Core.Setting;

namespace SetFirm.Core.PourDay;

/// <summary>From when to when a pass may open and close in four cases of five, hours from the first water.</summary>
public readonly record struct PassBand(double OpensEarly, double OpensLate, double ClosesEarly, double ClosesLate);

/// <summary>Gathers the windows of many members into bands.</summary>
/// <remarks>A band is laid about the best guess by how far the members lie from a member that nothing is off in, so that what the paths leave out cancels.</remarks>
public sealed class PassBands
{
    private const double Tenth = 0.1;

    private readonly DaySimulation paths;
    private readonly PassSpan[] plain;
    private readonly double[][] opens;
    private readonly double[][] closes;

    // How much later batches come than planned, as a share of the hours since the first; empty where they come as planned.
    private readonly double[] later;
    private bool sorted;

    /// <param name="paths">That the members are followed with.</param>
    /// <param name="asForeseen">The member that nothing is off in.</param>
    /// <param name="start">First water.</param>
    /// <param name="members">How many will be taken.</param>
    /// <param name="paceDoubt">How the pace of the batches may differ, as a logarithm.</param>
    public PassBands(DaySimulation paths, Member asForeseen, Instant start, int members, double paceDoubt = 0)
    {
        ArgumentNullException.ThrowIfNull(paths);
        this.paths = paths;
        later = [.. Enumerable.Range(0, paceDoubt > 0 ? members : 0).Select(i => Members.Pace(i, paceDoubt) - 1)];
        paths.Run(asForeseen, start);
        plain = paths.Spans.ToArray();
        opens = [.. plain.Select(_ => new double[members])];
        closes = [.. plain.Select(_ => new double[members])];
    }

    /// <summary>Takes the windows of the member that was run last.</summary>
    public void Take(int member)
    {
        var spans = paths.Spans;
        for (var i = 0; i < spans.Length; i++)
        {
            (opens[i][member], closes[i][member]) = (Seen(spans[i].OpensH), Seen(spans[i].ClosesH));
        }

        for (var z = 0; later.Length > 0 && z < paths.Zones.Length; z++)
        {
            // What is placed later sets so much later.
            for (var i = paths.FirstSpanOf(z); i < paths.FirstSpanOf(z) + paths.PassesOf(z); i++)
            {
                opens[i][member] += later[member] * paths.YoungestWaterH(z);
                closes[i][member] += later[member] * paths.OldestWaterH(z);
            }
        }
    }

    /// <param name="zone">Which zone.</param>
    /// <param name="pass">Index of the pass in its chain.</param>
    /// <param name="best">Its best guess.</param>
    /// <param name="notBefore">Nothing opens before.</param>
    public PassBand Of(int zone, int pass, PassSpan best, double notBefore)
    {
        if (!sorted)
        {
            Array.ForEach(opens, Array.Sort);
            Array.ForEach(closes, Array.Sort);
            sorted = true;
        }

        var i = paths.FirstSpanOf(zone) + pass;
        double About(double guess, double[] values, double share, double of) => Math.Max(notBefore, guess + Members.Quantile(values, share) - Seen(of));
        var opensEarly = Math.Min(best.OpensH, About(best.OpensH, opens[i], Tenth, plain[i].OpensH));
        var opensLate = Math.Max(best.OpensH, About(best.OpensH, opens[i], 1 - Tenth, plain[i].OpensH));
        return new PassBand(
            opensEarly,
            opensLate,
            Math.Max(opensEarly, Math.Min(best.ClosesH, About(best.ClosesH, closes[i], Tenth, plain[i].ClosesH))),
            Math.Max(opensLate, Math.Max(best.ClosesH, About(best.ClosesH, closes[i], 1 - Tenth, plain[i].ClosesH))));
    }

    private static double Seen(double hours) => Math.Min(hours, DaySimulation.Sight.TotalHours);
}
