# Building, testing, measuring. Sourced by ./jemble.

# The server's jar taken apart: it starts in half the time.
server_jar=".run/app/jemble-server-0.1.0-exec.jar"
demo_jar="demo/target/jemble-demo-0.1.0.jar"
office_jar="standins/target/jemble-standins-0.1.0-exec.jar"

# What the jars were built from; a change of any source builds again.
sources_mark() {
  find pom.xml core server demo standins web \( -name target -o -name node_modules -o -name build \
    -o -name .svelte-kit -o -name generated \) -prune -o -type f -print0 \
    | sort -z | xargs -0 cat | cksum
}

build_if_needed() {
  mkdir -p .run
  local mark
  mark="$(sources_mark)"
  if [ -f "$server_jar" ] && [ -f "$demo_jar" ] && [ -f "$office_jar" ] && [ "$(cat .run/built 2>/dev/null)" = "$mark" ]; then
    return
  fi
  need_build_tools
  say "Building; the first time takes some minutes ..."
  mvn -q -B -pl core,standins,web,server,demo -am package -DskipTests -Dspotless.check.skip=true \
    >.run/build.log 2>&1 || { tail -n 40 .run/build.log >&2; fail "the build failed; see .run/build.log"; }
  rm -rf .run/app
  java -Djarmode=tools -jar server/target/jemble-server-0.1.0-exec.jar extract --destination .run/app >/dev/null
  echo "$mark" >.run/built
}

test_environment() {
  need_build_tools
  need_foreign_returns
  need_csv_spectrum
  need_text_oracles
  need_paper_readers
  need_chromium
  start_cluster test
  trap 'stop_cluster test' EXIT
  export JEMBLE_TEST_DB="jdbc:postgresql://127.0.0.1:$db_port/postgres?user=jemble"
  export PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD=1
}

# Everything; or one part of it, a module or test classes by their names.
run_tests() {
  local part="${1:-}" scope=()
  case "$part" in
    "") ;;
    core | standins) scope=(-pl "$part") ;;
    web) scope=(-pl web,web-check) ;;
    server) scope=(-pl core,standins,web,server,demo,server-check -Dskip.core -Dskip.standins) ;;
    e2e) scope=(-pl core,standins,web,server,demo,server-check,e2e -Dskip.core -Dskip.standins -Dskip.server) ;;
    [A-Z]*) scope=(-pl core,standins,web,server,demo,server-check,e2e "-Dtest=$part" -Dsurefire.failIfNoSpecifiedTests=false) ;;
    *) fail "there is no part '$part'; there are core, standins, web, server, e2e, and test classes by name" ;;
  esac
  test_environment
  rm -rf ./*/target/surefire-reports web/target/vitest.json
  local status
  # Without "set -e" for this line: whatever follows a failed pipe would overwrite its status.
  set +e
  # Two at a time: the screens are built beside core, and tried beside the server.
  mvn -B -ntp -T 2 "${scope[@]}" verify -Dstyle.color=never 2>&1 | grep -vE '^(\[INFO\] *$|SLF4J)'
  status="${PIPESTATUS[0]}"
  set -e
  slowest_tests
  count_tests "$status"
}

# Where the time goes; several run beside one another.
slowest_tests() {
  say "The slowest twenty:"
  cat ./*/target/surefire-reports/TEST-*.xml 2>/dev/null \
    | sed -nE 's/.*<testcase name="([^"]*)" classname="([^"]*)" time="([0-9.,]+)".*/\3 \2.\1/p' \
    | tr -d ',' | sort -rn \
    | awk 'NR <= 20 { seconds = $1; $1 = ""; printf "%8.1f s %s\n", seconds, $0 }' >&2
}

# One closing line over everything that ran.
count_tests() {
  local java_all java_bad web_good web_bad
  java_all="$(test_sum tests)"
  java_bad=$(($(test_sum failures) + $(test_sum errors)))
  web_good="$(grep -o '"numPassedTests":[0-9]*' web/target/vitest.json 2>/dev/null | cut -d: -f2 || true)"
  web_bad="$(grep -o '"numFailedTests":[0-9]*' web/target/vitest.json 2>/dev/null | cut -d: -f2 || true)"
  local passed=$((java_all - java_bad + ${web_good:-0}))
  local failed=$((java_bad + ${web_bad:-0}))
  if [ "$1" != 0 ] && [ "$failed" = 0 ]; then
    say "The build or a check failed; the lines above say which."
    failed=1
  fi
  echo "$passed passed, $failed failed"
  [ "$failed" = 0 ]
}

test_sum() {
  local sum=0 n
  for n in $(cat ./*/target/surefire-reports/TEST-*.xml 2>/dev/null \
    | grep -oE "<testsuite [^>]*" | grep -oE " $1=\"[0-9]+\"" | grep -oE '[0-9]+'); do
    sum=$((sum + n))
  done
  echo "$sum"
}

# A new cluster each time, and in it a database a group: nobody finds what another left.
run_bench() {
  need_build_tools
  need_smtp_source
  need_wrk
  drop_cluster bench
  start_cluster bench
  trap 'stop_cluster bench' EXIT
  mkdir -p .run
  say "Building ..."
  mvn -q -B -pl core,standins,web,server,demo,server-check,bench -am package -DskipTests -Dspotless.check.skip=true \
    >.run/bench-build.log 2>&1 || fail "the build failed; see .run/bench-build.log"
  local group
  [ $# -gt 0 ] || set -- merge mime plan check release outbox ways kills house-kills marks people series series-kills cards growth fuzz
  for group in "$@"; do
    make_database "bench_${group//-/_}"
    JEMBLE_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/bench_${group//-/_}" JEMBLE_DB_USER=jemble \
      java -Xmx4g -Djdk.httpclient.keepalive.timeout=5 -cp "bench/target/classes:$(cat bench/target/classes/classpath)" \
      app.jemble.bench.Bench "$group"
  done
}

# Small faults put into the rules one by one, and whether the tests of each package notice.
run_mutants() {
  need_build_tools
  need_foreign_returns
  local of
  [ $# -gt 0 ] || set -- access reach pace followup response merge
  mvn -q -B -pl core test-compile
  for of in "$@"; do
    mvn -q -B -pl core org.pitest:pitest-maven:mutationCoverage "-Dmutants.of=$of" \
      >"core/target/mutants-$of.log" 2>&1 || { tail -n 20 "core/target/mutants-$of.log" >&2; fail "the mutants of $of did not run"; }
    awk -v of="$of" '{ n += gsub(/<mutation /, "&"); killed += gsub(/detected=.true./, "&") }
      END { printf "mutants.%s: %d of %d killed (%.0f%%)\n", of, killed, n, n ? 100 * killed / n : 0 }' \
      "core/target/mutants/$of/mutations.xml"
  done
}

# Returns, replies and complaints in files, as Jemble reads them; for administrators and for scoring.
sort_mail() {
  [ $# -gt 0 ] || fail "sort-mail takes files, one mail each"
  build_if_needed
  java -XX:TieredStopAtLevel=1 -jar "$server_jar" sort-mail "$@"
}

run_shots() {
  test_environment
  mvn -q -B -ntp -pl core,standins,web,server,demo,server-check,e2e test -Dtest='Shots*' \
    -Dsurefire.failIfNoSpecifiedTests=false -Djemble.shots="$here/docs/screenshots"
}

write_api() {
  need_build_tools
  start_cluster test
  trap 'stop_cluster test' EXIT
  export JEMBLE_TEST_DB="jdbc:postgresql://127.0.0.1:$db_port/postgres?user=jemble"
  mvn -q -B -pl core,standins,web,server,demo,server-check -am test -Dtest=ApiDescriptionTest -Dweb.skip=true \
    -Dsurefire.failIfNoSpecifiedTests=false -Djemble.api.write=true
}
