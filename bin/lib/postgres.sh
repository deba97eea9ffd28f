# A PostgreSQL cluster of the project's own. Needs PG_HOME (its folder) and PG_PORT.

PG_BIN=$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -1)

# PostgreSQL refuses to run as root: then it runs as the user that Debian made for it.
pg_as() { if [ "$(id -u)" = 0 ]; then (cd / && runuser -u "${DB_USER:-postgres}" -- "$@"); else "$@"; fi; }

# pg_home WANTED: that folder if PostgreSQL's user can reach it, else one where it can.
pg_home() {
  mkdir -p "$1"
  if [ "$(id -u)" = 0 ]; then
    chown "${DB_USER:-postgres}" "$1"
    runuser -u "${DB_USER:-postgres}" -- test -w "$1" 2>/dev/null || {
      local other="/var/lib/mill-step-$(echo "$1" | sha256sum | cut -c1-10)"
      mkdir -p "$other" && chown "${DB_USER:-postgres}" "$other"
      echo "$other"; return
    }
  fi
  echo "$1"
}

# pg_init AUTH: makes the cluster if there is none. What an interrupted start left is cleared away first.
pg_init() {
  [ -f "$PG_HOME/data/PG_VERSION" ] && return
  rm -rf "$PG_HOME/data.half-made"
  pg_as "$PG_BIN/initdb" -D "$PG_HOME/data.half-made" -U millstep_admin -E UTF8 --locale=C.UTF-8 --no-instructions "$@" >"$LOGS/initdb.log" 2>&1 \
    || { tail -5 "$LOGS/initdb.log" >&2; die "the database could not be made; see $LOGS/initdb.log."; }
  pg_as mv "$PG_HOME/data.half-made" "$PG_HOME/data"
}

pg_start() { # pg_start OPTIONS…
  pg_as "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -l "$PG_HOME/postgres.log" -w -t 30 \
    -o "-p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=$PG_HOME $*" start >/dev/null \
    || { tail -5 "$PG_HOME/postgres.log" >&2; die "the database did not start; see $PG_HOME/postgres.log."; }
}

# pg_wait: until the watched server answers.
pg_wait() {
  for _ in $(seq 300); do pg_as "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$PG_PORT" && return; sleep 0.1; done
  die "the database did not start; see $LOGS/database/current."
}

pg_running() { pg_as "$PG_BIN/pg_ctl" -D "$PG_HOME/data" status >/dev/null 2>&1; }
pg_stop() { pg_running && pg_as "$PG_BIN/pg_ctl" -D "$PG_HOME/data" -m fast -w stop >/dev/null; return 0; }

# pg_sql DATABASE: runs what comes on standard input as the cluster's administrator.
pg_sql() { PGPASSWORD="${PG_ADMIN_PASSWORD:-}" psql -qtAX -v ON_ERROR_STOP=1 -h 127.0.0.1 -p "$PG_PORT" -U millstep_admin -d "$1"; }

# pg_roles_and_database DATABASE: the owner of the tables, the application's limited role, the database.
pg_roles_and_database() {
  pg_sql postgres <<SQL
DO \$\$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'millstep_owner') THEN CREATE ROLE millstep_owner LOGIN; END IF;
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'millstep_app') THEN CREATE ROLE millstep_app LOGIN; END IF;
END \$\$;
ALTER ROLE millstep_owner PASSWORD '$DB_OWNER_PASSWORD';
ALTER ROLE millstep_app PASSWORD '$DB_PASSWORD';
-- A process that stands still in the middle of something holds nobody else up for long.
ALTER ROLE millstep_app SET statement_timeout = '30s';
ALTER ROLE millstep_app SET idle_in_transaction_session_timeout = '15s';
SELECT 'CREATE DATABASE $1 OWNER millstep_owner' WHERE NOT EXISTS (SELECT FROM pg_database WHERE datname = '$1') \gexec
SQL
}
