#!/usr/bin/env bash
# bench/same.sh COMMIT: whether every page, record and paper of the demo says what it said at COMMIT. Starts both demos one after the
# other, writes down what each says (homalon.bench.Recorded) and prints what differs; nothing printed and 0 when all is the same.
# What a change was asked to change differs rightly: look at the lines.
set -euo pipefail
cd "$(dirname "$0")/.."
[ $# = 1 ] || { echo "bench/same.sh COMMIT" >&2; exit 2; }
work=$(mktemp -d /tmp/homalon-same.XXXXXX)
chmod 755 "$work"
trap 'git worktree remove --force "$work/then" 2>/dev/null || true; rm -rf "$work"' EXIT
git worktree add -q --detach "$work/then" "$1"
mvn -B -ntp -q -DskipTests -Dspotless.check.skip=true -P bench -pl core,bench package

# record FOLDER-OF-THE-PROGRAM NAME
record() {
  export HOMALON_HOME=$work/$2.home HOMALON_PORT=${HOMALON_PORT:-8690} HOMALON_PG_PORT=${HOMALON_PG_PORT:-8691}
  export HOMALON_GAUGE_PORT=0 HOMALON_WATCH_PORT=${HOMALON_WATCH_PORT:-8693}
  : >"$work/$2.log"
  (cd "$1" && ./homalon demo) >>"$work/$2.log" 2>&1 &
  local script=$!
  until grep -qx ready "$work/$2.log"; do kill -0 "$script" || { cat "$work/$2.log" >&2; exit 1; }; sleep 0.5; done
  RECORD_FROM=http://127.0.0.1:$HOMALON_PORT RECORD_TO=$work/$2 \
    mvn -B -ntp -q -P bench -pl core,bench -DskipTests -Dspotless.check.skip=true -Dbench.main=homalon.bench.Recorded integration-test >&2
  (cd "$1" && ./homalon stop) >/dev/null
  wait "$script" || true
}

record "$work/then" before
record "$PWD" after
diff -r -U0 "$work/before" "$work/after"
