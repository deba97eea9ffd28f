#!/usr/bin/env bash
# bin/start by hand, as somebody does it at the worst moment: parts killed, the start itself killed, numbers that belong
# to somebody else by now, secrets that are gone. Prints a line a check, and how many passed and failed.
set -uo pipefail
cd "$(dirname "$0")/../.."
. bin/lib/common.sh
. bin/lib/throwaway.sh
MILLSTEP_RUN=$(mktemp -d "${TMPDIR:-/tmp}/mill-step-start.XXXXXX"); chmod 755 "$MILLSTEP_RUN"
MILLSTEP_PORT=$(free_port 8500); MILLSTEP_PG_PORT=$(free_port 26500)
export MILLSTEP_RUN MILLSTEP_PORT MILLSTEP_PG_PORT
throwaway_seed
RUN=$MILLSTEP_RUN; URL=http://127.0.0.1:$MILLSTEP_PORT
passed=0; failed=0; starter=""; stranger=""
ok() { echo "  ✓ $1"; passed=$((passed + 1)); }
no() { echo "  ✗ $1"; failed=$((failed + 1)); tail -5 "$RUN/said" 2>/dev/null; }
holds() { local what=$1; shift; if "$@"; then ok "$what"; else no "$what"; fi; }
up() { [ "$(curl -s --noproxy '*' -m 2 -o /dev/null -w '%{http_code}' "$URL/up")" = 200 ]; }
soon() { local tries; for tries in $(seq 100); do "$@" && return 0; sleep 0.2; done; return 1; }
start() { bin/start "$@" >"$RUN/said" 2>&1 & starter=$!; for _ in $(seq 900); do grep -q 'Stop it with' "$RUN/said" && return 0; kill -0 "$starter" 2>/dev/null || return 1; sleep 0.3; done; return 1; }
stop() { [ -n "$starter" ] && kill -TERM "$starter" 2>/dev/null && wait "$starter" 2>/dev/null; starter=""; return 0; }
finish() { stop; [ -n "$stranger" ] && kill "$stranger" 2>/dev/null; rm -rf "$RUN"; echo "$passed passed, $failed failed"; [ "$failed" = 0 ]; }
trap 'finish; exit $?' EXIT
part() { cat "$RUN/services/$1/group" 2>/dev/null; }
refuses() { # refuses WORDS COMMAND…: ends with an error and those words, and no line of the shell's own
  local words=$1; shift
  "$@" >"$RUN/said" 2>&1 && return 1
  grep -qF "$words" "$RUN/said" && ! grep -qE 'line [0-9]+:|unbound variable|Stack trace' "$RUN/said"
}

holds "starts" start
holds "the web workers are not root, and do not know the owner's password" bash -c '
  for pid in $(pgrep -P "$1"); do
    [ "$(id -u)" != 0 ] || [ "$(stat -c %U "/proc/$pid")" != root ] || exit 1
    ! tr "\0" "\n" < "/proc/$pid/environ" | grep -q OWNER || exit 1
  done
  ! grep -rqs "$(sed -n s/^DB_OWNER_PASSWORD=//p "$2/secrets.sh")" "$2/env" "$2/php-fpm.conf" "$2/cache"' _ "$(part php)" "$RUN"
holds "the secrets and the logs are readable for their owner alone" bash -c '[ "$(stat -c %a "$1/secrets.sh")" = 600 ] && [ "$(stat -c %a "$1/env")" = 600 ] && [ "$(stat -c %a "$1/logs")" = 700 ]' _ "$RUN"
# A stream that was opened with a right ends with it.
holds "who signs out hears nothing more on what is still open" bash -c '
  jar=$(mktemp); said=$(mktemp); url=$1
  curl -s --noproxy "*" -c "$jar" -o /dev/null "$url/api/people/me"
  token() { grep XSRF-TOKEN "$jar" | tail -1 | awk "{print \$7}" | sed "s/%3D/=/g"; }
  call() { curl -s --noproxy "*" -b "$jar" -c "$jar" -o /dev/null -w "%{http_code}" -X "$1" -H "X-XSRF-TOKEN: $(token)" -H "Content-Type: application/json" -H "Accept: application/json" ${3:+-d "$3"} "$url$2"; }
  [ "$(call POST /api/people/session "{\"email\":\"lead@millstep.example\",\"password\":\"mast-and-vane\"}")" = 200 ] || exit 1
  cp "$jar" "$jar.open"
  curl -sN --noproxy "*" -b "$jar.open" -H "Accept: text/event-stream" "$url/live/shop" >"$said" & stream=$!
  sleep 1; kill -0 "$stream" || exit 1
  [ "$(call DELETE /api/people/session)" = 204 ] || exit 1
  for _ in $(seq 50); do kill -0 "$stream" 2>/dev/null || break; sleep 0.1; done
  ! kill -0 "$stream" 2>/dev/null && [ "$(curl -s --noproxy "*" -b "$jar.open" -o /dev/null -w "%{http_code}" -H "Accept: text/event-stream" "$url/live/shop")" = 403 ]' _ "$URL"
for name in php web queue schedule database; do
  before=$(part "$name"); kill -KILL "$before"
  holds "$name is killed outright, and back within seconds" soon eval '[ -n "$(part '"$name"')" ] && [ "$(part '"$name"')" != '"$before"' ] && up'
done
# A process that stands still while it holds every decision up lets go by itself.
holds "a process that stands still in a restriction holds no gate for longer than seconds" bash -c '
  . bin/lib/common.sh; . bin/lib/settings.sh; RUN=$1; read_secrets "$RUN/secrets.sh"
  port=$(sed -n "s/^DB_PORT=//p" "$RUN/env")
  { echo "BEGIN; SELECT pg_advisory_xact_lock(7301156);"; sleep 40; } | PGPASSWORD=$DB_PASSWORD psql -qtAX -h 127.0.0.1 -p "$port" -U millstep_app -d millstep >/dev/null 2>&1 & stuck=$!
  sleep 1
  begun=$(date +%s)
  PGPASSWORD=$DB_PASSWORD psql -qtAX -h 127.0.0.1 -p "$port" -U millstep_app -d millstep -c "SELECT pg_advisory_xact_lock_shared(7301156)" >/dev/null; code=$?
  took=$(( $(date +%s) - begun )); pkill -P "$stuck" 2>/dev/null; kill "$stuck" 2>/dev/null
  [ "$code" = 0 ] && [ "$took" -ge 5 ] && [ "$took" -le 25 ]' _ "$RUN"
# Without its database it says so, and nothing else breaks.
sv down "$RUN/services/database"; sleep 1
holds "/up says that the database is away" bash -c 'curl -s --noproxy "*" -m 5 "$1/up" | grep -q database_away' _ "$URL"
sv up "$RUN/services/database"
holds "and is well again with it" soon up
holds "a second start says that it runs already" refuses "it is running already" bin/start

# The start itself is killed: its parts go on, and the next start takes their place.
kill -KILL "$starter"; wait "$starter" 2>/dev/null; sleep 1
sleep 600 & stranger=$!
holds "a start after one that was killed clears up and starts" start
stop
# A number in a file that is somebody else's process by now.
for name in php web queue schedule database; do mkdir -p "$RUN/services/$name"; echo "$stranger" > "$RUN/services/$name/group"; done
echo "$stranger" > "$RUN/runsvdir.pid"; echo "$stranger" > "$RUN/start.pid"
holds "a stale number is not believed: it starts" start
holds "and whoever has that number now is left alone" kill -0 "$stranger"
stop

cp "$RUN/secrets.sh" "$RUN/kept"
sed -i 's/^DB_PASSWORD=.*/DB_PASSWORD=$(touch oops)/' "$RUN/secrets.sh"
holds "a damaged secret is said in a sentence" refuses "DB_PASSWORD in $RUN/secrets.sh is missing or damaged" bin/start
rm "$RUN/secrets.sh"
holds "secrets that are gone are not made anew over a database" refuses "the database is there, but its secrets" bin/start
cp "$RUN/kept" "$RUN/secrets.sh"
MILLSTEP_DEMO=perhaps; export MILLSTEP_DEMO
holds "MILLSTEP_DEMO is yes or no" refuses 'MILLSTEP_DEMO must be true or false, not "perhaps"' bin/start
MILLSTEP_DEMO=off
holds "a real shop does not start with the demo's accounts" refuses "demo accounts with a known password are still active" bin/start
unset MILLSTEP_DEMO
MILLSTEP_URL='not an address'; export MILLSTEP_URL
holds "an address that is none is said" refuses "MILLSTEP_URL must be how people reach the shop" bin/start
MILLSTEP_URL=https://shop.example; MILLSTEP_PROXY=127.0.0.1; export MILLSTEP_PROXY
holds "starts behind TLS" start
holds "cookies are for TLS alone, and HSTS is said" bash -c 'curl -s --noproxy "*" -D - -o /dev/null "$1/api/people/me" > "$2/said"; grep -qi "^strict-transport-security:" "$2/said" && grep -i "^set-cookie: millstep_session" "$2/said" | grep -qi "; secure"' _ "$URL" "$RUN"
holds "a mailed link leads to the public address" bash -c '
  cd "$3" && jar=$(mktemp) && curl -s --noproxy "*" -c "$jar" -o /dev/null "$1/api/people/me"
  token=$(grep XSRF-TOKEN "$jar" | awk "{print \$7}" | sed "s/%3D/=/g")
  cookies=$(awk "/XSRF-TOKEN|millstep_session/ {printf \"%s=%s; \", \$6, \$7}" "$jar"); rm -f "$jar"
  curl -s --noproxy "*" -o /dev/null -H "Cookie: $cookies" -H "X-XSRF-TOKEN: $token" -H "Content-Type: application/json" -H "Accept: application/json" -d "{\"email\":\"lead@millstep.example\"}" "$1/api/people/password-reset"
  curl -s --noproxy "*" "$1/api/people/mailbox" | grep -q "https:\\\\/\\\\/shop.example\\\\/reset"' _ "$URL" "$RUN" "$PWD"
stop
