using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Findings;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>An hour in which a pour might begin, judged.</summary>
/// <param name="Local">At the site.</param>
/// <param name="At">First water.</param>
/// <param name="Odds">What comes of it.</param>
public sealed record RankedStart(LocalDateTime Local, Instant At, StartOdds Odds);

/// <summary>Every hour ahead in which one might begin.</summary>
/// <param name="Hours">By day and hour.</param>
/// <param name="Best">The best few, the best first; none where none will do.</param>
/// <param name="Members">Ways it may go that each was judged by.</param>
public sealed record StartRanking(ImmutableArray<RankedStart> Hours, ImmutableArray<RankedStart> Best, int Members)
{
    /// <summary>Ways it may go.</summary>
    public const int MemberCount = 200;

    private const int BestFew = 5;

    /// <summary>So often at the most others come among the best when those are summed in full.</summary>
    private const int MostRounds = 4;

    /// <summary>Two starts of one chance differ by less than this, 0-1.</summary>
    private const double SameChance = 0.05;

    /// <summary>An hour that goes well less often is not proposed.</summary>
    private const double LeastChance = 0.5;

    /// <summary>People like to begin at about this hour.</summary>
    private static readonly LocalTime Liked = new(8, 0);

    /// <summary>The day must have room in the forecast: past its end nothing is known.</summary>
    private static readonly Duration Room = Duration.FromHours(12);

    public static StartRanking None { get; } = new([], [], 0);

    /// <summary>A first proposal: of the hours that go well about as often as the best, the first day's that is nearest to when people like to begin; null where none will do.</summary>
    public RankedStart? First
    {
        get
        {
            if (Hours.IsEmpty || Hours.Max(h => h.Odds.Chance) is var top && top < LeastChance)
            {
                return null;
            }

            var good = Hours.Where(h => h.Odds.Chance >= top - SameChance).ToArray();
            return good.Where(h => h.Local.Date == good[0].Local.Date).MinBy(h => Math.Abs((h.Local.TimeOfDay - Liked).ToDuration().TotalMinutes));
        }
    }

    /// <summary>Follows each hour through many ways the weather and the mix may go.</summary>
    /// <param name="task">As said; its own day and hour do not matter.</param>
    /// <param name="weather">Hours at the site; only what was given is ranked.</param>
    /// <param name="notBefore">Something else has to be done first.</param>
    /// <param name="members">Ways it may go.</param>
    /// <param name="budget">What it may take; null waits as long as it lasts.</param>
    public static StartRanking Of(PourTask task, HourlyWeather weather, Instant? notBefore = null, int members = MemberCount, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(task);
        ArgumentNullException.ThrowIfNull(weather);
        if (task.Works is not var (from, until))
        {
            return None;
        }

        var starts = HoursOf(weather, task.Zone, notBefore, from.Minute == 0 ? from.Hour : from.Hour + 1, until.Hour)
            .Where(s => task.Comes(s.Local)).Select(s => (s.Local, At: s.At - task.Recipe.Age)).Where(s => s.At >= weather.Start && (notBefore is not { } first || s.At >= first)).ToArray();
        budget ??= new Budget();
        members = budget.Members(members);
        var model = DayPlanner.ManyPaths;
        var odds = Odds([.. starts.Select(s => s.At)], weather, members, model, start => Settled.Of(task, task.Load, weather, start, model), budget);
        ImmutableArray<RankedStart> hours = [.. starts.Zip(odds, (s, o) => new RankedStart(s.Local, s.At, o))];
        return new StartRanking(hours, [.. BestOf(odds).Take(BestFew).Select(i => hours[i])], members);
    }

    /// <summary>Many starts, on as many processors as there are: by <see cref="StartRace"/>, the best few in full.</summary>
    /// <param name="starts">First waters.</param>
    /// <param name="weather">As foreseen.</param>
    /// <param name="members">Ways it may go.</param>
    /// <param name="model">Follows zones.</param>
    /// <param name="at">The pour as it would go from a start: the passes of a cold day call hands away at other batches than those of a warm one.</param>
    /// <param name="budget">Ends it.</param>
    public static StartOdds[] Odds(
        IReadOnlyList<Instant> starts, HourlyWeather weather, int members, ISlabModel model, Func<Instant, Settled> at, Budget? budget = null)
    {
        ArgumentNullException.ThrowIfNull(starts);
        ArgumentNullException.ThrowIfNull(at);
        var race = new StartRace(starts, weather, model, at, budget);
        var odds = race.Odds(count => Setting.Members.Of(weather, count), members);
        if (members < 2 * StartRace.First)
        {
            return odds;
        }

        // Those that are shown are summed in full, until no other would be shown.
        var full = new bool[starts.Count];
        for (var round = 0; round < MostRounds; round++)
        {
            int[] first = [.. BestOf(odds).Take(BestFew + 1).Where(i => !full[i])];
            if (first.Length == 0)
            {
                break;
            }

            Parallel.ForEach(first, i => (odds[i], full[i]) = (race.Full(i, Setting.Members.Of(weather, members)), true));
            budget?.GoOn();
        }

        return odds;
    }

    /// <summary>The full sum: every start through every way. What <see cref="Odds"/> is held against.</summary>
    internal static StartOdds[] InFull(IReadOnlyList<Instant> starts, HourlyWeather weather, IReadOnlyList<Member> members, ISlabModel model, Func<Instant, Settled> at)
    {
        var odds = new StartOdds[starts.Count];
        Parallel.For(0, starts.Count, () => (DaySimulation?)null, (i, _, before) =>
        {
            var (schedule, pour, _) = at(starts[i]);
            var paths = new DaySimulation(pour, model, Closeness.Few, before);
            odds[i] = new DayJudge(pour, weather, schedule.JointAge).Odds(starts[i], members, paths);
            return paths;
        }, _ => { });
        return odds;
    }

    // Of hours as likely the one that is done first, then the one nearest.
    private static IEnumerable<int> BestOf(StartOdds[] odds) => Enumerable.Range(0, odds.Length).Where(i => odds[i].Chance >= LeastChance)
        .OrderByDescending(i => Math.Round(odds[i].Chance / SameChance)).ThenBy(i => odds[i].DoneH.Median).ThenBy(i => i);

    private static IEnumerable<(LocalDateTime Local, Instant At)> HoursOf(HourlyWeather weather, DateTimeZone zone, Instant? notBefore, int from, int until)
    {
        var first = (notBefore is { } asked ? Instant.Max(asked, weather.Start) : weather.Start).InZone(zone).Date;
        var last = LocalDate.Min(weather.End.InZone(zone).Date, first.PlusDays(Budget.MostDaysRanked - 1));
        for (var date = first; date <= last; date = date.PlusDays(1))
        {
            for (var hour = from; hour <= until; hour++)
            {
                var local = date + new LocalTime(hour, 0);
                var at = local.InZoneLeniently(zone).ToInstant();
                if (at >= weather.Start && at + Room <= weather.End && weather.At(at).SunWm2 > DayJudge.DarkWm2)
                {
                    yield return (local, at);
                }
            }
        }
    }
}
