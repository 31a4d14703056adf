-- Which bag a make is of: the list of bags says how far each is, and groups them by it.
ALTER TABLE makes ADD COLUMN bag TEXT;
UPDATE makes SET bag = (
  SELECT json_extract(event, '$.bag') FROM make_events
  WHERE make = makes.id AND json_extract(event, '$.bag') IS NOT NULL ORDER BY number LIMIT 1
);
CREATE INDEX makes_by_bag ON makes (bag);
