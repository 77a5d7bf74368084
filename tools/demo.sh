# The demo: its own database, the post office, the application. Sourced by ./jemble.

pids="$run/pids"

demo() {
  local people=1500 day_seconds='' speed=1
  while [ $# -gt 0 ]; do
    case "$1" in
      --people) people="$2"; shift 2 ;;
      --day-seconds) day_seconds="$2"; shift 2 ;;
      --speed) speed="$2"; shift 2 ;;
      *) fail "demo takes --people N, --day-seconds N and --speed N, not $1" ;;
    esac
  done
  [[ "$speed" =~ ^[1-9][0-9]{0,4}$ ]] || fail "--speed takes a whole number from 1 to 99999, not $speed"
  # Time that runs faster takes the pretend readers with it.
  [ -n "$day_seconds" ] || day_seconds=$([ "$speed" = 1 ] && echo 600 || echo $((86400 / speed + 1)))
  stop_all
  build_if_needed
  need_java
  trap stop_all EXIT
  trap 'exit 130' INT
  trap 'exit 143' TERM
  start_cluster demo
  local database="jemble_$people"
  [ "$speed" = 1 ] || database="${database}_at_$speed"
  make_database "$database"

  local smtp imap texts push port app
  smtp="$(free_port)"
  imap="$(free_port)"
  texts="$(free_port)"
  push="$(free_port 8099)"
  port="$(free_port "${JEMBLE_PORT:-8080}")"
  mkdir -p "$run"
  : >"$run/jemble.log"
  java -Xmx512m -jar "$office_jar" --smtp-port="$smtp" --imap-port="$imap" \
    --text-port="$texts" --push-port="$push" --app-links="$run/$database.apps" --day-seconds="$day_seconds" >"$run/post-office.log" 2>&1 &
  echo $! >>"$pids"
  start_app "$people" "$speed" "$database" "$port" "$smtp" "$imap" "$texts" "$push"
  wait_for 300 demo_answers "$port" "$app" || { tail -n 30 "$run/jemble.log" >&2; fail "the application did not start; see .run/jemble.log"; }
  cat <<TEXT

Jemble is ready: http://127.0.0.1:$port

  orla    Orla Finch, membership administrator
  tomas   Tomas Vance, sales representative
  wilma   Wilma Gorse, administrator
  reed    Reed Larkin, reader
  The password of all four is lowen-quay.

A day of the pretend readers lasts $day_seconds seconds. Ctrl-C stops everything.
TEXT
  [ "$speed" = 1 ] || echo "The house's clock runs $speed times as fast as yours."
  # Whoever has no memory left ends at once (status 3), and is started anew.
  local status
  while true; do
    status=0
    wait "$app" || status=$?
    [ "$status" = 3 ] || return "$status"
    say "Jemble ran out of memory; it is started anew."
    start_app "$people" "$speed" "$database" "$port" "$smtp" "$imap" "$texts" "$push"
  done
}

# Starts the application beside the shell; "app" is then its process.
start_app() {
  JEMBLE_PORT="$4" JEMBLE_MANAGEMENT_PORT=-1 JEMBLE_DB_URL="jdbc:postgresql://127.0.0.1:$db_port/$3" \
    JEMBLE_DB_USER=jemble JEMBLE_SMTP_PORT="$5" JEMBLE_IMAP_HOST=127.0.0.1 \
    JEMBLE_IMAP_PORT="$6" JEMBLE_IMAP_USER=post JEMBLE_IMAP_PASSWORD=post-office \
    JEMBLE_IMAP_EVERY=2s JEMBLE_TEXT_HOST=127.0.0.1 JEMBLE_TEXT_PORT="$7" \
    JEMBLE_TEXT_USER=lowen JEMBLE_TEXT_PASSWORD=quay-txt JEMBLE_TEXT_SENDER=+447700900000 \
    JEMBLE_PUSH_SERVICES="http://127.0.0.1:$8" JEMBLE_PUSH_CONTACT=mailto:post@ternquay.example \
    JEMBLE_KEY_FILE="$run/$3.key" JEMBLE_DEMO_APP_LINKS="$run/$3.apps" JEMBLE_DEMO_ENABLED=true JEMBLE_DEMO_PEOPLE="$1" \
    JEMBLE_DEMO_PASSWORD=lowen-quay JEMBLE_CLOCK_SPEED="$2" \
    JEMBLE_CLOCK_FROM="$(clock_from "$3")" \
    java "-Xmx${JEMBLE_DEMO_MEMORY:-2g}" -XX:+ExitOnOutOfMemoryError "$(class_archive)" \
    -cp "$server_jar:$demo_jar" app.jemble.JembleApplication >>"$run/jemble.log" 2>&1 &
  app=$!
  echo "$app" >>"$pids"
}

# When time began to run fast in a database; it never goes back, also after a later start.
clock_from() {
  local mark="$run/$1.clock"
  [ -f "$mark" ] || date -u +%FT%TZ >"$mark"
  cat "$mark"
}

# The JDK keeps the classes it loaded when the first demo ends; later ones start faster with them.
class_archive() {
  local archive=.run/app/classes.jsa
  if [ -f "$archive" ]; then
    echo "-XX:SharedArchiveFile=$archive"
  else
    echo "-XX:ArchiveClassesAtExit=$archive"
  fi
}

# A start that died is over at once, not after the time-out.
demo_answers() {
  kill -0 "$2" 2>/dev/null || { say "The application ended."; exit 1; }
  (exec 3<>"/dev/tcp/127.0.0.1/$1" && printf 'GET /api/session HTTP/1.0\r\nHost: 127.0.0.1\r\n\r\n' >&3 \
    && grep -q csrfToken <&3) 2>/dev/null
}

# By process id, and only processes that are ours: a number may have been given away again.
stop_all() {
  local pid
  if [ -f "$pids" ]; then
    while read -r pid; do
      if tr '\0' ' ' 2>/dev/null <"/proc/$pid/cmdline" | grep -q 'jemble-\(server\|standins\)'; then
        kill "$pid" 2>/dev/null || true
        wait_for 25 gone "$pid" || kill -9 "$pid" 2>/dev/null || true
      fi
    done <"$pids"
    rm -f "$pids"
  fi
  if compgen -G '/usr/lib/postgresql/*/bin/pg_ctl' >/dev/null; then
    stop_cluster demo
  fi
}

gone() { ! kill -0 "$1" 2>/dev/null; }

forget_data() {
  drop_cluster demo
  rm -f "$run"/*.clock "$run"/*.apps
  say "The demo's data is gone; the next demo begins anew."
}
