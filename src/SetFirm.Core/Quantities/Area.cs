namespace SetFirm.Core.Quantities;

/// <summary>An area of zero or more, held in square metres.</summary>
public readonly record struct Area
{
    private Area(double squareMetres) => SquareMetres = squareMetres;

    public double SquareMetres { get; }

    public static Area FromSquareMetres(double value) => new(Require.NotNegative(value));

    public static Volume operator *(Area plan, Length depth) => Volume.FromCubicMetres(plan.SquareMetres * depth.Metres);
}
