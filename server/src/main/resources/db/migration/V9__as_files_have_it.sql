-- Names and notes of terms as their file says them: for writing them again with their languages.

alter table concept
  add column said_as text[] not null default '{}', -- the property in SKOS
  add column said_in text[] not null default '{}', -- a language of BCP 47; empty where none is given
  add column said text[] not null default '{}',
  add check (cardinality(said_as) = cardinality(said) and cardinality(said_in) = cardinality(said));
