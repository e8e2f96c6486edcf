# Loading files of records into a running installation.

load() {
  local data file folder id first='' files=()
  read_config "$@"
  [ "${#rest[@]}" -gt 0 ] || fail "load needs files of records"
  need_running
  build
  read_settings
  data=$(setting data)
  folder=$data/loads
  (umask 077 && mkdir -p "$folder") 2>/dev/null && [ -w "$folder" ] || fail "$folder cannot be written"
  for file in "${rest[@]}"; do
    file=$(as_called "$file")
    [ -f "$file" ] && [ -r "$file" ] || fail "$file is no file that can be read"
    files+=("$file")
  done
  for file in "${files[@]}"; do
    id=$(load_one "$folder" "$file" "${into_source:-Files}") || fail "$file could not be handed over"
    first=${first:-$id}
  done
  await_loads "$first" "${#files[@]}"
}

# Copies a file to where the server reads it, and says so. Prints its number.
load_one() {
  local folder=$1 file=$2 source=$3 kept
  kept=$(cat /proc/sys/kernel/random/uuid)
  cp "$file" "$folder/$kept.part" && mv "$folder/$kept.part" "$folder/$kept" || {
    rm -f "$folder/$kept.part"
    return 1
  }
  in_database -v ON_ERROR_STOP=1 -Atq -v name="$(basename "$file")" -v file="$kept" -v source="$source" \
    -v bytes="$(stat -c %s "$file")" <<'SQL'
insert into load (name, file, source_name, bytes, asked)
values (:'name', :'file', :'source', :'bytes', now()) returning id;
SQL
}

# Tells how far they are until all have come to an end; fails if one is broken.
await_loads() {
  local first=$1 many=$2 now before=''
  while :; do
    # How they are and whether all is over, of one moment: the last word is always told.
    now=$(in_database -Atq -v first="$first" -v many="$many" <<'SQL'
with mine as (select * from load where id >= :first order by id limit :many)
select case when state in ('waiting', 'running') then 'open' else state end || ' ' || name || ': ' || case state
    when 'waiting' then 'waiting'
    when 'running' then records || ' records, ' || 100 * read_bytes / greatest(bytes, 1) || ' %'
    when 'done' then records || ' records, ' || changed || ' publications changed, ' || set_aside || ' records set aside'
    else state || ' after ' || records || ' records. ' || coalesce(error, '') end
from mine order by id;
SQL
    ) || fail "the database does not answer; what was handed over is read when the server runs"
    [ "$now" = "$before" ] || sed 's/^[a-z]* //' <<<"$now"
    before=$now
    grep -q '^open ' <<<"$now" || break
    sleep 2
  done
  ! grep -q '^\(broken\|stopped\) ' <<<"$now"
}
