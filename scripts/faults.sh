#!/usr/bin/env bash
# Mixed faults on an installation of its own: two processes behind nginx on one database, four editors, four who write
# down what was seen, slow clients and floods; processes and database killed at random, the disk full now and then.
#   scripts/faults.sh [MINUTES [SEED]]
set -euo pipefail
cd "$(dirname "${BASH_SOURCE[0]}")/.."
minutes="${1:-60}"; seed="${2:-$(date +%s)}"
free_port() { node -e 'const s=require("net").createServer();s.listen(0,"127.0.0.1",()=>{console.log(s.address().port);s.close()})'; }
root="$(mktemp -d /var/tmp/wise-larder-faults.XXXXXX)"; chmod 755 "$root"
export LARDER_STATE="$root/state" LARDER_HOME="$root/home" LARDER_PORT LARDER_PG_PORT LARDER_WARM_UP=false
mkdir -p "$LARDER_STATE" "$LARDER_HOME"; cp -r "${LARDER_BUILT:?run ./larder bench faults}" "$LARDER_STATE/app"
LARDER_PORT="$(free_port)"; LARDER_PG_PORT="$(free_port)"; second="$(free_port)"; front="$(free_port)"
export DISK=
if [ "$(id -u)" = 0 ] && mount -t tmpfs -o size=1200m,mode=755 none "$LARDER_HOME" 2>/dev/null; then DISK=1; else echo "the disk is not filled: that takes root, who may mount one"; fi
nginx=; other=
trap '[ -z "$nginx" ] || kill $nginx 2>/dev/null; [ -z "$other" ] || kill $other 2>/dev/null; ./larder stop >/dev/null 2>&1 || true
  cp "$LARDER_HOME/log/app.log" /var/tmp/wise-larder-faults.log 2>/dev/null || true
  [ -z "$DISK" ] || umount -l "$LARDER_HOME"; rm -rf "$root"' EXIT
./larder up >/dev/null
LARDER_PORT=$second SERVE_ONCE_SEEN=$root scripts/serve.sh ./larder serve >>"$root/second.log" 2>&1 & other=$!
mkdir -p "$root/nginx"
cat >"$root/nginx/nginx.conf" <<CONF
pid $root/nginx/pid; error_log $root/nginx/error.log; events { worker_connections 512; }
http {
  access_log off; client_body_temp_path $root/nginx/body; proxy_temp_path $root/nginx/proxy;
  fastcgi_temp_path $root/nginx/f; uwsgi_temp_path $root/nginx/u; scgi_temp_path $root/nginx/s;
  upstream larder { server 127.0.0.1:$LARDER_PORT max_fails=1 fail_timeout=2s; server 127.0.0.1:$second max_fails=1 fail_timeout=2s; }
  server { listen 127.0.0.1:$front; client_max_body_size 12m;
    location / { proxy_pass http://larder; proxy_set_header Host localhost; proxy_connect_timeout 2s; proxy_next_upstream error timeout; } }
}
CONF
nginx -p "$root/nginx" -c "$root/nginx/nginx.conf" -e "$root/nginx/error.log" -g 'daemon off;' & nginx=$!
export PROXY="http://127.0.0.1:$front" EMAIL=ada@farm.example PASSWORD="red clover hay" FILL="$LARDER_HOME/fill"
until curl -sf -o /dev/null "$PROXY/actuator/health/readiness" && curl -sf -o /dev/null "http://127.0.0.1:$second/actuator/health"; do sleep 1; done
jar="$root/jar"
post() { curl -sS -b "$jar" -c "$jar" -X POST -H "X-XSRF-TOKEN: $(awk '$6 == "XSRF-TOKEN" {print $7}' "$jar")" -H 'Content-Type: application/json' "$@"; }
curl -sS -o /dev/null -c "$jar" "$PROXY/api/session"
post -o /dev/null -d "{\"name\": \"Ada\", \"email\": \"$EMAIL\", \"password\": \"$PASSWORD\"}" "$PROXY/api/people/first"
PLANS=; for _ in 1 2 3 4; do
  PLANS="$PLANS $(post -d @server/src/main/resources/demo/spruce-hollow.json "$PROXY/api/farms/file" | node -pe 'JSON.parse(require("fs").readFileSync(0)).plan')"
done
export PLANS="${PLANS# }" APPS="$(cat "$LARDER_STATE/app.pid") $other" DATA="$LARDER_HOME/pg/data"
export PG="env PG_HOME=$LARDER_HOME/pg PG_PORT=$LARDER_PG_PORT scripts/pg.sh"
PGPASSWORD="$($PG password)"; export PGPASSWORD
export PSQL="psql -qAt -h 127.0.0.1 -p $LARDER_PG_PORT -U larder larder"
echo "seed $seed, $minutes minutes"
node scripts/faults.mjs "$minutes" "$seed"
