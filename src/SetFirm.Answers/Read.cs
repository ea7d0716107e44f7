namespace SetFirm.Answers;

/// <summary>What was read, or why it could not be.</summary>
public readonly record struct Read<T>
{
    private Read(T? value, Refusal? refused) => (Value, Refused) = (value, refused);

    /// <summary>Null only where it was refused, or where nothing may stand.</summary>
    public T? Value { get; }

    public Refusal? Refused { get; }

    public static implicit operator Read<T>(T? value) => new(value, null);

    public static implicit operator Read<T>(Refusal refused) => new(default, refused);
}
