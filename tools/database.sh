# A PostgreSQL cluster of this clone's own, on loopback. Sourced by ./jemble.

run="$here/.run"

# PostgreSQL refuses to run as root; then the user postgres runs it.
as_database_user() {
  if [ "$(id -u)" = 0 ]; then runuser -u postgres -- "$@"; else "$@"; fi
}

# Where a cluster stands: in .run, or, where user postgres may not go there, under /var/tmp by a
# name made of this clone's path.
cluster_dir() {
  local name="$1"
  mkdir -p "$run"
  if [ "$(id -u)" != 0 ] || runuser -u postgres -- test -x "$run" 2>/dev/null; then
    echo "$run/$name"
  else
    echo "/var/tmp/jemble-$(printf '%s' "$here" | cksum | cut -d' ' -f1)/$name"
  fi
}

# Starts the cluster of that name (and makes it at first); sets db_port.
start_cluster() {
  need_postgres
  local name="$1" dir
  dir="$(cluster_dir "$name")"
  if [ ! -f "$dir/made" ]; then
    rm -rf "$dir"
    mkdir -p "$dir"
    [ "$(id -u)" = 0 ] && chown postgres "$(dirname "$dir")" "$dir" 2>/dev/null
    (cd / && as_database_user "$pg_bin/initdb" -D "$dir/data" -U jemble -A trust -E UTF8 \
      --locale=C.UTF-8 --no-instructions) >"$run/$name-initdb.log" 2>&1 \
      || fail "the database could not be made; see .run/$name-initdb.log"
    as_database_user tee -a "$dir/data/postgresql.conf" >/dev/null <<'CONF'
listen_addresses = '127.0.0.1'
max_connections = 400
shared_buffers = '512MB'
work_mem = '64MB'
maintenance_work_mem = '512MB'
max_wal_size = '4GB'
random_page_cost = 1.1
effective_cache_size = '4GB'
default_toast_compression = 'lz4'
unix_socket_directories = ''
CONF
    as_database_user touch "$dir/made"
  fi
  stop_cluster "$name"
  # What tests leave need not outlive a power failure; that of a demo or a bench is kept as a house's.
  local durable=on
  [ "$name" = test ] && durable=off
  db_port="$(free_port)"
  (cd / && as_database_user "$pg_bin/pg_ctl" -D "$dir/data" -w -t 60 -s -l "$dir/log" \
    -o "-p $db_port -c fsync=$durable -c full_page_writes=$durable" start) </dev/null >/dev/null 2>&1 \
    || fail "the database did not start; see $dir/log"
}

# A cluster that a killed run left behind is stopped as well; a stale pid file is no hindrance.
stop_cluster() {
  local dir
  need_postgres
  dir="$(cluster_dir "$1")"
  [ -f "$dir/data/postmaster.pid" ] || return 0
  (cd / && as_database_user "$pg_bin/pg_ctl" -D "$dir/data" -m fast -w -s stop) >/dev/null 2>&1 || true
}

make_database() {
  "$pg_bin/psql" -q -h 127.0.0.1 -p "$db_port" -U jemble -d postgres -tAc \
    "select 1 from pg_database where datname = '$1'" | grep -q 1 \
    || "$pg_bin/createdb" -h 127.0.0.1 -p "$db_port" -U jemble "$1"
}

drop_cluster() {
  local dir
  stop_cluster "$1"
  dir="$(cluster_dir "$1")"
  rm -rf "$dir"
}
