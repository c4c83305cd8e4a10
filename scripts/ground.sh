# What ./start, ./test and .ci/run share: installing what is missing, and a private PostgreSQL. Sourced by bash.
# Every function says what it does on standard error and returns non-zero with the reason when it fails.

ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)
export ASTRO_TELEMETRY_DISABLED=1 npm_config_loglevel=error npm_config_update_notifier=false
# For the database's own programs: keep whatever the caller's locale is out of it.
export LC_ALL=C.UTF-8

say() { printf '%s\n' "calm count: $*" >&2; }
fail() { say "$*"; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"; elif command -v sudo >/dev/null; then sudo "$@"; else return 127; fi
}

# need_packages PROGRAM=PACKAGE ...: installs the Debian packages whose programs are not found.
need_packages() {
  local missing=() pair
  for pair in "$@"; do
    command -v "${pair%%=*}" >/dev/null || [ -x "${pair%%=*}" ] || missing+=("${pair#*=}")
  done
  [ ${#missing[@]} -eq 0 ] && return 0
  command -v apt-get >/dev/null || fail "these are needed and this is no Debian machine to install them on: ${missing[*]}"
  say "installing from Debian's packages: ${missing[*]}"
  local log
  log=$(mktemp)
  (
    exec 8>/tmp/calm-count-apt.lock
    flock 8 2>/dev/null
    as_root apt-get update -qq && as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq "${missing[@]}"
  ) >"$log" 2>&1 || { tail -20 "$log" >&2; rm -f "$log"; fail "the packages could not be installed (see above); as an ordinary user this needs sudo"; }
  rm -f "$log"
}

# PostgreSQL's programs lie in a folder of their own, by version.
postgres_bin() { ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1; }

need_postgres_programs() {
  local bin
  bin=$(postgres_bin)
  [ -x "$bin/initdb" ] && [ -x "$bin/pg_ctl" ] && return 0
  need_packages /no/such/initdb=postgresql
  bin=$(postgres_bin)
  [ -x "$bin/initdb" ] || fail "PostgreSQL is installed but its programs were not found in /usr/lib/postgresql"
}

# need_modules: npm ci, once for each state of package-lock.json; two callers do not run it at once.
need_modules() {
  command -v node >/dev/null || fail "Node.js is needed (version 20.19 or newer)"
  mkdir -p "$ROOT/.calm"
  (
    flock 9
    local want have
    want=$(sha256sum "$ROOT/package-lock.json" | cut -d' ' -f1)
    have=$(cat "$ROOT/node_modules/.calm-installed" 2>/dev/null)
    [ "$want" = "$have" ] && exit 0
    say "installing from npm (about a minute)"
    (cd "$ROOT" && npm ci --no-audit --no-fund >"$ROOT/.calm/npm.log" 2>&1) || { tail -20 "$ROOT/.calm/npm.log" >&2; exit 1; }
    printf '%s' "$want" >"$ROOT/node_modules/.calm-installed"
  ) 9>"$ROOT/.calm/modules.lock" || fail "npm could not install what is needed (see above)"
}

# need_build: astro build, once for each state of the sources.
need_build() {
  mkdir -p "$ROOT/.calm"
  (
    flock 9
    local want have
    want=$(cd "$ROOT" && { find src public -type f ! -name '*.test.ts'; ls package-lock.json astro.config.mjs tsconfig.json; } | LC_ALL=C sort | tr '\n' '\0' | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
    have=$(cat "$ROOT/dist/.calm-built" 2>/dev/null)
    [ "$want" = "$have" ] && exit 0
    say "building (about half a minute)"
    (cd "$ROOT" && npx --no-install astro build >"$ROOT/.calm/build.log" 2>&1) || { tail -30 "$ROOT/.calm/build.log" >&2; exit 1; }
    printf '%s' "$want" >"$ROOT/dist/.calm-built"
  ) 9>"$ROOT/.calm/build.lock" || fail "the build failed (see above)"
}

# free_port [FROM]: the first port from FROM on that nothing on loopback listens on.
free_port() {
  node -e '
    const net = require("node:net");
    const tryPort = (port) => {
      const probe = net.createServer();
      probe.once("error", () => tryPort(port + 1));
      probe.listen(port, "127.0.0.1", () => { const found = probe.address().port; probe.close(() => console.log(found)); });
    };
    tryPort(Number(process.argv[1] || 0));
  ' "${1:-0}"
}

# As root the database's programs run as the user postgres, on a directory that it owns and can reach.
as_database_user() {
  if [ "$(id -u)" = 0 ]; then (cd / && runuser -u postgres -- "$@"); else "$@"; fi
}

database_user() { if [ "$(id -u)" = 0 ]; then echo postgres; else id -un; fi; }

# Where a private cluster of this checkout lives: out of the checkout, so that postgres can reach it.
data_home() {
  local mark
  mark=$(printf '%s' "$ROOT" | sha256sum | cut -c1-12)
  if [ "$(id -u)" = 0 ]; then echo "/var/lib/calm-count/$mark"; else echo "${XDG_DATA_HOME:-$HOME/.local/share}/calm-count/$mark"; fi
}

# make_cluster DIR: an empty PostgreSQL cluster, unless there is one. It is made beside and moved there once it is whole,
# so that a start that is killed meanwhile leaves none that is half made.
make_cluster() {
  local dir=$1 bin
  bin=$(postgres_bin)
  if [ -s "$dir/PG_VERSION" ]; then
    [ -s "$dir/global/pg_control" ] || fail "the database folder $dir is damaged: parts of it are missing. Nothing in it was changed. Put back a copy of it, or move it away; the next start then makes a new one"
    [ "$(cat "$dir/PG_VERSION")" = "$(basename "$(dirname "$bin")")" ] ||
      fail "the database folder $dir was made by PostgreSQL $(cat "$dir/PG_VERSION"), and this machine has $(basename "$(dirname "$bin")"). Nothing in it was changed; bring it over with pg_upgrade"
    return 0
  fi
  if [ -e "$dir" ] && [ -n "$(as_root ls -A "$dir" 2>/dev/null || ls -A "$dir")" ]; then
    fail "the database folder $dir is damaged: it holds files and no database. Nothing in it was changed. Put back a copy of it, or move it away; the next start then makes a new one"
  fi
  rm -rf "$dir.new" && mkdir -p "$dir.new" || fail "cannot write to $(dirname "$dir")"
  if [ "$(id -u)" = 0 ]; then chmod 755 "$(dirname "$dir")" && chown postgres "$dir.new" && chmod 700 "$dir.new"; fi
  say "making a private database in $dir"
  as_database_user "$bin/initdb" -D "$dir.new" -E UTF8 --locale=C.UTF-8 --auth-local=trust --auth-host="${CALM_HOST_AUTH:-reject}" >"$ROOT/.calm/initdb.log" 2>&1 ||
    { tail -20 "$ROOT/.calm/initdb.log" >&2; fail "the private database could not be made (see above)"; }
  [ -e "$dir" ] && rmdir "$dir"
  mv "$dir.new" "$dir" || fail "the private database could not be moved to $dir"
}

# make_socket_folder DIR: where the private database listens: only its owner (and root) can reach it. Nothing listens on
# the network, so no other user of this machine gets to the door at all.
make_socket_folder() {
  local dir=$1
  [ "${#dir}" -le 90 ] || fail "the path of $dir is too long for a socket; set XDG_DATA_HOME to a shorter one"
  mkdir -p "$dir" || fail "cannot make $dir"
  if [ "$(id -u)" = 0 ]; then chown postgres "$dir"; fi
  chmod 700 "$dir" || fail "cannot keep $dir from others"
}

# start_cluster DIR WHERE [SETTING ...]: starts it on loopback at a port, or in a folder for its socket.
start_cluster() {
  local dir=$1 where=$2 bin options setting
  shift 2
  bin=$(postgres_bin)
  case $where in
    /*) options="-c listen_addresses='' -c unix_socket_directories='$where' -c unix_socket_permissions=0700" ;;
    *) options="-c listen_addresses=127.0.0.1 -c port=$where -c unix_socket_directories=''" ;;
  esac
  for setting in "$@"; do options="$options -c $setting"; done
  # 8 and 9 hold our locks; the server must not inherit them.
  as_database_user "$bin/pg_ctl" -D "$dir" -w -t 60 -l "$dir/server.log" -o "$options" start >"$ROOT/.calm/pg_ctl.log" 2>&1 7>&- 8>&- 9>&- ||
    { cat "$ROOT/.calm/pg_ctl.log" >&2; as_database_user tail -10 "$dir/server.log" >&2; return 1; }
}

stop_cluster() { as_database_user "$(postgres_bin)/pg_ctl" -D "$1" -m fast -w stop >/dev/null 2>&1; }

cluster_runs() { as_database_user "$(postgres_bin)/pg_ctl" -D "$1" status >/dev/null 2>&1; }

# need_database SOCKET NAME: the database NAME on the cluster that listens in SOCKET, made when missing; the address of its
# owner, who migrates it.
need_database() {
  local socket=$1 name=$2 bin user
  bin=$(postgres_bin)
  user=$(database_user)
  if ! as_database_user "$bin/psql" -h "$socket" -U "$user" -d postgres -Atc "select 1 from pg_database where datname = '$name'" | grep -q 1; then
    as_database_user "$bin/psql" -h "$socket" -U "$user" -d postgres -qc "create database $name" || return 1
  fi
  echo "postgres://$user@/$name?host=$socket"
}

# need_writable: a folder that cannot be written to is said before anything is made.
need_writable() {
  mkdir -p "$ROOT/.calm" 2>/dev/null && touch "$ROOT/.calm/writable" 2>/dev/null ||
    fail "$ROOT cannot be written to (read-only, or another's). Nothing was made; copy it to a folder of yours and start there"
}
