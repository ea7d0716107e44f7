using NodaTime;

namespace SetFirm.Core.PourDay;

/// <summary>How far the passes of a pour have come, on its clock: hours from the first water.</summary>
public sealed class DayProgress
{
    private readonly double[][] begunH;
    private readonly double[][] doneH;
    private readonly double[] sheenGoneH;

    /// <param name="facts">As told.</param>
    /// <param name="pour">Its zones.</param>
    /// <param name="start">First water.</param>
    public DayProgress(DayFacts facts, DayPour pour, Instant start)
    {
        ArgumentNullException.ThrowIfNull(facts);
        ArgumentNullException.ThrowIfNull(pour);
        double Hours(Instant? at) => at is { } moment ? (moment - start).TotalHours : double.NaN;
        NowH = Hours(facts.Now);
        var zones = pour.Zones;
        (begunH, doneH, sheenGoneH) = (new double[zones.Length][], new double[zones.Length][], new double[zones.Length]);
        for (var z = 0; z < zones.Length; z++)
        {
            var rules = zones[z].Rules;
            sheenGoneH[z] = Hours(facts.SheenGone(z));
            begunH[z] = [.. rules.Select(r => Hours(facts.Begun(z, r.Pass)))];
            doneH[z] = [.. rules.Select(r => Hours(facts.Done(z, r.Pass)))];
            // Who is at a later pass has done the one before, whether they said so or not.
            var next = double.NaN;
            for (var p = rules.Length - 1; p >= 0; p--)
            {
                if (double.IsNaN(doneH[z][p]))
                {
                    doneH[z][p] = next;
                }

                var at = double.IsNaN(begunH[z][p]) ? doneH[z][p] : begunH[z][p];
                next = double.IsNaN(at) ? next : at;
            }
        }
    }

    public double NowH { get; }

    /// <summary>NaN where it was not told.</summary>
    public double SheenGoneH(int zone) => sheenGoneH[zone];

    /// <summary>NaN where it was not begun.</summary>
    public double BegunH(int zone, int pass) => begunH[zone][pass];

    /// <summary>NaN where it is not done.</summary>
    public double DoneH(int zone, int pass) => doneH[zone][pass];

    public bool IsDone(int zone, int pass) => !double.IsNaN(doneH[zone][pass]);
}
