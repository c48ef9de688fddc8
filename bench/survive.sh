#!/usr/bin/env bash
# Kills the application, PostgreSQL, or the command with the application, again and again in the middle of keying readings, passes
# and passes of a batch, of taking in scans and of handing over, and looks whether everything that was answered with "kept" is
# there, once and whole. At the end a backup is restored elsewhere and must hold as much. KILLS says how often (default 12),
# INSTANCES how many work on the one database (1 or 2). Runs in folders of its own; needs curl.
set -euo pipefail
cd "$(dirname "$0")/.."
export HOMALON_HOME=${HOMALON_HOME:-$(mktemp -d /tmp/homalon-survive.XXXXXX)} HOMALON_PORT=${HOMALON_PORT:-8580} HOMALON_PG_PORT=${HOMALON_PG_PORT:-8581}
export HOMALON_GAUGE_PORT=0 HOMALON_WATCH_PORT=${HOMALON_WATCH_PORT:-8583}
kills=${KILLS:-12}
instances=${INSTANCES:-1}
first=http://127.0.0.1:$HOMALON_PORT
second=http://127.0.0.1:$((HOMALON_PORT + 10))
jar=$HOMALON_HOME.cookies
log=$HOMALON_HOME.log
face=/parts/T-0419/face
cut=/parts/T-0450/cut
scan='/parts/T-0419/scan?name=survive&separator=,&decimalComma=false&skip=0&columns=3&x=0&y=1&z=2&places=MM&heights=MM'

start() {
  ./homalon demo >"$log" 2>&1 &
  script=$!
  until grep -qx ready "$log"; do kill -0 "$script" || { cat "$log"; exit 1; }; sleep 0.3; done
}
# the second instance has a home of its own and the first one's database
beside() {
  env HOMALON_HOME="$HOMALON_HOME.two" HOMALON_PORT=$((HOMALON_PORT + 10)) HOMALON_WATCH_PORT=$((HOMALON_WATCH_PORT + 10)) \
    HOMALON_DATABASE="127.0.0.1:$HOMALON_PG_PORT" ./homalon "$@"
}
start_beside() {
  beside demo >"$log.two" 2>&1 &
  beside=$!
  until grep -qx ready "$log.two"; do kill -0 "$beside" || { cat "$log.two"; exit 1; }; sleep 0.3; done
}
sql() { PGPASSFILE=$HOMALON_HOME/run/pgpass psql -qAtX -h 127.0.0.1 -p "$HOMALON_PG_PORT" -U homalon_admin -d homalon_demo -c "$1"; }
up() { until [ "$(curl -s -m 3 -o /dev/null -w '%{http_code}' "$1/sign-in")" = 200 ]; do kill -0 "$script" 2>/dev/null || return 1; sleep 0.2; done; }
token() { curl -s -m 10 -b "$jar" -c "$jar" "$first$1" | grep -o 'name="_\?csrf"[^>]*\(value\|content\)="[^"]*"' | head -1 | sed 's/.*="//;s/"$//'; }
sign_in() { rm -f "$jar"; curl -s -m 10 -o /dev/null -b "$jar" -c "$jar" --data-urlencode "_csrf=$(token /sign-in)" -d 'login=marit&password=saltmarsh-demo' "$first/sign-in"; }
new_id() { cat /proc/sys/kernel/random/uuid; }

# post <address> <curl's words>: answers with the status
post() { local to=$1; shift; curl -s -m 8 -o /dev/null -w '%{http_code}' -b "$jar" -H 'X-Keying: 1' -H "X-CSRF-TOKEN: $csrf" "$@" "$to" || true; }

# key <seconds until the kill> <what to kill>: a little of everything, turn by turn; writes down what was answered with "kept"
key() {
  local place id n code base tag
  places=()
  # Right after a kill the page may be refused once: without places there is nothing to key.
  until [ ${#places[@]} -gt 0 ]; do
    csrf=$(token $face || true)
    curl -s -o /dev/null -b "$jar" -H "X-CSRF-TOKEN: $csrf" -d density=CLOSE "$first$face/start" || true
    mapfile -t places < <(curl -s -b "$jar" "$first$face" | grep -o 'button type="button" data-place="[^"]*"' | sed 's/.*="//;s/"//')
    [ ${#places[@]} -gt 0 ] || { sleep 1; sign_in || true; }
  done
  # Who runs then is asked for then: a command starts an application that died anew.
  (sleep "$1"; eval "kill -9 $2" 2>/dev/null) &
  for ((n = 0; n < 4000; n++)); do
    id=$(new_id)
    base=$first
    if [ "$instances" = 2 ] && [ $((n % 2)) = 1 ]; then base=$second; fi
    case $((n % 8)) in
      3) what=ledger_line code=$(post "$base$cut/readings" -d "id=$id&typed=0.001&unit=MM") ;;
      5) what=batch code=$(post "$base/batch/$batch/readings" -d "id=$id&typed=0.001&unit=MM") ;;
      6) what=scan code=$(post "$base$scan&id=$id" -H 'Content-Type: application/octet-stream' --data-binary @"$HOMALON_HOME.scan") ;;
      7)
        tag=Z-$((RANDOM * 10 + n % 10 + 10000))
        code=$(post "$base/parts" -d "tag=$tag&name=Survivor&customer=Bench&kind=HEAD&cylinders=4&bore=84+mm&spacing=96+mm&material=CAST_IRON&version=0&boltRows=SHARED&waterHoles=4&dowels=0&chambers=BATHTUB&intakeSide=bottom&firstNumber=1&numberStep=1")
        case $code in 302|422) ;; *) break ;; esac
        what=handed id=$tag code=$(post "$base/parts/$tag/report" --data-urlencode "note=to see whether it stays")
        if [ "$code" = 302 ]; then code=200; fi
        ;;
      *) what=reading place=${places[n % ${#places[@]}]} code=$(post "$base$face/readings" -d "id=$id&place=$place&typed=0.0$((n % 50 + 10))&unit=MM&seen=999999999&sure=true") ;;
    esac
    case $code in
      200) echo "$what $id" >>"$HOMALON_HOME.kept" ;;
      000|5*) break ;;
      *) echo "$what $id $code" >>"$HOMALON_HOME.refused" ;;
    esac
  done
  echo "stopped after $n with answer $code"
}

# lost <table> <column>: how many that were kept are not there
lost() { comm -23 <(sed -n "s/^$1 //p" "$HOMALON_HOME.kept" | sort -u) <(sql "$2" | sort -u) | wc -l; }

check() {
  local gone twice half
  gone=$(($(lost reading "select id from reading") + $(lost ledger_line "select id from ledger_line") + $(lost scan "select s.id from scan s join scan_text t on t.scan_id = s.id") \
    + $(lost handed "select p.tag from part p join job j on j.part_id = p.id join release r on r.job_id = j.id where j.released_at is not null")))
  # A batch names its lines from the id: each kept one gave every casting of it a line.
  gone=$((gone + $(grep -c '^batch ' "$HOMALON_HOME.kept" || true) > $(sql "select count(*) / $members from ledger_line where batch_id = '$batch' and typed = '0.001'") ? gone + 1 : gone))
  twice=$(sql "select count(*) from (select id from reading group by id having count(*) > 1 union all select id from ledger_line group by id having count(*) > 1) t")
  half=$(sql "select (select count(*) from (select count(distinct n) from (select job_id, count(*) n from ledger_line where batch_id = '$batch' group by job_id) c having count(distinct n) > 1) h)
    + (select count(*) from job j join part p on p.id = j.part_id where p.tag like 'Z-%' and j.released_at is not null and not exists (select from release r where r.job_id = j.id))
    + (select count(*) from scan s where not exists (select from scan_text t where t.scan_id = s.id))
    + (select count(*) from release r where (select count(*) from release_paper w where w.job_id = r.job_id) < 4)")
  echo "$(wc -l <"$HOMALON_HOME.kept") kept ($(cut -d' ' -f1 "$HOMALON_HOME.kept" | sort | uniq -c | awk '{ printf "%s%s %s", sep, $1, $2; sep = ", " }')), $gone lost, $twice twice, $half half"
  [ "$gone" = 0 ] && [ "$twice" = 0 ] && [ "$half" = 0 ]
}

# As much of everything in what is restored elsewhere as was there.
restore() {
  local counts="select (select count(*) from reading), (select count(*) from ledger_line), (select count(*) from scan_text), (select count(*) from release), (select count(*) from release_paper)"
  local before file
  before=$(sql "$counts")
  mkdir -p "$HOMALON_HOME.backups"
  file=$(./homalon backup "$HOMALON_HOME.backups")
  ./homalon check "$file"
  (
    export HOMALON_HOME=$HOMALON_HOME.restored HOMALON_PORT=$((HOMALON_PORT + 20)) HOMALON_PG_PORT=$((HOMALON_PG_PORT + 20)) HOMALON_WATCH_PORT=$((HOMALON_WATCH_PORT + 20))
    ./homalon restore "$file"
    ./homalon demo >"$HOMALON_HOME.log" 2>&1 &
    until grep -qx ready "$HOMALON_HOME.log"; do kill -0 $! || { cat "$HOMALON_HOME.log"; exit 1; }; sleep 0.3; done
    after=$(sql "$counts")
    ./homalon stop >/dev/null
    echo "restored: $after of $before"
    [ "$after" = "$before" ]
  )
}

end() {
  if [ "$instances" = 2 ]; then beside stop >/dev/null || true; fi
  ./homalon stop >/dev/null
  [ -n "${KEEP:-}" ] || rm -rf "$HOMALON_HOME" "$HOMALON_HOME".*
}
trap end EXIT
: >"$HOMALON_HOME.kept"
: >"$HOMALON_HOME.refused"
awk 'BEGIN { srand(1); for (i = 0; i < 400; i++) printf "%.2f,%.2f,%.4f\n", rand() * 412, rand() * 150, rand() * 0.02 }' >"$HOMALON_HOME.scan"
# The first ending writes the archive of classes, which makes every later start quicker.
start
./homalon stop >/dev/null
wait "$script" 2>/dev/null || true
start
if [ "$instances" = 2 ]; then
  mkdir -p "$HOMALON_HOME.two"
  cp -r "$HOMALON_HOME/secrets" "$HOMALON_HOME/app.stamp" "$HOMALON_HOME/work" "$HOMALON_HOME.two/"
  start_beside
fi
sign_in
batch=$(sql "select b.id from batch b order by made_at limit 1")
members=$(sql "select count(*) from batch_member where batch_id = '$batch'")
for ((k = 1; k <= kills; k++)); do
  java='$(cat "$HOMALON_HOME/run/java.pid")'
  case $((k % (2 + instances))) in
    1) kill=$java name="the application" ;;
    2) kill='$(head -1 "$HOMALON_HOME/pg/postmaster.pid")' name=PostgreSQL ;;
    3) kill='$(cat "$HOMALON_HOME.two/run/script.pid" "$HOMALON_HOME.two/run/java.pid")' name="the other command and application" ;;
    0) kill="$script $java" name="the command and the application" ;;
  esac
  key "$(awk -v s="$RANDOM" 'BEGIN { srand(s); print 0.5 + 4 * rand() }')" "$kill"
  echo "kill $k: $name"
  if [ "$name" = "the command and the application" ]; then wait "$script" 2>/dev/null || true; start; fi
  if [ "$name" = "the other command and application" ]; then wait "$beside" 2>/dev/null || true; start_beside; fi
  sleep 1
  up "$first" || { cat "$log"; exit 1; }
  if [ "$instances" = 2 ]; then up "$second"; fi
  sign_in
  check
done
if [ -s "$HOMALON_HOME.refused" ]; then echo "refused: $(cut -d' ' -f1,3 "$HOMALON_HOME.refused" | sort | uniq -c | tr '\n' ';')"; fi
restore
echo "nothing lost, nothing twice, nothing half"
