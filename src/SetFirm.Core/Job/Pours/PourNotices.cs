using NodaTime;
using SetFirm.Core.Shapes;

namespace SetFirm.Core.Findings;

public abstract partial record Notice
{
    /// <summary>Two things go by one id.</summary>
    public sealed record SameId(string Given) : Notice;

    public sealed record UnknownElement(string Given) : Notice;

    public sealed record UnknownMix(string Given) : Notice;

    public sealed record NoSuchPanel(int Panel, int Most) : Notice;

    public sealed record NoSuchCasting(int Casting, int Most) : Notice;

    /// <summary>It is cast several times: which one is wanted.</summary>
    public sealed record WhichCasting(int Most) : Notice;

    /// <summary>It has no such course, or has several and none is named.</summary>
    public sealed record NoSuchCourse : Notice;

    /// <summary>Another pour has it already.</summary>
    public sealed record PouredTwice(int Pour) : Notice;

    /// <summary>A pour without a part.</summary>
    public sealed record EmptyPour : Notice;

    /// <summary>Each waits for something of the other.</summary>
    public sealed record PoursWaitForEachOther(int Pour, int Other) : Notice;

    /// <summary>One mixer holds one mix: the rest wants a pour of its own.</summary>
    public sealed record TwoMixesInOnePour : Notice;

    /// <summary>The mould is full until then: days from the casting before.</summary>
    public sealed record MouldStillFull(int Casting, double GapDays, double WantedDays) : Notice;

    /// <summary>What it goes on, or against, is poured later.</summary>
    public sealed record PouredBeforeItsBase(Course Course) : Notice;

    /// <summary>The board between it and the panel before is not off yet.</summary>
    public sealed record BulkheadStillStands(double GapDays, double WantedDays) : Notice;

    /// <summary>When another pour begins, the form that it needs is still needed by this one: hours from its last water.</summary>
    public sealed record FormStillHolds(int Pour, bool Mould, double AgeH, double WantedH) : Notice;

    /// <summary>Its day is gone, and nobody told what was poured.</summary>
    public sealed record DayWentBy(LocalDate Date) : Notice;

    /// <summary>Nobody pours on such a day.</summary>
    public sealed record NotAWorkingDay : Notice;
}

public abstract partial record Mend
{
    /// <summary>Pour it on the first day that will do.</summary>
    public sealed record PourLater(double DaysLater) : Mend;

    /// <summary>It was poured as planned: that is told, and nothing is changed.</summary>
    public sealed record PouredAsPlanned : Mend;

    /// <summary>It was not poured yet, and will be.</summary>
    public sealed record PourOn(LocalDate Date) : Mend;
}
