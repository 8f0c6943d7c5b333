#!/usr/bin/env bash
# Tries the commands of ./larder as whoever runs the product would: a state folder, a database and ports
# of its own, and what goes wrong with the sentence it is told in. Run by ./larder test.
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
unset PG_HOME PG_PORT PG_THROWAWAY LARDER_TEST_DB
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
root="$(mktemp -d /var/tmp/wise-larder-commands.XXXXXX)"; chmod 755 "$root"
export LARDER_STATE="$root/state" LARDER_HOME="$root/home"
LARDER_PORT="$(free_port)"; LARDER_PG_PORT="$(free_port)"; export LARDER_PORT LARDER_PG_PORT
trap './larder stop >/dev/null 2>&1; [ ! -d "${plain:-/none}" ] || as_user ./larder stop >/dev/null 2>&1; [ -z "${busy:-}" ] || kill $busy 2>/dev/null; rm -rf "$root"' EXIT
url="http://127.0.0.1:$LARDER_PORT"
passed=0
ok() { passed=$((passed + 1)); echo "commands: ok, $1"; }
fail() { echo "commands: FAILED, $1" >&2; sed 's/^/    /' "$root/said" >&2; exit 1; }
does() { ./larder "$@" >"$root/said" 2>&1 </dev/null || fail "larder $*"; }
refuses() { # refuses WORDS COMMAND...: it must fail, and say this
  local words="$1"; shift
  if ./larder "$@" >"$root/said" 2>&1 </dev/null; then fail "larder $* should have refused"; fi
  grep -q "$words" "$root/said" || fail "larder $* should say: $words"
}
call() { # call METHOD PATH [BODY]
  local token; token="$(awk '$6 == "XSRF-TOKEN" {print $7}' "$root/cookies" 2>/dev/null || true)"
  curl -sS -o "$root/answer" -w '%{http_code}' -b "$root/cookies" -c "$root/cookies" -X "$1" "$url/api$2" \
    -H "X-XSRF-TOKEN: $token" ${3:+-H 'Content-Type: application/json' -d "$3"}
}
sign_in() { rm -f "$root/cookies"; call GET /session >/dev/null; call POST /session "{\"email\":\"ann@farm.example\",\"password\":\"$1\"}"; }

# As an ordinary user, with the PATH that Debian gives one: no /usr/sbin on it. Beside all the rest.
plain="$root/plain"; mkdir "$plain"
plain_port="$(free_port)"; plain_pg_port="$(free_port)"
as_user() { # as_user COMMAND...
  local as=()
  if [ "$(id -u)" = 0 ]; then as=(/usr/sbin/runuser -u nobody --); fi
  "${as[@]}" env -i HOME="$plain" PATH=/usr/local/bin:/usr/bin:/bin:/usr/local/games:/usr/games \
    LARDER_STATE="$plain/state" LARDER_HOME="$plain/home" LARDER_PORT="$plain_port" LARDER_PG_PORT="$plain_pg_port" "$@"
}
[ "$(id -u)" != 0 ] || chown nobody "$plain"
as_user_served() {
  as_user ./larder up </dev/null && as_user ./larder stop </dev/null
}
plain_tried=
if as_user test -r "$PWD/larder"; then
  as_user_served >"$root/plain-said" 2>&1 & plain_tried=$!
fi

does up; grep -q 'application started (' "$root/said" || fail "up says how long each step took"
ok "up serves and says how long each step took"
does up; grep -q 'already serving' "$root/said" || fail "a second up"; ok "a second up changes nothing"
refuses 'nobody has a password yet' up --listen 0.0.0.0; ok "no listening elsewhere without a password"
does up

call GET /session >/dev/null
[ "$(call POST /people/first '{"name":"Ann","email":"ann@farm.example","password":"clover and timothy"}')" = 200 ] || fail "the first owner"
[ "$(call POST /farms '{"name":"Kept","climateId":"transition_humid","units":"METRIC","currency":"EUR","start":"2027-10-01"}')" = 200 ] || fail "a farm"
call GET /farms >/dev/null; cp "$root/answer" "$root/farms-before"
does backup "$root/all.dump"; ok "backup"
refuses 'type\|--yes' backup "$root/all.dump"; ok "a backup is not overwritten unasked"
refuses 'no right\|could not be written' backup /proc/nothing/all.dump; ok "a backup where nothing can be written"

refuses 'say --yes' reset; ok "reset asks first"
does reset --yes; does up
[ "$(sign_in 'clover and timothy')" = 401 ] || fail "reset leaves a person behind"; ok "reset removes everything"
echo 'not a backup' >"$root/foreign"
refuses 'no backup of this product: nothing was changed' restore --yes "$root/foreign"; ok "a foreign file is not restored"
does up; does restore --yes "$root/all.dump"
[ "$(sign_in 'clover and timothy')" = 200 ] || fail "signing in after the restore"
call GET /farms >/dev/null; cmp -s "$root/answer" "$root/farms-before" || fail "the same farms after the round trip"
ok "backup and restore bring everything back"

printf 'meadow fescue ley\n' | ./larder password ann@farm.example >"$root/said" 2>&1 || fail "password"
[ "$(sign_in 'meadow fescue ley')" = 200 ] || fail "the new password"; ok "a lost password is set anew"
if printf 'short\n' | ./larder password ann@farm.example >"$root/said" 2>&1; then fail "a short password"; fi
grep -q '10 to 72 characters' "$root/said" || fail "a short password is told"; ok "a weak one is refused"
does up --listen 0.0.0.0; [ "$(curl -sS "$url/api/session" | grep -c '"demo":false')" = 1 ] || fail "no demo elsewhere"
ok "with a password it listens elsewhere, without the demo"
does logs; grep -q 'RequestLog' "$root/said" || fail "logs show requests"; ok "logs"

does stop
rm -f "$LARDER_STATE"/app/jar/lib/postgresql-*.jar
does up; grep -q 'not whole' "$root/said" || fail "a half-built tree is said"; ok "a half-built tree is built again"
psql="$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -1)/psql"
does stop
node -e "require('net').createServer().listen($LARDER_PORT,'127.0.0.1')" & busy=$!
for _ in $(seq 50); do (exec 3<>"/dev/tcp/127.0.0.1/$LARDER_PORT") 2>/dev/null && break; sleep 0.1; done
refuses "port $LARDER_PORT is taken" up; kill $busy; wait $busy 2>/dev/null || true; busy=
ok "a taken port is said"
does up
PGPASSWORD="$(PG_HOME="$LARDER_HOME/pg" PG_PORT="$LARDER_PG_PORT" scripts/pg.sh password)" "$psql" -q -h 127.0.0.1 -p "$LARDER_PG_PORT" -U larder larder \
  -c "insert into flyway_schema_history (installed_rank, version, description, type, script, installed_by, execution_time, success) values (99, '99', 'later', 'SQL', 'V99__later.sql', 'x', 1, true)"
./larder stop >/dev/null
refuses 'of a newer version (step 99)' up; ok "a newer database is left alone"
refuses 'of a newer version\|nothing was changed\|no file' restore --yes "$root/none"; ok "a missing backup is said"
echo 14 >"$LARDER_HOME/pg/data/PG_VERSION" && ./larder stop >/dev/null 2>&1 || true
refuses 'is of PostgreSQL 14' up; ok "a database of an older PostgreSQL is said"
LARDER_STATE=/proc/nothing refuses 'no right to write' up; ok "missing rights are said"

if [ -n "$plain_tried" ]; then
  wait "$plain_tried" && grep -q 'serving on' "$root/plain-said" ||
    { cp "$root/plain-said" "$root/said"; fail "an ordinary user is served"; }
  ok "an ordinary user with Debian's usual PATH is served"
else
  echo "commands: not tried as an ordinary user, who may not read $PWD"
fi
echo "commands: $passed passed"
