# A PostgreSQL cluster of this checkout's own: on loopback, never on 5432, with a password that is
# made here and kept in the data folder.

# Where everything of a running installation lies. A folder that the user postgres cannot enter
# (as under root's home) is no use, so /var/lib stands in for it.
data_folder() {
  local wanted=${1:-${LANTERN_DATA:-$root/data}}
  mkdir -p "$wanted"
  wanted=$(cd "$wanted" && pwd)
  if [ "$(id -u)" = 0 ] && ! runuser -u postgres -- test -x "$wanted" 2>/dev/null; then
    wanted=/var/lib/quiet-lantern/$(echo "$wanted" | sha256sum | cut -c1-12)
    mkdir -p "$wanted"
  fi
  echo "$wanted"
}

as_postgres() {
  if [ "$(id -u)" = 0 ]; then
    (cd / && runuser -u postgres -- "$@")
  else
    "$@"
  fi
}

start_postgres() {
  local data=$1 cluster=$1/postgres
  [ -f "$data/db.password" ] || (umask 077 && head -c 24 /dev/urandom | base64 | tr -d '/+=\n' >"$data/db.password")
  if [ ! -f "$cluster/PG_VERSION" ]; then
    say "making a database"
    make_cluster "$data" "$cluster"
  fi
  if ! as_postgres "$(find_program pg_ctl)" -D "$cluster" status >/dev/null 2>&1; then
    run_postgres "$data" "$cluster"
  fi
  local sql="select 1 from pg_database where datname = 'lantern'"
  if [ "$(query "$data" postgres "$sql")" != 1 ]; then
    query "$data" postgres "create database lantern" >/dev/null
  fi
}

# A file for each day of the week, written over; what comes before that goes to server.log.
log_of_a_week="-c logging_collector=on -c log_directory=log -c log_filename=day-%a.log -c log_rotation_age=1d \
-c log_rotation_size=0 -c log_truncate_on_rotation=on"

# A port that nobody listens at may still be taken, by a connection that goes out from it: then the
# next one is tried.
run_postgres() {
  local data=$1 cluster=$2 port=${LANTERN_DB_PORT:-15432}
  for _ in {1..20}; do
    port=$(free_port "$port")
    echo "$port" >"$data/db.port"
    if as_postgres "$(find_program pg_ctl)" -D "$cluster" -w -s -l "$cluster/server.log" start \
      -o "-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories='' $log_of_a_week" 8>&- 9>&- 2>/dev/null; then
      return 0
    fi
    tail -qn 6 "$cluster/server.log" "$cluster"/log/*.log 2>/dev/null | grep -q 'Address already in use' || break
    port=$((port + 1))
  done
  fail "the database does not start; see $cluster/server.log and $cluster/log"
}

make_cluster() {
  local data=$1 cluster=$2 password
  rm -rf "$cluster"
  mkdir -p "$cluster"
  chmod 700 "$cluster"
  password=$(mktemp)
  cp "$data/db.password" "$password"
  [ "$(id -u)" != 0 ] || chown postgres "$cluster" "$password"
  as_postgres "$(find_program initdb)" -D "$cluster" -U app -A scram-sha-256 --pwfile="$password" \
    -E UTF8 --locale=C.UTF-8 >"$data/initdb.log" 2>&1 || fail "no database; see $data/initdb.log"
  rm -f "$password"
}

query() {
  PGPASSWORD=$(cat "$1/db.password") psql -h 127.0.0.1 -p "$(cat "$1/db.port")" -U app -d "$2" -Atqc "$3"
}

stop_postgres() {
  local cluster=$1/postgres
  if [ -f "$cluster/PG_VERSION" ] && as_postgres "$(find_program pg_ctl)" -D "$cluster" status >/dev/null 2>&1; then
    as_postgres "$(find_program pg_ctl)" -D "$cluster" -s -m fast stop
  fi
}
