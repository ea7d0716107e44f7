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
            // Nothing is named in "new(...)" but what is made, nor in "[..]".
            start.RegisterSyntaxNodeAction(c => house.Look(c, c.SemanticModel.GetTypeInfo(c.Node, c.CancellationToken).Type), SyntaxKind.ImplicitObjectCreationExpression, SyntaxKind.InvocationExpression, SyntaxKind.SimpleMemberAccessExpression);
            start.RegisterSyntaxNodeAction(house.LookAtText, SyntaxKind.StringLiteralExpression);
        });
    }

    private static DiagnosticDescriptor Rule(string id, string says) => new(id, says, says, "Rooms", DiagnosticSeverity.Error, isEnabledByDefault: true);

    private sealed class House(RoomTable rooms, Compilation compilation)
    {
        private readonly Lazy<ImmutableHashSet<string>> kindNames = new(() =>
            [.. compilation.GetSymbolsWithName(_ => true, SymbolFilter.Type).OfType<INamedTypeSymbol>().Where(IsKind).Select(t => t.Name)]);

        public void Look(SyntaxNodeAnalysisContext context, ISymbol? symbol)
        {
            if (symbol is null or INamespaceSymbol || Place.Of(context.Node.SyntaxTree.FilePath) is not { } here)
            {
                return;
            }

            foreach (var met in Within(symbol is IAliasSymbol alias ? alias.Target : symbol))
            {
                if (met.DeclaringSyntaxReferences.IsEmpty)
                {
                    LookAbroad(context, here, met);
                }
                else
                {
                    LookHere(context, here, met);
                }
            }
        }

        // To know a kind by how it is called is to ask which kind it is.
        public void LookAtText(SyntaxNodeAnalysisContext context)
        {
            if (context.Node is LiteralExpressionSyntax { Token.ValueText: var text } && kindNames.Value.Contains(text) && Place.Of(context.Node.SyntaxTree.FilePath) is { } here && !MayAsk(context, here))
            {
                Report(context, Kinds, Of(here), text);
            }
        }

        private void LookHere(SyntaxNodeAnalysisContext context, Place here, ISymbol met)
        {
            var places = met.DeclaringSyntaxReferences.Select(r => Place.Of(r.SyntaxTree.FilePath)).OfType<Place>().ToArray();
            // What is declared in parts stands in the lowest room that has one of them.
            if (places.Length > 0 && !places.Any(there => rooms.Allows(here, there) || there == here))
            {
                Report(context, Upwards, Of(here), met.Name, Of(places[0]));
            }

            if (met is INamedTypeSymbol type && IsKind(type) && !MayAsk(context, here))
            {
                Report(context, Kinds, Of(here), met.Name);
            }
        }

        private static void LookAbroad(SyntaxNodeAnalysisContext context, Place here, ISymbol met)
        {
            var type = (met as INamedTypeSymbol ?? met.ContainingType)?.ConstructedFrom;
            if (type is null)
            {
                return;
            }

            var space = type.ContainingNamespace.ToDisplayString();
            var name = $"{space}.{type.Name}";
            if (WorldSpaces.Any(w => space == w || space.StartsWith(w + ".", StringComparison.Ordinal)) ? !Harmless.Contains(name) : World.Contains(name) || World.Contains($"{name}.{met.Name}"))
            {
                Report(context, Outside, Of(here), met.Name);
            }
            else if (here.Room != GeometryRoom && (space == Geometry || space.StartsWith(Geometry + ".", StringComparison.Ordinal)))
            {
                Report(context, Library, Of(here), met.Name);
            }
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
            yield return symbol;
            var types = symbol switch
            {
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

        private static string Of(Place place) => place.Folder is null ? place.Room : $"{place.Room}/{place.Folder}";

        private static void Report(SyntaxNodeAnalysisContext context, DiagnosticDescriptor rule, params object[] facts) =>
            context.ReportDiagnostic(Diagnostic.Create(rule, context.Node.GetLocation(), facts));
    }
}
