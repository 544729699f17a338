# Shared by ./start, ./test, ./bench and ./kolonne: installs what is missing, builds, runs a private MariaDB.
set -euo pipefail
ROOT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
JAR="$ROOT/server/target/kolonne-server-0.1.0-app.jar"

say() { printf '%s\n' "· $*"; }
fail() { printf '%s\n' "$*" >&2; exit 1; }

as_root() {
  if [ "$(id -u)" = 0 ]; then "$@"
  elif command -v sudo >/dev/null; then sudo "$@"
  else fail "this needs root to install packages: run it as root, or install sudo"; fi
}

# need COMMAND PACKAGE...: installs Debian packages unless the command is there
APT_FRESH=""
need() {
  command -v "$1" >/dev/null 2>&1 && return 0
  local packages="${*:2}"
  command -v apt-get >/dev/null || fail "$1 is missing and this is not a Debian machine: install $packages yourself."
  say "installing $packages"
  if [ -z "$APT_FRESH" ]; then as_root apt-get update -qq >/dev/null; APT_FRESH=1; fi
  as_root env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $packages >/dev/null
}

need_toolchain() {
  need java openjdk-17-jdk-headless
  need javac openjdk-17-jdk-headless
  need mvn maven
  need node nodejs npm
  need npm npm
}

need_database() {
  if [ ! -x /usr/sbin/mariadbd ]; then need mariadbd-missing mariadb-server-core mariadb-client-core mariadb-client; fi
}

install_web() {
  local web="$ROOT/web"
  if [ ! -d "$web/node_modules" ] || [ "$web/package-lock.json" -nt "$web/node_modules/.done" ]; then
    say "installing the web packages (a minute the first time)"
    (cd "$web" && npm ci --no-audit --no-fund --loglevel=error >/dev/null)
    touch "$web/node_modules/.done"
  fi
}

# java_format apply|check
java_format() {
  (cd "$ROOT" && mvn -q -B -ntp com.diffplug.spotless:spotless-maven-plugin:"$1") || fail "the Java sources are not formatted; run ./format"
}

# Rebuilds the web pages if a source is newer than the last build
build_web() {
  local web="$ROOT/web"
  install_web
  if [ ! -f "$web/dist/index.html" ] || [ -n "$(find "$web/src" "$web/index.html" "$web/vite.config.ts" "$web/package.json" -newer "$web/dist/index.html" -print -quit)" ]; then
    say "building the web pages"
    (cd "$web" && npm run --silent build >/dev/null)
  fi
}

build_jar() {
  if [ ! -f "$JAR" ] || [ -n "$(find "$ROOT"/{core,exchange,server}/src/main "$ROOT"/{core,exchange,server}/pom.xml "$ROOT/pom.xml" "$ROOT/web/dist" -newer "$JAR" -print -quit)" ]; then
    say "building the application (two minutes the first time)"
    (cd "$ROOT" && mvn -q -B -ntp -pl server -am package -DskipTests 2>&1 | sed -e 's/\x1b\[[0-9;]*m//g' -e '/^$/d')
    # what came out the same is not written again and would be built at every start
    if [ -f "$JAR" ]; then touch "$JAR"; fi
  fi
}

# share_classes: sets SHARED to what makes the command line start with its classes read and checked already; made once after a build
share_classes() {
  local archive="${JAR%.jar}.jsa" sample="$ROOT/samples/veldhaven.json" work
  SHARED=()
  if [ ! -f "$archive" ] || [ "$JAR" -nt "$archive" ]; then
    [ -w "$(dirname "$JAR")" ] || return 0
    say "preparing the command line (ten seconds, once)"
    work="$(mktemp -d "$(dirname "$JAR")/.share.XXXXXX")"
    # one run of all that a design needs; moved to its place when whole, so that two at once do no harm
    java -Xmx3g -XX:+UseParallelGC -XX:TieredStopAtLevel=1 -XX:ArchiveClassesAtExit="$work/classes.jsa" -jar "$JAR" design "$sample" --out "$work/out" >/dev/null 2>&1 || true
    if [ -f "$work/classes.jsa" ]; then mv -f "$work/classes.jsa" "$archive"; fi
    rm -rf "$work"
  fi
  if [ -f "$archive" ]; then SHARED=(-XX:SharedArchiveFile="$archive" -Xlog:cds=off -Xlog:cds+dynamic=off); fi
}

port_free() { ! (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }

free_port() {
  local p
  for p in $(seq "$1" $(( $1 + 200 ))); do
    if port_free "$p"; then echo "$p"; return; fi
  done
  fail "no free port between $1 and $(( $1 + 200 ))"
}

# same_port PORT SECONDS: waits until a process that is ending has let go of it
same_port() {
  local end=$(( SECONDS + $2 ))
  until port_free "$1"; do
    [ "$SECONDS" -lt "$end" ] || fail "another program listens on port $1, on which the database was; stop it, or start again for another port."
    sleep 0.1
  done
}

# own_folder DIR: makes the folder and holds it (file descriptor 9) as long as this process or a server that it started lives
own_folder() {
  mkdir -p "$1" 2>/dev/null || fail "The folder $1 cannot be made; choose another with --data."
  [ -w "$1" ] || fail "The folder $1 cannot be written; choose another with --data."
  exec 9>>"$1/lock"
  if ! flock -n 9; then
    fail "Kolonne runs on the folder $1 already (process $(cat "$1/owner" 2>/dev/null || echo unknown)). Use its address, stop it first, or choose another folder with --data."
  fi
  echo "$$" > "$1/owner"
}

# database_start DIR [PORT]: a private MariaDB in DIR, on that port and no other where a server holds on to it; sets DB_URL and DB_PASSWORD_FILE
database_start() {
  local b="$1" me; me="$(id -un)"
  need_database
  umask 077
  mkdir -p "$b/run" "$b/tmp"
  local sock="$b/run/db.sock"
  # socket paths are limited to 107 characters
  if [ ${#sock} -gt 100 ]; then
    sock="/tmp/kolonne-$(printf '%s' "$b" | cksum | cut -d' ' -f1)-$(id -u).sock"
  fi
  DB_SOCKET="$sock"
  DB_PID_FILE="$b/run/db.pid"
  DB_PASSWORD_FILE="$b/password"
  if [ ! -s "$DB_PASSWORD_FILE" ]; then head -c 24 /dev/urandom | base64 | tr -d '/+=\n' > "$DB_PASSWORD_FILE"; fi
  if [ ! -d "$b/data/mysql" ]; then
    say "making the database"
    rm -rf "$b/data.new"; mkdir -p "$b/data.new"
    mariadb-install-db --no-defaults --user="$me" --datadir="$b/data.new" --auth-root-authentication-method=socket \
      --auth-root-socket-user="$me" --skip-test-db --skip-name-resolve >/dev/null
    mv "$b/data.new" "$b/data"
  fi
  if database_running; then
    DB_PORT="$(cat "$b/run/port")"
    DB_OWNER=1
    say "the database is running already on port $DB_PORT"
  else
    if [ -n "${2:-}" ]; then same_port "$2" 30; fi
    DB_PORT="${2:-$(free_port 13306)}"
    echo "$DB_PORT" > "$b/run/port"
    say "starting the database on 127.0.0.1:$DB_PORT"
    setsid nohup /usr/sbin/mariadbd --no-defaults --user="$me" --datadir="$b/data" --socket="$DB_SOCKET" --pid-file="$DB_PID_FILE" \
      --port="$DB_PORT" --bind-address=127.0.0.1 --skip-name-resolve --tmpdir="$b/tmp" --log-error="$b/db.err" \
      --character-set-server=utf8mb4 --collation-server=utf8mb4_unicode_ci --local-infile=0 \
      --innodb-buffer-pool-size=256M --innodb-log-file-size=64M --max-allowed-packet=512M </dev/null >/dev/null 2>&1 9>&- &
    DB_OWNER=1
    local i
    for i in $(seq 1 150); do
      mariadb-admin --no-defaults --socket="$DB_SOCKET" -u "$me" ping >/dev/null 2>&1 && break
      [ "$i" = 150 ] && { tail -5 "$b/db.err" >&2; fail "the database did not start; its log is $b/db.err"; }
      sleep 0.2
    done
  fi
  # by standard input: arguments are seen in the list of processes
  mariadb --no-defaults --socket="$DB_SOCKET" -u "$me" <<SQL
CREATE DATABASE IF NOT EXISTS kolonne CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci;
CREATE USER IF NOT EXISTS 'app'@'127.0.0.1'; ALTER USER 'app'@'127.0.0.1' IDENTIFIED BY '$(cat "$DB_PASSWORD_FILE")';
GRANT ALL ON kolonne.* TO 'app'@'127.0.0.1';
SQL
  DB_URL="jdbc:mariadb://127.0.0.1:$DB_PORT/kolonne"
}

# Whether the process of the pid file is a mariadbd (a number may belong to somebody else by now)
database_running() {
  [ -s "$DB_PID_FILE" ] || return 1
  local pid; pid="$(cat "$DB_PID_FILE")"
  [ -e "/proc/$pid/exe" ] && readlink "/proc/$pid/exe" | grep -q mariadbd
}

database_stop() {
  if [ -n "${DB_OWNER:-}" ] && database_running; then
    local pid i; pid="$(cat "$DB_PID_FILE")"
    kill -TERM "$pid" 2>/dev/null || true
    for i in $(seq 1 100); do [ -e "/proc/$pid/exe" ] || break; sleep 0.1; done
  fi
}
