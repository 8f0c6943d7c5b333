#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback. Works as root (drops to the postgres user) and as any user.
#   scripts/pg.sh start|stop|status|url
# PG_HOME: where the cluster lives; PG_PORT: its port; PG_THROWAWAY=1: no fsync, for tests only.
set -euo pipefail
home="${PG_HOME:?}"; data="$home/data"; log="$home/server.log"
port="${PG_PORT:?}"; db=larder; user=larder; export PGPASSWORD=larder
die() { echo "larder: $*" >&2; exit 1; }

bin="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1 || true)"
[ -x "${bin:-/none}/initdb" ] || die "PostgreSQL is missing: apt-get install postgresql"

mkdir -p "$home"
as=()
if [ "$(id -u)" = 0 ]; then
  owner=postgres
  if [ -d "$data" ]; then owner="$(stat -c %U "$data")"; else chown postgres: "$home"; fi
  as=(runuser -u "$owner" --)
  "${as[@]}" test -x "$home" || die "the user $owner cannot reach $home: set LARDER_HOME to a folder it can reach, such as /var/lib/wise-larder"
fi
sql() { "$bin/psql" -X -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$port" -U "$user" "$@"; }
is_up() { "$bin/pg_isready" -q -h 127.0.0.1 -p "$port" && [ "$(sql -d postgres -tAc 'show data_directory' 2>/dev/null)" = "$data" ]; }

start() {
  is_up && return 0
  if [ ! -s "$data/PG_VERSION" ]; then
    rm -rf "$data"
    printf '%s\n' "$PGPASSWORD" | "${as[@]}" sh -c 'umask 077; cat >"$1"' _ "$home/pw"
    ( cd / && "${as[@]}" "$bin/initdb" -D "$data" -U "$user" --auth=scram-sha-256 --pwfile="$home/pw" \
        --encoding=UTF8 --locale=C.UTF-8 --data-checksums ) >"$home/initdb.log" 2>&1 ||
      { cat "$home/initdb.log" >&2; die "the database cluster could not be made"; }
    rm -f "$home/pw"
  fi
  local options="-p $port -c listen_addresses=127.0.0.1 -c unix_socket_directories=''"
  if [ "${PG_THROWAWAY:-0}" = 1 ]; then
    options="$options -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
  else
    options="$options -c fsync=on -c synchronous_commit=on -c full_page_writes=on"
  fi
  local try
  for try in 1 2 3; do
    ( cd / && "${as[@]}" "$bin/pg_ctl" -D "$data" -l "$log" -w -t 30 -s start -o "$options" ) \
      >"$home/ctl.log" 2>&1 9>&- && break
    [ $try -lt 3 ] || { cat "$home/ctl.log" >&2; tail -8 "$log" >&2; die "the database did not start (is port $port taken?)"; }
    sleep 1
  done
  [ "$(sql -d postgres -tAc "select 1 from pg_database where datname='$db'")" = 1 ] || sql -d postgres -c "create database $db"
}
stop() { [ ! -s "$data/postmaster.pid" ] || ( cd / && "${as[@]}" "$bin/pg_ctl" -D "$data" -s -w -m fast stop ) || true; }

exec 9>"$home/lock"; flock 9
case "${1:-}" in
  start)  start ;;
  stop)   stop ;;
  status) is_up && echo up || { echo down; exit 3; } ;;
  *)      die "usage: pg.sh start|stop|status" ;;
esac
