using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;

namespace SetFirm.Core.Batching;

/// <summary>What is told of one batch.</summary>
/// <param name="Begun">Water went in, or a truck stands at the form; null where not yet.</param>
/// <param name="Placed">It lies in the form; null where it does not yet.</param>
public readonly record struct BatchSoFar(Instant? Begun, Instant? Placed);

/// <summary>How far the batches of a pour have come.</summary>
/// <param name="Now">What is not done by now is done later.</param>
/// <param name="Batches">The first so many; what is not told of a batch before another that is told of was done in between.</param>
/// <param name="PaceFactor">A round takes so many times as long as planned.</param>
public sealed record BatchesSoFar(Instant Now, ImmutableArray<BatchSoFar> Batches, double PaceFactor)
{
    /// <summary>Doubt of a planned round, as a logarithm; and of one round that was made. Starting values (tune).</summary>
    private const double PlanDoubt = 0.25;

    private const double RoundDoubt = 0.35;

    /// <summary>A round is not taken for longer or shorter than this many times as planned: somebody forgot to tell.</summary>
    private const double WildRound = 4;

    /// <summary>From what was told of some batches to the first so many, one after another.</summary>
    /// <param name="now">Nothing lies after it.</param>
    /// <param name="told">By index; each may lack either.</param>
    /// <param name="plan">As planned, on any clock.</param>
    /// <param name="pauses">Work stood still then: a round that holds one tells nothing of the pace.</param>
    public static BatchesSoFar Of(Instant now, IReadOnlyDictionary<int, BatchSoFar> told, IReadOnlyList<PlannedBatch> plan, IReadOnlyList<Instant> pauses)
    {
        ArgumentNullException.ThrowIfNull(told);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(pauses);
        var count = told.Keys.Where(i => i < plan.Count).Select(i => i + 1).DefaultIfEmpty(0).Max();
        var (begun, placed) = (new Instant?[count], new Instant?[count]);
        for (var i = 0; i < count; i++)
        {
            var said = told.GetValueOrDefault(i);
            var own = plan[i].Placed - plan[i].Begun;
            // The later of two batches is begun later: what is told out of order is set right by the one before.
            begun[i] = said.Begun ?? (said.Placed is { } lay ? lay - own : null);
            placed[i] = said.Placed;
        }

        for (var i = count - 1; i >= 0; i--)
        {
            if (begun[i] is null)
            {
                // The last one is known; between two known ones the rest lie evenly, before the first as planned.
                var next = i + 1;
                var before = i - 1;
                while (before >= 0 && begun[before] is null)
                {
                    before--;
                }

                begun[i] = before < 0
                    ? begun[next]!.Value - (plan[next].Begun - plan[i].Begun)
                    : begun[before]!.Value + ((begun[next]!.Value - begun[before]!.Value) * ((double)(i - before) / (next - before)));
            }
        }

        for (var i = 0; i < count; i++)
        {
            begun[i] = i > 0 ? Instant.Max(begun[i]!.Value, begun[i - 1]!.Value) : begun[i];
            // A batch before another that is in the mixer is out of it.
            placed[i] = placed[i] ?? (i < count - 1 ? Instant.Min(begun[i]!.Value + (plan[i].Placed - plan[i].Begun), Instant.Max(begun[i + 1]!.Value, begun[i]!.Value)) : null);
            placed[i] = placed[i] is { } p ? Instant.Max(p, begun[i]!.Value) : null;
        }

        return new BatchesSoFar(now, [.. begun.Zip(placed, (w, p) => new BatchSoFar(w, p))], Pace(begun, plan, told, pauses));
    }

    /// <summary>It was begun, by what is told.</summary>
    public bool IsBegun(int batch) => batch < Batches.Length;

    // The pace so far against the plan's, the plan taken for a few rounds of it.
    private static double Pace(Instant?[] begun, IReadOnlyList<PlannedBatch> plan, IReadOnlyDictionary<int, BatchSoFar> told, IReadOnlyList<Instant> pauses)
    {
        var (sum, rounds) = (0.0, 0);
        for (var i = 1; i < begun.Length; i++)
        {
            var (from, to) = (begun[i - 1]!.Value, begun[i]!.Value);
            var planned = plan[i].Begun - plan[i - 1].Begun;
            if (told.GetValueOrDefault(i).Begun is null || told.GetValueOrDefault(i - 1).Begun is null || planned <= Duration.Zero || pauses.Any(p => p >= from && p < to))
            {
                continue;
            }

            sum += Math.Log(Math.Clamp((to - from) / planned, 1 / WildRound, WildRound));
            rounds++;
        }

        var weight = 1 / (RoundDoubt * RoundDoubt);
        return Math.Exp(sum * weight / ((1 / (PlanDoubt * PlanDoubt)) + (rounds * weight)));
    }
}
