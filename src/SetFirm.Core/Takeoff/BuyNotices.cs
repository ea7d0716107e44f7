using NodaTime;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    public sealed record ShedHoldsNothing(double Used, string Good) : Notice;

    /// <summary>One of it is more than the car carries.</summary>
    /// <summary>Bags keep for so long: these are bought later.</summary>
    public sealed record BagsGrowOld(string Bag, double Bags, LocalDate From, int KeepDays) : Notice;

    public sealed record TooHeavyForCar(double MostKg, double PayloadKg, string Good) : Notice;
}

public abstract partial record Mend
{
    public sealed record EnoughInShed(double Used, double SavesMoney, string Good) : Mend;
}

public abstract partial record Why
{
    public sealed record Cost(double GoodsMoney, double ExtrasMoney, double GearMoney, double HomeMoney) : Why;

    public sealed record Load(int Lines) : Why;

    public sealed record PerLitre(double ConcreteMoney, double OrderL) : Why;

    public sealed record TruckCost(double OrderedM3, double PerM3Money, double MinimumM3, double ShortMoney, double DeliveryMoney) : Why;

    public sealed record Trips(double MassKg, double PayloadKg, double TripsMoney, double DeliveryMoney) : Why;
}
