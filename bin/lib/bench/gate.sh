# See bin/bench.
. bin/lib/common.sh
. bin/lib/throwaway.sh
throwaway_start bench 8300
say "Filling: ${LEARNERS:-2000} learners with ${LINES:-500} lines each"
(set -a; . "$RUN/env"; set +a; exec php bin/lib/bench/fill.php)
php bin/lib/bench/load.php "$URL" "$RUN/app/bench.json"
