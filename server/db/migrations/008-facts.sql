-- What the list of bags shows, groups by and looks through, kept with every write: no list looks into documents.
CREATE TABLE bag_facts (
  number     INTEGER PRIMARY KEY AUTOINCREMENT,
  bag        TEXT    NOT NULL UNIQUE,
  name       TEXT    NOT NULL,
  note       TEXT    NOT NULL DEFAULT '',
  tags       TEXT    NOT NULL DEFAULT '',
  created_at TEXT    NOT NULL,
  updated_at TEXT    NOT NULL,
  removed    INTEGER NOT NULL,
  tall       REAL    NOT NULL DEFAULT 0,
  -- The make of it that was worked on last and is not finished.
  hand       TEXT,
  made       INTEGER NOT NULL DEFAULT 0,
  finished   INTEGER NOT NULL DEFAULT 0,
  ordered    INTEGER NOT NULL DEFAULT 0
) STRICT;

-- Which bags an order is of: those that came from elsewhere are known by name alone.
CREATE TABLE order_bags (
  of_order TEXT NOT NULL,
  bag      TEXT NOT NULL,
  name     TEXT NOT NULL
) STRICT;

-- Texts that were found cut short or otherwise no JSON: kept as they are, so that they stand in nobody's way.
CREATE TABLE IF NOT EXISTS broken_rows (
  number   INTEGER PRIMARY KEY,
  sort     TEXT NOT NULL,
  of_row   TEXT NOT NULL,
  name     TEXT NOT NULL,
  text     TEXT,
  found_at TEXT NOT NULL
) STRICT;

CREATE INDEX order_bags_by_order ON order_bags (of_order);
CREATE INDEX order_bags_by_bag ON order_bags (bag);
CREATE INDEX order_bags_by_name ON order_bags (name) WHERE bag = '';
CREATE INDEX makes_by_name ON makes (name) WHERE bag IS NULL;
CREATE INDEX bag_facts_by_exact_name ON bag_facts (name);
CREATE INDEX designs_aside ON designs (removed_at) WHERE removed_at IS NOT NULL;
CREATE INDEX swatches_aside ON swatches (removed_at) WHERE removed_at IS NOT NULL;
CREATE INDEX makes_aside ON makes (removed_at) WHERE removed_at IS NOT NULL;
CREATE INDEX designs_undrawn ON designs (updated_at) WHERE portrait_of < revision AND removed_at IS NULL;

CREATE VIEW makes_of_bags AS
  SELECT bag_facts.bag AS of_bag, makes.id, makes.updated_at, iif(json_valid(progress), json_extract(progress, '$.words') IS 'Finished', FALSE) AS is_finished
    FROM bag_facts JOIN makes ON makes.bag = bag_facts.bag WHERE makes.removed_at IS NULL
  UNION ALL
  SELECT bag_facts.bag, makes.id, makes.updated_at, iif(json_valid(progress), json_extract(progress, '$.words') IS 'Finished', FALSE) AS is_finished
    FROM bag_facts JOIN makes ON makes.bag IS NULL AND makes.name = bag_facts.name WHERE makes.removed_at IS NULL;

CREATE VIEW orders_of_bags AS
  SELECT bag_facts.bag AS of_bag, orders.id
    FROM bag_facts JOIN order_bags ON order_bags.bag = bag_facts.bag JOIN orders ON orders.id = of_order WHERE orders.removed_at IS NULL
  UNION
  SELECT bag_facts.bag, orders.id
    FROM bag_facts JOIN order_bags ON order_bags.bag = '' AND order_bags.name = bag_facts.name
    JOIN orders ON orders.id = of_order WHERE orders.removed_at IS NULL;

-- Whatever changes how often a bag was made or promised says so here.
CREATE VIEW bag_recounts AS SELECT '' AS bag;

CREATE TRIGGER bag_recounted INSTEAD OF INSERT ON bag_recounts
BEGIN
  UPDATE bag_facts SET
    hand = (SELECT id FROM makes_of_bags WHERE of_bag = NEW.bag AND NOT is_finished
      ORDER BY updated_at DESC LIMIT 1),
    (made, finished) = (SELECT count(*), count(*) FILTER (WHERE is_finished) FROM makes_of_bags WHERE of_bag = NEW.bag),
    ordered = (SELECT count(*) FROM orders_of_bags WHERE of_bag = NEW.bag)
  WHERE bag = NEW.bag;
END;

CREATE TRIGGER designs_begun AFTER INSERT ON designs
BEGIN
  INSERT INTO bag_facts (bag, name, note, tags, created_at, updated_at, removed, tall) VALUES (
    NEW.id, NEW.name, coalesce(json_extract(NEW.document, '$.note'), ''), coalesce(json_extract(NEW.document, '$.tags'), ''),
    NEW.created_at, NEW.updated_at, NEW.removed_at IS NOT NULL, coalesce(json_extract(NEW.portrait, '$.tallCm'), 0.0));
  INSERT INTO bag_recounts VALUES (NEW.id);
END;

CREATE TRIGGER designs_changed AFTER UPDATE OF name, document, updated_at, removed_at, portrait ON designs
BEGIN
  UPDATE bag_facts SET name = NEW.name, note = coalesce(json_extract(NEW.document, '$.note'), ''),
    tags = coalesce(json_extract(NEW.document, '$.tags'), ''), updated_at = NEW.updated_at, removed = NEW.removed_at IS NOT NULL,
    tall = coalesce(json_extract(NEW.portrait, '$.tallCm'), 0.0)
  WHERE bag = NEW.id;
  INSERT INTO bag_recounts SELECT NEW.id WHERE OLD.name <> NEW.name;
END;

CREATE TRIGGER designs_gone AFTER DELETE ON designs
BEGIN
  DELETE FROM bag_facts WHERE bag = OLD.id;
END;

CREATE TRIGGER makes_begun AFTER INSERT ON makes
BEGIN
  INSERT INTO bag_recounts SELECT NEW.bag WHERE NEW.bag IS NOT NULL
    UNION ALL SELECT bag FROM bag_facts WHERE NEW.bag IS NULL AND name = NEW.name;
END;

CREATE TRIGGER makes_changed AFTER UPDATE OF name, bag, progress, updated_at, removed_at ON makes
BEGIN
  INSERT INTO bag_recounts SELECT NEW.bag WHERE NEW.bag IS NOT NULL
    UNION ALL SELECT bag FROM bag_facts WHERE NEW.bag IS NULL AND name = NEW.name;
END;

CREATE TRIGGER makes_moved AFTER UPDATE OF name, bag ON makes WHEN OLD.name <> NEW.name OR OLD.bag IS NOT NEW.bag
BEGIN
  INSERT INTO bag_recounts SELECT OLD.bag WHERE OLD.bag IS NOT NULL
    UNION ALL SELECT bag FROM bag_facts WHERE OLD.bag IS NULL AND name = OLD.name;
END;

CREATE TRIGGER makes_gone AFTER DELETE ON makes
BEGIN
  INSERT INTO bag_recounts SELECT OLD.bag WHERE OLD.bag IS NOT NULL
    UNION ALL SELECT bag FROM bag_facts WHERE OLD.bag IS NULL AND name = OLD.name;
END;

CREATE TRIGGER order_bags_begun AFTER INSERT ON order_bags
BEGIN
  INSERT INTO bag_recounts SELECT NEW.bag WHERE NEW.bag <> '' UNION ALL SELECT bag FROM bag_facts WHERE NEW.bag = '' AND name = NEW.name;
END;

CREATE TRIGGER order_bags_gone AFTER DELETE ON order_bags
BEGIN
  INSERT INTO bag_recounts SELECT OLD.bag WHERE OLD.bag <> '' UNION ALL SELECT bag FROM bag_facts WHERE OLD.bag = '' AND name = OLD.name;
END;

CREATE TRIGGER orders_begun AFTER INSERT ON orders
BEGIN
  INSERT INTO order_bags SELECT NEW.id, coalesce(json_extract(value, '$.bag'), ''), coalesce(json_extract(value, '$.name'), '')
    FROM json_each(NEW.document, '$.bags');
END;

CREATE TRIGGER orders_changed AFTER UPDATE OF document, removed_at ON orders
BEGIN
  DELETE FROM order_bags WHERE of_order = NEW.id;
  INSERT INTO order_bags SELECT NEW.id, coalesce(json_extract(value, '$.bag'), ''), coalesce(json_extract(value, '$.name'), '')
    FROM json_each(NEW.document, '$.bags');
END;

CREATE TRIGGER orders_gone AFTER DELETE ON orders
BEGIN
  DELETE FROM order_bags WHERE of_order = OLD.id;
END;

INSERT INTO bag_facts (bag, name, note, tags, created_at, updated_at, removed, tall)
  SELECT id, name, coalesce(json_extract(document, '$.note'), ''), coalesce(json_extract(document, '$.tags'), ''), created_at, updated_at,
    removed_at IS NOT NULL, coalesce(json_extract(portrait, '$.tallCm'), 0.0)
  FROM designs ORDER BY rowid;
INSERT INTO order_bags SELECT orders.id, coalesce(json_extract(value, '$.bag'), ''), coalesce(json_extract(value, '$.name'), '')
  FROM orders, json_each(orders.document, '$.bags');
INSERT INTO bag_recounts SELECT bag FROM bag_facts;

CREATE INDEX bag_facts_by_change ON bag_facts (removed, updated_at, number);
CREATE INDEX bag_facts_by_name ON bag_facts (removed, name COLLATE NOCASE, number);
CREATE INDEX bag_facts_by_beginning ON bag_facts (removed, created_at, number);
CREATE INDEX bag_facts_by_height ON bag_facts (removed, tall, number);
DROP INDEX designs_by_change;
DROP INDEX designs_by_name;
