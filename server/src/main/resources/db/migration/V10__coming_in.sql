-- Tries to sign in, by whom they are told apart: an address from anywhere, or one known device.

drop table sign_in_failure;
create table sign_in_try (
  id bigint primary key generated always as identity,
  scope text not null,
  origin text not null,
  system_at timestamptz not null
);
create index on sign_in_try (scope, system_at);
create index on sign_in_try (origin, system_at);
create index on sign_in_try (system_at);

-- Browsers in which somebody signed in; a stranger's tries do not keep them out.
create table known_device (
  token_hash bytea primary key,
  account integer not null references account,
  system_at timestamptz not null
);
create index on known_device (system_at);
