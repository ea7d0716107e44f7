using System.Globalization;

namespace SetFirm.Core.Quantities;

/// <summary>Reads a quantity the way people write it, and writes it back exactly.</summary>
/// <remarks>
/// A quantity is one or more terms, each a number and a unit: <c>12' 6 1/2"</c>, <c>3.81 m</c>, <c>3,81 m</c>, <c>3810</c>.
/// A number is decimal, a fraction or both (<c>6 1/2</c>, <c>6-1/2</c>, <c>6½</c>). Terms run from large to small in one system.
/// A number with no unit takes the job's system, or, after feet or pounds, the next smaller unit.
/// </remarks>
public static class QuantityText
{
    public const int MaxCharacters = 60;

    /// <summary>Never throws: anything that is not a quantity of zero or more comes back as <see cref="Reading.Unread"/>.</summary>
    public static Reading Read(string? text, UnitTable table, UnitSystem system)
    {
        ArgumentNullException.ThrowIfNull(table);
        if (string.IsNullOrWhiteSpace(text))
        {
            return new Reading.Unread(UnreadReason.Empty, 0);
        }

        return text.Length > MaxCharacters
            ? new Reading.Unread(UnreadReason.TooLong, MaxCharacters)
            : new Scanner(Normalised(text), table, system).Quantity();
    }

    /// <summary>A text that <see cref="Read"/> turns back into the very same value.</summary>
    public static string Exact(double si, Unit unit)
    {
        ArgumentNullException.ThrowIfNull(unit);
        return string.Create(CultureInfo.InvariantCulture, $"{si / unit.Si:0.##########} {unit.Symbol}");
    }

    // One character for one, so that an index into the result is an index into what was typed.
    private static string Normalised(string text) => string.Create(text.Length, text, static (to, from) =>
    {
        for (var i = 0; i < from.Length; i++)
        {
            to[i] = from[i] switch
            {
                '’' or '′' or '‘' or '`' => '\'',
                '”' or '″' or '“' => '"',
                '\u00a0' or '\u2009' or '\u202f' or '\t' => ' ',
                '−' or '–' => '-',
                var c => c,
            };
        }
    });

    private ref struct Scanner(string text, UnitTable table, UnitSystem system)
    {
        private int at;

        public Reading Quantity()
        {
            double sum = 0;
            Unit? last = null;
            var bare = false;
            SkipSpaces();
            while (at < text.Length)
            {
                var start = at;
                if (text[at] == '-')
                {
                    return new Reading.Unread(UnreadReason.Negative, at);
                }

                if (Number(out var number) is { } fault)
                {
                    return fault;
                }

                if (NextUnit(out var written) is { } unknown)
                {
                    return unknown;
                }

                var unit = written ?? (last is null ? table.BareIn(system) : last.Smaller is { } smaller ? table.BySymbol(smaller) : null);
                if (unit is null || (last is not null && (unit.Si >= last.Si || unit.System != last.System)))
                {
                    return new Reading.Unread(UnreadReason.TermsOutOfOrder, start);
                }

                bare = written is null && last is null;
                sum += number * unit.Si;
                last = unit;
                SkipSpaces();
            }

            return new Reading.Read(sum, bare);
        }

        private Reading.Unread? Number(out double number)
        {
            number = 0;
            var start = at;
            if (Glyph() is { } glyph)
            {
                number = glyph;
                return null;
            }

            if (Decimal(out var whole, out var plain) is { } fault)
            {
                return fault;
            }

            if (plain && Peek('/'))
            {
                at++;
                return Denominator(whole, out number);
            }

            number = whole;
            if (!plain)
            {
                return null;
            }

            // 6½, 6 1/2 and 6-1/2: a fraction may follow a whole number.
            var mark = at;
            if (Peek('-'))
            {
                at++;
            }
            else
            {
                SkipSpaces();
            }

            if (Glyph() is { } part)
            {
                number = whole + part;
                return null;
            }

            if (at < text.Length && char.IsAsciiDigit(text[at]) && Decimal(out var numerator, out var integral) is null && integral && Peek('/'))
            {
                at++;
                var bad = Denominator(numerator, out var fraction);
                number = whole + fraction;
                return bad;
            }

            at = mark;
            return start == at ? new Reading.Unread(UnreadReason.NotANumber, start) : null;
        }

        private Reading.Unread? Denominator(double numerator, out double fraction)
        {
            fraction = 0;
            var start = at;
            if (Decimal(out var denominator, out _) is { } fault)
            {
                return fault;
            }

            if (denominator <= 0)
            {
                return new Reading.Unread(UnreadReason.DivisionByZero, start);
            }

            fraction = numerator / denominator;
            return null;
        }

        private Reading.Unread? Decimal(out double number, out bool plain)
        {
            number = 0;
            plain = true;
            var start = at;
            int? comma = null;
            while (at < text.Length && (char.IsAsciiDigit(text[at]) || (plain && (text[at] == '.' || text[at] == ','))))
            {
                if (!char.IsAsciiDigit(text[at]))
                {
                    plain = false;
                    comma = text[at] == ',' ? at : null;
                }

                at++;
            }

            if (comma is { } place && place > start && at - place == 4)
            {
                return new Reading.Unread(UnreadReason.AmbiguousComma, place);
            }

            var digits = text.AsSpan(start, at - start).ToString().Replace(',', '.');
            return digits.Any(char.IsAsciiDigit)
                && double.TryParse(digits, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out number)
                && double.IsFinite(number)
                ? null
                : new Reading.Unread(UnreadReason.NotANumber, start);
        }

        private double? Glyph()
        {
            if (at >= text.Length)
            {
                return null;
            }

            double? value = text[at] switch
            {
                '½' => 1.0 / 2,
                '¼' => 1.0 / 4,
                '¾' => 3.0 / 4,
                '⅛' => 1.0 / 8,
                '⅜' => 3.0 / 8,
                '⅝' => 5.0 / 8,
                '⅞' => 7.0 / 8,
                '⅓' => 1.0 / 3,
                '⅔' => 2.0 / 3,
                _ => null,
            };
            at += value is null ? 0 : 1;
            return value;
        }

        private Reading.Unread? NextUnit(out Unit? unit)
        {
            unit = null;
            SkipSpaces();
            var start = at;
            if (Peek('\'') || Peek('"'))
            {
                at += Peek('\'') && at + 1 < text.Length && text[at + 1] == '\'' ? 2 : 1;
                unit = table.BySpelling(at - start == 2 ? "\"" : text.AsSpan(start, 1));
            }
            else
            {
                // "cu ft" is two words of one unit.
                while (at < text.Length && (char.IsLetter(text[at]) || text[at] == '³' || (at > start && text[at] == '3')))
                {
                    at++;
                }

                if (text.AsSpan(start, at - start).Equals("cu", StringComparison.OrdinalIgnoreCase))
                {
                    SkipSpaces();
                    var second = at;
                    while (at < text.Length && char.IsLetter(text[at]))
                    {
                        at++;
                    }

                    unit = table.BySpelling(string.Concat("cu", text.AsSpan(second, at - second)));
                }
                else if (at > start)
                {
                    unit = table.BySpelling(text.AsSpan(start, at - start));
                    at += unit is not null && Peek('.') ? 1 : 0;
                }
                else if (at < text.Length && !char.IsAsciiDigit(text[at]) && text[at] != '-')
                {
                    return new Reading.Unread(UnreadReason.NotANumber, at);
                }
                else
                {
                    return null;
                }
            }

            return unit is null ? new Reading.Unread(UnreadReason.UnknownUnit, start) : null;
        }

        private readonly bool Peek(char c) => at < text.Length && text[at] == c;

        private void SkipSpaces()
        {
            while (Peek(' '))
            {
                at++;
            }
        }
    }
}
