using SetFirm.Core.Quantities;

namespace SetFirm.Core.Shapes;

/// <summary>A part of an element that is poured by itself, with a mix of its own.</summary>
public enum Course
{
    /// <summary>The lower lift of two.</summary>
    Base,

    /// <summary>The upper one.</summary>
    Topping,

    /// <summary>Under pebbles.</summary>
    Bed,

    /// <summary>Between pebbles.</summary>
    Slurry,
}

/// <param name="Course">Which.</param>
/// <param name="Volume">As drawn.</param>
/// <param name="Depth">Of it.</param>
public readonly record struct CastCourse(Course Course, Volume Volume, Length Depth);
