-- A person's own routes: every version that was kept, the newest counts. Retired, never deleted.
CREATE TABLE own_route (
  id TEXT NOT NULL,
  version INTEGER NOT NULL CHECK (version >= 1),
  written_at TEXT NOT NULL,
  route TEXT NOT NULL,
  route_version INTEGER NOT NULL CHECK (route_version >= 1),
  retired INTEGER NOT NULL CHECK (retired IN (0, 1)),
  PRIMARY KEY (id, version)
) STRICT;
