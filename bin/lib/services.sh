# The parts that run, each watched by runit's runsv: what ends is started again within seconds, and what it left
# running is cleared away first. Needs what settings.sh needs, and PG_HOME.

SERVICES="database php web queue schedule"
DIRS=$RUN/services

# The service's own folder is its working folder, by which its processes are told from others with the same number; those
# of php-fpm, which work where a script lies while they are busy, by the socket that they hold.
CLEAR=$ROOT/bin/lib/clear-group

service() { # service NAME USER COMMAND: COMMAND is run by exec, in a process group of its own
  local dir=$DIRS/$1 as="" settings=""
  # What is secret is known to the application's own processes alone.
  case $1 in php|queue|schedule) settings="set -a; . '$RUN/env'; set +a" ;; esac
  mkdir -p "$dir/log" "$LOGS/$1"
  [ -n "$2" ] && [ "$(id -u)" = 0 ] && as="-u $2"
  cat > "$dir/run.half" <<SCRIPT
#!/bin/bash
exec 2>&1
[ -n "\${MILLSTEP_CLEAN:-}" ] || exec env -i MILLSTEP_CLEAN=1 PATH="$PATH" LANG=C.UTF-8 TZ="${TZ:-}" bash "\$0"
cd "$dir"
"$CLEAR" "$dir"
$settings
umask 077
echo \$\$ > "$dir/group"
exec chpst -P $as $3
SCRIPT
  cat > "$dir/finish.half" <<SCRIPT
#!/bin/bash
exec "$CLEAR" "$dir"
SCRIPT
  cat > "$dir/log/run.half" <<SCRIPT
#!/bin/bash
umask 077
exec svlogd -tt "$LOGS/$1"
SCRIPT
  # A megabyte a file, ten of them; readable for the owner alone.
  printf 's1000000\nn10\n' > "$LOGS/$1/config"
  chmod 700 "$LOGS/$1"
  for script in run finish log/run; do chmod 755 "$dir/$script.half"; mv "$dir/$script.half" "$dir/$script"; done
}

write_services() {
  rm -rf "$DIRS"; mkdir -p "$DIRS"
  local database=""; [ "$(id -u)" = 0 ] && database=postgres
  # No statement, no parameter and no row is quoted in the database's log.
  service database "$database" "$PG_BIN/postgres -D $PG_HOME/data -p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=$PG_HOME -c logging_collector=off \
-c log_min_error_statement=panic -c log_error_verbosity=terse -c log_parameter_max_length_on_error=0 -c log_parameter_max_length=0 -c max_connections=100 ${MILLSTEP_PG_OPTIONS:-}"
  # A fast stop: the default of TERM waits for everybody to hang up.
  mkdir -p "$DIRS/database/control"
  printf '#!/bin/bash\nkill -INT "$(cat "%s/group")"\n' "$DIRS/database" > "$DIRS/database/control/t"
  chmod 755 "$DIRS/database/control/t"
  # The settings stand in php-fpm's own configuration; root reads it, the workers do not.
  mkdir -p "$DIRS/php"; echo "$RUN/tmp/php-fpm.sock" > "$DIRS/php/socket"
  service php "" "php-fpm8.2 -F -O -c $RUN/php.ini -y $RUN/php-fpm.conf"
  service web "" "nginx -c $RUN/nginx.conf -e stderr -g 'daemon off;'"
  service queue "$USER_OF_WEB" "php $CODE/artisan queue:work --sleep=2 --tries=3 --max-time=3600"
  service schedule "$USER_OF_WEB" "php $CODE/artisan schedule:work"
}

# Only what has been started is watched: the database first, the rest when it has its tables.
watch_only() { local name; for name in $SERVICES; do [[ " $* " == *" $name "* ]] && rm -f "$DIRS/$name/down" || touch "$DIRS/$name/down"; done; }

# is_ours PID WORD: a number from a file may be anybody's by now; its command line says whose.
is_ours() { [ -n "$1" ] && [ -r "/proc/$1/cmdline" ] && tr '\0' ' ' < "/proc/$1/cmdline" | grep -qF -- "$2"; }

start_watching() {
  runsvdir -P "$DIRS" >>"$LOGS/runsvdir.log" 2>&1 & watcher=$!
  echo "$watcher" > "$RUN/runsvdir.pid"
  local name; for name in $SERVICES; do for _ in $(seq 50); do [ -p "$DIRS/$name/supervise/control" ] && break; sleep 0.1; done; done
}

begin() { local name; for name in "$@"; do rm -f "$DIRS/$name/down"; sv up "$DIRS/$name" >/dev/null || die "$name could not be started; see $LOGS/$name."; done; }

# Stops everything, the database last. Also what a start that was killed outright left behind.
stop_services() {
  local name left
  [ -d "$DIRS" ] || return 0
  for name in web php queue schedule database; do
    [ -p "$DIRS/$name/supervise/control" ] && { sv -w 20 force-stop "$DIRS/$name" >/dev/null 2>&1 || true; }
  done
  left=$(cat "$RUN/runsvdir.pid" 2>/dev/null || true)
  if is_ours "$left" "runsvdir -P $DIRS"; then
    kill -HUP "$left" 2>/dev/null || true
    for _ in $(seq 50); do kill -0 "$left" 2>/dev/null || break; sleep 0.1; done
  fi
  for name in $SERVICES; do
    # A watcher whose own watcher was killed still watches: it ends when told so.
    [ -p "$DIRS/$name/supervise/control" ] && { sv exit "$DIRS/$name" >/dev/null 2>&1 || true; }
    "$CLEAR" "$DIRS/$name"
  done
  # Whoever lost their watcher, and the watchers of those: told by the folder that they work in, which is nobody else's.
  for signal in TERM KILL; do
    left=""
    for name in /proc/[0-9]*; do case $(readlink "$name/cwd" 2>/dev/null) in "$DIRS"/*) left="$left ${name#/proc/}" ;; esac; done
    [ -z "$left" ] && break
    # shellcheck disable=SC2086
    kill -"$signal" $left 2>/dev/null || true
    sleep 0.5
  done
  rm -f "$RUN/runsvdir.pid"
  return 0
}
