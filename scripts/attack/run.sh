#!/usr/bin/env bash
# Starts a PostgreSQL of its own, attacks a server of its own on loopback, stops both. --quick is the part that ./test runs.
# Bounded in count and time, it ends by itself: within ten minutes, or one with --quick. Exit 1 on a finding.
here=$(cd "$(dirname "${BASH_SOURCE[0]}")/../.." && pwd)
. "$here/scripts/lib.sh"
cd "$here" || exit 1
if [ -z "${TEST_DATABASE_URL:-}" ]; then
  data=$(mktemp -d /tmp/winculum-attack-XXXXXX)
  chmod 755 "$data"
  compiled=$here/scripts/.attack
  trap 'stop_postgres; rm -rf "$data" "$compiled"' EXIT
  build_if_changed
  start_postgres "$data"
  export TEST_DATABASE_URL=$DATABASE_URL
else
  compiled=$here/scripts/.attack
  trap 'rm -rf "$compiled"' EXIT
fi
unset DATABASE_URL PGPASSWORD
found=0
if [ "${1:-}" != --quick ]; then
  # What is asked of one application in one process: bodies, hosts, streams, roles by route, sessions, backups and repairs.
  npx vitest run server/src/http server/src/admin server/src/use-cases || found=1
fi
"$here/node_modules/.bin/esbuild" "$here/scripts/attack/main.ts" --bundle --packages=external --platform=node --format=esm \
  --outfile="$compiled/main.mjs" --log-level=warning
timeout --signal=TERM 540 node "$compiled/main.mjs" "$@" || found=1
exit $found
