#!/usr/bin/env bash
# Many who read a plan and some who edit others beside them, on an installation of its own; then edits alone.
#   scripts/load.sh [READERS [SECONDS [EDITS_A_SECOND [EDITS_ALONE_SECONDS]]]]
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
readers="${1:-200}"; seconds="${2:-60}"; edits="${3:-20}"; alone="${4:-0}"
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
root="$(mktemp -d /var/tmp/wise-larder-load.XXXXXX)"; chmod 755 "$root"
export LARDER_STATE="$root/state" LARDER_HOME="$root/home" LARDER_PORT LARDER_PG_PORT LARDER_ROLE=web
mkdir -p "$LARDER_STATE"; cp -r "${LARDER_BUILT:?run ./larder bench load}" "$LARDER_STATE/app"
LARDER_PORT="$(free_port)"; LARDER_PG_PORT="$(free_port)"
trap './larder stop >/dev/null 2>&1 || true; rm -rf "$root"' EXIT
./larder up >/dev/null
url="http://127.0.0.1:$LARDER_PORT"; jar="$root/jar"
post() { curl -sS -b "$jar" -c "$jar" -X POST -H "X-XSRF-TOKEN: $(awk '$6 == "XSRF-TOKEN" {print $7}' "$jar")" -H 'Content-Type: application/json' "$@"; }
curl -sS -o /dev/null -c "$jar" "$url/api/session"
post -o /dev/null -d '{"name": "Ada", "email": "ada@farm.example", "password": "red clover hay"}' "$url/api/people/first"
farm() { post -d "@server/src/main/resources/demo/$1.json" "$url/api/farms/file" | node -pe 'JSON.parse(require("fs").readFileSync(0)).plan'; }
read_plan_id="$(farm quillback)"
edited=(); for _ in $(seq 20); do edited+=("$(farm spruce-hollow)"); done
cookies="$(awk '$6 == "XSRF-TOKEN" || $6 == "larder" {printf "%s=%s; ", $6, $7}' "$jar")"
pid() { pgrep -P "$(cat "$LARDER_STATE/app.pid")" java; }
memory() { # of the process, and of the heap what lives after a collection
  local live; live="$(jcmd "$(pid)" GC.class_histogram 2>/dev/null | awk 'END {printf "%d", $3 / 1048576}')"
  ps -o rss= -p "$(pid)" | awk -v live="${live:-0}" '{printf "%d MB, of it %d MB of objects that live", $1 / 1024, live}'
}
size() { PGPASSWORD="$(PG_HOME="$LARDER_HOME/pg" PG_PORT="$LARDER_PG_PORT" scripts/pg.sh password)" psql -qAt -h 127.0.0.1 -p "$LARDER_PG_PORT" -U larder larder -c "select pg_size_pretty(pg_database_size('larder'))"; }
read_plan() { wrk -t2 "-c$1" "-d$2s" --timeout 30s --latency -H "Cookie: $cookies" -H 'Accept-Encoding: gzip' "$url/api/plans/$read_plan_id" | grep -E '50%|9[059]%|requests in|Requests/sec|Non-2xx|Socket'; }
read_plan 20 15 >/dev/null   # warm
echo "memory: $(memory)"
echo "== $readers readers for $seconds s"; read_plan "$readers" "$seconds"
if [ "$edits" != 0 ]; then
  echo "== the same, $edits edits a second of ${#edited[@]} other farms beside them"
  node scripts/edits.mjs "$url" "$cookies" "$edits" "$seconds" "${edited[@]}" & beside=$!
  read_plan "$readers" "$seconds"; wait $beside
fi
echo "memory: $(memory)"
if [ "$alone" != 0 ]; then
  echo "== edits alone, as fast as they are answered, in four parts"
  for _ in 1 2 3 4; do
    node scripts/edits.mjs "$url" "$cookies" 0 "$((alone / 4))" "${edited[@]}"
    echo "memory: $(memory); database $(size)"
  done
fi
