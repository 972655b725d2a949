# Sourced by the commands in bin/: what they share of finding, installing and running things on this machine.
# shellcheck shell=bash
ROOT=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
cd "$ROOT" || exit 1
export NEXT_TELEMETRY_DISABLED=1
# The production server. A connection may rest longer than browsers and proxies let it (60 s in nginx): who sends on one that
# is just being closed gets an error instead of an answer.
WEB=(node_modules/.bin/next start --hostname 127.0.0.1 --keepAliveTimeout 75000)
# Where this installation keeps its database, logs and backups.
export COOL_DRAM_DATA=${COOL_DRAM_DATA:-$ROOT/.data}

say() { printf '%s\n' "$*" >&2; }
die() { say "cool-dram: $*"; exit 1; }

[ "$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)" -ge 20 ] 2>/dev/null ||
  die "Node.js 20 or newer is needed. Install it, then run this again."

need_debian() { # need_debian COMMAND PACKAGE
  command -v "$1" >/dev/null 2>&1 && return
  [ "$(id -u)" -eq 0 ] || die "$2 is missing. As root: apt-get install --no-install-recommends $2"
  say "Installing $2 from Debian's packages …"
  { apt-get -o DPkg::Lock::Timeout=120 update -qq && DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=120 install -y -qq --no-install-recommends "$2"; } >/dev/null ||
    die "apt-get could not install $2."
}

need_npm() { # npm packages by the lock file, again only when the lock file has changed
  local want
  want=$(sha256sum package.json package-lock.json | sha256sum)
  mkdir -p node_modules
  exec 8>>node_modules/.cool-dram.lock && flock 8
  if [ "$(cat node_modules/.cool-dram 2>/dev/null)" != "$want" ]; then
    say "Installing npm packages by the lock file …"
    npm install --no-save --no-audit --no-fund --loglevel=error >&2 || die "npm could not install the packages."
    printf '%s' "$want" >node_modules/.cool-dram
  fi
  exec 8>&-
}

free_port() { node -e 'const s=require("net").createServer().listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
port_is_free() { node -e 'require("net").createServer().once("error",()=>process.exit(1)).listen(+process.argv[1],"127.0.0.1",function(){this.close()})' "$1"; }
secret() { node -p 'require("crypto").randomBytes(18).toString("hex")'; }

# --- a private MariaDB: DB_DIR holds data, port, passwords; DB_SOCKET and DB_PORT say where it listens ---

db_place() { # db_place DIR: somewhere that the server's user can reach, and nobody else
  DB_DIR=$1
  mkdir -p "$DB_DIR"
  if [ "$(id -u)" -eq 0 ]; then
    chown mysql "$DB_DIR"
    if ! runuser -u mysql -- test -x "$DB_DIR"; then
      DB_DIR=/var/lib/cool-dram-$(printf '%s' "$1" | sha256sum | cut -c1-12)
      say "The database user cannot reach $1; its data is in $DB_DIR instead."
      mkdir -p "$DB_DIR"
      chown mysql "$DB_DIR"
    fi
  fi
  chmod 700 "$1" "$DB_DIR"
  mkdir -p "$DB_DIR/mariadb" "$DB_DIR/tmp"
  DB_SOCKET=$DB_DIR/mariadb/m.sock
  [ ${#DB_SOCKET} -lt 100 ] || DB_SOCKET=/tmp/cool-dram-$(printf '%s' "$DB_DIR" | sha256sum | cut -c1-12).sock
}

db_ping() { mariadb-admin --no-defaults --socket="$DB_SOCKET" -u"$(id -un)" ping 2>&1 | grep -qE 'alive|Access denied'; }

# The account of whoever owns the data, known by the socket alone.
db_admin() { mariadb --no-defaults --socket="$DB_SOCKET" -u"$(id -un)" "$@"; }

free_mb() { echo $(($(df -k --output=avail "$1" | tail -1) / 1000)); }

db_install() { # sets up the data directory where there is none; what holds data is never erased
  local me
  me=$(id -un)
  [ ! -d "$DB_DIR/mariadb/cool_dram" ] || return 0
  if [ -e "$DB_DIR/installing" ]; then
    rm -rf "${DB_DIR:?}"/mariadb/* # left half made by a start that was killed before there was any schema
  elif [ -n "$(ls -A "$DB_DIR/mariadb")" ]; then
    die "$DB_DIR/mariadb holds something that is not Cool Dram's. Nothing was touched: move it away, then run this again."
  fi
  touch "$DB_DIR/installing"
  mariadb-install-db --no-defaults "$@" --datadir="$DB_DIR/mariadb" --tmpdir="$DB_DIR/tmp" --auth-root-authentication-method=socket \
    --auth-root-socket-user="$me" --skip-test-db >"$DB_DIR/mariadb.log" 2>&1 ||
    die "MariaDB could not be set up; see $DB_DIR/mariadb.log"
}

db_accounts() { # one account that administers, by the socket; one that migrates; one that reads and writes rows
  local me account old=$DB_DIR/root-password
  me=$(id -un)
  if [ -e "$old" ]; then # of an earlier version, which let root in by a password
    {
      [ "$me" = root ] || echo "GRANT ALL ON *.* TO '$me'@'localhost' IDENTIFIED VIA unix_socket WITH GRANT OPTION;"
      echo "ALTER USER 'root'@'localhost' IDENTIFIED VIA unix_socket;"
    } | MYSQL_PWD=$(cat "$old") mariadb --no-defaults --socket="$DB_SOCKET" -uroot
  fi
  db_admin <<SQL || return 1
CREATE DATABASE IF NOT EXISTS cool_dram CHARACTER SET utf8mb4;
CREATE USER IF NOT EXISTS 'cool_dram'@'127.0.0.1', 'cool_dram_migrate'@'127.0.0.1';
ALTER USER 'cool_dram'@'127.0.0.1' IDENTIFIED BY '$(cat "$DB_DIR/password")',
  'cool_dram_migrate'@'127.0.0.1' IDENTIFIED BY '$(cat "$DB_DIR/migrate-password")';
REVOKE ALL PRIVILEGES, GRANT OPTION FROM 'cool_dram'@'127.0.0.1', 'cool_dram_migrate'@'127.0.0.1';
GRANT SELECT, INSERT, UPDATE, DELETE ON \`cool\_dram\`.* TO 'cool_dram'@'127.0.0.1';
GRANT ALL ON \`cool\_dram\`.* TO 'cool_dram_migrate'@'127.0.0.1';
ALTER USER IF EXISTS 'root'@'localhost' IDENTIFIED VIA unix_socket;
SQL
  rm -f "$old" "$DB_DIR/ready"
  db_admin -N -e "SELECT CONCAT(QUOTE(User), '@', QUOTE(Host)) FROM mysql.user
    WHERE User = '' OR (User = 'root' AND Host <> 'localhost')" |
    while read -r account; do db_admin -e "DROP USER $account" || return 1; done || return 1
  db_admin -N -e "SELECT CONCAT(QUOTE(User), '@', QUOTE(Host)) FROM mysql.user WHERE File_priv = 'Y'" |
    while read -r account; do db_admin -e "REVOKE FILE ON *.* FROM $account" || return 1; done
}

db_start() { # initialises the data directory once, starts the server, sees to its accounts, sets DATABASE_URL
  local as_user=() log=$DB_DIR/mariadb.log file new=''
  [ "$(id -u)" -ne 0 ] || { as_user=(--user=mysql); chown mysql "$DB_DIR/mariadb" "$DB_DIR/tmp"; }
  if ! db_ping; then
    new=yes
    # With less it would stand still in the middle of its start, and hold on to its files.
    [ "$(free_mb "$DB_DIR")" -ge 50 ] || die "Only $(free_mb "$DB_DIR") MB are free on the disk of $DB_DIR. Make room, then run this again."
    db_install "${as_user[@]}"
    DB_PORT=$(cat "$DB_DIR/port" 2>/dev/null || true)
    { [ -n "$DB_PORT" ] && port_is_free "$DB_PORT"; } || { DB_PORT=$(free_port); echo "$DB_PORT" >"$DB_DIR/port"; }
    # In a session of its own, so that Ctrl-C reaches it only through us, after the web server has finished. Its temporary
    # files stand apart: a server deletes those of any other in the same directory at its start, and the other may crash.
    setsid mariadbd --no-defaults "${as_user[@]}" --datadir="$DB_DIR/mariadb" --tmpdir="$DB_DIR/tmp" --socket="$DB_SOCKET" --port="$DB_PORT" \
      --bind-address=127.0.0.1 --skip-name-resolve --local-infile=0 --character-set-server=utf8mb4 \
      --default-time-zone=+00:00 --pid-file="$DB_DIR/mariadb/m.pid" ${DB_EXTRA:-} >>"$log" 2>&1 7>&- &
    for _ in $(seq "${DB_TRIES:-150}"); do db_ping && break; sleep 0.1; done
    db_ping || { kill -KILL "$!" 2>/dev/null; die "MariaDB does not answer; see $log"; }
  fi
  DB_PORT=$(cat "$DB_DIR/port")
  for file in password migrate-password; do
    [ -s "$DB_DIR/$file" ] || { (umask 077; secret >"$DB_DIR/$file"); new=yes; }
  done
  [ -z "$new" ] || db_accounts || die "The accounts of MariaDB could not be set up; see $log"
  rm -f "$DB_DIR/installing"
  export DATABASE_URL="mysql://cool_dram:$(cat "$DB_DIR/password")@127.0.0.1:$DB_PORT/cool_dram"
  MIGRATE_DATABASE_URL="mysql://cool_dram_migrate:$(cat "$DB_DIR/migrate-password")@127.0.0.1:$DB_PORT/cool_dram"
}

db_stop() {
  local pid
  pid=$(cat "$DB_DIR/mariadb/m.pid" 2>/dev/null) || return 0
  kill -TERM "$pid" 2>/dev/null
  for _ in $(seq 200); do kill -0 "$pid" 2>/dev/null || return 0; sleep 0.05; done
}

db_visit() { # the database of this place, started for as long as it is needed where bin/start does not run
  [ -z "${DATABASE_URL:-}" ] || return 0
  need_debian mariadbd mariadb-server
  db_place "$COOL_DRAM_DATA"
  db_ping || visiting=yes
  db_start
  export MIGRATE_DATABASE_URL
}
db_leave() { [ -z "${visiting:-}" ] || db_stop; }

build_once() { # build_once DIST: a production build, again only when a source has changed
  local want
  want=$(find app core db server ui workers public proxy.ts instrumentation.ts package-lock.json next.config.ts postcss.config.mjs -type f 2>/dev/null |
    LC_ALL=C sort | xargs sha256sum | sha256sum)
  [ "$(cat "$1/.cool-dram" 2>/dev/null)" = "$want" ] && return
  say "Building …"
  rm -rf "$1/.cool-dram" .next*/types # types of routes that are gone would stop the build
  COOL_DRAM_DIST=$1 node_modules/.bin/next build >"${BUILD_LOG:-/dev/null}" 2>&1 || {
    [ -z "${BUILD_LOG:-}" ] || tail -40 "$BUILD_LOG" >&2
    die "The build failed."
  }
  printf '%s' "$want" >"$1/.cool-dram"
}

wait_for() { # wait_for URL SECONDS PID
  for _ in $(seq $(($2 * 10))); do
    node -e 'fetch(process.argv[1]).then(r=>process.exit(r.ok?0:1),()=>process.exit(1))' "$1" && return 0
    kill -0 "$3" 2>/dev/null || return 1
    sleep 0.1
  done
  return 1
}
