namespace SetFirm.Core.Shapes;

/// <summary>What an edge meets.</summary>
public enum Meets
{
    /// <summary>A form board.</summary>
    Form,

    /// <summary>A wall of the house.</summary>
    Wall,

    /// <summary>A slab that is there already.</summary>
    OldSlab,

    /// <summary>A panel poured earlier in this job.</summary>
    EarlierPanel,

    /// <summary>Nothing: it is left open.</summary>
    Open,
}
