using SetFirm.Core.Takeoff;

namespace SetFirm.Core.Telling;

/// <summary>What is bought, and what it costs. Money is in the job's currency.</summary>
/// <param name="Lines">Everything, the concrete first.</param>
/// <param name="ExtrasCost">Things besides.</param>
/// <param name="GearCost">Things to hold in the hand, hired or bought.</param>
/// <param name="Cost">All together, the way home included.</param>
/// <param name="Groups">Parts of the budget.</param>
/// <param name="Elements">Budget of each element, whole-job things shared out by volume.</param>
/// <param name="PerLitre">Concrete alone, for a litre placed.</param>
/// <param name="Kg">To carry home.</param>
/// <param name="Carry">How it comes home.</param>
/// <param name="Supply">Bags against loose against truck.</param>
/// <param name="Standing">Prices that are no thing's: trips, delivery, the truck.</param>
public sealed record BuyReport(
    IReadOnlyList<BuyLineReport> Lines,
    double ExtrasCost,
    double GearCost,
    double Cost,
    IReadOnlyList<GroupCost> Groups,
    IReadOnlyList<ElementCost> Elements,
    double PerLitre,
    double Kg,
    CarryReport Carry,
    SupplyReport Supply,
    IReadOnlyList<StandingPrice> Standing);

/// <param name="Good">Its id, for the price book and the shed.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Of">Which of its kind.</param>
/// <param name="LengthM">Length or thickness as sold; 0 where that does not matter.</param>
/// <param name="Group">Part of the budget.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="Used">In that unit.</param>
/// <param name="FromShed">Of that, there already.</param>
/// <param name="Packs">What to take.</param>
/// <param name="Cost">Of them.</param>
/// <param name="Kg">Of them.</param>
public sealed record BuyLineReport(
    string Good, GoodKind Kind, string Of, double LengthM, GoodGroup Group, GoodUnit Unit, double Used, double FromShed, IReadOnlyList<PackReport> Packs, double Cost, double Kg);

/// <param name="Id">For the price book.</param>
/// <param name="Size">In the thing's unit.</param>
/// <param name="Count">How many.</param>
/// <param name="Price">For one.</param>
/// <param name="Noted">True where the price is the user's own.</param>
/// <param name="Date">When it was noted; empty where not.</param>
public sealed record PackReport(string Id, double Size, double Count, double Price, bool Noted, string Date);

public sealed record GroupCost(GoodGroup Group, double Cost);

/// <param name="Index">Its place in the document.</param>
/// <param name="Cost">Of it.</param>
public sealed record ElementCost(int Index, double Cost);

/// <param name="Trips">With the car.</param>
/// <param name="PayloadKg">It carries.</param>
/// <param name="TripsCost">All of them.</param>
/// <param name="DeliveryCost">Brought instead.</param>
/// <param name="Delivered">True where that costs less.</param>
public sealed record CarryReport(int Trips, double PayloadKg, double TripsCost, double DeliveryCost, bool Delivered);

/// <param name="M3">The job's volume.</param>
/// <param name="Ways">At that volume.</param>
/// <param name="Curve">Money and work over volume, in the order of the ways.</param>
/// <param name="Crossings">Where one way becomes cheaper than another.</param>
/// <param name="HourWorth">Money that an hour counts in the curve.</param>
public sealed record SupplyReport(
    double M3, IReadOnlyList<SupplyAt> Ways, IReadOnlyList<SupplyPoint> Curve, IReadOnlyList<SupplyCrossing> Crossings, double HourWorth);

/// <param name="Id">For the price book.</param>
/// <param name="Price">For one.</param>
/// <param name="Noted">True where the price is the user's own.</param>
public sealed record StandingPrice(string Id, double Price, bool Noted);
