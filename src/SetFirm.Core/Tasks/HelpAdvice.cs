using SetFirm.Core.Findings;

namespace SetFirm.Core.Tasks;

/// <summary>Where a task takes more people than there are: it is said, and nobody is counted twice.</summary>
public static class HelpAdvice
{
    /// <param name="pieceKg">The heaviest thing that is carried, kg; 0 where nothing is.</param>
    /// <param name="hands">People that there are.</param>
    /// <param name="at">Where they are said.</param>
    /// <param name="remarks">Takes the finding.</param>
    public static void Check(double pieceKg, int hands, Place at, Remarks remarks)
    {
        ArgumentNullException.ThrowIfNull(remarks);
        if (AfterCare.Lifters(pieceKg) is { } people && people > hands)
        {
            remarks.Note(at, new Notice.WantsHelp(People: people, Hands: hands, MassKg: pieceKg));
        }
    }
}
