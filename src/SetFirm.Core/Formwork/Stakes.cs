using System.Collections.Immutable;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Formwork;

/// <summary>Why a stake stands where it does.</summary>
public enum StakeAt
{
    Corner,
    Splice,
    Bulkhead,
    Between,
}

/// <param name="At">On the line of the form.</param>
/// <param name="Why">Reason.</param>
/// <param name="Edge">Which edge's board it holds.</param>
public readonly record struct Stake(PlanPoint At, StakeAt Why, int Edge);

/// <summary>Where stakes stand.</summary>
/// <remarks>Source: site practice. Every corner, splice and bulkhead; between them no further apart than the board's height and thickness allow.</remarks>
public static class Stakes
{
    public const double BentM = 0.3;

    /// <summary>Across the top of a curb's forms, no further apart.</summary>
    public const double TieM = 1.2;

    private const double ThinBoardMm = 25;

    public static Length Spacing(Length height, Length boardThickness) => Length.FromMetres(
        boardThickness.Millimetres < ThinBoardMm ? 0.6
        : height.Millimetres <= 100 ? 1.2
        : height.Millimetres <= 150 ? 0.9 : 0.6);

    /// <summary>Stations along a run, metres from its start: both ends, every fixed station, and evenly between.</summary>
    public static ImmutableArray<(double AtM, StakeAt Why)> Along(double lengthM, double spacingM, IEnumerable<(double AtM, StakeAt Why)> held)
    {
        var fixedAt = held.Where(s => s.AtM > 1e-6 && s.AtM < lengthM - 1e-6).Prepend((0, StakeAt.Corner)).Append((lengthM, StakeAt.Corner)).OrderBy(s => s.Item1).ToArray();
        var stations = ImmutableArray.CreateBuilder<(double, StakeAt)>();
        for (var i = 0; i < fixedAt.Length; i++)
        {
            stations.Add(fixedAt[i]);
            if (i == fixedAt.Length - 1)
            {
                break;
            }

            var (from, gap) = (fixedAt[i].Item1, fixedAt[i + 1].Item1 - fixedAt[i].Item1);
            var bays = (int)Math.Min(10_000, Math.Ceiling((gap / spacingM) - 1e-9));
            for (var k = 1; k < bays; k++)
            {
                stations.Add((from + (gap * k / bays), StakeAt.Between));
            }
        }

        return stations.ToImmutable();
    }
}
