# What the servers are started with: secrets, environment, php-fpm and nginx. Shared by bin/start and bin/install.
# Needs RUN (state), CODE (the application), USER_OF_WEB (empty: whoever runs this), MASTERS (root where php-fpm and
# nginx are started as root and step down themselves), PORT, PG_PORT, PUSH_PORT.

# --- secrets: made once, readable for the owner alone
SECRETS="APP_KEY PG_ADMIN_PASSWORD DB_OWNER_PASSWORD DB_PASSWORD MILLSTEP_SHOP_KEY"

make_secrets() { # make_secrets FILE DATABASE_IS_THERE
  if [ ! -f "$1" ]; then
    [ "$2" = no ] || die "the database is there, but its secrets ($1) are not. Put them back from a backup: bin/restore --secrets FILE. Nothing was changed."
    (umask 077; cat > "$1.half" <<MADE
APP_KEY=base64:$(head -c 32 /dev/urandom | base64)
PG_ADMIN_PASSWORD=$(secret)
DB_OWNER_PASSWORD=$(secret)
DB_PASSWORD=$(secret)
MILLSTEP_SHOP_KEY=$(head -c 32 /dev/urandom | base64)
MADE
    )
    mv "$1.half" "$1"
  fi
  # A shop that was made before the ledger had seals gets its key now; the lines before stay as they are.
  grep -q '^MILLSTEP_SHOP_KEY=' "$1" || { grep -q '^DB_PASSWORD=.' "$1" && echo "MILLSTEP_SHOP_KEY=$(head -c 32 /dev/urandom | base64)" >> "$1"; }
}

# Reads the file without running it: what is in there is data, and a damaged line is said in a sentence.
read_secrets() { # read_secrets FILE
  local name value
  [ -r "$1" ] || die "the secrets in $1 cannot be read. Start as the user who made them."
  for name in $SECRETS; do
    value=$(sed -n "s/^$name=//p" "$1" | head -1)
    case $name in
      APP_KEY) [[ $value =~ ^base64:[A-Za-z0-9+/]{43}=$ ]] ;;
      MILLSTEP_SHOP_KEY) [[ $value =~ ^[A-Za-z0-9+/]{43}=$ ]] ;;
      *) [[ $value =~ ^[A-Za-z0-9]{16,64}$ ]] ;;
    esac || die "$name in $1 is missing or damaged. Put the file back from a backup: bin/restore --secrets FILE. Nothing was changed."
    printf -v "$name" '%s' "$value"
  done
}

# --- what may be set from outside
yes_or_no() { # yes_or_no NAME VALUE: prints true or false, or says what may stand there
  case $(printf '%s' "$2" | tr '[:upper:]' '[:lower:]') in
    true|yes|on|1) echo true ;;
    false|no|off|0) echo false ;;
    *) die "$1 must be true or false, not \"$2\"." ;;
  esac
}

read_settings() {
  DEMO=$(yes_or_no MILLSTEP_DEMO "${MILLSTEP_DEMO:-true}") || exit 1
  LISTEN=${MILLSTEP_LISTEN:-127.0.0.1}
  [[ $LISTEN =~ ^[0-9a-fA-F.:]+$ ]] || die "MILLSTEP_LISTEN must be an address of this machine, such as 127.0.0.1 or 0.0.0.0, not \"$LISTEN\"."
  [[ $LISTEN == *:* ]] && LISTEN="[$LISTEN]"
  ADDRESS=${MILLSTEP_URL:-http://127.0.0.1:$PORT}; ADDRESS=${ADDRESS%/}
  [[ $ADDRESS =~ ^https?://[]A-Za-z0-9.:_[-]+$ ]] || die "MILLSTEP_URL must be how people reach the shop, such as https://shop.example, not \"$ADDRESS\"."
  SECURE=false; [[ $ADDRESS == https://* ]] && SECURE=true
  # Whose word for the caller's address is believed: the proxy that does TLS.
  PROXY=${MILLSTEP_PROXY:-}
  [[ $PROXY =~ ^[0-9a-fA-F.:/\ ]*$ ]] || die "MILLSTEP_PROXY must be addresses of proxies, such as 127.0.0.1, not \"$PROXY\"."
  WORKERS=${MILLSTEP_WORKERS:-6}
  [[ $WORKERS =~ ^[1-9][0-9]?$ ]] || die "MILLSTEP_WORKERS must be a number from 1 to 99, not \"$WORKERS\"."
}

# What the application knows. The password of the tables' owner is not among it: migrations run apart.
write_env() {
  (umask 077; cat > "$RUN/env.half" <<ENV
APP_NAME="Mill Step"
APP_ENV=production
APP_DEBUG=false
APP_KEY=$APP_KEY
APP_URL=$ADDRESS
APP_CONFIG_CACHE=$RUN/cache/config.php
APP_ROUTES_CACHE=$RUN/cache/routes.php
APP_EVENTS_CACHE=$RUN/cache/events.php
APP_PACKAGES_CACHE=$RUN/cache/packages.php
APP_SERVICES_CACHE=$RUN/cache/services.php
LARAVEL_STORAGE_PATH=$RUN/app
MILLSTEP_DEMO=$DEMO
MILLSTEP_SHOP_KEY=$MILLSTEP_SHOP_KEY
MILLSTEP_ANCHORS=${MILLSTEP_ANCHORS:-$RUN/anchors/ledger.jsonl}
MILLSTEP_ANCHORS_COPY=${MILLSTEP_ANCHORS_COPY:-$RUN/app/anchors-copy.jsonl}
MILLSTEP_BACKUPS=${MILLSTEP_BACKUPS:-$RUN/backups}
MILLSTEP_PUSH_URL=http://127.0.0.1:$PUSH_PORT/publish
SESSION_SECURE_COOKIE=$SECURE
DB_PORT=$PG_PORT
DB_DATABASE=millstep
DB_PASSWORD=$DB_PASSWORD
DB_PERSISTENT=true
CACHE_STORE=database
GATE_LIMITS_STORE=apc
QUEUE_CONNECTION=database
LOG_CHANNEL=stderr
LOG_LEVEL=warning
ENV
  for name in MAIL_MAILER MAIL_HOST MAIL_PORT MAIL_USERNAME MAIL_PASSWORD MAIL_FROM_ADDRESS; do
    [ -n "${!name:-}" ] && printf '%s="%s"\n' "$name" "$(printf '%s' "${!name}" | sed 's/["$`\\]/\\&/g')" >> "$RUN/env.half"
  done
  true)
  mv "$RUN/env.half" "$RUN/env"
}

write_fpm() {
  local user=""
  [ "$MASTERS" = root ] && user=$(printf 'user = %s\ngroup = %s\nlisten.owner = %s\nlisten.group = %s' "$USER_OF_WEB" "$USER_OF_WEB" "$USER_OF_WEB" "$USER_OF_WEB")
  (umask 077; cat > "$RUN/php-fpm.conf" <<CONF
[global]
error_log = /dev/null
pid = $RUN/tmp/php-fpm.pid
daemonize = no
log_limit = 8192
[millstep]
$user
listen = $RUN/tmp/php-fpm.sock
listen.mode = 0600
listen.backlog = 511
pm = static
pm.max_children = $WORKERS
pm.max_requests = 5000
request_terminate_timeout = 60s
catch_workers_output = yes
decorate_workers_output = no
php_admin_value[memory_limit] = 256M
php_admin_value[upload_max_filesize] = 8M
php_admin_value[post_max_size] = 20M
$(sed -E 's/^([A-Z_]+)="?([^"]*)"?$/env[\1] = "\2"/' "$RUN/env")
CONF
  # Only at start can these be set; the exceptions that are written down quote no arguments.
  cat > "$RUN/php.ini" <<CONF
opcache.enable = 1
opcache.validate_timestamps = 0
opcache.max_accelerated_files = 20000
opcache.memory_consumption = 192
opcache.interned_strings_buffer = 32
opcache.preload = $CODE/bootstrap/preload.php
$([ "$MASTERS" = root ] && echo "opcache.preload_user = $USER_OF_WEB")
zend.exception_ignore_args = On
expose_php = Off
display_errors = Off
log_errors = On
CONF
  )
}

# Headers for every answer. Scripts, styles, pictures and fonts come from here and are never written into a page.
# The machine that does TLS is told to be asked by TLS only.
headers() {
  cat <<CONF
add_header Content-Security-Policy "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self' ws://127.0.0.1:* ws://localhost:*; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'" always;
add_header X-Content-Type-Options nosniff always;
add_header X-Frame-Options DENY always;
add_header Referrer-Policy same-origin always;
add_header Permissions-Policy "camera=(self), microphone=(), geolocation=()" always;
add_header Cross-Origin-Opener-Policy same-origin always;
CONF
  [ "$SECURE" = true ] && echo 'add_header Strict-Transport-Security "max-age=31536000" always;'
  true
}

problem() { # problem STATUS CODE WORDS: what nginx itself refuses, in the API's shape
  cat <<CONF
    error_page $1 /problem-$1;
    location = /problem-$1 { internal; default_type application/json; return $1 '{"message":"$3","code":"$2","errors":{}}'; }
CONF
}

write_nginx() {
  headers > "$RUN/headers.conf"
  local real="" https="" proxy
  for proxy in $PROXY; do real="$real set_real_ip_from $proxy;"; done
  [ -n "$real" ] && real="$real real_ip_header X-Forwarded-For; real_ip_recursive on;"
  [ "$SECURE" = true ] && https='fastcgi_param HTTPS on;'
  cat > "$RUN/nginx.conf" <<CONF
$([ "$MASTERS" = root ] && echo "user $USER_OF_WEB;")
load_module /usr/lib/nginx/modules/ngx_nchan_module.so;
worker_processes 1;
pid $RUN/tmp/nginx.pid;
error_log stderr warn;
events { worker_connections 2048; }
http {
  include /etc/nginx/mime.types;
  default_type application/octet-stream;
  access_log off;
  server_tokens off;
  client_max_body_size 8m;
  large_client_header_buffers 4 16k;
  gzip on; gzip_types text/css application/javascript application/json image/svg+xml;
  client_body_temp_path $RUN/tmp/body; proxy_temp_path $RUN/tmp/proxy; fastcgi_temp_path $RUN/tmp/fastcgi;
  uwsgi_temp_path $RUN/tmp/uwsgi; scgi_temp_path $RUN/tmp/scgi;
  $real
  # Where the application says that something changed; reachable from this machine alone.
  server {
    listen 127.0.0.1:$PUSH_PORT;
    location ~ ^/publish/([a-z0-9-]+)\$ {
      nchan_publisher;
      nchan_channel_id \$1;
      nchan_message_buffer_length 1;
      nchan_message_timeout 5s;
    }
    location / { return 404; }
  }
  server {
    listen $LISTEN:$PORT;
    root $CODE/public;
    include $RUN/headers.conf;
$(problem 400 bad_request 'This request cannot be read. Reload the page and try again.')
$(problem 413 too_large 'This is too large to send: at most 8 MB.')
$(problem 414 too_large 'This address is too long.')
$(problem 502 away 'Mill Step is starting again and is back in a moment. No machine is switched on meanwhile.')
$(problem 504 away 'Mill Step did not answer in time. Nothing is switched on without an answer; try again.')
    location /build/ { expires 1y; include $RUN/headers.conf; add_header Cache-Control "public, immutable"; try_files \$uri =404; }
    location / { try_files \$uri /index.php?\$query_string; }
    # A photograph that no tablet made small.
    location ~ ^/api/assessment/attempts/[0-9a-f-]+/photos\$ { client_max_body_size 20m; try_files \$uri /index.php?\$query_string; }
    location = /index.php {
      client_max_body_size 20m;
      fastcgi_pass unix:$RUN/tmp/php-fpm.sock;
      include /etc/nginx/fastcgi_params;
      fastcgi_param HTTP_HOST \$host:\$server_port;
      fastcgi_param HTTP_PROXY "";
      fastcgi_param SCRIPT_FILENAME $CODE/public/index.php;
      $https
    }
    # Screens listen here for changes; the application says who may listen to what.
    location ~ ^/live/([a-z0-9-]+)\$ {
      set \$channel \$1;
      auth_request /live-auth;
      nchan_subscriber eventsource;
      nchan_channel_id \$channel;
      nchan_subscriber_first_message newest;
      nchan_eventsource_ping_interval 15;
      # And asked anew now and then, whatever was not told.
      nchan_subscriber_timeout 600;
      include $RUN/headers.conf;
      add_header X-Accel-Buffering no;
    }
    location = /live-auth {
      internal;
      fastcgi_pass unix:$RUN/tmp/php-fpm.sock;
      include /etc/nginx/fastcgi_params;
      fastcgi_pass_request_body off;
      fastcgi_param CONTENT_LENGTH "";
      fastcgi_param REQUEST_METHOD GET;
      fastcgi_param REQUEST_URI /api/live/channels/\$channel;
      fastcgi_param HTTP_ACCEPT application/json;
      fastcgi_param HTTP_HOST \$host:\$server_port;
      fastcgi_param SCRIPT_FILENAME $CODE/public/index.php;
      $https
    }
    location ~ \.php\$ { return 404; }
  }
}
CONF
}

# Folders that the application writes to, and nobody else reads.
make_folders() {
  local folder
  mkdir -p "$RUN/tmp" "$RUN/cache" "$RUN/app"/framework/{cache/data,sessions,views} "$RUN/app/logs" "$RUN/app/media" "$RUN/anchors"
  for folder in tmp cache app anchors; do
    [ -n "$USER_OF_WEB" ] && chown -R "$USER_OF_WEB" "$RUN/$folder"
    chmod 700 "$RUN/$folder"
  done
}

# Whoever starts the shop has an environment of their own, and who knows what is in it.
clean_environment() { local name; for name in $(compgen -e); do case $name in PATH|TERM|LANG|TZ) ;; *) unset "$name" ;; esac; done; }

# as_web COMMAND…: runs it as the application's user, with the application's settings and nothing else of ours.
as_web() {
  (
    clean_environment
    set -a; . "$RUN/env"; set +a
    cd "$CODE"
    if [ -n "$USER_OF_WEB" ]; then exec setpriv --reuid="$USER_OF_WEB" --regid="$USER_OF_WEB" --init-groups "$@"; else exec "$@"; fi
  )
}
artisan() { as_web php artisan "$@"; }

# Runs once, as the owner of the tables; with no cached settings, and its password in no file that the servers read.
migrate() {
  (
    set -a; . "$RUN/env"; set +a
    cd "$CODE"
    # As root the settings are read as root, but what it writes belongs to the application's user.
    DB_OWNER_PASSWORD=$DB_OWNER_PASSWORD APP_CONFIG_CACHE=$RUN/cache/none.php LARAVEL_STORAGE_PATH=$RUN/app LOG_CHANNEL=stderr \
      php artisan migrate --database=owner --force --quiet
  )
}
