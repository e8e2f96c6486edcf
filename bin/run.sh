# Running the demo.

demo_password=lamp-at-dusk

demo() {
  local port='' data='' fresh=''
  while [ $# -gt 0 ]; do
    case "$1" in
      --port) port=${2:?--port needs a number} && shift ;;
      --data) data=${2:?--data needs a folder} && shift ;;
      --fresh) fresh=1 ;;
      *) fail "demo does not know “$1”" ;;
    esac
    shift
  done
  need_running
  build
  data=$(data_folder "$data")
  if [ -n "$fresh" ]; then
    stop_all "$data"
    say "forgetting the demo's data in $data"
    rm -rf "$data/postgres" "$data/index" "$data/feed.key" "$data/secret.key" "$data/port"
  fi
  if ! is_current "$data" "$port"; then
    stop_process "$data/server.pid"
    # Two that start at once would find the same port free.
    one_after_the_other start_all "$data" "$port"
  fi
  welcome "$data"
  wait_for_line "$data/server" "demo: ready" 900
  archive_classes "$data"
}

start_all() {
  local data=$1 port=$2
  start_texts "$data"
  start_standins "$data"
  start_postgres "$data"
  wait_for_line "$data/stand-ins" "answers at" 120
  start_server "$data" "${port:-$(cat "$data/port" 2>/dev/null || echo 8080)}"
}

# Holds a lock of this user's on this machine; what is started meanwhile does not keep it (launch).
one_after_the_other() {
  (
    flock 9
    "$@"
  ) 9>"${TMPDIR:-/tmp}/quiet-lantern-$(id -u).lock"
}

# Whether a server of this very build runs at the port asked for.
is_current() {
  local data=$1 port=$2
  is_running "$data/server.pid" && is_running "$data/stand-ins.pid" && is_running "$data/texts.pid" \
    && cmp -s "$data/server.build" <(sha256sum <"$(server_jar)") \
    && { [ -z "$port" ] || [ "$port" = "$(cat "$data/port")" ]; }
}

# A stand-in keeps its port where it can: records and copy requests name it.
port_of() {
  free_port "$(cat "$1.port" 2>/dev/null || echo "$2")" >"$1.next"
  mv "$1.next" "$1.port"
}

start_texts() {
  local data=$1
  stop_process "$data/texts.pid"
  port_of "$data/texts" 18180
  launch "$data/texts" java -Xmx192m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 -cp "$(standins_jar)" \
    org.quietlantern.standins.host.Main "$(cat "$data/texts.port")"
}

start_standins() {
  local data=$1
  stop_process "$data/stand-ins.pid"
  port_of "$data/stand-ins" 18080
  port_of "$data/mail" 18025
  launch "$data/stand-ins" java -Xmx192m -XX:+UseSerialGC -jar "$(standins_jar)" \
    "$(cat "$data/stand-ins.port")" "http://127.0.0.1:$(cat "$data/texts.port")" "$(cat "$data/mail.port")" \
    "$data/drive"
}

start_server() {
  local data=$1 port outside
  port=$(free_port "$2")
  echo "$port" >"$data/port"
  outside=http://127.0.0.1:$(cat "$data/stand-ins.port")
  say "starting the server"
  LANTERN_DB_PORT=$(cat "$data/db.port") LANTERN_DB_PASSWORD=$(cat "$data/db.password") \
    launch "$data/server" java ${LANTERN_JAVA_OPTIONS:-} -Xmx768m -XX:+UseSerialGC -XX:TieredStopAtLevel=1 \
    "$(class_archive_option "$data")" -jar "$(server_jar)" \
    --server.port="$port" --lantern.data="$data" --lantern.base-url="http://localhost:$port" \
    --lantern.demo.enabled=true --lantern.demo.password="$demo_password" \
    --lantern.demo.outside="$outside" --lantern.resolver="http://127.0.0.1:$(cat "$data/texts.port")/doi/" \
    --lantern.mail.server="127.0.0.1:$(cat "$data/mail.port")" --lantern.mail.security=none \
    --lantern.mail.from=lantern@ternhollow.example \
    --lantern.outbound-allowed=127.0.0.1 ${LANTERN_SERVER_OPTIONS:-}
  sha256sum <"$(server_jar)" >"$data/server.build"
  wait_for_line "$data/server" "demo: can be searched" 300
}

# The classes of this very build as the Java machine has them in memory: with them it starts in half
# the time. Written once, by a server that has everything loaded.
class_archive() { echo "$1/classes-$(sha256sum <"$(server_jar)" | cut -c1-12).jsa"; }

class_archive_option() {
  if [ -f "$(class_archive "$1")" ]; then
    echo "-XX:SharedArchiveFile=$(class_archive "$1")"
  else
    echo "-XX:+RecordDynamicDumpInfo"
  fi
}

archive_classes() {
  local archive
  archive=$(class_archive "$1")
  [ ! -f "$archive" ] || return 0
  rm -f "$1"/classes-*.jsa
  # Without an archive it only starts more slowly.
  jcmd "$(cat "$1/server.pid")" VM.cds dynamic_dump "$archive" >/dev/null 2>&1 || rm -f "$archive"
}

# Starts a process that outlives this script; NAME.pid and NAME.log tell of it.
launch() {
  local name=$1
  shift
  (umask 077 && : >"$name.log")
  setsid nohup "$@" >>"$name.log" 2>&1 </dev/null 9>&- &
  echo $! >"$name.pid"
}

wait_for_line() {
  local name=$1 wanted=$2 seconds=$3 shown='' line waited=0
  until grep -q "$wanted" "$name.log"; do
    is_running "$name.pid" || { tail -n 30 "$name.log" >&2 && fail "it did not start; see $name.log"; }
    [ "$waited" -lt $((seconds * 4)) ] || fail "it does not get ready; see $name.log"
    line=$(grep -o 'demo: .*' "$name.log" | tail -n 1 || true)
    [ "$line" = "$shown" ] || say "${line#demo: }"
    shown=$line
    waited=$((waited + 1))
    sleep 0.25
  done
}

is_running() {
  local pid
  pid=$(cat "$1" 2>/dev/null) || return 1
  # The number may have passed to a process of somebody else's; one of an earlier version is ours.
  tr '\0' ' ' <"/proc/$pid/cmdline" 2>/dev/null \
    | grep -q -e "$root/server/target/app/server-[0-9.]*-app\.jar" -e "$root/stand-ins/target/stand-ins-[0-9.]*\.jar"
}

stop_process() {
  local file=$1 pid
  if is_running "$file"; then
    pid=$(cat "$file")
    kill "$pid"
    while is_running "$file"; do sleep 0.1; done
  fi
  rm -f "$file"
}

stop_all() {
  stop_process "$1/server.pid"
  stop_process "$1/stand-ins.pid"
  stop_process "$1/texts.pid"
  stop_postgres "$1"
}

stop() {
  [ "${1:-}" != --data ] || shift
  local data
  data=$(data_folder "${1:-}")
  stop_all "$data"
  say "stopped"
}

welcome() {
  cat <<TEXT

  Quiet Lantern runs at http://localhost:$(cat "$1/port")

  Tern Hollow night ecology         Harrow Fen bat recorders
    ilse@ternhollow.example           una@harrowfen.example
    teodor@ternhollow.example         piet@harrowfen.example
    maren@ternhollow.example
    sefa@ternhollow.example
    jon@ternhollow.example (guest)    password of all: $demo_password

  Its letters lie at http://127.0.0.1:$(cat "$1/stand-ins.port")/mail
  Its shared drive answers at http://127.0.0.1:$(cat "$1/stand-ins.port")/drive/ (ternhollow, $demo_password)

  ./lantern stop ends it; its data lie in $1

TEXT
}
