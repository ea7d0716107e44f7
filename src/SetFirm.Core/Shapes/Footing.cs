using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A footing or pier. Exact volumes.</summary>
public abstract record Footing
{
    private Footing()
    {
    }

    public abstract Volume Volume { get; }

    public abstract Length Height { get; }

    /// <summary>Across its widest, for the plan.</summary>
    public abstract Length Widest { get; }

    public sealed record Box(Length Along, Length Across, Length Deep) : Footing
    {
        public override Volume Volume => Along * Across * Deep;

        public override Length Height => Deep;

        public override Length Widest => Along;
    }

    public sealed record Cylinder(Length Diameter, Length Deep) : Footing
    {
        public override Volume Volume => FrustumVolume(Diameter, Diameter, Deep);

        public override Length Height => Deep;

        public override Length Widest => Diameter;
    }

    public sealed record Frustum(Length Foot, Length Top, Length Deep) : Footing
    {
        public override Volume Volume => FrustumVolume(Foot, Top, Deep);

        public override Length Height => Deep;

        public override Length Widest => Foot > Top ? Foot : Top;
    }

    /// <summary>A spread foot with a tube form standing on it.</summary>
    public sealed record FrustumWithTube(Length Foot, Length Top, Length Deep, Length Tube, Length TubeDeep) : Footing
    {
        public override Volume Volume => FrustumVolume(Foot, Top, Deep) + FrustumVolume(Tube, Tube, TubeDeep);

        public override Length Height => Length.FromMetres(Deep.Metres + TubeDeep.Metres);

        public override Length Widest => Foot > Top ? Foot : Top;
    }

    /// <summary>π h (R² + R r + r²)/3.</summary>
    public static Volume FrustumVolume(Length foot, Length top, Length height)
    {
        var (big, small) = (foot.Metres / 2, top.Metres / 2);
        return Volume.FromCubicMetres(Math.PI * height.Metres * ((big * big) + (big * small) + (small * small)) / 3);
    }
}
