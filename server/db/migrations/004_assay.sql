-- Assays of bottles: a plan, and readings that are only added.
CREATE TABLE assay (
  id TEXT PRIMARY KEY,
  bottle_id TEXT NOT NULL REFERENCES bottle (id),
  created_at TEXT NOT NULL,
  plan TEXT NOT NULL CHECK (json_valid(plan)),
  plan_version INTEGER NOT NULL CHECK (plan_version > 0)
) STRICT;
CREATE INDEX assay_by_bottle ON assay (bottle_id);

CREATE TABLE assay_entry (
  seq INTEGER PRIMARY KEY AUTOINCREMENT,
  id TEXT NOT NULL UNIQUE,
  assay_id TEXT NOT NULL REFERENCES assay (id),
  happened_at TEXT NOT NULL,
  written_at TEXT NOT NULL,
  body TEXT NOT NULL CHECK (json_valid(body)),
  version INTEGER NOT NULL CHECK (version > 0)
) STRICT;
CREATE INDEX assay_entry_by_assay ON assay_entry (assay_id, seq);

CREATE TRIGGER assay_entry_kept BEFORE UPDATE ON assay_entry BEGIN SELECT RAISE (ABORT, 'assay entries are only added'); END;
CREATE TRIGGER assay_entry_stays BEFORE DELETE ON assay_entry BEGIN SELECT RAISE (ABORT, 'assay entries are only added'); END;
