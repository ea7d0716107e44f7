using System.Collections.Immutable;

namespace SetFirm.Core.Shapes;

/// <summary>A rectangle to be cut, and for whom.</summary>
/// <param name="AlongM">Longer way.</param>
/// <param name="AcrossM">Shorter way.</param>
/// <param name="Element">Index of the element it is for.</param>
public readonly record struct SheetCut(double AlongM, double AcrossM, int Element);

/// <summary>Sheets that are bought for a whole job, and what of them each element takes.</summary>
/// <param name="Count">As sold.</param>
/// <param name="Shares">Of them, by the area that is cut.</param>
public sealed record SheetsNeeded(int Count, ImmutableArray<(int Element, double Sheets)> Shares)
{
    /// <summary>Nothing is cut.</summary>
    public static SheetsNeeded None { get; } = new(0, []);
}

/// <summary>A part where it lies on a sheet, from the sheet's lower left corner.</summary>
public readonly record struct LaidPart(int Sheet, double LeftM, double LowM, double AlongM, double AcrossM, int Element);

/// <summary>How many sheets a list of rectangles comes out of.</summary>
/// <param name="SheetAlongM">As sold.</param>
/// <param name="SheetAcrossM">As sold.</param>
/// <param name="KerfM">Between parts.</param>
/// <remarks>
/// First-fit decreasing height: strips first-fit into rows across the sheet, rows into sheets. Never fewer than the area asks; parts larger than a sheet are joined from several.
/// Work is bounded: of more than <see cref="MostParts"/> only as many sheets are told as their area fills at the usual waste.
/// </remarks>
public sealed record SheetCutting(double SheetAlongM, double SheetAcrossM, double KerfM)
{
    /// <summary>Parts that are laid out one by one.</summary>
    public const int MostParts = 2_000;

    /// <summary>Of a sheet, what comes to use where parts are too many to lay out. Source: site practice.</summary>
    private const double UsualUse = 0.8;

    private const int MostPieces = 100;

    /// <summary>All parts out of one stack.</summary>
    public SheetsNeeded Of(IReadOnlyCollection<SheetCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(cuts);
        var area = cuts.Sum(c => c.AlongM * c.AcrossM);
        var elements = cuts.GroupBy(c => c.Element).ToList();
        // Parts of two elements in one row may cost a row: whoever then keeps them apart needs no more.
        var count = Math.Min(Parts(cuts), elements.Sum(Parts));
        return count == 0 ? SheetsNeeded.None : new SheetsNeeded(count, [.. elements.Select(g => (g.Key, count * g.Sum(c => c.AlongM * c.AcrossM) / area))]);

        int Parts(IEnumerable<SheetCut> of) => Count([.. of.Select(c => (c.AlongM, c.AcrossM))]);
    }

    /// <summary>Sheets for these rectangles.</summary>
    public int Count(IReadOnlyCollection<(double AlongM, double AcrossM)> parts)
    {
        ArgumentNullException.ThrowIfNull(parts);
        if (parts.Count > MostParts)
        {
            return (int)Math.Ceiling(parts.Sum(p => p.AlongM * p.AcrossM) / (SheetAlongM * SheetAcrossM * UsualUse));
        }

        return Lay([.. parts.Select(p => new SheetCut(p.AlongM, p.AcrossM, 0))]).Select(p => p.Sheet + 1).DefaultIfEmpty(0).Max();
    }

    /// <summary>Where each part lies on which sheet, as <see cref="Of"/> counts them; nothing where there are too many to lay out.</summary>
    public ImmutableArray<LaidPart> Layout(IReadOnlyCollection<SheetCut> cuts)
    {
        ArgumentNullException.ThrowIfNull(cuts);
        if (cuts.Count > MostParts)
        {
            return [];
        }

        var together = Lay(cuts);
        var apart = ImmutableArray.CreateBuilder<LaidPart>();
        var sheets = 0;
        foreach (var element in cuts.GroupBy(c => c.Element))
        {
            var own = Lay([.. element]);
            apart.AddRange(own.Select(p => p with { Sheet = p.Sheet + sheets }));
            sheets += own.Length == 0 ? 0 : own.Max(p => p.Sheet) + 1;
        }

        return together.IsEmpty || together.Max(p => p.Sheet) + 1 <= sheets ? together : apart.ToImmutable();
    }

    private ImmutableArray<LaidPart> Lay(IReadOnlyCollection<SheetCut> cuts)
    {
        var rows = new List<(double High, double Used, List<LaidPart> Parts)>();
        foreach (var cut in cuts.SelectMany(Fitting).OrderByDescending(p => p.AcrossM).ThenByDescending(p => p.AlongM))
        {
            var at = rows.FindIndex(r => r.Used + cut.AlongM <= SheetAlongM + 1e-9 && cut.AcrossM <= r.High + 1e-9);
            if (at < 0)
            {
                at = rows.Count;
                rows.Add((cut.AcrossM, 0, []));
            }

            rows[at].Parts.Add(new LaidPart(0, rows[at].Used, 0, cut.AlongM, cut.AcrossM, cut.Element));
            rows[at] = rows[at] with { Used = rows[at].Used + cut.AlongM + KerfM };
        }

        var sheets = new List<double>();
        var laid = ImmutableArray.CreateBuilder<LaidPart>();
        foreach (var row in rows.OrderByDescending(r => r.High))
        {
            var at = sheets.FindIndex(used => used + row.High <= SheetAcrossM + 1e-9);
            if (at < 0)
            {
                at = sheets.Count;
                sheets.Add(0);
            }

            laid.AddRange(row.Parts.Select(p => p with { Sheet = at, LowM = sheets[at] }));
            sheets[at] += row.High + KerfM;
        }

        return laid.ToImmutable();
    }

    // A part longer or wider than a sheet comes in several.
    private IEnumerable<SheetCut> Fitting(SheetCut part)
    {
        var along = Math.Clamp((int)Math.Ceiling((part.AlongM / SheetAlongM) - 1e-9), 1, MostPieces);
        var across = Math.Clamp((int)Math.Ceiling((part.AcrossM / SheetAcrossM) - 1e-9), 1, MostPieces);
        return Enumerable.Repeat(new SheetCut(Math.Min(SheetAlongM, part.AlongM / along), Math.Min(SheetAcrossM, part.AcrossM / across), part.Element), along * across);
    }
}
