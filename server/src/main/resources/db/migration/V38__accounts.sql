-- Somebody says that they forgot their password; looked at by a job, so that the answer tells
-- nothing about whether there is such an account.
create table forgotten (
  id bigint primary key generated always as identity,
  email text not null,
  system_at timestamptz not null
);

-- An account gets another address, once that address has answered.
create table address_change (
  code bytea primary key, -- SHA-256 of what stands in the link
  account integer not null references account,
  email text not null check (email = lower(email)),
  system_until timestamptz not null,
  used timestamptz -- system time
);
create index on address_change (account, system_until);
