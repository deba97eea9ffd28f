# What the product is built from: Debian packages, Composer packages, npm packages, the built front end.
# Each step leaves a stamp, so that a second run does nothing and needs no network.

APT_PACKAGES="git curl unzip ca-certificates procps util-linux runit gnupg postgresql postgresql-client nginx-light libnginx-mod-nchan composer php-league-config
  php8.2-cli php8.2-fpm php8.2-pgsql php8.2-mbstring php8.2-intl php8.2-xml php8.2-curl php8.2-zip php8.2-bcmath php8.2-apcu php8.2-gd nodejs npm"

stamp_of() { cat "$@" | sha256sum | cut -d' ' -f1; }
fresh() { [ "$(cat "$STAMPS/$1" 2>/dev/null)" = "$2" ]; }
stamp() { mkdir -p "$STAMPS"; echo "$2" > "$STAMPS/$1"; }

# wait_for_apt: while somebody else installs, says who, and waits.
wait_for_apt() {
  local lock holder said=""
  command -v fuser >/dev/null || return 0
  for _ in $(seq 600); do
    holder=""
    for lock in /var/lib/dpkg/lock-frontend /var/lib/dpkg/lock /var/lib/apt/lists/lock; do
      holder=${holder:-$(as_root fuser "$lock" 2>/dev/null | awk '{print $1}')}
    done
    [ -z "$holder" ] && return 0
    [ "$holder" = "$said" ] || say "Waiting: $(ps -o comm= -p "$holder" 2>/dev/null || echo another program) (process $holder) is installing packages."
    said=$holder; sleep 1
  done
  die "another program (process $holder) has held Debian's package lock for ten minutes. End it, or wait until it is done, and start again."
}

install_system() { # install_system [MORE PACKAGES…]
  local missing="" package
  for package in $APT_PACKAGES "$@"; do
    # A machine may have Node and Composer from elsewhere.
    case $package in
      nodejs|npm) command -v "${package/nodejs/node}" >/dev/null && continue ;;
      composer) command -v composer >/dev/null && continue ;;
    esac
    dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q 'ok installed' || missing="$missing $package"
  done
  [ -z "$missing" ] && return
  say "Installing Debian packages:$missing"
  wait_for_apt
  as_root apt-get -o DPkg::Lock::Timeout=600 update -qq || die "the Debian package lists could not be fetched. Is there a network?"
  # Debian would make a cluster of its own; the product brings its own.
  as_root mkdir -p /etc/postgresql-common/createcluster.d
  echo 'create_main_cluster = false' | as_root tee /etc/postgresql-common/createcluster.d/mill-step.conf >/dev/null
  # shellcheck disable=SC2086
  as_root env DEBIAN_FRONTEND=noninteractive apt-get -o DPkg::Lock::Timeout=600 install -y -qq --no-install-recommends $missing >"$LOGS/apt.log" 2>&1 \
    || { tail -5 "$LOGS/apt.log" >&2; die "a Debian package could not be installed; see $LOGS/apt.log."; }
}

install_composer() {
  local want; want=$(stamp_of composer.json packages/compat/composer.json)
  if ! { fresh composer "$want" && [ -f vendor/autoload.php ]; }; then
    say "Installing Composer packages"
    COMPOSER_ALLOW_SUPERUSER=1 composer install --no-interaction --no-progress --quiet >"$LOGS/composer.log" 2>&1 \
      || { tail -20 "$LOGS/composer.log" >&2; die "Composer could not install; see $LOGS/composer.log."; }
    stamp composer "$want"
  fi
  # The map of classes knows files by their places: whoever pulls a change that moves some has it written anew.
  want=$(find app core/src packages -name '*.php' | sort | sha256sum | cut -d' ' -f1)
  fresh classes "$want" || { composer dump-autoload --optimize --quiet --no-scripts >>"$LOGS/composer.log" 2>&1 && stamp classes "$want"; }
}

install_npm() {
  local want; want=$(stamp_of package.json package-lock.json)
  if ! { fresh npm "$want" && [ -d node_modules/vue ]; }; then
    say "Installing npm packages"
    npm ci --no-progress >"$LOGS/npm.log" 2>&1 || { tail -20 "$LOGS/npm.log" >&2; die "npm could not install; see $LOGS/npm.log."; }
    stamp npm "$want"
  fi
}

build_front() {
  local want; want=$(find resources docs/openapi.json vite.config.ts package-lock.json -type f ! -name schema.ts -print0 | sort -z | xargs -0 sha256sum | sha256sum | cut -d' ' -f1)
  if ! { fresh front "$want" && [ -f public/build/manifest.json ] && [ -f resources/js/api/schema.ts ]; }; then
    say "Building the front end"
    npm run --silent build >"$LOGS/build.log" 2>&1 || { tail -20 "$LOGS/build.log" >&2; die "the front end could not be built; see $LOGS/build.log."; }
    stamp front "$want"
  fi
}
