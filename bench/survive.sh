#!/usr/bin/env bash
# Kills the application, then PostgreSQL, in the middle of keying, starts again, and looks whether every reading that was
# answered with "kept" is there. Runs in a folder of its own; needs curl.
set -euo pipefail
cd "$(dirname "$0")/.."
export HOMALON_HOME=${HOMALON_HOME:-$(mktemp -d /tmp/homalon-survive.XXXXXX)} HOMALON_PORT=${HOMALON_PORT:-8580} HOMALON_PG_PORT=${HOMALON_PG_PORT:-8581}
base=http://127.0.0.1:$HOMALON_PORT
jar=$HOMALON_HOME.cookies
log=$HOMALON_HOME.log

start() {
  ./homalon demo >"$log" 2>&1 &
  script=$!
  until grep -qx ready "$log"; do kill -0 "$script" || { cat "$log"; exit 1; }; sleep 0.3; done
}
token() { curl -s -b "$jar" -c "$jar" "$base$1" | grep -o 'name="_\?csrf"[^>]*\(value\|content\)="[^"]*"' | head -1 | sed 's/.*="//;s/"$//'; }
sign_in() { curl -s -o /dev/null -b "$jar" -c "$jar" --data-urlencode "_csrf=$(token /sign-in)" -d 'login=ines&password=saltmarsh-demo' "$base/sign-in"; }

# key <seconds until the kill> <what to kill>: keys round and round, writes the id of each kept reading to kept
key() {
  local csrf place id n=0 code
  csrf=$(token /parts/T-0419/face)
  curl -s -o /dev/null -b "$jar" -H "X-CSRF-TOKEN: $csrf" -d density=CLOSE "$base/parts/T-0419/face/start"
  mapfile -t places < <(curl -s -b "$jar" "$base/parts/T-0419/face" | grep -o 'button type="button" data-place="[^"]*"' | sed 's/.*="//;s/"//')
  (sleep "$1"; kill -9 $2) &
  for ((n = 0; n < 4000; n++)); do
    place=${places[n % ${#places[@]}]}
    id=$(cat /proc/sys/kernel/random/uuid)
    code=$(curl -s -m 5 -o /dev/null -w '%{http_code}' -b "$jar" -H 'X-Keying: 1' -H "X-CSRF-TOKEN: $csrf" \
      -d "id=$id&place=$place&typed=0.0$((n % 50 + 10))&unit=MM&seen=999999999&sure=true" "$base/parts/T-0419/face/readings") || true
    if [ "$code" = 200 ]; then echo "$id" >>"$HOMALON_HOME.kept"; else break; fi
  done
  echo "stopped after $n readings with answer $code"
}

check() {
  sign_in
  curl -s -b "$jar" "$base/parts/T-0419/record.json" >"$HOMALON_HOME.record"
  local lost=0 id
  while read -r id; do grep -q "$id" "$HOMALON_HOME.record" || lost=$((lost + 1)); done <"$HOMALON_HOME.kept"
  echo "$(wc -l <"$HOMALON_HOME.kept") kept readings looked for, $lost lost"
  [ "$lost" = 0 ]
}

trap './homalon stop >/dev/null; [ -n "${KEEP:-}" ] || rm -rf "$HOMALON_HOME" "$HOMALON_HOME".*' EXIT
: >"$HOMALON_HOME.kept"
start; sign_in
key 4 "$(cat "$HOMALON_HOME/run/java.pid")"
wait "$script" || true
echo "killed the application: $(tail -n 1 "$log")"
start; check
key 4 "$(head -1 "$HOMALON_HOME/pg/postmaster.pid")"
echo "killed PostgreSQL; while it is gone the page answers: $(curl -s -m 8 -o /dev/null -w '%{http_code}' -b "$jar" "$base/")"
kill "$script"; wait "$script" || true
start; check
key 4 "$script $(cat "$HOMALON_HOME/run/java.pid")"
echo "killed the command and the application at once; PostgreSQL was left running"
start; check
echo "nothing lost"
