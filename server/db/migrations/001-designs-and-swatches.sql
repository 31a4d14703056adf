-- Documents are kept whole, as the open JSON they are exchanged in; what is listed or searched stands beside them.

CREATE TABLE designs (
  id         TEXT    PRIMARY KEY,
  name       TEXT    NOT NULL,
  document   TEXT    NOT NULL CHECK (json_valid(document)),
  revision   INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1),
  created_at TEXT    NOT NULL,
  updated_at TEXT    NOT NULL
) STRICT;

CREATE INDEX designs_by_update ON designs (updated_at DESC);

CREATE TABLE swatches (
  id         TEXT    PRIMARY KEY,
  name       TEXT    NOT NULL,
  document   TEXT    NOT NULL CHECK (json_valid(document)),
  revision   INTEGER NOT NULL DEFAULT 1 CHECK (revision >= 1),
  created_at TEXT    NOT NULL,
  updated_at TEXT    NOT NULL
) STRICT;

CREATE INDEX swatches_by_update ON swatches (updated_at DESC);

-- What the house has done once and need not do again, such as laying out the demo world.
CREATE TABLE house (
  key   TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;
