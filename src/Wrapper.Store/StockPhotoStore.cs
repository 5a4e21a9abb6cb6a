using Microsoft.Data.Sqlite;
using static Wrapper.Store.Sql;

namespace Wrapper.Store;

/// <summary>How things on the shelves look: one photo of each, put in the place of the one before.</summary>
public sealed class StockPhotoStore(Database database)
{
    /// <summary>Keeps a picture from where its stream stands; false when there is no such row on the shelves.</summary>
    public bool Keep(string stock, string type, Stream picture, byte[]? small)
    {
        using var connection = database.Connect();
        using var transaction = connection.BeginTransaction(deferred: false);
        if (Scalar(connection, transaction, "SELECT 1 FROM stock WHERE id = $id", ("$id", stock)) is null)
            return false;
        var row = Scalar(
            connection,
            transaction,
            "INSERT OR REPLACE INTO stock_photos (stock_id, type, small, bytes) VALUES ($id, $type, $small, zeroblob($size)) RETURNING rowid",
            ("$id", stock),
            ("$type", type),
            ("$small", (object?)small ?? DBNull.Value),
            ("$size", picture.Length - picture.Position)
        );
        using (var bytes = new SqliteBlob(connection, "stock_photos", "bytes", (long)row!))
            picture.CopyTo(bytes);
        transaction.Commit();
        return true;
    }

    /// <summary>The picture; null where there is none.</summary>
    public Picture? Picture(string stock) => Store.Picture.Of(database, "stock_photos", "stock_id", stock);

    /// <summary>The picture in little; null where there is none.</summary>
    public byte[]? Small(string stock)
    {
        using var connection = database.Connect();
        return Scalar(connection, null, "SELECT small FROM stock_photos WHERE stock_id = $id", ("$id", stock))
            as byte[];
    }

    /// <summary>Takes the picture away; false when there was none.</summary>
    public bool Remove(string stock)
    {
        using var connection = database.Connect();
        return Execute(connection, null, "DELETE FROM stock_photos WHERE stock_id = $id", ("$id", stock)) > 0;
    }
}
