-- What is thrown away lies aside for a while, and comes back as it was.
ALTER TABLE designs ADD COLUMN removed_at TEXT;
ALTER TABLE swatches ADD COLUMN removed_at TEXT;
ALTER TABLE makes ADD COLUMN removed_at TEXT;

-- A bag as the list shows it, and of which revision that is: made after a save, so that no list drafts a bag.
ALTER TABLE designs ADD COLUMN portrait TEXT CHECK (portrait IS NULL OR json_valid(portrait));
ALTER TABLE designs ADD COLUMN portrait_of INTEGER NOT NULL DEFAULT 0;

CREATE INDEX designs_by_name ON designs (name COLLATE NOCASE);
CREATE INDEX designs_without_portrait ON designs (portrait_of) WHERE portrait_of < revision;

-- Saves by the id that the page gave them: one whose answer was lost is sent again, and answered as before.
CREATE TABLE saves (
  id       TEXT    PRIMARY KEY,
  document TEXT    NOT NULL,
  revision INTEGER NOT NULL,
  saved_at TEXT    NOT NULL
) STRICT, WITHOUT ROWID;

CREATE INDEX saves_by_time ON saves (saved_at);

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
