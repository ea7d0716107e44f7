using System.Reflection;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using SetFirm.Core.Findings;
using SetFirm.Core.Job;

namespace SetFirm.Core.Tests.Findings;

/// <summary>A place that a finding can name is a place that the document has.</summary>
public sealed partial class PlacesTests
{
    private static readonly JsonNode Schema = JobFile.Schema();

    [Fact]
    public void Every_place_of_the_tree_stands_in_the_schema_of_the_document()
    {
        var places = Walk(typeof(Places), null, 0).DistinctBy(p => p.Path).ToArray();
        places.Length.ShouldBeGreaterThan(80);
        places.Select(p => p.Path).Where(path => !InDocument(path)).ShouldBeEmpty();
    }

    [Theory]
    [InlineData("/elements/0/thicknes")]
    [InlineData("/mix")]
    [InlineData("/day/dates")]
    public void A_place_that_is_misspelt_is_found_out(string path) => InDocument(path).ShouldBeFalse();

    [Fact]
    public void A_place_is_told_as_its_path_and_knows_what_it_is_under()
    {
        Places.Pour(2).Part(1).Casting.Path.ShouldBe("/pours/2/parts/1/casting");
        Places.Pour(2).Part(1).Casting.IsUnder(Places.Pours).ShouldBeTrue();
        Places.Pour(2).Part(1).Casting.IsUnder(Places.Pour(1).Self).ShouldBeFalse();
        Places.Pour(11).Self.IsUnder(Places.Pour(1).Self).ShouldBeFalse();
        Place.Line(7).Path.ShouldBe("/line/7");
    }

    // Everything that can be reached from the root by properties and by numbers.
    private static IEnumerable<Place> Walk(Type type, object? of, int deep)
    {
        const BindingFlags all = BindingFlags.Public | BindingFlags.Instance | BindingFlags.Static | BindingFlags.DeclaredOnly;
        if (deep > 5)
        {
            yield break;
        }

        var values = type.GetProperties(all).Where(p => p.GetIndexParameters().Length == 0 && (p.GetMethod!.IsStatic || of is not null)).Select(p => p.GetValue(of));
        var numbered = type.GetMethods(all).Where(m => !m.IsSpecialName && m.GetParameters() is [{ ParameterType: var only }] && only == typeof(int) && (m.IsStatic || of is not null)).Select(m => m.Invoke(of, [0]));
        foreach (var value in values.Concat(numbered))
        {
            if (value is Place place)
            {
                yield return place;
            }
            else if (value?.GetType() is { Namespace: "SetFirm.Core.Findings", IsEnum: false } inner && inner.Name.EndsWith("Places", StringComparison.Ordinal))
            {
                foreach (var found in Walk(inner, value, deep + 1))
                {
                    yield return found;
                }
            }
        }
    }

    private static bool InDocument(string path)
    {
        IEnumerable<JsonNode> at = [Schema];
        foreach (var name in path.Split('/').Skip(1))
        {
            at = at.SelectMany(node => Step(node, name)).ToArray();
        }

        return at.Any();
    }

    // A kind that is one of several has what any of them has.
    private static IEnumerable<JsonNode> Step(JsonNode node, string name)
    {
        foreach (var one in Kinds(node))
        {
            if (Number().IsMatch(name) && one["items"] is { } items)
            {
                yield return items;
            }
            else if (one["properties"]?[name] is { } property)
            {
                yield return property;
            }
        }
    }

    private static IEnumerable<JsonNode> Kinds(JsonNode node)
    {
        if (node is not JsonObject)
        {
            return [];
        }

        if (node["$ref"]?.GetValue<string>() is { } reference)
        {
            var at = Schema;
            foreach (var part in reference.Split('/').Skip(1).Select(p => p.Replace("~1", "/", StringComparison.Ordinal)))
            {
                at = at is JsonArray list ? list[int.Parse(part, System.Globalization.CultureInfo.InvariantCulture)]! : at[part]!;
            }

            return Kinds(at);
        }

        return node["anyOf"] is JsonArray any ? [node, .. any.SelectMany(kind => Kinds(kind!))] : [node];
    }

    [GeneratedRegex(@"^\d+$")]
    private static partial Regex Number();
}
