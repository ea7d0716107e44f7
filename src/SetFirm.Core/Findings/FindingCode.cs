namespace SetFirm.Core.Findings;

/// <summary>What a finding says. The browser holds one sentence for each; the facts named here go into it.</summary>
/// <remarks>Facts carry their unit at the end of their name: Mm, M, L, Kg, C, Min, Mpa, Pct, KgM2H.</remarks>
public enum FindingCode
{
    // Input
    /// <summary>Texts: reason. Facts: at (index into the text).</summary>
    QuantityUnread,

    /// <summary>Facts: value, least, most, in the unit of their names' ending.</summary>
    OutOfRange,

    /// <summary>Texts: given.</summary>
    UnknownTimeZone,

    // Shape
    NothingToPour,

    /// <summary>Facts: count, most.</summary>
    TooMany,

    /// <summary>Facts: count.</summary>
    TooFewEdges,

    /// <summary>Facts: sumDegrees; 360 either way is once round.</summary>
    TurnsDoNotClose,

    /// <summary>Facts: gapMm, limitMm.</summary>
    OutlineGap,

    /// <summary>Facts: blanks. At most two blanks, and those two not parallel.</summary>
    OutlineNotSolvable,

    /// <summary>Facts: lengthMm, negative where the edge would have to run backwards.</summary>
    EdgeBackwards,

    /// <summary>Facts: xM, yM.</summary>
    OutlineCrosses,
    OpeningOutside,

    /// <summary>Facts: other (index of the other opening).</summary>
    OpeningsOverlap,

    /// <summary>Facts: sumMm, apartMm. Two tapes that together do not span the nails.</summary>
    TapesTooShort,

    /// <summary>Facts: differenceMm, apartMm. Two tapes that differ by more than the nails are apart.</summary>
    TapesTooFarApart,

    /// <summary>Facts: misfitMm, tapedMm, workedOutMm.</summary>
    CheckTapeMisfit,

    /// <summary>Facts: alongMm, acrossMm. A notch as large as its sides, a kidney as wide as it is long.</summary>
    PresetCannotBe,

    /// <summary>Facts: radiusMm, leastMm. A path bends tighter than half its width.</summary>
    BendTooTight,

    /// <summary>Facts: widthMm, leastMm.</summary>
    TooNarrow,

    /// <summary>Facts: given. Of base, top and batter two are wanted.</summary>
    CurbWantsTwo,

    /// <summary>Facts: batterDegrees, heightMm. The faces meet below the top.</summary>
    CurbLeansAway,

    /// <summary>Facts: easeMm, topMm.</summary>
    EaseTooLarge,

    /// <summary>Facts: thicknessMm, leastMm.</summary>
    FieldTooThin,

    /// <summary>Facts: baseMm, toppingMm.</summary>
    TwoPours,

    /// <summary>Facts: count, most.</summary>
    NoProbes,

    /// <summary>Facts: gradePct, leastPct.</summary>
    FallTooFlat,

    /// <summary>Facts: gradePct, leastPct, withinM.</summary>
    FallFlatAtHouse,

    /// <summary>Facts: edge (from 1).</summary>
    FallToWall,

    /// <summary>Facts: atMm.</summary>
    JointOutside,

    /// <summary>Facts: panel (number), lengthMm, mostMm.</summary>
    PanelTooLong,

    /// <summary>Facts: panel (number), ratio, most.</summary>
    PanelTooSlender,

    /// <summary>Facts: corner (from 1), xM, yM.</summary>
    CornerWithoutJoint,

    /// <summary>Facts: depthMm, grooverMm.</summary>
    JointDeeperThanGroover,
    RepeatJoints,
    NoWayOut,

    /// <summary>Facts: deepM, reachM.</summary>
    BeyondReach,

    // Files
    /// <summary>Facts: line. Texts: reason. What stands there cannot be read.</summary>
    FileDamaged,

    /// <summary>The file does not say what its numbers measure.</summary>
    FileUnitUnknown,

    /// <summary>Facts: unit (the file's own code). A unit that no slab is drawn in.</summary>
    FileUnitUnsupported,

    /// <summary>Nothing closed is drawn in it.</summary>
    FileWithoutOutline,

    /// <summary>Facts: count, most.</summary>
    FileTooManyPoints,

    // Build
    /// <summary>Facts: baseMm, advisedMm.</summary>
    BaseThinnerThanAdvised,

    /// <summary>Texts: given.</summary>
    UnknownBoard,

    /// <summary>Facts: boardMm, pourMm.</summary>
    BoardTooLow,

    /// <summary>Facts: gapMm, boardMm.</summary>
    DigBelowBoard,

    /// <summary>Facts: radiusMm, leastMm, plyMm.</summary>
    PlyTooStiff,

    /// <summary>Facts: radiusMm.</summary>
    BendNeedsKerfs,

    /// <summary>Facts: edges, lengthM.</summary>
    CurveOfManyEdges,

    /// <summary>Texts: given.</summary>
    UnknownBar,

    /// <summary>Texts: school, misfit, better. Facts: thicknessMm, leastMm, longestM.</summary>
    SteelDoesNotFit,

    /// <summary>Facts: massKg, limitKg.</summary>
    HeavyPiece,

    /// <summary>Facts: deepMm.</summary>
    FootingBelowFrost,

    // Mix
    /// <summary>Texts: given.</summary>
    UnknownBag,
    MixWithoutCement,

    /// <summary>Facts: waterL, mostL, f28Mpa, bestF28Mpa.</summary>
    WaterOverBagLimit,

    /// <summary>Facts: waterL, leastL.</summary>
    WaterUnderBagLimit,

    /// <summary>Facts: waterCement, least, most.</summary>
    WaterCementOutsideTable,

    /// <summary>Facts: thicknessMm, leastMm, mostMm.</summary>
    ThicknessOutsideMix,

    /// <summary>Facts: stoneMm, mostMm, thicknessMm.</summary>
    StoneTooLarge,

    /// <summary>Facts: waterCement, most.</summary>
    ExposureWaterCement,

    /// <summary>Facts: f28Mpa, leastMpa.</summary>
    ExposureStrength,

    /// <summary>Facts: airPct, wantedPct.</summary>
    ExposureAir,

    /// <summary>Texts: additive. A rapid mix takes only its own maker's.</summary>
    RapidTakesItsOwn,

    /// <summary>Facts: doses, most.</summary>
    TooMuchRetarder,

    /// <summary>Facts: givenPct, usualPct, mostPct.</summary>
    TooMuchPigment,
    AirNotForBags,
    RetardedAndAccelerated,
    PigmentByLabel,
    ChlorideRustsSteel,

    /// <summary>Facts: stoneMm, deepMm, mostMm.</summary>
    PlasticisedSegregates,
    AirNeverTrowelled,

    /// <summary>Facts: airC, belowC.</summary>
    AntifreezeIsNoCover,

    // Load
    /// <summary>Facts: mixers, hands.</summary>
    MixersWithoutHands,

    /// <summary>Facts: offPct, yieldPct. What measuring in quarters does to the w/c.</summary>
    CoarselyMeasured,

    /// <summary>Facts: unitL, capacityL.</summary>
    MixerTooSmall,

    /// <summary>Facts: unitKg, mostKg, hands. Texts: by (lift, or the mixer's plate).</summary>
    BatchTooHeavy,

    /// <summary>Facts: cycleMin.</summary>
    DrillRests,

    /// <summary>Facts: count, limit.</summary>
    WantsMixer,

    /// <summary>Facts: volumeM3, limitM3.</summary>
    WantsHelper,

    /// <summary>Facts: volumeM3, comfortM3, exhaustionM3, hands.</summary>
    MoreThanADay,

    /// <summary>Facts: ageMin, limitMin.</summary>
    ColdJoint,

    // Buy
    /// <summary>Facts: used (in the thing's unit). Texts: good.</summary>
    ShedHoldsNothing,

    /// <summary>Facts: mostKg, payloadKg. Texts: good. One of it is more than the car carries.</summary>
    TooHeavyForCar,

    // Day
    /// <summary>Facts: hour (index), Texts: field.</summary>
    WeatherUnusable,

    /// <summary>Facts: hoursGiven. The mean day of what was given stands in after that.</summary>
    WeatherEndsEarly,

    /// <summary>Facts: chancePct, limitPct.</summary>
    RainBeforeSet,

    /// <summary>Facts: peakKgM2H, limitKgM2H.</summary>
    DryingFast,

    /// <summary>Facts: peakKgM2H, limitKgM2H. Drying outruns bleeding before first set.</summary>
    DriesBeforeItBleeds,

    /// <summary>Facts: airC, limitC.</summary>
    ColdWeather,

    /// <summary>Facts: mixC, limitC.</summary>
    MixTooCold,

    /// <summary>Facts: mixC, limitC.</summary>
    MixTooHot,

    /// <summary>Facts: wantedC, mixC, waterC, leastC, mostC. As planned the mix has not the temperature that is wanted.</summary>
    MixOutOfReach,

    /// <summary>Facts: waterC, limitC.</summary>
    WaterScalds,

    /// <summary>Facts: overlapMin, zone. Texts: pass. A pass is due while every hand still mixes and places.</summary>
    HandsStillMixing,

    /// <summary>Facts: lateMin, zone, hands. Texts: pass. Hands are with another zone while this one closes.</summary>
    ZonesCollide,

    /// <summary>Facts: hoursFrom, hoursUntil. Nobody begins at this hour.</summary>
    OutsideWorkingHours,

    /// <summary>Facts: line. Texts: column, reason, given. Nothing was read.</summary>
    WeatherFileDamaged,

    /// <summary>Facts: line. Texts: column.</summary>
    WeatherColumnMissing,

    /// <summary>Facts: line. Texts: column, given. Its name does not end in a unit.</summary>
    WeatherUnitUnknown,

    /// <summary>Facts: line, hours, most. Filled by straight lines, or refused.</summary>
    WeatherGap,

    /// <summary>Facts: line, hours, most. Texts: column.</summary>
    WeatherValueMissing,

    /// <summary>Facts: line. Texts: given. The clocks skip that hour; it was left out.</summary>
    WeatherHourSkipped,

    /// <summary>Facts: line. Texts: given. The clocks have that hour twice.</summary>
    WeatherHourTwice,

    /// <summary>Facts: line, count, most.</summary>
    WeatherTooLong,

    /// <summary>Facts: line. Texts: column. The file says nothing of it.</summary>
    WeatherWithout,

    /// <summary>Facts: line. Texts: given (the place). A year put together from many.</summary>
    WeatherTypicalYear,

    /// <summary>Facts: line. The file has no 29 February; the day before stands in.</summary>
    WeatherLeapDay,

    /// <summary>Weather from a file was named that the service does not have; the forecast stands in.</summary>
    WeatherFileMissing,

    /// <summary>Texts: pass.</summary>
    AfterDark,
    RapidSetsAsPlaced,

    // Cure
    /// <summary>Facts: wetDays, adviceDays, share.</summary>
    CureStoppedEarly,

    /// <summary>Facts: intervalH. Texts: method.</summary>
    CannotBeKeptWet,

    /// <summary>Facts: dryH. Texts: method. It dries out while everybody sleeps.</summary>
    DriesOverNight,

    /// <summary>Facts: leastC, strengthMpa, safeMpa. A night brings it near frost while it is young.</summary>
    FrostNight,

    /// <summary>Facts: airC, limitC. Air of the wet days is so cold that it wants a cover.</summary>
    ColdCure,

    /// <summary>Facts: dryH, lostMpa. It lay dry for so long.</summary>
    WettingMissed,

    /// <summary>Facts: coat. Texts: product. No hour is free in its window.</summary>
    CoatTooLate,

    /// <summary>Facts: strengthMpa, safeMpa.</summary>
    FrozenYoung,

    /// <summary>Facts: neededMpa. Texts: milestone.</summary>
    MilestoneOutOfSight,

    // Cautions: where hands can be hurt
    CausticCement,
    DustWhenTipping,

    /// <summary>Facts: massKg, limitKg.</summary>
    HeavyLift,
    MixerGuard,
    MarkServices,
    WashOut,
    StructuralWork,
}
