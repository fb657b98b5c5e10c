-- Instruments at a batch: one feed each, and what they showed. Readings are only added.
CREATE TABLE instrument_feed (
  batch_id TEXT PRIMARY KEY REFERENCES batch (id),
  kind TEXT NOT NULL CHECK (kind IN ('simulated', 'replay')),
  speed REAL NOT NULL CHECK (speed >= 1 AND speed <= 600),
  running INTEGER NOT NULL CHECK (running IN (0, 1)),
  state TEXT NOT NULL CHECK (json_valid(state)),
  started_at TEXT NOT NULL
) STRICT;

CREATE TABLE instrument_reading (
  batch_id TEXT NOT NULL REFERENCES batch (id),
  seq INTEGER NOT NULL CHECK (seq > 0),
  at TEXT NOT NULL,
  minutes REAL NOT NULL CHECK (minutes >= 0),
  head_c REAL NOT NULL,
  pot_c REAL NOT NULL,
  mass_g REAL NOT NULL,
  watts REAL NOT NULL CHECK (watts >= 0),
  receiver INTEGER NOT NULL CHECK (receiver >= 0),
  PRIMARY KEY (batch_id, seq)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER instrument_reading_kept BEFORE UPDATE ON instrument_reading BEGIN SELECT RAISE (ABORT, 'readings are only added'); END;
