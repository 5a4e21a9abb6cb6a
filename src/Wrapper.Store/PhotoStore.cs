using System.Globalization;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>A photo of an item of a job, without its picture; <paramref name="Away"/> when it was taken away.</summary>
public sealed record Photo(string Id, string Item, string Caption, string Type, bool Away);

/// <summary>Photos of items as they were found. What is taken away is kept, and can be put back.</summary>
public sealed class PhotoStore(Database database, TimeProvider clock)
{
    /// <summary>The photos of a job, the oldest first.</summary>
    public IReadOnlyList<Photo> Of(string job)
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT id, item_id, caption, type, away FROM photos WHERE job_id = $job ORDER BY added_at, id", ("$job", job));
        using var rows = command.ExecuteReader();
        var photos = new List<Photo>();
        while (rows.Read()) photos.Add(new Photo(rows.GetString(0), rows.GetString(1), rows.GetString(2), rows.GetString(3), rows.GetInt64(4) != 0));
        return photos;
    }

    /// <summary>Keeps a picture; sent again under the same id it is kept once. False when there is no such job.</summary>
    public bool Add(string job, Photo photo, byte[] picture)
    {
        using var connection = database.Connect();
        if (Scalar(connection, null, "SELECT 1 FROM jobs WHERE id = $job", ("$job", job)) is null) return false;
        Execute(connection, null, "INSERT OR IGNORE INTO photos (id, job_id, item_id, caption, type, bytes, added_at) VALUES ($id, $job, $item, $caption, $type, $bytes, $at)",
            ("$id", photo.Id), ("$job", job), ("$item", photo.Item), ("$caption", photo.Caption), ("$type", photo.Type), ("$bytes", picture),
            ("$at", clock.GetUtcNow().ToString("O", CultureInfo.InvariantCulture)));
        return true;
    }

    /// <summary>A photo's picture and its type, or null.</summary>
    public (string Type, byte[] Picture)? Picture(string id)
    {
        using var connection = database.Connect();
        using var command = Command(connection, null, "SELECT type, bytes FROM photos WHERE id = $id", ("$id", id));
        using var rows = command.ExecuteReader();
        return rows.Read() ? (rows.GetString(0), rows.GetFieldValue<byte[]>(1)) : null;
    }

    /// <summary>Says what a photo shows, takes it away or puts it back; false when there is no such photo.</summary>
    public bool Change(string id, string caption, bool away)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "UPDATE photos SET caption = $caption, away = $away WHERE id = $id", ("$id", id), ("$caption", caption), ("$away", away)) > 0;
    }
}
