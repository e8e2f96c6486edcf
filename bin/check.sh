# Holding what is derived against what it is derived from, in a running installation.

check() {
  local mend=false id found
  read_config "$@"
  [ -z "$mending" ] || mend=true
  need_running
  build
  read_settings
  id=$(in_database -v ON_ERROR_STOP=1 -Atq -v mend="$mend" <<'SQL'
insert into check_run (mend, asked) values (:'mend', now()) returning id;
SQL
  ) || fail "the database does not answer, or is no lantern's"
  until found=$(checked "$id") && [ -n "$found" ]; do sleep 1; done
  echo "$found"
  ! grep -q 'not as' <<<"$found"
}

# A line for each check, once all have ended.
checked() {
  in_database -Atq -v id="$1" <<'SQL'
select one ->> 'what' || ': ' || case
    when (one ->> 'differences')::int = 0 then 'as it should be'
    when (one ->> 'mended')::boolean then (one ->> 'differences') || ' differences, put right'
    else (one ->> 'differences') || ' not as they should be' end
from check_run r, jsonb_array_elements(r.found) with ordinality as f (one, n)
where r.id = :id and r.ended is not null order by n;
SQL
}
