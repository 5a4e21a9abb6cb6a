-- The workroom itself, once it was told: what it is called, and the unit that new jobs begin in.
CREATE TABLE workroom (
    only INTEGER PRIMARY KEY CHECK (only = 1),
    name TEXT NOT NULL,
    unit TEXT NOT NULL
) STRICT;
