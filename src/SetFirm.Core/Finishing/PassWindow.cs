using NodaTime;
using SetFirm.Core.Setting;

namespace SetFirm.Core.Finishing;

/// <summary>When a pass opens and closes for a zone, with the band that doubt in the set gives. Opens &lt;= Closes throughout.</summary>
/// <param name="Pass">Which pass.</param>
/// <param name="Opens">Best guess: the youngest of the zone is ready.</param>
/// <param name="Closes">Best guess: the oldest of the zone is past it.</param>
/// <param name="OpensEarliest">If it sets faster than thought.</param>
/// <param name="OpensLatest">If it sets slower.</param>
/// <param name="ClosesEarliest">If it sets faster.</param>
/// <param name="ClosesLatest">If it sets slower.</param>
public sealed record PassWindow(
    Pass Pass, Instant Opens, Instant Closes, Instant OpensEarliest, Instant OpensLatest, Instant ClosesEarliest, Instant ClosesLatest);

/// <summary>Reads pass windows off the histories of a zone.</summary>
public static class PassWindows
{
    /// <summary>Doubt in a set time that no log has corrected yet: it may be this share shorter or longer (tune).</summary>
    public const double SetDoubt = 0.15;

    /// <summary>The sheen may stay half as long or twice as long.</summary>
    public const double SheenDoubt = 2;

    /// <summary>s at which standing water is dragged off.</summary>
    public const double DraggedAt = 0.40;

    /// <summary>A pass that shuts the surface waits until it bleeds no faster, kg/m2/h.</summary>
    public const double MostBleedToShut = 0.05;

    /// <param name="rule">The pass.</param>
    /// <param name="oldest">History of the zone's first batch.</param>
    /// <param name="youngest">History of the zone's last batch.</param>
    /// <param name="placed">When enough of the zone is placed to begin; nothing opens before.</param>
    /// <param name="toInitialSet">Of the mix at 20 °C.</param>
    /// <returns>Null when the concrete does not get so far within the histories, because it is too cold.</returns>
    public static PassWindow? Of(PassRule rule, SlabHistory oldest, SlabHistory youngest, Instant placed, Duration toInitialSet)
    {
        ArgumentNullException.ThrowIfNull(rule);
        var initial = toInitialSet.TotalHours;
        var closing = rule.ClosesDragged > 0 && oldest.WaterDragged ? rule.ClosesDragged : rule.Closes;
        var best = Window(1, 1);
        var fast = Window(1 - SetDoubt, 1 / SheenDoubt);
        var slow = Window(1 + SetDoubt, SheenDoubt);
        return best is { } b && fast is { } f && slow is { } s
            ? new PassWindow(rule.Pass, b.Opens, b.Closes, f.Opens, s.Opens, f.Closes, s.Closes)
            : null;

        (Instant Opens, Instant Closes)? Window(double setFactor, double sheenFactor)
        {
            if (youngest.WhenEquivalentHours(rule.Opens * initial * setFactor) is not { } ready
                || oldest.WhenEquivalentHours(closing * initial * setFactor) is not { } past)
            {
                return null;
            }

            var opens = rule.Opens == 0 ? placed : Instant.Max(placed, ready);
            if (rule.WaitsForSheen && youngest.SheenGone is { } gone)
            {
                // Water that still stands at the drag is dragged off: later than that nobody waits.
                var dragged = youngest.WhenEquivalentHours(DraggedAt * initial * setFactor) ?? gone;
                opens = Instant.Max(opens, Instant.Min(dragged, youngest.Placed + ((gone - youngest.Placed) * sheenFactor)));
            }

            if (rule.ShutsSurface && youngest.WhenBleedsLess(MostBleedToShut) is { } still)
            {
                opens = Instant.Max(opens, still);
            }

            return (opens, Instant.Max(opens, past));
        }
    }
}
