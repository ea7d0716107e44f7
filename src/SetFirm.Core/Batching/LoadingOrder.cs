using SetFirm.Core.Mixes;

namespace SetFirm.Core.Batching;

/// <summary>One step of loading a mixer; the browser has its words.</summary>
public enum LoadingStep
{
    HalfTheWater,
    MostOfTheWater,
    Additive,
    Stone,
    Sand,
    MostOfTheBallast,
    HalfTheCement,
    RestOfDry,
    Cement,
    Colour,
    Bags,
    AddedCement,
    DryMaterial,
    MixDry,
    FirstBagWet,
    SecondBagToPlan,
    PowderSlowly,
    RestOfWaterByEye,

    /// <summary>Sprinkled in last.</summary>
    Fibre,
    MixOn,
}

/// <summary>A step of loading and how long it takes.</summary>
public readonly record struct LoadingMove(LoadingStep Step, int Seconds);

/// <summary>What goes into a mixer, as far as the order goes.</summary>
/// <param name="Bagged">Bags, not parts.</param>
/// <param name="Ballast">All-in ballast instead of sand and stone.</param>
/// <param name="Stone">There is stone apart.</param>
/// <param name="AddedCement">Cement is added to bags.</param>
/// <param name="Colour">There is pigment.</param>
/// <param name="Additive">There is any other additive.</param>
public sealed record MixerLoad(bool Bagged, bool Ballast, bool Stone, bool AddedCement, bool Colour, bool Additive)
{
    /// <summary>Fibre is stirred in.</summary>
    public bool Fibre { get; init; }

    public static MixerLoad Of(IReadOnlyCollection<Dose> doses) => new(
        false, false, false, false, doses.Any(d => d.Kind == Mixes.Additive.Pigment), doses.Any(d => d.Kind != Mixes.Additive.Pigment));
}

/// <summary>In which order things go in, and for how long. Source: site practice (tune).</summary>
public static class LoadingOrder
{
    private const int FibreSeconds = 30;

    public static IReadOnlyList<LoadingMove> For(Mixer mixer, MixerLoad load)
    {
        ArgumentNullException.ThrowIfNull(mixer);
        ArgumentNullException.ThrowIfNull(load);
        LoadingMove[] order = [.. mixer.Order(load).OfType<LoadingMove>()];
        // Before it mixes on, or last of all.
        var at = Array.FindLastIndex(order, m => m.Step == LoadingStep.MixOn);
        return !load.Fibre ? order : [.. order[..Math.Max(0, at)], new LoadingMove(LoadingStep.Fibre, FibreSeconds), .. order[Math.Max(0, at)..]];
    }

    internal static LoadingMove? Colour(MixerLoad load, int seconds) => load.Colour ? new(LoadingStep.Colour, seconds) : null;

    internal static LoadingMove? Additive(MixerLoad load) => load.Additive ? new(LoadingStep.Additive, 15) : null;

    internal static LoadingMove? AddedCement(MixerLoad load) => load.AddedCement ? new(LoadingStep.AddedCement, 15) : null;

    internal static LoadingMove? Stone(MixerLoad load) => load.Stone ? new(LoadingStep.Stone, 30) : null;
}
