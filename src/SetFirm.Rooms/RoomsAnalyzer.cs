using System.Collections.Concurrent;
using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;
using Microsoft.CodeAnalysis.Diagnostics;

namespace SetFirm.Rooms;

/// <summary>Holds the rooms of Core while it is compiled: by what a name means, not by how it is written.</summary>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class RoomsAnalyzer : DiagnosticAnalyzer
{
    /// <summary>Where the kinds of elements stand: nobody else asks which kind one is.</summary>
    private const string KindsRoom = "Job";
    private const string KindsFolder = "Elements";
    private const string KindsBase = "ElementDocument";

    /// <summary>A starting job is of one kind: it makes one.</summary>
    private const string Maker = "/Job/StartingJob.cs";

    private const string GeometryRoom = "Shapes";
    private const string Geometry = "NetTopologySuite";

    private static readonly DiagnosticDescriptor Upwards = Rule("SF0001", "{0} must not use {1} of {2}: rooms use only rooms of lower levels (rooms.txt)");
    private static readonly DiagnosticDescriptor Kinds = Rule("SF0002", "{0} asks which kind an element is ({1}): only Job/Elements does, others ask for a trait");
    private static readonly DiagnosticDescriptor Outside = Rule("SF0003", "{0} uses {1}: Core reads no clock, file, network or chance");
    private static readonly DiagnosticDescriptor Library = Rule("SF0004", "{0} uses {1}: only Shapes knows the geometry library");

    /// <summary>What the outside world is, by whole names of types and of their members. How long something takes is not what time it is: a budget may count.</summary>
    private static readonly ImmutableHashSet<string> World =
    [
        "System.DateTime.Now", "System.DateTime.UtcNow", "System.DateTime.Today", "System.DateTimeOffset.Now", "System.DateTimeOffset.UtcNow", "System.Random.Shared",
        "System.Guid.NewGuid", "System.Environment.GetEnvironmentVariable", "System.Environment.MachineName", "System.Environment.UserName", "System.Environment.CurrentDirectory", "System.TimeProvider", "NodaTime.SystemClock", "System.Console",
    ];

    private static readonly ImmutableArray<string> WorldSpaces = ["System.IO", "System.Net", "Microsoft.AspNetCore", "Microsoft.EntityFrameworkCore"];

    /// <summary>Of System.IO what is no file.</summary>
    private static readonly ImmutableHashSet<string> Harmless = ["System.IO.Stream", "System.IO.MemoryStream", "System.IO.TextReader", "System.IO.TextWriter", "System.IO.StringReader", "System.IO.StringWriter"];

    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics => [Upwards, Kinds, Outside, Library];

    public override void Initialize(AnalysisContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        context.EnableConcurrentExecution();
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.RegisterCompilationStartAction(start =>
        {
            if (start.Options.AdditionalFiles.FirstOrDefault(f => Path.GetFileName(f.Path) == RoomTable.FileName)?.GetText(start.CancellationToken) is not { } text)
            {
                return;
            }

            var house = new House(new RoomTable(text.ToString()), start.Compilation);
            start.RegisterSyntaxNodeAction(c => house.Look(c, c.SemanticModel.GetSymbolInfo(c.Node, c.CancellationToken).Symbol), SyntaxKind.IdentifierName, SyntaxKind.GenericName);
            // Nothing is named in "new(...)".
            start.RegisterSyntaxNodeAction(c => house.Look(c, c.SemanticModel.GetTypeInfo(c.Node, c.CancellationToken).Type), SyntaxKind.ImplicitObjectCreationExpression);
            start.RegisterSyntaxNodeAction(house.LookAtText, SyntaxKind.StringLiteralExpression);
        });
    }

    private static DiagnosticDescriptor Rule(string id, string says) => new(id, says, says, "Rooms", DiagnosticSeverity.Error, isEnabledByDefault: true);

    /// <summary>What is known of a symbol, looked up once.</summary>
    /// <param name="Places">Where it stands in Core; none for what comes from elsewhere.</param>
    /// <param name="IsKind">It is a kind of element.</param>
    /// <param name="IsWorld">It is of the outside world.</param>
    /// <param name="IsGeometry">It is of the geometry library.</param>
    private sealed record Known(Place[] Places, bool IsKind, bool IsWorld, bool IsGeometry);

    private sealed class House(RoomTable rooms, Compilation compilation)
    {
        private readonly Lazy<ImmutableHashSet<string>> kindNames = new(() =>
            [.. compilation.GetSymbolsWithName(_ => true, SymbolFilter.Type).OfType<INamedTypeSymbol>().Where(IsKind).Select(t => t.Name)]);

        private readonly ConcurrentDictionary<ISymbol, Known> known = new(SymbolEqualityComparer.Default);
        private readonly ConcurrentDictionary<SyntaxTree, Place?> places = new();

        public void Look(SyntaxNodeAnalysisContext context, ISymbol? symbol)
        {
            // Elements of tuples and of anonymous types are the same wherever they are named alike: they stand nowhere.
            if (symbol is null or INamespaceSymbol or ILocalSymbol or IParameterSymbol or ITypeParameterSymbol or { ContainingType: { IsTupleType: true } or { IsAnonymousType: true } } || Here(context) is not { } here)
            {
                return;
            }

            foreach (var met in Within(symbol is IAliasSymbol alias ? alias.Target : symbol))
            {
                var of = known.GetOrAdd(met.OriginalDefinition, Of);
                // What is declared in parts stands in the lowest room that has one of them.
                if (of.Places.Length > 0 && !of.Places.Any(there => rooms.Allows(here, there)))
                {
                    Report(context, Upwards, Name(here), met.Name, Name(of.Places[0]));
                }

                if (of.IsKind && !MayAsk(context, here))
                {
                    Report(context, Kinds, Name(here), met.Name);
                }

                if (of.IsWorld)
                {
                    Report(context, Outside, Name(here), met.Name);
                }
                else if (of.IsGeometry && here.Room != GeometryRoom)
                {
                    Report(context, Library, Name(here), met.Name);
                }
            }
        }

        // To know a kind by how it is called is to ask which kind it is.
        public void LookAtText(SyntaxNodeAnalysisContext context)
        {
            if (context.Node is LiteralExpressionSyntax { Token.ValueText: var text } && kindNames.Value.Contains(text) && Here(context) is { } here && !MayAsk(context, here))
            {
                Report(context, Kinds, Name(here), text);
            }
        }

        private Place? Here(SyntaxNodeAnalysisContext context) => places.GetOrAdd(context.Node.SyntaxTree, t => Place.Of(t.FilePath));

        private Known Of(ISymbol met)
        {
            if (!met.DeclaringSyntaxReferences.IsEmpty)
            {
                return new Known([.. met.DeclaringSyntaxReferences.Select(r => places.GetOrAdd(r.SyntaxTree, t => Place.Of(t.FilePath))).OfType<Place>()], met is INamedTypeSymbol type && IsKind(type), false, false);
            }

            if ((met as INamedTypeSymbol ?? met.ContainingType)?.OriginalDefinition is not { } of)
            {
                return new Known([], false, false, false);
            }

            var space = of.ContainingNamespace.ToDisplayString();
            var name = $"{space}.{of.Name}";
            bool In(string root) => space == root || space.StartsWith(root + ".", StringComparison.Ordinal);
            var world = WorldSpaces.Any(In) ? !Harmless.Contains(name) : World.Contains(name) || World.Contains($"{name}.{met.Name}");
            return new Known([], false, world, In(Geometry));
        }

        private static bool MayAsk(SyntaxNodeAnalysisContext context, Place here) =>
            (here is { Room: KindsRoom, Folder: KindsFolder }) || context.Node.SyntaxTree.FilePath.Replace('\\', '/').EndsWith(Maker, StringComparison.Ordinal);

        private static bool IsKind(INamedTypeSymbol type)
        {
            for (var t = type.BaseType; t is not null; t = t.BaseType)
            {
                if (t.Name == KindsBase)
                {
                    return true;
                }
            }

            return false;
        }

        // A type and what it is made of: a list of reports is a report too.
        private static IEnumerable<ISymbol> Within(ISymbol symbol)
        {
            // What has no name stands nowhere; of what it is made does.
            if (symbol is not INamedTypeSymbol { IsTupleType: true } and not INamedTypeSymbol { IsAnonymousType: true })
            {
                yield return symbol;
            }

            var types = symbol switch
            {
                INamedTypeSymbol { IsAnonymousType: true } unnamed => [.. unnamed.GetMembers().OfType<IPropertySymbol>().Select(p => p.Type)],
                INamedTypeSymbol named => named.TypeArguments,
                IArrayTypeSymbol array => [array.ElementType],
                IMethodSymbol method => method.TypeArguments,
                _ => [],
            };
            foreach (var inner in types.SelectMany(Within))
            {
                yield return inner;
            }
        }

        private static string Name(Place place) => place.Folder is null ? place.Room : $"{place.Room}/{place.Folder}";

        private static void Report(SyntaxNodeAnalysisContext context, DiagnosticDescriptor rule, params object[] facts) =>
            context.ReportDiagnostic(Diagnostic.Create(rule, context.Node.GetLocation(), facts));
    }
}
