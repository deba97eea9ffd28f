# Where the application's user reads the application: the clone itself, or a copy where it cannot reach the clone
# (one under a private home). Needs ROOT and USER_OF_WEB.

reaches() { [ -z "$USER_OF_WEB" ] || setpriv --reuid="$USER_OF_WEB" --regid="$USER_OF_WEB" --init-groups test -r "$1" -a -x "$(dirname "$1")"; }

code_home() { # code_home OTHER: prints the clone, or OTHER after copying what the servers read to it
  if reaches "$ROOT/public/index.php" && reaches "$ROOT/vendor/autoload.php"; then echo "$ROOT"; return; fi
  copy_code "$1"
  echo "$1"
}

copy_code() { # copy_code FOLDER: what the servers read, whole or not at all
  local part
  rm -rf "$1.half"; mkdir -p "$1.half"
  for part in app artisan bootstrap composer.json config content core database docs/openapi.json lang packages public resources routes stand-ins vendor; do
    [ -e "$ROOT/$part" ] || continue
    mkdir -p "$1.half/$(dirname "$part")"; cp -a "$ROOT/$part" "$1.half/$part"
  done
  # What is only for tests is not loaded there.
  (cd "$1.half" && COMPOSER_ALLOW_SUPERUSER=1 composer dump-autoload --no-dev --optimize --no-scripts --quiet) || die "the copy in $1 could not be made ready."
  chmod -R u+rwX,go+rX,go-w "$1.half"
  rm -rf "$1.old"; [ -d "$1" ] && mv "$1" "$1.old"
  mv "$1.half" "$1"; rm -rf "$1.old"
}

# state_home WANTED: that folder if the servers' users can pass through it, else one under /var/lib.
state_home() {
  mkdir -p "$1"; chmod go+x "$1"
  if [ -n "$USER_OF_WEB" ] && ! setpriv --reuid="$USER_OF_WEB" --regid="$USER_OF_WEB" --init-groups test -x "$1"; then
    local other="/var/lib/mill-step-$(echo "$1" | sha256sum | cut -c1-10)"
    mkdir -p "$other"; chmod 711 "$other"
    echo "$other"; return
  fi
  echo "$1"
}
