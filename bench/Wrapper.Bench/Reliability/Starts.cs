using System.Diagnostics;
using Microsoft.Data.Sqlite;

namespace Wrapper.Bench.Reliability;

/// <summary>How long it takes from start to the first answer when the data is large and not in memory.</summary>
public sealed class Starts(ServerProcess server)
{
    private const int Megabytes = 3000,
        APhoto = 10;

    public async Task<double> Run()
    {
        await server.Post(
            "/api/jobs",
            new System.Text.Json.Nodes.JsonObject
            {
                ["id"] = "j",
                ["changeId"] = "c",
                ["name"] = "j",
                ["unit"] = "in",
                ["document"] = null,
            }
        );
        server.Kill();
        var path = Path.Combine(server.Data, "wrapper.db");
        using (var connection = new SqliteConnection($"Data Source={path};Pooling=False"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText =
                "INSERT INTO photos (id, job_id, item_id, caption, type, bytes, added_at) VALUES ($id, 'j', 'i', '', 'image/png', zeroblob($size), '2026-01-01')";
            command.Parameters.AddWithValue("$size", APhoto * 1_000_000);
            var id = command.Parameters.AddWithValue("$id", "");
            for (var n = 0; n < Megabytes / APhoto; n++)
            {
                id.Value = $"p{n}";
                command.ExecuteNonQuery();
            }
        }
        // Written to the disk, and forgotten by the system.
        using (
            var forget = Process.Start(
                new ProcessStartInfo("dd", [$"of={path}", "oflag=nocache", "conv=notrunc,fdatasync", "count=0"])
                {
                    RedirectStandardError = true,
                }
            )!
        )
            await forget.WaitForExitAsync();
        var clock = Stopwatch.StartNew();
        server.Restart();
        return clock.Elapsed.TotalMilliseconds;
    }
}
