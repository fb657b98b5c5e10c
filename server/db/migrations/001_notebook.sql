-- The notebook: what happened, kept as it was written. Event tables are only ever added to.
CREATE TABLE bottle (
  id TEXT PRIMARY KEY,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE bottle_event (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  bottle_id TEXT NOT NULL REFERENCES bottle (id),
  happened_at TEXT NOT NULL,
  written_at TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX bottle_event_by_bottle ON bottle_event (bottle_id, seq);

CREATE TABLE batch (
  id TEXT PRIMARY KEY,
  number INTEGER NOT NULL UNIQUE CHECK (number > 0),
  version INTEGER NOT NULL CHECK (version > 0),
  created_at TEXT NOT NULL,
  plan TEXT NOT NULL CHECK (json_valid(plan))
) STRICT;

CREATE TABLE batch_event (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  batch_id TEXT NOT NULL REFERENCES batch (id),
  happened_at TEXT NOT NULL,
  give_or_take_min REAL NOT NULL CHECK (give_or_take_min >= 0),
  written_at TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;
CREATE INDEX batch_event_by_batch ON batch_event (batch_id, seq);

CREATE TABLE attachment (
  id TEXT PRIMARY KEY,
  batch_id TEXT NOT NULL REFERENCES batch (id),
  media_type TEXT NOT NULL,
  size INTEGER NOT NULL CHECK (size > 0),
  sha256 TEXT NOT NULL,
  written_at TEXT NOT NULL
) STRICT;

CREATE TABLE bench (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  version INTEGER NOT NULL CHECK (version > 0),
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

-- A view that must be fast, rebuilt from plan and events whenever it is behind them.
CREATE TABLE batch_summary (
  batch_id TEXT PRIMARY KEY REFERENCES batch (id),
  upto_seq INTEGER NOT NULL,
  version INTEGER NOT NULL,
  model INTEGER NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body))
) STRICT;

CREATE TRIGGER bottle_event_kept BEFORE UPDATE ON bottle_event BEGIN SELECT RAISE (ABORT, 'bottle events are only added'); END;
CREATE TRIGGER bottle_event_stays BEFORE DELETE ON bottle_event BEGIN SELECT RAISE (ABORT, 'bottle events are only added'); END;
CREATE TRIGGER batch_event_kept BEFORE UPDATE ON batch_event BEGIN SELECT RAISE (ABORT, 'batch events are only added'); END;
CREATE TRIGGER batch_event_stays BEFORE DELETE ON batch_event BEGIN SELECT RAISE (ABORT, 'batch events are only added'); END;
