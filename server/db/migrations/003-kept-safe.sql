-- What is thrown away lies aside for a while, and comes back as it was.
ALTER TABLE designs ADD COLUMN removed_at TEXT;
ALTER TABLE swatches ADD COLUMN removed_at TEXT;
ALTER TABLE makes ADD COLUMN removed_at TEXT;

-- A bag as the list shows it, and of which revision that is: made after a save, so that no list drafts a bag.
ALTER TABLE designs ADD COLUMN portrait TEXT CHECK (portrait IS NULL OR json_valid(portrait));
ALTER TABLE designs ADD COLUMN portrait_of INTEGER NOT NULL DEFAULT 0;

-- Read backwards it gives the last changed first, those of one moment the last begun first, without a look at the documents.
DROP INDEX designs_by_update;
CREATE INDEX designs_by_change ON designs (removed_at, updated_at);
CREATE INDEX designs_by_name ON designs (removed_at, name COLLATE NOCASE);
-- The last saves of a document, by the ids that pages gave them: one whose answer was lost is sent again, and answered as before. A
-- document that was begun twice so is one.
ALTER TABLE designs ADD COLUMN saves TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(saves));
ALTER TABLE designs ADD COLUMN begun_by TEXT;
ALTER TABLE swatches ADD COLUMN saves TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(saves));
ALTER TABLE swatches ADD COLUMN begun_by TEXT;

CREATE UNIQUE INDEX designs_begun ON designs (begun_by) WHERE begun_by IS NOT NULL;
CREATE UNIQUE INDEX swatches_begun ON swatches (begun_by) WHERE begun_by IS NOT NULL;

-- A bag as it was at the end of a sitting.
CREATE TABLE design_versions (
  design   TEXT    NOT NULL REFERENCES designs (id) ON DELETE CASCADE,
  revision INTEGER NOT NULL,
  document TEXT    NOT NULL CHECK (json_valid(document)),
  saved_at TEXT    NOT NULL,
  PRIMARY KEY (design, revision)
) STRICT, WITHOUT ROWID;

-- Phones and other machines of the house that were let in: what they show is kept as a hash alone.
CREATE TABLE devices (
  id         TEXT PRIMARY KEY,
  name       TEXT NOT NULL,
  token_hash TEXT NOT NULL UNIQUE,
  paired_at  TEXT NOT NULL,
  seen_at    TEXT NOT NULL
) STRICT;
