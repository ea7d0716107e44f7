using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Batching;
using SetFirm.Core.Curing;
using SetFirm.Core.Findings;
using SetFirm.Core.Finishing;
using SetFirm.Core.Mixes;
using SetFirm.Core.Quantities;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>What a pour has of one element.</summary>
/// <param name="Index">Of the element in the job.</param>
/// <param name="PourL">Litres, waste included.</param>
/// <param name="FaceM2">Of its face.</param>
/// <param name="Depth">What warms, sets and dries together.</param>
/// <param name="Below">What lies under it.</param>
/// <param name="Finish">Of its face.</param>
/// <param name="Sawn">It has joints to saw.</param>
/// <param name="Back">What lies open is its back: how fast that dries is no decision.</param>
/// <param name="Tapped">It is filled soft into a mould and tapped as it lands.</param>
public sealed record PourElement(int Index, double PourL, double FaceM2, Length Depth, Below Below, Finish Finish, bool Sawn, bool Back, bool Tapped)
{
    /// <summary>Where each of its panels is full, share of its volume, in pouring order; none where it has no joints.</summary>
    public ImmutableArray<double> PanelEnds { get; init; } = [];
}

/// <summary>Where a pour's own choices stand in the document.</summary>
public sealed record TaskPlaces(Place Date, Place Start, MixingPlaces Mixing, MixPlaces Mix);

/// <summary>A pour as it was said and read: everything that its day is worked out from, save the weather and what is told of it.</summary>
/// <remarks>It is kept with its plan, so that the pour can be planned again without the job.</remarks>
public sealed record PourTask
{
    /// <summary>Mixed with water hotter than this it is not, °C.</summary>
    public const double HottestWaterC = 60;

    /// <summary>In pouring order; at least one.</summary>
    public required ImmutableArray<PourElement> Elements { get; init; }

    public required Recipe Recipe { get; init; }

    public required LoadPlan Load { get; init; }

    public required DateTimeZone Zone { get; init; }

    public required LocalDate Date { get; init; }

    public required LocalTime Start { get; init; }

    /// <summary>Between these somebody begins; null where that could not be read.</summary>
    public (LocalTime From, LocalTime Until)? Works { get; init; }

    public required SiteConditions Site { get; init; }

    /// <summary>A cover stands ready in case it rains.</summary>
    public required bool RainCover { get; init; }

    public required CuringMethod Method { get; init; }

    public required FrostGuard Frost { get; init; }

    /// <summary>Mixing water as said, °C.</summary>
    public required double SaidWaterC { get; init; }

    /// <summary>What the concrete should have when it is mixed, °C; null takes it as it comes.</summary>
    public required double? WantedMixC { get; init; }

    public required TaskPlaces At { get; init; }

    /// <summary>It sets in so many times its time, as was learnt of it; 1 where nothing was.</summary>
    public double SetFactor { get; init; } = 1;

    /// <summary>Its sheen stays so many times as long, as was learnt of the site.</summary>
    public double SheenFactor { get; init; } = 1;

    /// <summary>Passes take so many times as long, as was learnt of the crew.</summary>
    public double FinishingFactor { get; init; } = 1;

    /// <summary>How its pace differs from day to day, as a logarithm; 0 where nothing was learnt of it: its windows are then those of the batches as planned.</summary>
    public double PaceDoubt { get; init; }

    /// <summary>The concrete as it sets here.</summary>
    public ConcreteMix Mix => SetFactor == 1 ? Recipe.Mix : Recipe.Mix.Setting(SetFactor);

    /// <summary>First water; of what a truck brings that was before it came. An hour that a clock change skips or repeats is read leniently (later, or first).</summary>
    public Instant StartsAt => (Date + Start).InZoneLeniently(Zone).ToInstant() - Recipe.Age;

    /// <summary>A truck comes then; whoever mixes is there anyway.</summary>
    public bool Comes(LocalDateTime at) => Recipe is not ReadyRecipe { Terms: var terms } || terms.Comes(at);

    /// <summary>Water as said; where that cannot be, something near it; null where it went in at the plant, as warm as all else there.</summary>
    public double? WaterC(HourlyWeather weather)
    {
        ArgumentNullException.ThrowIfNull(weather);
        return Recipe is ReadyRecipe ? null : Math.Clamp(double.IsNaN(SaidWaterC) ? weather.MeanAirC : SaidWaterC, 0, HottestWaterC);
    }

    public double Doses(Additive kind) => Recipe.Doses.FirstOrDefault(d => d.Kind == kind).Amount;
}
