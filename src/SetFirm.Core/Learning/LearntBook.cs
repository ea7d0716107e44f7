using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Quantities;

namespace SetFirm.Core.Learning;

/// <summary>Which pour.</summary>
/// <param name="Job">Id of the job.</param>
/// <param name="Pour">Id of the pour.</param>
public readonly record struct PourId(Guid Job, string Pour);

/// <summary>A pour that is in the record, and what it says.</summary>
/// <param name="Id">Which.</param>
/// <param name="At">When it was poured.</param>
/// <param name="Readings">One of a value at the most.</param>
/// <param name="Litres">That were ordered for it.</param>
/// <param name="Faults">That were seen on it since.</param>
/// <param name="Units">It is shown in.</param>
/// <param name="TimeZone">Of its site.</param>
public sealed record PourRecord(PourId Id, Instant At, ImmutableArray<LearntReading> Readings, double Litres, ImmutableArray<FaultSign> Faults, UnitSystem Units, string TimeZone);

/// <summary>What a person said of a value.</summary>
public enum Word
{
    /// <summary>Nothing yet, or it was taken back.</summary>
    None,

    /// <summary>Use it.</summary>
    Taken,

    /// <summary>Do not use it, and do not ask again.</summary>
    Refused,
}

/// <summary>A person's word on a value, and the pours that it was given by.</summary>
/// <param name="Key">Of what.</param>
/// <param name="Word">What was said.</param>
/// <param name="By">The pours that the value in use was learnt from; what is removed of them since teaches no more.</param>
public sealed record Decision(LearntKey Key, Word Word, ImmutableArray<PourId> By);

/// <summary>A value, what is in use of it and what would be.</summary>
/// <param name="Key">Of what.</param>
/// <param name="Word">What was said of it.</param>
/// <param name="InUse">From the pours it was taken over with; nothing where it was not.</param>
/// <param name="Now">From all pours in the record.</param>
/// <param name="Asks">It is worth a word: it would change something, and was not refused.</param>
/// <param name="Said">Each pour's own reading, the oldest first.</param>
public sealed record LearntEntry(LearntKey Key, Word Word, Estimate InUse, Estimate Now, bool Asks, ImmutableArray<(PourRecord Pour, LearntReading Reading)> Said);

/// <summary>All that the record teaches, and what was said of it.</summary>
/// <remarks>
/// A value in use is reckoned from the pours that it was taken over with, as far as they are still in the record: taking a pour out takes back what it taught, to the last bit.
/// What was refused stays refused until somebody asks for it.
/// </remarks>
public sealed record LearntBook(ImmutableArray<LearntEntry> Entries)
{
    /// <summary>A change smaller than this is not worth a word, as a logarithm over the deviation.</summary>
    private const double LeastChange = 0.15;

    /// <param name="record">Pours in any order.</param>
    /// <param name="decisions">One of a key.</param>
    public static LearntBook Of(IEnumerable<PourRecord> record, IReadOnlyList<Decision> decisions)
    {
        ArgumentNullException.ThrowIfNull(record);
        ArgumentNullException.ThrowIfNull(decisions);
        var words = decisions.ToDictionary(d => d.Key);
        var said = record.OrderBy(p => p.At).ThenBy(p => p.Id.Job).ThenBy(p => p.Id.Pour, StringComparer.Ordinal).SelectMany(p => p.Readings.Select(r => (Pour: p, Reading: r))).ToLookup(s => s.Reading.Key);
        return new LearntBook([.. said.Select(s => s.Key).Union(words.Keys).OrderBy(k => k.Of).ThenBy(k => k.What, StringComparer.Ordinal).ThenBy(k => k.Who, StringComparer.Ordinal)
            .Select(key => Entry(key, [.. said[key]], words.GetValueOrDefault(key)))
            .Where(e => e.Said.Length > 0 || e.Word == Word.Refused)]);
    }

    /// <summary>What plans are to be made with.</summary>
    public LearntValues InUse => LearntValues.Of(Entries.Where(e => e.InUse.Pours > 0).Select(e => (e.Key, e.InUse.Factor)));

    /// <summary>What they would be made with if one value were taken over as it is now.</summary>
    public LearntValues With(LearntKey key) => LearntValues.Of(Entries.Where(e => e.InUse.Pours > 0 || e.Key == key).Select(e => (e.Key, (e.Key == key ? e.Now : e.InUse).Factor)));

    private static LearntEntry Entry(LearntKey key, ImmutableArray<(PourRecord Pour, LearntReading Reading)> said, Decision? decision)
    {
        var word = decision?.Word ?? Word.None;
        var inUse = decision is null ? Estimate.Nothing : Estimate.Of(key.Of, [.. said.Where(s => decision.By.Contains(s.Pour.Id)).Select(s => s.Reading)]);
        var now = Estimate.Of(key.Of, [.. said.Select(s => s.Reading)]);
        var change = Math.Abs(Math.Log(now.Factor / inUse.Factor)) / Estimate.DeviationOf(key.Of);
        return new LearntEntry(key, word, inUse, now, word != Word.Refused && change >= LeastChange, said);
    }
}
