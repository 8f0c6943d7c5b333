#!/usr/bin/env bash
# A private PostgreSQL cluster on loopback. Works as root (drops to the postgres user) and as any user.
#   scripts/pg.sh start|stop|status|password|version|version-of FILE|backup FILE|restore FILE|bring-back|forget-before|archive FOLDER|rewind FOLDER TIME|undo-rewind FOLDER|forget-rewound|empty
# PG_HOME: where the cluster lives; PG_PORT: its port; PG_THROWAWAY=1: no fsync, for tests only.
set -euo pipefail
home="${PG_HOME:?}"; data="$home/data"; log="$home/server.log"
port="${PG_PORT:?}"; db=larder; user=larder
die() { echo "larder: $*" >&2; exit 1; }

bin="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1 || true)"
[ -x "${bin:-/none}/initdb" ] || die "PostgreSQL is missing: apt-get install postgresql"

mkdir -p "$home" 2>/dev/null && [ -w "$home" ] || die "no right to write to $home: set LARDER_HOME to a folder of yours"
# A password of its own for each cluster; throw-away ones and those of before have a plain one.
if [ ! -s "$home/password" ] && [ ! -s "$data/PG_VERSION" ] && [ "${PG_THROWAWAY:-0}" != 1 ]; then
  ( umask 077; od -An -N18 -tx1 /dev/urandom | tr -d ' \n' >"$home/password" )
fi
PGPASSWORD="$(cat "$home/password" 2>/dev/null || echo larder)"; export PGPASSWORD
as=()
if [ "$(id -u)" = 0 ]; then
  owner=postgres
  if [ -d "$data" ]; then owner="$(stat -c %U "$data")"; else chown postgres: "$home"; fi
  as=(runuser -u "$owner" --)
  "${as[@]}" test -x "$home" || die "the user $owner cannot reach $home: set LARDER_HOME to a folder it can reach, such as /var/lib/wise-larder"
fi
sql() { "$bin/psql" -X -q -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$port" -U "$user" "$@"; }
is_up() { "$bin/pg_isready" -q -h 127.0.0.1 -p "$port" && [ "$(sql -d postgres -tAc 'show data_directory' 2>/dev/null)" = "$data" ]; }

same_version() {
  local made here
  made="$(cat "$data/PG_VERSION" 2>/dev/null || true)"
  here="$(basename "$(dirname "$bin")")"
  [ -z "$made" ] || [ "$made" = "$here" ] ||
    die "the database in $home is of PostgreSQL $made, and this machine has $here: make a backup where $made still runs, then './larder reset' and './larder restore FILE' here"
}
start() {
  is_up && return 0
  same_version
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
  if [ -s "$home/archive" ]; then
    local to; to="$(cat "$home/archive")/wal"
    options="$options -c archive_mode=on -c archive_timeout=60 -c archive_command='test ! -f \"$to/%f\" && cp \"%p\" \"$to/%f.part\" && mv \"$to/%f.part\" \"$to/%f\"'"
  fi
  local try
  for try in 1 2 3; do
    ( cd / && "${as[@]}" "$bin/pg_ctl" -D "$data" -l "$log" -w -t 30 -s start -o "$options" ) \
      >"$home/ctl.log" 2>&1 9>&- && break
    if [ $try = 3 ]; then
      tail -3 "$log" >&2 || true
      if tail -20 "$log" | grep -q 'No space left'; then die "the disk that holds $home is full"; fi
      if tail -20 "$log" | grep -q 'Address already in use'; then die "port $port, which the database wants, is taken by another program: set LARDER_PG_PORT to a free one"; fi
      die "the database did not start; its log is $log"
    fi
    sleep 1
  done
  [ "$(sql -d postgres -tAc "select 1 from pg_database where datname='$db'")" = 1 ] || sql -d postgres -c "create database $db"
}
stop() { [ ! -s "$data/postmaster.pid" ] || ( cd / && "${as[@]}" "$bin/pg_ctl" -D "$data" -s -w -m fast stop ) || true; }

backup() {
  local into="$1.part"
  # one snapshot, however much is written meanwhile; nobody else reads it, and it signs nobody in
  ( umask 077
    "$bin/pg_dump" -h 127.0.0.1 -p "$port" -U "$user" -Fc -f "$into" --exclude-table-data='*.spring_session*' \
      --exclude-table-data='*.known_device' --exclude-table-data='*.guess_bucket' "$db" ) ||
    { rm -f "$into"; die "the backup could not be written to $1: is there room, and may you write there?"; }
  mv "$into" "$1"
}
empty() { sql -d postgres -c "drop database if exists ${db}_before with (force)" -c "drop database if exists $db with (force)" -c "create database $db"; }
# Number of the last migration that a backup has seen; 0 where it is none of this product.
version_of() {
  "$bin/pg_restore" -l "$1" >/dev/null 2>&1 || { echo 0; return 0; }
  "$bin/pg_restore" -a -t flyway_schema_history -f - "$1" 2>/dev/null |
    awk -F'\t' '/^COPY/ {on = 1; next} /^\\\./ {on = 0} on && $2 ~ /^[0-9]+$/ && $NF == "t" && $2 > most {most = $2} END {print most + 0}'
}
# Restored beside the present one first, so that a broken backup harms nothing; the present one is kept aside.
restore() {
  sql -d postgres -c "drop database if exists ${db}_restored with (force)" -c "create database ${db}_restored"
  "$bin/pg_restore" -h 127.0.0.1 -p "$port" -U "$user" --exit-on-error --no-owner -d "${db}_restored" "$1" ||
    { sql -d postgres -c "drop database ${db}_restored with (force)"; die "$1 could not be restored: nothing was changed"; }
  sql -d postgres -c "drop database if exists ${db}_before with (force)"
  sql -d postgres -1 -c "alter database $db rename to ${db}_before" -c "alter database ${db}_restored rename to $db"
}
bring_back() {
  sql -d postgres -c "drop database if exists $db with (force)"
  sql -d postgres -c "alter database ${db}_before rename to $db"
}
forget_before() { sql -d postgres -c "drop database if exists ${db}_before with (force)"; }
# Keeps every change of the database from now on beside a copy of it, so that it can be brought back as it was
# at any moment since.
archive() {
  local to="$1"
  case "$to" in *[\"\'\$\`\\]*) die "a folder whose name holds no quotes is needed" ;; esac
  ( umask 077; mkdir -p "$to" ) || die "no right to write to $to"
  [ ! -e "$to/base" ] || die "$to holds an archive already: give another folder"
  [ "$(id -u)" != 0 ] || chown "$(stat -c %U "$data"):" "$to"
  "${as[@]}" mkdir "$to/wal" || die "the database's user cannot write to $to"
  stop; echo "$to" >"$home/archive"; start
  "${as[@]}" env PGPASSWORD="$PGPASSWORD" "$bin/pg_basebackup" -h 127.0.0.1 -p "$port" -U "$user" -D "$to/base" -X none -c fast >"$home/archive.log" 2>&1 ||
    { rm -f "$home/archive"; stop; start; cat "$home/archive.log" >&2; die "the copy could not be made"; }
}
# Everything up to now is in the archive when this returns.
archived() {
  local last; last="$(sql -d postgres -tAc 'select pg_walfile_name(pg_switch_wal())')"
  local i
  for i in $(seq 300); do
    [ "$(sql -d postgres -tAc "select last_archived_wal >= '$last' from pg_stat_archiver")" = t ] && return 0
    sleep 0.1
  done
  die "the archive does not take what is written: is there room?"
}
# The database as it was at a moment, in place of the present one, which is kept aside.
rewind() {
  local from="$1" when="$2"
  [ -s "$from/base/PG_VERSION" ] && [ -d "$from/wal" ] || die "$from holds no archive: nothing was changed"
  is_up && [ "$(cat "$home/archive" 2>/dev/null)" = "$from" ] && archived
  stop
  "${as[@]}" mv "$data" "$data.before"
  "${as[@]}" cp -a "$from/base" "$data"
  "${as[@]}" touch "$data/recovery.signal"
  "${as[@]}" sh -c 'cat >>"$1/postgresql.auto.conf"' _ "$data" <<CONF
restore_command = 'cp "$from/wal/%f" "%p"'
recovery_target_time = '$when'
recovery_target_action = 'promote'
CONF
  rm -f "$home/archive"   # what comes now is another history: it wants a new archive
  ( start ) || { undo_rewind "$from"; die "the database could not be brought back to $when: nothing was changed"; }
  local i
  for i in $(seq 600); do
    [ "$(sql -d postgres -tAc 'select pg_is_in_recovery()' 2>/dev/null)" = f ] && return 0
    sleep 0.2
  done
  undo_rewind "$from"; die "the database could not be brought back to $when: nothing was changed"
}
undo_rewind() {
  stop; "${as[@]}" rm -rf "$data"; "${as[@]}" mv "$data.before" "$data"; echo "$1" >"$home/archive"; start
}
forget_rewound() { "${as[@]}" rm -rf "$data.before"; }
# Number of the last migration that the database has seen; 0 where it is empty.
version() { sql -d "$db" -tAc "select coalesce(max(version::int), 0) from flyway_schema_history where success" 2>/dev/null || echo 0; }

exec 9>"$home/lock"; flock 9
case "${1:-}" in
  start)    start ;;
  stop)     stop ;;
  status)   is_up && echo up || { echo down; exit 3; } ;;
  password) echo "$PGPASSWORD" ;;
  version)  version ;;
  backup)   backup "${2:?}" ;;
  restore)  restore "${2:?}" ;;
  archive)       archive "${2:?}" ;;
  rewind)        rewind "${2:?}" "${3:?}" ;;
  undo-rewind)   undo_rewind "${2:?}" ;;
  forget-rewound) forget_rewound ;;
  version-of)    version_of "${2:?}" ;;
  bring-back)    bring_back ;;
  forget-before) forget_before ;;
  empty)    empty ;;
  *)        die "usage: pg.sh start|stop|status|password|version|version-of FILE|backup FILE|restore FILE|bring-back|forget-before|archive FOLDER|rewind FOLDER TIME|undo-rewind FOLDER|forget-rewound|empty" ;;
esac
