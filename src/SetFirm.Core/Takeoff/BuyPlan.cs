using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Curing;
using SetFirm.Core.Formwork;
using SetFirm.Core.Ground;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Shapes;
using SetFirm.Core.Steel;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Takeoff;

/// <summary>Prices, shed and car, checked.</summary>
/// <param name="Prices">Noted and typical.</param>
/// <param name="Shed">What is there already, in the order in which it is said.</param>
/// <param name="PayloadKg">The car carries.</param>
/// <param name="HourWorth">Money that an hour counts.</param>
/// <param name="ExtrasMoney">Things besides.</param>
/// <param name="GearMoney">Things to hold in the hand, hired or bought.</param>
public sealed record BuyTerms(PriceBook Prices, ImmutableArray<(string Good, double Amount)> Shed, double PayloadKg, double HourWorth, double ExtrasMoney, double GearMoney = 0);

/// <summary>What a pour has of a thing that is done anew for each pour.</summary>
/// <param name="Pour">Its number, from 1.</param>
/// <param name="Share">Of the whole element, 0-1.</param>
public readonly record struct PourShare(int Pour, double Share);

/// <summary>What each pour has of an element.</summary>
/// <param name="Mixed">Of its concrete.</param>
/// <param name="Covered">Of its face, the first time that it is covered: what lies over a base is taken again for the topping.</param>
/// <param name="Finished">Of its face, what nothing more goes onto.</param>
/// <param name="Bonded">Of its face, what goes onto hard concrete with a bond coat.</param>
/// <param name="Bedded">Of its face, where stones are set in a bed.</param>
/// <param name="Cast">Of its pieces, where it is cast again and again in the same moulds; empty where it is not.</param>
public sealed record ElementPours(
    ImmutableArray<PourShare> Mixed, ImmutableArray<PourShare> Covered, ImmutableArray<PourShare> Finished, ImmutableArray<PourShare> Bonded, ImmutableArray<PourShare> Bedded, ImmutableArray<PourShare> Cast);

/// <summary>What an element takes besides concrete.</summary>
/// <param name="Index">Of the element.</param>
/// <param name="Order">Its order of work.</param>
/// <param name="Pours">What each pour has of it.</param>
/// <param name="Cast">Its shape.</param>
/// <param name="OpenM2">Every face that air reaches.</param>
/// <param name="OrderL">Concrete, waste included: whole-job things are shared out by it.</param>
/// <param name="Dig">Null where nothing is dug.</param>
/// <param name="Forms">Null where no boards hold it.</param>
/// <param name="Mould">Null where it is cast in none.</param>
/// <param name="Steel">In it.</param>
/// <param name="IsolationM">Strip at walls, posts and drains.</param>
/// <param name="BondBreakerM">Between it and panels poured before.</param>
/// <param name="Coats">Products that go on when it is hard, all coats of each, as bought.</param>
/// <param name="PebbleKg">Stones set in it.</param>
/// <param name="MaskM">Along what is covered so that it is not splashed.</param>
/// <param name="DeckM2">Of deck that is made for it; 0 where it lies on the ground or in a mould.</param>
/// <param name="DeckComesOff">Then a slip sheet lies on it.</param>
/// <param name="CracksM">In what it lies on.</param>
public sealed record BuyElement(
    int Index, ImmutableArray<WorkTask> Order, ElementPours Pours, CastShape Cast, double OpenM2, double OrderL, Dig? Dig, FormsPlan? Forms, MouldPlan? Mould, SteelPlan Steel, double IsolationM, double BondBreakerM, double MaskM, ImmutableArray<(string Id, double LPerM2)> Coats, double PebbleKg, double DeckM2, bool DeckComesOff, double CracksM)
{
    public double FaceM2 => Cast.Plan.NetArea.SquareMetres * Cast.Count;
}

/// <summary>What one pour measures out.</summary>
/// <param name="Number">From 1.</param>
/// <param name="Recipe">Its mix.</param>
/// <param name="Date">Null while it is not known.</param>
/// <param name="Units">Of it.</param>
/// <param name="Batched">Units that were measured out; 0 where nothing is batched yet.</param>
/// <param name="MeasuredOut">Of each thing.</param>
/// <param name="WaitMin">A truck waits so long beyond what is in its price.</param>
public sealed record PourMeasured(int Number, Recipe Recipe, LocalDate? Date, int Units, int Batched, IReadOnlyList<Measure> MeasuredOut, double WaitMin = 0);

/// <summary>Everything that a job uses.</summary>
/// <param name="Elements">What each takes.</param>
/// <param name="Boards">Cut lists.</param>
/// <param name="Bars">Cut lists.</param>
/// <param name="Sheets">For all moulds, by thickness in mm.</param>
/// <param name="Mesh">For all elements.</param>
/// <param name="Plastic">Plastic lies under it.</param>
/// <param name="Method">How it is kept wet.</param>
/// <param name="Hands">People.</param>
/// <param name="Pours">What each measures out, in the order in which they are poured.</param>
/// <param name="Sold">Where.</param>
public sealed record BuyJob(
    ImmutableArray<BuyElement> Elements, ImmutableArray<CutList> Boards, ImmutableArray<CutList> Bars, ImmutableArray<(double Mm, SheetsNeeded Needed)> Sheets, SheetsNeeded Mesh, bool Plastic, CuringMethod Method, int Hands, ImmutableArray<PourMeasured> Pours, UnitSystem Sold)
{
    public double OrderL => Elements.Sum(e => e.OrderL);
}

/// <summary>How it comes home.</summary>
/// <param name="Trips">With the car.</param>
/// <param name="PayloadKg">It carries.</param>
/// <param name="TripsMoney">All of them.</param>
/// <param name="DeliveryMoney">Brought instead.</param>
public sealed record Carry(int Trips, double PayloadKg, double TripsMoney, double DeliveryMoney)
{
    /// <summary>Whichever costs less.</summary>
    public double Money => Math.Min(TripsMoney, DeliveryMoney);

    public bool Delivered => DeliveryMoney < TripsMoney;
}

/// <summary>What is bought, and what it costs.</summary>
/// <param name="Lines">Everything, the concrete first.</param>
/// <param name="ExtrasMoney">Things besides.</param>
/// <param name="GearMoney">Things to hold in the hand.</param>
/// <param name="CostMoney">All together, the way home included.</param>
/// <param name="ElementMoney">Of each element, whole-job things shared out by volume.</param>
/// <param name="ConcreteMoney">The concrete alone.</param>
/// <param name="Kg">To carry home.</param>
/// <param name="Carry">How it comes home.</param>
/// <param name="M3">The job's volume, hold-back included.</param>
/// <param name="Compared">Bags against loose against truck, made when it is looked at.</param>
public sealed record BuyPlan(
    ImmutableArray<BuyLine> Lines, double ExtrasMoney, double GearMoney, double CostMoney, ImmutableArray<(int Element, double Money)> ElementMoney, double ConcreteMoney, double Kg, Carry Carry, double M3,
    Lazy<SupplyComparison> Compared)
{
    /// <summary>Bags against loose against truck.</summary>
    public SupplyComparison Supply => Compared.Value;
}
