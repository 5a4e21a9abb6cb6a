using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>What the workroom is called, and the name of the unit that new jobs begin in.</summary>
public sealed class WorkroomStore(Database database)
{
    /// <summary>What was told; null until then.</summary>
    public (string Name, string Unit)? Read()
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT name, unit FROM workroom");
        using var reader = command.ExecuteReader();
        return reader.Read() ? (reader.GetString(0), reader.GetString(1)) : null;
    }

    /// <summary>Keeps it, in the place of what was told before.</summary>
    public void Write(string name, string unit)
    {
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "INSERT INTO workroom (only, name, unit) VALUES (1, $name, $unit) ON CONFLICT (only) DO UPDATE SET name = excluded.name, unit = excluded.unit",
            ("$name", name),
            ("$unit", unit)
        );
    }
}
