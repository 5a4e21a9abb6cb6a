-- Lays found by a longer search, by a hash of everything they were laid from. Nothing is lost with them but time.
CREATE TABLE lays (
    key TEXT PRIMARY KEY,
    lay TEXT NOT NULL,
    found_at TEXT NOT NULL
) STRICT;

CREATE INDEX lays_by_age ON lays (found_at);
