-- What things are called in this workroom, term by word, as JSON; empty for this program's own words.
ALTER TABLE workroom ADD COLUMN words TEXT NOT NULL DEFAULT '{}';
