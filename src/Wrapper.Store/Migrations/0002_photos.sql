-- Photos taken while measuring: of the item as it was found, before anything is unpicked. Taken away is not thrown away.
CREATE TABLE photos (
    id TEXT PRIMARY KEY,
    job_id TEXT NOT NULL REFERENCES jobs (id),
    item_id TEXT NOT NULL,
    caption TEXT NOT NULL,
    type TEXT NOT NULL,
    bytes BLOB NOT NULL,
    away INTEGER NOT NULL DEFAULT 0,
    added_at TEXT NOT NULL
) STRICT;

CREATE INDEX photos_of_job ON photos (job_id, added_at);
