using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Mixes;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.Curing;

/// <summary>How it is to be kept, as said and read.</summary>
/// <param name="Method">How it is kept wet.</param>
/// <param name="Days">Of wetting; null takes the advice.</param>
/// <param name="Awake">Somebody is up to wet it.</param>
/// <param name="Works">Somebody works.</param>
/// <param name="Frost">Laid over it in the nights.</param>
/// <param name="Coats">In the order in which they go on.</param>
public sealed record CureSaid(CuringMethod Method, double? Days, WakingHours Awake, WakingHours Works, FrostGuard Frost, ImmutableArray<CoatSaid> Coats);

/// <summary>A product with its name.</summary>
/// <param name="Name">As the user calls it.</param>
/// <param name="Product">As its label has it.</param>
/// <param name="KeepWetH">It is kept wet so long, hours; 0 where it dries.</param>
/// <param name="Dilution">Water to one of product, by volume.</param>
/// <param name="CoversM2PerL">As laid, water and all; null takes what is usual.</param>
/// <param name="PotLifeMin">Mixed, it is used up within; null where it keeps.</param>
public sealed record CoatSaid(string Name, CoatProduct Product, double KeepWetH, double Dilution = 0, double? CoversM2PerL = null, double? PotLifeMin = null);

/// <summary>What is cured.</summary>
/// <param name="Youngest">The last batch.</param>
/// <param name="WetFrom">Keep it wet from here.</param>
/// <param name="Use">What it is for.</param>
/// <param name="Date">Where its day is said.</param>
public sealed record CureSite(ZonePour Youngest, Instant WetFrom, CureUse Use, Place Date)
{
    public ConcreteMix Mix => Youngest.Mix;

    public Microclimate Site => Youngest.Site;
}

/// <summary>When it is wetted, and until when that lasts.</summary>
public readonly record struct WettingDue(Instant At, Instant LastsUntil);

/// <summary>A run of cold hours.</summary>
/// <param name="From">It gets cold.</param>
/// <param name="Until">It is over.</param>
/// <param name="LeastAirC">Coldest air.</param>
/// <param name="LeastSlabC">Coldest concrete, covered as planned.</param>
/// <param name="Young">Frost would still harm it.</param>
public sealed record ColdNight(Instant From, Instant Until, double LeastAirC, double LeastSlabC, bool Young);

/// <summary>When something may be done.</summary>
/// <param name="Milestone">What for.</param>
/// <param name="At">When; null when out of sight or withheld.</param>
/// <param name="Band">One case in ten comes earlier, one in ten later; null where no date is, and made when it is looked at.</param>
/// <param name="NeedsMpa">Strength it needs.</param>
public sealed record MilestoneDate(Milestone Milestone, Instant? At, Lazy<(Instant Earliest, Instant Latest)>? Band, double NeedsMpa)
{
    /// <summary>One case in ten comes earlier.</summary>
    public Instant? Earliest => Band?.Value.Earliest;

    /// <summary>One in ten later.</summary>
    public Instant? Latest => Band?.Value.Latest;
}

/// <summary>Strength at a moment.</summary>
/// <param name="At">Moment.</param>
/// <param name="Mpa">With the planned cure.</param>
/// <param name="LeastMpa">One case in ten has less.</param>
/// <param name="MostMpa">One in ten more.</param>
/// <param name="NoCureMpa">If it were never kept wet.</param>
public sealed record StrengthAt(Instant At, double Mpa, double LeastMpa, double MostMpa, double NoCureMpa);

/// <summary>A coat with its name, and whether it was told of.</summary>
public sealed record PlannedCoat(CoatTime Time, CoatSaid Said, bool Done);

/// <summary>The weeks after a pour.</summary>
/// <param name="WetFrom">Keep it wet from here.</param>
/// <param name="WetUntil">To here.</param>
/// <param name="WetDays">As planned.</param>
/// <param name="AdvisedDays">What is advised.</param>
/// <param name="RewetHours">Between wettings; null where none is wanted.</param>
/// <param name="MeanEvaporationKgM2H">Over those days.</param>
/// <param name="Wettings">From now on.</param>
/// <param name="Dry">It lay dry, as far as is told.</param>
/// <param name="LostMpa">What that costs at 28 days.</param>
/// <param name="Nights">Cold ones.</param>
/// <param name="Coats">Laid into hours.</param>
/// <param name="Milestones">As dates.</param>
/// <param name="Strength">Against time; followed when it is looked at.</param>
/// <param name="F28Mpa">What a full moist cure reaches.</param>
/// <param name="At28Mpa">What this cure reaches at 28 days.</param>
public sealed record CurePlan(
    Instant WetFrom,
    Instant WetUntil,
    double WetDays,
    double AdvisedDays,
    double? RewetHours,
    double MeanEvaporationKgM2H,
    ImmutableArray<WettingDue> Wettings,
    Duration Dry,
    double LostMpa,
    ImmutableArray<ColdNight> Nights,
    ImmutableArray<PlannedCoat> Coats,
    ImmutableArray<MilestoneDate> Milestones,
    Lazy<ImmutableArray<StrengthAt>> Strength,
    double F28Mpa,
    double At28Mpa)
{
    /// <summary>A wetting that was due a while ago is still the next one.</summary>
    private static readonly Duration Overdue = Duration.FromHours(6);

    /// <summary>Strength against time.</summary>
    public ImmutableArray<StrengthAt> Curve => Strength.Value;

    /// <summary>The wetting that is due next; null where none is.</summary>
    public Instant? NextWetting(Instant now) => Wettings.Where(w => w.At > now - Overdue).Select(w => (Instant?)w.At).FirstOrDefault();
}
