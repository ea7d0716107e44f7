namespace SetFirm.Core.Shapes;

/// <summary>What an opening is for.</summary>
public enum OpeningUse
{
    Hole,
    Post,
    Drain,

    /// <summary>A basin or hob let into a counter.</summary>
    CutOut,
}
