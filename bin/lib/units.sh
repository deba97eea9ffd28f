# The systemd units of an installed shop. Needs what settings.sh needs, and PG_HOME, PG_BIN, DB_USER, UNITS, LOGS, SETTINGS.

# What holds for every part, also the one that is root.
sandboxed() { # sandboxed WRITES…
  cat <<UNIT
NoNewPrivileges=yes
ProtectSystem=strict
ReadWritePaths=$*
ProtectHome=yes
PrivateTmp=yes
PrivateDevices=yes
ProtectClock=yes
ProtectHostname=yes
ProtectKernelTunables=yes
ProtectKernelModules=yes
ProtectKernelLogs=yes
ProtectControlGroups=yes
RestrictAddressFamilies=AF_UNIX AF_INET AF_INET6
RestrictNamespaces=yes
RestrictRealtime=yes
RestrictSUIDSGID=yes
LockPersonality=yes
SystemCallArchitectures=native
UMask=0077
UNIT
}

# Nobody here needs more than its own folders, the loopback and the network; nothing is root.
hardened() { # hardened WRITES…
  sandboxed "$@"
  cat <<UNIT
ProtectProc=invisible
ProcSubset=pid
RemoveIPC=yes
SystemCallFilter=@system-service
SystemCallFilter=~@privileged @resources
SystemCallErrorNumber=EPERM
UNIT
}

unit() { cat > "$UNITS/mill-step-$1"; }

write_units() {
  local web_needs="" part
  # A port below 1024 takes that one right and no other.
  [ "$PORT" -lt 1024 ] && web_needs=CAP_NET_BIND_SERVICE
  mkdir -p "$UNITS"
  cat > "$UNITS/mill-step.target" <<UNIT
[Unit]
Description=Mill Step, the whole shop
Documentation=file:$CODE/docs/operations.md
Wants=mill-step-database.service mill-step-php.service mill-step-web.service mill-step-queue.service mill-step-schedule.service mill-step-backup.timer
After=network.target

[Install]
WantedBy=multi-user.target
UNIT
  unit database.service <<UNIT
[Unit]
Description=Mill Step's database
PartOf=mill-step.target
After=network.target

[Service]
Type=notify
User=$DB_USER
ExecStart=$PG_BIN/postgres -D $PG_HOME/data -p $PG_PORT -c listen_addresses=127.0.0.1 -c unix_socket_directories=$PG_HOME -c logging_collector=off -c log_min_error_statement=panic -c log_error_verbosity=terse -c log_parameter_max_length_on_error=0 -c log_parameter_max_length=0 -c dynamic_shared_memory_type=mmap
KillMode=mixed
KillSignal=SIGINT
TimeoutSec=120
Restart=always
RestartSec=1
StandardOutput=append:$LOGS/database.log
StandardError=inherit
CapabilityBoundingSet=
OOMScoreAdjust=-500
$(hardened "$PG_HOME")

[Install]
WantedBy=mill-step.target
UNIT
  unit php.service <<UNIT
[Unit]
Description=Mill Step's application
PartOf=mill-step.target
After=mill-step-database.service
Wants=mill-step-database.service

[Service]
Type=notify
User=$USER_OF_WEB
ExecStart=/usr/sbin/php-fpm8.2 -F -O -c $RUN/php.ini -y $RUN/php-fpm.conf
ExecReload=/bin/kill -USR2 \$MAINPID
Restart=always
RestartSec=1
StandardOutput=append:$LOGS/application.log
StandardError=inherit
CapabilityBoundingSet=
$(hardened "$RUN/tmp $RUN/app $RUN/anchors")

[Install]
WantedBy=mill-step.target
UNIT
  unit web.service <<UNIT
[Unit]
Description=Mill Step's web server
PartOf=mill-step.target
After=mill-step-php.service

[Service]
Type=exec
User=$USER_OF_WEB
ExecStart=/usr/sbin/nginx -c $RUN/nginx.conf -e stderr -g 'daemon off;'
KillSignal=SIGQUIT
TimeoutStopSec=15
Restart=always
RestartSec=1
StandardOutput=append:$LOGS/web.log
StandardError=inherit
AmbientCapabilities=$web_needs
CapabilityBoundingSet=$web_needs
MemoryDenyWriteExecute=yes
$(hardened "$RUN/tmp")

[Install]
WantedBy=mill-step.target
UNIT
  for part in "queue:queue\\x3awork --sleep=2 --tries=3 --max-time=3600:letters and other work that waits" "schedule:schedule\\x3awork:what is done by the clock"; do
    local name=${part%%:*} rest=${part#*:}
    unit "$name.service" <<UNIT
[Unit]
Description=Mill Step: ${rest#*:}
PartOf=mill-step.target
After=mill-step-database.service
Wants=mill-step-database.service

[Service]
Type=exec
User=$USER_OF_WEB
EnvironmentFile=$RUN/env
ExecStart=/usr/bin/php8.2 $CODE/artisan ${rest%%:*}
Restart=always
RestartSec=1
StandardOutput=append:$LOGS/$name.log
StandardError=inherit
CapabilityBoundingSet=
$(hardened "$RUN/app $RUN/anchors $RUN/cache")

[Install]
WantedBy=mill-step.target
UNIT
    sed -i 's/\\x3a/:/' "$UNITS/mill-step-$name.service"
  done
  unit backup.service <<UNIT
[Unit]
Description=Mill Step: the daily backup
After=mill-step-database.service

[Service]
Type=oneshot
Environment=MILLSTEP_RUN=$RUN MILLSTEP_BACKUP_PASSPHRASE_FILE=$SETTINGS/backup.passphrase
ExecStart=$CODE/bin/backup
StandardOutput=append:$LOGS/backup.log
StandardError=inherit
# Root, since it reads the secrets; it may step down to the application's user, and write where backups are.
CapabilityBoundingSet=CAP_DAC_READ_SEARCH CAP_DAC_OVERRIDE CAP_SETUID CAP_SETGID CAP_CHOWN CAP_FOWNER
SystemCallFilter=@system-service @setuid
$(sandboxed "$RUN" "$LOGS" "${MILLSTEP_BACKUPS:-}")
UNIT
  unit backup.timer <<UNIT
[Unit]
Description=Mill Step: a backup every night
PartOf=mill-step.target

[Timer]
OnCalendar=*-*-* 01:30
Persistent=true
RandomizedDelaySec=10min

[Install]
WantedBy=timers.target
UNIT
}

# check_units: what systemd itself says of them; each service's exposure must be low.
check_units() {
  local name code=0 said limit
  SYSTEMD_UNIT_PATH="$UNITS:" systemd-analyze verify --man=no "$UNITS"/mill-step*.{service,timer,target} || code=1
  for name in database php web queue schedule backup; do
    # The backup is root for what it reads; the rest is nobody.
    limit=25; [ "$name" = backup ] && limit=55
    said=$(systemd-analyze security --offline=yes --no-pager --threshold="$limit" "$UNITS/mill-step-$name.service" 2>&1) || { code=1; echo "$said" | grep '✗' | head -20; }
    echo "$said" | tail -1
  done
  return "$code"
}
