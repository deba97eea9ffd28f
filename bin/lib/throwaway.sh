# A shop of its own for a while, on a disk, with the demo data: for benches, kills and odd requests. Sets RUN and URL.

throwaway_start() { # throwaway_start NAME PORT
  export MILLSTEP_RUN; MILLSTEP_RUN=$(mktemp -d "${TMPDIR:-/tmp}/mill-step-$1.XXXXXX"); chmod 755 "$MILLSTEP_RUN"
  export MILLSTEP_PORT; MILLSTEP_PORT=$(free_port "$2")
  export MILLSTEP_PG_PORT; MILLSTEP_PG_PORT=$(free_port $((MILLSTEP_PORT + 2000)))
  throwaway_seed
  RUN=$MILLSTEP_RUN; export URL=http://127.0.0.1:$MILLSTEP_PORT
  trap throwaway_stop EXIT
  trap 'exit 130' INT TERM
  bin/start >"$RUN/start.log" 2>&1 & starter=$!
  for _ in $(seq 600); do grep -q 'Stop it with' "$RUN/start.log" && return; kill -0 "$starter" 2>/dev/null || break; sleep 0.5; done
  tail -20 "$RUN/start.log" >&2; exit 1
}

# Where the tests have loaded the demo already, a shop starts from a copy of it.
throwaway_seed() { [ ! -e "${MILLSTEP_SEED:-}/ready" ] || { cp -a "$MILLSTEP_SEED/." "$MILLSTEP_RUN/" && rm -f "$MILLSTEP_RUN/ready"; }; }

throwaway_stop() {
  trap - EXIT
  kill -TERM "$starter" 2>/dev/null || true
  wait "$starter" 2>/dev/null || true
  rm -rf "$MILLSTEP_RUN"
}
