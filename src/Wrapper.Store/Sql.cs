using Microsoft.Data.Sqlite;

namespace Wrapper.Store;

/// <summary>Plain commands with named values.</summary>
internal static class Sql
{
    public static SqliteCommand Command(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        params (string Name, object Value)[] values
    )
    {
        var command = connection.CreateCommand();
        command.Transaction = transaction;
        command.CommandText = sql;
        foreach (var (name, value) in values)
            command.Parameters.AddWithValue(name, value);
        return command;
    }

    public static object? Scalar(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        params (string, object)[] values
    )
    {
        using var command = Command(connection, transaction, sql, values);
        return command.ExecuteScalar();
    }

    public static int Execute(
        SqliteConnection connection,
        SqliteTransaction? transaction,
        string sql,
        params (string, object)[] values
    )
    {
        using var command = Command(connection, transaction, sql, values);
        return command.ExecuteNonQuery();
    }
}
