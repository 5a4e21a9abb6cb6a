using System.Reflection;

namespace Wrapper.Server.Tests;

public class ArchitectureTests
{
    [Theory]
    [InlineData("Wrapper.Core", "")]
    [InlineData("Wrapper.Store", "")]
    [InlineData("Wrapper.Server", "Wrapper.Core Wrapper.Store")]
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
    public void The_core_knows_no_files_database_or_web()
    {
        var names = Assembly.Load("Wrapper.Core").GetReferencedAssemblies().Select(name => name.Name!).ToList();
        Assert.DoesNotContain(
            names,
            name =>
                name.Contains("AspNetCore", StringComparison.Ordinal)
                || name.Contains("Sqlite", StringComparison.Ordinal)
                || name.Contains("System.IO.FileSystem", StringComparison.Ordinal)
                || name.Contains("System.Net", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void No_make_up_is_named_in_the_front_end()
    {
        var root = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(root.FullName, "Wrapper.slnx")))
            root = root.Parent!;
        var keys = Core.Covers.Drafting.Standard().MakeUps.Select(makeUp => makeUp.Key).ToList();
        Assert.Contains("box-cushion-strip", keys);
        var files = Directory
            .EnumerateFiles(Path.Combine(root.FullName, "web/src"), "*.ts*", SearchOption.AllDirectories)
            .Where(file => !file.EndsWith("schema.d.ts", StringComparison.Ordinal));
        Assert.All(
            files,
            file => Assert.DoesNotContain(keys, key => File.ReadAllText(file).Contains(key, StringComparison.Ordinal))
        );
    }
}
