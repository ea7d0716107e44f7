using NodaTime;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Takeoff;
using SetFirm.Core.Tasks;

namespace SetFirm.Core.Telling;

/// <summary>The list to hold in a shop. Money is in the job's currency.</summary>
/// <param name="Lines">Everything, the concrete first.</param>
/// <param name="Open">Of them still to be bought, or not to be had.</param>
/// <param name="SpentCost">In the car.</param>
/// <param name="LeftCost">Still to be bought.</param>
/// <param name="Gear">Things to hold in the hand.</param>
/// <param name="GearCost">Of them, hired or bought.</param>
public sealed record ShopReport(IReadOnlyList<ShopLineReport> Lines, int Open, double SpentCost, double LeftCost, IReadOnlyList<GearReport> Gear, double GearCost);

/// <param name="Line">As planned.</param>
/// <param name="For">What uses it, of whichever pour, in the order of work: their amounts add up to what is used.</param>
/// <param name="State">Where it stands.</param>
/// <param name="InCar">So much is in the car, in its unit.</param>
/// <param name="Left">What makes up the rest.</param>
/// <param name="LeftAmount">Of it, in its unit.</param>
/// <param name="ToldAt">When something was last told of it; null where nothing was.</param>
/// <param name="ToldBy">By whom.</param>
/// <param name="Instead">Where it is not to be had: what else.</param>
public sealed record ShopLineReport(
    BuyLineReport Line, IReadOnlyList<UsedByReport> For, ShopState State, double InCar, IReadOnlyList<PackReport> Left, double LeftAmount, Instant? ToldAt, string ToldBy, IReadOnlyList<InsteadReport> Instead);

/// <param name="Task">That uses it up.</param>
/// <param name="Element">Index of the element; null where it is done once for the job.</param>
/// <param name="Amount">In the thing's unit, of all pours.</param>
public sealed record UsedByReport(WorkTask Task, int? Element, double Amount);

/// <param name="Way">What it is.</param>
/// <param name="Takes">The mix that takes it.</param>
/// <param name="MoreCost">Against the planned one.</param>
/// <param name="MoreHours">Work of all hands; null where that is not known.</param>
public sealed record InsteadReport(Way Way, MixDocument? Takes, double MoreCost, double? MoreHours);

/// <param name="Gear">What.</param>
/// <param name="For">Tasks that want it.</param>
/// <param name="Days">Local dates on which it is wanted.</param>
/// <param name="From">Where it comes from.</param>
/// <param name="Price">For a day where it is hired, else for the thing.</param>
/// <param name="Cost">To this job.</param>
public sealed record GearReport(Gear Gear, IReadOnlyList<WorkTask> For, IReadOnlyList<string> Days, GearSource From, double Price, double Cost);
