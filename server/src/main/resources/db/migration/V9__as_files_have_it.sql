-- Names and notes of terms as their file says them: for writing them again with their languages.

alter table concept
  add column said_as text[] not null default '{}', -- the property in SKOS
  add column said_in text[] not null default '{}', -- a language of BCP 47; empty where none is given
  add column said text[] not null default '{}',
  add check (cardinality(said_as) = cardinality(said) and cardinality(said_in) = cardinality(said));

-- Whether words, a value or an end of some line fit a pattern.
create function strategy_says(strategy jsonb, pattern text) returns boolean
language sql immutable
return exists (
  select 1 from (
    select jsonb_path_query(strategy, '$.lines[*].text') as said
    union all select jsonb_path_query(strategy, '$.lines[*].chosen[*]')
    union all select jsonb_path_query(strategy, '$.lines[*].ruledOut[*]')
    union all select jsonb_path_query(strategy, '$.lines[*].from')
    union all select jsonb_path_query(strategy, '$.lines[*].to')) words
  where words.said #>> '{}' ilike pattern);
