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
trap './larder stop >/dev/null 2>&1; [ -z "${nginx:-}" ] || kill $nginx 2>/dev/null; [ -z "${second:-}" ] || kill $second 2>/dev/null; [ ! -d "${plain:-/none}" ] || as_user ./larder stop >/dev/null 2>&1; [ -z "${busy:-}" ] || kill $busy 2>/dev/null; rm -rf "$root"' EXIT
url="http://127.0.0.1:$LARDER_PORT"
passed=0
ok() { passed=$((passed + 1)); echo "commands: ok, $1"; }
fail() {   # said here, and kept for the end of the whole run
  mkdir -p commands/target
  { echo "commands: FAILED after $passed, $1"; sed 's/^/    /' "$root/said"; tail -5 "$LARDER_HOME/log/app.log"; } 2>&1 | tee commands/target/failed >&2
  exit 1
}
trap 'fail "line $LINENO"' ERR   # what nobody asked about and went wrong
awaits() { # awaits URL: until it answers, however slow the machine, five minutes at most
  local until=$((SECONDS + 300))
  while ! curl -fsS -m 5 "$1/actuator/health/readiness" >/dev/null 2>&1; do
    [ $SECONDS -lt $until ] || fail "$1 does not answer"
    sleep 0.25
  done
}
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
[ "$(stat -c %a "$root/all.dump")" = 600 ] || fail "nobody else reads a backup"; ok "nobody else reads a backup"
echo 'not a backup' >"$root/foreign"
refuses 'no backup of this product: nothing was changed' restore --yes "$root/foreign"; ok "a foreign file is not restored"
does up; does restore --yes "$root/all.dump"
grep -q 'serving on' "$root/said" || fail "after a restore it serves again"
[ "$(call GET /farms)" = 401 ] || fail "a backup signs nobody in"
[ "$(sign_in 'clover and timothy')" = 200 ] || fail "signing in after the restore"
call GET /farms >/dev/null; cmp -s "$root/answer" "$root/farms-before" || fail "the same farms after the round trip"
ok "backup and restore bring everything back"

pg() { PG_HOME="$LARDER_HOME/pg" PG_PORT="$LARDER_PG_PORT" scripts/pg.sh "$@"; }
sql() { PGPASSWORD="$(pg password)" "$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -1)/psql" -X -q -tA -h 127.0.0.1 -p "$LARDER_PG_PORT" -U larder larder -c "$1"; }
still_there() { # still_there WHEN: it serves, and what was there is
  curl -fsS -m 60 "$url/actuator/health/readiness" >/dev/null || fail "it serves $1"
  [ "$(sign_in 'clover and timothy')" = 200 ] || fail "the people of before are there $1"
  call GET /farms >/dev/null; cmp -s "$root/answer" "$root/farms-before" || fail "the farms of before are there $1"
}
sql "insert into flyway_schema_history (installed_rank, version, description, type, script, installed_by, execution_time, success) values (99, '99', 'later', 'SQL', 'V99__later.sql', 'x', 1, true)"
does backup "$root/newer.dump"; sql "delete from flyway_schema_history where installed_rank = 99"
refuses 'of a newer version (step 99).*nothing was changed' restore --yes "$root/newer.dump"
still_there "after a newer backup was refused"; ok "a newer backup is not restored, and it serves on"
kept="$(sql "select checksum from flyway_schema_history where version = '3'")"
sql "update flyway_schema_history set checksum = 1 where version = '3'"
does backup "$root/unfit.dump"; sql "update flyway_schema_history set checksum = $kept where version = '3'"
refuses 'does not serve: the data of before are back' restore --yes "$root/unfit.dump"
still_there "after what did not serve"; ok "the old data are kept aside until the new ones serve"
head -c 20000 "$root/all.dump" >"$root/torn.dump"
refuses 'nothing was changed' restore --yes "$root/torn.dump"
still_there "after a torn backup"; ok "a torn backup changes nothing, and it serves on"

does archive "$root/archive"; still_there "after an archive was begun"
[ "$(call POST /farms '{"name":"Later","climateId":"transition_humid","units":"METRIC","currency":"EUR","start":"2027-10-01"}')" = 200 ] || fail "a farm after the archive was begun"
call GET /farms >/dev/null; cp "$root/answer" "$root/farms-then"
then="$(sql "select to_char(clock_timestamp(), 'YYYY-MM-DD HH24:MI:SS.USOF')")"
[ "$(call POST /farms '{"name":"Mistake","climateId":"transition_humid","units":"METRIC","currency":"EUR","start":"2027-10-01"}')" = 200 ] || fail "a farm to be undone"
refuses 'is no time' rewind --yes "$root/archive" yesterdayish
refuses 'holds no archive: nothing was changed' rewind --yes "$root/none" "$then"
does rewind --yes "$root/archive" "$then"
[ "$(sign_in 'clover and timothy')" = 200 ] || fail "signing in after the rewind"
call GET /farms >/dev/null; cmp -s "$root/answer" "$root/farms-then" || fail "the farms of that moment, and none after it"
cp "$root/farms-then" "$root/farms-before"
ok "any moment since an archive was begun can be brought back"

pg stop
began=$(date +%s%N)
[ "$(curl -s -m 60 -o "$root/answer" -w '%{http_code}' "$url/api/session")" = 503 ] || fail "a database that is down is told, and not waited for"
grep -q database_down "$root/answer" || fail "a database that is down is told in words"
echo "commands: a database that is down is told after $(( ($(date +%s%N) - began) / 1000000 )) ms"
[ "$(curl -s -m 60 -o /dev/null -w '%{http_code}' "$url/actuator/health/readiness")" = 503 ] || fail "readiness knows the database"
does up; grep -q 'serving again' "$root/said" || fail "up starts a database that is down"
still_there "after its database was down"; ok "a database that is down is told, started, and nothing is lost"
java_of() { pgrep -P "$(cat "$LARDER_STATE/app.pid")" java; }
if [ "$(id -u)" = 0 ]; then
  [ "$(ps -o user= -p "$(java_of)")" = wise-lar+ ] || [ "$(ps -o uid= -p "$(java_of)" | tr -d ' ')" = "$(id -u wise-larder)" ] || fail "as root it runs as a user of its own"
  ok "as root it runs as a user of its own"
fi
before="$(java_of)"; kill -9 "$before"
awaits "$url"
[ "$(java_of)" != "$before" ] || fail "it is the same as before"
still_there "after it was killed"; ok "what is killed is started again"

printf 'meadow fescue ley\n' | ./larder password ann@farm.example >"$root/said" 2>&1 || fail "password"
[ "$(sign_in 'meadow fescue ley')" = 200 ] || fail "the new password"; ok "a lost password is set anew"
if printf 'short\n' | ./larder password ann@farm.example >"$root/said" 2>&1; then fail "a short password"; fi
grep -q '10 to 128 characters' "$root/said" || fail "a short password is told"; ok "a weak one is refused"
does up --listen 0.0.0.0; [ "$(curl -sS "$url/api/session" | grep -c '"demo":false')" = 1 ] || fail "no demo elsewhere"
ok "with a password it listens elsewhere, without the demo"
does up --behind farm.example
if command -v nginx >/dev/null && command -v openssl >/dev/null; then
  front="$root/nginx"; mkdir -p "$front"; chmod 755 "$front"; tls_port="$(free_port)"; plain_http="$(free_port)"
  openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=farm.example -keyout "$front/privkey.pem" -out "$front/fullchain.pem" 2>/dev/null
  { echo "pid $front/pid; error_log $front/error.log; events {} http { access_log off;"
    for kind in client_body proxy fastcgi uwsgi scgi; do echo "${kind}_temp_path $front/$kind;"; done
    sed -e "s#/etc/ssl/farm.example#$front#; s#listen 443 ssl#listen 127.0.0.1:$tls_port ssl#; s#listen 80#listen 127.0.0.1:$plain_http#; s#server 127.0.0.1:8420#server 127.0.0.1:$LARDER_PORT#" docs/nginx.conf
    echo "}"; } >"$front/nginx.conf"
  nginx -p "$front" -c "$front/nginx.conf" -e "$front/error.log" -g 'daemon off;' & nginx=$!
  for _ in $(seq 50); do (exec 3<>"/dev/tcp/127.0.0.1/$tls_port") 2>/dev/null && break; sleep 0.1; done
  through() { curl -sS -k -m 60 --resolve "farm.example:$tls_port:127.0.0.1" -b "$root/tls" -c "$root/tls" "$@"; }
  site="https://farm.example:$tls_port"; rm -f "$root/tls"
  through -D "$root/said" -o "$root/answer" "$site/api/session" || fail "nginx passes on"
  grep -qi '^strict-transport-security:' "$root/said" || fail "HSTS behind TLS"
  grep -i '^set-cookie:' "$root/said" | grep -qi 'secure' || fail "cookies are for TLS only"
  grep -q '"demo":false' "$root/answer" || fail "no demo behind a proxy"
  token="$(awk '$6 == "XSRF-TOKEN" {print $7}' "$root/tls")"
  # whatever address the client claims, it is one; all at once, as the limit refills while a slow machine looks at them
  statuses="$(for i in $(seq 14); do
    curl -sS -k -m 60 --resolve "farm.example:$tls_port:127.0.0.1" -b "$root/tls" -o /dev/null -w '%{http_code} ' \
      -H "X-Forwarded-For: 10.0.0.$i" -H "Forwarded: for=10.0.0.$i" -H "X-XSRF-TOKEN: $token" \
      -H 'Content-Type: application/json' -d "{\"email\":\"nobody$i@farm.example\",\"password\":\"guess\"}" "$site/api/session" &
  done; wait)"
  echo "$statuses" | grep -q 429 || fail "guesses behind a proxy are counted by the real address, not $statuses"
  grep -q 'sign-in refused: account [0-9a-f]* from 127.0.0.1' "$LARDER_HOME/log/app.log" || fail "the log names who guessed"
  [ "$(through -o /dev/null -w '%{http_code}' "http://127.0.0.1:$plain_http/" -H 'Host: farm.example')" = 301 ] || fail "plain HTTP is sent on"
  [ "$(curl -s -o /dev/null -w '%{http_code}' -H 'Host: evil.example' "$url/")" = 400 ] || fail "no other name is answered"
  ok "behind nginx as docs/nginx.conf has it: TLS only, the real address counts"

  second_port="$(free_port)"
  LARDER_PORT="$second_port" ./larder serve --behind farm.example >"$root/second-said" 2>&1 & second=$!
  sed -i "s|# server 127.0.0.1:8421|server 127.0.0.1:$second_port|" "$front/nginx.conf"; kill -HUP $nginx
  awaits "http://127.0.0.1:$second_port"
  # one session on both, and what is done on one is there on the other
  for _ in $(seq 180); do   # the guesses above were from this very address
    status="$(sign_in 'meadow fescue ley')"; [ "$status" = 200 ] && break; sleep 1
  done
  [ "$status" = 200 ] || fail "signing in beside a second process: $status"
  [ "$(call POST /farms '{"name":"Both","climateId":"transition_humid","units":"METRIC","currency":"EUR","start":"2027-10-01"}')" = 200 ] || fail "a farm on the first process"
  url="http://127.0.0.1:$second_port"
  call GET /farms >/dev/null; grep -q '"Both"' "$root/answer" || fail "a farm made on one process is there on the other"
  # twelve at once, six on each: ten are looked at where both count together, and all where each counts for itself
  token="$(awk '$6 == "XSRF-TOKEN" {print $7}' "$root/cookies")"
  statuses="$(for i in $(seq 12); do
    curl -sS -o /dev/null -w '%{http_code} ' -b "$root/cookies" -X POST -H "X-XSRF-TOKEN: $token" -H 'Content-Type: application/json' \
      -d '{"old":"wrong","password":"white clover ley"}' "http://127.0.0.1:$([ $((i % 2)) = 0 ] && echo "$second_port" || echo "$LARDER_PORT")/api/people/password" &
  done; wait)"
  echo "$statuses" | grep -q 429 || fail "two processes count guesses together, not $statuses"
  url="http://127.0.0.1:$LARDER_PORT"
  # the first is killed, with what would start it again: whoever comes through nginx does not notice
  kill -9 -- "-$(cat "$LARDER_STATE/app.pid")"
  for i in $(seq 10); do
    [ "$(through -o /dev/null -w '%{http_code}' -b "larder=$i" "$site/api/session")" = 200 ] || fail "one of two processes that is killed is not missed"
  done
  kill $second; wait $second 2>/dev/null || true; second=
  kill $nginx; wait $nginx 2>/dev/null || true; nginx=
  LARDER_PORT="$second_port" ./larder serve --role nobody >"$root/said" 2>&1 && fail "a process has a role that there is"
  LARDER_PORT="$second_port" ./larder serve --role worker >"$root/second-said" 2>&1 & second=$!
  awaits "http://127.0.0.1:$second_port"
  for path in /api/session /api/catalogue / /actuator/metrics; do
    [ "$(curl -sS -o /dev/null -w '%{http_code}' "http://127.0.0.1:$second_port$path")" = 404 ] || fail "a worker answers nothing but its health: $path"
  done
  kill $second; wait $second 2>/dev/null || true; second=
  ok "a worker tells its health and nothing else"
  does up --behind farm.example
  ok "two processes on one database: sessions, limits and changes are one; one that is killed is not missed"
else
  echo "commands: not tried behind nginx, which is not installed"
fi
does logs; grep -q 'RequestLog' "$root/said" || fail "logs show requests"; ok "logs"

does stop
rm -f "$LARDER_STATE"/app/jar/lib/postgresql-*.jar
does up; grep -q 'not whole' "$root/said" || fail "a half-built tree is said"; ok "a half-built tree is built again"
does stop
node -e "require('net').createServer().listen($LARDER_PORT,'127.0.0.1')" & busy=$!
for _ in $(seq 50); do (exec 3<>"/dev/tcp/127.0.0.1/$LARDER_PORT") 2>/dev/null && break; sleep 0.1; done
refuses "port $LARDER_PORT is taken" up; kill $busy; wait $busy 2>/dev/null || true; busy=
ok "a taken port is said"
does up
sql "insert into flyway_schema_history (installed_rank, version, description, type, script, installed_by, execution_time, success) values (99, '99', 'later', 'SQL', 'V99__later.sql', 'x', 1, true)"
./larder stop >/dev/null
refuses 'of a newer version (step 99)' up; ok "a newer database is left alone"
refuses 'no file' restore --yes "$root/none"; ok "a missing backup is said"
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
