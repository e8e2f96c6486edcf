# Copies of an installation: made while it runs, restored into an empty place.

# One folder for each: the database as of one moment, the keys of the data folder, and their sums.
backup() {
  local into
  read_config "$@"
  [ -n "${rest[0]:-}" ] || fail "backup needs a folder to write into"
  into=$(as_called "${rest[0]}")
  need_running
  build
  read_settings
  backup_into "$into" "${keep:-}"
}

# With the settings read.
backup_into() {
  local into=$1 many=$2 data made name
  data=$(setting data)
  (umask 077 && mkdir -p "$into") 2>/dev/null && [ -w "$into" ] || fail "$into cannot be written"
  name=lantern-$(date -u '+%Y-%m-%d-%H%M%S')
  # Under another name until it is whole: one that was cut short is none.
  made=$into/.$name
  (umask 077 && mkdir "$made")
  dump "$made/database" || fail "the database could not be copied; $made is not whole"
  copy_keys "$data" "$made"
  about >"$made/about.txt"
  (cd "$made" && sha256sum -- * >SHA256SUMS)
  is_whole "$made" || fail "$made cannot be read back"
  mv "$made" "$into/$name"
  note_backup "$into/$name"
  say "kept in $into/$name, and read back"
  forget_older "$into" "$many"
}

# Where copies go that nobody says another place for.
backups() {
  local into
  into=$(setting backups)
  echo "${into:-$(setting data)/backups}"
}

# Beside the server: a copy every day. What cannot be made is said and tried again.
keep_copies() {
  local hour today wait
  hour=$(setting backup-hour)
  [ "$hour" != never ] || return 0
  # Waiting without a process of its own, so that nothing stays when this ends.
  exec {wait}<> <(:)
  read -rt "${LANTERN_COPIES_AFTER:-60}" -u "$wait" || :
  while :; do
    today=$(date -u +%F)
    if [ "$(date -u +%-H)" -ge "$hour" ] && ! compgen -G "$(backups)/lantern-$today-*" >/dev/null; then
      (backup_into "$(backups)" "$(setting backups-kept)") || say "no copy was made; it is tried again"
    fi
    read -rt 300 -u "$wait" || :
  done
}

keys_of() { for key in secret.key feed.key; do [ ! -f "$1/$key" ] || echo "$key"; done; }

copy_keys() {
  local key
  for key in $(keys_of "$1"); do
    cp "$1/$key" "$2/$key"
  done
}

# With psql's way to the database; one moment of it, however long it takes.
dump() {
  local to=$1
  with_database "$(find_program pg_dump)" -Fc -f "$to"
}

# For the page of the house.
note_backup() {
  # Before a newer version the table may not be there yet.
  [ "$(in_database -Atqc "select to_regclass('backup') is not null")" = t ] || return 0
  in_database -q -v place="$1" -v bytes="$(du -sb "$1" | cut -f 1)" <<'SQL'
insert into backup (at, place, bytes) values (now(), :'place', :'bytes');
SQL
}

about() {
  echo "quiet-lantern $(version)"
  in_database -Atqc "select 'migration ' || max(version::int) from flyway_schema_history where success"
  in_database -Atqc "select 'publications ' || count(*) from publication"
}

version() { basename "$(server_jar)" | sed 's/server-\(.*\)-app.jar/\1/'; }

# What was written can be read: sums, and the whole of the database's copy.
is_whole() {
  (cd "$1" && sha256sum --quiet -c SHA256SUMS) >&2 && "$(find_program pg_restore)" -f /dev/null "$1/database"
}

# The newest so many stay.
forget_older() {
  local into=$1 many=$2 old
  [ -n "$many" ] || return 0
  find "$into" -maxdepth 1 -type d -name 'lantern-????-??-??-??????' | sort -r | tail -n "+$((many + 1))" \
    | while read -r old; do
      rm -r "$old"
      say "forgotten: $old"
    done
}

# Into an empty place only: what lives is never written over.
restore() {
  local from data
  read_config "$@"
  [ -n "${rest[0]:-}" ] || fail "restore needs the folder of a backup"
  from=$(as_called "${rest[0]}")
  [ -f "$from/SHA256SUMS" ] || fail "$from is no backup, or one that was cut short"
  need_running
  build
  read_settings
  data=$(setting data)
  is_whole "$from" || fail "$from is not as it was written; nothing was restored"
  make_data_folder "$data"
  exec 8>"$data/serve.lock"
  flock -n 8 || fail "an installation runs on $data; stop it, or restore elsewhere"
  [ -z "$(keys_of "$data")" ] || fail "there are keys of an installation in $data; restore elsewhere"
  if [ "$(setting database)" = own ]; then
    LANTERN_DB_PORT=$(setting database-port) start_postgres "$data"
  fi
  [ "$(in_database -Atqc "select count(*) from pg_tables where schemaname = 'public'")" = 0 ] \
    || fail "the database has tables; restore into an empty one"
  with_database "$(find_program pg_restore)" --no-owner --exit-on-error --single-transaction "$from/database" \
    || fail "the database could not be restored; it is as empty as before"
  (umask 077 && copy_keys "$from" "$data")
  rm -rf "$data/index"
  [ "$(setting database)" != own ] || stop_postgres "$data"
  say "restored into $data; start it with ./lantern serve"
}
