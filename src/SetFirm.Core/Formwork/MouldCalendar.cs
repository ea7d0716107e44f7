using System.Collections.Immutable;

namespace SetFirm.Core.Formwork;

/// <summary>One filling of the moulds.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Pieces">Cast this time.</param>
/// <param name="CastDay">Days from the first casting.</param>
/// <param name="StripDay">When they come out.</param>
public readonly record struct Casting(int Number, int Pieces, double CastDay, double StripDay);

/// <summary>n pieces from m moulds: ⌈n/m⌉ castings, one each strip age and cleaning.</summary>
public static class MouldCalendar
{
    public static ImmutableArray<Casting> Of(int pieces, int moulds, double stripDays, double cleanDays)
    {
        var castings = (pieces + moulds - 1) / moulds;
        return
        [
            .. Enumerable.Range(0, castings).Select(i =>
            {
                var day = i * (stripDays + cleanDays);
                return new Casting(i + 1, Math.Min(moulds, pieces - (i * moulds)), day, day + stripDays);
            }),
        ];
    }
}
