# The package of Debian: made, and tried in a bare Debian. Sourced by ./jemble.

# Makes a package of the jar that was built; a version other than the house's own tries an upgrade.
make_package() {
  local version="${1:-}"
  mvn -q -B -f package/pom.xml package ${version:+"-Dpackage.version=$version"}
}

run_package() {
  need_build_tools
  say "Building ..."
  mvn -q -B -pl core,web,server -am package -DskipTests
  make_package
  ls -l package/target/*.deb
}

# Installs it in a bare Debian, starts it by its unit's command, upgrades, backs up, wipes, restores
# and removes it. As root; takes some minutes, most of them for Debian and its Java.
check_package() {
  [ "$(id -u)" = 0 ] || fail "a bare Debian is made by root alone"
  command -v debootstrap >/dev/null || install_packages debootstrap
  run_package
  make_package 0.1.0~before
  bare="$here/.run/package/root"
  close_bare
  rm -rf "$here/.run/package"
  mkdir -p "$bare"
  trap close_bare EXIT
  open_bare
  took "installed" install_in_bare "0.1.0~before"
  begin_database
  took "started" start_in_bare
  put_in "Ada"
  in_bare runuser -u jemble -- sh -c 'umask 077; head -c 32 /dev/urandom | base64 >/var/lib/jemble/key'
  local key
  key="$(in_bare cat /var/lib/jemble/key)"
  took "upgraded" install_in_bare "0.1.0"
  in_bare sh -c 'ls /var/lib/jemble/backups/before-upgrade-from-0.1.0~before-*.backup' || fail "no backup before the upgrade"
  stop_in_bare
  start_in_bare
  holds "Ada"
  took "backed up" in_bare jemble backup /var/lib/jemble/backups/house.backup
  stop_in_bare
  wipe
  took "restored" in_bare jemble restore /var/lib/jemble/backups/house.backup
  [ "$(in_bare stat -c %a:%U /var/lib/jemble/key)" = 600:jemble ] || fail "the key is not its owner's alone"
  [ "$(in_bare cat /var/lib/jemble/key)" = "$key" ] || fail "the key is another"
  start_in_bare
  holds "Ada"
  [ "$(ask "select lifted_at is null from restored")" = t ] || fail "the restored house does not hold what may have left"
  stop_in_bare
  took "gone back to the version before" go_back
  start_in_bare
  holds "Ada"
  stop_in_bare
  took "removed" in_bare apt-get remove -y -q jemble >/dev/null 2>&1
  in_bare test ! -e /usr/share/jemble/jemble.jar || fail "the jar stayed"
  in_bare test -e /etc/jemble/jemble.conf || fail "removing took the settings"
  in_bare apt-get purge -y -q jemble >/dev/null 2>&1
  in_bare test ! -e /etc/jemble || fail "purging left the settings"
  say "The package was installed, started, upgraded, backed up, restored and removed."
}

took() {
  local what="$1" begun="$SECONDS"
  shift
  "$@"
  say "$what in $((SECONDS - begun)) s"
}

in_bare() {
  chroot "$bare" /usr/bin/env -i PATH=/usr/sbin:/usr/bin:/sbin:/bin LC_ALL=C.UTF-8 DEBIAN_FRONTEND=noninteractive "$@"
}

# From where this machine takes its own packages.
mirror() {
  apt-get indextargets --format '$(SITE)' "Created-By: Packages" | head -n 1
}

open_bare() {
  say "Making a bare Debian ..."
  debootstrap --variant=minbase "$(. /etc/os-release; echo "$VERSION_CODENAME")" "$bare" "$(mirror)" >"$here/.run/package.log" 2>&1 \
    || { tail -n 20 "$here/.run/package.log" >&2; fail "no Debian could be made"; }
  cp /etc/resolv.conf "$bare/etc/resolv.conf" 2>/dev/null || true
  cp -r /etc/apt/apt.conf.d/. "$bare/etc/apt/apt.conf.d/" 2>/dev/null || true
  mount -t proc proc "$bare/proc"
  # Nothing starts by being installed.
  printf '#!/bin/sh\nexit 101\n' >"$bare/usr/sbin/policy-rc.d"
  chmod 755 "$bare/usr/sbin/policy-rc.d"
  in_bare apt-get update -q >/dev/null
  in_bare apt-get install -y -q --no-install-recommends postgresql curl >>"$here/.run/package.log" 2>&1
}

close_bare() {
  [ -d "${bare:-}" ] || return 0
  stop_in_bare || true
  in_bare pg_ctlcluster 15 main stop -m immediate 2>/dev/null || true
  umount "$bare/proc" 2>/dev/null || true
}

install_in_bare() {
  cp "package/target/jemble_$1_all.deb" "$bare/tmp/"
  in_bare apt-get install -y -q --no-install-recommends --allow-downgrades "/tmp/jemble_$1_all.deb" >>"$here/.run/package.log" 2>&1 \
    || { tail -n 20 "$here/.run/package.log" >&2; fail "the package cannot be installed"; }
}

begin_database() {
  bare_db_port="$(free_port)"
  bare_port="$(free_port)"
  in_bare sed -i "s/^port = .*/port = $bare_db_port/" /etc/postgresql/15/main/postgresql.conf
  in_bare pg_ctlcluster 15 main start
  as_postgres psql -q -c "create role jemble login password 'a-word-of-its-own'"
  as_postgres createdb --owner=jemble jemble
  in_bare sed -i -e "s|:5432/jemble|:$bare_db_port/jemble|" -e 's/^JEMBLE_DB_PASSWORD=.*/JEMBLE_DB_PASSWORD=a-word-of-its-own/' \
    -e "s/^JEMBLE_PORT=.*/JEMBLE_PORT=$bare_port/" -e 's/^JEMBLE_MANAGEMENT_PORT=.*/JEMBLE_MANAGEMENT_PORT=-1/' /etc/jemble/jemble.conf
}

as_postgres() {
  in_bare runuser -u postgres -- env PGPORT="$bare_db_port" "$@"
}

ask() {
  as_postgres psql -At -d jemble -c "$1"
}

# By the very command of its unit, with the settings that the unit names, as its user.
start_in_bare() {
  local command
  command="$(in_bare sed -n 's/^ExecStart=//p' /lib/systemd/system/jemble.service)"
  in_bare runuser -u jemble -- sh -c "touch /var/lib/jemble/began; set -a; . /etc/jemble/jemble.conf; cd /var/lib/jemble; $command >>/var/log/jemble/jemble.log 2>&1 & echo \$! >/var/lib/jemble/pid"
  local i
  for i in $(seq 1 90); do
    if in_bare curl -fsS -o /dev/null "http://127.0.0.1:$bare_port/api/session" 2>/dev/null; then
      return
    fi
    sleep 1
  done
  tail -n 20 "$bare/var/log/jemble/jemble.log" >&2
  fail "the house does not answer"
}

stop_in_bare() {
  [ -f "$bare/var/lib/jemble/pid" ] || return 0
  local pid
  pid="$(cat "$bare/var/lib/jemble/pid")"
  kill "$pid" 2>/dev/null || true
  while kill -0 "$pid" 2>/dev/null; do sleep 0.2; done
  rm -f "$bare/var/lib/jemble/pid"
}

put_in() {
  ask "insert into person (kind, first_name, last_name, created_at) values ('contact', '$1', 'Reader', now())" >/dev/null
}

holds() {
  [ "$(ask "select count(*) from person where first_name = '$1'")" = 1 ] || fail "$1 is not there any more"
}

# The package of before, and the house as it was before the upgrade.
go_back() {
  install_in_bare "0.1.0~before"
  wipe
  in_bare sh -c 'jemble restore "$(ls /var/lib/jemble/backups/before-upgrade-from-0.1.0~before-*.backup | head -n 1)"'
}

# As after a fire: neither database nor key.
wipe() {
  as_postgres dropdb jemble
  as_postgres createdb --owner=jemble jemble
  rm -f "$bare/var/lib/jemble/key"
}
