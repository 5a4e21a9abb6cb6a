using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>The workroom's own ways of making covers, as JSON, by make-up.</summary>
public sealed class WayStore(Database database)
{
    /// <summary>The way of a make-up; null where the workroom has none of its own.</summary>
    public string? Of(string makeUp)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT steps FROM ways WHERE make_up = $makeUp", ("$makeUp", makeUp))
            as string;
    }

    /// <summary>Keeps a way in the place of the one before; null for none of its own.</summary>
    public void Keep(string makeUp, string? steps)
    {
        using var connection = database.Connect();
        if (steps is null)
            Execute(connection, null, "DELETE FROM ways WHERE make_up = $makeUp", ("$makeUp", makeUp));
        else
            Execute(
                connection,
                null,
                "INSERT INTO ways (make_up, steps) VALUES ($makeUp, $steps) ON CONFLICT (make_up) DO UPDATE SET steps = excluded.steps",
                ("$makeUp", makeUp),
                ("$steps", steps)
            );
    }
}
