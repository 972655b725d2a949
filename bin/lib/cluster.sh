# Sourced by bin/test cluster: web servers behind a proxy, on one database, and on three nodes of a Galera cluster.
# shellcheck shell=bash

# A node that joins listens before it has what the others have.
db_ping() {
  mariadb-admin --no-defaults --socket="$DB_SOCKET" -u"$(id -un)" ping 2>&1 | grep -qE 'alive|Access denied' &&
    ! db_admin -e 'SELECT COUNT(*) FROM mysql.db' 2>&1 | grep -q WSREP
}

some_ports() { # some_ports N: separated by commas
  local ports=''
  for _ in $(seq "$1"); do ports+=,$(free_port); done
  echo "${ports#,}"
}

prepare() { MIGRATE_DATABASE_URL=$MIGRATE_DATABASE_URL NODE_OPTIONS=$SHIFTED node_modules/.bin/tsx bin/lib/prepare-database.ts --reset-demo >&2; }

two_servers() {
  say 'Two web servers on one database, one of them killed every few seconds:'
  db_place "$TEMP/db"
  DB_EXTRA='--innodb-flush-log-at-trx-commit=0' db_start
  prepare || return 1
  NODE_OPTIONS=$SHIFTED node_modules/.bin/tsx e2e/attack/cluster.ts servers "$TEMP" "$(some_ports 3)" "$DATABASE_URL" "$DATABASE_URL" || return 1
  db_stop
}

node_start() { # node_start N [FLAG…]: node N of the cluster, in $TEMP/nN
  local n=$1
  shift
  db_place "$TEMP/n$n"
  [ "$n" = 1 ] || cp "$TEMP"/n1/{password,migrate-password} "$DB_DIR/"
  DB_TRIES=900 DB_EXTRA="--binlog-format=ROW --innodb-autoinc-lock-mode=2 --innodb-flush-log-at-trx-commit=0 --wsrep-on=ON
    --wsrep-provider=/usr/lib/galera/libgalera_smm.so --wsrep-cluster-name=cool_dram
    --wsrep-cluster-address=gcomm://127.0.0.1:${GROUP[1]},127.0.0.1:${GROUP[2]},127.0.0.1:${GROUP[3]}
    --wsrep-node-address=127.0.0.1:${GROUP[n]} --wsrep-sst-method=rsync --wsrep-sst-receive-address=127.0.0.1:${STATE[n]}
    --wsrep-provider-options=gmcast.listen_addr=tcp://127.0.0.1:${GROUP[n]};ist.recv_addr=127.0.0.1:${STEPS[n]} $*" db_start
}

nodes_stop() {
  local n
  for n in 3 2 1; do
    [ -e "$TEMP/n$n" ] && DB_DIR=$TEMP/n$n db_stop
  done
}

three_nodes() {
  local n urls=()
  say 'Three nodes of a cluster, a web server on each, one node killed:'
  for n in 1 2 3; do GROUP[n]=$(free_port) STATE[n]=$(free_port) STEPS[n]=$(free_port); done
  node_start 1 --wsrep-new-cluster
  urls+=("$DATABASE_URL")
  prepare || return 1
  for n in 2 3; do
    node_start "$n"
    urls+=("$DATABASE_URL")
  done
  NODE_AGAIN="TEMP='$TEMP'; . bin/lib/machine.sh; . bin/lib/cluster.sh; $(declare -p GROUP STATE STEPS); node_start 2" \
    node_modules/.bin/tsx e2e/attack/cluster.ts nodes "$TEMP" "$(some_ports 4)" "${urls[@]}"
}
