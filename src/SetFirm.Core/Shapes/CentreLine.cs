using System.Collections.Immutable;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A stretch of a path: straight, or an arc that goes on in the direction the path has.</summary>
public abstract record Stretch
{
    private Stretch()
    {
    }

    public abstract double LengthM { get; }

    /// <param name="Length">Along it.</param>
    /// <param name="TurnDegrees">Kink at its end: left positive, right negative.</param>
    public sealed record Straight(Length Length, double TurnDegrees) : Stretch
    {
        public override double LengthM => Length.Metres;
    }

    /// <param name="Radius">Of the middle of the path.</param>
    /// <param name="SweepDegrees">Left positive, right negative.</param>
    public sealed record Arc(Length Radius, double SweepDegrees) : Stretch
    {
        public override double LengthM => Radius.Metres * Math.Abs(SweepDegrees) * Math.PI / 180;
    }
}

/// <summary>The middle of a border, a curb or a ribbon: straight stretches and arcs, one after another.</summary>
/// <remarks>
/// A band of even width along it holds length times width exactly, kinks mitred, as long as no arc is tighter than half the width
/// (Pappus; a mitre gains outside what it loses inside).
/// </remarks>
public sealed record CentreLine(ImmutableArray<Stretch> Stretches)
{
    public Length Length => Length.FromMetres(Stretches.Sum(s => s.LengthM));

    /// <summary>Where each stretch begins, and the end; with the direction there, radians from x.</summary>
    public ImmutableArray<(PlanPoint At, double Heading)> Stations()
    {
        var stations = ImmutableArray.CreateBuilder<(PlanPoint, double)>(Stretches.Length + 1);
        var (at, heading) = (new PlanPoint(0, 0), 0.0);
        foreach (var stretch in Stretches)
        {
            stations.Add((at, heading));
            (at, heading) = After(stretch, at, heading);
        }

        stations.Add((at, heading));
        return stations.ToImmutable();
    }

    /// <summary>The place and direction a distance along.</summary>
    public (PlanPoint At, double Heading) At(double metres)
    {
        var stations = Stations();
        var walked = 0.0;
        for (var i = 0; i < Stretches.Length; i++)
        {
            if (metres <= walked + Stretches[i].LengthM || i == Stretches.Length - 1)
            {
                var part = Math.Clamp(metres - walked, 0, Stretches[i].LengthM);
                return Stretches[i] switch
                {
                    Stretch.Straight => After(new Stretch.Straight(Length.FromMetres(part), 0), stations[i].At, stations[i].Heading),
                    Stretch.Arc { LengthM: > 0 } arc => After(arc with { SweepDegrees = arc.SweepDegrees * part / arc.LengthM }, stations[i].At, stations[i].Heading),
                    _ => stations[i],
                };
            }

            walked += Stretches[i].LengthM;
        }

        return stations[0];
    }

    /// <summary>Corners and rises of the band of a width along it: up its right side, across the end, and back down its left.</summary>
    public (ImmutableArray<PlanPoint> Corners, ImmutableArray<double> Rises) Band(Length width)
    {
        var half = width.Metres / 2;
        var stations = Stations();
        var (right, left) = (new List<(PlanPoint At, double Rise)>(), new List<(PlanPoint At, double Rise)>());
        for (var i = 0; i <= Stretches.Length; i++)
        {
            var stretch = i < Stretches.Length ? Stretches[i] : null;
            var (at, heading) = stations[i];
            // At a kink both sides run to the mitre, so the offset is along the half angle.
            var turn = i > 0 && Stretches[i - 1] is Stretch.Straight kinked ? kinked.TurnDegrees * Math.PI / 180 : 0;
            var (across, reach) = (heading - (turn / 2) - (Math.PI / 2), half / Math.Cos(turn / 2));
            var (ox, oy) = (reach * Math.Cos(across), reach * Math.Sin(across));
            var sweep = stretch is Stretch.Arc arc ? arc.SweepDegrees * Math.PI / 180 : 0;
            var radius = stretch is Stretch.Arc a ? a.Radius.Metres : 0;
            // A left turn has its centre on the left: the right side is the outer one and bows out of the band.
            right.Add((new(at.X + ox, at.Y + oy), Math.Sign(sweep) * Arcs.RiseM(radius + (Math.Sign(sweep) * half), Math.Abs(sweep))));
            left.Add((new(at.X - ox, at.Y - oy), -Math.Sign(sweep) * Arcs.RiseM(radius - (Math.Sign(sweep) * half), Math.Abs(sweep))));
        }

        // A side's last point starts the end cap, which is straight; coming back, an edge's rise is that of the stretch before the point.
        ImmutableArray<PlanPoint> corners = [.. right.Select(p => p.At), .. left.AsEnumerable().Reverse().Select(p => p.At)];
        ImmutableArray<double> rises =
            [.. right.Take(Stretches.Length).Select(p => p.Rise), 0, .. left.Take(Stretches.Length).Reverse().Select(p => p.Rise), 0];
        return (corners, rises);
    }

    private static (PlanPoint At, double Heading) After(Stretch stretch, PlanPoint at, double heading)
    {
        switch (stretch)
        {
            case Stretch.Straight straight:
                var end = new PlanPoint(at.X + (straight.LengthM * Math.Cos(heading)), at.Y + (straight.LengthM * Math.Sin(heading)));
                return (end, heading + (straight.TurnDegrees * Math.PI / 180));
            case Stretch.Arc arc:
                var sweep = arc.SweepDegrees * Math.PI / 180;
                var (r, side) = (arc.Radius.Metres, Math.Sign(sweep));
                var (cx, cy) = (at.X - (side * r * Math.Sin(heading)), at.Y + (side * r * Math.Cos(heading)));
                var to = heading + sweep;
                return (new PlanPoint(cx + (side * r * Math.Sin(to)), cy - (side * r * Math.Cos(to))), to);
            default:
                throw new System.Diagnostics.UnreachableException();
        }
    }
}
