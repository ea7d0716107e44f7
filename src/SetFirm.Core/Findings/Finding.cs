namespace SetFirm.Core.Findings;

/// <summary>How much a finding matters.</summary>
public enum Severity
{
    /// <summary>Worth knowing.</summary>
    Note,

    /// <summary>Hands can be hurt here; it stands where the hand is about to do the thing.</summary>
    Caution,

    /// <summary>A decision is wanted: the plan holds, but something in it will likely go wrong.</summary>
    Warning,

    /// <summary>Part of the plan cannot be worked out until this is mended.</summary>
    Error,
}

/// <summary>A way out that the app can take for the user: <see cref="Edit"/>s to the document.</summary>
public enum RemedyCode
{
    AddHand,
    AddMixer,
    Retard,
    CoolerHour,
    OtherBag,
    NoStone,
    PlasticiseInstead,
    StirInAir,
    OneDose,
    UsualPigment,
    WithoutAdditive,
    WithoutChloride,
    BroomInstead,
    WarmWater,
    CoolWater,
    EnoughInShed,
    BiggerMixer,
    LaterDay,
    EarlierStart,
    RainCoverReady,
    ShadeIt,
    BreakWind,
    MistIt,
    BagMiddleWater,
    LessWater,
    BlankLastEdge,
    SpreadGap,
    SteeperFall,
    FallOffWall,
    ProposeJoints,
    TakeSchool,
    ThickerSlab,
    AnyPly,
    AnyBoard,
    AdvisedBase,
    LongerCure,
    CoverUnderPlastic,
    PondIt,
    CoverAtNight,
}

/// <summary>One change to the document: the JSON pointer and the text, number or yes to stand there. All null clears the field.</summary>
public sealed record Edit(string Path, string? Text = null, double? Number = null, bool? Yes = null);

/// <summary>A remedy with the edits it makes and the effect it would have, as facts.</summary>
/// <param name="Code">What it does.</param>
/// <param name="Edits">To the document.</param>
/// <param name="Effect">Numbers by name; the name ends in the unit.</param>
public sealed record Remedy(RemedyCode Code, IReadOnlyList<Edit> Edits, IReadOnlyDictionary<string, double> Effect)
{
    private static readonly Dictionary<string, string> NoTexts = [];

    /// <summary>Names of things: a bag.</summary>
    public IReadOnlyDictionary<string, string> Texts { get; init; } = NoTexts;

    public Remedy Naming(string name, string text) => this with { Texts = new Dictionary<string, string>(Texts) { [name] = text } };
}

/// <summary>Something the planner noticed: data only, words belong to the browser.</summary>
/// <param name="Code">What it says.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Where">JSON pointer into the document (RFC 6901) or into the weather, beginning /weather.</param>
/// <param name="Facts">Numbers by name; the name ends in the unit.</param>
/// <param name="Texts">Names of things: a pass, a method, a reason.</param>
/// <param name="Remedies">Ways out, best first; may be empty.</param>
public sealed record Finding(
    FindingCode Code,
    Severity Severity,
    string Where,
    IReadOnlyDictionary<string, double> Facts,
    IReadOnlyDictionary<string, string> Texts,
    IReadOnlyList<Remedy> Remedies)
{
    private static readonly Dictionary<string, double> NoFacts = [];
    private static readonly Dictionary<string, string> NoTexts = [];

    public static Finding Of(FindingCode code, Severity severity, string where, params ReadOnlySpan<(string Name, double Value)> facts)
    {
        if (facts.IsEmpty)
        {
            return new Finding(code, severity, where, NoFacts, NoTexts, []);
        }

        var numbers = new Dictionary<string, double>(facts.Length);
        foreach (var (name, value) in facts)
        {
            numbers.Add(name, double.IsFinite(value) ? value : 0);
        }

        return new Finding(code, severity, where, numbers, NoTexts, []);
    }

    public Finding Naming(string name, string text) => this with { Texts = new Dictionary<string, string>(Texts) { [name] = text } };

    /// <summary>With a way out where there is one.</summary>
    public Finding Mending(Remedy? remedy) => remedy is null ? this : WithRemedies(remedy);

    public Finding WithRemedies(params ReadOnlySpan<Remedy> remedies) => this with { Remedies = remedies.ToArray() };
}
