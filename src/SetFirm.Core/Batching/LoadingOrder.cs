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
        ArgumentNullException.ThrowIfNull(load);
        IEnumerable<LoadingMove?> moves = mixer switch
        {
            Mixer.Drum => Drum(load),
            Mixer.Forced => Forced(load),
            Mixer.DrillBucket => Drill(load),
            Mixer.Tub or Mixer.Barrow => ByHand(load),
            Mixer.Truck => [],
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        LoadingMove[] order = [.. moves.OfType<LoadingMove>()];
        // Before it mixes on, or last of all.
        var at = Array.FindLastIndex(order, m => m.Step == LoadingStep.MixOn);
        return !load.Fibre ? order : [.. order[..Math.Max(0, at)], new LoadingMove(LoadingStep.Fibre, FibreSeconds), .. order[Math.Max(0, at)..]];
    }

    private static IEnumerable<LoadingMove?> Drum(MixerLoad load) =>
    [
        new(LoadingStep.HalfTheWater, 15),
        Colour(load, 20),
        Additive(load),
        .. load switch
        {
            { Bagged: true } => [new(LoadingStep.Bags, 45), AddedCement(load)],
            { Ballast: true } => [new(LoadingStep.MostOfTheBallast, 40), new(LoadingStep.HalfTheCement, 20), new(LoadingStep.RestOfDry, 30)],
            _ => new LoadingMove?[] { Stone(load), new(LoadingStep.Sand, 30), new(LoadingStep.Cement, 30) },
        },
        new(LoadingStep.RestOfWaterByEye, 30),
        new(LoadingStep.MixOn, 120),
    ];

    private static IEnumerable<LoadingMove?> Forced(MixerLoad load) =>
    [
        new(LoadingStep.MostOfTheWater, 15),
        Additive(load),
        .. load.Bagged
            ? new LoadingMove?[] { Colour(load, 20), new(LoadingStep.Bags, 45), AddedCement(load) }
            : [load.Ballast ? new(LoadingStep.DryMaterial, 45) : new(LoadingStep.Sand, 30), Stone(load), Colour(load, 90), new(LoadingStep.Cement, 30)],
        new(LoadingStep.MixOn, 180),
        new(LoadingStep.RestOfWaterByEye, 20),
    ];

    // Colour goes into the water, any other additive last.
    private static IEnumerable<LoadingMove?> Drill(MixerLoad load) =>
        [new(LoadingStep.MostOfTheWater, 15), Colour(load, 20), new(LoadingStep.PowderSlowly, 90), new(LoadingStep.MixOn, 120), Additive(load), new(LoadingStep.RestOfWaterByEye, 20)];

    private static IEnumerable<LoadingMove?> ByHand(MixerLoad load) => load.Bagged
        ?
        [
            new(LoadingStep.MostOfTheWater, 20), Colour(load, 20), Additive(load), new(LoadingStep.FirstBagWet, 240), new(LoadingStep.SecondBagToPlan, 240), AddedCement(load),
            new(LoadingStep.RestOfWaterByEye, 60),
        ]
        : [new(LoadingStep.DryMaterial, 60), Colour(load, 20), new(LoadingStep.MixDry, 120), Additive(load), new(LoadingStep.MostOfTheWater, 30), new(LoadingStep.MixOn, 240), new(LoadingStep.RestOfWaterByEye, 60)];

    private static LoadingMove? Colour(MixerLoad load, int seconds) => load.Colour ? new(LoadingStep.Colour, seconds) : null;

    private static LoadingMove? Additive(MixerLoad load) => load.Additive ? new(LoadingStep.Additive, 15) : null;

    private static LoadingMove? AddedCement(MixerLoad load) => load.AddedCement ? new(LoadingStep.AddedCement, 15) : null;

    private static LoadingMove? Stone(MixerLoad load) => load.Stone ? new(LoadingStep.Stone, 30) : null;
}
