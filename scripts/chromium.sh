#!/bin/sh
# Have Debian's Chromium for the browser tests: take it as it is, else install it.
set -eu
[ -x /usr/bin/chromium ] && exit 0
echo "plimb: installing Chromium for the browser tests"
as_root=""
[ "$(id -u)" = 0 ] || as_root="sudo -n"
if command -v apt-get >/dev/null 2>&1 && $as_root true 2>/dev/null; then
    $as_root apt-get update -qq >/dev/null && \
        DEBIAN_FRONTEND=noninteractive $as_root apt-get install -y -qq chromium >/dev/null && exit 0
fi
echo "plimb: the browser tests need Chromium; install it with: apt-get install chromium." >&2
exit 1
