-- The yarn shelf: documents kept as swatches are.
CREATE TABLE yarns (
  id         TEXT    PRIMARY KEY,
  name       TEXT    NOT NULL,
  document   TEXT    NOT NULL CHECK (json_valid(document)),
  revision   INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1),
  created_at TEXT    NOT NULL,
  updated_at TEXT    NOT NULL,
  removed_at TEXT,
  saves      TEXT    NOT NULL DEFAULT '[]' CHECK (json_valid(saves)),
  begun_by   TEXT
) STRICT;

CREATE INDEX yarns_by_change ON yarns (removed_at, updated_at);
CREATE UNIQUE INDEX yarns_begun ON yarns (begun_by) WHERE begun_by IS NOT NULL;
