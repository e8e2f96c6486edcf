-- Secrets of the installation, sealed under its key (AES-256-GCM), so that every server of it has
-- the same ones and the database alone gives none away.

create table installation_secret (
  name text primary key,
  sealed bytea not null
);
