#!/usr/bin/env bash
# A backup of a running shop, and its way back: on another place, over what is there, and never by halves.
set -uo pipefail
cd "$(dirname "$0")/../.."
. bin/lib/common.sh
. bin/lib/throwaway.sh
passed=0; failed=0
holds() { local what=$1; shift; if "$@" >"$RUN/said" 2>&1; then echo "  ✓ $what"; passed=$((passed + 1)); else echo "  ✗ $what"; failed=$((failed + 1)); tail -5 "$RUN/said"; fi; }
refused() { local words=$1; shift; "$@" >"$RUN/refusal" 2>&1 && return 1; grep -qF "$words" "$RUN/refusal"; }
throwaway_start backup 8550
other=$(mktemp -d "${TMPDIR:-/tmp}/mill-step-other.XXXXXX"); chmod 755 "$other"
trap 'throwaway_stop; rm -rf "$other"; echo "$passed passed, $failed failed"; exit $((failed > 0))' EXIT
export MILLSTEP_BACKUP_PASSPHRASE="a phrase for this test alone"
lines() { bin/artisan competency:verify | grep -oE '^[0-9]+ lines'; }
had=$(lines)
holds "a running shop is backed up" bin/backup "$RUN/one.backup"
holds "what is in it cannot be read without the phrase" bash -c '[ "$(stat -c %a "$1")" = 600 ] && ! grep -aqE "millstep|APP_KEY|competency" "$1"' _ "$RUN/one.backup"
holds "nothing is written over a backup that is there" refused "is there already" bin/backup "$RUN/one.backup"
holds "a short phrase is refused" refused "at least 12 characters" env MILLSTEP_BACKUP_PASSPHRASE=short bin/backup "$RUN/two.backup"
# Somebody is forgotten after the backup: what is put back has to forget them again, and verify has to hold.
. bin/lib/settings.sh; . bin/lib/shop.sh; ROOT=$PWD
ask() { (read_shop; read_secrets "$RUN/secrets.sh"; set -a; . "$RUN/env"; PGPASSWORD=$PG_ADMIN_PASSWORD psql -XtA -h 127.0.0.1 -p "$DB_PORT" -U millstep_admin -d millstep -c "$1"); }
dump() { (read_shop; read_secrets "$RUN/secrets.sh"; set -a; . "$RUN/env"; PGPASSWORD=$PG_ADMIN_PASSWORD pg_dump -h 127.0.0.1 -p "$DB_PORT" -U millstep_admin millstep); }
gone=$(ask "SELECT learner_id FROM competency_ledger WHERE type = 'incident_hold' ORDER BY seq LIMIT 1")
named=$(ask "SELECT name FROM people_users WHERE id = $gone")
why=$(ask "SELECT count(*) FROM competency_texts t JOIN competency_ledger l ON l.id = t.line WHERE l.learner_id = $gone")
said() { [ "$why" -gt 0 ] && dump | grep -cF "$named"; }
holds "a dump says the name of whoever is there" said
forget() { (read_shop; as_web php "$ROOT/tests/stack/forget.php" "$gone"); }
holds "somebody is forgotten" forget
holds "verify says so" bin/artisan competency:verify
nowhere() { [ -n "$named" ] && [ "$(dump | grep -cF "$named")" = 0 ]; }
holds "no dump says the name any more" nowhere
mkdir -p "$other/anchors"; cp "$RUN/anchors/forgotten.jsonl" "$other/anchors/"; chmod -R go+rX "$other/anchors"
holds "a running shop is not restored over" refused "is running" bin/restore --over "$RUN/one.backup"
export MILLSTEP_RUN=$other
holds "another phrase opens nothing" refused "could not be opened" env MILLSTEP_BACKUP_PASSPHRASE="another long phrase" bin/restore "$RUN/one.backup"
head -c 40000 "$RUN/one.backup" > "$RUN/cut.backup"
holds "a backup that was cut is refused whole" refused "could not be opened" bin/restore "$RUN/cut.backup"
holds "and nothing was made of either" bash -c '! ls "$1"/secrets.sh "$1"/postgres/data >/dev/null 2>&1' _ "$other"
holds "it is restored on another place, and proved against its anchors" bin/restore "$RUN/one.backup"
holds "a shop that is there is not overwritten" refused "there is a shop in" bin/restore "$RUN/one.backup"
MILLSTEP_PORT=$(free_port 8570); export MILLSTEP_PORT
bin/start >"$other/start.log" 2>&1 & second=$!
for _ in $(seq 200); do grep -q 'Stop it with' "$other/start.log" && break; sleep 0.3; done
# Two lines more: whoever was forgotten since was forgotten again.
holds "the restored shop starts, with every line" bash -c '[ "$1" -ge "$2" ] && [ "$1" -le "$(($2 + 3))" ]' _ "$(lines | grep -oE '^[0-9]+')" "$(grep -oE '^[0-9]+' <<< "$had")"
holds "who was forgotten since is forgotten there, too" nowhere
kill -TERM "$second"; wait "$second" 2>/dev/null
# Somebody cuts the ledger's tail off inside a backup: its own anchors tell.
holds "a ledger that was cut in the database is told by its anchors" bash -c '
  . bin/lib/common.sh; . bin/lib/settings.sh; . bin/lib/shop.sh; ROOT=$PWD; LOGS=$1/logs; . bin/lib/postgres.sh
  read_shop; read_secrets "$RUN/secrets.sh"; pg_start
  echo "ALTER TABLE competency_ledger DISABLE TRIGGER ALL; DELETE FROM competency_folds; DELETE FROM competency_ledger WHERE seq = (SELECT max(seq) FROM competency_ledger); ALTER TABLE competency_ledger ENABLE TRIGGER ALL;" | pg_sql millstep
  said=$(artisan competency:verify 2>&1); pg_stop; echo "$said"; echo "$said" | grep -q "The tail was cut off"' _ "$other"
