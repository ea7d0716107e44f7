using System.Collections.Immutable;
using System.Text.Json.Serialization;
using NodaTime;

namespace SetFirm.Core.Tasks;

/// <summary>A part of a task that is done in turns. A closed set of kinds.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Grit), "grit")]
[JsonDerivedType(typeof(RubOnce), "rubOnce")]
[JsonDerivedType(typeof(CoatOn), "coatOn")]
public abstract record TaskPart
{
    private TaskPart()
    {
    }

    /// <summary>One grit over the whole face, or along all edges.</summary>
    public sealed record Grit : TaskPart
    {
        /// <summary>Of the disc or pad.</summary>
        public required int Number { get; init; }

        public required bool Edges { get; init; }

        public required double Minutes { get; init; }
    }

    /// <summary>A face is rubbed once more.</summary>
    public sealed record RubOnce : TaskPart
    {
        /// <summary>From 1.</summary>
        public required int Number { get; init; }

        /// <summary>Begun.</summary>
        public required Instant At { get; init; }
    }

    /// <summary>One coat of a product.</summary>
    public sealed record CoatOn : TaskPart
    {
        /// <summary>As the user calls it, or its id in the catalogue.</summary>
        public required string Product { get; init; }

        /// <summary>From 1.</summary>
        public required int Number { get; init; }

        /// <summary>The hour it is laid into.</summary>
        public required Instant At { get; init; }

        /// <summary>Later the last coat is scuffed first; null for a first coat.</summary>
        public Instant? Closes { get; init; }

        /// <summary>It falls after that: scuff first.</summary>
        public required bool Scuff { get; init; }

        /// <summary>Of the product.</summary>
        public required double ProductL { get; init; }

        /// <summary>Stirred into it.</summary>
        public required double WaterL { get; init; }

        /// <summary>Mixed in so many lots, each used up within its pot life; 1 where it has none.</summary>
        public required int Lots { get; init; }

        /// <summary>A lot is used up within; null where it keeps.</summary>
        public double? PotLifeMin { get; init; }

        /// <summary>Kept wet so long after, hours; 0 where it dries.</summary>
        public required double KeepWetH { get; init; }
    }
}

/// <summary>What is done to hard concrete, in turns.</summary>
public static class AfterCare
{
    /// <summary>Rolled or sprayed by one person, m2 a minute. Source: site practice (tune).</summary>
    public const double CoatM2PerMin = 1.0 / 3;

    /// <summary>A bond coat takes fresh concrete so long after it is brushed in, minutes. Source: common labels; the label rules (tune).</summary>
    public const double BondOpenMin = 20;

    /// <summary>A rubbed face is rubbed again after so many minutes. Source: site practice.</summary>
    private const double RubAgainMin = 40;

    /// <summary>Each time that a face is rubbed, from when it may be until it is too hard.</summary>
    public static ImmutableArray<TaskPart> Rubs(Instant opens, Instant closes)
    {
        var rubs = ImmutableArray.CreateBuilder<TaskPart>();
        for (var at = opens; at <= closes && rubs.Count < MostRubs; at += Duration.FromMinutes(RubAgainMin))
        {
            rubs.Add(new TaskPart.RubOnce { Number = rubs.Count + 1, At = at });
        }

        return rubs.ToImmutable();
    }

    /// <summary>Nobody rubs a face more often.</summary>
    private const int MostRubs = 6;

    /// <summary>A usual product covers so much, m2 to the litre. Source: common labels.</summary>
    public const double UsualCoversM2PerL = 10;

    /// <summary>People that lift a piece together, no more than this each. Over four a machine does.</summary>
    private const double EachLiftsKg = 25;

    private const int MostLifters = 4;

    // A hand-held wet grinder of 125 mm; the first grit takes off most. A bench top of a square metre is done in 20 to 25 minutes, edges and all: people
    // stop at the look that they want. Source: site practice (tune).
    private static readonly ImmutableArray<(int Grit, double MinPerM2)> Face = [(CoarsestGrit, 7), (120, 4), (UsualLastGrit, 3), (FinestGrit, 3)];

    private static readonly ImmutableArray<(int Grit, double MinPerM)> Rim = [(CoarsestGrit, 1), (150, 0.7), (300, 0.5)];

    /// <summary>Down to the stone.</summary>
    public const int CoarsestGrit = 60;

    /// <summary>A face that is ground further than this shines.</summary>
    public const int UsualLastGrit = 200;

    public const int FinestGrit = 400;

    /// <summary>Grit by grit: the face, then its edges.</summary>
    /// <param name="faceM2">Of all pieces.</param>
    /// <param name="edgeM">That are seen, of all pieces.</param>
    /// <param name="from">First grit: 60 bares the stone, from 120 on only the sand.</param>
    /// <param name="to">Last grit of the face: where the look is right.</param>
    public static ImmutableArray<TaskPart> Grits(double faceM2, double edgeM, int from = CoarsestGrit, int to = UsualLastGrit) =>
    [
        .. Between(Face, from, to).Select(g => new TaskPart.Grit { Number = g.Grit, Edges = false, Minutes = g.Min * faceM2 }),
        .. (edgeM > 0 ? Between(Rim, from, to * 3 / 2) : []).Select(g => new TaskPart.Grit { Number = g.Grit, Edges = true, Minutes = g.Min * edgeM }),
    ];

    // Where none lies between the two, the finest that is not finer than the last.
    private static IEnumerable<(int Grit, double Min)> Between(ImmutableArray<(int Grit, double Min)> grits, int from, int to) =>
        grits.Any(g => g.Grit >= from && g.Grit <= to) ? grits.Where(g => g.Grit >= from && g.Grit <= to) : [grits.Last(g => g.Grit <= to)];

    /// <summary>How much of a product one coat takes, and in how many lots.</summary>
    /// <param name="areaM2">Coated.</param>
    /// <param name="coversM2PerL">Of what is laid, water and all.</param>
    /// <param name="water">To one of product, by volume.</param>
    /// <param name="potLifeMin">Null where it keeps.</param>
    public static (double ProductL, double WaterL, int Lots) ToMix(double areaM2, double coversM2PerL, double water, double? potLifeMin)
    {
        var laid = areaM2 / coversM2PerL;
        var product = laid / (1 + water);
        var lots = potLifeMin is { } life ? (int)Math.Max(1, Math.Min(1_000, Math.Ceiling((areaM2 / (CoatM2PerMin * life)) - 1e-9))) : 1;
        return (product, laid - product, lots);
    }

    /// <summary>People for a piece; null where a machine lifts it.</summary>
    public static int? Lifters(double kg) => (int)Math.Ceiling((kg / EachLiftsKg) - 1e-9) is var people && people <= MostLifters ? Math.Max(1, people) : null;
}
