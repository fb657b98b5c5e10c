-- What was learnt, attached to a route and perhaps a step or a bottle; it comes back there. Retired, never deleted.
CREATE TABLE lesson (
  id TEXT PRIMARY KEY,
  route_id TEXT NOT NULL,
  step TEXT,
  bottle_id TEXT REFERENCES bottle (id),
  batch_id TEXT REFERENCES batch (id),
  text TEXT NOT NULL CHECK (length(text) BETWEEN 1 AND 1000),
  written_at TEXT NOT NULL,
  retired_at TEXT
) STRICT;
CREATE INDEX lesson_by_route ON lesson (route_id);
