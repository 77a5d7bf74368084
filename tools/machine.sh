# What the machine needs, installed where it is missing. Sourced by ./jemble.

say() { printf '%s\n' "$*" >&2; }
fail() { say "jemble: $*"; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; else sudo -n "$@"; fi
}

# Debian packages by name; asks for them only when a command or file is missing.
install_packages() {
  say "Installing $* ..."
  if [ "$(id -u)" != 0 ] && ! sudo -n true 2>/dev/null; then
    fail "these Debian packages are missing and only root can install them: $*"
  fi
  as_root apt-get update -qq >/dev/null
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@" >/dev/null \
    || fail "Debian's packages $* could not be installed."
}

need_java() {
  local major=0
  if command -v javac >/dev/null; then
    major="$(javac -version 2>/dev/null | sed -E 's/[^0-9]*([0-9]+).*/\1/')"
  fi
  # PostgreSQL goes by the machine's time zones, Java by its own: both must be of one age.
  [ "$major" -ge 17 ] || install_packages openjdk-17-jdk-headless tzdata
  command -v mvn >/dev/null || install_packages maven
}

# Node 20.19 or newer: the machine's own, else the npm package "node", kept in .run/node.
need_node() {
  if node_is_new_enough node; then return; fi
  local own="$here/.run/node/node_modules/node/bin"
  if ! node_is_new_enough "$own/node"; then
    command -v npm >/dev/null || install_packages npm
    say "Installing a newer node ..."
    mkdir -p "$here/.run/node"
    npm install --silent --no-audit --no-fund --prefix "$here/.run/node" node@22 >/dev/null
  fi
  export PATH="$own:$PATH"
}

node_is_new_enough() {
  command -v "$1" >/dev/null || return 1
  "$1" -e 'const [a, b] = process.versions.node.split(".").map(Number); process.exit(a > 20 || (a === 20 && b >= 19) ? 0 : 1)'
}

# Debian's generator of mail, to measure beside; it stands where only root's path leads.
need_smtp_source() {
  export PATH="$PATH:/usr/sbin"
  command -v smtp-source >/dev/null || install_packages postfix
}

# Debian's generator of requests, to measure with.
need_wrk() {
  command -v wrk >/dev/null || install_packages wrk
}

# Returns collected by others, to check the reading of returns by: samples and what is right for
# each, out of Debian's package python3-flufl.bounce (LGPL-3; it is not installed, only unpacked).
need_foreign_returns() {
  export JEMBLE_FOREIGN_RETURNS="$here/.run/foreign-returns"
  if [ -d "$JEMBLE_FOREIGN_RETURNS" ]; then return; fi
  local package="$here/.run/foreign-returns.deb"
  mkdir -p "$package"
  (cd "$package" && { apt-get download -qq python3-flufl.bounce >/dev/null 2>&1 \
    || { as_root apt-get update -qq >/dev/null && apt-get download -qq python3-flufl.bounce >/dev/null 2>&1; }; }) \
    || fail "Debian's package python3-flufl.bounce could not be fetched."
  dpkg -x "$package"/*.deb "$package/files"
  mv "$package"/files/usr/lib/python3/dist-packages/flufl/bounce "$JEMBLE_FOREIGN_RETURNS"
  rm -rf "$package"
}

# Twelve odd CSV files with what each holds, to check the reading of tables by: the npm package
# csv-spectrum (BSD-2-Clause), not installed, only unpacked.
need_csv_spectrum() {
  export JEMBLE_CSV_SPECTRUM="$here/.run/csv-spectrum"
  if [ -d "$JEMBLE_CSV_SPECTRUM" ]; then return; fi
  local package="$here/.run/csv-spectrum-package"
  rm -rf "$package"
  mkdir -p "$package"
  (cd "$package" && npm pack --silent csv-spectrum@2.0.0 >/dev/null && tar xzf ./*.tgz) \
    || fail "the npm package csv-spectrum could not be fetched."
  mv "$package/package" "$JEMBLE_CSV_SPECTRUM"
  rm -rf "$package"
}

# Two npm packages that count the parts of text messages (MIT), to check ours by; only unpacked.
need_text_oracles() {
  export JEMBLE_TEXT_ORACLES="$here/.run/text-oracles"
  if [ -d "$JEMBLE_TEXT_ORACLES/node_modules/sms-segments-calculator" ]; then return; fi
  mkdir -p "$JEMBLE_TEXT_ORACLES"
  npm install --silent --no-save --no-package-lock --ignore-scripts --prefix "$JEMBLE_TEXT_ORACLES" \
    split-sms@0.1.7 sms-segments-calculator@1.3.0 >/dev/null \
    || fail "the npm packages split-sms and sms-segments-calculator could not be fetched."
}

need_postgres() {
  if ! compgen -G '/usr/lib/postgresql/*/bin/initdb' >/dev/null; then
    install_packages postgresql
  fi
  pg_bin="$(dirname "$(printf '%s\n' /usr/lib/postgresql/*/bin/initdb | sort -V | tail -n 1)")"
}

need_chromium() {
  [ -x /usr/bin/chromium ] || install_packages chromium
  command -v fc-list >/dev/null || install_packages fontconfig
}

# Readers and writers of what is printed that are not our own, for the trials.
need_paper_readers() {
  command -v pdftotext >/dev/null && command -v qpdf >/dev/null && command -v soffice >/dev/null ||
    install_packages poppler-utils qpdf libreoffice-writer-nogui
}

need_build_tools() {
  need_java
  need_node
}

# A free TCP port on loopback; the wanted one when it is free.
free_port() {
  local port="${1:-0}"
  if [ "$port" != 0 ] && ! (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
    echo "$port"
    return
  fi
  while :; do
    port=$((20000 + RANDOM % 20000))
    if ! (exec 3<>"/dev/tcp/127.0.0.1/$port") 2>/dev/null; then
      echo "$port"
      return
    fi
  done
}

# Waits until a command succeeds; seconds, then the command.
wait_for() {
  local seconds="$1"
  shift
  local tries=$((seconds * 5))
  until "$@" >/dev/null 2>&1; do
    tries=$((tries - 1))
    [ "$tries" -gt 0 ] || return 1
    sleep 0.2
  done
}
