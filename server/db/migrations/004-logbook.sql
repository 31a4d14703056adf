-- What a make tells, worked out from its events up to a number: what the logbook lists, and all that is learnt from it. It can be worked
-- out again at any time.
CREATE TABLE make_facts (
  make    TEXT    PRIMARY KEY REFERENCES makes (id) ON DELETE CASCADE,
  up_to   INTEGER NOT NULL,
  version INTEGER NOT NULL,
  listed  TEXT    NOT NULL CHECK (json_valid(listed)),
  facts   TEXT    NOT NULL CHECK (json_valid(facts))
) STRICT;

-- A photo of a bag, small, without anything that the camera wrote beside it.
CREATE TABLE make_photos (
  make     TEXT PRIMARY KEY REFERENCES makes (id) ON DELETE CASCADE,
  jpeg     BLOB NOT NULL,
  added_at TEXT NOT NULL
) STRICT;
