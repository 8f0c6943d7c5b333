#!/usr/bin/env bash
# Many who read a plan, and some who edit others beside them, on an installation of its own.
#   scripts/load.sh [READERS [SECONDS [EDITS_A_SECOND]]]
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
readers="${1:-200}"; seconds="${2:-60}"; edits="${3:-20}"
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
root="$(mktemp -d /var/tmp/wise-larder-load.XXXXXX)"; chmod 755 "$root"
export LARDER_STATE="$root/state" LARDER_HOME="$root/home" LARDER_PORT LARDER_PG_PORT
mkdir -p "$LARDER_STATE"; cp -r "${LARDER_BUILT:?run ./larder bench load}" "$LARDER_STATE/app"
LARDER_PORT="$(free_port)"; LARDER_PG_PORT="$(free_port)"
trap './larder stop >/dev/null 2>&1 || true; rm -rf "$root"' EXIT
./larder up >/dev/null
url="http://127.0.0.1:$LARDER_PORT"
curl -sS -o /dev/null -c "$root/jar" "$url/api/session"
curl -sS -o /dev/null -b "$root/jar" -c "$root/jar" -X POST -H "X-XSRF-TOKEN: $(awk '$6 == "XSRF-TOKEN" {print $7}' "$root/jar")" "$url/api/session/demo"
cookies="$(awk '$6 == "XSRF-TOKEN" || $6 == "larder" {printf "%s=%s; ", $6, $7}' "$root/jar")"
memory() { ps -o rss= -p "$(pgrep -P "$(cat "$LARDER_STATE/app.pid")" java)" | awk '{printf "%d MB", $1 / 1024}'; }
read_plan() { wrk -t2 "-c$1" "-d$2s" --timeout 30s --latency -H "Cookie: $cookies" -H 'Accept-Encoding: gzip' "$url/api/plans/quillback" | grep -E '50%|9[59]%|requests in|Requests/sec|Non-2xx|Socket'; }
read_plan 20 15 >/dev/null   # warm
echo "memory: $(memory)"
echo "== $readers readers for $seconds s"; read_plan "$readers" "$seconds"
echo "== the same, $edits edits a second beside them"
[ "$edits" = 0 ] || node scripts/edits.mjs "$url" spruce-hollow "$edits" "$seconds" "$cookies" & beside=$!
read_plan "$readers" "$seconds"; wait $beside
echo "memory: $(memory)"
