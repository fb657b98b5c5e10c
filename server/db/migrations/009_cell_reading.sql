-- What instruments at a cell showed: min since its current was on, V, A, °C. Readings are only added.
CREATE TABLE cell_reading (
  batch_id TEXT NOT NULL REFERENCES batch (id),
  seq INTEGER NOT NULL CHECK (seq > 0),
  at TEXT NOT NULL,
  minutes REAL NOT NULL CHECK (minutes >= 0),
  volts REAL NOT NULL CHECK (volts >= 0),
  amps REAL NOT NULL CHECK (amps >= 0),
  temp_c REAL NOT NULL,
  PRIMARY KEY (batch_id, seq)
) STRICT, WITHOUT ROWID;

CREATE TRIGGER cell_reading_kept BEFORE UPDATE ON cell_reading BEGIN SELECT RAISE (ABORT, 'readings are only added'); END;
