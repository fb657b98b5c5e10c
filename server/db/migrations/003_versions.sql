-- What is kept as JSON says under which shape it was written; what stood before is of the first.
ALTER TABLE bottle_event ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);
ALTER TABLE batch ADD COLUMN plan_version INTEGER NOT NULL DEFAULT 1 CHECK (plan_version > 0);
ALTER TABLE batch_event ADD COLUMN version INTEGER NOT NULL DEFAULT 1 CHECK (version > 0);
