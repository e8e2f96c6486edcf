# Telling what is going on.

say() { printf '\033[2m·\033[0m %s\n' "$*" >&2; }

fail() {
  printf 'lantern: %s\n' "$*" >&2
  exit 1
}

# Runs a command with its output in a file; shows the end of it if it fails.
quietly() {
  local log=$1
  shift
  if ! "$@" >"$log" 2>&1; then
    tail -n 40 "$log" >&2
    fail "$1 failed; all of it is in $log"
  fi
}
