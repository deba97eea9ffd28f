# See bin/bench.
. bin/lib/common.sh
. bin/lib/throwaway.sh
throwaway_start bench 8300
say "Filling: ${LEARNERS:-2000} learners with ${LINES:-500} lines each"
(set -a; . "$RUN/env"; PG_ADMIN_PASSWORD=$(sed -n 's/^PG_ADMIN_PASSWORD=//p' "$RUN/secrets.sh"); set +a; exec php bin/lib/bench/fill.php)
# shellcheck disable=SC2012
database=$(head -1 "$(. bin/lib/settings.sh; . bin/lib/shop.sh; ROOT=$PWD; read_shop; echo "$PG_HOME")/data/postmaster.pid")
php bin/lib/bench/load.php "$URL" "$RUN/app/bench.json" "$(cat "$RUN/tmp/php-fpm.pid")" "$database"
