using System.Reflection;
using Mono.Cecil;
using Wrapper.Core.Planning;

namespace Wrapper.Server.Tests;

/// <summary>Who knows whom, read off the compiled assemblies: every reference counts, however it was written.</summary>
public class ArchitectureTests
{
    // Each folder of the core uses only those before it. Folders of one number do not know each other.
    private static readonly (int Rank, string Folder)[] Order =
    [
        (0, "Lengths"),
        (0, "Words"),
        (1, "Lengths.Workings"),
        (2, "Geometry"),
        (3, "Jobs"),
        (4, "Workroom.Money"),
        (4, "Workroom.Customers"),
        (4, "Workroom.Stock"),
        (4, "Workroom.Merchants"),
        (4, "Patterns"),
        (5, "Making"),
        (5, "Sewing"),
        (6, "Declaring"),
        (7, "Covers.Shared"),
        (8, "Covers.Shared.Outlines"),
        (9, "Covers.Beds"),
        (9, "Covers.Cloths"),
        (9, "Covers.Chairs"),
        (9, "Covers.Cushions"),
        (9, "Covers.Duvets"),
        (9, "Covers.Ottomans"),
        (9, "Covers.Tables"),
        (10, "Covers.Drawn"),
        (10, "Lay"),
        (11, "Cloth"),
        (12, "Planning"),
        (13, "Workroom.Pricing"),
        (13, "Workroom.Week"),
        (14, "Workroom.Figures"),
    ];

    [Theory]
    [InlineData("Wrapper.Core", "")]
    [InlineData("Wrapper.Store", "")]
    [InlineData("Wrapper.Formats", "Wrapper.Core")]
    [InlineData("Wrapper.Server", "Wrapper.Core Wrapper.Formats Wrapper.Store")]
    public void Dependencies_point_one_way(string assembly, string allowed)
    {
        var own = Assembly
            .Load(assembly)
            .GetReferencedAssemblies()
            .Select(name => name.Name!)
            .Where(name => name.StartsWith("Wrapper", StringComparison.Ordinal));
        Assert.Empty(own.Except(allowed.Split(' ')));
    }

    [Fact]
    public void Each_folder_of_the_core_uses_only_those_above_it()
    {
        using var core = ModuleDefinition.ReadModule(typeof(Plan).Assembly.Location);
        var arrows = core
            .Types.SelectMany(type => References.Of(type).Select(used => (From: FolderOf(type), To: FolderOf(used))))
            .Where(arrow => arrow is { From: not null, To: not null } && arrow.From != arrow.To)
            .Distinct()
            .ToList();
        Assert.Contains(("Planning", "Lay"), arrows); // It does see references.
        List<(string?, string?)> upward = [.. arrows.Where(arrow => Rank(arrow.From!) <= Rank(arrow.To!))];
        Assert.Empty(upward);
    }

    // Files, the network, the clock and the customs of a country: a draft must come out the same everywhere and always.
    [Theory]
    [InlineData("System.IO.")]
    [InlineData("System.Net.")]
    [InlineData("System.Data.")]
    [InlineData("System.Diagnostics.Stopwatch")]
    [InlineData("System.Diagnostics.Process")]
    [InlineData("System.TimeProvider")]
    [InlineData("System.TimeZoneInfo")]
    [InlineData("System.DateTime::get_")]
    [InlineData("System.DateTimeOffset::get_")]
    [InlineData("System.Environment::GetEnvironmentVariable")]
    [InlineData("System.Environment::get_TickCount")]
    [InlineData("System.Globalization.CultureInfo::get_Current")]
    [InlineData("System.Globalization.CultureInfo::GetCultureInfo")]
    [InlineData("System.Globalization.CultureInfo::.ctor")]
    [InlineData("Microsoft.")]
    public void The_core_touches_no(string name)
    {
        using var core = ModuleDefinition.ReadModule(typeof(Plan).Assembly.Location);
        var names = core.GetTypeReferences()
            .Select(type => type.FullName)
            .Concat(core.GetMemberReferences().Select(member => $"{member.DeclaringType.FullName}::{member.Name}"))
            .ToList();
        Assert.Contains("System.Globalization.CultureInfo::get_InvariantCulture", names); // It does see members.
        // What the compiler marks an assembly with is no use of it.
        Assert.DoesNotContain(
            names.Where(each => !each.StartsWith("Microsoft.CodeAnalysis.", StringComparison.Ordinal)),
            each => each.StartsWith(name, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void No_make_up_is_named_in_the_front_end()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Wrapper.slnx")))
            root = root.Parent!;
        var keys = Drafting.Standard().MakeUps.Select(makeUp => makeUp.Key).ToList();
        Assert.Contains("box-cushion-strip", keys);
        var files = Directory
            .EnumerateFiles(Path.Combine(root.FullName, "web/src"), "*.ts*", SearchOption.AllDirectories)
            .Where(file => !file.EndsWith("schema.d.ts", StringComparison.Ordinal));
        Assert.All(
            files,
            file => Assert.DoesNotContain(keys, key => File.ReadAllText(file).Contains(key, StringComparison.Ordinal))
        );
    }

    private static string? FolderOf(TypeReference type)
    {
        while (type.DeclaringType is { } outer)
            type = outer;
        const string core = "Wrapper.Core.";
        return type.Namespace.StartsWith(core, StringComparison.Ordinal) ? type.Namespace[core.Length..] : null;
    }

    private static int Rank(string folder) => Order.First(each => each.Folder == folder).Rank;
}
