using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>What was ordered from the merchant, as JSON.</summary>
public sealed class OrderStore(Database database)
{
    /// <summary>Every order, the latest first.</summary>
    public IReadOnlyList<string> List()
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT content FROM orders ORDER BY placed_at DESC, id DESC");
        using var reader = command.ExecuteReader();
        List<string> orders = [];
        while (reader.Read())
            orders.Add(reader.GetString(0));
        return orders;
    }

    /// <summary>An order; null where there is none.</summary>
    public string? Find(string id)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT content FROM orders WHERE id = $id", ("$id", id)) as string;
    }

    /// <summary>Keeps an order in the place of what was known of it before.</summary>
    public void Keep(string id, string placedAt, string content)
    {
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "INSERT INTO orders (id, placed_at, content) VALUES ($id, $at, $content) ON CONFLICT (id) DO UPDATE SET content = excluded.content",
            ("$id", id),
            ("$at", placedAt),
            ("$content", content)
        );
    }

    /// <summary>Takes an order off; false when there was none.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "DELETE FROM orders WHERE id = $id", ("$id", id)) > 0;
    }
}
