# Tests, pictures, measurements.

# A lane may be given one class (or file of the web lane) to run alone.
run_tests() {
  local lane=${1:-all} class=${2:-} failed=0
  need_building
  [ -z "$class" ] || [ "$lane" = mutants ] || is_test "$lane" "$class"
  case "$lane" in
    core)
      web_packages
      if [ -n "$class" ]; then
        maven -pl core test -Dtest="$class"
      else
        maven -pl core spotless:check verify
      fi
      ;;
    stand-ins)
      web_packages
      maven -pl core,stand-ins verify -Dtest="org/quietlantern/standins/**/${class:-*Test}" \
        -Dsurefire.failIfNoSpecifiedTests=false
      ;;
    web)
      web_packages
      if [ -n "$class" ]; then
        (cd web && npx vitest run "$class")
      else
        check_web
        test_web
      fi
      ;;
    server)
      need_running
      web_packages
      [ -n "$class" ] || maven -pl core,stand-ins,server spotless:check
      maven -pl core,stand-ins,server verify \
        -Dtest="org/quietlantern/server/**/${class:-*Test}" \
        -Dsurefire.failIfNoSpecifiedTests=false
      ;;
    browser)
      need_running
      need_browser
      build
      maven -pl e2e verify ${class:+-Dtest="$class"}
      ;;
    # What strangers, members, sources and the machine do that they should not; part of the others.
    attacks)
      need_running
      web_packages
      maven -pl core,stand-ins,server test -Dsurefire.failIfNoSpecifiedTests=false \
        -Dtest='AccountTest,BodiesTest,FuzzTest,StrangersTest,HeldStrategiesTest,FairShareTest,SkosProblemsTest,BoundsTest,HostileSourcesTest,OddSourcesTest,OutboundTest,FaultsTest,HealthTest,CrashTest'
      ;;
    # Every odd value in every place; the other lanes send some of them.
    fuzz)
      need_running
      web_packages
      maven -pl core,stand-ins,server test -Dsurefire.failIfNoSpecifiedTests=false \
        -Dtest=FuzzTest -Dfuzz.whole=true
      ;;
    # Nightly: too long for every change.
    mutants)
      maven -Pmutants -pl core test-compile \
        org.pitest:pitest-maven:mutationCoverage \
        -DtargetClasses="org.quietlantern.core.${class:-*}*"
      ;;
    # How much of the Java code the tests reach. Not for each change.
    coverage)
      need_running
      web_packages
      coverage
      ;;
    all)
      need_running
      need_browser
      web_packages
      say "web: types, layout and lint"
      check_web
      beside web test_web
      say "core, stand-ins, server and browser"
      mvn -B -ntp -Dstyle.color=never spotless:check verify || failed=$?
      wait_for web
      return $failed
      ;;
    *) fail "there is no lane “$lane”: core, stand-ins, web, server, browser, attacks, fuzz, mutants or coverage" ;;
  esac
}

# A class that is not there would pass without a test.
is_test() {
  local places
  case "$1" in
    core) places="core/src/test" ;;
    stand-ins) places="stand-ins/src/test" ;;
    web) places="web/src" ;;
    server) places="server/src/test" ;;
    browser) places="e2e/src/test" ;;
    *) fail "one class is run in a lane: core, stand-ins, web, server or browser" ;;
  esac
  # shellcheck disable=SC2086
  [ -n "$(find $places -name "*$2*" | head -1)" ] || fail "the lane “$1” has no test “$2”"
}

# Runs something beside what follows; wait_for prints what it said, and fails if it did.
beside() {
  mkdir -p target
  "${@:2}" >"target/$1.log" 2>&1 &
  beside_pid=$!
}

wait_for() {
  local passed=0
  wait "$beside_pid" || passed=$?
  say "$1"
  cat "target/$1.log"
  [ $passed -eq 0 ] || fail "the tests of $1 failed"
}

# The tests of core, stand-ins and server under JaCoCo; what only the browser reaches is not counted.
coverage() {
  local version=0.8.14 tools="$root/target/jacoco" part
  rm -rf "$tools"
  for part in org.jacoco.agent:$version:jar:runtime org.jacoco.cli:$version:jar:nodeps; do
    maven -N org.apache.maven.plugins:maven-dependency-plugin:3.8.1:copy \
      -Dartifact="org.jacoco:$part" -DoutputDirectory="$tools"
  done
  maven -pl core,stand-ins,server test \
    -DargLine="-javaagent:$tools/org.jacoco.agent-$version-runtime.jar=destfile=$tools/run.exec,includes=org.quietlantern.*"
  java -jar "$tools/org.jacoco.cli-$version-nodeps.jar" report "$tools/run.exec" --quiet \
    --classfiles core/target/classes --classfiles server/target/classes \
    --classfiles stand-ins/target/classes --csv "$tools/coverage.csv"
  awk -F, 'NR > 1 { lines += $8 + $9; met += $9; forks += $6 + $7; taken += $7 }
    END { printf "%.1f %% of %d lines, %.1f %% of %d branches\n",
      100 * met / lines, lines, 100 * taken / forks, forks }' "$tools/coverage.csv"
}

# Takes a minute, and finds what would else be told after an hour.
check_web() {
  (cd web && npm run --silent check)
}

test_web() {
  (cd web && npm test --silent)
}

screenshots() {
  need_running
  need_browser
  build
  LANTERN_NO_BUILD=1 maven -pl e2e verify -Dtest=Screenshots -Dscreenshots="$root/docs/screenshots"
}

bench() {
  local what=${1:-search}
  case "$what" in
    search) bench_search "${@:2}" ;;
    http) bench_http "${@:2}" ;;
    attacks) bench_attacks "${@:2}" ;;
    soak) bench_soak "${@:2}" ;;
    size) bench_size "${@:2}" ;;
    folders) bench_folders "${@:2}" ;;
    headings)
      build_bench
      measure HeadingBench "${@:2}"
      ;;
    reading)
      need_running
      need_browser
      build
      LANTERN_NO_BUILD=1 maven -pl e2e verify -Dtest=ReadingSpeed -Dreading.speed=yes
      ;;
    text)
      build_bench
      measure TextBench "${@:2}"
      ;;
    citations)
      build_bench
      measure CitationBench "${@:2}"
      ;;
    exchange)
      build_bench
      measure ExchangeBench "${@:2}"
      ;;
    bringing) bench_bringing "${@:2}" ;;
    alerts) bench_alerts "${@:2}" ;;
    review)
      build_bench
      measure ReviewBench "${2:-100000}"
      ;;
    *) fail "there is no benchmark “$what”: search, http, attacks, soak, size, folders, headings, text, reading, citations, exchange, bringing, alerts or review" ;;
  esac
}

build_bench() {
  need_building
  mkdir -p target
  quietly target/bench.log maven -DskipTests -pl core,stand-ins,bench package
}

measure() {
  java -Xmx1g -cp "bench/target/bench.jar:bench/target/dependency/*" "org.quietlantern.bench.$1" "${@:2}"
}

# Sizes as arguments: 200000, or 200000x5 for five copies of so many.
bench_search() {
  local data
  [ $# -gt 0 ] || set -- 5000 200000 200000x5
  need_running
  build_bench
  data=$(data_folder)
  start_postgres "$data"
  measure SearchBench "jdbc:postgresql://127.0.0.1:$(cat "$data/db.port")/postgres" \
    "$(cat "$data/db.password")" "$@"
}

# Watched searches against what came: in core beside other ways (so many records, or 50000x20; searches; records
# that come), and served, with letters and feeds.
bench_alerts() {
  local data place
  [ $# -gt 0 ] || set -- 50000x20 10000 1000
  need_running
  build_bench
  if [ "$1" = served ]; then
    shift
    [ $# -gt 0 ] || set -- 20000 10000 1000
    build
    place=$(data_folder "$root/target/alerts")
    rm -rf "${place:?}"/*
    measure AlertBench served "$place" "$@"
    rm -rf "${place:?}"
    return
  fi
  data=$(data_folder)
  start_postgres "$data"
  measure AlertBench "jdbc:postgresql://127.0.0.1:$(cat "$data/db.port")/postgres" \
    "$(cat "$data/db.password")" "$@"
}

# Asks a demo that runs.
bench_http() {
  build_bench
  measure HttpBench "${1:-http://localhost:8080}" ilse@ternhollow.example lamp-at-dusk "${@:2}"
}

# Installations of so many records each: loaded, searched, started again (docs/scale.md).
bench_size() {
  local place
  [ $# -gt 0 ] || set -- 5000 200000 1000000
  need_running
  build
  build_bench
  place=$(data_folder "$root/target/size")
  rm -rf "${place:?}"/*
  measure SizeBench "$place" "$@"
  rm -rf "${place:?}"
}

# A folder of so many publications among two hundred, of a group that has done a lot.
bench_folders() {
  local place
  need_running
  build
  build_bench
  place=$(data_folder "$root/target/folders")
  rm -rf "${place:?}"/*
  measure FolderBench "$place" "${@:-20000}"
  rm -rf "${place:?}"
}

# Old records of a group brought in end to end, beside so many that all share.
bench_bringing() {
  local place
  need_running
  build
  build_bench
  place=$(data_folder "$root/target/bringing")
  rm -rf "${place:?}"/*
  measure BringingBench "$place" "$@"
  rm -rf "${place:?}"
}

# What a member waits for while others do what they should not, in a place of its own.
bench_attacks() {
  local data
  need_running
  build
  build_bench
  data=$(data_folder "$root/target/attacks")
  demo --data "$data" --fresh >/dev/null
  measure AttackBench "$data" una@harrowfen.example ilse@ternhollow.example "$demo_password"
  stop_all "$data"
}

# An hour (or so many minutes) of fifty members, harvests, alerts and kills, in a place of its own.
bench_soak() {
  local data
  need_running
  build
  build_bench
  data=$(data_folder "$root/target/soak")
  demo --data "$data" --fresh >/dev/null
  measure SoakBench "$data" "$demo_password" "${1:-60}" || fail "it did not hold; see $data/server.log"
  stop_all "$data"
}
