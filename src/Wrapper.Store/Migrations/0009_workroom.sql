-- Customers as JSON, found by their words. marks: by what the same one entered twice is known, one a line.
-- merged_into: the entry that this one was joined with, and that stands for it in every job.
CREATE TABLE customers (
    id TEXT PRIMARY KEY,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    content TEXT NOT NULL,
    words TEXT NOT NULL,
    merged_into TEXT REFERENCES customers (id),
    deleted_at TEXT,
    changed_at TEXT NOT NULL
) STRICT;
CREATE INDEX customers_name ON customers (name COLLATE NOCASE, id);
CREATE TABLE customer_marks (
    mark TEXT NOT NULL,
    customer_id TEXT NOT NULL REFERENCES customers (id),
    PRIMARY KEY (mark, customer_id)
) STRICT, WITHOUT ROWID;
-- Whose job it is, read off its document; what customers were joined into counts.
ALTER TABLE jobs ADD COLUMN customer_id TEXT NOT NULL DEFAULT '';
CREATE INDEX jobs_customer_id ON jobs (customer_id) WHERE customer_id <> '';
-- What the workroom reckons its prices by, as JSON; one row.
CREATE TABLE price_book (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    revision INTEGER NOT NULL,
    content TEXT NOT NULL
) STRICT;
-- When the workroom works, as JSON; one row.
CREATE TABLE calendar (
    only_one INTEGER PRIMARY KEY CHECK (only_one = 1),
    revision INTEGER NOT NULL,
    content TEXT NOT NULL
) STRICT;
-- What was said of when a job is made, as JSON.
CREATE TABLE schedules (
    job_id TEXT PRIMARY KEY REFERENCES jobs (id),
    revision INTEGER NOT NULL,
    content TEXT NOT NULL
) STRICT, WITHOUT ROWID;
-- What was said of the price of a job beside what is reckoned, as JSON.
CREATE TABLE price_sheets (
    job_id TEXT PRIMARY KEY REFERENCES jobs (id),
    revision INTEGER NOT NULL,
    content TEXT NOT NULL
) STRICT, WITHOUT ROWID;
-- Papers as they were given out. They outlive their jobs. total: in smallest units of the currency.
CREATE TABLE papers (
    id TEXT PRIMARY KEY,
    job_id TEXT NOT NULL,
    job_revision INTEGER NOT NULL,
    customer_id TEXT NOT NULL,
    kind TEXT NOT NULL,
    number INTEGER NOT NULL CHECK (number > 0),
    date TEXT NOT NULL,
    based_on TEXT REFERENCES papers (id),
    currency TEXT NOT NULL,
    total INTEGER NOT NULL,
    content TEXT NOT NULL,
    words TEXT NOT NULL,
    asked TEXT NOT NULL,
    issued_at TEXT NOT NULL,
    UNIQUE (kind, number)
) STRICT;
CREATE INDEX papers_job ON papers (job_id, issued_at);
CREATE INDEX papers_issued ON papers (issued_at DESC, id);
CREATE INDEX papers_based_on ON papers (based_on);
-- The drawings of a paper's covers.
CREATE TABLE paper_drawings (
    paper_id TEXT NOT NULL REFERENCES papers (id),
    item TEXT NOT NULL,
    png BLOB NOT NULL,
    PRIMARY KEY (paper_id, item)
) STRICT;
-- What became of a paper: declined, cancelled. Nothing is written over.
CREATE TABLE paper_events (
    id INTEGER PRIMARY KEY,
    paper_id TEXT NOT NULL REFERENCES papers (id),
    event TEXT NOT NULL,
    note TEXT NOT NULL,
    at TEXT NOT NULL
) STRICT;
CREATE INDEX paper_events_paper ON paper_events (paper_id);
-- A paper that was given out is never changed, taken away or put in the place of another, and no number is left out.
CREATE TRIGGER papers_frozen BEFORE UPDATE ON papers
BEGIN SELECT RAISE(ABORT, 'a paper that was given out cannot be changed'); END;
CREATE TRIGGER papers_kept BEFORE DELETE ON papers
BEGIN SELECT RAISE(ABORT, 'a paper that was given out cannot be taken away'); END;
CREATE TRIGGER papers_numbered BEFORE INSERT ON papers
WHEN NEW.number <> (SELECT coalesce(max(number), 0) + 1 FROM papers WHERE kind = NEW.kind)
    OR EXISTS (SELECT 1 FROM papers WHERE id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'papers are numbered one after the other'); END;
CREATE TRIGGER paper_drawings_frozen BEFORE UPDATE ON paper_drawings
BEGIN SELECT RAISE(ABORT, 'a paper that was given out cannot be changed'); END;
CREATE TRIGGER paper_drawings_kept BEFORE DELETE ON paper_drawings
BEGIN SELECT RAISE(ABORT, 'a paper that was given out cannot be taken away'); END;
CREATE TRIGGER paper_drawings_once BEFORE INSERT ON paper_drawings
WHEN EXISTS (SELECT 1 FROM paper_drawings WHERE paper_id = NEW.paper_id AND item = NEW.item)
BEGIN SELECT RAISE(ABORT, 'a paper that was given out cannot be changed'); END;
CREATE TRIGGER paper_events_frozen BEFORE UPDATE ON paper_events
BEGIN SELECT RAISE(ABORT, 'what became of a paper cannot be changed'); END;
CREATE TRIGGER paper_events_kept BEFORE DELETE ON paper_events
BEGIN SELECT RAISE(ABORT, 'what became of a paper cannot be taken away'); END;
-- States of jobs that were given a name ("as quoted"), whole and packed, whatever becomes of the revision.
CREATE TABLE named_states (
    job_id TEXT NOT NULL REFERENCES jobs (id),
    name TEXT NOT NULL,
    number INTEGER NOT NULL,
    content BLOB NOT NULL,
    at TEXT NOT NULL,
    PRIMARY KEY (job_id, name)
) STRICT;
-- Jobs to begin others from, as JSON.
CREATE TABLE templates (
    id TEXT PRIMARY KEY,
    name TEXT NOT NULL,
    content TEXT NOT NULL,
    made_at TEXT NOT NULL
) STRICT;
-- What lies on the shelves, as JSON, found by its words.
CREATE TABLE stock (
    id TEXT PRIMARY KEY,
    revision INTEGER NOT NULL,
    name TEXT NOT NULL,
    batch TEXT NOT NULL,
    content TEXT NOT NULL,
    words TEXT NOT NULL
) STRICT;
CREATE INDEX stock_name ON stock (name COLLATE NOCASE, id);
CREATE INDEX stock_batch ON stock (batch COLLATE NOCASE);
-- Which jobs lay something of the shelves under their pieces, and from which batches they cut: read off their documents.
CREATE TABLE reservations (
    stock_id TEXT NOT NULL,
    job_id TEXT NOT NULL REFERENCES jobs (id),
    PRIMARY KEY (stock_id, job_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX reservations_job ON reservations (job_id);
CREATE TABLE batches (
    batch TEXT NOT NULL COLLATE NOCASE,
    job_id TEXT NOT NULL REFERENCES jobs (id),
    PRIMARY KEY (batch, job_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX batches_job ON batches (job_id);
