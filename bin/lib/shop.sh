# A shop that was started or installed here, as it says itself in its folder. Sets RUN, CODE, USER_OF_WEB, DB_USER,
# PG_HOME, PG_PORT and the settings. Needs ROOT.

write_shop() { # for whoever comes later: bin/artisan, bin/backup, bin/restore, bin/doctor
  cat > "$RUN/shop.half" <<SHOP
CODE=$CODE
USER_OF_WEB=$USER_OF_WEB
DB_USER=$DB_USER
PG_HOME=$PG_HOME
KEPT_BY=$KEPT_BY
PORT=$PORT
SHOP
  mv "$RUN/shop.half" "$RUN/shop"
}

read_shop() {
  local wanted=${MILLSTEP_RUN:-}
  # An installed shop is at its place; one that was started is in the clone.
  [ -n "$wanted" ] || { [ -f /var/lib/mill-step/shop ] && [ ! -f "$ROOT/storage/run/shop" ] && wanted=/var/lib/mill-step; }
  RUN=${wanted:-$ROOT/storage/run}
  if [ ! -f "$RUN/shop" ]; then
    local other="/var/lib/mill-step-$(echo "$RUN" | sha256sum | cut -c1-10)"
    [ -f "$other/shop" ] && RUN=$other
  fi
  [ -r "$RUN/shop" ] || die "no shop was started in $RUN yet. Run bin/start first, or say where it is: MILLSTEP_RUN=/folder"
  local line
  while IFS= read -r line; do
    [[ $line =~ ^(CODE|USER_OF_WEB|DB_USER|PG_HOME|KEPT_BY|PORT)=([A-Za-z0-9/._-]*)$ ]] || die "$RUN/shop is damaged at \"$line\". Start the shop again; that writes it anew."
    printf -v "${BASH_REMATCH[1]}" '%s' "${BASH_REMATCH[2]}"
  done < "$RUN/shop"
  [ -r "$RUN/env" ] || die "the settings in $RUN/env cannot be read. Run this as the user who started the shop."
  PG_PORT=$(sed -n 's/^DB_PORT=//p' "$RUN/env")
  LOGS=$RUN/logs; [ "$KEPT_BY" = systemd ] && LOGS=/var/log/mill-step
  return 0
}
