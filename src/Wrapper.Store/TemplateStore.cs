using System.Globalization;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A job to begin others from, as JSON.</summary>
public sealed record KeptTemplate(string Id, string Name, string Content);

/// <summary>Jobs to begin others from.</summary>
public sealed class TemplateStore(Database database, TimeProvider clock)
{
    /// <summary>The most templates.</summary>
    public const int Most = 200;

    /// <summary>All of them, by name.</summary>
    public IReadOnlyList<KeptTemplate> All()
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            "SELECT id, name, content FROM templates ORDER BY name COLLATE NOCASE, id"
        );
        using var rows = command.ExecuteReader();
        List<KeptTemplate> templates = [];
        while (rows.Read())
            templates.Add(new(rows.GetString(0), rows.GetString(1), rows.GetString(2)));
        return templates;
    }

    /// <summary>Keeps a template in the place of the one of its id; false where there are too many.</summary>
    public bool Keep(KeptTemplate template)
    {
        using var connection = database.Connect();
        return Execute(
                connection,
                null,
                """
                INSERT INTO templates (id, name, content, made_at)
                SELECT $id, $name, $content, $at
                WHERE (SELECT count(*) FROM templates) < $most OR EXISTS (SELECT 1 FROM templates WHERE id = $id)
                ON CONFLICT (id) DO UPDATE SET name = excluded.name, content = excluded.content
                """,
                ("$id", template.Id),
                ("$name", template.Name),
                ("$content", template.Content),
                ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture)),
                ("$most", Most)
            ) > 0;
    }

    /// <summary>Takes a template away; jobs that were begun from it stay. False where there is none.</summary>
    public bool Remove(string id)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "DELETE FROM templates WHERE id = $id", ("$id", id)) > 0;
    }
}
