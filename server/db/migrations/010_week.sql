-- What a person decided about their weeks, one versioned row; the key under which a calendar may fetch them.
CREATE TABLE week (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  version INTEGER NOT NULL CHECK (version > 0),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TABLE week_feed (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  key TEXT NOT NULL,
  made_at TEXT NOT NULL
) STRICT;

-- What was told and seen, or put off with a reason, on whichever device. Only added to.
CREATE TABLE notice (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  of TEXT NOT NULL,
  at TEXT NOT NULL,
  until TEXT,
  reason TEXT NOT NULL
) STRICT;
CREATE INDEX notice_by_at ON notice (at);
