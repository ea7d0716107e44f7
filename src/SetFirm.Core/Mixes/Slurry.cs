namespace SetFirm.Core.Mixes;

/// <summary>Cement and water over a pebble bed, where no mix of its own was said for it.</summary>
public static class Slurry
{
    /// <summary>In the containers, and for the place, of another mix.</summary>
    public static (MixSaid Said, Recipe Recipe) In(MixSaid of)
    {
        ArgumentNullException.ThrowIfNull(of);
        var said = new MixSaid.ByParts(new Parts(1, 0, 0), 0, Consistency.Pouring, Moisture.Dry, of.Exposure, of.Containers, []);
        return (said, PartsRecipe.Of(said.Parts, 0, said.Consistency, said.Moisture, said.Containers, [])!);
    }
}
