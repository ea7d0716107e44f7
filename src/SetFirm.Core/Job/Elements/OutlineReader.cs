using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Job;

/// <summary>Corners as worked out from what was said, not yet checked for crossings.</summary>
internal sealed record ReadCorners(ImmutableArray<PlanPoint> Corners, ImmutableArray<double> Rises, ImmutableArray<bool> WorkedOut, double MisfitM);

/// <summary>From each way of measuring an outline to its corners.</summary>
internal sealed class OutlineReader(Place outline, Gate gate)
{
    private const double LongestMm = 200_000;

    /// <summary>Two tapes of one corner to the one before may differ by this before it is said, metres.</summary>
    private const double CheckSlackM = 0.005;

    public ReadCorners? Read(OutlineDocument said) => said switch
    {
        WalkedOutlineDocument walked => Walk(walked),
        PresetOutlineDocument preset => Preset(preset),
        TapedOutlineDocument taped => Taped(taped),
        PointsOutlineDocument points => Points(points),
        _ => throw new System.Diagnostics.UnreachableException(),
    };

    private bool FewEnough(int count, string field)
    {
        if (gate.Budget.TakesEdges(count))
        {
            return true;
        }

        gate.Fault(outline.At(field), new Notice.TooMany(Count: count, Most: Budget.MostEdges));
        return false;
    }

    private ReadCorners? Walk(WalkedOutlineDocument said)
    {
        if (!FewEnough(said.Sides.Count, nameof(said.Sides)))
        {
            return null;
        }

        var taped = new TapedEdge[said.Sides.Count];
        var rises = new double[said.Sides.Count];
        var sound = true;
        for (var i = 0; i < taped.Length; i++)
        {
            var (at, side) = (outline.At(nameof(said.Sides))[i], said.Sides[i]);
            var blank = string.IsNullOrWhiteSpace(side.Length);
            var length = blank ? null : gate.Length(at.At(nameof(side.Length)), side.Length, 1, LongestMm);
            double? rise = string.IsNullOrWhiteSpace(side.Rise) ? 0 : gate.SignedLength(at.At(nameof(side.Rise)), side.Rise, LongestMm);
            sound &= gate.InRange(at.At(nameof(side.Turn)), side.Turn, -180, 180, RangeUnit.Degrees) && (blank || length is not null) && rise is not null;
            (taped[i], rises[i]) = (new TapedEdge(length, side.Turn), rise ?? 0);
        }

        return sound && Closed(OutlineWalk.Walk(taped, said.Spread), taped.Length) is { } closed
            ? new ReadCorners(closed.Corners, [.. rises], [.. taped.Select(t => t.Length is null)], closed.MisfitMetres)
            : null;
    }

    private Walked.Closed? Closed(Walked walked, int count)
    {
        var sides = outline.At(nameof(WalkedOutlineDocument.Sides));
        switch (walked)
        {
            case Walked.Closed closed:
                return closed;
            case Walked.TooFewEdges:
                gate.Fault(sides, new Notice.TooFewEdges(Count: count));
                return null;
            case Walked.TurnsOff turns:
                gate.Fault(sides, new Notice.TurnsDoNotClose(SumDegrees: turns.SumDegrees));
                return null;
            case Walked.Gap gap:
                var finding = new Finding(Severity.Error, sides, new Notice.OutlineGap(GapMm: gap.Metres * 1000, LimitMm: OutlineWalk.SpreadMetres * 1000));
                // Hold what was taped and let the last two sides follow; or trust no tape more than another.
                var hold = new Remedy(new Mend.BlankLastEdge(), [.. new[] { count - 2, count - 1 }.Select(i => new Edit(sides[i].At(nameof(SideDocument.Length)), Text: ""))]);
                var spread = new Remedy(new Mend.SpreadGap(GapMm: gap.Metres * 1000, Sides: count), [new Edit(outline.At(nameof(WalkedOutlineDocument.Spread)), Yes: true)]);
                gate.Add(gap.Spreadable ? finding.WithRemedies(hold, spread) : finding.WithRemedies(hold));
                return null;
            case Walked.NotSolvable open:
                gate.Fault(sides, new Notice.OutlineNotSolvable(Blanks: open.Blanks));
                return null;
            case Walked.Backwards back:
                gate.Fault(sides[back.Edge].At(nameof(SideDocument.Length)), new Notice.EdgeBackwards(LengthMm: back.Metres * 1000));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    private ReadCorners? Preset(PresetOutlineDocument said)
    {
        Length? Size(string member, string text) => gate.Length(outline.At(member), text, 1, LongestMm);
        var along = Size(nameof(said.Along), said.Along);
        var across = said.Shape is PresetShape.Rectangle or PresetShape.LShape or PresetShape.UShape or PresetShape.Kidney ? Size(nameof(said.Across), said.Across) : default(Length);
        var notched = said.Shape is PresetShape.LShape or PresetShape.UShape;
        var notchAlong = notched ? Size(nameof(said.NotchAlong), said.NotchAlong) : default(Length);
        var notchAcross = notched ? Size(nameof(said.NotchAcross), said.NotchAcross) : default(Length);
        if (along is not { } a || across is not { } b || notchAlong is not { } c || notchAcross is not { } d)
        {
            return null;
        }

        var raw = said.Shape switch
        {
            PresetShape.Rectangle => OutlinePresets.Rectangle(a, b),
            PresetShape.LShape => OutlinePresets.LShape(a, b, c, d),
            PresetShape.UShape => OutlinePresets.UShape(a, b, c, d),
            PresetShape.Circle => OutlinePresets.Circle(a),
            PresetShape.HalfCircle => OutlinePresets.Half(a),
            PresetShape.QuarterCircle => OutlinePresets.Quarter(a),
            PresetShape.Kidney => OutlinePresets.Kidney(a, b),
            PresetShape.Hexagon => OutlinePresets.Regular(6, a),
            PresetShape.Octagon => OutlinePresets.Regular(8, a),
            _ => throw new System.Diagnostics.UnreachableException(),
        };
        if (raw is null)
        {
            gate.Fault(outline.At(notched ? nameof(said.NotchAlong) : nameof(said.Across)), new Notice.PresetCannotBe(AlongMm: a.Millimetres, AcrossMm: b.Millimetres));
            return null;
        }

        return Plain(raw.Corners, raw.Rises);
    }

    private ReadCorners? Taped(TapedOutlineDocument said)
    {
        if (!FewEnough(said.Corners.Count, nameof(said.Corners)))
        {
            return null;
        }

        if (said.Corners.Count < 3)
        {
            gate.Fault(outline.At(nameof(said.Corners)), new Notice.TooFewEdges(Count: said.Corners.Count));
            return null;
        }

        var nails = gate.Length(outline.At(nameof(said.Nails)), said.Nails, 10, LongestMm);
        var found = new PlanPoint?[said.Corners.Count];
        for (var i = 0; i < found.Length; i++)
        {
            found[i] = Corner(outline.At(nameof(said.Corners))[i], said.Corners[i], nails);
        }

        if (found.Any(f => f is null))
        {
            return null;
        }

        var corners = found.Select(f => f!.Value).ToImmutableArray();
        return Checks(said, corners) is { } misfit ? Plain(corners, [.. new double[corners.Length]]) with { MisfitM = misfit } : null;
    }

    private PlanPoint? Corner(Place at, TapedCornerDocument said, Length? nails)
    {
        var a = gate.Length(at.At(nameof(said.A)), said.A, 0, LongestMm);
        var b = gate.Length(at.At(nameof(said.B)), said.B, 0, LongestMm);
        if (a is not { } fromA || b is not { } fromB || nails is not { } apart)
        {
            return null;
        }

        switch (TapedCorners.Of(fromA.Metres, fromB.Metres, apart.Metres))
        {
            case TapedCorner.Meets meets:
                return meets.At;
            case TapedCorner.TooShort few:
                gate.Fault(at.At(nameof(said.A)), new Notice.TapesTooShort(SumMm: few.SumM * 1000, ApartMm: few.ApartM * 1000));
                return null;
            case TapedCorner.TooFarApart far:
                gate.Fault(at.At(nameof(said.A)), new Notice.TapesTooFarApart(DifferenceMm: far.DifferenceM * 1000, ApartMm: far.ApartM * 1000));
                return null;
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }

    // The worst misfit of the check tapes, metres.
    private double? Checks(TapedOutlineDocument said, ImmutableArray<PlanPoint> corners)
    {
        double worst = 0;
        var sound = true;
        for (var i = 0; i < corners.Length; i++)
        {
            if (string.IsNullOrWhiteSpace(said.Corners[i].Check))
            {
                continue;
            }

            var at = outline.At(nameof(said.Corners))[i].At(nameof(TapedCornerDocument.Check));
            if (gate.Length(at, said.Corners[i].Check, 1, LongestMm) is not { } check)
            {
                sound = false;
                continue;
            }

            var measured = corners[i].DistanceTo(corners[(i + corners.Length - 1) % corners.Length]);
            var misfit = Math.Abs(measured - check.Metres);
            worst = Math.Max(worst, misfit);
            if (misfit > CheckSlackM)
            {
                gate.Add(new Finding(Severity.Warning, at, new Notice.CheckTapeMisfit(MisfitMm: misfit * 1000, TapedMm: check.Millimetres, WorkedOutMm: measured * 1000)));
            }
        }

        return sound ? worst : null;
    }

    private ReadCorners? Points(PointsOutlineDocument said)
    {
        var count = said.Points.Count;
        if (!FewEnough(count, nameof(said.Points)))
        {
            return null;
        }

        if (count < 3)
        {
            gate.Fault(outline.At(nameof(said.Points)), new Notice.TooFewEdges(Count: count));
            return null;
        }

        const double farM = LongestMm / 1000;
        for (var i = 0; i < count; i++)
        {
            var (at, p) = (outline.At(nameof(said.Points))[i], said.Points[i]);
            if (!gate.InRange(at.At(nameof(p.X)), p.X, -farM, farM, RangeUnit.M) || !gate.InRange(at.At(nameof(p.Y)), p.Y, -farM, farM, RangeUnit.M)
                || !gate.InRange(at.At(nameof(p.Rise)), p.Rise, -farM, farM, RangeUnit.M))
            {
                return null;
            }
        }

        return Plain([.. said.Points.Select(p => new PlanPoint(p.X, p.Y))], [.. said.Points.Select(p => p.Rise)]);
    }

    private static ReadCorners Plain(ImmutableArray<PlanPoint> corners, ImmutableArray<double> rises) =>
        new(corners, rises, [.. new bool[corners.Length]], 0);
}
