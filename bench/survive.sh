#!/usr/bin/env bash
# Kills the application, PostgreSQL, or the command with the application, again and again in the middle of keying readings and
# passes, and looks whether everything that was answered with "kept" is there, once. KILLS says how often (default 12). Runs in a
# folder of its own; needs curl.
set -euo pipefail
cd "$(dirname "$0")/.."
export HOMALON_HOME=${HOMALON_HOME:-$(mktemp -d /tmp/homalon-survive.XXXXXX)} HOMALON_PORT=${HOMALON_PORT:-8580} HOMALON_PG_PORT=${HOMALON_PG_PORT:-8581}
export HOMALON_GAUGE_PORT=0 HOMALON_WATCH_PORT=${HOMALON_WATCH_PORT:-8583}
kills=${KILLS:-12}
base=http://127.0.0.1:$HOMALON_PORT
jar=$HOMALON_HOME.cookies
log=$HOMALON_HOME.log
face=/parts/T-0419/face
cut=/parts/T-0424/cut

start() {
  ./homalon demo >"$log" 2>&1 &
  script=$!
  until grep -qx ready "$log"; do kill -0 "$script" || { cat "$log"; exit 1; }; sleep 0.3; done
}
up() { until [ "$(curl -s -m 3 -o /dev/null -w '%{http_code}' "$base/sign-in")" = 200 ]; do kill -0 "$script" 2>/dev/null || return 1; sleep 0.2; done; }
token() { curl -s -m 10 -b "$jar" -c "$jar" "$base$1" | grep -o 'name="_\?csrf"[^>]*\(value\|content\)="[^"]*"' | head -1 | sed 's/.*="//;s/"$//'; }
sign_in() { rm -f "$jar"; curl -s -m 10 -o /dev/null -b "$jar" -c "$jar" --data-urlencode "_csrf=$(token /sign-in)" -d 'login=ines&password=saltmarsh-demo' "$base/sign-in"; }

# key <seconds until the kill> <what to kill>: three readings, a pass, and so on; writes the id of each that was kept
key() {
  local csrf place id n=0 code
  csrf=$(token $face)
  curl -s -o /dev/null -b "$jar" -H "X-CSRF-TOKEN: $csrf" -d density=CLOSE "$base$face/start"
  mapfile -t places < <(curl -s -b "$jar" "$base$face" | grep -o 'button type="button" data-place="[^"]*"' | sed 's/.*="//;s/"//')
  # shellcheck disable=SC2086
  (sleep "$1"; kill -9 $2 2>/dev/null) &
  for ((n = 0; n < 4000; n++)); do
    id=$(cat /proc/sys/kernel/random/uuid)
    if [ $((n % 4)) = 3 ]; then
      code=$(curl -s -m 5 -o /dev/null -w '%{http_code}' -b "$jar" -H 'X-Keying: 1' -H "X-CSRF-TOKEN: $csrf" \
        -d "id=$id&typed=0.001&unit=MM" "$base$cut/readings") || true
    else
      place=${places[n % ${#places[@]}]}
      code=$(curl -s -m 5 -o /dev/null -w '%{http_code}' -b "$jar" -H 'X-Keying: 1' -H "X-CSRF-TOKEN: $csrf" \
        -d "id=$id&place=$place&typed=0.0$((n % 50 + 10))&unit=MM&seen=999999999&sure=true" "$base$face/readings") || true
    fi
    if [ "$code" = 200 ]; then echo "$id" >>"$HOMALON_HOME.kept"; else echo "$id $code" >>"$HOMALON_HOME.open"; break; fi
  done
  echo "stopped after $n with answer $code"
}

check() {
  sign_in
  { curl -s -b "$jar" "$base/parts/T-0419/record.json"; curl -s -b "$jar" "$base/parts/T-0424/record.json"; } >"$HOMALON_HOME.record"
  local lost twice
  grep -o '"id" : "[0-9a-f-]*"' "$HOMALON_HOME.record" | sed 's/.*: "//;s/"//' | sort >"$HOMALON_HOME.there"
  lost=$(sort "$HOMALON_HOME.kept" | comm -23 - <(sort -u "$HOMALON_HOME.there") | wc -l)
  twice=$(uniq -d "$HOMALON_HOME.there" | sort | comm -12 - <(sort "$HOMALON_HOME.kept") | wc -l)
  echo "$(wc -l <"$HOMALON_HOME.kept") kept, $lost lost, $twice twice"
  [ "$lost" = 0 ] && [ "$twice" = 0 ]
}

trap './homalon stop >/dev/null; [ -n "${KEEP:-}" ] || rm -rf "$HOMALON_HOME" "$HOMALON_HOME".*' EXIT
: >"$HOMALON_HOME.kept"
start
sign_in
for ((k = 1; k <= kills; k++)); do
  java=$(cat "$HOMALON_HOME/run/java.pid")
  case $((k % 3)) in
    1) what=$java name="the application" ;;
    2) what=$(head -1 "$HOMALON_HOME"/pg/postmaster.pid) name=PostgreSQL ;;
    0) what="$script $java" name="the command and the application" ;;
  esac
  key "$(awk -v s="$RANDOM" 'BEGIN { srand(s); print 0.5 + 2.5 * rand() }')" "$what"
  echo "kill $k: $name"
  if [ $((k % 3)) = 0 ]; then wait "$script" 2>/dev/null || true; start; fi
  sleep 1
  up || { cat "$log"; exit 1; }
  check
done
echo "nothing lost, nothing twice"
