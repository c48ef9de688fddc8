#!/usr/bin/env bash
# Times lists in the demo's shop, then with some 3 000 castings in the shop and 50 000 handed over, and prints how much longer they
# take. In a folder of its own; needs curl. SHOP and ARCHIVE say how often the demo's castings are written again.
set -euo pipefail
cd "$(dirname "$0")/.."
export HOMALON_HOME=${HOMALON_HOME:-$(mktemp -d /tmp/homalon-size.XXXXXX)} HOMALON_PORT=${HOMALON_PORT:-8680} HOMALON_PG_PORT=${HOMALON_PG_PORT:-8681}
export HOMALON_GAUGE_PORT=0 HOMALON_WATCH_PORT=${HOMALON_WATCH_PORT:-8683}
base=http://127.0.0.1:$HOMALON_PORT
jar=$HOMALON_HOME.cookies
log=$HOMALON_HOME.log
pages=(/alive / '/batch?with=T-0401' /parts/T-0424/compare /parts/T-0424/compare/others '/find?q=ferry' '/find?q=T-04' '/find?q=nothing' '/find?q=ferrie+wriggt' '/find?q=bore+88' '/find?q=ferry+late' '/find?q=2026-11+four' '/find/list?q=fe' /find '/customers?q=terns' '/customers/names?customer=tern' '/parts/known?castingNumber=77'  /parts/new /stuck/customer)

token() { curl -s -m 10 -b "$jar" -c "$jar" "$base$1" | grep -o 'name="_\?csrf"[^>]*\(value\|content\)="[^"]*"' | head -1 | sed 's/.*="//;s/"$//'; }
# the middle of 80 answers to each page, in ms, after as many to get warm
times() {
  local p many args
  for p in "${pages[@]}"; do
    args=()
    for many in $(seq 80); do args+=(-o /dev/null "$base$p"); done
    curl -s -m 300 -b "$jar" "${args[@]}" >/dev/null
    curl -s -m 300 -b "$jar" -w '%{time_total}\n' "${args[@]}" | sort -n | awk -v p="$p" '{ a[NR] = $1 } END { printf "%s %.1f\n", p, a[int(NR / 2)] * 1000 }'
  done
}

trap './homalon stop >/dev/null; rm -rf "$HOMALON_HOME" "$HOMALON_HOME".*' EXIT
./homalon demo >"$log" 2>&1 &
script=$!
until grep -qx ready "$log"; do kill -0 "$script" || { cat "$log"; exit 1; }; sleep 0.3; done
curl -s -m 10 -o /dev/null -b "$jar" -c "$jar" --data-urlencode "_csrf=$(token /sign-in)" -d 'login=ines&password=saltmarsh-demo' "$base/sign-in"
times >/dev/null
times >"$HOMALON_HOME.few"
PGPASSFILE=$HOMALON_HOME/run/pgpass psql -q -h 127.0.0.1 -p "$HOMALON_PG_PORT" -U homalon_admin -d homalon_demo \
  -v shop="${SHOP:-94}" -v archive="${ARCHIVE:-1250}" -f bench/grow.sql >/dev/null
times >"$HOMALON_HOME.many"
echo "| page | demo, ms | many castings, ms | times |"
echo "|---|---|---|---|"
paste -d' ' "$HOMALON_HOME.few" "$HOMALON_HOME.many" | awk '{ printf "| %s | %s | %s | %.1f |\n", $1, $2, $4, $4 / $2 }'
