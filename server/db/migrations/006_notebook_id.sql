-- Which notebook this is: a queue on a device waits for its own. Made once, kept through copies and restores.
CREATE TABLE identity (
  id TEXT PRIMARY KEY CHECK (length(id) = 32)
) STRICT;
INSERT INTO identity (id) VALUES (lower(hex(randomblob(16))));
