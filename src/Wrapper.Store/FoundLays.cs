using System.Globalization;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>
/// Lays found by a longer search, as text under their key, so that they outlive the server; the newest
/// <paramref name="most"/> are kept.
/// </summary>
public sealed class FoundLays(Database database, TimeProvider clock, int most = 500)
{
    /// <summary>The lay of this key, or null.</summary>
    public string? Find(string key)
    {
        using var connection = database.Connect();
        return (string?)Scalar(connection, null, "SELECT lay FROM lays WHERE key = $key", ("$key", key));
    }

    /// <summary>Keeps a lay in the place of an earlier one of its key; the oldest make room.</summary>
    public void Keep(string key, string lay)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction();
        Execute(
            connection,
            transaction,
            "INSERT INTO lays (key, lay, found_at) VALUES ($key, $lay, $at) ON CONFLICT (key) DO UPDATE SET lay = excluded.lay, found_at = excluded.found_at",
            ("$key", key),
            ("$lay", lay),
            ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture))
        );
        Execute(
            connection,
            transaction,
            "DELETE FROM lays WHERE key NOT IN (SELECT key FROM lays ORDER BY found_at DESC LIMIT $most)",
            ("$most", most)
        );
        transaction.Commit();
    }
}
