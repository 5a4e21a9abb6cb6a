-- What jobs take from the shelves beside cloth, how much as the entry in JSON: read off their documents, without what was taken out.
CREATE TABLE taken (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    row_id TEXT NOT NULL,
    stock_id TEXT NOT NULL,
    amount TEXT NOT NULL,
    PRIMARY KEY (job_id, row_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX taken_stock ON taken (stock_id);
-- How something on a shelf looks; one photo of each.
CREATE TABLE stock_photos (
    stock_id TEXT PRIMARY KEY,
    type TEXT NOT NULL,
    small BLOB,
    bytes BLOB NOT NULL
) STRICT;
-- The secret in the address of the calendar that may be subscribed to; one row.
CREATE TABLE feed (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    secret TEXT NOT NULL
) STRICT;
