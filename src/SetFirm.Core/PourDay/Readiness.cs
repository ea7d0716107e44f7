using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;

namespace SetFirm.Core.PourDay;

/// <summary>What a zone is ready for.</summary>
public enum Readiness
{
    /// <summary>Nothing lies there yet.</summary>
    Empty,

    /// <summary>It is placed and struck off.</summary>
    Placing,

    /// <summary>Bled water stands on it: nobody touches it.</summary>
    Sheen,

    /// <summary>It rests until the next pass.</summary>
    Rests,

    /// <summary>A pass may be made.</summary>
    Ready,

    /// <summary>Somebody is at it.</summary>
    InHand,

    /// <summary>The window of a pass has closed and it is not made.</summary>
    Late,

    /// <summary>All its passes are made: it waits for its cover.</summary>
    Finished,
}

/// <summary>From then on a zone is ready for something.</summary>
/// <param name="From">Until the next stage; the first has no beginning.</param>
/// <param name="Is">What it is ready for.</param>
/// <param name="Pass">Which pass; null where it is none.</param>
public sealed record ZoneStage(Instant From, Readiness Is, Pass? Pass);

/// <summary>What zones are ready for through a day, past and to come: what was told, and the rest as the crew would get to it.</summary>
public static class ZoneStages
{
    /// <param name="zone">With its windows.</param>
    /// <param name="dayFrom">Nothing is shown before.</param>
    public static ImmutableArray<ZoneStage> Of(ZonePlan zone, Instant dayFrom)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var stages = new List<ZoneStage> { new(dayFrom, Readiness.Empty, null) };
        var at = dayFrom;
        void Then(Instant from, Readiness what, Pass? pass = null)
        {
            // What begins at one moment with what is before it takes its place.
            at = Instant.Max(at, from);
            if (stages[^1].From == at)
            {
                stages.RemoveAt(stages.Count - 1);
            }

            if (stages.Count == 0 || stages[^1].Is != what || stages[^1].Pass != pass)
            {
                stages.Add(new ZoneStage(at, what, pass));
            }
        }

        if (zone.Passes.FirstOrDefault(p => p.Pass == Pass.StrikeOff) is { } strike)
        {
            Then(strike.Opens, Readiness.Placing, Pass.StrikeOff);
        }

        Then(zone.Placed, zone.SheenGone is { } gone && gone > zone.Placed ? Readiness.Sheen : Readiness.Rests);
        if (zone.SheenGone is { } dry && dry > zone.Placed)
        {
            Then(dry, Readiness.Rests);
        }

        foreach (var pass in zone.Passes.Where(p => p.Begins is not null || p.Begun is not null || p.Done is not null))
        {
            // Made before it was open, by what is told: then that was its moment.
            var begun = pass.Begun ?? pass.Done;
            var begins = begun ?? pass.Begins!.Value;
            if (pass.Opens < begins)
            {
                Then(Instant.Max(pass.Opens, at), Readiness.Ready, pass.Pass);
            }

            if (pass.Closes < begins)
            {
                Then(pass.Closes, Readiness.Late, pass.Pass);
            }

            // Late is late until somebody is at it.
            if (pass.Closes >= begins || begun is not null)
            {
                Then(begins, begun is null ? Readiness.Ready : Readiness.InHand, pass.Pass);
            }

            // Who began and did not say that it is done is still at it.
            if (pass.Begun is null || pass.Done is not null)
            {
                Then(pass.Done ?? begins + (pass.Work / Math.Max(1, pass.Hands)), Readiness.Rests);
            }
        }

        if (stages[^1].Is == Readiness.Rests)
        {
            Then(stages[^1].From, Readiness.Finished);
        }

        return [.. stages];
    }
}
