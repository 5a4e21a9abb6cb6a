-- Letters that were written, whole as a mail program takes them up; nothing is sent from here.
CREATE TABLE letters (
    id TEXT PRIMARY KEY,
    written_at TEXT NOT NULL,
    addressed TEXT NOT NULL,
    subject TEXT NOT NULL,
    enclosures TEXT NOT NULL,
    mail BLOB NOT NULL
) STRICT;
-- What was ordered from the merchant, and what came of it, in JSON.
CREATE TABLE orders (
    id TEXT PRIMARY KEY,
    placed_at TEXT NOT NULL,
    content TEXT NOT NULL
) STRICT;
