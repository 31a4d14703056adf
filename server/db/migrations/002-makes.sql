-- A bag on the hook is a set of events: each is written once, in the order of arrival, and never changed. What is listed of a make
-- stands beside it, as its devices told last.

CREATE TABLE makes (
  id         TEXT    PRIMARY KEY,
  name       TEXT    NOT NULL,
  progress   TEXT    CHECK (progress IS NULL OR json_valid(progress)),
  created_at TEXT    NOT NULL,
  updated_at TEXT    NOT NULL
) STRICT;

CREATE INDEX makes_by_update ON makes (updated_at DESC);

-- Makes that were thrown away: a device that still has one is told so, and does not bring it back unasked. One that is only unknown, because
-- another database was opened, is sent again.
CREATE TABLE makes_removed (
  id         TEXT PRIMARY KEY,
  removed_at TEXT NOT NULL
) STRICT;

CREATE TABLE make_events (
  number INTEGER PRIMARY KEY AUTOINCREMENT,
  make   TEXT    NOT NULL REFERENCES makes (id) ON DELETE CASCADE,
  id     TEXT    NOT NULL,
  event  TEXT    NOT NULL CHECK (json_valid(event)),
  UNIQUE (make, id)
) STRICT;

CREATE INDEX make_events_by_make ON make_events (make, number);

CREATE TRIGGER make_events_stay BEFORE UPDATE ON make_events
BEGIN
  SELECT RAISE(ABORT, 'events are never changed');
END;
