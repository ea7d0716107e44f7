using CsCheck;
using NodaTime;
using SetFirm.Core.Job;

namespace SetFirm.Core.Tests.Job;

/// <summary>On which days somebody pours.</summary>
public sealed class WorkCalendarTests
{
    // A Monday.
    private static readonly LocalDate Monday = new(2027, 5, 3);

    [Theory]
    [InlineData(WorkDays.Any, "1111111")]
    [InlineData(WorkDays.Weekdays, "1111100")]
    [InlineData(WorkDays.Evenings, "1111100")]
    [InlineData(WorkDays.Weekends, "0000011")]
    public void A_week_holds_its_days(WorkDays days, string week) =>
        string.Concat(Enumerable.Range(0, 7).Select(d => WorkCalendar.Holds(days, Monday.PlusDays(d)) ? '1' : '0')).ShouldBe(week);

    [Fact]
    public void The_first_working_day_is_one_and_none_before_it_is() => Gen.Select(Gen.Int[0, 400], Gen.Int[0, 3]).Sample((ahead, days) =>
    {
        var (from, kind) = (Monday.PlusDays(ahead), (WorkDays)days);
        var first = WorkCalendar.From(kind, from);
        WorkCalendar.Holds(kind, first).ShouldBeTrue();
        for (var d = from; d < first; d = d.PlusDays(1))
        {
            WorkCalendar.Holds(kind, d).ShouldBeFalse();
        }
    });

    [Fact]
    public void Who_pours_in_the_evening_begins_after_work_and_later_where_it_is_said()
    {
        WorkCalendar.Start(WorkDays.Evenings, new LocalTime(8, 0)).ShouldBe(new LocalTime(17, 0));
        WorkCalendar.Start(WorkDays.Evenings, new LocalTime(18, 30)).ShouldBe(new LocalTime(18, 30));
        WorkCalendar.Start(WorkDays.Weekdays, new LocalTime(8, 0)).ShouldBe(new LocalTime(8, 0));
        WorkCalendar.Start(WorkDays.Weekends, new LocalTime(21, 0)).ShouldBe(new LocalTime(21, 0));
    }
}
