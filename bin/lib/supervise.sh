# Sourced by bin/start: what it runs is started again when it ends, and all of it ends with bin/start.
# shellcheck shell=bash
KEEPERS=()
LONGEST_PAUSE_S=${COOL_DRAM_LONGEST_PAUSE_S:-60}
STEADY_S=60           # what ran so long has recovered: the next pause is short again
LOG_MOST_BYTES=10000000 # of each log, four of them kept
DISK_LOW_MB=500

# What a bin/start that was killed has left running in this place. What keeps its database stops it only as long as no
# other start has taken over; while it does so, we wait.
take_over() {
  local file pid
  echo $$ >"$COOL_DRAM_DATA/starter"
  flock "$COOL_DRAM_DATA/stop.lock" true
  for file in "$COOL_DRAM_DATA"/*.pid; do
    pid=$(cat "$file" 2>/dev/null) || continue
    [ "$(readlink "/proc/$pid/cwd" 2>/dev/null)" = "$ROOT" ] && end "$pid"
    rm -f "$file"
  done
}

end() { # end PID: asks, and insists after 10 s
  kill -TERM "$1" 2>/dev/null || return 0
  for _ in $(seq 100); do
    kill -0 "$1" 2>/dev/null || return 0
    sleep 0.1
  done
  kill -KILL "$1" 2>/dev/null
}

rest() { sleep "$1" 7>&- & wait $!; } # a pause that a signal ends
starter_lives() { kill -0 $$ 2>/dev/null; } # also in a subshell this is bin/start

keep() { # keep NAME COMMAND…: runs it, and again whenever it ends, after pauses that grow; its log is NAME.log
  local name=$1
  shift
  (
    trap 'end "$pid"; exit 0' TERM
    pause=1
    while :; do
      began=$SECONDS
      "$@" >>"$COOL_DRAM_DATA/$name.log" 2>&1 &
      pid=$!
      echo "$pid" >"$COOL_DRAM_DATA/$name.pid"
      while kill -0 "$pid" 2>/dev/null; do
        starter_lives || { end "$pid"; exit; }
        rest 0.5
      done
      [ $((SECONDS - began)) -lt $STEADY_S ] || pause=1
      say "cool-dram: $name ended. It is started again in $pause s; see $COOL_DRAM_DATA/$name.log"
      rest "$pause"
      pause=$((2 * pause < LONGEST_PAUSE_S ? 2 * pause : LONGEST_PAUSE_S))
    done
  ) 7>&- &
  KEEPERS+=($!)
}

keep_database() { # the same for MariaDB, which runs in a session of its own
  (
    trap 'exit 0' TERM
    pause=1
    while :; do
      rest 1
      starter_lives || {
        exec 6>>"$COOL_DRAM_DATA/stop.lock" && flock 6
        [ "$(cat "$COOL_DRAM_DATA/starter")" != $$ ] || db_stop
        exit
      }
      db_ping && { pause=1; continue; }
      say "cool-dram: the database ended. It is started again; see $DB_DIR/mariadb.log"
      (db_start) || {
        say "cool-dram: it did not start. The next try is in $pause s."
        rest "$pause"
        pause=$((2 * pause < LONGEST_PAUSE_S ? 2 * pause : LONGEST_PAUSE_S))
      }
    done
  ) 7>&- &
  KEEPERS+=($!)
}

stop_all() {
  local pid
  trap '' INT TERM HUP
  for pid in "${KEEPERS[@]}"; do kill -TERM "$pid" 2>/dev/null; done
  for pid in "${KEEPERS[@]}"; do wait "$pid" 2>/dev/null; done
  KEEPERS=()
  rm -f "$COOL_DRAM_DATA"/{web,forecast}.pid "$COOL_DRAM_DATA/address"
  [ -z "${own_db:-}" ] || db_stop
}

turn_logs() { # a log that has grown is kept as .1, .2 and .3, and begun again
  local log n
  for log in "$COOL_DRAM_DATA"/{web,forecast,backup}.log "${DB_DIR:-$COOL_DRAM_DATA}/mariadb.log"; do
    [ "$(stat -c %s "$log" 2>/dev/null || echo 0)" -gt $LOG_MOST_BYTES ] || continue
    for n in 2 1; do [ ! -e "$log.$n" ] || mv "$log.$n" "$log.$((n + 1))"; done
    cp "$log" "$log.1" && : >"$log"
  done
}

see_to_the_rest() { # logs each minute, the disk too; a backup a day
  local minute=0 free
  while :; do
    turn_logs
    free=$(free_mb "${DB_DIR:-$COOL_DRAM_DATA}")
    if [ "$free" -lt $DISK_LOW_MB ] && [ $((minute % 60)) -eq 0 ]; then
      say "cool-dram: only $free MB are free on the disk of ${DB_DIR:-$COOL_DRAM_DATA}. Make room before it is full."
    fi
    [ $((minute % 60)) -ne 0 ] || node_modules/.bin/tsx bin/lib/backup.ts daily 7>&- >>"$COOL_DRAM_DATA/backup.log" 2>&1 ||
      say "cool-dram: the daily backup failed; see $COOL_DRAM_DATA/backup.log"
    minute=$((minute + 1))
    rest 60
  done
}
