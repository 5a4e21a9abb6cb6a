using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>The secret in the address of the workroom's calendar.</summary>
public sealed class FeedStore(Database database)
{
    /// <summary>The secret; null while there is none.</summary>
    public string? Secret()
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT secret FROM feed") as string;
    }

    /// <summary>Keeps a secret in the place of the one before; the secret.</summary>
    public string Keep(string secret)
    {
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "INSERT OR REPLACE INTO feed (only_one, secret) VALUES (1, $secret)",
            ("$secret", secret)
        );
        return secret;
    }

    /// <summary>Forgets the secret.</summary>
    public void Revoke()
    {
        using var connection = database.Connect();
        Execute(connection, null, "DELETE FROM feed");
    }
}
