#!/usr/bin/env bash
# Thousands of invented farms on an installation of its own: what a night costs one worker and two, and a night
# in which nothing changed; how soon farms are listed, found and opened.
#   scripts/morning.sh night [FARMS [FIELDS]]
#   scripts/morning.sh lists [FARMS [PLANS_EACH]]
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
what="${1:-night}"
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
root="$(mktemp -d /var/tmp/wise-larder-morning.XXXXXX)"; chmod 755 "$root"
export LARDER_STATE="$root/state" LARDER_HOME="$root/home" LARDER_PORT LARDER_PG_PORT LARDER_ROLE=web LARDER_WARM_UP=false
mkdir -p "$LARDER_STATE"; cp -r "${LARDER_BUILT:?run ./larder bench morning}" "$LARDER_STATE/app"
LARDER_PORT="$(free_port)"; LARDER_PG_PORT="$(free_port)"
workers=()
gone() { for w in ${workers[@]+"${workers[@]}"}; do kill "$w" 2>/dev/null || true; done; wait 2>/dev/null || true; workers=(); }
trap 'gone; ./larder stop >/dev/null 2>&1 || true; rm -rf "$root"' EXIT
./larder up >/dev/null
url="http://127.0.0.1:$LARDER_PORT"; jar="$root/jar"
token() { awk '$6 == "XSRF-TOKEN" {print $7}' "$jar"; }
curl -sS -o /dev/null -c "$jar" "$url/api/session"
curl -sS -o /dev/null -b "$jar" -c "$jar" -X POST -H "X-XSRF-TOKEN: $(token)" -H 'Content-Type: application/json' \
  -d '{"name": "Ada", "email": "ada@advice.example", "password": "red clover hay"}' "$url/api/people/first"
PGPASSWORD="$(PG_HOME="$LARDER_HOME/pg" PG_PORT="$LARDER_PG_PORT" scripts/pg.sh password)"; export PGPASSWORD
sql() { psql -qAt -h 127.0.0.1 -p "$LARDER_PG_PORT" -U larder larder -c "$1"; }
fill() { # fill FARMS FIELDS PLANS_EACH
  local from=$SECONDS
  java -cp "bench/target/classes:bench/target/dependency/*" wiselarder.bench.ManyFarms \
    "jdbc:postgresql://127.0.0.1:$LARDER_PG_PORT/larder" larder "$PGPASSWORD" ada@advice.example "$1" "$2" "$3"
  echo "$1 farms of $2 fields with $3 plans each made in $((SECONDS - from)) s, $(sql "select pg_size_pretty(pg_database_size('larder'))")"
}
left() { sql "select count(*) from morning where of_changes is distinct from changes or day is distinct from current_date"; }
night() { # night NAME WORKERS
  local from; from=$(date +%s%N)
  for _ in $(seq "$2"); do
    LARDER_PORT="$(free_port)" LARDER_THREADS=1 ./larder serve --role worker >>"$root/workers.log" 2>&1 & workers+=($!)
  done
  while [ "$(left)" != 0 ]; do sleep 1; done
  echo "$1: $(( ($(date +%s%N) - from) / 1000000000 )) s with the start of the processes"
  gone
}
case "$what" in
  night)
    fill "${2:-3000}" "${3:-20}" 1
    night "two workers of one thread each" 2
    sql "update morning set day = day - 1"; night "the next night, nothing changed, two workers" 2
    sql "truncate morning_years; update morning set day = day - 1"; night "one worker" 1
    sql "select verdict || ' ' || count(*) from morning group by verdict, verdict_rank order by verdict_rank" ;;
  lists)
    fill "${2:-10000}" 14 "${3:-3}"
    sql "update morning set of_changes = changes, day = current_date, verdict = 'LASTS', verdict_rank = 4, years = 200,
         fed = 200 - farm_id % 50, bare_on = case when farm_id % 3 = 0 then current_date + (farm_id % 300)::int end,
         late = farm_id % 4"
    plan="$(sql "select slug from plan where slug like 'many-%' order by id desc limit 1")"
    for path in "/api/farms" "/api/farms?find=willow" "/api/mornings" "/api/mornings?order=NAME&find=croft" \
        "/api/mornings?order=SEEN&back=true&late=true" "/api/plans/$plan" "/api/mornings/file"; do
      for _ in $(seq 30); do
        curl -sS -o /dev/null -b "$jar" -H 'Accept-Encoding: gzip' -w '%{http_code} %{time_total}\n' "$url$path"
      done | tail -25 | sort -k2 -n | awk -v p="$path" '$1 != 200 {bad++} {t[NR] = $2 * 1000}
        END {printf "%-46s median %4d ms, 95%% %4d ms%s\n", p, t[13], t[24], bad ? ", REFUSED" : ""}'
    done ;;
  *) echo "usage: morning.sh night|lists [FARMS [FIELDS|PLANS]]" >&2; exit 2 ;;
esac
