using System.Globalization;
using System.Text.Json;
using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A photo of an item of a job, without its picture; <paramref name="Away"/> when it was taken away.</summary>
public sealed record Photo(string Id, string Item, string Caption, string Type, bool Away)
{
    /// <summary>Before the work, or after it; empty where nobody said.</summary>
    public string Moment { get; init; } = "";

    /// <summary>What was drawn on it.</summary>
    public IReadOnlyList<PhotoMark> Marks { get; init; } = [];
}

/// <summary>A photo as it is kept, and of which job.</summary>
public sealed record KeptPhoto(string Job, Photo Photo)
{
    /// <summary>The item that it shows.</summary>
    public string Item => Photo.Item;
}

/// <summary>A picture that is read straight from the database; closed by its reader.</summary>
public sealed class Picture(string type, SqliteBlob bytes, SqliteConnection connection) : IDisposable
{
    /// <summary>Its media type.</summary>
    public string Type => type;

    /// <summary>Its bytes.</summary>
    public Stream Bytes => bytes;

    /// <summary>The picture in column <c>bytes</c> of <paramref name="table"/>; null where there is no such row.</summary>
    internal static Picture? Of(Database database, string table, string key, string id)
    {
        var connection = database.Connect();
        try
        {
            using var command = Command(
                connection,
                null,
                $"SELECT type, rowid FROM {table} WHERE {key} = $id",
                ("$id", id)
            );
            using var rows = command.ExecuteReader();
            if (rows.Read())
                return new Picture(
                    rows.GetString(0),
                    new SqliteBlob(connection, table, "bytes", rows.GetInt64(1), readOnly: true),
                    connection
                );
        }
        catch
        {
            connection.Dispose();
            throw;
        }
        connection.Dispose();
        return null;
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        bytes.Dispose();
        connection.Dispose();
    }
}

/// <summary>
/// Photos of items as they were found. What is taken away is kept, and can be put back. Pictures pass through a part at
/// a time, however large they are.
/// </summary>
public sealed class PhotoStore(Database database, TimeProvider clock)
{
    internal const string Columns = "id, item_id, caption, type, away, moment, marks";

    /// <summary>
    /// An empty file in <paramref name="folder"/> for a picture that comes in; gone when it is closed.
    /// </summary>
    public static FileStream Incoming(string folder)
    {
        var path = Path.Combine(folder, $"incoming-{Guid.NewGuid():N}");
        PrivateFiles.Make(path);
        return new FileStream(
            path,
            FileMode.Open,
            FileAccess.ReadWrite,
            FileShare.None,
            1 << 16,
            FileOptions.DeleteOnClose | FileOptions.Asynchronous
        );
    }

    /// <summary>The photos of a job, the oldest first.</summary>
    public IReadOnlyList<Photo> Of(string job)
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            $"SELECT {Columns} FROM photos WHERE job_id = $job ORDER BY added_at, id",
            ("$job", job)
        );
        using var rows = command.ExecuteReader();
        var photos = new List<Photo>();
        while (rows.Read())
            photos.Add(Read(rows));
        return photos;
    }

    /// <summary>
    /// Keeps a picture from where its stream stands; sent again under the same id it is kept once. What is kept under
    /// that id, maybe of another job; null when there is no such job.
    /// </summary>
    public KeptPhoto? Add(string job, Photo photo, Stream picture, byte[]? small = null)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Scalar(connection, transaction, "SELECT 1 FROM jobs WHERE id = $job", ("$job", job)) is null)
            return null;
        var row = Scalar(
            connection,
            transaction,
            "INSERT OR IGNORE INTO photos (id, job_id, item_id, caption, type, moment, small, bytes, added_at) VALUES ($id, $job, $item, $caption, $type, $moment, $small, zeroblob($size), $at) RETURNING rowid",
            ("$id", photo.Id),
            ("$job", job),
            ("$item", photo.Item),
            ("$caption", photo.Caption),
            ("$type", photo.Type),
            ("$moment", photo.Moment),
            ("$small", (object?)small ?? DBNull.Value),
            ("$size", picture.Length - picture.Position),
            ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture))
        );
        if (row is long added)
            using (var bytes = new SqliteBlob(connection, "photos", "bytes", added))
                picture.CopyTo(bytes);
        using var command = Command(
            connection,
            transaction,
            $"SELECT {Columns}, job_id FROM photos WHERE id = $id",
            ("$id", photo.Id)
        );
        KeptPhoto kept;
        using (var rows = command.ExecuteReader())
        {
            rows.Read();
            kept = new KeptPhoto(rows.GetString(7), Read(rows));
        }
        transaction.Commit();
        return kept;
    }

    /// <summary>A photo's picture, or null.</summary>
    public Picture? Picture(string id) => Store.Picture.Of(database, "photos", "id", id);

    /// <summary>A photo's picture in little; null where there is none, or no such photo.</summary>
    public byte[]? Small(string id)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT small FROM photos WHERE id = $id", ("$id", id)) as byte[];
    }

    /// <summary>
    /// Says what a photo shows, takes it away or puts it back; null leaves either as it is. The photo as it is then, or
    /// null when there is none.
    /// </summary>
    public Photo? Change(
        string id,
        string? caption,
        bool? away,
        string? moment = null,
        IReadOnlyList<PhotoMark>? marks = null
    )
    {
        using var connection = database.Connect();
        using var command = Command(
            connection,
            null,
            $"UPDATE photos SET caption = coalesce($caption, caption), away = coalesce($away, away), moment = coalesce($moment, moment), marks = coalesce($marks, marks) WHERE id = $id RETURNING {Columns}",
            ("$id", id),
            ("$caption", (object?)caption ?? DBNull.Value),
            ("$away", (object?)away ?? DBNull.Value),
            ("$moment", (object?)moment ?? DBNull.Value),
            ("$marks", marks is null ? DBNull.Value : JsonSerializer.Serialize(marks))
        );
        using var rows = command.ExecuteReader();
        return rows.Read() ? Read(rows) : null;
    }

    internal static Photo Read(SqliteDataReader row) =>
        new(row.GetString(0), row.GetString(1), row.GetString(2), row.GetString(3), row.GetInt64(4) != 0)
        {
            Moment = row.GetString(5),
            Marks = JsonSerializer.Deserialize<List<PhotoMark>>(row.GetString(6)) ?? [],
        };
}
