-- Revisions grow no more than what is in them: content is compressed or told as a difference, and only the last of an undo step is kept.
-- content:  null where the revision shows an earlier one (undo and redo); else as Contents packs it.
-- onto:     the revision that content is a difference from; null where it stands alone.
-- depth:    how many differences lie under it.
CREATE TABLE compact (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    number INTEGER NOT NULL,
    content BLOB,
    onto INTEGER,
    depth INTEGER NOT NULL,
    shows INTEGER NOT NULL,
    before INTEGER,
    redo TEXT NOT NULL,
    step TEXT NOT NULL,
    saved_at TEXT NOT NULL,
    PRIMARY KEY (job_id, number)
) STRICT, WITHOUT ROWID;

INSERT INTO compact
SELECT job_id, number, CASE WHEN shows = number THEN CAST(document AS BLOB) END, NULL, 0, shows, before, redo, step, saved_at
FROM revisions AS each
WHERE NOT (step <> '' AND shows = number AND EXISTS (
    SELECT 1 FROM revisions AS later
    WHERE later.job_id = each.job_id AND later.number = each.number + 1 AND later.step = each.step AND later.shows = later.number));

-- Every change id stays, so that a repeated save gets its answer; digest tells whether it carries the same document again.
CREATE TABLE changes (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    change_id TEXT NOT NULL,
    number INTEGER NOT NULL,
    digest BLOB,
    PRIMARY KEY (job_id, change_id)
) STRICT, WITHOUT ROWID;

INSERT INTO changes SELECT job_id, change_id, number, NULL FROM revisions;

DROP TABLE revisions;
ALTER TABLE compact RENAME TO revisions;

-- deleted_at: when the job was taken away; it stays, and can be brought back.
-- search:     what a job is found by, in small letters; null until it is written anew.
ALTER TABLE jobs ADD COLUMN deleted_at TEXT;
ALTER TABLE jobs ADD COLUMN search TEXT;
DROP INDEX jobs_changed;
CREATE INDEX jobs_changed ON jobs (changed_at DESC, id);
