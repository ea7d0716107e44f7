namespace SetFirm.Core.Quantities;

/// <summary>Why a text could not be read as a quantity.</summary>
public enum UnreadReason
{
    Empty,
    TooLong,
    NotANumber,
    UnknownUnit,

    /// <summary>Sizes are above zero.</summary>
    Negative,

    /// <summary><c>1,200</c> may be 1.2 or 1200; we ask rather than guess.</summary>
    AmbiguousComma,

    /// <summary>A fraction over zero.</summary>
    DivisionByZero,

    /// <summary>Terms run from large to small in one system: <c>12' 6"</c>, not <c>6" 12'</c> nor <c>1 m 2"</c>.</summary>
    TermsOutOfOrder,
}

/// <summary>What came of reading a text: a value in SI, or the reason and the place.</summary>
public abstract record Reading
{
    private Reading()
    {
    }

    /// <param name="Si">Metres, cubic metres or kilograms.</param>
    /// <param name="Bare">True when the text named no unit, so that the job's system decided.</param>
    public sealed record Read(double Si, bool Bare) : Reading;

    /// <param name="Reason">What stood in the way.</param>
    /// <param name="At">Index into the text, from 0.</param>
    public sealed record Unread(UnreadReason Reason, int At) : Reading;
}
