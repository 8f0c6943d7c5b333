#!/usr/bin/env bash
# Runs the application and starts it again when it ends by itself, such as when its memory ran out.
#   SERVE_ONCE_SEEN=FILE scripts/serve.sh COMMAND...
# What ends before FILE is there, which is made when it has answered, cannot start at all: it is not tried again.
set -uo pipefail
[ $# -gt 0 ] || { echo "usage: serve.sh COMMAND..." >&2; exit 2; }
child=; stopping=
trap 'stopping=1; [ -z "$child" ] || kill "$child" 2>/dev/null' TERM INT
while :; do
  from=$SECONDS
  "$@" & child=$!
  wait "$child"; code=$?
  while kill -0 "$child" 2>/dev/null; do wait "$child"; code=$?; done   # a signal ends a wait, not the child
  [ -z "$stopping" ] || exit 0
  [ $code != 0 ] && [ -e "${SERVE_ONCE_SEEN:?}" ] || exit $code
  echo "serve: the application ended (code $code) after $((SECONDS - from)) s and is started again" >&2
  sleep 1
done
