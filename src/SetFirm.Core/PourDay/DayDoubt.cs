using NodaTime;
using SetFirm.Core.Finishing;
using SetFirm.Core.Setting;

namespace SetFirm.Core.PourDay;

/// <summary>How a day may go otherwise: it is followed in many ways when somebody looks at what comes of them, and not before.</summary>
/// <remarks>That is most of what a plan of a day costs. It is made once, whoever asks first; a plan whose time is over by then ends as one that took too long.</remarks>
public sealed class DayDoubt
{
    private readonly Lazy<(StartOdds Odds, PassBands Bands)> ways;

    /// <param name="members">Ways that it will be followed in.</param>
    /// <param name="follow">Follows them.</param>
    internal DayDoubt(int members, Func<(StartOdds Odds, PassBands Bands)> follow) => (Members, ways) = (members, new(follow));

    /// <summary>Ways that the weather and the mix may go that it is followed in.</summary>
    public int Members { get; }

    /// <summary>Somebody has looked.</summary>
    internal bool IsFollowed => ways.IsValueCreated;

    /// <summary>What comes of them.</summary>
    public StartOdds Odds => ways.Value.Odds;

    /// <summary>From when to when a pass may open and close.</summary>
    /// <param name="zone">Which zone.</param>
    /// <param name="pass">Index of the pass in its chain.</param>
    /// <param name="best">Its best guess.</param>
    /// <param name="notBefore">Nothing opens before, hours from the first water.</param>
    /// <param name="at">A moment of so many hours.</param>
    internal Lazy<PassMoments> Band(int zone, int pass, PassSpan best, double notBefore, Func<double, Instant> at) => new(() =>
    {
        var band = ways.Value.Bands.Of(zone, pass, best, notBefore);
        return new PassMoments(at(band.OpensEarly), at(band.OpensLate), at(band.ClosesEarly), at(band.ClosesLate));
    });
}
