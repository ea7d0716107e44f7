using System.Text.Json;
using NodaTime;
using SetFirm.Core.Events;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;
using SetFirm.Core.Planning;
using SetFirm.Core.Telling;
using SetFirm.Core.Weather;
using SetFirm.Tests;

namespace SetFirm.Core.Tests;

/// <summary>Plans as they are told; every number in them is one, and what they raise is noted.</summary>
internal static class Plans
{
    public static PlanReport Of(JobDocument job, HourlyWeather weather, IReadOnlyList<JobEvent>? log = null, Instant? asOf = null, string? pour = null)
    {
        var report = Teller.Tell(Planner.Plan(job, weather, log, asOf, pour));
        foreach (var finding in report.Findings.Concat(report.Board?.Ahead ?? []))
        {
            Check(finding.Says);
            foreach (var remedy in finding.Remedies)
            {
                Check(remedy.Does);
            }
        }

        foreach (var why in report.Explanations)
        {
            CheckFacts(why.Says);
            double.IsFinite(why.Result).ShouldBeTrue($"{why}");
        }

        return report;
    }

    public static StartsReport Starts(JobDocument job, HourlyWeather weather, string? pour = null) => Teller.Tell(Planner.Starts(job, weather, pour));

    private static void Check(object said)
    {
        Raised.Note(JsonNamingPolicy.CamelCase.ConvertName(said.GetType().Name));
        CheckFacts(said);
    }

    // A fact that is no number would be told as nothing.
    private static void CheckFacts(object said)
    {
        foreach (var fact in said.GetType().GetProperties().Where(p => p.PropertyType == typeof(double) || p.PropertyType == typeof(double?)))
        {
            (fact.GetValue(said) is not double value || double.IsFinite(value)).ShouldBeTrue($"{fact.Name} of {said}");
        }
    }
}
