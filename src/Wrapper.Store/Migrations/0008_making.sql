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
