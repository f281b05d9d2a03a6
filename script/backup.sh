# Part of ./oficina: backups, and what is made of them.
#
# A backup is a tar with a few words about it, the database as SQL, what still waits in files to be written to it, and
# the sums of these. With a passphrase it is an OpenPGP message (RFC 9580) of that tar.

BACKUP_PARTS=(about files.tar.zst database.sql.zst)

# The highest number of a change to the database that this version knows.
schema() {
  if [ -n "$INSTALLED" ]; then
    cat schema
    return
  fi
  find server/src/main/resources/db/migration -name 'V*.sql' -printf '%f\n' | sed 's/^V\([0-9]*\)__.*/\1/' | sort -n | tail -n 1
}

free_port() {
  local port
  while true; do
    port=$((20000 + RANDOM % 20000))
    port_free "$port" && echo "$port" && return
  done
}

copy_waiting() { # to : events are added at its end; two copies alike were not being written
  cp "$WAITING" "$1" 2>/dev/null || return 0
  until cmp -s "$WAITING" "$1"; do cp "$WAITING" "$1"; done
}

# What waits in files is read before the database: what moves from one to the other meanwhile is in both then, and
# whoever reads it in knows it by its number. The other way round it would be in neither.
gather() { # folder : all parts of a backup, while calls go on
  mkdir "$1/files"
  copy_waiting "$1/files/waiting.events"
  # Without it what is sealed in the database could not be read.
  [ ! -e "$HOME_DIR/secrets.key" ] || cp "$HOME_DIR/secrets.key" "$1/files/secrets.key"
  # A file that grows while it is read is as it would be had the server been killed just then.
  { tar -C "$HOME_DIR" --dereference --warning=no-file-changed --warning=no-file-removed -cf - recordings || [ $? = 1 ]; } |
    tar -C "$1/files" -xf -
  tar -C "$1/files" -cf - . | zstd -q -T0 -o "$1/files.tar.zst"
  rm -rf "$1/files"
  as_oficina mariadb-dump --single-transaction --quick --hex-blob --no-tablespaces --triggers "$DB_NAME" |
    nice zstd -q -T0 -o "$1/database.sql.zst"
  printf 'oficina backup\nschema %s\nmade %s\n' \
    "$(as_oficina mariadb "$DB_NAME" -BNe 'select max(cast(version as unsigned)) from flyway_schema_history')" \
    "$(date -u +%FT%TZ)" >"$1/about"
  (cd "$1" && sha256sum "${BACKUP_PARTS[@]}" >sums)
}

openpgp() { # passphrase file, more ... : with a folder of its own, so that nobody's keys are looked at
  local secret=$1 place result=0
  shift
  place=$(mktemp -d)
  gpg --homedir "$place" --batch --quiet --no-options --no-symkey-cache --pinentry-mode loopback \
    --passphrase-file "$secret" "$@" || result=1
  gpgconf --homedir "$place" --kill all
  rm -rf "$place"
  return "$result"
}

sealed() { # passphrase file or nothing : reads a tar, writes what becomes the backup
  if [ -n "${1:-}" ]; then
    openpgp "$1" --cipher-algo AES256 --compress-algo none --symmetric
  else
    cat
  fi
}

unsealed() { # file, passphrase file or nothing : writes the tar
  if [ "$(head -c 14 "$1" | tr -d '\0')" = about ]; then
    cat "$1"
    return
  fi
  [ -n "${2:-}" ] ||
    { say "$1 is encrypted, or no backup. Say where its passphrase is: --passphrase-file" >&2 && return 1; }
  openpgp "$2" --decrypt "$1" 2>/dev/null
}

check_passphrase_file() {
  [ -z "$1" ] || [ -s "$1" ] || fail "there is no passphrase in $1"
}

# An interrupted backup leaves nothing under its name.
backup() { # file, passphrase file or nothing
  local file=$1 secret=${2:-} work
  [ ! -e "$file" ] || fail "$file is there already. Choose another name."
  [ -d "$(dirname "$file")" ] || fail "there is no folder $(dirname "$file"). Make it first."
  check_passphrase_file "$secret"
  database_answers || fail "the database does not answer. '$ME start' starts it."
  work=$(umask 077 && mktemp -d "$(dirname "$file")/.oficina-backup.XXXXXX")
  # shellcheck disable=SC2064
  trap "rm -rf '$work'" EXIT
  gather "$work" || fail "the backup could not be made: is there room in $(dirname "$file")?"
  (umask 077 && tar -C "$work" -cf - "${BACKUP_PARTS[@]}" sums | sealed "$secret" >"$work/whole") ||
    fail "the backup could not be written: is there room in $(dirname "$file")?"
  sync "$work/whole"
  # Not over one that has come meanwhile.
  ln "$work/whole" "$file" || fail "$file is there already. Choose another name."
  date -u +%FT%TZ >"$HOME_DIR/last-backup"
  rm -rf "$work"
  trap - EXIT
  say "Kept in $file ($(stat -c %s "$file") bytes)."
}

# --- back again ----------------------------------------------------------------------------------

read_backup() { # file, passphrase file or nothing, folder : its parts, whole
  unsealed "$1" "$2" | tar -C "$3" -xf - "${BACKUP_PARTS[@]}" sums 2>"$3/said" ||
    fail "$1 cannot be read: it is no backup, damaged, or the passphrase is another one. Nothing has been changed."
  (cd "$3" && sha256sum --quiet --strict -c sums >said 2>&1 && [ "$(wc -l <sums)" = "${#BACKUP_PARTS[@]}" ]) ||
    fail "$1 is damaged: $(head -n 1 "$3/said"). Nothing has been changed."
  local made_with
  made_with=$(sed -n 's/^schema //p' "$3/about")
  [ "$made_with" -le "$(schema)" ] ||
    fail "$1 was made by a later version (its database is at $made_with, this one knows $(schema)). Use that one."
}

# Makes of the parts in a folder what a home consists of, in a home of its own.
rebuild() ( # folder with the parts, folder for the new home
  home_is "$2"
  mkdir -p "$RUN" "$RECORDINGS"
  DB_PORT=$(free_port)
  tar -C "$HOME_DIR" --use-compress-program=unzstd -xf "$1/files.tar.zst"
  DATABASE_OPTIONS=(--innodb-flush-log-at-trx-commit=0)
  start_database
  trap 'end database 60' EXIT
  # Whoever wrote a trigger is another user's name here; what it does is the same.
  zstd -dcq "$1/database.sql.zst" | as_oficina mariadb oficina
)

# What is restored takes the place of what there was, which is put aside. Goes on where it was interrupted.
take_place() {
  local new="$HOME_DIR/restored" old each
  [ -e "$new/whole" ] || return 0
  old=$(cat "$new/whole")
  mkdir -p "$old"
  for each in data recordings waiting.events secrets.key password; do
    [ -e "$new/$each" ] || continue
    [ ! -e "$HOME_DIR/$each" ] || mv "$HOME_DIR/$each" "$old/$each"
    mv "$new/$each" "$HOME_DIR/$each"
  done
  rm -rf "$new"
  rmdir "$old" 2>/dev/null || say "What there was before is in $old."
}

restore() { # file, passphrase file or nothing, "yes" or nothing
  local file=$1 secret=${2:-} answer=${3:-} work
  [ -r "$file" ] || fail "there is no $file that could be read"
  check_passphrase_file "$secret"
  [ -z "$DB_ELSEWHERE" ] ||
    fail "the database of this office is elsewhere ($DB_HOST). docs/operations.md says how a backup is put back there. Nothing has been changed."
  ! alive server && ! alive database || fail "it is running: '$ME stop' first. Nothing has been changed."
  if [ -d "$DATA" ] && [ "$answer" != yes ]; then
    say "There is an office here already. It is put aside, not deleted."
    read -rp "Put what is in $file in its place? Type yes: " answer || true
    [ "$answer" = yes ] || fail "nothing has been changed"
  fi
  mkdir -p "$RUN"
  rm -rf "$HOME_DIR"/restoring.*
  work=$(umask 077 && mktemp -d "$HOME_DIR/restoring.XXXXXX")
  # shellcheck disable=SC2064
  trap "rm -rf '$work'" EXIT
  say "Reading $file ..."
  read_backup "$file" "$secret" "$work"
  rebuild "$work" "$work/home" >"$RUN/restore.log" 2>&1 ||
    fail "its database could not be read in; the end of $RUN/restore.log says why: $(tail -n 1 "$RUN/restore.log"). Nothing has been changed."
  rm -rf "$HOME_DIR/restored"
  mv "$work/home" "$HOME_DIR/restored"
  echo "$HOME_DIR/before-restore-$(date +%F-%H%M%S)" >"$HOME_DIR/restored/whole"
  take_place
  say "Restored as it was at $(sed -n 's/^made //p' "$work/about"). '$ME start' starts it."
}

# Reads all of it and starts a server on it, in a place of its own.
check_backup() { # file, passphrase file or nothing
  local file=$1 secret=${2:-} work
  [ -r "$file" ] || fail "there is no $file that could be read"
  check_passphrase_file "$secret"
  prepare
  build
  work=$(umask 077 && mktemp -d "${TMPDIR:-/tmp}/oficina-check.XXXXXX")
  # shellcheck disable=SC2064
  trap "rm -rf '$work'" EXIT
  read_backup "$file" "$secret" "$work"
  rebuild "$work" "$work/home" >"$work/said" 2>&1 || fail "its database cannot be read in: $(tail -n 1 "$work/said")"
  (
    home_is "$work/home"
    ADDRESS=127.0.0.1 PORT=$(free_port) DB_PORT=$(free_port)
    unset OFICINA_TLS_CERT OFICINA_TLS_KEY
    export OFICINA_DEMO=false OFICINA_SOUND_PORT=0 OFICINA_BOOKINGS_PORT=0
    trap 'end server 20; end database 60' EXIT
    start_database
    start_server
    server_answers || fail "a server on it does not answer: $(why_not)"
    say "$file of $(sed -n 's/^made //p' "$work/about") is whole, and a server starts on it:"
    as_oficina mariadb oficina -BNe "select concat('  ', count(*), ' people') from person where not has_left
      union all select concat('  ', count(*), ' entries of the history') from history
      union all select concat('  ', count(*), ' messages') from message
      union all select concat('  ', count(*), ' contacts') from contact"
  )
}

# --- every night ---------------------------------------------------------------------------------

# Asked by the watch again and again: a backup of each day after its hour, the newest kept.
nightly_backup() {
  local folder=${OFICINA_BACKUP_DIR:-} file
  [ -n "$folder" ] && [[ ! $(date +%H:%M) < ${OFICINA_BACKUP_AT:-02:30} ]] || return 0
  file="$folder/oficina-$(date +%F).backup"
  # One that fails is tried again an hour later.
  [ ! -e "$file" ] && [ "$(date +%F-%H)" != "$(cat "$RUN/backup.tried" 2>/dev/null)" ] || return 0
  date +%F-%H >"$RUN/backup.tried"
  (
    say "$(date '+%F %T') backup"
    (backup "$file" "${OFICINA_BACKUP_PASSPHRASE_FILE:-}") || exit 0
    find "$folder" -maxdepth 1 -name 'oficina-????-??-??.backup' | sort | head -n -"${OFICINA_BACKUP_KEEP:-14}" | xargs -r rm --
  ) >>"$RUN/backup.log" 2>&1 &
}

backup_command() { # of ./oficina backup ... and ./oficina restore ...
  local what=$1 file="" secret="" answer=""
  shift
  while [ $# -gt 0 ]; do
    case "$1" in
      --passphrase-file) secret=${2:-} && shift ;;
      --check) [ "$what" = backup ] && what=check_backup ;;
      --yes) answer=yes ;;
      -*) fail "there is no $1 here. '$ME help' says what there is." ;;
      *) file=$1 ;;
    esac
    shift
  done
  [ -n "$file" ] || fail "say which file"
  install_packages
  "$what" "$file" "$secret" "$answer"
}
