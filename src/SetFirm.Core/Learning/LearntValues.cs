using System.Collections.Immutable;

namespace SetFirm.Core.Learning;

/// <summary>What was learnt and taken over: factors by what they are of; 1 where nothing was.</summary>
public sealed class LearntValues
{
    /// <summary>Further from 1 than this many times nothing is learnt.</summary>
    public const double Most = 4;

    private readonly ImmutableDictionary<LearntKey, double> factors;

    private LearntValues(ImmutableDictionary<LearntKey, double> factors) => this.factors = factors;

    /// <summary>Nothing was: every plan is as its figures have it.</summary>
    public static LearntValues None { get; } = new(ImmutableDictionary<LearntKey, double>.Empty);

    public bool IsNone => factors.IsEmpty;

    public IEnumerable<KeyValuePair<LearntKey, double>> All => factors;

    /// <param name="values">Of a key said twice the last counts; what cannot be is left out.</param>
    public static LearntValues Of(IEnumerable<(LearntKey Key, double Factor)> values)
    {
        ArgumentNullException.ThrowIfNull(values);
        var all = ImmutableDictionary.CreateBuilder<LearntKey, double>();
        foreach (var (key, factor) in values)
        {
            if (factor is >= 1 / Most and <= Most && factor != 1)
            {
                all[key] = factor;
            }
        }

        return all.Count == 0 ? None : new LearntValues(all.ToImmutable());
    }

    /// <summary>How many times what would be taken without it.</summary>
    public double Factor(LearntKey key) => factors.GetValueOrDefault(key, 1);
}
