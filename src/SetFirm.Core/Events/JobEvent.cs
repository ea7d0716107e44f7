using System.Text.Json.Serialization;
using NodaTime;

namespace SetFirm.Core.Events;

/// <summary>Something that was done or seen, as it was told. A closed set of kinds; lines are only added, and a mistake is withdrawn by another line.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(DayBegun), "dayBegun")]
[JsonDerivedType(typeof(BatchMixing), "batchMixing")]
[JsonDerivedType(typeof(BatchPlaced), "batchPlaced")]
[JsonDerivedType(typeof(StruckOff), "struckOff")]
[JsonDerivedType(typeof(WaterAdded), "waterAdded")]
[JsonDerivedType(typeof(TemperatureTold), "temperature")]
[JsonDerivedType(typeof(SheenGone), "sheenGone")]
[JsonDerivedType(typeof(ThumbTest), "thumbTest")]
[JsonDerivedType(typeof(PassBegun), "passBegun")]
[JsonDerivedType(typeof(PassDone), "passDone")]
[JsonDerivedType(typeof(CoverOn), "coverOn")]
[JsonDerivedType(typeof(CoverOff), "coverOff")]
[JsonDerivedType(typeof(Rain), "rain")]
[JsonDerivedType(typeof(Paused), "paused")]
[JsonDerivedType(typeof(Trouble), "trouble")]
[JsonDerivedType(typeof(Noted), "noted")]
[JsonDerivedType(typeof(Photo), "photo")]
[JsonDerivedType(typeof(UsedUp), "usedUp")]
[JsonDerivedType(typeof(Wetted), "wetted")]
[JsonDerivedType(typeof(BoardsOff), "boardsOff")]
[JsonDerivedType(typeof(Coated), "coated")]
[JsonDerivedType(typeof(CastLifted), "castLifted")]
[JsonDerivedType(typeof(JointMade), "jointMade")]
[JsonDerivedType(typeof(Misted), "misted")]
[JsonDerivedType(typeof(DayClosed), "dayClosed")]
[JsonDerivedType(typeof(HandsChanged), "handsChanged")]
[JsonDerivedType(typeof(TaskDone), "taskDone")]
[JsonDerivedType(typeof(GoodBought), "goodBought")]
[JsonDerivedType(typeof(GoodMissing), "goodMissing")]
[JsonDerivedType(typeof(FaultSeen), "faultSeen")]
[JsonDerivedType(typeof(ProbeRead), "probeRead")]
[JsonDerivedType(typeof(Withdrawn), "withdrawn")]
public abstract record JobEvent
{
    private JobEvent()
    {
    }

    /// <summary>Made where it was told: told twice, it is one.</summary>
    public required Guid Id { get; init; }

    /// <summary>When it happened, by the clock of the device.</summary>
    public required Instant At { get; init; }

    /// <summary>Id of the pour; empty in a job of one pour.</summary>
    public string Pour { get; init; } = "";

    /// <summary>Where it was told, as the device calls itself.</summary>
    public string Device { get; init; } = "";

    /// <summary>In their words.</summary>
    public string Note { get; init; } = "";

    /// <summary>The day of the pour begins, by this plan: it stands beside what happens and is not rewritten.</summary>
    public sealed record DayBegun : JobEvent
    {
        public required PlanOfDay Plan { get; init; }
    }

    /// <summary>Water is in the mixer.</summary>
    public sealed record BatchMixing : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Batch { get; init; }
    }

    /// <summary>A batch lies in the form.</summary>
    public sealed record BatchPlaced : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Batch { get; init; }
    }

    public sealed record StruckOff : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Zone { get; init; }
    }

    /// <summary>More water than planned went into a batch.</summary>
    public sealed record WaterAdded : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Batch { get; init; }

        /// <summary>Over the plan.</summary>
        public required double Litres { get; init; }
    }

    /// <summary>A temperature that was read or felt.</summary>
    public sealed record TemperatureTold : JobEvent
    {
        public required ToldTemperature Of { get; init; }

        public required double Celsius { get; init; }
    }

    /// <summary>The sheen of bled water is gone.</summary>
    public sealed record SheenGone : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Zone { get; init; }
    }

    /// <summary>How a thumb marks the face.</summary>
    public sealed record ThumbTest : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Zone { get; init; }

        public required ThumbMark Mark { get; init; }
    }

    public sealed record PassBegun : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Zone { get; init; }

        public required Pass Pass { get; init; }
    }

    public sealed record PassDone : JobEvent
    {
        /// <summary>From 1.</summary>
        public required int Zone { get; init; }

        public required Pass Pass { get; init; }
    }

    /// <summary>Something was laid over it.</summary>
    public sealed record CoverOn : JobEvent
    {
        /// <summary>From 1; null where all of it is meant.</summary>
        public int? Zone { get; init; }
    }

    /// <summary>And taken off.</summary>
    public sealed record CoverOff : JobEvent
    {
        /// <summary>From 1; null where all of it is meant.</summary>
        public int? Zone { get; init; }
    }

    public sealed record Rain : JobEvent;

    /// <summary>Work stands still from here; the next batch or pass ends it.</summary>
    public sealed record Paused : JobEvent;

    /// <summary>Something went wrong; the note says what.</summary>
    public sealed record Trouble : JobEvent;

    /// <summary>Only a note.</summary>
    public sealed record Noted : JobEvent;

    public sealed record Photo : JobEvent
    {
        /// <summary>Id of the picture.</summary>
        public required string Picture { get; init; }
    }

    /// <summary>So much of a thing was used.</summary>
    public sealed record UsedUp : JobEvent
    {
        /// <summary>Id of the thing.</summary>
        public required string Good { get; init; }

        /// <summary>In its unit.</summary>
        public required double Amount { get; init; }
    }

    public sealed record Wetted : JobEvent;

    /// <summary>Its boards or its mould came off.</summary>
    public sealed record BoardsOff : JobEvent;

    /// <summary>A coat went on.</summary>
    public sealed record Coated : JobEvent
    {
        /// <summary>Which product of the job, from 0.</summary>
        public required int Product { get; init; }
    }

    /// <summary>A joint was made where a batch ends: the next one need not knit with it.</summary>
    public sealed record JointMade : JobEvent
    {
        /// <summary>The batch before the joint, from 1.</summary>
        public required int Batch { get; init; }
    }

    /// <summary>A fog of water was laid over the fresh face, so that it does not dry.</summary>
    public sealed record Misted : JobEvent
    {
        /// <summary>From 1; null where all of it is meant.</summary>
        public int? Zone { get; init; }
    }

    /// <summary>The day is closed: the last tool is washed.</summary>
    public sealed record DayClosed : JobEvent
    {
        /// <summary>Tools and mixer are washed.</summary>
        public required bool Washed { get; init; }

        /// <summary>What was kept back went into patches.</summary>
        public required bool HoldBackUsed { get; init; }

        /// <summary>Bags, or containers of cement, that are left over unopened.</summary>
        public required double BagsLeft { get; init; }

        /// <summary>That were used, where somebody counted them; null where only what is left was.</summary>
        [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
        public double? BagsUsed { get; init; }
    }

    /// <summary>More hands came to help, or some left, from here on.</summary>
    public sealed record HandsChanged : JobEvent
    {
        /// <summary>All that are there now.</summary>
        public required int Hands { get; init; }
    }

    /// <summary>A task of the work was done.</summary>
    public sealed record TaskDone : JobEvent
    {
        /// <summary>Key of the task, as the list of tasks has it.</summary>
        public required string Task { get; init; }
    }

    /// <summary>So much of a thing is in the car.</summary>
    public sealed record GoodBought : JobEvent
    {
        /// <summary>Id of the thing.</summary>
        public required string Good { get; init; }

        /// <summary>In its unit.</summary>
        public required double Amount { get; init; }
    }

    /// <summary>The shop has none of a thing.</summary>
    public sealed record GoodMissing : JobEvent
    {
        /// <summary>Id of the thing.</summary>
        public required string Good { get; init; }
    }

    /// <summary>Something is not as it should be, now that it is hard.</summary>
    public sealed record FaultSeen : JobEvent
    {
        public required FaultSign Sign { get; init; }

        /// <summary>Id of the element; empty where all of it is meant.</summary>
        public string Element { get; init; } = "";

        /// <summary>Where on its plan, metres along; null where no place is told.</summary>
        public double? AlongM { get; init; }

        /// <summary>And in, metres.</summary>
        public double? InM { get; init; }

        /// <summary>Id of a picture of it; empty where there is none.</summary>
        public string Picture { get; init; } = "";
    }

    /// <summary>What a probe in the slab read: between two readings it went straight from one to the other.</summary>
    public sealed record ProbeRead : JobEvent
    {
        /// <summary>From the earliest to the latest.</summary>
        public required IReadOnlyList<ProbeReading> Readings { get; init; }
    }

    /// <summary>Cast pieces were lifted out of their moulds.</summary>
    public sealed record CastLifted : JobEvent;

    /// <summary>An earlier line was a mistake and does not count.</summary>
    public sealed record Withdrawn : JobEvent
    {
        /// <summary>Id of that line.</summary>
        public required Guid Line { get; init; }
    }
}

/// <param name="At">When.</param>
/// <param name="Celsius">What it read.</param>
public readonly record struct ProbeReading(Instant At, double Celsius);

/// <summary>Whose temperature was told.</summary>
public enum ToldTemperature
{
    Air,
    Mix,
    Slab,
    Water,
}

/// <summary>How deep a firm thumb sinks, or that a light finger leaves nothing.</summary>
public enum ThumbMark
{
    Deeper,
    SixMm,
    ThreeMm,
    None,
    NoLightPrint,
}
