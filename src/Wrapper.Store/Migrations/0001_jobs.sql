-- A job is a row; each save adds a revision with the whole document. Search columns are rebuilt from it in the same transaction.
CREATE TABLE jobs (
    id TEXT PRIMARY KEY,
    name TEXT NOT NULL,
    customer TEXT NOT NULL,
    revision INTEGER NOT NULL,
    changed_at TEXT NOT NULL
) STRICT;

CREATE INDEX jobs_changed ON jobs (changed_at DESC);

-- shows:    the revision whose content this one shows; its own number for an edit, an earlier one for undo and redo.
-- before:   the revision that undo goes back to from here; null at the beginning.
-- redo:     revisions that can be redone from here, nearest first, as a JSON list.
-- step:     edits of one step (typing in one field) undo together.
CREATE TABLE revisions (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    number INTEGER NOT NULL,
    change_id TEXT NOT NULL,
    document TEXT NOT NULL,
    shows INTEGER NOT NULL,
    before INTEGER,
    redo TEXT NOT NULL,
    step TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    PRIMARY KEY (job_id, number),
    UNIQUE (job_id, change_id)
) STRICT;
