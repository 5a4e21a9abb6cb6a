using System.Diagnostics;

namespace Wrapper.Server.Tests;

/// <summary>What another program reads in a PDF.</summary>
internal static class Poppler
{
    /// <summary>What <c>pdfinfo</c>, <c>pdffonts</c> or <c>pdftotext</c> tells of a file; it must end well.</summary>
    public static string Text(string program, byte[] pdf, params string[] arguments)
    {
        var file = Path.GetTempFileName();
        try
        {
            File.WriteAllBytes(file, pdf);
            string[] all = [.. arguments, file, .. program == "pdftotext" ? new[] { "-" } : []];
            using var process = Process.Start(new ProcessStartInfo(program, all) { RedirectStandardOutput = true })!;
            var told = process.StandardOutput.ReadToEnd();
            process.WaitForExit();
            Assert.Equal(0, process.ExitCode);
            return told;
        }
        finally
        {
            File.Delete(file);
        }
    }
}
