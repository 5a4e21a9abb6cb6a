-- What the workroom states when it hands over (its postcode, statements to begin from), as JSON; empty until it was told.
ALTER TABLE workroom ADD COLUMN hand_over TEXT NOT NULL DEFAULT '{}';
-- The workroom's own way of making a cover: its steps in order, as JSON, by make-up.
CREATE TABLE ways (
    make_up TEXT PRIMARY KEY,
    steps TEXT NOT NULL
) STRICT, WITHOUT ROWID;
-- What was handed over, read off the job documents in the same transaction: one row an item, found by its words.
CREATE TABLE records (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    item_id TEXT NOT NULL,
    date TEXT NOT NULL,
    given TEXT NOT NULL,
    words TEXT NOT NULL,
    PRIMARY KEY (job_id, item_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX records_date ON records (date, job_id, item_id);
-- What fittings found, and how long steps took, read off the job documents in the same transaction.
CREATE TABLE fits (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    id TEXT NOT NULL,
    make_up TEXT NOT NULL,
    cloth TEXT NOT NULL,
    subject TEXT NOT NULL,
    found TEXT NOT NULL,
    date TEXT NOT NULL,
    PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX fits_subject ON fits (make_up, subject, date);
CREATE TABLE times (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    id TEXT NOT NULL,
    kind TEXT NOT NULL,
    reckoned INTEGER NOT NULL,
    seconds INTEGER NOT NULL,
    took TEXT NOT NULL,
    PRIMARY KEY (job_id, id)
) STRICT, WITHOUT ROWID;
-- What new items of a make-up begin with in this workroom, as the entry of a field in JSON.
CREATE TABLE own_values (
    make_up TEXT NOT NULL,
    field TEXT NOT NULL,
    entry TEXT NOT NULL,
    PRIMARY KEY (make_up, field)
) STRICT, WITHOUT ROWID;
-- A proposal that was refused: it comes back when more fittings than these speak for it.
CREATE TABLE refusals (
    make_up TEXT NOT NULL,
    field TEXT NOT NULL,
    cloth TEXT NOT NULL,
    fits INTEGER NOT NULL,
    PRIMARY KEY (make_up, field, cloth)
) STRICT, WITHOUT ROWID;
-- moment: before or after, or nothing. marks: what was drawn on it, as JSON. small: its picture in little; null where it has none.
ALTER TABLE photos ADD COLUMN moment TEXT NOT NULL DEFAULT '';
ALTER TABLE photos ADD COLUMN marks TEXT NOT NULL DEFAULT '[]';
ALTER TABLE photos ADD COLUMN small BLOB;
