# A backup's file: a tar of one folder, encrypted with a passphrase (gpg, AES-256, with a check that nothing was altered).

# passphrase_from SAYS: MILLSTEP_BACKUP_PASSPHRASE, the file in MILLSTEP_BACKUP_PASSPHRASE_FILE, or asked; in PASSPHRASE.
passphrase_from() {
  if [ -n "${MILLSTEP_BACKUP_PASSPHRASE_FILE:-}" ]; then
    [ -r "$MILLSTEP_BACKUP_PASSPHRASE_FILE" ] || die "the passphrase in $MILLSTEP_BACKUP_PASSPHRASE_FILE cannot be read."
    PASSPHRASE=$(head -1 "$MILLSTEP_BACKUP_PASSPHRASE_FILE")
  elif [ -n "${MILLSTEP_BACKUP_PASSPHRASE:-}" ]; then
    PASSPHRASE=$MILLSTEP_BACKUP_PASSPHRASE
  elif [ -t 0 ]; then
    read -r -s -p "$1 " PASSPHRASE; echo
  else
    die "a passphrase is needed: in MILLSTEP_BACKUP_PASSPHRASE, or in a file named by MILLSTEP_BACKUP_PASSPHRASE_FILE."
  fi
  [ "${#PASSPHRASE}" -ge 12 ] || die "the passphrase must have at least 12 characters: the backup holds the shop's keys."
}

quiet_gpg() { # with a key folder of its own, gone afterwards; the passphrase comes on file descriptor 3
  local home; home=$(mktemp -d); chmod 700 "$home"
  local code=0
  gpg --homedir "$home" --batch --quiet --no-tty --pinentry-mode loopback --passphrase-fd 3 "$@" 3<<<"$PASSPHRASE" || code=$?
  gpgconf --homedir "$home" --kill all >/dev/null 2>&1 || true
  rm -rf "$home"
  return "$code"
}

seal() { tar -C "$1" -cf - . | quiet_gpg --symmetric --cipher-algo AES256 --s2k-digest-algo SHA512 --s2k-count 65011712 --output "$2"; } # seal FOLDER FILE
unseal() { quiet_gpg --decrypt "$1" | tar -C "$2" -xf -; } # unseal FILE FOLDER
