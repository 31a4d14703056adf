-- Orders: documents kept as swatches are.
CREATE TABLE orders (
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

CREATE INDEX orders_by_change ON orders (removed_at, updated_at);
CREATE UNIQUE INDEX orders_begun ON orders (begun_by) WHERE begun_by IS NOT NULL;
