-- found: what a job is found by, three letters at a time: its names and those of its customer, items and cloths, and its notes.
-- A job's place in it is jobs.found; null until it is written, by the next save or by the upkeep.
CREATE VIRTUAL TABLE found USING fts5 (words, tokenize = 'trigram');
ALTER TABLE jobs ADD COLUMN found INTEGER;
-- put_away_at: when the job was put away; it is not in the list, and nothing of it goes.
ALTER TABLE jobs ADD COLUMN put_away_at TEXT;
-- What was taken away before was promised to stay: it is put away, and does not go after thirty days.
UPDATE jobs SET put_away_at = deleted_at, deleted_at = NULL WHERE deleted_at IS NOT NULL;
ALTER TABLE jobs DROP COLUMN search;
CREATE UNIQUE INDEX jobs_found ON jobs (found);
CREATE INDEX jobs_name ON jobs (name COLLATE NOCASE, id);
CREATE INDEX jobs_customer ON jobs (customer COLLATE NOCASE, id);
