-- A make says itself whether it is finished; the words that are shown of it do not.
DROP VIEW makes_of_bags;

CREATE VIEW makes_of_bags AS
  SELECT bag_facts.bag AS of_bag, makes.id, makes.updated_at, iif(json_valid(progress), json_extract(progress, '$.finished') IS 1, FALSE) AS is_finished
    FROM bag_facts JOIN makes ON makes.bag = bag_facts.bag WHERE makes.removed_at IS NULL
  UNION ALL
  SELECT bag_facts.bag, makes.id, makes.updated_at, iif(json_valid(progress), json_extract(progress, '$.finished') IS 1, FALSE) AS is_finished
    FROM bag_facts JOIN makes ON makes.bag IS NULL AND makes.name = bag_facts.name WHERE makes.removed_at IS NULL;

UPDATE makes SET progress = json_set(progress, '$.finished', json('true'))
  WHERE iif(json_valid(progress), json_extract(progress, '$.words') IS 'Finished', FALSE);
