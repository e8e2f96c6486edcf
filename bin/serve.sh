# Running it for real: one server by one file of settings, in the foreground.

serve() {
  local data server copies
  read_config "$@"
  need_running
  build
  read_settings
  data=$(setting data)
  make_data_folder "$data"
  exec 8>"$data/serve.lock"
  flock -n 8 || fail "it runs already on $data"
  if [ "$(setting database)" = own ]; then
    LANTERN_DB_PORT=$(setting database-port) start_postgres "$data"
    export LANTERN_DB_PORT LANTERN_DB_PASSWORD
    LANTERN_DB_PORT=$(cat "$data/db.port")
    LANTERN_DB_PASSWORD=$(cat "$data/db.password")
  fi
  if ! (bring_up); then
    [ "$(setting database)" != own ] || stop_postgres "$data"
    exit 1
  fi
  say "starting; it will be at $(setting base-url)"
  java -Xmx"$(setting memory)" -jar "$(server_jar)" --settings="$config" &
  server=$!
  keep_copies 8>&- &
  copies=$!
  # Whatever asks this script to end asks the server first; the database ends after it.
  trap 'kill -TERM "$server" 2>/dev/null' TERM INT
  until wait "$server"; do
    ended=$?
    kill -0 "$server" 2>/dev/null || break
  done
  kill "$copies" 2>/dev/null || :
  [ "$(setting database)" != own ] || stop_postgres "$data"
  # 143: it ended because it was asked to.
  [ "${ended:-0}" = 0 ] || [ "$ended" = 143 ] || exit "$ended"
}

# Before a newer version changes the database it is copied; one that is newer itself is left.
bring_up() {
  local there mine
  there=$(in_database -Atqc "select to_regclass('flyway_schema_history') is not null") \
    || fail "the database does not answer"
  [ "$there" = t ] || return 0
  there=$(in_database -Atqc "select coalesce(max(version::int), 0) from flyway_schema_history where success")
  mine=$(java -Xshare:auto -XX:TieredStopAtLevel=1 -cp "$(server_jar)" "$reads_settings" --migration)
  if [ "$there" -gt "$mine" ]; then
    fail "the database is of a newer version (step $there; this one knows $mine): install that again, or restore a copy made before it"
  fi
  if [ "$there" -lt "$mine" ]; then
    say "a newer version: the database is copied before it is brought from step $there to $mine (CHANGELOG.md)"
    backup_into "$(backups)" ""
  fi
}

# Options that these have. Sets config (the file of settings, empty for none), keep, into_source, mending, rest.
read_config() {
  config='' keep='' into_source='' mending=''
  rest=()
  while [ $# -gt 0 ]; do
    case "$1" in
      --config) config=${2:?--config needs a file} && shift ;;
      --into) into_source=${2:?--into needs the name of a source} && shift ;;
      --mend) mending=yes ;;
      --keep) keep=${2:?--keep needs a number} && shift ;;
      -*) fail "there is no option “$1”" ;;
      *) rest+=("$1") ;;
    esac
    shift
  done
  [[ $keep =~ ^([1-9][0-9]*)?$ ]] || fail "--keep needs a number from 1 on"
  [ -z "$config" ] || config=$(as_called "$config")
}

# A path as it was meant where the command was given.
as_called() {
  case "$1" in
    /*) echo "$1" ;;
    *) echo "$called_from/$1" ;;
  esac
}

# Sets settings: lines of name=value. Ends with what is wrong with the file.
read_settings() {
  settings=$(java -Xshare:auto -XX:TieredStopAtLevel=1 -cp "$(server_jar)" "$reads_settings" ${config:+"$config"}) \
    || exit 2
}

reads_settings=org.quietlantern.server.platform.settings.ReadSettings

setting() { sed -n "s/^$1=//p" <<<"$settings"; }

settings_example() {
  build
  java -cp "$(server_jar)" "$reads_settings" --example
}

# Where the database's own user may enter, too.
make_data_folder() {
  mkdir -p "$1" 2>/dev/null && [ -w "$1" ] || fail "$1 cannot be made or written; set data in the file of settings"
  if [ "$(id -u)" = 0 ] && [ "$(setting database)" = own ] && ! runuser -u postgres -- test -x "$1"; then
    fail "the user postgres cannot enter $1; set data to another folder"
  fi
}

# Runs a program of PostgreSQL's against the installation's database, its own or another.
with_database() {
  local data place
  data=$(setting data)
  place=$(setting database)
  if [ "$place" = own ]; then
    [ -f "$data/db.port" ] || fail "nothing runs on $data; start it first"
    PGPASSWORD=$(cat "$data/db.password") PGHOST=127.0.0.1 PGPORT=$(cat "$data/db.port") PGUSER=app \
      "$1" -d lantern "${@:2}"
  else
    PGPASSWORD=$(head -n 1 "$(setting database-password-file)") PGHOST=${place%%:*} \
      PGPORT=$(sed 's/.*:\([0-9]*\)\/.*/\1/' <<<"$place") PGUSER=$(setting database-user) \
      "$1" -d "${place##*/}" "${@:2}"
  fi
}

in_database() { with_database psql "$@"; }

# A link by which somebody comes in as a steward: once, within an hour.
account() {
  local email code
  read_config "$@"
  email=$(tr '[:upper:]' '[:lower:]' <<<"${rest[0]:-}")
  [[ $email =~ ^[^@[:space:]]+@[^@[:space:]]+$ ]] || fail "account needs an e-mail address"
  need_running
  build
  read_settings
  code=$(head -c 32 /dev/urandom | base64 | tr '+/' '-_' | tr -d '=\n')
  in_database -v ON_ERROR_STOP=1 -q -v email="$email" -v code="$code" \
    -v until="$(date -u -d '+1 hour' '+%Y-%m-%dT%H:%M:%SZ')" <<'SQL' || fail "the database does not answer, or is no lantern's"
insert into entry_link (code, email, steward, until)
values (sha256(convert_to(:'code', 'UTF8')), :'email', true, :'until');
SQL
  say "a link for $email, for one hour and one use:"
  echo "$(setting base-url)/enter#$code"
}
