using System.Collections.Immutable;
using SetFirm.Core.Findings;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Job;
using SetFirm.Core.Joints;
using SetFirm.Core.Learning;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Planning;

/// <summary>Orders the rooms that an element goes through: its shape, fall and joints first, what it is built with when it is known what is poured when.</summary>
internal static class ElementPlanner
{
    /// <param name="said">As said.</param>
    /// <param name="learnt">What beds take.</param>
    /// <param name="firstMix">Id of the job's own mix.</param>
    /// <param name="everyOther">Every other panel is poured first.</param>
    /// <param name="gate">Takes findings and reasons.</param>
    /// <returns>Null when any element is unsound: a plan for half a job would mislead.</returns>
    public static ImmutableArray<ElementPlan>? Shape(IReadOnlyList<ElementDocument> said, LearntValues learnt, string firstMix, bool everyOther, Gate gate)
    {
        if (said.Count == 0)
        {
            gate.Fault(Places.Elements, new Notice.NothingToPour());
            return null;
        }

        if (said.Count > Limits.MostElements)
        {
            gate.Fault(Places.Elements, new Notice.TooMany(Count: said.Count, Most: Limits.MostElements));
            return null;
        }

        var (planned, ids) = (ImmutableArray.CreateBuilder<ElementPlan>(said.Count), new HashSet<string>());
        for (var i = 0; i < said.Count; i++)
        {
            gate.Budget.GoOn();
            if (said[i].Id.Length > 0 && !ids.Add(said[i].Id))
            {
                gate.Fault(Places.Element(i).Id, new Notice.SameId(Given: said[i].Id));
            }
            else if (ElementReader.Read(i, said[i], learnt, gate) is { } read)
            {
                planned.Add(Shaped(read, said[i].Mix ?? firstMix, everyOther, gate));
            }
        }

        return planned.Count < said.Count ? null : planned.ToImmutable();
    }

    private static ElementPlan Shaped(ReadElement read, string mix, bool everyOther, Gate gate)
    {
        var (at, traits, cast) = (read.At, read.Traits, read.Cast);
        var fall = traits.Flat && read.FallSound
            ? FallAdvice.Plan(
                read.Fall, new FallSite(cast.Plan, [.. read.EdgesMeeting(Meets.Wall)], [.. read.OpeningsFor(OpeningUse.Drain).Select(o => o.Centre)], traits.OnGround), at.Fall, at.Self, gate)
            : null;
        var joints = JointAdvice.Plan(read.Joints, new JointSite(traits.Jointed, cast, traits.Flat, read.Said.MeetsAt, everyOther), at, gate);
        ShapeAdvice.Explain(cast, read.OrderL, read.WastePercent, at.Self, gate);
        return new ElementPlan { Read = read, Mix = mix, Fall = fall, Joints = joints };
    }

    /// <summary>What each element is built with, and what is cut for all together.</summary>
    /// <param name="elements">Worked out.</param>
    /// <param name="site">What the job is built with.</param>
    /// <param name="seams">Between panels of an element that are not poured together.</param>
    /// <param name="gate">Takes findings and reasons.</param>
    public static (ImmutableArray<ElementPlan> Elements, BuildPlan Build) Build(
        ImmutableArray<ElementPlan> elements, ReadBuild site, IReadOnlyDictionary<int, PanelSeams> seams, Gate gate)
    {
        var (boards, bars) = (new CutGroups(), new CutGroups());
        ImmutableArray<ElementPlan> built = [.. elements.Select(e => e with { Build = Built(e, site, seams.GetValueOrDefault(e.Index, PanelSeams.None), boards, bars, gate) })];
        var dig = Dig.Together([.. built.Select(e => e.Build!.Dig).OfType<Dig>()]);
        var cut = boards.Lists(site.StockMm, Lumber.KerfMm);
        if (dig is not null)
        {
            DigAdvice.Explain(dig, gate);
        }

        foreach (var list in cut)
        {
            CutGroups.Explain(list, gate);
        }

        FormsPlan[] forms = [.. built.Select(e => e.Build!.Forms).OfType<FormsPlan>()];
        FormsAdvice.ExplainStakes(forms, gate);
        var moulds = built.Where(e => e.Build!.Mould is not null).GroupBy(e => e.Build!.Mould!.SheetMm).OrderBy(g => g.Key);
        ImmutableArray<SheetGroup> sheets = [.. moulds.Select(g => new SheetGroup(g.Key, [.. g.SelectMany(e => e.Build!.Mould!.Mould.Cuts(e.Build.Mould.Moulds, e.Index))]))];
        var mesh = SteelLayout.Stock.Of([.. built.SelectMany(e => e.Build!.Steel.MeshCuts(e.Index))]);
        return (built, new BuildPlan(
            dig, site.StringM * 1000, cut, bars.Lists([Bars.StockM(site.Sold) * 1000], 0), forms.Sum(f => f.StakeCount), sheets, mesh));
    }

    private static ElementBuild Built(ElementPlan element, ReadBuild site, PanelSeams seams, CutGroups boards, CutGroups bars, Gate gate)
    {
        gate.Budget.GoOn();
        var (read, cast, traits, at) = (element.Read, element.Cast, element.Traits, element.At);
        var isolation = read.EdgesMeeting(Meets.Wall, Meets.OldSlab).Sum(cast.Plan.EdgeMetres) + read.OpeningsFor(OpeningUse.Post, OpeningUse.Drain).Sum(o => o.Perimeter.Metres);
        var mould = traits.Mould == MouldKind.None
            ? null
            : MouldAdvice.Plan(
                new MouldSaid(read.Said.Forms?.SheetMm, read.Said.Forms?.Sides ?? MouldSides.OnBottom, read.Said.Forms?.PlyMm, site.Sold), new MouldSite(traits.Mould, cast, read.Said.MeetsAt, read.Casting), at, gate);
        if (traits.Lifted)
        {
            CheckPiece(element, gate);
        }

        var dig = Dug(element, site, gate);
        var forms = traits.Boarded
            ? FormsAdvice.Plan(
                read.Forms(site.Sold, site.LongestStockMm), new FormSite(cast, read.Said.MeetsAt, element.Joints.Bulkheads.AddRange(seams.AtOnce), traits.Tied, Nailed: traits is { Tied: true, OnOldConcrete: true }), at, gate)
            : null;
        if (forms is not null)
        {
            FormsAdvice.Cut(forms, element.Index, site.LongestStockMm, boards);
        }

        var steel = SteelAdvice.Plan(
            read.Steel(site.Sold), new SteelSite(
                cast, element.Joints, traits.Section, traits.Load, traits.OnGround && !site.Plastic && !(dig?.BaseDepth.Metres > 0), traits.InMould, traits.Mould == MouldKind.FaceDown, traits.Spans, traits.Thickens, element.OrderL),
            at, gate);
        foreach (var piece in steel.Layout.PiecesM)
        {
            bars.Add(steel.Bar.Id, piece, element.Index);
        }

        return new ElementBuild(
            dig,
            [.. cast.Plan.Corners.Select(c => (site.StringM + (element.Fall?.DownM(c) ?? 0)) * 1000)],
            cast.Line is null ? Squareness.Of(cast.Plan) : [],
            forms,
            mould,
            steel,
            isolation,
            read.EdgesMeeting(Meets.EarlierPanel).Sum(cast.Plan.EdgeMetres) + seams.All.Sum(c => c.LengthM),
            traits.Mould == MouldKind.InPlace ? cast.Plan.Perimeter.Metres * cast.Count : read.EdgesMeeting(Meets.Wall).Sum(cast.Plan.EdgeMetres));
    }

    private static void CheckPiece(ElementPlan element, Gate gate) => Cautions.CheckPiece(element.PieceMass, element.At.Self, gate);

    private static Dig? Dug(ElementPlan element, ReadBuild site, Gate gate)
    {
        var cast = element.Cast;
        if (!element.Traits.OnGround)
        {
            return null;
        }

        var area = Area.FromSquareMetres(element.FaceM2);
        // A footing's own volume is dug; a slab is dug to its depth all over, and deeper where it hangs down.
        var hung = cast.Parts.Where(p => p.Part == CastPart.ThickEdges).Aggregate(default(Volume), (sum, p) => sum + p.Volume);
        return element.Traits.Section == SteelSection.Footing
            ? DigAdvice.Footing(area, cast.FormHeight, element.At.Self, gate)
            : DigAdvice.Plan(
                area, cast.FormHeight, hung, element.Read.Above ?? (element.Traits.Stands ? cast.FormHeight : Dig.UsualAbove),
                Length.FromMetres(element.Read.EdgesMeeting(Meets.Form).Sum(cast.Plan.EdgeMetres) * cast.Count), site.Soil, site.Frost, site.Base, gate);
    }
}
