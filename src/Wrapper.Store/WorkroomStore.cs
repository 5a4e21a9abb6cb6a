using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>What was told of the workroom: its name, the name of the unit that new jobs begin in, its words as JSON.</summary>
public sealed record ToldWorkroom(string Name, string Unit, string Words);

/// <summary>The workroom itself.</summary>
public sealed class WorkroomStore(Database database)
{
    /// <summary>What was told; null until then.</summary>
    public ToldWorkroom? Read()
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT name, unit, words FROM workroom");
        using var reader = command.ExecuteReader();
        return reader.Read() ? new(reader.GetString(0), reader.GetString(1), reader.GetString(2)) : null;
    }

    /// <summary>Keeps it, in the place of what was told before.</summary>
    public void Write(ToldWorkroom told)
    {
        using var connection = database.Connect();
        Execute(
            connection,
            null,
            "INSERT INTO workroom (only, name, unit, words) VALUES (1, $name, $unit, $words) ON CONFLICT (only) DO UPDATE SET name = excluded.name, unit = excluded.unit, words = excluded.words",
            ("$name", told.Name),
            ("$unit", told.Unit),
            ("$words", told.Words)
        );
    }

    /// <summary>What it states when it hands over, as JSON; <c>{}</c> until it was told.</summary>
    public string HandOver()
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT hand_over FROM workroom") as string ?? "{}";
    }

    /// <summary>Keeps what it states, in the place of what it stated before; false while there is no workroom.</summary>
    public bool KeepHandOver(string stated)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "UPDATE workroom SET hand_over = $stated", ("$stated", stated)) > 0;
    }
}
