using SetFirm.Core.Batching;

namespace SetFirm.Core.Planning;

/// <summary>How the parts of several elements are laid, taken together.</summary>
internal static class Layings
{
    /// <param name="parts">Each with its litres, and the face that is struck off.</param>
    public static Laying Of(IEnumerable<(ElementPlan Element, double Litres, double FaceM2)> parts)
    {
        var (litres, narrow, face) = (0.0, 0.0, 0.0);
        foreach (var (element, l, m2) in parts)
        {
            (litres, narrow, face) = (litres + l, narrow + (element.Traits.Narrow ? l : 0), face + m2);
        }

        return litres > 0 ? new Laying(narrow / litres, face / litres) : Laying.Slab;
    }
}
