CREATE TABLE device (
  id TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  token_hash TEXT NOT NULL UNIQUE CHECK (length(token_hash) = 64),
  paired_at TEXT NOT NULL,
  seen_at TEXT NOT NULL
) STRICT;
